/** Says what takes a while, each with a way to stop it: over the board, or at the foot of the dialog that is open. */
import { createPortal } from 'react-dom'
import { useDialogFoot } from '../parts/dialog-foot'
import { useEditor } from './use-editor'

export function BusyNote() {
  const { busy } = useEditor()
  const foot = useDialogFoot()
  if (busy.length === 0) return null
  const place = foot
    ? 'rule-t grid gap-1 px-4 py-1.5'
    : 'floating pointer-events-auto grid max-w-[92%] gap-1 px-3 py-1.5'
  const note = (
    <div role="status" className={place}>
      {busy.map(({ words, stop }) => (
        <div key={words} className="flex items-center gap-3">
          <progress className="progress progress-primary w-16" aria-hidden />
          <span className="flex-1 truncate">{words}</span>
          <button
            type="button"
            className="plain-button font-semibold text-primary"
            onClick={() => stop.abort()}
          >
            Cancel
          </button>
        </div>
      ))}
    </div>
  )
  return foot ? createPortal(note, foot) : note
}
