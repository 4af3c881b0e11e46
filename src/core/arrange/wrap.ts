/** Putting blocks into a new box, and taking a box away from around them. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import type { Edit } from '../edits/edit'
import type { Props } from '../properties/table'
import { orderAt, ordersAt } from './order'

const NAMES = { row: 'Row', column: 'Column', lattice: 'Lattice' } as const
export type WrapFlow = keyof typeof NAMES

/** The blocks in their common parent's order, or why they cannot be wrapped. */
function siblings(doc: Document, ids: readonly string[]): { parent: string; nodes: Node[] } | string {
  if (ids.length === 0) return 'select the blocks first'
  const parent = doc.node(ids[0]!).parent
  if (!parent || doc.node(parent).kind === 'page') return 'sections cannot be put into a box'
  if (ids.some((id) => doc.node(id).parent !== parent)) return 'the blocks must lie in the same box'
  return {
    parent,
    nodes: doc
      .node(parent)
      .children.filter((id) => ids.includes(id))
      .map((id) => doc.node(id)),
  }
}

/**
 * Wraps blocks that lie in the same box. The new box takes the place of the first; a block that alone stood on columns
 * hands its columns over and fills the box.
 * @returns the edits and the new box's id, or a reason fit to be shown
 */
export function wrapEdits(
  doc: Document,
  ids: readonly string[],
  flow: WrapFlow,
  makeId: () => string,
): { edits: Edit[]; box: string } | string {
  const found = siblings(doc, ids)
  if (typeof found === 'string') return found
  const { parent, nodes } = found
  const [first] = nodes
  const box = makeId()
  const alone = nodes.length === 1 && first!.props.width?.kind === 'columns'
  const props: Props = {
    flow,
    rowGap: flow === 'lattice' ? 24 : 16,
    width: alone
      ? first!.props.width
      : ({ kind: flow === 'row' ? 'snug' : 'stretch', weight: 1 } as Props['width']),
  }
  if (props.width?.kind === 'snug') props.width = { kind: 'snug' }
  // What does not fit beside each other on a phone stands under each other there.
  if (flow === 'row') props.wrap = true
  const index = doc.node(parent).children.indexOf(first!.id)
  const edits: Edit[] = [
    {
      op: 'insert',
      parent,
      tree: { id: box, kind: 'box', name: NAMES[flow], order: orderAt(doc, parent, index), props },
    },
  ]
  const keys = generateNKeysBetween(null, null, nodes.length)
  nodes.forEach((node, i) => {
    edits.push({ op: 'move', node: node.id, parent: box, order: keys[i]! })
    if (!alone) return
    edits.push({ op: 'set', node: node.id, props: { width: { kind: 'stretch', weight: 1 } } })
    for (const [view, override] of Object.entries(node.overrides)) {
      if (override.width === undefined) continue
      edits.push(
        { op: 'set', node: node.id, view, props: { width: null } },
        { op: 'set', node: box, view, props: { width: override.width } },
      )
    }
  })
  return { edits, box }
}

/**
 * Takes a box away; what lay in it takes its place.
 * @returns the edits and the freed blocks' ids, or a reason fit to be shown
 */
export function unwrapEdits(doc: Document, id: string): { edits: Edit[]; freed: string[] } | string {
  const node = doc.node(id)
  if (node.kind !== 'box' || !node.parent) return 'select a box to take away'
  const around = doc.node(node.parent)
  const index = around.children.indexOf(id)
  const keys = ordersAt(doc, around.id, index + 1, node.children.length)
  const edits: Edit[] = node.children.map((child, i) => ({
    op: 'move',
    node: child,
    parent: around.id,
    order: keys[i]!,
  }))
  return { edits: [...edits, { op: 'remove', node: id }], freed: [...node.children] }
}
