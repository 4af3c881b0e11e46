/** Straight edges in a reference picture: where its boxes begin and end. */
import type { Document } from '../document/document'
import type { Aid, Tracing } from '../document/schema'
import type { Pixels } from '../pictures/pixels'
import { ANY_SIDE, type SnapLine } from './snap'

/** An edge between two px of the picture: `at` px from its left or top, `run` px long. */
export type TracedEdge = { at: number; run: number }

/** A tracing's edges as lines of its sheet. */
export function tracedLines(tracing: Tracing, edges: TracedEdges): SnapLine[] {
  const lines = (axis: 'x' | 'y'): SnapLine[] =>
    edges[axis].map(({ at }) => ({
      axis,
      at: Math.round((tracing[axis] + at * tracing.scale) * 100) / 100,
      sides: ANY_SIDE,
      kind: 'tracing',
      reason: `edge in the tracing, ${axis === 'x' ? 'upright' : 'level'}`,
    }))
  return [...lines('x'), ...lines('y')]
}

export type TracedEdges = { x: TracedEdge[]; y: TracedEdge[] }

/** Least difference of two neighbours (of 255, in the channel that differs most) that counts as an edge. */
const CONTRAST = 10
/** Shortest straight edge, px: letters have none so long. */
const SHORTEST = 24
/** Px an edge may be interrupted, as where a line of text touches it. */
const HOLE = 2

/** How much px `a` and `b` (indices into `data`) differ; alpha as over white. */
function contrast(data: Uint8ClampedArray, a: number, b: number): number {
  const alphaA = data[a + 3]! / 255
  const alphaB = data[b + 3]! / 255
  let most = 0
  for (let c = 0; c < 3; c++) {
    const difference = Math.abs(255 + (data[a + c]! - 255) * alphaA - 255 - (data[b + c]! - 255) * alphaB)
    if (difference > most) most = difference
  }
  return most
}

/** The longest run of true values, holes of up to HOLE px forgiven. */
function longestRun(isEdge: (i: number) => boolean, length: number): number {
  let best = 0
  let begin = -1
  let last = -1
  for (let i = 0; i < length; i++) {
    if (!isEdge(i)) continue
    if (begin < 0 || i - last > HOLE + 1) begin = i
    last = i
    best = Math.max(best, last - begin + 1)
  }
  return best
}

/** Of neighbours the longest: an edge drawn soft over two or three px is one. */
function peaks(runs: Float64Array): TracedEdge[] {
  const found: TracedEdge[] = []
  for (let at = 1; at < runs.length; at++) {
    const run = runs[at]!
    if (run < SHORTEST) continue
    const around = [at - 2, at - 1, at + 1, at + 2].map((i) => runs[i] ?? 0)
    const stronger = around.some((other, k) => other > run || (other === run && k < 2))
    if (!stronger) found.push({ at, run })
  }
  return found
}

/** @param progress called with the share done, 0 … 1 */
export function traceEdges(picture: Pixels, progress?: (share: number) => void): TracedEdges {
  const { width, height, data } = picture
  const upright = new Float64Array(width)
  const level = new Float64Array(height)
  const at = (x: number, y: number) => 4 * (y * width + x)
  for (let x = 1; x < width; x++) {
    upright[x] = longestRun((y) => contrast(data, at(x - 1, y), at(x, y)) >= CONTRAST, height)
    if (x % 64 === 0) progress?.(x / (width + height))
  }
  for (let y = 1; y < height; y++) {
    level[y] = longestRun((x) => contrast(data, at(x, y - 1), at(x, y)) >= CONTRAST, width)
    if (y % 64 === 0) progress?.((width + y) / (width + height))
  }
  return { x: peaks(upright), y: peaks(level) }
}

export const tracingsOn = (aids: readonly Aid[] | undefined, view: string): Tracing[] =>
  (aids ?? []).filter((aid): aid is Tracing => aid.kind === 'tracing' && aid.view === view)

/** How far down a page's tracings reach on a sheet, px. */
export const tracedHeight = (doc: Document, page: string, view: string): number =>
  Math.max(
    0,
    ...tracingsOn(doc.pages.get(page)?.aids, view).map(
      ({ y, scale, asset }) => y + scale * (doc.assets.get(asset)?.height ?? 0),
    ),
  )

type Point = { x: number; y: number }

/**
 * Scales a tracing so that two of its points lie `distance` px apart; the first stays where it is.
 * @returns undefined when the points are the same
 */
export function scaledBy(
  tracing: Tracing,
  first: Point,
  second: Point,
  distance: number,
): Tracing | undefined {
  const now = Math.hypot(second.x - first.x, second.y - first.y)
  if (now < 0.01) return undefined
  const times = distance / now
  const round = (value: number) => Math.round(value * 100) / 100
  return {
    ...tracing,
    x: round(first.x + (tracing.x - first.x) * times),
    y: round(first.y + (tracing.y - first.y) * times),
    scale: Math.round(tracing.scale * times * 1e5) / 1e5,
  }
}
