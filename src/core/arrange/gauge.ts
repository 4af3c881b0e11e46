/** The gauge: distances between blocks, and from a block to what it lies in. All px on a sheet. */
import { formatPx } from '../lattice/solve'
import { spanWidth, type UsedLattice } from '../lattice/used'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'

export type Distance = {
  axis: 'x' | 'y'
  /** Along the axis. */
  from: number
  to: number
  /** Where to draw it across the axis. */
  at: number
  length: number
}

const right = (rect: Rect) => rect.x + rect.width
const bottom = (rect: Rect) => rect.y + rect.height

function along(axis: 'x' | 'y', from: number, to: number, at: number): Distance[] {
  const length = Math.abs(to - from)
  return length < 0.01 ? [] : [{ axis, from: Math.min(from, to), to: Math.max(from, to), at, length }]
}

/** The middle of what two stretches share, or of what lies between them. */
const shared = (a0: number, a1: number, b0: number, b1: number) => (Math.max(a0, b0) + Math.min(a1, b1)) / 2

export const contains = (outer: Rect, inner: Rect): boolean =>
  outer.x <= inner.x + 0.01 &&
  outer.y <= inner.y + 0.01 &&
  right(outer) >= right(inner) - 0.01 &&
  bottom(outer) >= bottom(inner) - 0.01

/** From a block to the four edges of what it lies in. */
function inside(outer: Rect, inner: Rect): Distance[] {
  const cx = inner.x + inner.width / 2
  const cy = inner.y + inner.height / 2
  return [
    ...along('x', outer.x, inner.x, cy),
    ...along('x', right(inner), right(outer), cy),
    ...along('y', outer.y, inner.y, cx),
    ...along('y', bottom(inner), bottom(outer), cx),
  ]
}

/** The distances between two blocks: to the edges when one holds the other, else the gaps; overlapping ones edge to edge. */
export function distances(a: Rect, b: Rect): Distance[] {
  if (contains(a, b)) return inside(a, b)
  if (contains(b, a)) return inside(b, a)
  const y = shared(a.y, bottom(a), b.y, bottom(b))
  const x = shared(a.x, right(a), b.x, right(b))
  const out: Distance[] = []
  if (right(a) <= b.x + 0.01) out.push(...along('x', right(a), b.x, y))
  else if (right(b) <= a.x + 0.01) out.push(...along('x', right(b), a.x, y))
  if (bottom(a) <= b.y + 0.01) out.push(...along('y', bottom(a), b.y, x))
  else if (bottom(b) <= a.y + 0.01) out.push(...along('y', bottom(b), a.y, x))
  if (out.length > 0) return out
  return [...along('x', a.x, b.x, y), ...along('x', right(a), right(b), y), ...along('y', a.y, b.y, x)]
}

/** A distance in words: px, and the lattice's own measure when it is one. */
export function distanceWords(used: UsedLattice, { axis, length }: Distance): string {
  const px = formatPx(length)
  if (axis !== 'x') return px
  if (Math.abs(length - used.gutter) < 0.5) return `${px} · gutter`
  for (let n = 1; n <= used.columns; n++)
    if (Math.abs(length - spanWidth(used, n)) < 0.5) return `${px} · ${n} col`
  return px
}

export type Gauged = { from: Rect; to: Rect; distances: Distance[] }

/**
 * Measures from a block to another; to itself or nothing: to what it lies in, for a section the sheet.
 * @returns undefined when the sheet does not show the block
 */
export function gauge(layout: PageLayout, id: string, target: string | undefined): Gauged | undefined {
  const from = layout.seen(id)
  if (!from) return undefined
  const sheet = { x: 0, y: 0, width: layout.used.width, height: layout.height }
  const other = target !== undefined && target !== id ? target : layout.boxes.get(id)?.parent?.id
  const to = other === undefined || other === layout.page ? sheet : (layout.seen(other) ?? sheet)
  return { from, to, distances: distances(from, to) }
}
