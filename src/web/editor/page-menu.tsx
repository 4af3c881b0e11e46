/** The pages of the project: opened, renamed, copied, put in order, deleted; and what is said about them. */
import { ArrowDown, ArrowUp, Copy, Folder, Info, PaintBucket, Plus, SquareStack, Trash2 } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { duplicatePageEdits, pagesInFolders, stepPageEdits } from '../../core/arrange/pages'
import type { Page } from '../../core/document/document'
import { openPageBackground } from '../lattice-bench/page-background'
import { RenameField } from '../parts/rename'
import { type Editor, makeId } from './editor-state'
import { useEditor } from './use-editor'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

/** A copy of a page, shown at once. */
async function duplicatePage(editor: Editor, { id, name }: Page, close: () => void) {
  try {
    await editor.session.pages.need(id)
  } catch (error) {
    return editor.session.showNotice(`“${name}” cannot be copied now: ${(error as Error).message}`)
  }
  const { edits, copy } = duplicatePageEdits(editor.doc, id, makeId)
  if (!editor.commit(edits, `Duplicate page ${name}`)) return
  close()
  editor.openPage(copy)
}

function Small({
  label,
  hint = label,
  disabled,
  onPress,
  children,
}: {
  label: string
  hint?: string
  disabled?: boolean
  onPress: () => void
  children: ReactNode
}) {
  return (
    <button
      type="button"
      className="icon-button size-6"
      aria-label={label}
      title={hint}
      disabled={disabled}
      onClick={onPress}
    >
      {children}
    </button>
  )
}

/** A page is deleted with what is on it, so that undo brings that back. */
async function deletePage(editor: Editor, { id, name }: Page) {
  try {
    await editor.session.pages.need(id)
  } catch (error) {
    return editor.session.showNotice(`“${name}” cannot be deleted now: ${(error as Error).message}`)
  }
  editor.commit([{ op: 'page', id, page: null }], `Delete page ${name}`)
}

const stoodOn = (editor: Editor, template: Page) => {
  const count = editor.doc.allPages().filter((page) => page.template === template.id).length
  return count === 1 ? 'one page' : `${count} pages`
}

/** What the template dialog is about on this page. */
function templateWords(editor: Editor): string {
  const { page } = editor
  if (page?.isTemplate) return `Pages that stand on ${page.name} …`
  return page?.template
    ? `Stands on ${editor.doc.pages.get(page.template)?.name} …`
    : 'Template for this page …'
}

export function PageMenu({ close }: { close: () => void }) {
  const editor = useEditor()
  const templates = editor.doc.templates()
  return (
    <div>
      {pagesInFolders(editor.doc.pagesInOrder()).map(({ page, folder, depth }) =>
        page ? (
          <PageRow key={page.id} page={page} depth={depth} close={close} />
        ) : (
          <p
            key={folder}
            className="flex items-center gap-2 px-2 py-1.5 soft"
            style={{ paddingLeft: 8 + depth * INDENT }}
          >
            <Folder {...ICON} size={14} />
            {folder}
          </p>
        ),
      )}
      {templates.length > 0 && <p className="rule-t mt-1 px-2 pt-1.5 text-small font-bold">Templates</p>}
      {templates.map((page) => (
        <PageRow key={page.id} page={page} depth={0} close={close} />
      ))}
      <Leads to={() => editor.set({ dialog: 'about' })} close={close}>
        <Info {...ICON} /> About {editor.page?.name} …
      </Leads>
      <Leads to={() => openPageBackground(editor)} close={close}>
        <PaintBucket {...ICON} /> Background of {editor.page?.name} …
      </Leads>
      <Leads to={() => editor.set({ dialog: 'template' })} close={close}>
        <SquareStack {...ICON} /> {templateWords(editor)}
      </Leads>
      <Leads to={() => editor.set({ dialog: 'page' })} close={close}>
        <Plus {...ICON} /> New page
      </Leads>
    </div>
  )
}

/** px for each folder that a page lies in */
const INDENT = 16

function PageRow({ page, depth, close }: { page: Page; depth: number; close: () => void }) {
  const editor = useEditor()
  const [renaming, setRenaming] = useState(false)
  if (renaming)
    return (
      <RenameField
        label="Page name"
        value={page.name}
        className="m-1 w-full"
        onRename={(name) => editor.commit([{ op: 'page-meta', id: page.id, set: { name } }], 'Rename page')}
        onDone={() => setRenaming(false)}
      />
    )
  const isOpen = page.id === editor.pageId
  const step = (by: -1 | 1) => stepPageEdits(editor.doc, page.id, by)
  const move = (by: -1 | 1) => editor.commit(step(by), `Move page ${page.name}`)
  return (
    <div
      className="group flex items-center gap-1 rounded-field hover:bg-base-200"
      style={{ paddingLeft: depth * INDENT }}
    >
      <button
        type="button"
        data-option={page.id}
        data-first={isOpen ? true : undefined}
        aria-current={isOpen ? 'page' : undefined}
        className={`flex min-w-0 flex-1 items-baseline justify-between gap-2 px-2 py-1.5 text-left ${isOpen ? 'font-bold text-primary' : ''}`}
        onClick={() => {
          editor.openPage(page.id)
          close()
        }}
        onDoubleClick={() => setRenaming(true)}
      >
        <span className="truncate">{page.name}</span>{' '}
        <span className="truncate text-small font-normal soft">
          {page.isTemplate ? stoodOn(editor, page) : page.path}
        </span>
      </button>
      <button
        type="button"
        className="plain-button min-h-6 px-1.5 text-small soft"
        onClick={() => setRenaming(true)}
        aria-label={`Rename ${page.name}`}
      >
        Rename
      </button>
      <Small label={`Move ${page.name} up`} disabled={step(-1).length === 0} onPress={() => move(-1)}>
        <ArrowUp {...ICON} size={14} />
      </Small>
      <Small label={`Move ${page.name} down`} disabled={step(1).length === 0} onPress={() => move(1)}>
        <ArrowDown {...ICON} size={14} />
      </Small>
      <Small label={`Duplicate ${page.name}`} onPress={() => void duplicatePage(editor, page, close)}>
        <Copy {...ICON} size={14} />
      </Small>
      <Small
        label={`Delete ${page.name}`}
        hint="Delete the page (undo brings it back)"
        disabled={editor.doc.pagesInOrder().length === 1 && !page.isTemplate}
        onPress={() => void deletePage(editor, page)}
      >
        <Trash2 {...ICON} size={14} />
      </Small>
    </div>
  )
}

/** Closes the menu for what it leads to. */
function Leads({ to, close, children }: { to: () => void; close: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      data-option
      className="rule-t mt-1 flex w-full items-center gap-2 px-2 py-1.5 text-left hover:bg-base-200"
      onClick={() => {
        close()
        to()
      }}
    >
      {children}
    </button>
  )
}
