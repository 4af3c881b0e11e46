/** What can be done while the points of a shape are open, over the board's lower edge. */
import { useBoard } from '../editor/use-editor'
import { shapePoints } from '../shapes/fetch-points'

export function PointsBar() {
  const editor = useBoard()
  const { points } = editor
  if (!points) return null
  const words =
    points.drawing === undefined
      ? 'Pull points; press the line to add one; press one twice for a curve or a corner.'
      : points.id === undefined
        ? points.first
          ? 'Press where it goes on; pull for a curve.'
          : 'Press where the path begins.'
        : 'Press its next point; the first one closes it; pull for a curve.'
  return (
    <div className="floating absolute bottom-5 left-1/2 z-30 flex w-max max-w-[92%] -translate-x-1/2 items-center gap-4 px-4 py-2 text-plain">
      <span>{words}</span>
      <button
        type="button"
        className="main-button whitespace-nowrap"
        onPointerDown={(event) => event.stopPropagation()}
        onClick={() => void shapePoints().then(({ endPoints }) => endPoints(editor))}
      >
        Done
      </button>
    </div>
  )
}
