/** The points of a shape over its sheet: pulled, added, chosen, drawn on; by keys, too. */
import { useEffect, useRef } from 'react'
import type { Point } from '../../core/forms/path'
import { turnBack } from '../../core/layout/rect'
import type { SheetPlace } from '../board/sheet-place'
import { type Editor, makeId } from '../editor/editor-state'
import { useBoard } from '../editor/use-editor'
import { pressPoints } from './point-gesture'
import {
  addAfter,
  chooseAll,
  chosenIn,
  endPoints,
  makeByKey,
  nudge,
  onward,
  openShape,
  step,
  takeAway,
  toggleSmooth,
} from './point-work'
import { PointsDrawn } from './points-drawn'

/** px that an arrow key goes, and with Shift. */
const STEP = 1
const LEAP = 10
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

export function PointsLayer(place: SheetPlace) {
  const editor = useBoard()
  return editor.points?.view === place.view.id ? <Points {...place} /> : null
}

/** What a key does; false: it is not for the points. */
function press(editor: Editor, event: React.KeyboardEvent, gesture: string): boolean {
  const way = ARROWS[event.key]
  const { points } = editor
  if (!points) return false
  if (event.key === 'Escape' && points.drawing && points.id !== undefined)
    editor.set({ points: { ...points, drawing: undefined } })
  else if (event.key === 'Enter' && points.id === undefined) makeByKey(editor)
  else if (event.key === 'Escape' || event.key === 'Enter') endPoints(editor)
  else if (event.ctrlKey || event.metaKey) {
    if (event.key.toLowerCase() !== 'a') return false
    chooseAll(editor)
  } else if (way) {
    const by = event.shiftKey ? LEAP : STEP
    nudge(editor, [way[0] * by, way[1] * by], gesture)
  } else if (event.key === 'PageDown' || event.key === 'PageUp')
    step(editor, event.key === 'PageDown' ? 1 : -1)
  else if (event.key === 'Delete' || event.key === 'Backspace') takeAway(editor)
  else if (event.key === 'Insert' || event.key === '+') addAfter(editor)
  else if (event.key === ' ') toggleSmooth(editor)
  else return false
  return true
}

function Points({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  const layer = useRef<HTMLDivElement>(null)
  const gesture = useRef(makeId())
  const open = openShape(editor)
  useEffect(() => layer.current?.focus({ preventScroll: true }), [])
  const pointAt = ({ clientX, clientY }: { clientX: number; clientY: number }): Point => {
    const seen = layer.current!.getBoundingClientRect()
    const [x, y] = [(clientX - seen.x) / zoom, (clientY - seen.y) / zoom]
    if (!open) return [x, y]
    const back = turnBack(open.box, open.rect.x, open.rect.y, x, y)
    return [back.x, back.y]
  }
  const { points } = editor
  const name = open ? editor.called(open.node) : 'the path'
  return (
    <div
      ref={layer}
      data-points={open ? open.node.id : ''}
      role="application"
      aria-label={
        points?.drawing
          ? `Drawing ${name}: press where its next point is, Escape when done`
          : `Points of ${name}: Page Down to the next, arrows move it, Space makes it a curve or a corner, Enter when done`
      }
      // biome-ignore lint/a11y/noNoninteractiveTabindex: an application is a control
      tabIndex={0}
      className="absolute z-20 touch-none outline-none"
      style={{
        left,
        top,
        width: view.width * zoom,
        height: layout.height * zoom,
        cursor: points?.drawing ? 'crosshair' : 'default',
      }}
      onPointerDown={(event) => {
        layer.current?.focus({ preventScroll: true })
        gesture.current = makeId()
        pressPoints(editor, event, { layout, zoom, pointAt })
      }}
      onKeyDown={(event) => {
        if (!press(editor, event, gesture.current)) return
        event.preventDefault()
        event.stopPropagation()
      }}
      onKeyUp={(event) => {
        if (!ARROWS[event.key]) gesture.current = makeId()
      }}
      onDoubleClick={(event) => {
        event.stopPropagation()
        if (points?.drawing) endPoints(editor)
        else if (open && chosenIn(editor, open.outlines).length > 0) toggleSmooth(editor)
        else endPoints(editor)
      }}
    >
      {open ? (
        <PointsDrawn
          outlines={points?.drawing ? onward(editor, open.outlines) : open.outlines}
          chosen={chosenIn(editor, open.outlines)}
          zoom={zoom}
          turn={open.box.resolved.rotate ?? 0}
          centre={[open.rect.x + open.rect.width / 2, open.rect.y + open.rect.height / 2]}
        />
      ) : (
        points?.first && (
          <PointsDrawn
            outlines={[{ anchors: [points.first], closed: false }]}
            chosen={[]}
            zoom={zoom}
            turn={0}
            centre={[0, 0]}
          />
        )
      )}
    </div>
  )
}
