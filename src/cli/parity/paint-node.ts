/** Blocks of the page of paints. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { NodeTree } from '../../core/document/schema'
import type { Kind } from '../../core/properties/kinds'
import type { Props } from '../../core/properties/table'

export const keys = generateNKeysBetween(null, null, 400)
let count = 0
export const node = (kind: Kind, props: Props, children: NodeTree[] = []): NodeTree => ({
  id: `paint${count++}`,
  kind,
  name: kind,
  order: 'a0',
  props,
  children: children.map((child, i) => ({ ...child, order: keys[i]! })),
})

/** Ids of another page begin where the first one's did. */
export function countAnew() {
  count = 0
}
