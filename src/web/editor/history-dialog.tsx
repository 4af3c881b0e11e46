/** What was done, the newest first, with the values that it changed; press a step to go back to it. */
import { useState } from 'react'
import { isIdle, stepValues } from '../../core/edits/step-words'
import { Dialog } from '../parts/dialog'
import { FindField } from '../parts/find-field'
import { useEditor } from './use-editor'

type Entry = { at: number; label: string; values: string | undefined; times: number }

export function HistoryDialog() {
  const editor = useEditor()
  const [sought, setSought] = useState('')
  const { steps, done } = editor.session.history
  const entries: Entry[] = []
  steps.forEach(({ label, changes }, i) => {
    // What came to nothing is no step to go back to.
    if (isIdle(changes)) return
    const last = entries.at(-1)
    const at = i + 1
    const values = stepValues(changes)
    // Repeats stand as one, but for the place where one is now.
    if (last?.label === label && last.at !== done && last.values === undefined && values === undefined) {
      last.at = at
      last.times++
    } else entries.push({ at, label, values, times: 1 })
  })
  /** The step that stands last; 0: none does. */
  const current = entries.findLast(({ at }) => at <= done)?.at ?? 0
  const words = sought.trim().toLowerCase()
  const shown = entries
    .filter(({ label, values }) => `${label} ${values ?? ''}`.toLowerCase().includes(words))
    .reverse()
  const row = ({ at, label, values, times }: Entry) => {
    const here = at === current
    return (
      <li key={at}>
        <button
          type="button"
          aria-current={here ? 'step' : undefined}
          className={`flex w-full items-baseline gap-2 rounded-field px-2 py-1.5 text-left hover:bg-base-200 ${at > done ? 'soft line-through' : ''} ${here ? 'bg-secondary font-bold text-secondary-content' : ''}`}
          onClick={() => editor.session.goTo(at)}
        >
          <span className="w-6.5 flex-none text-right text-small tabular-nums soft">
            {at === 0 ? '' : at}
          </span>
          <span className="min-w-0 flex-1">
            {label}
            {times > 1 && <span className="soft"> · {times} times</span>}
            {values && <span className="block text-small font-normal soft">{values}</span>}
          </span>
        </button>
      </li>
    )
  }
  return (
    <Dialog title="History" onClose={() => editor.set({ dialog: undefined })} width={380}>
      {steps.length === 0 ? (
        <p className="pb-2 soft">Nothing has been changed in this tab yet. What you do is listed here.</p>
      ) : (
        <>
          <FindField
            label="Find in the history"
            placeholder="Find a block or a value"
            className="mb-2 w-full"
            value={sought}
            onChange={setSought}
          />
          <ol className="max-h-[52vh] overflow-y-auto" aria-label="Steps, the newest first">
            {shown.map(row)}
            {words === '' && row({ at: 0, label: 'As it was opened', values: undefined, times: 1 })}
            {shown.length === 0 && words !== '' && (
              <li className="px-2 py-1 soft">No step is called that.</li>
            )}
          </ol>
        </>
      )}
    </Dialog>
  )
}
