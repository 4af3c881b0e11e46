/** The columns of a lattice in px, in whole layout units as Chromium hands them out (CSS Grid 2 §12.7.1). */

import { placeItems } from '../lattice/cells'
import { Flow, type LayoutBox, type Tracks } from './box'

/** What Chromium adds to a share before it is cut to whole units: single precision's smallest step at 1. */
const EPSILON = 2 ** -23

export const isSubgrid = (item: LayoutBox) => item.subgrid && item.flow === Flow.Lattice

/** Marks the lines from 0 at which items begin or end, those in subgrids, too. The items stand in their columns. */
function markLines(lines: Uint8Array, items: readonly LayoutBox[], columns: number, from: number) {
  for (const item of items) {
    const span = Math.min(item.span, columns)
    const start = from + item.column
    lines[start] = 1
    lines[start + span] = 1
    if (!isSubgrid(item) || item.kids.length === 0) continue
    placeItems(item.kids, span, item.dense)
    markLines(lines, item.kids, span, start)
  }
}

/** How many tracks lie between one line that an item begins or ends at and the next. The items stand in their columns. */
function stretchesOf({ kids, columns }: LayoutBox): number[] {
  const lines = new Uint8Array(columns + 1)
  lines[columns] = 1
  markLines(lines, kids, columns, 0)
  const stretches: number[] = []
  let start = 0
  for (let end = 1; end <= columns; end++) {
    if (lines[end] === 0) continue
    stretches.push(end - start)
    start = end
  }
  return stretches
}

/**
 * What each stretch of tracks gets, layout units. Chromium takes a stretch as one: it gets its tracks' shares, in single
 * precision, cut to whole units, and what is cut off goes to the next.
 * @param share of one track, units
 */
function handedOut(stretches: readonly number[], share: number): number[] {
  const each = Math.fround(share)
  let rest = 0
  return stretches.map((count) => {
    const wanted = Math.fround(Math.fround(each * count) + rest)
    const units = Math.floor(Math.fround(wanted + EPSILON))
    rest = Math.max(0, Math.fround(wanted - units))
    return units
  })
}

/** The tracks' widths together where one gets `share`, px; no gaps. */
export const widthOfShares = (box: LayoutBox, share: number): number =>
  handedOut(stretchesOf(box), share * 64).reduce((sum, units) => sum + units, 0) / 64

/** The tracks of a lattice `width` px wide whose items stand in their columns. Lines within a stretch lie evenly. */
export function ownTracks(box: LayoutBox, width: number): Tracks {
  const { columns, colGap } = box
  const left = new Float64Array(columns)
  const size = new Float64Array(columns)
  const inner = Math.max(0, width - box.padX)
  const share = Math.max(0, ((inner - colGap * (columns - 1)) * 64) / columns)
  const stretches = stretchesOf(box)
  const handed = handedOut(stretches, share)
  let at = box.borL + box.padL
  let column = 0
  stretches.forEach((count, i) => {
    const units = handed[i]!
    for (let k = 0; k < count; k++) {
      const before = Math.floor((units * k) / count)
      left[column + k] = at + before / 64 + colGap * k
      size[column + k] = (Math.floor((units * (k + 1)) / count) - before) / 64
    }
    at += units / 64 + colGap * count
    column += count
  })
  return { left, width: size, gap: colGap }
}

/** The parent's tracks as a subgrid sees them: the same lines, the outer ones moved in by its padding and border. */
export function subTracks(parent: Tracks, item: LayoutBox, span: number): Tracks {
  const origin = parent.left[item.column]!
  const left = new Float64Array(span)
  const width = new Float64Array(span)
  for (let i = 0; i < span; i++) {
    left[i] = parent.left[item.column + i]! - origin
    width[i] = parent.width[item.column + i]!
  }
  const startPad = item.padL + item.borL
  left[0]! += startPad
  width[0] = width[0]! - startPad
  width[span - 1] = width[span - 1]! - item.padR - item.borR
  // A padding wider than its track leaves the track less than nothing; what spans it counts on from there.
  return { left, width, gap: parent.gap }
}

export const sameTracks = (a: Tracks | null, b: Tracks) =>
  a !== null &&
  a.left.length === b.left.length &&
  a.left.every((x, i) => x === b.left[i] && a.width[i] === b.width[i])
