/** Aligning, distributing, sizing alike, swapping and stacking: from a selection to edits, or a reason why not. */
import type { Document, Node } from '../document/document'
import type { Edit, PropChanges } from '../edits/edit'
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { bounds, contentRect, type Rect } from '../layout/rect'
import { orderAt } from './order'
import { isLiftedBox, pinsAt, pinsSeenAt } from './pins'

export type Edge = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom'
export type AlignTo = 'each other' | 'parent' | 'lattice' | 'sheet'
/** Sets props where the scope says: for every view, or from one on. */
export type SetEdit = (node: Node, props: PropChanges) => Edit

const horizontal = (edge: Edge) => edge === 'left' || edge === 'centre' || edge === 'right'
const WORD = {
  left: 'start',
  top: 'start',
  centre: 'center',
  middle: 'center',
  right: 'end',
  bottom: 'end',
} as const

/** What `box`, one of `boxes`, is aligned in. */
function frameOf(layout: PageLayout, box: LayoutBox, boxes: LayoutBox[], to: AlignTo): Rect {
  const used = layout.usedFor(box.id)
  const sheet = { x: 0, y: 0, width: used.width, height: layout.height }
  if (to === 'sheet') return sheet
  if (to === 'lattice') return { ...sheet, x: used.left, width: used.container }
  // What lies open over the window keeps no padding of the page's.
  if (to === 'parent' && box === layout.panel) return layout.roomOf(box)!
  if (to === 'parent') return contentRect(box.parent!, layout.rect(box.parent!.id) ?? sheet)
  return bounds(boxes.map((each) => layout.seen(each.id)!))
}

function boxesOf(layout: PageLayout, ids: readonly string[]): LayoutBox[] | string {
  const boxes = ids.flatMap((id) => (layout.rect(id) ? layout.boxes.get(id)! : []))
  if (boxes.length === 0) return 'select blocks that this sheet shows first'
  if (boxes.some((box) => box.node.kind === 'section'))
    return 'sections stand one below the other; their order says where'
  return boxes
}

/** Aligns blocks. Lifted ones move; in a flow they are aligned across it, and along it their box spreads them. */
export function alignEdits(
  layout: PageLayout,
  ids: readonly string[],
  edge: Edge,
  to: AlignTo,
  set: SetEdit,
): Edit[] | string {
  const boxes = boxesOf(layout, ids)
  if (typeof boxes === 'string') return boxes
  if (to === 'each other' && boxes.length < 2) return 'select two or more blocks to align them to each other'
  const edits: Edit[] = []
  const spread = new Set<LayoutBox>()
  for (const box of boxes) {
    const rect = layout.seen(box.id)!
    if (isLiftedBox(box)) {
      const frame = frameOf(layout, box, boxes, to)
      const share = edge === 'left' || edge === 'top' ? 0 : edge === 'right' || edge === 'bottom' ? 1 : 0.5
      const point = horizontal(edge)
        ? { x: frame.x + share * (frame.width - rect.width) }
        : { y: frame.y + share * (frame.height - rect.height) }
      edits.push(set(box.node, pinsSeenAt(layout, box.id, point)))
      continue
    }
    const parent = box.parent!
    const across =
      parent.flow === Flow.Row || parent.flow === Flow.Lattice ? !horizontal(edge) : horizontal(edge)
    if (across) edits.push(set(box.node, { alignSelf: WORD[edge] }))
    else if (!spread.has(parent)) {
      spread.add(parent)
      edits.push(set(parent.node, { justify: WORD[edge] }))
    }
  }
  return edits
}

/** Equal gaps between blocks (or equal distances between centres), first and last staying where they are. */
export function distributeEdits(
  layout: PageLayout,
  ids: readonly string[],
  axis: 'x' | 'y',
  what: 'gaps' | 'centres',
  set: SetEdit,
): Edit[] | string {
  const boxes = boxesOf(layout, ids)
  if (typeof boxes === 'string') return boxes
  if (boxes.length < 3) return 'select three or more blocks to distribute them'
  if (!boxes.every(isLiftedBox)) {
    const parent = boxes[0]!.parent!
    if (boxes.some((box) => box.parent !== parent)) return 'the blocks must lie in the same box'
    const along = parent.flow === Flow.Row ? 'x' : 'y'
    if (parent.flow === Flow.Lattice || along !== axis)
      return 'these blocks flow the other way; set the gap of their box'
    return [set(parent.node, { justify: 'space-between' })]
  }
  const from = (rect: Rect) => (axis === 'x' ? rect.x : rect.y)
  const size = (rect: Rect) => (axis === 'x' ? rect.width : rect.height)
  const list = boxes
    .map((box) => ({ box, rect: layout.seen(box.id)! }))
    .sort((a, b) => from(a.rect) - from(b.rect))
  const first = list[0]!.rect
  const last = list[list.length - 1]!.rect
  const edits: Edit[] = []
  const place = (box: LayoutBox, at: number) =>
    edits.push(set(box.node, pinsSeenAt(layout, box.id, axis === 'x' ? { x: at } : { y: at })))
  if (what === 'centres') {
    const start = from(first) + size(first) / 2
    const step = (from(last) + size(last) / 2 - start) / (list.length - 1)
    list.forEach(({ box, rect }, i) => {
      if (i > 0 && i < list.length - 1) place(box, start + step * i - size(rect) / 2)
    })
    return edits
  }
  const total = list.reduce((sum, { rect }) => sum + size(rect), 0)
  const gap = (from(last) + size(last) - from(first) - total) / (list.length - 1)
  let at = from(first)
  for (const { box, rect } of list) {
    if (box !== list[0]!.box && box !== list[list.length - 1]!.box) place(box, at)
    at += size(rect) + gap
  }
  return edits
}

/** One gap between all, px: lifted blocks move, the first staying; in a flow the box's gap is set. */
export function gapEdits(
  layout: PageLayout,
  ids: readonly string[],
  gap: number,
  set: SetEdit,
): Edit[] | string {
  const boxes = boxesOf(layout, ids)
  if (typeof boxes === 'string') return boxes
  if (boxes.length < 2) return 'select two or more blocks to set the gap between them'
  if (!boxes.every(isLiftedBox)) {
    const parent = boxes[0]!.parent!
    if (boxes.some((box) => box.parent !== parent)) return 'the blocks must lie in the same box'
    return [set(parent.node, { rowGap: gap, ...(parent.flow === Flow.Lattice ? {} : { columnGap: null }) })]
  }
  const list = boxes.map((box) => ({ box, rect: layout.seen(box.id)! }))
  const spreadX = Math.max(...list.map((each) => each.rect.x)) - Math.min(...list.map((each) => each.rect.x))
  const spreadY = Math.max(...list.map((each) => each.rect.y)) - Math.min(...list.map((each) => each.rect.y))
  const across = spreadX >= spreadY
  list.sort((a, b) => (across ? a.rect.x - b.rect.x : a.rect.y - b.rect.y))
  let at = across ? list[0]!.rect.x : list[0]!.rect.y
  const edits: Edit[] = []
  list.forEach(({ box, rect }, i) => {
    if (i > 0) edits.push(set(box.node, pinsSeenAt(layout, box.id, across ? { x: at } : { y: at })))
    at += (across ? rect.width : rect.height) + gap
  })
  return edits
}

/** As wide or as high as the block selected last. */
export function sameSizeEdits(
  layout: PageLayout,
  ids: readonly string[],
  side: 'width' | 'height',
  set: SetEdit,
): Edit[] | string {
  const boxes = boxesOf(layout, ids)
  if (typeof boxes === 'string') return boxes
  if (boxes.length < 2) return 'select two or more blocks; the last one is the measure'
  const measure = boxes[boxes.length - 1]!
  const px = Math.round(measure[side] * 100) / 100
  return boxes.slice(0, -1).map((box) => set(box.node, { [side]: { kind: 'exact', px } }))
}

/** Two blocks change places: lifted ones by their top left corners, others in their flows. */
export function swapEdits(
  doc: Document,
  layout: PageLayout,
  ids: readonly string[],
  set: SetEdit,
): Edit[] | string {
  if (ids.length !== 2) return 'select exactly two blocks to swap'
  const [a, b] = ids.map((id) => doc.node(id))
  if (!a!.parent || !b!.parent) return 'these blocks cannot be swapped'
  if (doc.isInside(a!.id, b!.id) || doc.isInside(b!.id, a!.id)) return 'one of these blocks lies in the other'
  if ((a!.kind === 'section') !== (b!.kind === 'section'))
    return 'a section can only change places with a section'
  const boxes = [a, b].map((node) => layout.boxes.get(node!.id))
  if (boxes.every((box) => box && isLiftedBox(box))) {
    const [one, other] = [layout.rect(a!.id), layout.rect(b!.id)]
    if (one && other)
      return [
        set(a!, pinsAt(layout, a!.id, { x: other.x, y: other.y })),
        set(b!, pinsAt(layout, b!.id, { x: one.x, y: one.y })),
      ]
  }
  if (a!.parent === b!.parent)
    return [
      { op: 'move', node: a!.id, parent: a!.parent, order: b!.order },
      { op: 'move', node: b!.id, parent: b!.parent, order: a!.order },
    ]
  const indexOf = (node: Node) => doc.node(node.parent!).children.indexOf(node.id)
  return [
    { op: 'move', node: a!.id, parent: b!.parent, order: orderAt(doc, b!.parent, indexOf(b!)) },
    { op: 'move', node: b!.id, parent: a!.parent, order: orderAt(doc, a!.parent, indexOf(a!)) },
  ]
}

/** In front of or behind its lifted siblings, by one or all the way. */
export function stackEdits(
  layout: PageLayout,
  id: string,
  to: 'front' | 'forward' | 'backward' | 'back',
  set: SetEdit,
): Edit[] | string {
  const box = layout.boxes.get(id)
  if (!box?.parent || !isLiftedBox(box)) return 'only lifted blocks lie over each other; lift it first'
  const z = (each: LayoutBox) => each.resolved.z ?? 0
  const others = box.parent.lifted.filter((each) => each !== box)
  const levels = others.map(z)
  const own = z(box)
  const index = (each: LayoutBox) => box.parent!.lifted.indexOf(each)
  const above = others.filter((each) => z(each) > own || (z(each) === own && index(each) > index(box)))
  const below = others.filter((each) => z(each) < own || (z(each) === own && index(each) < index(box)))
  const ahead = to === 'front' || to === 'forward'
  if ((ahead ? above : below).length === 0) return []
  if (to === 'front') return [set(box.node, { z: Math.max(...levels) + 1 })]
  if (to === 'back') return [set(box.node, { z: Math.min(...levels) - 1 })]
  const next = ahead ? Math.min(...above.map(z)) + 1 : Math.max(...below.map(z)) - 1
  return [set(box.node, { z: next })]
}
