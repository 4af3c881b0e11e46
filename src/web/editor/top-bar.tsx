/** The one bar at the top: project and page, views shown, saved state, handoff. */
import {
  ChevronDown,
  Download,
  FileDown,
  Info,
  Keyboard,
  Plus,
  Redo2,
  Settings2,
  SquareStack,
  Trash2,
  Undo2,
} from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { Link } from 'react-router'
import type { Page } from '../../core/document/document'
import { slug } from '../../core/handoff/names'
import { api } from '../api'
import { Mark } from '../parts/mark'
import { Popover } from '../parts/popover'
import { RenameField } from '../parts/rename'
import { ThemeButton } from '../parts/theme-button'
import type { Editor } from './editor-state'
import { savePicture, saveProject } from './save-file'
import { useEditor } from './use-editor'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

export function TopBar() {
  const editor = useEditor()
  const { session, doc } = editor
  const page = editor.page
  const opening = editor.opening === undefined ? undefined : doc.pages.get(editor.opening)
  return (
    <header className="rule-b flex h-[46px] flex-none items-center gap-3 px-3.5">
      <Link to="/" className="flex items-center rounded-[3px]" title="All projects" aria-label="All projects">
        <Mark />
      </Link>
      <div className="flex min-w-0 items-center gap-1 text-[14px]">
        <h1 className="max-w-[220px] truncate soft" title={doc.name}>
          {doc.name}
        </h1>
        <span className="soft">/</span>
        <Popover
          label={`Page: ${page?.name ?? 'none'}`}
          className="plain-button px-1.5 text-[14px] font-bold"
          width={260}
          button={
            <>
              {opening ? `Opening ${opening.name} …` : (page?.name ?? 'No page')}{' '}
              <ChevronDown {...ICON} size={14} />
            </>
          }
        >
          {(close) => <PageMenu close={close} />}
        </Popover>
      </div>
      <div className="mx-auto flex items-center gap-1.5" role="group" aria-label="Views shown">
        {page &&
          doc.viewsOf(page).map((view) => {
            const on = editor.shownViews.some((each) => each.id === view.id)
            return (
              <button
                key={view.id}
                type="button"
                aria-pressed={on}
                className={`h-[29px] rounded-[4px] border px-2.5 ${on ? 'border-primary shadow-[inset_0_-2px_0_var(--color-primary)]' : 'border-base-300 soft'}`}
                title={on ? `Hide the ${view.name} sheet` : `Show the ${view.name} sheet`}
                onClick={() => editor.toggleView(view.id)}
              >
                {view.name} <span className="text-[12px] soft tabular-nums">{view.width}</span>
              </button>
            )
          })}
        <button
          type="button"
          className="icon-button"
          aria-label="Views of the project"
          title="Views: add one, change widths"
          onClick={() => editor.set({ dialog: 'views' })}
        >
          <Settings2 {...ICON} />
        </button>
      </div>
      <SetAside />
      <SavedState />
      <div className="flex">
        <button
          type="button"
          className="icon-button"
          aria-label={session.canUndo ? `Undo: ${session.canUndo}` : 'Undo'}
          title={session.canUndo ? `Undo: ${session.canUndo} (Ctrl Z)` : 'Nothing to undo'}
          disabled={!session.canUndo}
          onClick={() => editor.undo()}
        >
          <Undo2 {...ICON} />
        </button>
        <button
          type="button"
          className="icon-button"
          aria-label={session.canRedo ? `Redo: ${session.canRedo}` : 'Redo'}
          title={session.canRedo ? `Redo: ${session.canRedo} (Ctrl Shift Z)` : 'Nothing to redo'}
          disabled={!session.canRedo}
          onClick={() => editor.redo()}
        >
          <Redo2 {...ICON} />
        </button>
        <button
          type="button"
          className="icon-button"
          aria-label="All commands"
          title="All commands (Ctrl K)"
          onClick={() => editor.set({ dialog: 'palette' })}
        >
          <Keyboard {...ICON} />
        </button>
        <ThemeButton />
      </div>
      <Popover label="Hand off" className="main-button" button="Hand off" width={310}>
        {(close) => <HandOff close={close} />}
      </Popover>
    </header>
  )
}

const sentence = (words = '') => (words ? `${words.charAt(0).toUpperCase()}${words.slice(1)}.` : '')

/** What came too late, while there is any. */
function SetAside() {
  const editor = useEditor()
  const count = editor.session.parked.list.length
  if (count === 0) return null
  return (
    <button
      type="button"
      className="flex-none rounded-[3px] bg-(--gold-wash) px-2 py-1 text-[12px] font-semibold text-(--gold-text)"
      title="Changes of yours that came too late: look at them"
      onClick={() => editor.set({ dialog: 'parked' })}
    >
      {count} set aside
    </button>
  )
}

function SavedState() {
  const { session } = useEditor()
  const { kind, detail, progress } = session.saveState
  const words = {
    saved: 'Saved',
    saving: progress === undefined ? 'Saving …' : `Sending a picture, ${Math.round(progress * 100)} %`,
    waiting: 'Kept in this browser',
    unkept: 'Not saved, not kept',
  }[kind]
  return (
    // As wide as its longest words: what stands beside it does not move when they change.
    <span className="flex w-[158px] flex-none justify-end">
      <span
        role="status"
        data-saved={kind}
        className={`flex max-w-[190px] items-center gap-1.5 truncate text-[12px] ${kind === 'waiting' ? 'rounded-[3px] bg-(--gold-wash) px-2 py-1 text-(--gold-text)' : kind === 'unkept' ? 'rounded-[3px] bg-error px-2 py-1 font-semibold text-error-content' : 'soft'}`}
        title={
          kind === 'waiting'
            ? `${sentence(detail)} Your changes are safe here and go out as soon as it answers.`
            : kind === 'unkept'
              ? `${sentence(detail)} Leave this tab open until they are saved, or hand off the project file.`
              : undefined
        }
      >
        <i
          aria-hidden
          className={`size-[7px] flex-none rounded-full ${kind === 'saved' ? 'bg-primary' : 'bg-accent'}`}
        />
        {words}
      </span>
    </span>
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

function PageMenu({ close }: { close: () => void }) {
  const editor = useEditor()
  const [renaming, setRenaming] = useState<string>()
  const pages = editor.doc.pagesInOrder()
  const templates = editor.doc.templates()
  return (
    <div>
      {[...pages, ...templates].map((page, i) => (
        <div key={page.id}>
          {i === pages.length && <p className="rule-t mt-1 px-2 pt-1.5 text-[12px] font-bold">Templates</p>}
          <div className="group flex items-center gap-1 rounded-[3px] hover:bg-base-200">
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
                  <span className="text-[12px] font-normal soft">
                    {page.isTemplate ? stoodOn(editor, page) : page.path}
                  </span>
                </button>
                <button
                  type="button"
                  className="plain-button min-h-6 px-1.5 text-[12px] soft"
                  onClick={() => setRenaming(page.id)}
                  aria-label={`Rename ${page.name}`}
                >
                  Rename
                </button>
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

function HandOff({ close }: { close: () => void }) {
  const editor = useEditor()
  const name = slug(editor.doc.name, 'project')
  const waiting = editor.session.saveState.kind !== 'saved'
  const row = 'flex w-full items-start gap-2.5 rounded-[3px] px-2 py-2 text-left hover:bg-base-200'
  return (
    <div>
      <a
        className={row}
        data-option
        href={waiting ? undefined : api.handoffUrl(editor.session.id)}
        download={`${name}.zip`}
        aria-disabled={waiting}
        onClick={close}
      >
        <Download {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>Website</b> <span className="soft">zip</span>
          <span className="block text-[12px] leading-4 soft">
            {waiting
              ? 'Waits until your changes are saved.'
              : 'HTML and CSS with tokens, pictures and fonts. It lays out exactly as you see it here.'}
          </span>
        </span>
      </a>
      <button
        type="button"
        data-option
        className={row}
        onClick={() => {
          void saveProject(editor, `${name}.lattice`)
          close()
        }}
      >
        <FileDown {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>Project file</b> <span className="soft">lattice</span>
          <span className="block text-[12px] leading-4 soft">
            Everything, pictures too, in the open format. Opens again as it is.
          </span>
        </span>
      </button>
      <button
        type="button"
        data-option
        className={row}
        disabled={!editor.layout}
        onClick={() => {
          void savePicture(editor, `${slug(editor.page?.name ?? 'page')}-${editor.view.width}.svg`)
          close()
        }}
      >
        <FileDown {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>
            Picture of {editor.page?.name}, {editor.view.name}
          </b>{' '}
          <span className="soft">svg</span>
          <span className="block text-[12px] leading-4 soft">The active sheet as vectors.</span>
        </span>
      </button>
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
