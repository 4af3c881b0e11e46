/** One sheet: the page at one view, drawn in its own px; the board's camera scales it. */
import { useLayoutEffect, useRef } from 'react'
import { tracingsOn } from '../../core/arrange/trace'
import { paperOf } from '../../core/paint/paper'
import type { SheetOnBoard } from '../editor/sheets'
import { useBoard } from '../editor/use-editor'
import { TextEditor } from '../text/text-editor'
import { SheetPainter } from './painter'
import { Tracings } from './tracings'

export function Sheet({ view, left, layout, tall: height, theme, isTwin }: SheetOnBoard) {
  const editor = useBoard()
  const host = useRef<HTMLDivElement>(null)
  const painter = useRef<SheetPainter | null>(null)
  const editing = !isTwin && editor.editing?.view === view.id ? editor.editing.id : undefined
  const drawn = useRef<[number, number]>([0, 0])
  drawn.current = bandFor(editor.inSight(left, view.width), drawn.current)
  const [top, bottom] = drawn.current
  const { version, root } = layout
  const tokens = editor.doc.tokensAt(view.id, theme?.id ?? layout.theme, layout.used.width)
  const paper = paperOf(editor.doc, root.node, tokens)
  // A reference picture lies between.
  const isTraced = tracingsOn(editor.page?.aids, view.id).some((each) => !each.hidden && !each.over)
  const ground = paper.isPart && !isTraced ? paper.color : ''
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the layout changed
  useLayoutEffect(() => {
    if (!host.current) return
    painter.current ??= new SheetPainter(host.current, editor.doc)
    // Shown until it is written.
    painter.current.written = editor.typing ? editing : undefined
    painter.current.update(layout, top, bottom, theme?.id ?? layout.theme, ground)
  }, [layout, version, editing, editor.typing, top, bottom, editor, theme, ground])
  return (
    <div
      style={{
        position: 'absolute',
        left,
        top: 0,
        width: view.width,
        height,
        backgroundColor: paper.color,
        boxShadow: 'var(--shade)',
      }}
    >
      <Tracings view={view.id} over={false} height={height} />
      <div
        ref={host}
        className="sheet-paper"
        role="img"
        aria-label={`${editor.page?.name} at ${view.name}, ${view.width} px${theme ? `, ${theme.name}` : ''}`}
        data-sheet={view.id}
        style={{ left: 0, top: 0, width: view.width, height }}
      />
      <Tracings view={view.id} over={true} height={height} />
      {editing && <TextEditor key={editing} id={editing} view={view.id} />}
    </div>
  )
}

/**
 * What of a sheet to draw: what is in sight and as much again on each side. It stays as it was for as long as it covers what is in
 * sight and is not far more than that, so that panning and zooming seldom draw anything.
 */
function bandFor(sight: [number, number] | undefined, before: [number, number]): [number, number] {
  if (!sight) return before[1] - before[0] === 0 ? before : [0, 0]
  const [top, bottom] = sight
  const height = bottom - top
  const covers = before[0] <= top && before[1] >= bottom && before[1] - before[0] < height * 12
  return covers ? before : [top - height, bottom + height]
}
