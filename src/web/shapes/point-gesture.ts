/** A press over the points of a shape, followed to its end: a handle, a point, the line, or nothing lies there. */
import { type SnapLine, snapRect } from '../../core/arrange/snap'
import type { Point } from '../../core/forms/path'
import {
  type AnchorRef,
  allAnchors,
  anchorAt,
  handlePulled,
  handlesPulled,
  inserted,
  isEnd,
  isSame,
  lengthOf,
  minus,
  movedBy,
  nearestAnchor,
  nearestEdge,
  type Outlines,
  plus,
} from '../../core/forms/points'
import { continued } from '../../core/forms/reshape'
import type { PageLayout } from '../../core/layout/page'
import type { Rect } from '../../core/layout/rect'
import { announceSnaps, REACH, THRESHOLD } from '../board/drag'
import { leaveNoClick } from '../board/pull-frame'
import { snapLinesOn } from '../editor/aids'
import { type Editor, makeId } from '../editor/editor-state'
import { followPointer } from '../parts/follow-pointer'
import { chosenIn, closeDrawn, makePath, type Open, onePoint, onward, openShape, reshape } from './point-work'

/** Screen px within which a point, and the line, are taken hold of. */
const NEAR = 8
const NEAR_LINE = 6

export type Sheet = {
  layout: PageLayout
  zoom: number
  pointAt: (event: { clientX: number; clientY: number }) => Point
}

type Pull = {
  /** @param by px on the sheet that the pointer has gone */
  move: (to: Point, event: PointerEvent, gesture: string) => void
  end?: (hasMoved: boolean) => void
}

/** Follows a press as one step of the history. A press that goes nowhere changes nothing. */
function follow(
  editor: Editor,
  event: React.PointerEvent,
  pointAt: Sheet['pointAt'],
  pull: Pull,
  gesture = makeId(),
) {
  const from = [event.clientX, event.clientY]
  let hasMoved = false
  followPointer(event.pointerId, {
    move: (now) => {
      if (!hasMoved && Math.hypot(now.clientX - from[0]!, now.clientY - from[1]!) < THRESHOLD) return
      hasMoved = true
      pull.move(pointAt(now), now, gesture)
    },
    end: () => {
      editor.set({ drag: undefined })
      if (hasMoved) leaveNoClick()
      pull.end?.(hasMoved)
    },
    cancel: () => {
      editor.set({ drag: undefined })
      if (hasMoved) editor.session.giveUp()
    },
  })
}

export function pressPoints(editor: Editor, event: React.PointerEvent, sheet: Sheet) {
  if (event.button !== 0) return
  event.preventDefault()
  event.stopPropagation()
  const at = sheet.pointAt(event)
  const { points } = editor
  if (!points) return
  if (points.drawing) return place(editor, event, sheet, at)
  const open = openShape(editor)
  if (!open) return
  const { outlines } = open
  const reach = NEAR / sheet.zoom
  const handle = handleAt(outlines, chosenIn(editor, outlines), at, reach)
  if (handle) return pullHandle(editor, event, sheet, open, handle)
  const point = nearestAnchor(outlines, at, reach)
  if (point) return pullPoints(editor, event, sheet, open, point)
  const edge = nearestEdge(outlines, at, NEAR_LINE / sheet.zoom)
  if (edge) {
    const [next, made] = inserted(outlines, edge)
    const gesture = makeId()
    if (!reshape(editor, open, next, 'Add a point', gesture)) return
    return pullPoints(editor, event, sheet, { ...open, outlines: next }, made, gesture)
  }
  chooseWithin(editor, event, sheet, open, at)
}

type Handle = { ref: AnchorRef; side: 'into' | 'out' }

/** A handle of a chosen point, at a place. */
function handleAt(
  outlines: Outlines,
  chosen: readonly AnchorRef[],
  at: Point,
  within: number,
): Handle | undefined {
  for (const ref of chosen)
    for (const side of ['into', 'out'] as const) {
      const handle = anchorAt(outlines, ref)?.[side]
      if (handle && lengthOf(minus(handle, at)) <= within) return { ref, side }
    }
  return undefined
}

function pullHandle(
  editor: Editor,
  event: React.PointerEvent,
  { pointAt }: Sheet,
  open: Open,
  { ref, side }: Handle,
) {
  follow(editor, event, pointAt, {
    move: (to, now, gesture) => {
      const next = handlePulled(open.outlines, ref, side, whole(to), now.altKey)
      reshape(editor, open, next, 'Curve', gesture)
    },
  })
}

const whole = ([x, y]: Point): Point => [Math.round(x), Math.round(y)]

/** Places of the other points, as lines to land on. */
const pointLines = (outlines: Outlines, moved: readonly AnchorRef[]): SnapLine[] =>
  allAnchors(outlines)
    .filter((ref) => !moved.some((each) => isSame(each, ref)))
    .slice(0, 60)
    .flatMap((ref) => {
      const [x, y] = anchorAt(outlines, ref)!.at
      const line = (axis: 'x' | 'y', at: number): SnapLine => ({
        axis,
        at,
        sides: ['start'],
        kind: 'siblings',
        reason: 'another point',
      })
      return [line('x', x), line('y', y)]
    })

/** Where a point lands that is pulled to a place: on lines that it comes near to, else on a whole px. */
function landing(editor: Editor, { layout, zoom }: Sheet, to: Point, lines: readonly SnapLine[]): Point {
  const at = whole(to)
  const spot: Rect = { x: at[0], y: at[1], width: 0, height: 0 }
  const { rect, hits } = snapRect({ ...spot, x: to[0], y: to[1] }, lines, REACH / zoom, 0)
  editor.set({ drag: { kind: 'lifted', view: layout.viewId, rect, hits } })
  announceSnaps(editor, hits)
  return [
    hits.some(({ axis }) => axis === 'x') ? rect.x : at[0],
    hits.some(({ axis }) => axis === 'y') ? rect.y : at[1],
  ]
}

function pullPoints(
  editor: Editor,
  event: React.PointerEvent,
  sheet: Sheet,
  open: Open,
  point: AnchorRef,
  gesture?: string,
) {
  const before = chosenIn(editor, open.outlines)
  const isChosen = before.some((ref) => isSame(ref, point))
  const adds = event.shiftKey || event.ctrlKey || event.metaKey
  const chosen = isChosen ? before : adds ? [...before, point] : [point]
  editor.set({ points: { ...editor.points!, chosen } })
  const start = anchorAt(open.outlines, point)!.at
  const grabbed = minus(sheet.pointAt(event), start)
  // What is turned has no lines that the sheet's could meet.
  const isTurned = (open.box.resolved.rotate ?? 0) !== 0
  const lines = isTurned
    ? []
    : [...pointLines(open.outlines, chosen), ...snapLinesOn(editor, open.layout, [open.node.id])]
  follow(
    editor,
    event,
    sheet.pointAt,
    {
      move: (to, now, gesture) => {
        const wanted = minus(to, grabbed)
        const free = now.ctrlKey || now.metaKey || isTurned
        const landed = free ? whole(wanted) : landing(editor, sheet, wanted, lines)
        const way = minus(landed, start)
        const by: Point = now.shiftKey
          ? Math.abs(way[0]) > Math.abs(way[1])
            ? [way[0], 0]
            : [0, way[1]]
          : way
        reshape(editor, open, movedBy(open.outlines, chosen, by), 'Points', gesture)
      },
      end: (hasMoved) => {
        if (hasMoved || !isChosen) return
        const left = adds ? before.filter((ref) => !isSame(ref, point)) : [point]
        editor.set({ points: { ...editor.points!, chosen: left } })
      },
    },
    gesture,
  )
}

/** Pulled over nothing: what lies within is chosen. Pressed there: nothing is. */
function chooseWithin(editor: Editor, event: React.PointerEvent, sheet: Sheet, open: Open, from: Point) {
  const kept = event.shiftKey ? chosenIn(editor, open.outlines) : []
  follow(editor, event, sheet.pointAt, {
    move: (to) => {
      const [left, right] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])]
      const [top, bottom] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])]
      const within = allAnchors(open.outlines).filter((ref) => {
        const [x, y] = anchorAt(open.outlines, ref)!.at
        return x >= left && x <= right && y >= top && y <= bottom
      })
      const more = within.filter((ref) => !kept.some((each) => isSame(each, ref)))
      const rect = { x: left, y: top, width: right - left, height: bottom - top }
      editor.set({
        drag: { kind: 'area', view: sheet.layout.viewId, rect },
        points: { ...editor.points!, chosen: [...kept, ...more] },
      })
    },
    end: (hasMoved) => {
      if (!hasMoved) editor.set({ points: { ...editor.points!, chosen: kept } })
      else editor.announce(`${editor.points!.chosen.length} points chosen`)
    },
  })
}

/** In steps of 45° from the point before. */
function levelled(from: Point, to: Point): Point {
  const way = minus(to, from)
  const angle = (Math.round((Math.atan2(way[1], way[0]) * 4) / Math.PI) * Math.PI) / 4
  const length = way[0] * Math.cos(angle) + way[1] * Math.sin(angle)
  return whole(plus(from, [Math.cos(angle) * length, Math.sin(angle) * length]))
}

/** A press while a path is drawn: its next point, or its first, which closes it. Pulled, it becomes a curve. */
function place(editor: Editor, event: React.PointerEvent, sheet: Sheet, at: Point) {
  const points = editor.points!
  const open = openShape(editor)
  const gesture = makeId()
  if (!open) {
    if (!points.first) {
      editor.set({ points: { ...points, first: { at: whole(at) } } })
      editor.announce('Press where its next point is')
      return follow(editor, event, sheet.pointAt, {
        move: (to) => editor.set({ points: { ...points, first: { at: whole(at), out: whole(to) } } }),
      })
    }
    const to = event.shiftKey ? levelled(points.first.at, at) : whole(at)
    const outlines = [{ anchors: [points.first, { at: to }], closed: false }]
    if (!makePath(editor, sheet.layout, outlines, gesture)) return
    return pullNew(editor, event, sheet, { outline: 0, anchor: 1 }, gesture)
  }
  const end = onePoint(editor)
  if (!end || !isEnd(open.outlines, end)) return editor.set({ points: { ...points, drawing: undefined } })
  const other = { ...end, anchor: end.anchor === 0 ? open.outlines[end.outline]!.anchors.length - 1 : 0 }
  const isBack = lengthOf(minus(anchorAt(open.outlines, other)!.at, at)) <= NEAR / sheet.zoom
  if (isBack && open.outlines[end.outline]!.anchors.length > 2) return closeDrawn(editor)
  const from = anchorAt(open.outlines, end)!.at
  const to = event.shiftKey ? levelled(from, at) : whole(at)
  // Pressed twice on one place, it is done: the double press ends it.
  if (lengthOf(minus(to, from)) < 1) return
  const [next, made] = continued(onward(editor, open.outlines), end, to)
  if (!reshape(editor, open, next, 'Next point', gesture)) return
  editor.set({ points: { ...points, chosen: [made], onward: undefined } })
  pullNew(editor, event, sheet, made, gesture)
}

/** A new point pulled before it is let go: the curve through it. */
function pullNew(
  editor: Editor,
  event: React.PointerEvent,
  { pointAt }: Sheet,
  made: AnchorRef,
  gesture: string,
) {
  const open = openShape(editor)
  if (!open) return
  follow(
    editor,
    event,
    pointAt,
    {
      move: (to) => {
        const handle = whole(to)
        if (!reshape(editor, open, handlesPulled(open.outlines, made, handle), 'Next point', gesture)) return
        const { at } = anchorAt(open.outlines, made)!
        editor.set({ points: { ...editor.points!, onward: { at, handle } } })
      },
    },
    gesture,
  )
}
