/** Copying a look from one block and putting parts of it on others. */
import type { Node } from '../document/document'
import type { Items } from '../properties/items'
import { LOOK_PARTS, type LookPart } from '../properties/property'
import { hasProperty, keysOf, LISTS, type PropKey, type Props } from '../properties/table'

/** The look of a block as it is in a view, tokens and all; what it does not set is put back where it is put on. */
export type LookOf = Partial<Record<PropKey, unknown>>

export function lookOf(props: Props): LookOf {
  const look: LookOf = {}
  for (const part of LOOK_PARTS) for (const key of keysOf(part)) look[key] = props[key] ?? null
  return look
}

type List = Items<{ order: string; hidden?: boolean }>

/** A list in place of another: what is not in it is taken away or, where it comes from a wider view, not drawn. */
function instead(look: List, own: List, under: List): Record<string, unknown> {
  const out: Record<string, unknown> = {}
  for (const id of Object.keys(own)) out[id] = null
  for (const [id, item] of Object.entries(under)) out[id] = { ...item, hidden: true }
  return { ...out, ...look }
}

/**
 * What of a look goes onto a block: what its kind has.
 * @param own what the block sets where the look is put on: for all views, or for one @param under what that lies over
 */
export function lookFor(
  look: LookOf,
  node: Node,
  parts: ReadonlySet<LookPart>,
  own: Props = node.props,
  under: Props = {},
): LookOf {
  const out: LookOf = {}
  for (const part of parts)
    for (const key of keysOf(part)) {
      if (!(key in look) || !hasProperty(node.kind, key)) continue
      const list = (props: LookOf) => (props[key] ?? {}) as List
      out[key] = LISTS.includes(key) ? instead(list(look), list(own), list(under)) : look[key]
    }
  return out
}
