/** What a single key did, for a moment: somebody may have pressed it unawares. */
import { useEffect } from 'react'
import { useEditor } from './use-editor'

/** ms */
const SHOWN = { changed: 5000, hint: 2500 }

export function KeyNote() {
  const editor = useEditor()
  const { keyNote: note } = editor
  useEffect(() => {
    if (!note) return
    const timer = setTimeout(
      () => editor.set({ keyNote: undefined }),
      note.step === undefined ? SHOWN.hint : SHOWN.changed,
    )
    return () => clearTimeout(timer)
  }, [note, editor])
  // Something else was done since: this is not what would be undone.
  if (!note || (note.step !== undefined && note.step !== editor.session.history.done)) return null
  return (
    <div
      data-key-note
      className="floating pointer-events-auto flex max-w-[92%] items-center gap-3 px-3 py-1.5 text-plain"
    >
      <span className="truncate">{note.words}</span>
      {note.step !== undefined && (
        <button
          type="button"
          className="plain-button font-semibold text-primary"
          onClick={() => {
            editor.undo()
            editor.set({ keyNote: undefined })
          }}
        >
          Undo
        </button>
      )}
    </div>
  )
}
