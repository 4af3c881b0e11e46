/** Reference pictures on a sheet, under its blocks or over them. Never handed off. */
import { useEffect } from 'react'
import { tracingsOn } from '../../core/arrange/trace'
import { useBoard } from '../editor/use-editor'
import { pictureUrl } from '../session/pictures'
import { searchEdges } from '../session/trace-worker'
import type { SheetPlace } from './sheet-place'

export function Tracings({ view, over, height }: { view: string; over: boolean; height: number }) {
  const { page, doc } = useBoard()
  const shown = tracingsOn(page?.aids, view).filter((each) => !each.hidden && (each.over ?? false) === over)
  const assets = shown.map((each) => each.asset).join()
  // Its edges are looked for as soon as it is seen, so that blocks and guides snap to them.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when other pictures are shown
  useEffect(() => {
    for (const { asset } of shown) {
      const picture = doc.assets.get(asset)
      if (picture) searchEdges(picture)
    }
  }, [assets])
  if (shown.length === 0) return null
  return (
    <div className="pointer-events-none absolute inset-x-0 top-0 overflow-hidden" style={{ height }}>
      {shown.map(({ id, asset, x, y, scale, opacity }) => {
        const picture = doc.assets.get(asset)
        if (!picture) return null
        return (
          <img
            key={id}
            data-tracing={id}
            alt=""
            draggable={false}
            src={pictureUrl(picture)}
            className="absolute max-w-none"
            style={{ left: x, top: y, width: picture.width * scale, height: picture.height * scale, opacity }}
          />
        )
      })}
    </div>
  )
}

/** The points pressed so far while a tracing is scaled. */
export function ScalingPoints({ view, left, top, zoom }: SheetPlace) {
  const { scaling, page } = useBoard()
  const tracing = page?.aids?.find((aid) => aid.id === scaling?.id)
  if (!scaling || tracing?.view !== view.id) return null
  const at = scaling.points.map(({ x, y }) => ({ x: left + x * zoom, y: top + y * zoom }))
  const [a, b] = at
  return (
    <svg className="pointer-events-none absolute inset-0 overflow-visible" aria-hidden="true">
      {a && b && <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke="var(--sheet-gold)" strokeWidth="1.5" />}
      {at.map(({ x, y }, i) => (
        <path
          key={i}
          data-scaling-point
          d={`M${x - 7} ${y}h14M${x} ${y - 7}v14`}
          stroke="var(--sheet-gold)"
          strokeWidth="2"
        />
      ))}
    </svg>
  )
}
