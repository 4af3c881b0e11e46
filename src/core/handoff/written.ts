/** How values are written in the handoff's CSS: a reference as its token's custom property. */
import type { Tokens } from '../document/tokens'
import { px } from '../properties/css-text'
import type { Written } from '../properties/property'
import { fontStack } from './css'
import { cssColor, cssString } from './escape'
import { customProperty } from './names'

export type Writing = Written & {
  /** Part of a type style; undefined when it is none. */
  style(reference: string, part: string): string | undefined
}

/** What a style sheet finds outside itself. The same object for as long as it says the same. */
export type Outside = {
  /** Where a picture of the project is found, from its id; undefined: nowhere. */
  picture(id: string): string | undefined
  /** Families that come along; left out: all that ship. */
  families?: ReadonlySet<string>
}

const NOTHING: Outside = { picture: () => undefined }
const known = new WeakMap<Outside, WeakMap<Tokens, Writing>>()

/** What refers to nothing usable is not written: a `var()` of nothing would take the whole declaration with it. */
export function writingFor(tokens: Tokens, outside: Outside = NOTHING): Writing {
  let byTokens = known.get(outside)
  if (!byTokens) {
    byTokens = new WeakMap()
    known.set(outside, byTokens)
  }
  let writing = byTokens.get(tokens)
  if (!writing) {
    writing = made(tokens, outside)
    byTokens.set(tokens, writing)
  }
  return writing
}

function made(tokens: Tokens, outside: Outside): Writing {
  const property = (reference: string) => `var(${customProperty(reference)})`
  return {
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
    token: (reference, type, part) =>
      tokens.lookup(reference)?.type === type
        ? `var(${customProperty(reference)}${part === undefined ? '' : `-${part}`})`
        : undefined,
    picture(id) {
      const address = outside.picture(id)
      return address === undefined ? undefined : `url(${cssString(address)})`
    },
    family: (family) => fontStack(family, outside.families),
    style: (reference, part) =>
      tokens.lookup(reference)?.type === 'typography'
        ? `var(${customProperty(reference)}-${part})`
        : undefined,
  }
}
