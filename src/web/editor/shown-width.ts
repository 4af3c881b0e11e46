/** A sheet at another width than its view's, for trying: nothing of the project changes by it. */
import { rangeOf, stopsOf, type WidthStop } from '../../core/lattice/shown-width'
import { COMMON_WIDTHS } from '../../core/shelf/starter'
import { changeViews } from './change-views'
import type { Editor } from './editor-state'

/** What a view's sheet can be pulled to. */
export function widthsFor(editor: Editor, view: string) {
  const { views } = editor.doc
  return { range: rangeOf(views, view), stops: stopsOf(views, view, COMMON_WIDTHS) }
}

export const stopAt = (stops: readonly WidthStop[], width: number): WidthStop | undefined =>
  stops.find((stop) => stop.width === width)

/** @param width undefined: the view's own again. @param moving whether it goes on: panels beside the board wait */
export function showAt(editor: Editor, view: string, width: number | undefined, moving = false) {
  const next = new Map(editor.shownWidths)
  if (width === undefined || width === editor.doc.view(view).width) next.delete(view)
  else next.set(view, width)
  editor.shownWidths = next
  editor.refresh(moving ? 'board' : 'everywhere')
}

/** Makes the width that a view is shown at its own. */
export function keepWidth(editor: Editor, view: string) {
  const width = editor.shownWidths.get(view)
  if (width === undefined) return
  const { name } = editor.doc.view(view)
  const views = editor.doc.views.map((each) => (each.id === view ? { ...each, width } : each))
  changeViews(editor, views, `Width of ${name} ${width}`)
}
