/** Guides on a sheet, and the sheet's rulers, from which they are pulled. */
import { guidesOf } from '../../core/arrange/guides'
import { type RulerMark, rulerMarks } from '../../core/lattice/ruler'
import { formatPx } from '../../core/lattice/solve'
import { useBoard } from '../editor/use-editor'
import { followGuide, followZero } from './guide-gesture'
import { RULER, type SheetPlace } from './sheet-place'

/** Screen px around a guide in which it is taken hold of. */
const HOLD = 7

export function Guides(place: SheetPlace) {
  const editor = useBoard()
  const { view, left, top, zoom, tall } = place
  if (!editor.showAids) return null
  const { drag } = editor
  return guidesOf(editor.doc, editor.pageId, view.id)
    .filter((guide) => !(drag?.kind === 'guide' && drag.id === guide.id))
    .map((guide) => {
      const across = guide.axis === 'x'
      const at = (across ? left : top) + guide.at * zoom
      return (
        <div key={guide.id} data-guide={guide.id}>
          <GuideLine place={place} axis={guide.axis} at={guide.at} />
          {!guide.locked && !editor.drawing && !editor.scaling && (
            <div
              className="absolute"
              title={`Guide at ${formatPx(guide.at)}: drag to move, off the sheet to take away`}
              style={
                across
                  ? {
                      left: at - HOLD / 2,
                      top,
                      width: HOLD,
                      height: tall * zoom,
                      cursor: 'ew-resize',
                    }
                  : { left, top: at - HOLD / 2, width: view.width * zoom, height: HOLD, cursor: 'ns-resize' }
              }
              onPointerDown={(event) => followGuide(editor, place, guide.axis, event, guide)}
            />
          )}
        </div>
      )
    })
}

/** One guide's line; `words` stand beside it while it is moved. */
export function GuideLine({
  place: { left, top, zoom, view, tall },
  axis,
  at,
  words,
}: {
  place: SheetPlace
  axis: 'x' | 'y'
  at: number
  words?: string
}) {
  const across = axis === 'x'
  const on = Math.round((across ? left : top) + at * zoom)
  const length = across ? tall * zoom : view.width * zoom
  return (
    <>
      <div
        className="pointer-events-none absolute"
        style={
          across
            ? {
                left: on,
                top: top - RULER,
                width: 1,
                height: length + RULER,
                background: 'var(--sheet-gold)',
              }
            : {
                left: left - RULER,
                top: on,
                width: length + RULER,
                height: 1,
                background: 'var(--sheet-gold)',
              }
        }
      />
      {words && (
        <div
          data-guide-words
          className="pointer-events-none absolute rounded-field bg-(--gold-wash) px-1.5 text-small font-semibold leading-4.75 whitespace-nowrap text-(--gold-text) tabular-nums"
          style={
            across
              ? { left: on + 6, top: Math.max(top, 60) + 8 }
              : { left: Math.max(left, 0) + 8, top: on + 5 }
          }
        >
          {words}
        </div>
      )}
    </>
  )
}

/** All marks of a ruler as one path: every frame of a zoom moves them all. */
const ticks = (marks: readonly RulerMark[], zoom: number, axis: 'x' | 'y'): string =>
  marks
    .map(({ at, words }) => {
      const place = Math.round(at * zoom) + 0.5
      const length = words === undefined ? 3 : 7
      return axis === 'x' ? `M${place} ${RULER}v${-length}` : `M${RULER} ${place}h${-length}`
    })
    .join('')

/** Px along a sheet's top and left edge. Pulled onto the sheet, they leave a guide; from their corner, their zero. */
export function Rulers(place: SheetPlace) {
  const editor = useBoard()
  const { view, left, top, zoom, tall } = place
  const zero = editor.zeroOf(view.id)
  const { width, height } = editor.boardSize
  const onTop = Math.max(top - RULER, 44)
  const onLeft = Math.max(left - RULER, 0)
  const sight = (start: number, size: number, length: number): [number, number] => [
    Math.max(0, -start / zoom),
    Math.min(length, (size - start) / zoom),
  ]
  const across = rulerMarks(...sight(left, width, view.width), zoom, zero.x)
  const down = rulerMarks(...sight(top, height, tall), zoom, zero.y)
  const paper = 'absolute overflow-hidden bg-base-100'
  return (
    <div data-rulers={view.id} aria-hidden="true">
      <div
        className={paper}
        data-ruler="y"
        style={{ left: onLeft, top, width: RULER, height: tall * zoom, cursor: 'ew-resize' }}
        title="Drag onto the sheet for an upright guide"
        onPointerDown={(event) => followGuide(editor, place, 'x', event)}
      >
        <svg aria-hidden="true" className="absolute inset-0 overflow-visible" width={RULER} height={1}>
          <path d={ticks(down, zoom, 'y')} stroke="var(--faint)" />
        </svg>
        {down.map(
          ({ at, words }) =>
            words !== undefined && (
              <span
                key={at}
                className="absolute text-micro leading-none soft tabular-nums [writing-mode:vertical-rl] rotate-180"
                style={{ left: 1, bottom: tall * zoom - Math.round(at * zoom) + 2 }}
              >
                {words}
              </span>
            ),
        )}
      </div>
      <div
        className={paper}
        data-ruler="x"
        style={{ left, top: onTop, width: view.width * zoom, height: RULER, cursor: 'ns-resize' }}
        title="Drag onto the sheet for a level guide"
        onPointerDown={(event) => followGuide(editor, place, 'y', event)}
      >
        <svg aria-hidden="true" className="absolute inset-0 overflow-visible" width={1} height={RULER}>
          <path d={ticks(across, zoom, 'x')} stroke="var(--faint)" />
        </svg>
        {across.map(
          ({ at, words }) =>
            words !== undefined && (
              <span
                key={at}
                className="absolute text-micro leading-none soft tabular-nums"
                style={{ left: Math.round(at * zoom) + 3, top: 1 }}
              >
                {words}
              </span>
            ),
        )}
      </div>
      <div
        data-ruler="zero"
        className="absolute border-r border-b border-(--faint) bg-base-100"
        style={{ left: onLeft, top: onTop, width: RULER, height: RULER, cursor: 'crosshair' }}
        title="Drag onto the sheet to set the rulers’ zero; press twice to put it back"
        onPointerDown={(event) => followZero(editor, place, event)}
        onDoubleClick={() => editor.setZero(view.id, { x: 0, y: 0 })}
      />
    </div>
  )
}
