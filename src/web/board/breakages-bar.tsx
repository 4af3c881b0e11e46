/** While a sheet is tried at another width: what breaks at which of the widths that its view is for, with a way to each. */
import { useEffect, useState } from 'react'
import type { Breakage, BreakageKind } from '../../core/adapt/breakages'
import type { WidthRange } from '../../core/lattice/shown-width'
import type { Editor } from '../editor/editor-state'
import { keepWidth, showAt, widthsFor } from '../editor/shown-width'
import { useBoard } from '../editor/use-editor'
import { askLayout } from '../session/layout-worker'

/** Rest after a change before it is looked again, ms. */
const REST = 300

const WORDS: Record<BreakageKind, string> = {
  cut: 'has a word wider than itself',
  sideways: 'sticks out of the page',
  out: 'is wider than what it stands in',
  crumbled: 'has one word a line',
}

/** From where to where, as one says it beside the ends of the view's own. */
function widthsSaid({ from, to }: Breakage, { least, most }: WidthRange): string {
  if (from === least && to === most) return 'at every width'
  if (from === least) return `from ${to} px down`
  if (to === most) return `from ${from} px up`
  return `${from} to ${to} px`
}

const said = (each: Breakage, range: WidthRange) =>
  `${each.name} ${WORDS[each.kind]}, ${widthsSaid(each, range)}`

/** Undefined: being looked for. */
function useBreakages(editor: Editor, view: string, range: WidthRange): Breakage[] | Error | undefined {
  const [found, setFound] = useState<{ of: string; breakages: Breakage[] | Error }>()
  const { pageId, doc } = editor
  const { least, most } = range
  const of = `${pageId} ${view} ${least} ${most}`
  const { documentVersion } = editor.session
  // As long as the sheet is pulled on, its frames come first.
  const pulledTo = found?.of === of ? undefined : editor.shownWidths.get(view)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  useEffect(() => {
    let isGone = false
    const tell = (breakages: Breakage[] | Error) => isGone || setFound({ of, breakages })
    const timer = setTimeout(() => {
      askLayout({ ask: 'breakages', file: doc.toFile(), page: pageId, view, range: { least, most } }).then(
        tell,
        tell,
      )
    }, REST)
    return () => {
      isGone = true
      clearTimeout(timer)
    }
  }, [of, documentVersion, doc, pulledTo])
  return found?.of === of ? found.breakages : undefined
}

export function BreakagesBar() {
  const editor = useBoard()
  const tried = [...editor.shownWidths.keys()]
  // Whatever is said of a gesture on the board stands in the same place, and comes first.
  if (editor.drawing || editor.scaling) return null
  const view = tried.includes(editor.viewId) ? editor.viewId : tried.at(-1)
  if (view === undefined || !editor.shownViews.some(({ id }) => id === view)) return null
  return <Breakages key={view} view={view} />
}

function Breakages({ view }: { view: string }) {
  const editor = useBoard()
  const { range } = widthsFor(editor, view)
  const found = useBreakages(editor, view, range)
  const { name, width } = editor.doc.view(view)
  const now = editor.shownWidths.get(view) ?? width
  return (
    <section
      aria-label={`What breaks on ${name}`}
      className="floating absolute bottom-5 left-1/2 flex w-max max-w-[92%] -translate-x-1/2 flex-col gap-1.5 px-4 py-2.5 text-[13px]"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <div className="flex items-center gap-2">
        <span>
          <b>{name}</b> at {now} px
        </span>
        <button type="button" className="line-button ml-auto" onClick={() => showAt(editor, view, undefined)}>
          Back to {width}
        </button>
        <button type="button" className="line-button" onClick={() => keepWidth(editor, view)}>
          Make it {now}
        </button>
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
      {Array.isArray(found) && found.length > 0 && (
        <>
          <Strip view={view} range={range} breakages={found} />
          <ul className="-mx-2.5 flex max-h-[92px] flex-col overflow-y-auto">
            {found.map((each) => (
              <li key={`${each.kind} ${each.node} ${each.to}`}>
                <button
                  type="button"
                  className="plain-button w-full justify-start text-left font-semibold text-primary"
                  onClick={() => go(editor, view, each)}
                >
                  {said(each, range)}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

/** Goes to the widest width at which it breaks, and selects what does. */
function go(editor: Editor, view: string, { node, to }: Breakage) {
  showAt(editor, view, to)
  // It may have been taken away since this was found.
  if (editor.layoutOf(view)?.boxes.get(node)) editor.select(node, view)
}

/** px */
const STRIP = 420

function Strip({
  view,
  range,
  breakages,
}: {
  view: string
  range: WidthRange
  breakages: readonly Breakage[]
}) {
  const editor = useBoard()
  const scale = STRIP / Math.max(1, range.most - range.least)
  const at = (width: number) => (width - range.least) * scale
  const now = editor.shownWidths.get(view) ?? editor.doc.view(view).width
  return (
    <div aria-hidden className="relative h-6" style={{ width: STRIP }}>
      <i className="absolute top-[11px] h-[2px] w-full bg-base-300" />
      {breakages.map((each) => (
        <button
          key={`${each.kind} ${each.node} ${each.to}`}
          type="button"
          tabIndex={-1}
          title={said(each, range)}
          className="group absolute top-0 h-6 cursor-pointer"
          style={{ left: at(each.from), width: Math.max(4, at(each.to) - at(each.from)) }}
          onClick={() => go(editor, view, each)}
        >
          <i className="absolute top-[9px] left-0 h-[6px] w-full rounded-[2px] bg-error opacity-60 group-hover:opacity-100" />
        </button>
      ))}
      <i className="absolute top-[3px] h-[18px] w-[2px] bg-primary" style={{ left: at(now) - 1 }} />
    </div>
  )
}
