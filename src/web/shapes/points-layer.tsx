/** The points of a shape over its sheet: pulled, added, chosen, drawn on; by keys, too. */
import { useEffect, useMemo, useRef } from 'react'
import type { Point } from '../../core/forms/path'
import { pathData } from '../../core/forms/path'
import { type AnchorRef, anchorAt, isSmooth, type Outlines, pathOfOutlines } from '../../core/forms/points'
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
        <Drawn
          outlines={points?.drawing ? onward(editor, open.outlines) : open.outlines}
          chosen={chosenIn(editor, open.outlines)}
          zoom={zoom}
          turn={open.box.resolved.rotate ?? 0}
          centre={[open.rect.x + open.rect.width / 2, open.rect.y + open.rect.height / 2]}
        />
      ) : (
        points?.first && (
          <Drawn
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

/** Dots as one path each: of thousands of points none costs an element. */
const dots = (points: readonly Point[]) => points.map(([x, y]) => `M${x} ${y}h0`).join('')

function Drawn({
  outlines,
  chosen,
  zoom,
  turn,
  centre,
}: {
  outlines: Outlines
  chosen: readonly AnchorRef[]
  zoom: number
  turn: number
  centre: Point
}) {
  const { line, curves, corners } = useMemo(() => {
    const all = outlines.flatMap(({ anchors }) => anchors)
    return {
      line: pathData(pathOfOutlines(outlines)),
      curves: dots(all.filter(isSmooth).map(({ at }) => at)),
      corners: dots(all.filter((each) => !isSmooth(each)).map(({ at }) => at)),
    }
  }, [outlines])
  const anchors = chosen.map((ref) => anchorAt(outlines, ref)!)
  // Of many chosen none has its handles shown: they could not be told apart.
  const handles = anchors.length > 4 ? [] : anchors
  const ways = handles.flatMap(({ at, into, out }) =>
    [into, out].flatMap((handle) => (handle ? [[at, handle]] : [])),
  )
  return (
    <svg aria-hidden className="pointer-events-none absolute inset-0 size-full overflow-visible">
      <g
        transform={`scale(${zoom}) rotate(${turn} ${centre[0]} ${centre[1]})`}
        className="[&>path]:[vector-effect:non-scaling-stroke]"
        fill="none"
      >
        <path d={line} stroke="white" strokeWidth={3} strokeOpacity={0.7} />
        <path data-points-line d={line} stroke="var(--sheet-pine)" strokeWidth={1.25} />
        {ways.map(([at, to], i) => (
          <path
            key={i}
            d={`M${at[0]} ${at[1]}L${to[0]} ${to[1]}`}
            stroke="var(--sheet-pine)"
            strokeWidth={1}
          />
        ))}
        {(
          [
            [corners, 'square'],
            [curves, 'round'],
          ] as const
        ).map(([d, cap]) => (
          <g key={cap} strokeLinecap={cap} className="[&>path]:[vector-effect:non-scaling-stroke]">
            <path d={d} stroke="var(--sheet-pine)" strokeWidth={cap === 'round' ? 9 : 8} />
            <path d={d} stroke="white" strokeWidth={cap === 'round' ? 6 : 5} />
          </g>
        ))}
        {anchors.map((anchor, i) => (
          <path
            key={i}
            data-point-chosen
            d={dots([anchor.at])}
            stroke="var(--sheet-pine)"
            strokeWidth={isSmooth(anchor) ? 10 : 9}
            strokeLinecap={isSmooth(anchor) ? 'round' : 'square'}
          />
        ))}
        {ways.map(([, to], i) => (
          <path
            key={i}
            data-point-handle
            d={dots([to])}
            stroke="var(--sheet-gold)"
            strokeWidth={8}
            strokeLinecap="round"
          />
        ))}
      </g>
    </svg>
  )
}
