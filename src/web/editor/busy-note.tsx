/** Says what takes a while, with a way to stop it. */
import { useEditor } from './use-editor'

export function BusyNote() {
  const { busy } = useEditor()
  if (!busy) return null
  return (
    <div
      role="status"
      className="floating fixed bottom-14 left-1/2 z-40 flex max-w-[92%] -translate-x-1/2 items-center gap-3 px-3 py-1.5"
    >
      <progress className="progress progress-primary w-16" aria-hidden />
      <span className="truncate">{busy.words}</span>
      <button
        type="button"
        className="plain-button font-semibold text-primary"
        onClick={() => busy.stop.abort()}
      >
        Cancel
      </button>
    </div>
  )
}
