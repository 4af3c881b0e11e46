/** Under the column header, at the sheet's own scale: at which widths something breaks. A press goes there. */
import { TriangleAlert } from 'lucide-react'
import { type Breakage, stretchesOf } from '../../core/adapt/over-widths'
import type { View } from '../../core/document/schema'
import { rangeOf } from '../../core/lattice/shown-width'
import type { Editor } from '../editor/editor-state'
import { useBoard } from '../editor/use-editor'
import { goTo, said } from './breakages-bar'
import type { SheetPlace } from './sheet-place'

/** Screen px */
const TALL = 5
const LEAST = 6

/** A view and those that take over where windows are narrower, as far as the page is drawn at them. */
function viewsBelow(editor: Editor, id: string): View[] {
  const { page, doc } = editor
  const views = page ? doc.viewsOf(page) : []
  return views.slice(
    Math.max(
      0,
      views.findIndex((view) => view.id === id),
    ),
  )
}

/** @param top of the strip, screen px on the board */
export function BreakageStrip({ view, left, zoom, top }: Pick<SheetPlace, 'view' | 'left' | 'zoom' | 'top'>) {
  const editor = useBoard()
  const stretches = viewsBelow(editor, view.id).flatMap(({ id, name }) => {
    const range = rangeOf(editor.doc.views, id)
    return stretchesOf(editor.breakages.on(id)).map((each) => ({ ...each, id, name, range }))
  })
  return stretches
    .filter(({ from }) => from <= view.width)
    .map(({ id, name, from, to, broken, range }) => {
      const end = Math.min(to, view.width)
      const first: Breakage = broken[0]!
      const more = broken.length > 1 ? `, and ${broken.length - 1} more` : ''
      return (
        <button
          key={`${id} ${to}`}
          type="button"
          // The list by the sheet's name has the same for the keyboard.
          tabIndex={-1}
          aria-hidden
          data-breaks={id}
          title={`${name} at ${end} px: ${said(editor, first, range)}${more}`}
          className="group absolute cursor-pointer touch-none"
          style={{
            left: left + from * zoom,
            top: top - TALL - 3,
            width: Math.max(LEAST, (end - from + 1) * zoom),
            height: TALL + 6,
          }}
          onPointerDown={(event) => event.stopPropagation()}
          onClick={() => goTo(editor, id, { ...first, to: end })}
        >
          <i
            className="absolute inset-x-0 rounded-xs bg-error opacity-70 group-hover:opacity-100"
            style={{ top: 3, height: TALL }}
          />
        </button>
      )
    })
}

/** How much breaks on a view, beside its sheet's name; a press lists it. */
export function BreakageCount({ view }: { view: View }) {
  const editor = useBoard()
  const count = editor.breakages.on(view.id).length
  if (count === 0) return null
  const open = editor.breaking === view.id
  const words = count === 1 ? '1 thing breaks' : `${count} things break`
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-label={`${words} on ${view.name}`}
      title={`${words} at other widths of ${view.name}`}
      className="ml-2 inline-flex min-h-6 flex-none items-center gap-1 rounded-field px-1 font-semibold text-error hover:bg-base-300/60"
      onPointerDown={(event) => event.stopPropagation()}
      onClick={() => editor.set({ breaking: open ? undefined : view.id })}
    >
      <TriangleAlert size={13} strokeWidth={2} aria-hidden />
      {count}
    </button>
  )
}
