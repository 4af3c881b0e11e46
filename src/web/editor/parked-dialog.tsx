/** Changes set aside, since what they are about was changed by somebody else: put back another way, or dismissed. */
import type { Parked } from '../../core/replica/parked'
import { putBackEdits, valueEdits } from '../../core/replica/parked'
import { Dialog } from '../parts/dialog'
import { makeId } from './editor-state'
import { useEditor } from './use-editor'

export function ParkedDialog() {
  const editor = useEditor()
  const { parked } = editor.session
  return (
    <Dialog title="Set aside" onClose={() => editor.set({ dialog: undefined })} width={520}>
      {parked.list.length === 0 ? (
        <p className="pb-2 soft">
          Nothing is set aside. When somebody else removes what you are changing, your change is kept here
          instead of being lost.
        </p>
      ) : (
        <>
          <p className="mb-3 soft">
            These changes could not stay where they were made. Each says why. They are kept until you put them
            back or dismiss them.
          </p>
          <ul className="grid max-h-[52vh] gap-3 overflow-y-auto">
            {parked.list.map((each) => (
              <ParkedItem key={each.id} parked={each} />
            ))}
          </ul>
        </>
      )}
    </Dialog>
  )
}

const time = (at: number) =>
  new Date(at).toLocaleString(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })

function ParkedItem({ parked }: { parked: Parked }) {
  const editor = useEditor()
  const { session, doc } = editor
  const { block } = parked
  const values = valueEdits(doc, parked, editor.selection)
  const dismiss = () =>
    session.parked
      .dismiss(parked.id)
      .catch(() => session.showNotice('the server does not answer; it is still set aside'))
  const putBack = () => {
    const done = block
      ? editor.commit(putBackEdits(doc, parked, editor.pageId, makeId), `Put back ${block.tree.name}`)
      : session.tryAgain(parked)
    if (done) void dismiss()
  }
  const copy = () => {
    if (editor.commit(values, 'Copy values set aside')) void dismiss()
  }
  return (
    <li className="rounded-box border border-base-300 p-3" data-parked={parked.id}>
      <p className="font-semibold">
        {parked.reason.charAt(0).toUpperCase() + parked.reason.slice(1)}
        {block && block.tree.kind !== 'page' ? ` from ${block.page.name}` : ''}.
      </p>
      <p className="mb-1.5 text-small soft">{time(parked.at)}</p>
      <ul className="mb-2.5 list-disc pl-4 text-plain">
        {parked.words.map((words, i) => (
          <li key={i}>{words}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="main-button" onClick={putBack}>
          {block ? `Put back as a new ${block.tree.kind}` : 'Try again'}
        </button>
        {values.length > 0 && (
          <button type="button" className="line-button" onClick={copy}>
            Copy the values to{' '}
            {editor.selection.length === 1
              ? `“${editor.selected?.name}”`
              : `${editor.selection.length} blocks`}
          </button>
        )}
        <button type="button" className="plain-button soft" onClick={() => void dismiss()}>
          Dismiss
        </button>
      </div>
    </li>
  )
}
