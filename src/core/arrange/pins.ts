/** Pins: from a place on the sheet to what keeps a lifted block there. All px on a sheet. */

import type { PropChanges } from '../edits/edit'
import { type LayoutBox, type Pins, Sizing } from '../layout/box'
import { filledRoom } from '../layout/lifted'
import type { PageLayout } from '../layout/page'
import type { Pin } from '../properties/values'
import { percentOf } from '../text/unit'

type Axis = typeof ACROSS | typeof DOWN
const ACROSS = {
  first: 'pinLeft',
  last: 'pinRight',
  centre: 'pinCenterX',
  start: 'left',
  end: 'right',
  middle: 'centerX',
} as const
const DOWN = {
  first: 'pinTop',
  last: 'pinBottom',
  centre: 'pinCenterY',
  start: 'top',
  end: 'bottom',
  middle: 'centerY',
} as const

export const isLiftedBox = (box: LayoutBox): boolean => box.pins !== null

const round = (value: number) => Math.round(value * 100) / 100

/** Where a block held by its middle begins, without its offset: one too wide for its parent keeps to its start, as automatic margins do (CSS 2 §10.3.7). */
const centred = (axis: Axis, size: number, room: number) =>
  axis === ACROSS ? Math.max(0, (room - size) / 2) : (room - size) / 2

/** The pins of one axis for a block of `size` px that begins `start` px from its parent's padding edge, `room` px wide. */
function pinsAlong(axis: Axis, box: LayoutBox, start: number, size: number, room: number): PropChanges {
  const { first, last, centre, start: atStart, end: atEnd, middle } = axis
  const { pins } = box
  const pinned = (key: keyof Pins) => pins !== null && !Number.isNaN(pins[key])
  // A pin said in percent stays one.
  const pin = (key: 'pinLeft' | 'pinRight' | 'pinTop' | 'pinBottom', px: number): Pin => {
    const before = box.resolved[key]
    return before && 'percent' in before && room > 0
      ? { percent: Math.round((px / room) * 1e5) / 1e3 }
      : { px: round(px) }
  }
  if (pinned(middle)) return { [centre]: round(start - centred(axis, size, room)) }
  const ahead = { [first]: pin(first, start) }
  if (!pinned(atEnd)) return ahead
  const behind = { [last]: pin(last, room - start - size) }
  return pinned(atStart) ? { ...ahead, ...behind } : behind
}

/** Whether a lifted block is as large as the room between its two pins. */
export function isStretched(box: LayoutBox, side: 'width' | 'height'): boolean {
  const { pins } = box
  if (!pins) return false
  return side === 'width'
    ? box.widthKind === Sizing.Stretch && !Number.isNaN(pins.left) && !Number.isNaN(pins.right)
    : box.heightKind === Sizing.Stretch && !Number.isNaN(pins.top) && !Number.isNaN(pins.bottom)
}

/** Where on the sheet a block is to be, and, unless it keeps it, how large. */
export type PinPlace = { x?: number; y?: number; width?: number; height?: number }

/**
 * The pins that put a block at a place, kept to the edges or centres it is pinned to; axes without a coordinate stay as they are.
 * A block that is not lifted yet gets pins at its left and top.
 */
export function pinsAt(layout: PageLayout, id: string, to: PinPlace): PropChanges {
  const box = layout.boxes.get(id)
  const room = box && layout.roomOf(box)
  if (!box || !room) return {}
  return {
    ...(to.x === undefined ? {} : pinsAlong(ACROSS, box, to.x - room.x, to.width ?? box.width, room.width)),
    ...(to.y === undefined ? {} : pinsAlong(DOWN, box, to.y - room.y, to.height ?? box.height, room.height)),
  }
}

/** The same for what is seen of the block: where its upright bounds are to begin. */
export function pinsSeenAt(layout: PageLayout, id: string, to: { x?: number; y?: number }): PropChanges {
  const rect = layout.rect(id)
  const seen = layout.seen(id)
  if (!rect || !seen) return {}
  return pinsAt(layout, id, {
    ...(to.x === undefined ? {} : { x: rect.x + to.x - seen.x }),
    ...(to.y === undefined ? {} : { y: rect.y + to.y - seen.y }),
  })
}

export type PinName = 'pinLeft' | 'pinRight' | 'pinTop' | 'pinBottom' | 'pinCenterX' | 'pinCenterY'
const AXIS_OF: Record<PinName, Axis> = {
  pinLeft: ACROSS,
  pinRight: ACROSS,
  pinCenterX: ACROSS,
  pinTop: DOWN,
  pinBottom: DOWN,
  pinCenterY: DOWN,
}

/** Puts a pin in or takes it out, the block staying where it is. An edge and the centre of one axis exclude each other; one pin always stays. */
export function togglePin(layout: PageLayout, id: string, name: PinName): PropChanges {
  const box = layout.boxes.get(id)
  const rect = layout.rect(id)
  const around = box && layout.roomOf(box)
  if (!box?.pins || !rect || !around) return {}
  const axis = AXIS_OF[name]
  const across = axis === ACROSS
  const side = across ? 'width' : 'height'
  const room = around[side]
  const start = across ? rect.x - around.x : rect.y - around.y
  const { pins } = box
  const pinned = (key: keyof Pins) => !Number.isNaN(pins[key])
  const at = {
    [axis.first]: { px: round(start) },
    [axis.last]: { px: round(room - start - rect[side]) },
    [axis.centre]: round(start - centred(axis, rect[side], room)),
  }
  const key = name === axis.first ? axis.start : name === axis.last ? axis.end : axis.middle
  const other = name === axis.first ? axis.end : axis.start
  const size: PropChanges = isStretched(box, side) ? { [side]: { kind: 'exact', px: round(rect[side]) } } : {}
  if (name === axis.centre) {
    if (pinned(axis.middle)) return { [axis.centre]: null, [axis.first]: at[axis.first] }
    return { ...size, [axis.first]: null, [axis.last]: null, [axis.centre]: at[axis.centre] }
  }
  if (pinned(key)) {
    // The last pin of an axis goes over to the other edge.
    const stays = pinned(other)
      ? {}
      : { [name === axis.first ? axis.last : axis.first]: at[name === axis.first ? axis.last : axis.first] }
    return { ...size, ...stays, [name]: null }
  }
  // Pinned on both sides it stretches between them.
  const both: PropChanges = pinned(other) ? { [side]: { kind: 'stretch', weight: 1 } } : {}
  return { ...both, [axis.centre]: null, [name]: at[name] }
}

/** One axis of a lifted block in a parent of another size: where it goes, and how large it is there. px from the parent's padding edge. */
export function pinnedIn(
  box: LayoutBox,
  side: 'width' | 'height',
  before: { start: number; room: number },
  room: number,
): { start: number; size: number } {
  const axis = side === 'width' ? ACROSS : DOWN
  const { pins } = box
  const size = box[side]
  if (!pins) return { start: before.start, size }
  const [first, last] =
    side === 'width' ? [pins.leftPercent, pins.rightPercent] : [pins.topPercent, pins.bottomPercent]
  const from = pins[axis.start] + percentOf(room, first)
  const to = pins[axis.end] + percentOf(room, last)
  if (!Number.isNaN(pins[axis.middle])) return { start: centred(axis, size, room) + pins[axis.middle], size }
  if (isStretched(box, side)) return { start: from, size: filledRoom(pins, side, room) }
  if (!Number.isNaN(from)) return { start: from, size }
  return Number.isNaN(to) ? { start: before.start, size } : { start: room - to - size, size }
}
