/** Distances on the sheets: those asked for with the gauge's key, and those left there. */
import { X } from 'lucide-react'
import { distanceWords, gauge as measure } from '../../core/arrange/gauge'
import { useBoard } from '../editor/use-editor'
import { TAG } from './marks'
import type { SheetPlace } from './sheet-place'

/** Distances from the selection to what the pointer is on; on nothing else, to what it lies in. */
export function Gauge(place: SheetPlace) {
  const { gauge, selected } = useBoard()
  if (!gauge || gauge.view !== place.view.id || !selected) return null
  return (
    <div data-gauge className="pointer-events-none">
      <Measured {...place} from={selected.id} to={gauge.id} />
    </div>
  )
}

/** Gauges left on this sheet. */
export function PinnedGauges(place: SheetPlace) {
  const editor = useBoard()
  const { page } = editor
  if (!page || !editor.showAids) return null
  return (page.aids ?? []).map((aid) =>
    aid.kind === 'gauge' && aid.view === place.view.id ? (
      <div key={aid.id} data-pinned-gauge={aid.id} className="pointer-events-none">
        <Measured
          {...place}
          from={aid.from}
          to={aid.to}
          onTakeAway={() =>
            editor.commit([{ op: 'aid', page: page.id, id: aid.id, aid: null }], 'Take the gauge away')
          }
        />
      </div>
    ) : null,
  )
}

function Measured({
  layout,
  left,
  top,
  zoom,
  from,
  to,
  onTakeAway,
}: SheetPlace & { from: string; to: string | undefined; onTakeAway?: () => void }) {
  const found = measure(layout, from, to)
  if (!found) return null
  const { to: other } = found
  return (
    <>
      <div
        className="absolute outline outline-dashed outline-(--sheet-gold)"
        style={{
          left: left + other.x * zoom,
          top: top + other.y * zoom,
          width: other.width * zoom,
          height: other.height * zoom,
        }}
      />
      {found.distances.map((each, i) => {
        const across = each.axis === 'x'
        const begin = (across ? left : top) + each.from * zoom
        const length = (each.to - each.from) * zoom
        const at = (across ? top : left) + each.at * zoom
        return (
          <div key={i}>
            <div
              className="absolute bg-(--sheet-gold)"
              style={
                across
                  ? { left: begin, top: at, width: length, height: 1.5 }
                  : { left: at, top: begin, width: 1.5, height: length }
              }
            />
            <div
              className={`${TAG} -translate-x-1/2 -translate-y-1/2 bg-(--gold-wash) text-(--gold-text)`}
              style={
                across
                  ? { left: begin + length / 2, top: at - 12 }
                  : { left: at + 24, top: begin + length / 2 }
              }
            >
              {distanceWords(layout.usedFor(from), each)}
              {onTakeAway && i === 0 && (
                <button
                  type="button"
                  className="pointer-events-auto ml-1 inline-grid size-4 place-items-center rounded-field align-[-3px] hover:bg-(--sheet-gold)/30"
                  aria-label="Take the gauge away"
                  title="Take the gauge away"
                  onPointerDown={(event) => event.stopPropagation()}
                  onClick={onTakeAway}
                >
                  <X size={12} strokeWidth={2} aria-hidden />
                </button>
              )}
            </div>
          </div>
        )
      })}
    </>
  )
}
