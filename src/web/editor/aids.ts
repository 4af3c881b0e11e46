/** The guides and tracings of the open page, as gestures use them. */
import { guidesOf } from '../../core/arrange/guides'
import { type SnapLine, snapLines } from '../../core/arrange/snap'
import { tracedLines, tracingsOn } from '../../core/arrange/trace'
import type { Guide } from '../../core/document/schema'
import type { PageLayout } from '../../core/layout/page'
import { edgesOf } from '../session/trace-worker'
import type { Editor } from './editor-state'

/** What blocks may snap to; hidden guides are out of the way. */
export const guidesOn = (editor: Editor, view: string): Guide[] =>
  editor.showAids ? guidesOf(editor.doc, editor.pageId, view) : []

/** Edges found in the tracings that a sheet shows. */
export const tracedOn = (editor: Editor, view: string): SnapLine[] =>
  tracingsOn(editor.page?.aids, view).flatMap((tracing) => {
    const edges = tracing.hidden ? undefined : edgesOf(tracing.asset)
    return edges ? tracedLines(tracing, edges) : []
  })

/** Every line that blocks being moved or sized on a sheet may land on, as the snapping is set. */
export const snapLinesOn = (editor: Editor, layout: PageLayout, ids: readonly string[]): SnapLine[] =>
  snapLines(layout, ids, editor.snapping, guidesOn(editor, layout.viewId), tracedOn(editor, layout.viewId))
