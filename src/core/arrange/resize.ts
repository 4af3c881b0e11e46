/** Sizing a block by an edge or a corner: the rect it gets, what the moving edges snap to, and the props that say it. All px on a sheet. */

import type { PropChanges } from '../edits/edit'
import { type LayoutBox, Sizing } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { contentRect, type Rect } from '../layout/rect'
import type { Size } from '../properties/values'
import { isLiftedBox, isStretched, pinsAt } from './pins'
import { nearest, onBaseline, type Side, type SnapLine, type Snapped } from './snap'
import { columnAt, isOnLattice, sizeOnColumns } from './spans'

/** The edge or corner that is dragged: −1 left or top, 1 right or bottom, 0 neither. */
export type Handle = { across: -1 | 0 | 1; down: -1 | 0 | 1 }
export type ResizeManner = {
  /** Keeps the proportions. */
  ratio: boolean
  /** The opposite edge goes as far the other way. */
  centre: boolean
}

/** One axis: which edge moves, how far; the size is never less than 0. */
function stretchTo(start: number, size: number, way: -1 | 0 | 1, by: number, centre: boolean) {
  if (way === 0) return { start, size }
  const grown = Math.max(0, size + by * way * (centre ? 2 : 1))
  if (centre) return { start: start + (size - grown) / 2, size: grown }
  return { start: way < 0 ? start + size - grown : start, size: grown }
}

/** The rect after a handle was dragged by `dx`, `dy`. */
export function resizeRect(rect: Rect, handle: Handle, dx: number, dy: number, manner: ResizeManner): Rect {
  const x = stretchTo(rect.x, rect.width, handle.across, dx, manner.centre)
  const y = stretchTo(rect.y, rect.height, handle.down, dy, manner.centre)
  const free = { x: x.start, y: y.start, width: x.size, height: y.size }
  if (!manner.ratio || rect.width === 0 || rect.height === 0) return free
  const wide = free.width / rect.width
  const tall = free.height / rect.height
  const leads = handle.down === 0 || (handle.across !== 0 && Math.abs(wide - 1) >= Math.abs(tall - 1))
  const scale = leads ? wide : tall
  return scaled(rect, handle, rect.width * scale, rect.height * scale, manner.centre)
}

/** `rect` at another size, with the edge or corner opposite to the handle where it was. */
function scaled(rect: Rect, { across, down }: Handle, width: number, height: number, centre: boolean): Rect {
  const at = (start: number, before: number, after: number, way: -1 | 0 | 1) =>
    centre ? start + (before - after) / 2 : way < 0 ? start + before - after : start
  return {
    x: at(rect.x, rect.width, width, across),
    y: at(rect.y, rect.height, height, down),
    width,
    height,
  }
}

const side = (way: -1 | 1): Side => (way < 0 ? 'start' : 'end')

/**
 * The same, with the moving edges landing on lines within `reach` px: a left edge only on lines for left edges. With proportions kept
 * only the edge that leads snaps. `baseline` px: a rhythm that moving top and bottom edges also land on; 0: none.
 */
export function snapResize(
  rect: Rect,
  handle: Handle,
  dx: number,
  dy: number,
  manner: ResizeManner,
  lines: readonly SnapLine[],
  reach: number,
  baseline = 0,
): Snapped {
  const wanted = resizeRect(rect, handle, dx, dy, manner)
  const hits: SnapLine[] = []
  const shift = { x: 0, y: 0 }
  const { across, down } = handle
  if (across !== 0) {
    const edge = across < 0 ? wanted.x : wanted.x + wanted.width
    const found = nearest(lines, 'x', [[side(across), edge]], reach)
    if (found) {
      hits.push(found.line)
      shift.x = found.shift
    }
  }
  if (down !== 0 && !(manner.ratio && hits.length > 0)) {
    const edge = down < 0 ? wanted.y : wanted.y + wanted.height
    const found =
      nearest(lines, 'y', [[side(down), edge]], reach) ?? onBaseline([[side(down), edge]], baseline, reach)
    if (found) {
      hits.push(found.line)
      shift.y = found.shift
    }
  }
  if (hits.length === 0) return { rect: wanted, hits }
  if (!manner.ratio) return { rect: resizeRect(rect, handle, dx + shift.x, dy + shift.y, manner), hits }
  // The edge that snapped leads; the other side follows in proportion.
  const leading: Handle = hits[0]!.axis === 'x' ? { across, down: 0 } : { across: 0, down }
  const led = resizeRect(
    rect,
    leading,
    hits[0]!.axis === 'x' ? edgeShift(rect, wanted, across, 'x') + shift.x : 0,
    hits[0]!.axis === 'y' ? edgeShift(rect, wanted, down, 'y') + shift.y : 0,
    manner,
  )
  return { rect: scaled(rect, handle, led.width, led.height, manner.centre), hits }
}

/** How far the dragged edge has gone from one rect to another. */
function edgeShift(before: Rect, after: Rect, way: -1 | 0 | 1, axis: 'x' | 'y'): number {
  const size = axis === 'x' ? 'width' : 'height'
  return way < 0 ? after[axis] - before[axis] : after[axis] + after[size] - before[axis] - before[size]
}

/**
 * A turned block at another size, moved so that the edge or corner opposite to the handle, or the centre, stays where it is seen.
 * Blocks turn about their centre, which another size moves.
 * @param degrees clockwise, as CSS `rotate`
 */
export function anchorTurned(
  rect: Rect,
  to: Rect,
  handle: Handle,
  manner: ResizeManner,
  degrees: number,
): Rect {
  const angle = (degrees * Math.PI) / 180
  // From the centre to what stays, as it is seen.
  const arm = ({ width, height }: Rect) => {
    const x = manner.centre ? 0 : (-handle.across * width) / 2
    const y = manner.centre ? 0 : (-handle.down * height) / 2
    return { x: x * Math.cos(angle) - y * Math.sin(angle), y: x * Math.sin(angle) + y * Math.cos(angle) }
  }
  const before = arm(rect)
  const after = arm(to)
  return {
    ...to,
    x: rect.x + rect.width / 2 + before.x - after.x - to.width / 2,
    y: rect.y + rect.height / 2 + before.y - after.y - to.height / 2,
  }
}

const round = (value: number) => Math.round(value * 100) / 100

/** A length in the way the side was said before: a percentage stays one, everything else becomes exact. */
function sizeLike(layout: PageLayout, box: LayoutBox, which: 'width' | 'height', px: number): Size {
  const kind = which === 'width' ? box.widthKind : box.heightKind
  const parent = box.parent
  const around = parent && layout.rect(parent.id)
  if (kind === Sizing.Percent && parent && around && box.pins === null) {
    const room = contentRect(parent, around)[which]
    if (room > 0) return { kind: 'percent', percent: Math.round((px / room) * 1e5) / 1e3 }
  }
  return { kind: 'exact', px: Math.max(0, round(px)) }
}

/** The props that give a block the size, and a lifted one the place, of `to`. Axes that the handle does not change stay as they are. */
export function resizeProps(
  layout: PageLayout,
  id: string,
  to: Rect,
  handle: Handle,
  manner: ResizeManner,
): PropChanges {
  const box = layout.boxes.get(id)
  if (!box) return {}
  const props: PropChanges = {}
  const wide = handle.across !== 0 || manner.ratio
  const tall = handle.down !== 0 || manner.ratio
  if (wide && !isStretched(box, 'width')) props.width = sizeLike(layout, box, 'width', to.width)
  if (tall && !isStretched(box, 'height')) props.height = sizeLike(layout, box, 'height', to.height)
  if (!isLiftedBox(box)) return props
  const now = layout.rect(id)
  const moves = (axis: 'x' | 'y') => now !== undefined && Math.abs(to[axis] - now[axis]) > 0.005
  return {
    ...props,
    ...pinsAt(layout, id, {
      ...(wide || moves('x') ? { x: to.x, width: wide ? to.width : undefined } : {}),
      ...(tall || moves('y') ? { y: to.y, height: tall ? to.height : undefined } : {}),
    }),
  }
}

/** The columns that a block on the lattice covers once its left or right edge was dragged to `edge`; undefined off a lattice. */
export function resizeOnColumns(
  layout: PageLayout,
  id: string,
  across: -1 | 1,
  edge: number,
  start: { from: number; to: number },
): { size: Size; from: number; to: number } | undefined {
  const box = layout.boxes.get(id)
  if (!box || !isOnLattice(layout, box.node)) return undefined
  const used = layout.usedFor(id)
  // A right edge goes to a column's right edge, a left edge to a left one: never into a gutter.
  const column = columnAt(used, edge - (across * used.columnWidth) / 2)
  const from = across > 0 ? start.from : Math.min(column, start.to)
  const to = across > 0 ? Math.max(column, start.from) : start.to
  return { size: sizeOnColumns(layout, box.node, from, to), from, to }
}
