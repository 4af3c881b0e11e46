/** Spans: from columns on a sheet to the size that places a block on them, and back. */
import type { Node } from '../document/document'
import { columnLeft, columnsOf, type UsedLattice } from '../lattice/used'
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import type { Size } from '../properties/values'

/** The column (from 1) nearest to x, px from the sheet's left edge. */
export function columnAt(used: UsedLattice, x: number): number {
  const step = used.columnWidth + used.gutter || 1
  return Math.min(
    used.columns,
    Math.max(1, Math.floor((x - used.left - used.inset + used.gutter / 2) / step) + 1),
  )
}

/** Where a block's parent begins on the view's lattice: subgrids count their own columns from 1. */
function columnsBefore(layout: PageLayout, node: Node): number {
  const parent = node.parent ? layout.boxes.get(node.parent) : undefined
  if (!parent?.subgrid) return 0
  const rect = layout.rect(parent.id)
  return rect ? columnsOf(layout.usedFor(parent.id), rect.x, rect.width).from - 1 : 0
}

/** Whether a block's place is said in columns, or only its width. */
export function isOnLattice(layout: PageLayout, node: Node): boolean {
  const parent = node.parent ? layout.boxes.get(node.parent) : undefined
  const box = layout.boxes.get(node.id)
  return parent?.flow === Flow.Lattice && box?.pins === null
}

/** The columns a block covers on the view's lattice, counted from 1. */
export function coverOf(
  layout: PageLayout,
  id: string,
): { from: number; to: number; exact: boolean } | undefined {
  const rect = layout.rect(id)
  if (!rect) return undefined
  const { from, span, exact } = columnsOf(layout.usedFor(id), rect.x, rect.width)
  return { from, to: from + span - 1, exact }
}

/** The size that puts a block on columns `from`–`to` of the view's lattice. */
export function sizeOnColumns(layout: PageLayout, node: Node, from: number, to: number): Size {
  const low = Math.min(from, to)
  const high = Math.max(from, to)
  if (!isOnLattice(layout, node)) return { kind: 'columns', span: high - low + 1 }
  const before = columnsBefore(layout, node)
  const columns = layout.boxes.get(node.parent!)!.columns
  const first = Math.min(columns, Math.max(1, low - before))
  return { kind: 'columns', span: Math.max(1, Math.min(columns, high - before) - first + 1), from: first }
}

/**
 * Where a block would stand after being dragged sideways in its lattice by `dx` px: as wide as it is, on whole columns. One that is
 * placed automatically goes only to free columns at its row's end, where nothing else moves for it. Undefined: it cannot slide there.
 */
export function slideOnColumns(
  layout: PageLayout,
  id: string,
  dx: number,
): { size: Size; from: number; to: number; rect: Rect } | undefined {
  const box = layout.boxes.get(id)
  const rect = layout.rect(id)
  const cover = coverOf(layout, id)
  if (!box || !rect || !cover || !isOnLattice(layout, box.node)) return undefined
  const used = layout.usedFor(id)
  const span = cover.to - cover.from + 1
  const wanted = columnAt(used, rect.x + dx + used.columnWidth / 2)
  const from = Math.min(wanted, used.columns - span + 1)
  if (box.from === 0 && !(box.resolved.width.kind === 'columns' && isFreeBehind(layout, box, from)))
    return undefined
  const to = from + span - 1
  if (!isFree(layout, box, from, to)) return undefined
  const size = sizeOnColumns(layout, box.node, from, to)
  const x = columnLeft(used, from)
  return { size, from, to, rect: { ...rect, x } }
}

/** Whether nothing else in a block's row stands on columns `from`–`to` of the view's lattice: it would have to leave the row. */
function isFree(layout: PageLayout, box: LayoutBox, from: number, to: number): boolean {
  const before = columnsBefore(layout, box.node)
  return box.parent!.kids.every(
    (kid) =>
      kid === box ||
      kid.row !== box.row ||
      kid.column + kid.span <= from - 1 - before ||
      kid.column >= to - before,
  )
}

/** Whether what stands in a block's row stands before it, and ends before column `from` of the view's lattice. */
function isFreeBehind(layout: PageLayout, box: LayoutBox, from: number): boolean {
  const { kids } = box.parent!
  const own = kids.indexOf(box)
  const first = from - 1 - columnsBefore(layout, box.node)
  return kids.every(
    (kid, i) => kid === box || kid.row !== box.row || (i < own && kid.column + kid.span <= first),
  )
}

/** “columns 3–6 of 12”. */
export const columnWords = ({ from, to }: { from: number; to: number }, { columns }: UsedLattice): string =>
  `${from === to ? `column ${from}` : `columns ${from}–${to}`} of ${columns}`
