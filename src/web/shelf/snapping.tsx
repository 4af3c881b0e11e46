/** What blocks snap to, as one popover beside the lattice's switch. */
import { SNAP_KINDS, type SnapKind } from '../../core/arrange/snap'
import { useEditor } from '../editor/use-editor'
import { CheckSet } from '../parts/check'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'

const WORDS: Record<SnapKind, string> = {
  guides: 'guides',
  tracing: 'edges in the tracing',
  columns: 'columns’ outer edges',
  gutters: 'gutters’ middles',
  container: 'the container',
  siblings: 'neighbours’ edges and centres',
  parent: 'inside what it lies in',
  gaps: 'equal gaps',
  baseline: 'the baseline rhythm',
  sections: 'sections’ edges',
  centre: 'the page’s centre',
  thirds: 'thirds of the page',
}

export function Snapping() {
  const editor = useEditor()
  const { snapping } = editor
  return (
    <Popover label={`Snaps: ${snapping.size} kinds`} className="plain-button soft" button="Snaps" width={250}>
      {() => (
        <fieldset className="p-1.5">
          <legend className="pb-1 text-small font-bold">A loose block snaps to</legend>
          <CheckSet
            all={SNAP_KINDS}
            words={WORDS}
            chosen={snapping}
            set={(next) => editor.set({ snapping: next })}
          />
          <p className="rule-t mt-1.5 flex min-h-7.5 items-center gap-1.5 pt-1.5">
            <span>Shift and an arrow go</span>
            <NumberChip
              label="Step"
              value={editor.step}
              unit=" px"
              context={{ min: 1, max: 1000 }}
              onChange={(step) => editor.set({ step })}
            />
          </p>
          <p className="pt-1 text-small leading-4 soft">
            Hold Ctrl while dragging for none of them, Alt to lift a block out of its flow.
          </p>
        </fieldset>
      )}
    </Popover>
  )
}
