/** Mirroring what a box holds, and repeating a block in steps. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import type { Edit } from '../edits/edit'
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { PropKey } from '../properties/table'
import type { SetEdit } from './align'
import { ordersAt, withNewIds } from './order'
import { viewOrderEdits } from './view-order'

type Props = Partial<Record<PropKey, unknown>>
const FLIPPED: Record<string, string> = { start: 'end', end: 'start', left: 'right', right: 'left' }

function mirrorOne(box: LayoutBox): Props {
  const { resolved, node } = box
  const props: Props = {}
  if (resolved.paddingLeft !== resolved.paddingRight) {
    props.paddingLeft = resolved.paddingRight
    props.paddingRight = resolved.paddingLeft
  }
  if (box.pins) {
    props.pinLeft = resolved.pinRight ?? null
    props.pinRight = resolved.pinLeft ?? null
    if (resolved.pinCenterX) props.pinCenterX = -resolved.pinCenterX
  }
  if (node.kind === 'text' && (resolved.textAlign === 'left' || resolved.textAlign === 'right'))
    props.textAlign = FLIPPED[resolved.textAlign]
  return props
}

/** A lattice's blocks from right to left, row by row, and the columns that this comes to where order alone does not say them. */
function mirroredRows(host: LayoutBox): { order: string[]; places: Map<LayoutBox, number> } {
  const rows = new Map<number, LayoutBox[]>()
  for (const kid of host.kids) rows.set(kid.row, [kid, ...(rows.get(kid.row) ?? [])])
  const order: string[] = []
  const places = new Map<LayoutBox, number>()
  for (const [, row] of [...rows].sort(([a], [b]) => a - b)) {
    row.sort((a, b) => b.column - a.column)
    order.push(...row.map(({ id }) => id))
    const filled = row.reduce((sum, { span }) => sum + span, 0) === host.columns
    for (const kid of row)
      if (kid.from > 0 || !filled) places.set(kid, Math.max(1, host.columns - kid.column - kid.span + 1))
  }
  return { order, places }
}

/** The edits that put what flows in a box into an order; what does not flow keeps its place among its siblings. */
function reordered(
  doc: Document,
  host: LayoutBox,
  order: readonly string[],
  view: string | undefined,
): Edit[] {
  const flowing = new Set(order)
  const next = order.values()
  const wanted = host.node.children.map((id) => (flowing.has(id) ? next.next().value! : id))
  if (view !== undefined) return viewOrderEdits(doc, wanted, view)
  if (wanted.every((id, i) => id === host.node.children[i])) return []
  // Behind all keys that are taken: one that is taken would be put beside its owner, and the order come out as it was.
  const last = host.node.children
    .map((id) => doc.node(id).order)
    .sort()
    .at(-1)!
  const keys = generateNKeysBetween(last, null, wanted.length)
  return wanted.map((node, i) => ({ op: 'move', node, parent: host.id, order: keys[i]! }))
}

/**
 * Turns a row, a lattice or a free box round: what was left is right. In a column every block in it is turned. With `here` only
 * this view changes: blocks change places by their visual order there.
 */
export function mirrorEdits(
  layout: PageLayout,
  doc: Document,
  id: string,
  here: boolean,
  set: SetEdit,
): Edit[] | string {
  const box = layout.boxes.get(id)
  if (!box || (box.kids.length === 0 && box.lifted.length === 0))
    return 'select a section or a box that holds blocks'
  const edits: Edit[] = []
  const view = here ? layout.viewId : undefined
  const change = (node: Node, props: Props) => {
    if (Object.keys(props).length > 0) edits.push(set(node, props))
  }
  const turn = (host: LayoutBox) => {
    if (host.flow === Flow.Column || host.flow === Flow.Stack) {
      for (const kid of host.kids) if (kid.kids.length > 0 || kid.lifted.length > 0) turn(kid)
    } else if (host.flow === Flow.Row) {
      edits.push(...reordered(doc, host, host.kids.map(({ id }) => id).reverse(), view))
      const { justify } = host.resolved
      if (justify === 'start' || justify === 'end') change(host.node, { justify: FLIPPED[justify] })
    } else if (host.flow === Flow.Lattice) {
      const { order, places } = mirroredRows(host)
      edits.push(...reordered(doc, host, order, view))
      for (const kid of host.kids) {
        const from = places.get(kid)
        const { width } = kid.resolved
        const placed = from !== undefined && width.kind === 'columns' && (width.from ?? 0) !== from
        change(kid.node, { ...mirrorOne(kid), ...(placed ? { width: { ...width, from } } : {}) })
      }
    } else for (const kid of host.kids) change(kid.node, mirrorOne(kid))
    for (const kid of host.lifted) change(kid.node, mirrorOne(kid))
  }
  turn(box)
  if (edits.length === 0) return 'there is nothing to turn round in it'
  return edits
}

/**
 * Copies of a block, one step each: a lifted one moves on by its size and `gap` px; one on a lattice by its columns; in a row or
 * column the copies stand behind it.
 */
export function repeatEdits(
  layout: PageLayout,
  doc: Document,
  id: string,
  count: number,
  axis: 'x' | 'y',
  gap: number,
  makeId: () => string,
): { edits: Edit[]; copies: string[] } | string {
  const node = doc.node(id)
  const box = layout.boxes.get(id)
  if (!node.parent || !box) return 'select a block to repeat'
  if (count < 1 || count > 100) return 'between 1 and 100 copies'
  const index = doc.node(node.parent).children.indexOf(id)
  const keys = ordersAt(doc, node.parent, index + 1, count)
  const copies: string[] = []
  const edits = keys.map((order, i): Edit => {
    const tree = withNewIds(doc.tree(id), makeId)
    tree.order = order
    tree.props = { ...tree.props }
    const { pinLeft, pinTop, width } = tree.props
    const step = i + 1
    if (box.pins && axis === 'x' && (pinLeft === undefined || 'px' in pinLeft))
      tree.props.pinLeft = { px: (pinLeft?.px ?? 0) + step * (box.width + gap) }
    else if (box.pins && axis === 'y' && (pinTop === undefined || 'px' in pinTop))
      tree.props.pinTop = { px: (pinTop?.px ?? 0) + step * (box.height + gap) }
    // Behind the last column the copies find their own place.
    if (!box.pins && width?.kind === 'columns' && width.from !== undefined) {
      const from = width.from + step * width.span
      tree.props.width =
        from + width.span - 1 <= (box.parent?.columns ?? 0)
          ? { ...width, from }
          : { kind: 'columns', span: width.span }
    }
    copies.push(tree.id)
    return { op: 'insert', parent: node.parent!, tree }
  })
  return { edits, copies }
}
