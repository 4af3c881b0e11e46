/** The pages of the project: opened, renamed, copied, put in order, deleted; and what is said about them. */
import { ArrowDown, ArrowUp, Copy, Info, Plus, SquareStack, Trash2 } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { duplicatePageEdits, stepPageEdits } from '../../core/arrange/pages'
import type { Page } from '../../core/document/document'
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
  disabled,
  onPress,
  children,
}: {
  label: string
  disabled?: boolean
  onPress: () => void
  children: ReactNode
}) {
  return (
    <button
      type="button"
      className="icon-button size-6"
      aria-label={label}
      title={label}
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
  const [renaming, setRenaming] = useState<string>()
  const pages = editor.doc.pagesInOrder()
  const templates = editor.doc.templates()
  return (
    <div>
      {[...pages, ...templates].map((page, i) => (
        <div key={page.id}>
          {i === pages.length && <p className="rule-t mt-1 px-2 pt-1.5 text-small font-bold">Templates</p>}
          <div className="group flex items-center gap-1 rounded-field hover:bg-base-200">
            {renaming === page.id ? (
              <RenameField
                label="Page name"
                value={page.name}
                className="m-1 flex-1"
                onRename={(name) =>
                  editor.commit([{ op: 'page-meta', id: page.id, set: { name } }], 'Rename page')
                }
                onDone={() => setRenaming(undefined)}
              />
            ) : (
              <>
                <button
                  type="button"
                  data-option
                  data-first={page.id === editor.pageId ? true : undefined}
                  aria-current={page.id === editor.pageId ? 'page' : undefined}
                  className={`flex flex-1 items-baseline justify-between px-2 py-1.5 text-left ${page.id === editor.pageId ? 'font-bold text-primary' : ''}`}
                  onClick={() => {
                    editor.openPage(page.id)
                    close()
                  }}
                  onDoubleClick={() => setRenaming(page.id)}
                >
                  {page.name}{' '}
                  <span className="text-small font-normal soft">
                    {page.isTemplate ? stoodOn(editor, page) : page.path}
                  </span>
                </button>
                <button
                  type="button"
                  className="plain-button min-h-6 px-1.5 text-small soft"
                  onClick={() => setRenaming(page.id)}
                  aria-label={`Rename ${page.name}`}
                >
                  Rename
                </button>
                <Small
                  label={`Move ${page.name} up`}
                  disabled={stepPageEdits(editor.doc, page.id, -1).length === 0}
                  onPress={() =>
                    editor.commit(stepPageEdits(editor.doc, page.id, -1), `Move page ${page.name}`)
                  }
                >
                  <ArrowUp {...ICON} size={14} />
                </Small>
                <Small
                  label={`Move ${page.name} down`}
                  disabled={stepPageEdits(editor.doc, page.id, 1).length === 0}
                  onPress={() =>
                    editor.commit(stepPageEdits(editor.doc, page.id, 1), `Move page ${page.name}`)
                  }
                >
                  <ArrowDown {...ICON} size={14} />
                </Small>
                <Small
                  label={`Duplicate ${page.name}`}
                  onPress={() => void duplicatePage(editor, page, close)}
                >
                  <Copy {...ICON} size={14} />
                </Small>
                <button
                  type="button"
                  className="icon-button size-6"
                  aria-label={`Delete ${page.name}`}
                  title="Delete the page (undo brings it back)"
                  disabled={pages.length === 1 && !page.isTemplate}
                  onClick={() => void deletePage(editor, page)}
                >
                  <Trash2 {...ICON} size={14} />
                </button>
              </>
            )}
          </div>
        </div>
      ))}
      <Opens dialog="about" close={close}>
        <Info {...ICON} /> About {editor.page?.name} …
      </Opens>
      <Opens dialog="template" close={close}>
        <SquareStack {...ICON} /> {templateWords(editor)}
      </Opens>
      <Opens dialog="page" close={close}>
        <Plus {...ICON} /> New page
      </Opens>
    </div>
  )
}

function Opens({
  dialog,
  close,
  children,
}: {
  dialog: 'template' | 'page' | 'about'
  close: () => void
  children: ReactNode
}) {
  const editor = useEditor()
  return (
    <button
      type="button"
      data-option
      className="rule-t mt-1 flex w-full items-center gap-2 px-2 py-1.5 text-left hover:bg-base-200"
      onClick={() => {
        close()
        editor.set({ dialog })
      }}
    >
      {children}
    </button>
  )
}
