/** Lattices: equal columns, automatic rows, spans, auto-placement, subgrids (CSS Grid 2 §8, §9, §11). */

import { placeItems } from '../lattice/cells'
import { cutToUnit, percentOf } from '../text/unit'
import { alignOffset, spread } from './alignment'
import { baselineOf, sharesBaseline } from './baseline'
import { Align, clamp, Flow, type LayoutBox, Sizing, Spread, type Tracks } from './box'
import { fitContent, heightIn } from './intrinsic'
import { layoutBox, measureHeight } from './place'
import { isSubgrid, ownTracks, sameTracks, subTracks } from './tracks'

export function layoutLattice(box: LayoutBox, width: number, height: number): number {
  const items = box.kids
  const inherited = box.subgrid ? box.tracks : null
  const columns = inherited ? inherited.left.length : box.columns
  const rows = placeItems(items, columns, box.dense)
  const tracks = inherited ?? ownTracks(box, width)
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
      const own = subTracks(tracks, item, span)
      if (!sameTracks(item.tracks, own)) {
        item.tracks = own
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
    shareEqually(sizes, [...sizes.keys()], free)
  } else if (rows > 0 && !(auto && isSubgrid(box))) {
    // In Chromium the rows of a nested lattice are not aligned in a height that only its limits make other than theirs.
    const share = spread(box.alignContent, free, rows)
    offset += share.lead
    between = cutToUnit(share.between)
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

/**
 * Gives `free` px to rows in this order: each an equal part of what is left, in whole layout units (Chromium).
 * @param most how high a row may become, px; left out: as high as it gets
 */
function shareEqually(sizes: Float64Array, rows: readonly number[], free: number, most?: Float64Array) {
  let left = Math.max(0, free)
  rows.forEach((row, i) => {
    const part = cutToUnit(left / (rows.length - i))
    const add = most ? Math.min(part, most[row]! - sizes[row]!) : part
    sizes[row]! += add
    left -= add
  })
}

/** Rows under a fixed height: from their least to what they need, sharing the room equally (§11.6). */
function fitRows(need: Float64Array, least: Float64Array, room: number): Float64Array {
  const sizes = least.slice()
  let free = room
  for (const size of sizes) free -= size
  const missing = (row: number) => need[row]! - least[row]!
  const growing = [...sizes.keys()].filter((row) => missing(row) > 0).sort((a, b) => missing(a) - missing(b))
  shareEqually(sizes, growing, free, need)
  return sizes
}

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
