/** Scaling a tracing by two points: press them on the sheet, then say how far apart they are. */
import { scaledBy } from '../../core/arrange/trace'
import type { Tracing } from '../../core/document/schema'
import { useBoard } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'

export function ScalingBar() {
  const editor = useBoard()
  const { scaling, page } = editor
  const tracing = page?.aids?.find((aid): aid is Tracing => aid.id === scaling?.id)
  if (!scaling || !tracing) return null
  const [first, second] = scaling.points
  const stop = () => editor.set({ scaling: undefined })
  const apply = (distance: number) => {
    const next = scaledBy(tracing, first!, second!, distance)
    if (!next) return editor.session.showNotice('the two points are the same; press two different ones')
    if (editor.commit([{ op: 'aid', page: editor.pageId, id: tracing.id, aid: next }], 'Scale the tracing'))
      editor.announce(`The points lie ${distance} px apart now`)
    stop()
  }
  return (
    <div
      className="floating absolute bottom-5 left-1/2 flex w-max max-w-[92%] -translate-x-1/2 items-center gap-3 px-4 py-2 text-plain"
      onPointerDown={(event) => event.stopPropagation()}
    >
      {second ? (
        <>
          <span>The two points lie</span>
          <NumberChip
            label="Distance of the points"
            value={Math.round(Math.hypot(second.x - first!.x, second.y - first!.y) * 10) / 10}
            unit=" px"
            context={{ min: 1, max: 100_000 }}
            onChange={apply}
          />
          <span>apart: type what it should be.</span>
        </>
      ) : (
        <span>
          Press {first ? 'the second' : 'the first of two'} point on the tracing whose distance you know.
        </span>
      )}
      <button type="button" className="plain-button" onClick={stop}>
        Leave it
      </button>
    </div>
  )
}
