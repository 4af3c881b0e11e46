/** What breaks at which of the widths that a view is for, with a way to each: while its sheet is tried at another width, or when asked. */
import type { BreakageKind } from '../../core/adapt/breakages'
import type { Breakage } from '../../core/adapt/over-widths'
import type { WidthRange } from '../../core/lattice/shown-width'
import type { Editor } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { keepWidth, showAt, widthsFor } from '../editor/shown-width'
import { useBoard } from '../editor/use-editor'

const WORDS: Record<BreakageKind, string> = {
  cut: 'has a word wider than itself',
  sideways: 'sticks out of the page',
  out: 'is wider than what it stands in',
  low: 'is too low for what is in it',
  over: 'lies over words',
  crumbled: 'has one word a line',
}

/** From where to where, as one says it beside the ends of the view's own. */
function widthsSaid({ from, to }: Breakage, { least, most }: WidthRange): string {
  if (from === least && to === most) return 'at every width'
  if (from === least) return `from ${to} px down`
  if (to === most) return `from ${from} px up`
  return `${from} to ${to} px`
}

/** What breaks, by the name that it has wherever it is said. */
export function said(editor: Editor, each: Breakage, range: WidthRange): string {
  const node = editor.instances?.find(each.node)
  return `${node ? editor.called(node) : each.name} ${WORDS[each.kind]}, ${widthsSaid(each, range)}`
}

export function BreakagesBar() {
  const editor = useBoard()
  const tried = [...editor.shownWidths.keys()]
  // Whatever is said of a gesture on the board stands in the same place, and comes first.
  if (editor.drawing || editor.scaling) return null
  const view = editor.breaking ?? (tried.includes(editor.viewId) ? editor.viewId : tried.at(-1))
  if (view === undefined || !editor.shownViews.some(({ id }) => id === view)) return null
  return <Breakages key={view} view={view} />
}

function Breakages({ view }: { view: string }) {
  const editor = useBoard()
  const { range } = widthsFor(editor, view)
  const found = editor.breakages.now(view)
  const { name, width } = editor.doc.view(view)
  const now = editor.shownWidths.get(view) ?? width
  const isTried = now !== width
  return (
    <section
      aria-label={`What breaks on ${name}`}
      className="floating absolute bottom-5 left-1/2 flex w-max max-w-[92%] -translate-x-1/2 flex-col gap-1.5 px-4 py-2.5 text-plain"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <div className="flex items-center gap-2">
        <span>
          <b>{name}</b> at {now} px
        </span>
        {isTried ? (
          <>
            <button
              type="button"
              className="line-button ml-auto"
              onClick={() => {
                editor.breaking = undefined
                showAt(editor, view, undefined)
              }}
            >
              Back to {width}
            </button>
            <button type="button" className="line-button" onClick={() => keepWidth(editor, view)}>
              Make it {now}
            </button>
          </>
        ) : (
          <button
            type="button"
            className="line-button ml-auto"
            onClick={() => {
              editor.set({ breaking: undefined })
              goHome(editor)
            }}
          >
            Close
          </button>
        )}
      </div>
      <p aria-live="polite">
        <span className="soft">
          From {range.least} to {range.most} px:{' '}
        </span>
        {found === undefined
          ? 'looking …'
          : found instanceof Error
            ? `cannot be looked through (${found.message})`
            : found.length === 0
              ? 'nothing breaks at any width.'
              : `${found.length} ${found.length === 1 ? 'thing breaks' : 'things break'}.`}
      </p>
      {isList(found) && found.length > 0 && (
        <ul className="-mx-2.5 flex max-h-23 flex-col overflow-y-auto">
          {found.map((each) => (
            <li key={`${each.kind} ${each.node} ${each.to}`}>
              <button
                type="button"
                className="plain-button w-full justify-start text-left font-semibold text-primary"
                onClick={() => goTo(editor, view, each)}
              >
                {said(editor, each, range)}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

const isList = (found: readonly Breakage[] | Error | undefined): found is readonly Breakage[] =>
  Array.isArray(found)

/** Goes to the widest width at which it breaks, and selects what does. */
export function goTo(editor: Editor, view: string, { node, to }: Breakage) {
  editor.breaking = view
  showAt(editor, view, to)
  // It may have been taken away since this was found.
  if (editor.layoutOf(view)?.boxes.get(node)) editor.select(node, view)
}
