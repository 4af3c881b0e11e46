/** Drawing one shape on a sheet, from corner to corner. */
import { drawnRect, drawnShape } from '../../core/arrange/drawn'
import { type SnapLine, snapRect } from '../../core/arrange/snap'
import { formatPx } from '../../core/lattice/solve'
import { oneFill } from '../../core/properties/items'
import { snapLinesOn } from '../editor/aids'
import { type Editor, makeId } from '../editor/editor-state'
import type { ShapeToDraw } from '../editor/state'
import { followPointer } from '../parts/follow-pointer'
import { inkLine } from '../shapes/ink'
import { announceSnaps, REACH, type SheetPoint, THRESHOLD } from './drag'

type Point = { x: number; y: number }

/** Where a corner lands: on a line that it comes near to, else on a whole px. */
function landed(at: Point, lines: readonly SnapLine[], reach: number): { at: Point; hits: SnapLine[] } {
  const { rect, hits } = snapRect({ ...at, width: 0, height: 0 }, lines, reach, 0)
  const on = (axis: 'x' | 'y') => hits.some((hit) => hit.axis === axis)
  return { at: { x: on('x') ? rect.x : Math.round(at.x), y: on('y') ? rect.y : Math.round(at.y) }, hits }
}

/** In the project's colours, as the shelf's are. */
function lookOf(editor: Editor, { what }: ShapeToDraw) {
  const colors = editor.tokens.names('color')
  if (what !== 'box' && what.form === 'line') return { stroke: inkLine(colors, { cap: 'round' }) }
  const color = colors.includes('color.pine') ? '{color.pine}' : '#1d5c45'
  return what === 'box' ? { fills: oneFill(color) } : { paint: color }
}

/** Follows a press; let go, the shape is there and selected. */
export function followShape(
  editor: Editor,
  start: SheetPoint,
  pressed: { pointerId: number; clientX: number; clientY: number },
  shape: ShapeToDraw,
) {
  const { view, layout } = start
  const { zoom } = editor.camera
  const lines = snapLinesOn(editor, layout, [])
  const from = landed(start, lines, REACH / zoom).at
  let to = from
  let isEven = false
  followPointer(pressed.pointerId, {
    move: (event) => {
      const [dx, dy] = [event.clientX - pressed.clientX, event.clientY - pressed.clientY]
      if (to === from && Math.hypot(dx, dy) < THRESHOLD) return
      const wanted = { x: start.x + dx / zoom, y: start.y + dy / zoom }
      const free = event.ctrlKey || event.metaKey
      const { at, hits } = landed(wanted, free ? [] : lines, REACH / zoom)
      to = at
      isEven = event.shiftKey
      const rect = drawnRect(from, to, shape.what, isEven)
      const size = `${formatPx(rect.width)} × ${formatPx(rect.height)}`
      const words = [size, ...hits.map(({ reason }) => reason)].join(' · ')
      editor.set({ drag: { kind: 'drawing', view: view.id, rect, words } })
      announceSnaps(editor, hits)
    },
    end: () => {
      editor.set({ drag: undefined, drawing: undefined })
      const name = shape.words.replace(/^an? /, '')
      const called = `${name.charAt(0).toUpperCase()}${name.slice(1)}`
      const look = lookOf(editor, shape)
      const made = drawnShape(
        editor.doc,
        layout,
        { what: shape.what, name: called, from, to, isEven, look },
        makeId,
      )
      if (typeof made === 'string') return editor.session.showNotice(made)
      if (!editor.commit(made.edits, `Draw ${shape.words}`)) return
      editor.select(made.made, view.id)
    },
    cancel: () => editor.set({ drag: undefined }),
  })
}
