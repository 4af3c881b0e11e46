/** What would no longer fit another lattice, before it happens. */
import { useEditor } from './use-editor'

export function LatticeQuestion() {
  const editor = useEditor()
  const { latticeQuestion: question } = editor
  if (!question) return null
  const { misfits, commit } = question
  const several = editor.doc.views.length > 1
  return (
    <div
      role="alertdialog"
      aria-label="What would no longer fit"
      data-misfits
      className="floating fixed bottom-14 left-1/2 z-50 w-[440px] max-w-[92%] -translate-x-1/2 p-3"
    >
      <b>{misfits.length === 1 ? 'One block' : `${misfits.length} blocks`} would no longer fit</b>
      <ul className="my-1.5 max-h-[140px] overflow-y-auto text-[12px] leading-[18px]">
        {misfits.map((each) => (
          <li key={`${each.view}${each.node}${each.kind}`}>
            <b>{each.name}</b> on {each.page}
            {several && `, ${each.view},`} {each.reason}
          </li>
        ))}
      </ul>
      <div className="flex justify-end gap-2">
        <button
          type="button"
          className="plain-button"
          onClick={() => editor.set({ latticeQuestion: undefined })}
        >
          Leave the lattice
        </button>
        <button type="button" className="main-button" onClick={commit}>
          Change it
        </button>
      </div>
    </div>
  )
}
