/** The editor: bar, ledger, board, spec, shelf; and the keyboard. */
import { lazy, Suspense, useEffect, useLayoutEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { BlockMenu } from '../board/block-menu'
import { Board } from '../board/board'
import { Ledger } from '../ledger/ledger'
import { commandFor, keysOf } from '../palette/commands'
import { Palette } from '../palette/palette'
import { Shortcuts } from '../palette/shortcuts-dialog'
import { PanelBoundary } from '../parts/panel-boundary'
import { backdropDialog, cutDialog } from '../pictures/fetch-pictures'
import { ensureFonts } from '../session/fonts'
import { ProjectSession } from '../session/project-session'
import { Shelf } from '../shelf/shelf'
import { Spec } from '../spec/spec'
import { tokensDialog } from '../tokens/fetch-tokens'
import { fontsDialog } from '../type/fetch-fonts'
import { AboutDialog } from './about-dialog'
import { fetchAhead } from './ahead'
import { AlikeDialog } from './alike-dialog'
import { AreasDialog } from './areas-dialog'
import { BudgetDialog, RepeatDialog, SettleDialog } from './arrange-dialogs'
import { BusyNote } from './busy-note'
import { listenToClipboard } from './clipboard'
import { followCopiedLook } from './copied-look'
import { Editor } from './editor-state'
import { FindDialog } from './find-dialog'
import { goHome, isAtHome, keepFocus } from './focus-home'
import { HistoryDialog } from './history-dialog'
import { KeyNote } from './key-note'
import { LatticeQuestion } from './lattice-question'
import { LookDialog } from './look-dialog'
import { Notice } from './notice'
import { PageDialog } from './page-dialog'
import { ParkedDialog } from './parked-dialog'
import { recallView, rememberView } from './remembered'
import { TemplateDialog } from './template-dialog'
import { TopBar } from './top-bar'
import { Tour } from './tour'
import { EditorContext, useEditor } from './use-editor'
import { ViewsDialog } from './views-dialog'
import { WholeProject } from './whole-project'

const BackdropDialog = lazy(() => backdropDialog().then((part) => ({ default: part.BackdropDialog })))
const CutDialog = lazy(() => cutDialog().then((part) => ({ default: part.CutDialog })))
const FontsDialog = lazy(() => fontsDialog().then((part) => ({ default: part.FontsDialog })))
const TokensDialog = lazy(() => tokensDialog().then((part) => ({ default: part.TokensDialog })))

export function EditorScreen() {
  const { id = '' } = useParams()
  const [editor, setEditor] = useState<Editor>()
  const [problem, setProblem] = useState<string>()
  useEffect(() => {
    let session: ProjectSession | undefined
    let left = false
    ProjectSession.open(id, recallView(id)?.page)
      .then(async (opened) => {
        session = opened
        await ensureFonts(opened.doc)
        if (left) opened.close()
        else setEditor(new Editor(opened, recallView(id)))
      })
      .catch((error: Error) => setProblem(error.message))
    return () => {
      left = true
      session?.close()
    }
  }, [id])
  if (problem) {
    return (
      <main className="grid h-full place-items-center">
        <div className="max-w-105 text-center">
          <h1 className="mb-2 text-title font-bold">This project cannot be opened</h1>
          <p className="mb-4 soft">{problem}.</p>
          <Link to="/" className="main-button">
            All projects
          </Link>
        </div>
      </main>
    )
  }
  if (!editor) return <main className="grid h-full place-items-center soft">Opening …</main>
  return (
    <EditorContext value={editor}>
      <Desk />
    </EditorContext>
  )
}

/** The browser's own zoom, but on the board. */
const ZOOMS = new Set(['Mod++', 'Mod+=', 'Mod+-', 'Mod+0'])

/** What finds its own by the letters that are typed in it. */
const SEEKING = '[role=menu], [role=listbox], [role=combobox][aria-expanded=true], [role=dialog], [role=grid]'

/** Where words or numbers are typed. */
const TYPED = 'input:not([type=checkbox], [type=radio], [type=range]), textarea, select, [contenteditable]'

/**
 * Whether a key is a command's where it was pressed: signs wherever no words are typed, what moves and deletes only at home, those of
 * the zoom only on the board.
 */
function isHeard(event: KeyboardEvent, keys: string): boolean {
  const target = event.target as HTMLElement
  if (ZOOMS.has(keys)) return target.closest('[data-board]') !== null
  if (event.ctrlKey || event.metaKey || event.altKey || isAtHome(target)) return true
  return event.key.length === 1 && event.key !== ' ' && target.closest(SEEKING) === null
}

/** A window that has no room for panels beside the board; at 400 % most have none (WCAG 2.2, 1.4.10). */
const NARROW = '(max-width: 47.99rem)'

function Desk() {
  const editor = useEditor()
  // Before the first paint: whoever sees the desk can already use its keys.
  useLayoutEffect(() => {
    const key = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      const isTaken = event.defaultPrevented
      if (event.key === 'Escape' && !isTaken && target.closest('aside input, aside textarea'))
        return goHome(editor)
      if (target.closest(TYPED)) return
      // All is all blocks, never the words that the app is labelled with.
      if (keysOf(event) === 'Mod+A') event.preventDefault()
      if (editor.dialog) return
      // What is typed is the open menu's, also before that has the focus.
      if (editor.menu) return
      const keys = keysOf(event)
      if (!isHeard(event, keys)) {
        if (keys === 'Escape' && !isTaken) {
          // What waits for a press on the sheet does so wherever the focus is.
          if (editor.drawing || editor.scaling) editor.set({ drawing: undefined, scaling: undefined })
          goHome(editor)
        }
        return
      }
      // Enter and Escape belong to the control that has the focus, except in the tree, where they mean the block.
      if (keys === 'Enter' && target.closest('button, a, [role=treeitem]')) return
      const command = commandFor(keys)
      if (!command || command.isHeld || (command.when && !command.when(editor))) return
      if (isTaken) return
      event.preventDefault()
      const before = editor.session.documentVersion
      command.run(editor)
      const isSingle = !/^(Mod|Alt)\+/.test(keys) && !/Arrow|Delete|Backspace/.test(keys)
      if (isSingle && editor.session.documentVersion !== before && editor.session.canUndo)
        editor.set({ keyNote: { words: editor.session.canUndo, step: editor.session.history.done } })
    }
    addEventListener('keydown', key)
    return () => removeEventListener('keydown', key)
  }, [editor])
  useLayoutEffect(() => {
    const narrow = matchMedia(NARROW)
    const follow = () => editor.fitPanels(narrow.matches)
    follow()
    narrow.addEventListener('change', follow)
    return () => narrow.removeEventListener('change', follow)
  }, [editor])
  useEffect(() => keepFocus(editor), [editor])
  useEffect(() => listenToClipboard(editor), [editor])
  useEffect(() => rememberView(editor), [editor])
  useEffect(() => followCopiedLook(editor), [editor])
  useEffect(fetchAhead, [])
  useEffect(() => {
    document.title = `${editor.doc.name} · Just Lattice`
  })
  return (
    <div className="flex h-full flex-col">
      <PanelBoundary name="The bar">
        <TopBar />
      </PanelBoundary>
      <main className="relative flex min-h-0 flex-1">
        {editor.panels.ledger && (
          <PanelBoundary name="The ledger" className="w-63 flex-none">
            <Ledger />
          </PanelBoundary>
        )}
        <PanelBoundary name="The board" className="flex-1">
          <Board />
        </PanelBoundary>
        {editor.panels.spec && (
          <PanelBoundary name="The spec" className="w-71.5 flex-none">
            <Spec />
          </PanelBoundary>
        )}
        {/* Above the shelf, however high that is, and above what lies at the board's foot to be pressed next. */}
        <div className="pointer-events-none absolute inset-x-0 bottom-20 z-40 grid justify-items-center gap-2">
          <Notice />
          <KeyNote />
          <BusyNote />
        </div>
      </main>
      <PanelBoundary name="The shelf">
        <Shelf />
      </PanelBoundary>
      <BlockMenu />
      <Tour />
      <PanelBoundary name="The lattice question">
        <LatticeQuestion />
      </PanelBoundary>
      <div className="sr-only" aria-live="polite">
        {editor.announcement}
        {/* The same words again are other text, or nobody would hear them. */}
        {editor.announcements % 2 === 1 && '\u00a0'}
      </div>
      <PanelBoundary
        key={editor.dialog}
        name="The dialog"
        className="fixed inset-x-0 bottom-14 z-50 mx-auto w-105"
      >
        {editor.dialog === 'page' && <PageDialog />}
        {editor.dialog === 'views' && (
          <WholeProject title="Views of this project">
            <ViewsDialog />
          </WholeProject>
        )}
        {editor.dialog === 'palette' && <Palette />}
        {editor.dialog === 'shortcuts' && <Shortcuts />}
        {editor.dialog === 'settle' && <SettleDialog />}
        {editor.dialog === 'repeat' && <RepeatDialog />}
        {editor.dialog === 'budget' && <BudgetDialog />}
        {editor.dialog === 'areas' && <AreasDialog />}
        {editor.dialog === 'history' && <HistoryDialog />}
        {editor.dialog === 'alike' && (
          <WholeProject title="Select all alike">
            <AlikeDialog />
          </WholeProject>
        )}
        {editor.dialog === 'look' && <LookDialog />}
        {editor.dialog === 'about' && <AboutDialog />}
        {editor.dialog === 'template' &&
          (editor.page?.isTemplate ? (
            <WholeProject title={`Pages that stand on ${editor.page.name}`}>
              <TemplateDialog />
            </WholeProject>
          ) : (
            <TemplateDialog />
          ))}
        {editor.dialog === 'find' && (
          <WholeProject title="Find">
            <FindDialog />
          </WholeProject>
        )}
        {editor.dialog === 'tokens' && (
          <WholeProject title="Tokens of the project">
            <Suspense>
              <TokensDialog />
            </Suspense>
          </WholeProject>
        )}
        {editor.dialog === 'fonts' && (
          <WholeProject title="Fonts of this project">
            <Suspense>
              <FontsDialog />
            </Suspense>
          </WholeProject>
        )}
        {editor.dialog === 'cut' && (
          <Suspense>
            <CutDialog />
          </Suspense>
        )}
        {editor.dialog === 'backdrop' && (
          <Suspense>
            <BackdropDialog />
          </Suspense>
        )}
        {editor.dialog === 'parked' && (
          <WholeProject title="Set aside">
            <ParkedDialog />
          </WholeProject>
        )}
      </PanelBoundary>
    </div>
  )
}
