/** Where words on a picture read worst, while it is said how they read. */
import { useBoard } from '../editor/use-editor'
import { TAG } from './marks'
import type { SheetPlace } from './sheet-place'

/** So that it is found on a sheet far away, px on the board. */
const LEAST = 14

export function WorstPlace({ view, left, top, zoom }: SheetPlace) {
  const { worstPlace } = useBoard()
  if (worstPlace?.view !== view.id) return null
  const { rect, words } = worstPlace
  const [width, height] = [rect.width * zoom, rect.height * zoom].map((side) => Math.max(LEAST, side))
  const x = left + (rect.x + rect.width / 2) * zoom - width! / 2
  const y = top + (rect.y + rect.height / 2) * zoom - height! / 2
  return (
    <div
      data-worst-place
      className="pointer-events-none absolute rounded-xs outline-2 outline-(--sheet-gold)"
      style={{ left: x, top: y, width, height }}
    >
      <div
        className={`${TAG} bottom-full left-1/2 mb-1 -translate-x-1/2 bg-(--gold-wash) text-(--gold-text)`}
      >
        {words}
      </div>
    </div>
  )
}
