/** Copying a look from one block and putting parts of it on others. */
import type { Node } from '../document/document'
import type { KeptLook } from '../document/schema'
import type { Items } from '../properties/items'
import { deepEqual } from '../properties/plain-equal'
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

/** What a look sets; the rest it puts back. */
export const setBy = (look: LookOf): Props =>
  Object.fromEntries(Object.entries(look).filter(([, value]) => value !== null))

/** A look to be kept: what it sets; the rest is put back wherever it is put on, as of a copied one. */
export const keptLook = (id: string, name: string, look: LookOf): KeptLook => ({
  id,
  name,
  props: setBy(look),
})

/** Without what is not there: items that are taken away, values that are put back. */
const said = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).filter(([, each]) => each !== null))
    : (value ?? undefined)

const isNothing = (value: unknown) =>
  value === undefined || (typeof value === 'object' && value !== null && Object.keys(value).length === 0)

/** What of a look for a block (`lookFor`) it does not have already. @param now what it has where the look is put on */
export const changedBy = (look: LookOf, now: Props): PropKey[] =>
  (Object.keys(look) as PropKey[]).filter((key) => {
    const [before, after] = [said(now[key]), said(look[key])]
    return !(isNothing(before) && isNothing(after)) && !deepEqual(before, after)
  })
