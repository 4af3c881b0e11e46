/** Selecting all alike: how far, and how many that are, before anything is selected. */
import { blocksAlike } from '../../core/arrange/find'
import { sectionOf } from '../../core/arrange/order'
import { Dialog } from '../parts/dialog'
import { useEditor } from './use-editor'

export function AlikeDialog() {
  const editor = useEditor()
  const { doc, selected, pageId } = editor
  const close = () => editor.set({ dialog: undefined })
  if (!selected) return null
  const onPage = blocksAlike(doc, pageId, editor.view.id, selected.id)
  const section = sectionOf(doc, selected.id)
  const inSection = section ? onPage.filter((id) => doc.isInside(id, section.id)) : onPage
  const elsewhere = doc
    .allPages()
    .filter(({ id }) => id !== pageId)
    .flatMap(({ id }) =>
      blocksAlike(doc, id, editor.view.id, selected.id).filter((each) => each !== selected.id),
    )
  const take = (ids: readonly string[], where: string, others: readonly string[] = []) => {
    editor.set({ selection: [...ids], dialog: undefined })
    editor.set({ elsewhere: others })
    const count = ids.length + others.length
    editor.announce(`${count} ${count === 1 ? 'block' : 'blocks'} selected ${where}`)
  }
  const choice = (
    ids: readonly string[],
    where: string,
    { first = false, others = [] }: { first?: boolean; others?: readonly string[] } = {},
  ) => (
    <button
      type="button"
      data-first={first || undefined}
      className="line-button flex w-full items-baseline justify-between gap-4"
      onClick={() => take(ids, where, others)}
    >
      <span>{where.charAt(0).toUpperCase() + where.slice(1)}</span>
      <b className="tabular-nums">{ids.length + others.length}</b>
    </button>
  )
  return (
    <Dialog title="Select all alike" onClose={close} width={360}>
      <p className="mb-3 leading-5">
        Of the same kind as “{editor.called(selected)}”, with its fill, corners and type.
      </p>
      <div className="grid gap-1.5">
        {section && choice(inSection, `in ${editor.called(section)}`, { first: true })}
        {choice(onPage, 'on this page', { first: !section })}
        {elsewhere.length > 0 && choice(onPage, 'on the whole site', { others: elsewhere })}
      </div>
      <p className="mt-3 text-small leading-4 soft">
        {elsewhere.length === 0
          ? 'On other pages there is none.'
          : 'On the whole site, values that you change in the spec change on other pages, too; moving and deleting stay here.'}
      </p>
    </Dialog>
  )
}
