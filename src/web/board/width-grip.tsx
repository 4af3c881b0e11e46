/** The right edge of a sheet, to pull: the page lays itself out at every width on the way. */
import { useRef, useState } from 'react'
import { pulledTo, type WidthRange, type WidthStop } from '../../core/lattice/shown-width'
import { showAt, stopAt, widthsFor } from '../editor/shown-width'
import { useBoard } from '../editor/use-editor'
import { followPointer } from '../parts/follow-pointer'
import type { SheetPlace } from './sheet-place'

/** Screen px: how wide the grip is, and how near to a stop it catches. */
const GRIP = 24
const REACH = 7
/** px that an arrow key goes, and with Shift. */
const STEP = 1
const LEAP = 10

export function WidthGrip({ view, left, top, zoom, tall }: SheetPlace) {
  const editor = useBoard()
  const grip = useRef<HTMLDivElement>(null)
  const [isPulled, setPulled] = useState(false)
  const { range, stops } = widthsFor(editor, view.id)
  const own = editor.doc.view(view.id).width
  const stop = stopAt(stops, view.width)
  const from = Math.max(top, 0)
  const height = Math.min(top + tall * zoom, editor.boardSize.height) - from
  if (height < 24) return null

  const down = (event: React.PointerEvent) => {
    if (event.button !== 0 || editor.drag) return
    event.preventDefault()
    event.stopPropagation()
    grip.current?.focus({ preventScroll: true })
    const before = view.width
    let width = before
    setPulled(true)
    const stopped = (at: number | undefined) => {
      setPulled(false)
      showAt(editor, view.id, at)
    }
    followPointer(event.pointerId, {
      move: (now) => {
        const wanted = before + (now.clientX - event.clientX) / zoom
        width = pulledTo(wanted, range, stops, REACH / zoom)
        showAt(editor, view.id, width, true)
      },
      end: () => stopped(width),
      cancel: () => stopped(before),
    })
  }
  const press = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const width =
      event.key === 'Escape' ? own : pressedTo(event.key, event.shiftKey, view.width, range, stops)
    if (width === undefined) return
    event.preventDefault()
    event.stopPropagation()
    showAt(editor, view.id, pulledTo(width, range, stops, 0))
  }
  return (
    <div
      ref={grip}
      role="slider"
      tabIndex={0}
      aria-label={`Width of ${view.name}’s sheet`}
      aria-valuemin={range.least}
      aria-valuemax={range.most}
      aria-valuenow={view.width}
      aria-valuetext={`${view.width} px${stop ? `, ${stop.words}` : ''}`}
      title={`Pull to see ${view.name} at other widths`}
      data-width-grip={view.id}
      className="group absolute flex cursor-ew-resize touch-none items-center justify-center outline-none"
      style={{ left: left + view.width * zoom + 2, top: from, width: GRIP, height }}
      onPointerDown={down}
      onDoubleClick={(event) => {
        event.stopPropagation()
        showAt(editor, view.id, undefined)
      }}
      onKeyDown={press}
    >
      <i
        aria-hidden
        className={`h-9 w-0.75 rounded-full outline-offset-2 outline-primary group-hover:bg-primary group-focus-visible:bg-primary group-focus-visible:outline-2 ${isPulled ? 'bg-primary' : 'bg-(--soft) opacity-55 group-hover:opacity-100'}`}
      />
      {isPulled && (
        <span
          aria-hidden
          className="pointer-events-none absolute top-1/2 left-4.5 z-10 -translate-y-1/2 rounded-field bg-(--gold-wash) px-1.5 text-small font-semibold leading-4.75 whitespace-nowrap text-(--gold-text) tabular-nums"
        >
          {view.width} px{stop ? ` · ${stop.words}` : ''}
        </span>
      )}
    </div>
  )
}

/** Where a key takes a sheet from `width`, px; undefined: nowhere. */
function pressedTo(
  key: string,
  isLeap: boolean,
  width: number,
  { least, most }: WidthRange,
  stops: readonly WidthStop[],
): number | undefined {
  const step = isLeap ? LEAP : STEP
  const widths = stops.map((stop) => stop.width)
  switch (key) {
    case 'ArrowLeft':
    case 'ArrowDown':
      return width - step
    case 'ArrowRight':
    case 'ArrowUp':
      return width + step
    case 'PageDown':
      return widths.filter((each) => each < width).at(-1)
    case 'PageUp':
      return widths.find((each) => each > width)
    case 'Home':
      return least
    case 'End':
      return most
    default:
      return undefined
  }
}
