/** What was done, step by step; press one to go back to it. */
import { Dialog } from '../parts/dialog'
import { useEditor } from './use-editor'

export function HistoryDialog() {
  const editor = useEditor()
  const { labels, done } = editor.session.history
  const entry = (label: string, at: number) => (
    <li key={at}>
      <button
        type="button"
        aria-current={at === done ? 'step' : undefined}
        className={`flex w-full items-center gap-2 rounded-[3px] px-2 py-1.5 text-left hover:bg-base-200 ${at > done ? 'soft line-through' : ''} ${at === done ? 'bg-secondary font-bold text-secondary-content' : ''}`}
        onClick={() => editor.session.goTo(at)}
      >
        <span className="w-[26px] text-right text-[12px] tabular-nums soft">{at === 0 ? '' : at}</span>
        {label}
      </button>
    </li>
  )
  return (
    <Dialog title="History" onClose={() => editor.set({ dialog: undefined })} width={340}>
      {labels.length === 0 ? (
        <p className="pb-2 soft">Nothing has been changed in this tab yet. What you do is listed here.</p>
      ) : (
        <ol className="max-h-[52vh] overflow-y-auto">
          {entry('As it was opened', 0)}
          {labels.map((label, i) => entry(label, i + 1))}
        </ol>
      )}
    </Dialog>
  )
}
