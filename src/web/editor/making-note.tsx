/** Says which file is being made, with a way to stop it. */
import { useEditor } from './use-editor'

export function MakingNote() {
  const { making } = useEditor()
  if (!making) return null
  return (
    <div
      role="status"
      className="floating fixed bottom-14 left-1/2 z-40 flex max-w-[92%] -translate-x-1/2 items-center gap-3 px-3 py-1.5"
    >
      <progress className="progress progress-primary w-16" aria-hidden />
      <span className="truncate">Making {making.name} …</span>
      <button
        type="button"
        className="plain-button font-semibold text-primary"
        onClick={() => making.stop.abort()}
      >
        Cancel
      </button>
    </div>
  )
}
