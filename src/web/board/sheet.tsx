/** One sheet: the page at one view, drawn in its own px; the board's camera scales it. */
import { useLayoutEffect, useRef } from 'react'
import type { View } from '../../core/document/schema'
import type { PageLayout } from '../../core/layout/page'
import { useEditor } from '../editor/use-editor'
import { SheetPainter } from './painter'
import { TextEditor } from './text-editor'

export function Sheet({ view, left, layout }: { view: View; left: number; layout: PageLayout }) {
  const editor = useEditor()
  const paper = useRef<HTMLDivElement>(null)
  const painter = useRef<SheetPainter | null>(null)
  const editing = editor.editing?.view === view.id ? editor.editing.id : undefined
  useLayoutEffect(() => {
    if (!paper.current) return
    painter.current ??= new SheetPainter(paper.current, editor.doc)
    painter.current.hidden = editing
    painter.current.update(layout)
  })
  const height = Math.max(layout.height, view.fold)
  return (
    <div style={{ position: 'absolute', left, top: 0, width: view.width, height }}>
      <div
        ref={paper}
        className="sheet-paper"
        role="img"
        aria-label={`${editor.page?.name} at ${view.name}, ${view.width} px`}
        data-sheet={view.id}
        style={{ left: 0, top: 0, width: view.width, height, boxShadow: 'var(--shade)' }}
      />
      {editing && <TextEditor key={editing} id={editing} view={view.id} />}
    </div>
  )
}
