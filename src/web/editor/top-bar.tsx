/** The one bar at the top: project and page, views shown, saved state, handoff. */
import { ChevronDown, Keyboard, Redo2, Settings2, SwatchBook, Undo2 } from 'lucide-react'
import { Link } from 'react-router'
import { Choice } from '../parts/choice'
import { Mark } from '../parts/mark'
import { Popover } from '../parts/popover'
import { ThemeButton } from '../parts/theme-button'
import { HandOff } from './hand-off'
import { PageMenu } from './page-menu'
import { useEditor } from './use-editor'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

export function TopBar() {
  const editor = useEditor()
  const { session, doc } = editor
  const page = editor.page
  const opening = editor.opening === undefined ? undefined : doc.pages.get(editor.opening)
  return (
    <header className="rule-b flex h-11.5 flex-none items-center gap-3 px-3.5 max-md:overflow-x-auto max-md:*:flex-none">
      <Link to="/" className="flex items-center rounded-field" title="All projects" aria-label="All projects">
        <Mark />
      </Link>
      <div className="flex min-w-0 items-center gap-1 text-plain">
        <h1 className="max-w-55 truncate soft max-md:max-w-24" title={doc.name}>
          {doc.name}
        </h1>
        <span className="soft">/</span>
        <Popover
          label={`Page: ${page?.name ?? 'none'}`}
          className="plain-button px-1.5 text-plain font-bold"
          width={330}
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
                className={`h-7.25 rounded-box border px-2.5 ${on ? 'border-primary shadow-[inset_0_-2px_0_var(--color-primary)]' : 'border-base-300 soft'}`}
                title={on ? `Hide the ${view.name} sheet` : `Show the ${view.name} sheet`}
                onClick={() => editor.toggleView(view.id)}
              >
                {view.name} <span className="text-small soft tabular-nums">{view.width}</span>
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
        <ThemeChoice />
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
          aria-label="Tokens of the project"
          title="Tokens: colours, type styles, spaces (Shift T)"
          onClick={() => editor.set({ dialog: 'tokens' })}
        >
          <SwatchBook {...ICON} />
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

/** In which colours the sheets are drawn; all: side by side. */
function ThemeChoice() {
  const editor = useEditor()
  const { themes } = editor.doc
  if (themes.length < 2) return null
  const shown = editor.themesShown
  const all = themes.map(({ id }) => id)
  return (
    <Choice
      label="Theme shown"
      className="chip"
      options={[
        ...themes.map(({ id, name }) => ({ value: id, label: name })),
        { value: '', label: 'Side by side' },
      ]}
      value={shown.length > 1 ? '' : (shown[0]?.id ?? themes[0]!.id)}
      onChoose={(id) => editor.showThemes(id === '' ? all : [id])}
    />
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
      className="flex-none rounded-field bg-(--gold-wash) px-2 py-1 text-small font-semibold text-(--gold-text)"
      title="Changes that could not stay: look at them"
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
    <span className="flex w-39.5 flex-none justify-end">
      <span
        // What is saved goes without saying; what is not is heard.
        role={kind === 'waiting' || kind === 'unkept' ? 'status' : undefined}
        data-saved={kind}
        className={`flex max-w-47.5 items-center gap-1.5 truncate text-small ${kind === 'waiting' ? 'rounded-field bg-(--gold-wash) px-2 py-1 text-(--gold-text)' : kind === 'unkept' ? 'rounded-field bg-error px-2 py-1 font-semibold text-error-content' : 'soft'}`}
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
          className={`size-1.75 flex-none rounded-full ${kind === 'saved' ? 'bg-primary' : 'bg-accent'}`}
        />
        {words}
      </span>
    </span>
  )
}
