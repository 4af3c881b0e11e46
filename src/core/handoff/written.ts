/** How values are written in the handoff's CSS: a reference as its token's custom property. */
import type { Tokens } from '../document/tokens'
import { px } from '../properties/css-text'
import type { Written } from '../properties/property'
import { fontStack } from './css'
import { cssColor } from './escape'
import { customProperty } from './names'

export type Writing = Written & {
  /** Part of a type style; undefined when it is none. */
  style(reference: string, part: string): string | undefined
}

const known = new WeakMap<Tokens, Writing>()

/** What refers to nothing usable is not written: a `var()` of nothing would take the whole declaration with it. */
export function writingFor(tokens: Tokens): Writing {
  let writing = known.get(tokens)
  if (writing) return writing
  const property = (reference: string) => `var(${customProperty(reference)})`
  writing = {
    color(value) {
      if (!value.startsWith('{')) return cssColor(value)
      return tokens.lookup(value)?.type === 'color' ? property(value) : undefined
    },
    length(value) {
      if (typeof value === 'number') return px(value)
      const type = tokens.lookup(value)?.type
      if (type === 'dimension') return property(value)
      // A bare number is so many px.
      return type === 'number' ? `calc(${property(value)} * 1px)` : undefined
    },
    family: fontStack,
    style: (reference, part) =>
      tokens.lookup(reference)?.type === 'typography'
        ? `var(${customProperty(reference)}-${part})`
        : undefined,
  }
  known.set(tokens, writing)
  return writing
}
