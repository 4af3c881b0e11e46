/** Arranging several selected blocks, as statements. */
import { useState } from 'react'
import { type AlignTo, distributeEdits, type Edge, gapEdits, sameSizeEdits } from '../../core/arrange/align'
import type { Edit } from '../../core/edits/edit'
import { useEditor } from '../editor/use-editor'
import { align, arrange } from '../palette/arrange-commands'
import { canMask } from '../palette/shape-commands'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { masking } from '../shapes/fetch-points'

const ACROSS: Edge[] = ['left', 'centre', 'right']
const DOWN: Edge[] = ['top', 'middle', 'bottom']
const TO: AlignTo[] = ['each other', 'parent', 'lattice', 'sheet']

export function Arrange() {
  const editor = useEditor()
  const many = editor.selection.length > 1
  const [chosen, setTo] = useState<AlignTo>('each other')
  const to = many ? chosen : chosen === 'each other' ? 'parent' : chosen
  const chip = (label: string, words: string, run: () => void) => (
    <button key={label} type="button" className="chip" aria-label={label} onClick={run}>
      {words}
    </button>
  )
  const edges = (list: Edge[]) =>
    list.map((edge) => chip(`Align ${edge}`, edge, () => align(editor, edge, to)))
  const run = (label: string, find: Parameters<typeof arrange>[2]) => arrange(editor, label, find)
  const line = 'flex min-h-7.5 flex-wrap items-center gap-x-1.5 gap-y-1'
  return (
    <>
      <div className={line}>
        <span>Align to</span>
        <Choice
          label="Align to"
          options={TO.filter((each) => many || each !== 'each other').map((each) => ({
            value: each,
            label:
              each === 'each other'
                ? each
                : each === 'parent'
                  ? `what ${many ? 'they lie' : 'it lies'} in`
                  : `the ${each}`,
          }))}
          value={to}
          onChoose={setTo}
        />
      </div>
      {canMask(editor) && (
        <div className={line}>
          <span>Shape or text</span>
          {chip(
            'Mask the others',
            'masks the others',
            () => void masking().then(({ maskSelected }) => maskSelected(editor)),
          )}
        </div>
      )}
      <div className={line}>{edges(ACROSS)}</div>
      <div className={line}>{edges(DOWN)}</div>
      {many && (
        <>
          <div className={line}>
            <span>One gap of</span>
            <NumberChip
              label="One gap for all"
              value={undefined}
              shown="…"
              context={{ min: -10_000, max: 10_000 }}
              onChange={(gap) =>
                run('One gap for all', (layout, set) => gapEdits(layout, editor.selection, gap, set))
              }
            />
            {editor.selection.length > 2 && (
              <>
                <span>or equal</span>
                {(['x', 'y'] as const).map((axis) =>
                  chip(
                    `Equal gaps ${axis === 'x' ? 'across' : 'down'}`,
                    axis === 'x' ? 'across' : 'down',
                    () =>
                      run('Equal gaps', (layout, set): Edit[] | string =>
                        distributeEdits(layout, editor.selection, axis, 'gaps', set),
                      ),
                  ),
                )}
              </>
            )}
          </div>
          <div className={line}>
            <span>Like the last, same</span>
            {(['width', 'height'] as const).map((side) =>
              chip(`Same ${side}`, side, () =>
                run(`Same ${side}`, (layout, set) => sameSizeEdits(layout, editor.selection, side, set)),
              ),
            )}
          </div>
        </>
      )}
    </>
  )
}
