/** Drawing an area over a sheet's columns. */
import { drawnArea, drawnAreaEdits } from '../../core/arrange/areas'
import { guideLines, sectionLines } from '../../core/arrange/snap'
import { columnWords } from '../../core/arrange/spans'
import { formatPx } from '../../core/lattice/solve'
import { guidesOn, tracedOn } from '../editor/aids'
import { type Editor, makeId } from '../editor/editor-state'
import { followPointer } from '../parts/follow-pointer'
import type { SheetPoint } from './drag'
import { THRESHOLD } from './drag'

/** Follows a press in drawing mode; let go, the area is there and selected. */
export function followDrawing(
  editor: Editor,
  start: SheetPoint,
  pressed: { pointerId: number; clientX: number; clientY: number },
) {
  const { view, layout } = start
  const used = layout.usedFor(start.id)
  const { zoom } = editor.camera
  const levels = [
    ...guideLines(guidesOn(editor, view.id)),
    ...tracedOn(editor, view.id),
    ...sectionLines(layout),
  ].flatMap((line) => (line.axis === 'y' ? [line.at] : []))
  let area: ReturnType<typeof drawnArea> | undefined
  followPointer(pressed.pointerId, {
    move: (event) => {
      const dx = event.clientX - pressed.clientX
      const dy = event.clientY - pressed.clientY
      if (!area && Math.hypot(dx, dy) < THRESHOLD) return
      const end = { x: start.x + dx / zoom, y: start.y + dy / zoom }
      area = drawnArea(used, view.lattice.baseline, start, end, levels)
      const { rect } = area
      const words = `${columnWords(area, used)} · ${formatPx(rect.width)} × ${formatPx(rect.height)}`
      editor.set({ drag: { kind: 'drawing', view: view.id, rect, words } })
    },
    end: () => {
      editor.set({ drag: undefined })
      if (!area) return
      const { edits, made } = drawnAreaEdits(editor.doc, layout, area, makeId)
      if (!editor.commit(edits, 'Draw an area')) return
      editor.select(made, view.id)
      editor.announce(`Area on ${columnWords(area, used)}`)
    },
    cancel: () => editor.set({ drag: undefined }),
  })
}
