/** Settle, repeat and the page budget: what is about to happen is shown before it does. */
import { useMemo, useState } from 'react'
import {
  type Band,
  budgetEdits,
  budgetOf,
  budgetPlan,
  isRenamed,
  type Plan,
  readBudget,
} from '../../core/arrange/budget'
import { repeatEdits } from '../../core/arrange/repeat'
import { settle } from '../../core/arrange/settle'
import { formatPx } from '../../core/lattice/solve'
import { arrange } from '../palette/arrange-commands'
import { Dialog } from '../parts/dialog'
import { NumberChip } from '../parts/number-chip'
import { WordsProblem } from '../parts/words-problem'
import { paragraphs } from '../session/fonts'
import { makeId } from './editor-state'
import { useEditor } from './use-editor'

export function SettleDialog() {
  const editor = useEditor()
  const [even, setEven] = useState(false)
  const node = editor.selected
  const close = () => editor.set({ dialog: undefined })
  // biome-ignore lint/correctness/useExhaustiveDependencies: tried again only when the question changes
  const tries = useMemo(() => {
    if (!node || !editor.layout) return undefined
    const run = (tolerance: number) =>
      settle(editor.doc, editor.layout!, node.id, tolerance, makeId, paragraphs)
    return { apart: run(0), even: run(3) }
  }, [node?.id])
  const made = tries && (even ? tries.even : tries.apart)
  const offer = tries && typeof tries.even !== 'string' ? tries.even.evened : []
  return (
    <Dialog title={`Settle ${node?.name ?? ''}`} onClose={close} width={420}>
      {made === undefined || typeof made === 'string' ? (
        <p className="pb-3">{made ?? 'Select a box with loosely placed blocks in it'}.</p>
      ) : (
        <>
          <p className="pb-2 leading-5">
            The blocks become nested rows and columns with the gaps and paddings that they have now.{' '}
            {made.moved.length === 0 ? (
              <b>Nothing moves.</b>
            ) : (
              <b className="text-(--gold-text)">
                {made.moved.length === 1 ? 'One block moves' : `${made.moved.length} blocks move`}:
              </b>
            )}
          </p>
          {made.moved.length > 0 && (
            <ul
              aria-label="Blocks that move"
              // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reached by the keyboard
              tabIndex={0}
              className="mb-2 max-h-35 overflow-y-auto"
            >
              {made.moved.map(({ id, by }) => (
                <li key={id} className="rule-b flex justify-between py-1">
                  <span>{editor.doc.node(id).name}</span>
                  <span className="tabular-nums">by {formatPx(by)} px</span>
                </li>
              ))}
            </ul>
          )}
          {offer.length > 0 && (
            <label className="mb-3 flex items-center gap-2">
              <input type="checkbox" checked={even} onChange={(event) => setEven(event.target.checked)} />
              <span>
                Make nearly equal gaps one: {offer.map((gaps) => gaps.map(formatPx).join(', ')).join('; ')}
              </span>
            </label>
          )}
          <div className="flex justify-end gap-2 pt-1">
            <button type="button" className="plain-button" onClick={close}>
              Leave it loose
            </button>
            <button
              type="button"
              className="main-button"
              data-first
              onClick={() => {
                if (editor.commit(made.edits, `Settle ${node!.name}`))
                  editor.announce(`${node!.name} settled`)
                close()
              }}
            >
              Settle
            </button>
          </div>
        </>
      )}
    </Dialog>
  )
}

export function RepeatDialog() {
  const editor = useEditor()
  const node = editor.selected
  const [count, setCount] = useState(3)
  const [gap, setGap] = useState(24)
  const [axis, setAxis] = useState<'x' | 'y'>('x')
  const close = () => editor.set({ dialog: undefined })
  if (!node) return null
  const lifted = editor.layout?.boxes.get(node.id)?.pins !== null
  return (
    <Dialog title={`Repeat ${node.name}`} onClose={close} width={360}>
      <p className="flex flex-wrap items-center gap-1.5 pb-2">
        <NumberChip
          label="Copies"
          value={count}
          context={{ min: 1, max: 100, integer: true }}
          onChange={setCount}
        />
        <span>{count === 1 ? 'copy' : 'copies'}</span>
        {lifted ? (
          <>
            <button type="button" className="chip" onClick={() => setAxis(axis === 'x' ? 'y' : 'x')}>
              {axis === 'x' ? 'to the right' : 'downwards'}
            </button>
            <span>with gaps of</span>
            <NumberChip label="Gap" value={gap} context={{ min: -10_000, max: 10_000 }} onChange={setGap} />
          </>
        ) : (
          <span className="soft">behind it, on its next columns or in its row</span>
        )}
      </p>
      <div className="flex justify-end gap-2">
        <button type="button" className="plain-button" onClick={close}>
          Do not
        </button>
        <button
          type="button"
          className="main-button"
          data-first
          onClick={() => {
            const made = repeatEdits(editor.layout!, editor.doc, node.id, count, axis, gap, makeId)
            if (typeof made === 'string') editor.session.showNotice(made)
            else if (editor.commit(made.edits, `Repeat ${node.name}`))
              editor.set({ selection: [node.id, ...made.copies] })
            close()
          }}
        >
          Repeat
        </button>
      </div>
    </Dialog>
  )
}

/** What a section is called that a band of another name is. */
const was = (planned: Plan['bands'][number] | undefined) =>
  planned?.node && isRenamed(planned.node, planned.band) ? planned.node.name : undefined

/** Sections as bands: those there are get the new heights in turn, the rest are added or taken away. */
export function BudgetDialog() {
  const editor = useEditor()
  const { layout } = editor
  const [text, setText] = useState(
    () => (layout && budgetOf(layout)) || 'header 96, 3 × section 520, footer 180',
  )
  const { fold } = editor.view
  const read = readBudget(text, fold)
  const plan = layout && !('reason' in read) ? budgetPlan(layout, read.bands) : undefined
  const gone = plan?.gone ?? []
  const close = () => editor.set({ dialog: undefined })
  const apply = (bands: Band[]) => {
    arrange(editor, 'Page budget', (on, set) => budgetEdits(editor.doc, on, bands, set, makeId))
    close()
  }
  return (
    <Dialog title="Page budget" onClose={close} width={460}>
      <label className="block pb-2">
        <span className="soft">Bands from the top, with their heights</span>
        <textarea
          className="text-field mt-1 h-19 w-full resize-none leading-5"
          data-first
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || 'reason' in read) return
            event.preventDefault()
            apply(read.bands)
          }}
        />
      </label>
      {'reason' in read ? (
        <WordsProblem {...read} />
      ) : (
        <>
          <table className="mb-2 w-full tabular-nums">
            <tbody>
              {read.bands.map((band, i) => (
                <tr key={i} className="rule-b">
                  <td className="py-1">
                    {band.name}
                    {was(plan?.bands[i]) && (
                      <span className="pl-1.5 text-small soft">was “{was(plan?.bands[i])}”</span>
                    )}
                  </td>
                  <td className="text-right">{formatPx(band.height)}</td>
                  <td className="w-21 text-right soft">from {formatPx(read.offsets[i]!)}</td>
                  <td className="w-17.5 text-right text-small text-(--gold-text)">
                    {read.offsets[i]! < fold && read.offsets[i]! + band.height >= fold ? `fold ${fold}` : ''}
                  </td>
                </tr>
              ))}
              <tr className="font-bold">
                <td className="py-1">Page</td>
                <td className="text-right">{formatPx(read.total)}</td>
                <td />
                <td />
              </tr>
            </tbody>
          </table>
          {gone.length > 0 && (
            <p role="status" className="pb-2 text-(--gold-text)">
              {gone.length === 1 ? 'A section' : `${gone.length} sections`} would be taken away:{' '}
              {gone.map(({ name }) => `“${name}”`).join(', ')}.
            </p>
          )}
          <div className="flex justify-end gap-2">
            <button type="button" className="plain-button" onClick={close}>
              Leave the page
            </button>
            <button
              type="button"
              className="main-button"
              title="Lay out the bands (Ctrl Enter)"
              onClick={() => apply(read.bands)}
            >
              Lay out the bands
            </button>
          </div>
        </>
      )}
      <p className="pt-2 text-small soft">
        Sums such as 48*2, “rest” for what is left of the first screen, 50% for half of that screen, 3 × for
        three alike; “cushion 80” at the end is room that stays free there.
      </p>
    </Dialog>
  )
}
