/** Mirroring what a box holds, and repeating a block in steps. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import type { Edit } from '../edits/edit'
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { PropKey } from '../properties/table'
import type { Size } from '../properties/values'
import type { SetEdit } from './align'
import { ordersAt, withNewIds } from './order'

type Props = Partial<Record<PropKey, unknown>>
const FLIPPED: Record<string, string> = { start: 'end', end: 'start', left: 'right', right: 'left' }

function mirrorOne(box: LayoutBox, columns: number): Props {
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
  const width = resolved.width as Size
  if (box.parent?.flow === Flow.Lattice && width.kind === 'columns' && width.from !== undefined)
    props.width = { ...width, from: Math.max(1, columns - width.from - width.span + 2) }
  if (node.kind === 'text' && (resolved.textAlign === 'left' || resolved.textAlign === 'right'))
    props.textAlign = FLIPPED[resolved.textAlign]
  return props
}

/**
 * Turns a row, a lattice or a free box round: what was left is right. In a column every block in it is turned. With `here` only
 * this view changes: blocks change places by their visual order there.
 */
export function mirrorEdits(layout: PageLayout, id: string, here: boolean, set: SetEdit): Edit[] | string {
  const box = layout.boxes.get(id)
  if (!box || (box.kids.length === 0 && box.lifted.length === 0))
    return 'select a section or a box that holds blocks'
  const edits: Edit[] = []
  const change = (node: Node, props: Props) => {
    if (Object.keys(props).length > 0) edits.push(set(node, props))
  }
  const turn = (host: LayoutBox) => {
    if (host.flow === Flow.Column || host.flow === Flow.Stack) {
      for (const kid of host.kids) if (kid.kids.length > 0 || kid.lifted.length > 0) turn(kid)
    } else if (host.flow === Flow.Row) {
      if (here) for (const [i, kid] of host.kids.entries()) change(kid.node, { order: host.kids.length - i })
      else {
        const keys = generateNKeysBetween(null, null, host.node.children.length)
        ;[...host.node.children].reverse().forEach((child, i) => {
          edits.push({ op: 'move', node: child, parent: host.id, order: keys[i] })
        })
      }
      const { justify } = host.resolved
      if (justify === 'start' || justify === 'end') change(host.node, { justify: FLIPPED[justify] })
    } else for (const kid of host.kids) change(kid.node, mirrorOne(kid, host.columns))
    for (const kid of host.lifted) change(kid.node, mirrorOne(kid, host.columns))
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
