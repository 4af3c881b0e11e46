/** What would no longer fit another lattice, before it happens. */
import { Dialog } from '../parts/dialog'
import { useEditor } from './use-editor'

export function LatticeQuestion() {
  const editor = useEditor()
  const { latticeQuestion: question } = editor
  if (!question) return null
  const { misfits, commit } = question
  const several = editor.doc.views.length > 1
  const keep = () => editor.set({ latticeQuestion: undefined })
  const title = `${misfits.length === 1 ? 'One block' : `${misfits.length} blocks`} would no longer fit`
  return (
    <Dialog title={title} onClose={keep} width={460}>
      <div data-misfits>
        <ul
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reached by the keyboard
          tabIndex={0}
          aria-label={title}
          className="mb-4 max-h-[40vh] overflow-y-auto text-small leading-4.5"
        >
          {misfits.map((each) => (
            <li key={`${each.view}${each.node}${each.kind}`}>
              <b>{each.name}</b> on {each.page}
              {several && `, ${each.view},`} {each.reason}
            </li>
          ))}
        </ul>
        <div className="flex justify-end gap-2">
          <button type="button" className="line-button" data-first onClick={keep}>
            Keep the lattice as it is
          </button>
          <button type="button" className="main-button" onClick={commit}>
            Change it
          </button>
        </div>
      </div>
    </Dialog>
  )
}
