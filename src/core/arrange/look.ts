/** Copying a look from one block and putting parts of it on others. */
import type { Node } from '../document/document'
import type { PropKey, Props } from '../document/schema'

export const LOOK_PARTS = ['fill', 'border', 'type', 'spacing', 'effects'] as const
export type LookPart = (typeof LOOK_PARTS)[number]

const KEYS: Record<LookPart, readonly PropKey[]> = {
  fill: ['fill', 'gradient'],
  border: ['borderTop', 'borderRight', 'borderBottom', 'borderLeft', 'borderColor', 'borderStyle', 'radius'],
  type: [
    'type',
    'fontFamily',
    'fontSize',
    'fontWeight',
    'italic',
    'lineHeight',
    'letterSpacing',
    'textAlign',
    'textCase',
    'textDecoration',
    'color',
  ],
  spacing: ['paddingTop', 'paddingRight', 'paddingBottom', 'paddingLeft', 'rowGap', 'columnGap'],
  effects: ['shadow', 'opacity', 'blend', 'rotate'],
}

/** The look of a block as it is in a view, tokens and all; what it does not set is put back where it is put on. */
export type LookOf = Partial<Record<PropKey, unknown>>

export function lookOf(props: Props): LookOf {
  const look: LookOf = {}
  for (const part of LOOK_PARTS) for (const key of KEYS[part]) look[key] = props[key] ?? null
  return look
}

/** What of a look goes onto a block: type only onto words, gaps only onto what holds blocks. */
export function lookFor(look: LookOf, node: Node, parts: ReadonlySet<LookPart>): LookOf {
  const words = node.kind === 'text' || node.kind === 'button'
  const out: LookOf = {}
  for (const part of LOOK_PARTS) {
    if (!parts.has(part) || (part === 'type' && !words)) continue
    for (const key of KEYS[part]) {
      if ((key === 'rowGap' || key === 'columnGap') && (words || node.kind === 'picture')) continue
      if (key in look) out[key] = look[key]
    }
  }
  return out
}
