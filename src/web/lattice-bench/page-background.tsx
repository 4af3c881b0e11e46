/** What the open page is drawn on: its own colour, its template's, or white; the same on all pages in one press. */
import { sameBackgroundEdits } from '../../core/arrange/pages'
import { backgroundFrom, backgroundOf } from '../../core/document/background'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { ColorChip } from '../spec/color-chip'
import { Group } from '../spec/line'

/** For how many pictures of the screen the chip is looked for, once nothing is selected any more. */
const PATIENCE = 60

/** A page that says none, nor its template. */
const WHITE = { word: 'white', color: '#ffffff' }

/** Shows it and opens its colours, wherever that was asked for. */
export function openPageBackground(editor: Editor) {
  editor.select(undefined)
  const look = (left: number) => {
    const chip = document.querySelector<HTMLElement>('[data-page-background] button')
    if (!chip) return void (left > 0 && requestAnimationFrame(() => look(left - 1)))
    chip.scrollIntoView({ block: 'center' })
    chip.focus()
    chip.click()
  }
  requestAnimationFrame(() => look(PATIENCE))
}

async function onAllPages(editor: Editor, background: string | undefined) {
  const { session } = editor
  try {
    await session.pages.whole()
  } catch (error) {
    return session.showNotice(`the other pages cannot be fetched: ${(error as Error).message}`)
  }
  if (editor.commit(sameBackgroundEdits(editor.doc, background), 'Background of all pages'))
    editor.announce('All pages have this background')
}

export function PageBackground() {
  const editor = useEditor()
  const { page, doc } = editor
  if (!page || doc.absent.has(page.id)) return null
  const shown = backgroundOf(doc, page.id)
  const from = backgroundFrom(doc, page.id)
  const set = (background: string | null, gesture?: string) =>
    editor.commit(
      [{ op: 'set', node: page.id, props: { background } }],
      `Background of ${page.name}`,
      gesture && `background-${gesture}`,
    )
  const others = doc.allPages().filter(({ id }) => !doc.absent.has(id) && backgroundOf(doc, id) !== shown)
  return (
    <Group title="Page">
      <div className="flex min-h-7.5 flex-wrap items-center gap-1.5" data-page-background>
        <span>Background</span>
        <ColorChip
          label="Background of the page"
          value={doc.node(page.id).props.background}
          unset={from ? { word: `as ${from.name}`, color: doc.node(from.id).props.background } : WHITE}
          onChange={(value, gesture) => void set(value, gesture)}
        />
        {editor.onlyHere && <span className="soft">on every view</span>}
        {(others.length > 0 || doc.absent.size > 0) && doc.pages.size > 1 && (
          <button
            type="button"
            className="line-button ml-auto"
            onClick={() => void onAllPages(editor, shown)}
          >
            On all pages
          </button>
        )}
      </div>
    </Group>
  )
}
