/** Lattices: equal columns, automatic rows, spans, auto-placement, subgrids (CSS Grid 2 §8, §9, §11). */

import { placeItems } from '../lattice/cells'
import { percentOf } from '../text/unit'
import { alignOffset, spread } from './alignment'
import { baselineOf, sharesBaseline } from './baseline'
import { Align, clamp, Flow, type LayoutBox, Sizing, Spread, type Tracks } from './box'
import { fitContent, heightIn } from './intrinsic'
import { layoutBox, measureHeight } from './place'

function ownTracks(box: LayoutBox, width: number): Tracks {
  const inner = Math.max(0, width - box.padX)
  const left = new Float64Array(box.columns)
  const size = new Float64Array(box.columns)
  // Tracks are whole layout units, of a share in single precision; what is left of one goes to the next.
  const each = Math.fround(Math.max(0, ((inner - box.colGap * (box.columns - 1)) * 64) / box.columns))
  let rest = 0
  let at = box.borL + box.padL
  for (let i = 0; i < box.columns; i++) {
    const units = Math.floor(each + rest + 1e-12)
    rest = Math.max(0, each + rest - units)
    left[i] = at
    size[i] = units / 64
    at += size[i]! + box.colGap
  }
  return { left, width: size, gap: box.colGap }
}

/** The parent's tracks as a subgrid sees them: the same lines, the outer ones moved in by its padding and border. */
function subTracks(parent: Tracks, item: LayoutBox, span: number): Tracks {
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

const sameTracks = (a: Tracks | null, b: Tracks) =>
  a !== null &&
  a.left.length === b.left.length &&
  a.left.every((x, i) => x === b.left[i] && a.width[i] === b.width[i])

export function layoutLattice(box: LayoutBox, width: number, height: number): number {
  const tracks = box.subgrid && box.tracks ? box.tracks : ownTracks(box, width)
  const items = box.kids
  const columns = tracks.left.length
  const rows = placeItems(items, columns, box.dense)
  const need = new Float64Array(rows)
  const least = new Float64Array(rows)
  /** Where the rows' baselines lie from their tops, px. */
  const baseline = new Float64Array(rows).fill(Number.NEGATIVE_INFINITY)
  const ascent = new Float64Array(rows).fill(Number.NEGATIVE_INFINITY)
  const descent = new Float64Array(rows).fill(Number.NEGATIVE_INFINITY)
  const leastDescent = new Float64Array(rows).fill(Number.NEGATIVE_INFINITY)

  for (const item of items) {
    const span = Math.min(item.span, columns)
    const last = item.column + span - 1
    item.low = Math.max(0, tracks.left[last]! + tracks.width[last]! - tracks.left[item.column]!)
    item.target = itemWidth(item, item.low, heightIn(item, Number.NaN))
    if (isSubgrid(item)) {
      const inherited = subTracks(tracks, item, span)
      if (!sameTracks(item.tracks, inherited)) {
        item.tracks = inherited
        item.lastW = item.measuredW = Number.NaN
      }
    }
    const given =
      item.heightKind === Sizing.Exact
        ? Math.max(item.padY, clamp(item.heightValue, item.minH, item.maxH))
        : Number.NaN
    item.cross = Number.isNaN(given) ? measureHeight(item, item.target) : given
    // §11.5: what a row needs at the least is the item's minimum size; automatic, that is its content. The handoff
    // sets `min-height: 0` on pictures.
    const shrinks =
      Number.isNaN(given) && (item.clip || item.flow === Flow.Picture || !Number.isNaN(item.minH))
    const floor = shrinks ? Math.max(item.padY, item.minH || 0) : item.cross
    const shares = sharesBaseline(item)
    let above = 0
    if (shares) {
      layoutBox(item, item.target, given, !Number.isNaN(given))
      above = baselineOf(item)
      baseline[item.row] = Math.max(baseline[item.row]!, above)
      // In Chromium a subgrid is shifted in a row but never to make it; only an empty one shifts the others for its own baseline.
      if (!isSubgrid(item) || item.kids.length === 0) ascent[item.row] = Math.max(ascent[item.row]!, above)
    }
    const shifted = shares && !isSubgrid(item)
    if (shifted) descent[item.row] = Math.max(descent[item.row]!, item.cross - above)
    else need[item.row] = Math.max(need[item.row]!, item.cross)
    // The shift to the baseline counts with a content's height, not with a minimum size in Chromium.
    if (shifted && !shrinks) leastDescent[item.row] = Math.max(leastDescent[item.row]!, floor - above)
    else least[item.row] = Math.max(least[item.row]!, floor)
  }
  const gaps = box.rowGap * Math.max(0, rows - 1)
  let total = gaps
  for (let r = 0; r < rows; r++) {
    if (ascent[r]! > Number.NEGATIVE_INFINITY) {
      need[r] = Math.max(need[r]!, ascent[r]! + descent[r]!)
      least[r] = Math.max(least[r]!, ascent[r]! + leastDescent[r]!)
    }
    total += need[r]!
  }

  const auto = Number.isNaN(height)
  let available = auto ? clamp(total + box.padY, box.minH, box.maxH) - box.padY : height - box.padY
  available = Math.max(0, available)
  // A height that merely came out so (a clamped automatic one) does not press the rows together.
  const sizes = auto ? need : fitRows(need, least, available - gaps)
  let used = gaps
  for (let r = 0; r < rows; r++) used += sizes[r]!
  const free = available - used
  let offset = box.borT + box.padT
  let between = 0
  if (box.alignContent === Spread.Stretch) {
    if (free > 0) for (let r = 0; r < rows; r++) sizes[r]! += free / rows
  } else if (rows > 0 && !(auto && isSubgrid(box))) {
    // In Chromium the rows of a nested lattice are not aligned in a height that only its limits make other than theirs.
    const share = spread(box.alignContent, free, rows)
    offset += share.lead
    between = share.between
  }
  box.rows = sizes
  const tops = new Float64Array(rows)
  for (let r = 0; r < rows; r++) {
    tops[r] = offset
    offset += sizes[r]! + box.rowGap + between
  }
  for (const item of items)
    placeItem(box, item, tracks, tops[item.row]!, sizes[item.row]!, baseline[item.row]!)
  return available + box.padY
}

/** Rows under a fixed height: from their least to what they need, sharing the room equally (§11.6). */
function fitRows(need: Float64Array, least: Float64Array, room: number): Float64Array {
  const sizes = least.slice()
  let free = room
  for (const size of sizes) free -= size
  for (let guard = 0; guard <= sizes.length && free > 1e-9; guard++) {
    const growing = [...sizes.keys()].filter((r) => sizes[r]! < need[r]! - 1e-9)
    if (growing.length === 0) break
    const share = free / growing.length
    for (const r of growing) {
      const add = Math.min(share, need[r]! - sizes[r]!)
      sizes[r]! += add
      free -= add
    }
  }
  return sizes
}

const isSubgrid = (item: LayoutBox) => item.subgrid && item.flow === Flow.Lattice

function itemWidth(item: LayoutBox, area: number, height: number): number {
  // Chromium gives a subgrid its area even where padding and border alone are wider.
  if (isSubgrid(item)) return area
  let size: number
  switch (item.widthKind) {
    case Sizing.Exact:
      size = item.widthValue
      break
    case Sizing.Percent:
      size = percentOf(area, item.widthValue)
      break
    case Sizing.Stretch:
      size = area
      break
    default:
      size = fitContent(item, area, height)
  }
  return Math.max(item.padX, clamp(size, item.minW, item.maxW))
}

function placeItem(
  box: LayoutBox,
  item: LayoutBox,
  tracks: Tracks,
  top: number,
  rowHeight: number,
  baseline: number,
) {
  let given = Number.NaN
  if (item.heightKind === Sizing.Exact) given = item.heightValue
  else if (item.heightKind === Sizing.Percent) given = percentOf(rowHeight, item.heightValue)
  else if (item.heightKind === Sizing.Stretch) given = rowHeight
  if (!Number.isNaN(given)) {
    item.cross = Math.max(item.padY, clamp(given, item.minH, item.maxH))
    if (item.followsHeight > 0) item.target = itemWidth(item, item.low, item.cross)
    layoutBox(item, item.target, item.cross, true)
  } else item.cross = layoutBox(item, item.target, Number.NaN, false)
  item.width = item.target
  item.height = item.cross
  const left = tracks.left[item.column]!
  const spare = item.low - item.width
  const filled = item.widthKind === Sizing.Stretch
  const justify =
    box.justify === Spread.Center ? Align.Center : box.justify === Spread.End ? Align.End : Align.Start
  item.x = filled ? left : left + alignOffset(justify, spare)
  if (sharesBaseline(item)) item.y = top + baseline - baselineOf(item)
  else if (item.heightKind === Sizing.Stretch) item.y = top
  else item.y = top + alignOffset(item.alignSelf, rowHeight - item.height)
}
