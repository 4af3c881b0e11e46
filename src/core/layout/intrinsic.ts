/** Intrinsic inline sizes (CSS Sizing 3 §5, Flexbox §9.9, Grid 2 §11). Border boxes, px. */

import { placeItems } from '../lattice/cells'
import { cutToUnit, percentOf } from '../text/unit'
import { clamp, Flow, type LayoutBox, Sizing } from './box'
import { layoutBox } from './place'
import { isSubgrid, widthOfShares } from './tracks'

/** Lattices, one in another, through which a width follows a height: each has to be laid out twice to know its own. */
const DEEPEST = 4

/**
 * The box's content at its narrowest, with padding and border, whatever its own width says.
 * @param height of its border box where that is known beforehand, px: pictures in it may follow it; NaN: not known
 */
export function minContent(box: LayoutBox, height: number): number {
  forgetAt(box, height)
  if (Number.isNaN(box.minContent)) box.minContent = transferred(box, contentSize(box, false, height))
  return box.minContent
}

/** The box's content with nothing wrapped. */
export function maxContent(box: LayoutBox, height: number): number {
  forgetAt(box, height)
  if (Number.isNaN(box.maxContent)) box.maxContent = transferred(box, contentSize(box, true, height))
  return box.maxContent
}

/** Drops what was found at another height. */
function forgetAt(box: LayoutBox, height: number) {
  if (Object.is(box.contentAt, height)) return
  box.contentAt = height
  if (box.followsHeight === 0) return
  box.minContent = Number.NaN
  box.maxContent = Number.NaN
}

/**
 * What a box adds to its parent's intrinsic size: its own width when that is a length, else its content.
 * @param room height of the parent's content, or of its row, where it is known, px; else NaN
 */
function contribution(box: LayoutBox, max: boolean, room: number): number {
  let size: number
  if (box.widthKind === Sizing.Exact) size = Math.max(box.widthValue, box.padX)
  else if (box.flow === Flow.Picture) size = pictureContribution(box, max, room)
  else {
    const height = heightIn(box, room)
    size = max ? maxContent(box, height) : minContent(box, height)
  }
  return Math.max(clamp(size, box.minW, box.maxW), box.padX)
}

/** The height a box has whatever its content: a length, or a share of a height that is known; else NaN. */
export function heightIn(box: LayoutBox, room: number): number {
  let height = Number.NaN
  if (box.heightKind === Sizing.Exact) height = box.heightValue
  else if (box.heightKind === Sizing.Percent) height = percentOf(room, box.heightValue)
  // In a column a stretched height is shared out after the widths are known.
  else if (box.heightKind === Sizing.Stretch && (box.pins !== null || box.parent?.flow !== Flow.Column))
    height = room
  return Number.isNaN(height) ? height : Math.max(box.padY, clamp(height, box.minH, box.maxH))
}

/** As `followsHeight`, of what a box adds to its parent's size when the parent's height changes. */
function takesHeight(box: LayoutBox): number {
  if (box.heightKind !== Sizing.Percent && box.heightKind !== Sizing.Stretch) return 0
  if (box.widthKind === Sizing.Exact) return 0
  return box.flow === Flow.Picture ? 1 : box.followsHeight
}

/** The content width of a frame, held to what its least and most heights are by its ratio (CSS Sizing 4 §5.1.1), px. */
function transferred(box: LayoutBox, width: number): number {
  if (!(box.ratio > 0) || box.flow === Flow.Picture || box.kids.length > 0) return width
  const least = cutToUnit((box.minH > box.padY ? box.minH : box.padY) * box.ratio)
  return Math.max(box.padX, clamp(width, least, cutToUnit(box.maxH * box.ratio)))
}

/**
 * `fit-content`: as wide as the content, but no wider than `available` unless it cannot shrink so far.
 * @param height as for `minContent`
 */
export function fitContent(box: LayoutBox, available: number, height: number): number {
  const most = maxContent(box, height)
  if (most <= available) return most
  return Math.min(most, Math.max(minContent(box, height), available))
}

function contentSize(box: LayoutBox, max: boolean, height: number): number {
  const pad = box.padX
  const room = Math.max(0, height - box.padY)
  let follows = 0
  let size = pad
  switch (box.flow) {
    case Flow.Text:
      size = (max ? box.typeset!.maxContent : box.typeset!.minContent) + pad
      break
    case Flow.Picture:
      size = pictureContent(box, height)
      follows = 1
      break
    case Flow.Row: {
      let total = 0
      // The lines of a wrapping row share its height out when they are known.
      const line = box.wrap ? Number.NaN : room
      for (const kid of box.kids) {
        const own = kid.before + contribution(kid, max, kid.heightKind === Sizing.Stretch ? line : room)
        total = box.wrap && !max ? Math.max(total, own) : total + own
        follows = Math.max(follows, takesHeight(kid))
      }
      if (!(box.wrap && !max)) total += box.colGap * Math.max(0, box.kids.length - 1)
      size = total + pad
      break
    }
    case Flow.Column:
    case Flow.Stack: {
      let widest = 0
      for (const kid of box.kids) {
        widest = Math.max(widest, contribution(kid, max, room))
        follows = Math.max(follows, takesHeight(kid))
      }
      size = widest + pad
      break
    }
    case Flow.Lattice: {
      // Tracks are minmax(0, 1fr): nothing under min-content; under max-content the widest share of any item.
      const rest = box.colGap * (box.columns - 1) + pad
      size = rest
      if (max) size += widthOfShares(box, shareOf(box, 0, 0, false))
      const within = followsOn(box)
      if (within > 0 && within < DEEPEST) follows = within + 1
      if (!max || follows === 0) break
      // Pictures that follow the rows: once more when these are known (CSS Grid 2 §12.1).
      layoutBox(box, size, height, !Number.isNaN(height))
      // What it is in may have been laid out before with it as it was.
      for (let host = box.parent; host; host = host.parent) host.lastW = Number.NaN
      size = widthOfShares(box, shareOf(box, 0, 0, true)) + rest
    }
  }
  box.followsHeight = follows
  return size
}

/** A picture's share of its parent's size. As wide as its place (`width: 100%`) it is compressible (CSS Sizing 3 §5.2.2). */
function pictureContribution(box: LayoutBox, max: boolean, room: number): number {
  const inRow = box.parent?.flow === Flow.Row
  if (box.widthKind === Sizing.Stretch && inRow) return box.naturalWidth
  return max ? maxContent(box, heightIn(box, room)) : 0
}

/** A picture's own width: what its height gives by its ratio, or the file's, held to what the least and most heights give. */
function pictureContent(box: LayoutBox, height: number): number {
  const widthFor = (high: number) =>
    box.naturalRatio
      ? cutToUnit(Math.max(0, high - box.padY) * box.ratio) + box.padX
      : Math.max(box.padX, cutToUnit(high * box.ratio))
  if (!Number.isNaN(height)) return widthFor(height)
  // A NaN limit stays one.
  const limit = (high: number) => widthFor(Math.max(box.padY, high))
  return clamp(box.naturalWidth + box.padX, limit(box.minH), limit(box.maxH))
}

/** The most of `takesHeight` on a lattice and on those nested in it. */
function followsOn(lattice: LayoutBox): number {
  let most = 0
  for (const kid of lattice.kids) most = Math.max(most, isSubgrid(kid) ? followsOn(kid) : takesHeight(kid))
  return most
}

/**
 * The largest share of a track that any item asks, px; items of subgrids are counted as the lattice's own.
 * @param before what paddings and borders of nested lattices add at this one's first track, px
 * @param after the same at its last track
 */
function shareOf(lattice: LayoutBox, before: number, after: number, withRows: boolean): number {
  placeItems(lattice.kids, lattice.columns, lattice.dense)
  let share = 0
  for (const kid of lattice.kids) {
    const span = Math.min(kid.span, lattice.columns)
    const start = kid.column === 0 ? before : 0
    const end = kid.column + span === lattice.columns ? after : 0
    if (isSubgrid(kid)) {
      share = Math.max(share, shareOf(kid, start + kid.padL + kid.borL, end + kid.padR + kid.borR, withRows))
      continue
    }
    const row = withRows ? lattice.rows![kid.row] : Number.NaN
    const size = contribution(kid, true, row!) - (span - 1) * lattice.colGap + start + end
    share = Math.max(share, size / span)
  }
  return share
}
