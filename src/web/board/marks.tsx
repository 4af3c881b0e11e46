/** What a gesture draws over the sheets: the insertion mark, snap lines with their reason, the area. */
import type { Rect } from '../../core/layout/rect'
import { useBoard } from '../editor/use-editor'
import { GuideLine } from './guides'
import type { SheetPlace } from './sheet-place'

export const TAG =
  'absolute whitespace-nowrap rounded-field px-1.5 text-small font-semibold leading-4.75 tabular-nums pointer-events-none'

export function DragMarks(place: SheetPlace) {
  const { drag } = useBoard()
  const { view, left, top, zoom, tall } = place
  if (!drag || drag.view !== view.id) return null
  const box = (rect: Rect) => ({
    left: Math.round(left + rect.x * zoom),
    top: Math.round(top + rect.y * zoom),
    width: Math.round(rect.width * zoom),
    height: Math.round(rect.height * zoom),
  })
  if (drag.kind === 'area')
    return (
      <div
        data-area
        className="pointer-events-none absolute border border-(--sheet-pine) bg-(--sheet-pine)/8"
        style={box(drag.rect)}
      />
    )
  if (drag.kind === 'drawing' || drag.kind === 'slide') {
    const drawn = box(drag.rect)
    return (
      <div
        data-drawing={drag.words}
        className="pointer-events-none absolute border-(length:--line) border-(--sheet-pine) bg-(--sheet-pine)/12"
        style={drawn}
      >
        <div className={`${TAG} top-1.5 left-1.5 bg-(--sheet-pine) text-white`}>{drag.words}</div>
      </div>
    )
  }
  if (drag.kind === 'lattice') return null
  if (drag.kind === 'guide')
    return <GuideLine place={place} axis={drag.axis} at={drag.at} words={drag.words} />
  if (drag.kind === 'lifted')
    return (
      <>
        {drag.hits.map((hit) => {
          const across = hit.axis === 'x'
          const at = Math.round((across ? left : top) + hit.at * zoom)
          const length = across ? tall * zoom : view.width * zoom
          return (
            <div key={`${hit.axis}${hit.at}`} data-snap={hit.reason}>
              <div
                className="pointer-events-none absolute"
                style={
                  across
                    ? { left: at, top, width: 1.5, height: length, background: 'var(--sheet-gold)' }
                    : { left, top: at, width: length, height: 1.5, background: 'var(--sheet-gold)' }
                }
              />
              <div
                className={`${TAG} bg-(--gold-wash) text-(--gold-text)`}
                style={
                  across
                    ? { left: at + 6, top: Math.round(top + drag.rect.y * zoom) - 24 }
                    : { left: Math.round(left + (drag.rect.x + drag.rect.width) * zoom) + 6, top: at - 10 }
                }
              >
                {hit.reason}
              </div>
            </div>
          )
        })}
      </>
    )
  const { insertion, ghost } = drag
  return (
    <>
      <div
        className="pointer-events-none absolute border border-dashed border-(--sheet-pine) opacity-60"
        style={box(ghost)}
      />
      {insertion && <Mark {...box(insertion.mark)} empty={insertion.empty} words={insertion.words} />}
    </>
  )
}

function Mark({
  left,
  top,
  width,
  height,
  empty,
  words,
}: {
  left: number
  top: number
  width: number
  height: number
  empty: boolean
  words: string
}) {
  const upright = width === 0
  const line = empty
    ? { left, top, width, height, outline: '2px solid var(--sheet-gold)', outlineOffset: -2 }
    : upright
      ? { left: left - 1.5, top, width: 3, height, background: 'var(--sheet-gold)' }
      : { left, top: top - 1.5, width, height: 3, background: 'var(--sheet-gold)' }
  return (
    <>
      <div data-insertion={words} className="pointer-events-none absolute rounded-full" style={line} />
      <div
        className={`${TAG} bg-(--gold-wash) text-(--gold-text)`}
        style={{ left: upright ? left + 7 : left, top: upright ? top : top + 5 }}
      >
        {words}
      </div>
    </>
  )
}
