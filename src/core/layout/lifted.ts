/** Lifted blocks: positioned against their parent's padding box by pins (CSS Positioned Layout 3 §4). */
import type { Kept } from '../lattice/held'
import { cutToUnit, percentOf, toUnit } from '../text/unit'
import { clamp, type LayoutBox, type Pins, Sizing } from './box'
import { fitContent, heightIn } from './intrinsic'
import { layoutBox, ratioHeight } from './place'

const UNPINNED: Pins = {
  left: Number.NaN,
  leftPercent: 0,
  right: Number.NaN,
  rightPercent: 0,
  top: Number.NaN,
  topPercent: 0,
  bottom: Number.NaN,
  bottomPercent: 0,
  centerX: Number.NaN,
  centerY: Number.NaN,
  held: undefined,
}

/** Places every lifted child of `box`, whose border box is `width` × `height`. */
export function placeLifted(box: LayoutBox, width: number, height: number) {
  const blockW = Math.max(0, width - box.borL - box.borR)
  const blockH = Math.max(0, height - box.borT - box.borB)
  for (const item of box.lifted) {
    placePinned(item, blockW, blockH)
    item.x += box.borL
    item.y += box.borT
  }
}

/** Places a block by its pins in a room of so many px. */
export function placePinned(item: LayoutBox, blockW: number, blockH: number) {
  const pins = item.pins ?? UNPINNED
  const start = within(pins.left + percentOf(blockW, pins.leftPercent), pins.held?.left, blockW)
  const end = within(pins.right + percentOf(blockW, pins.rightPercent), pins.held?.right, blockW)
  const above = pins.top + percentOf(blockH, pins.topPercent)
  const below = pins.bottom + percentOf(blockH, pins.bottomPercent)
  const fills = item.heightKind === Sizing.Stretch
  const known = heightIn(item, fills ? filledRoom(pins, 'height', blockH) : blockH)
  const across = axis(true, start, end, pins.centerX, blockW, item.widthKind === Sizing.Stretch, (room) => {
    let size: number
    if (item.widthKind === Sizing.Exact)
      size = pins.held?.width ? Math.min(item.widthValue, blockW) : item.widthValue
    else if (item.widthKind === Sizing.Percent) size = percentOf(blockW, item.widthValue)
    else if (item.widthKind === Sizing.Stretch) size = filledRoom(pins, 'width', blockW)
    else size = fitContent(item, room, known)
    return Math.max(item.padX, clamp(size, item.minW, item.maxW))
  })
  const down = axis(false, above, below, pins.centerY, blockH, fills, () => {
    if (!Number.isNaN(known)) return known
    const shaped = item.ratio > 0 && item.kids.length === 0 && !item.typeset
    if (!shaped) return layoutBox(item, across.size, Number.NaN, false)
    return Math.max(item.padY, clamp(ratioHeight(item, across.size), item.minH, item.maxH))
  })
  if (item.heightKind === Sizing.Snug) layoutBox(item, across.size, Number.NaN, false)
  else layoutBox(item, across.size, down.size, true)
  item.width = across.size
  item.height = down.size
  item.x = across.at
  item.y = down.at
}

/** An inset that leaves room for what is kept behind it, px. */
function within(inset: number, kept: Kept | undefined, block: number): number {
  if (!kept) return inset
  const room = 'px' in kept ? block - toUnit(kept.px) : percentOf(block, 100 - kept.percent)
  return Math.max(0, Math.min(inset, room))
}

/** What two insets leave of the block; all of it for what is centred, px. */
function roomBetween(start: number, end: number, center: number, block: number): number {
  return Number.isNaN(center) ? Math.max(0, block - (start || 0) - (end || 0)) : block
}

/** As wide or high as its pins leave room, `calc(share - length)` in the handoff: summed in single precision, cut once, px. */
export function filledRoom(pins: Pins, side: 'width' | 'height', block: number): number {
  const [start, startPercent, end, endPercent, center] =
    side === 'width'
      ? [pins.left, pins.leftPercent, pins.right, pins.rightPercent, pins.centerX]
      : [pins.top, pins.topPercent, pins.bottom, pins.bottomPercent, pins.centerY]
  if (!Number.isNaN(center)) return block
  const share = 100 - (Number.isNaN(start) ? 0 : startPercent) - (Number.isNaN(end) ? 0 : endPercent)
  const length = -(start || 0) - (end || 0)
  return Math.max(0, toUnit(Math.fround(Math.fround(block * Math.fround(share)) / 100) + length))
}

/**
 * One axis. Unpinned: the start edge. A centre pin is `inset: offset / -offset` with automatic margins, so the size
 * has the whole block for room and an oversized block keeps to its start along the inline axis.
 */
function axis(
  inline: boolean,
  start: number,
  end: number,
  center: number,
  block: number,
  fills: boolean,
  sizeIn: (room: number) => number,
) {
  if (!Number.isNaN(center)) {
    const size = sizeIn(roomBetween(start, end, center, block))
    const margin = cutToUnit((block - size) / 2)
    return { at: center + (inline ? Math.max(0, margin) : margin), size }
  }
  const noStart = Number.isNaN(start)
  const noEnd = Number.isNaN(end)
  const from = noStart ? 0 : start
  const to = noEnd ? 0 : end
  const size = sizeIn(roomBetween(start, end, center, block))
  if (noStart && !noEnd && !fills) return { at: block - to - size, size }
  return { at: from, size }
}
