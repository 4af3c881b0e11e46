/** Dragging a notch: the block follows at once and snaps; Shift keeps its proportions, Alt its centre, Ctrl suspends the snaps. */
import {
  anchorTurned,
  type Handle,
  resizeOnColumns,
  resizeProps,
  snapResize,
} from '../../core/arrange/resize'
import { coverOf } from '../../core/arrange/spans'
import type { Node } from '../../core/document/document'
import { formatPx } from '../../core/lattice/solve'
import type { PageLayout } from '../../core/layout/page'
import { snapLinesOn } from '../editor/aids'
import { type Editor, makeId } from '../editor/editor-state'
import { followPointer } from '../parts/follow-pointer'
import { announceSnaps, REACH } from './drag'

/** @returns gives the gesture up without putting anything back */
export function followSizing(
  editor: Editor,
  node: Node,
  layout: PageLayout,
  handle: Handle,
  pressed: { pointerId: number; clientX: number; clientY: number },
): () => void {
  const rect = layout.rect(node.id)
  if (!rect) return () => undefined
  const gesture = makeId()
  const { view } = layout
  const { zoom } = editor.camera
  const cover = coverOf(layout, node.id)
  const box = layout.boxes.get(node.id)
  // In a flow only right and bottom edges move, whichever notch is dragged.
  const moves = (axis: 'x' | 'y') => box?.pins || (axis === 'x' ? handle.across > 0 : handle.down > 0)
  const degrees = box?.resolved.rotate ?? 0
  const turned = (degrees * Math.PI) / 180
  // The edges of a turned block lie along no line of the sheet.
  const lines = turned === 0 ? snapLinesOn(editor, layout, [node.id]).filter((line) => moves(line.axis)) : []
  const baseline = turned === 0 && editor.snapping.has('baseline') ? view.lattice.baseline : 0
  let committed = false
  const stop = () => editor.set({ drag: undefined })

  const move = (event: PointerEvent) => {
    const right = (event.clientX - pressed.clientX) / zoom
    const down = (event.clientY - pressed.clientY) / zoom
    // Along the block's own sides, turned or not.
    const dx = right * Math.cos(turned) + down * Math.sin(turned)
    const dy = down * Math.cos(turned) - right * Math.sin(turned)
    const manner = { ratio: event.shiftKey, centre: event.altKey }
    const reach = event.ctrlKey || event.metaKey ? 0 : REACH / zoom
    const { rect: sized, hits } = snapResize(rect, handle, dx, dy, manner, lines, reach, baseline)
    if (reach === 0 || hits.length === 0) {
      sized.width = Math.round(sized.width)
      sized.height = Math.round(sized.height)
    }
    const to = turned === 0 ? sized : anchorTurned(rect, sized, handle, manner, degrees)
    const props = resizeProps(layout, node.id, to, handle, manner)
    const edge = rect.x + dx + (handle.across > 0 ? rect.width : 0)
    const columns =
      handle.across !== 0 && cover ? resizeOnColumns(layout, node.id, handle.across, edge, cover) : undefined
    if (columns) props.width = columns.size
    if (editor.commit([editor.setEdit(node, props)], `Size ${node.name}`, gesture)) committed = true
    const now = layout.rect(node.id) ?? to
    editor.set({ drag: { kind: 'lifted', view: view.id, rect: now, hits: columns ? [] : hits } })
    announceSnaps(editor, columns ? [] : hits)
  }
  const leave = followPointer(pressed.pointerId, {
    move,
    end: () => {
      const now = layout.rect(node.id)
      const reasons = editor.drag?.kind === 'lifted' ? editor.drag.hits.map((hit) => hit.reason) : []
      stop()
      if (now && committed)
        editor.announce([`${formatPx(now.width)} by ${formatPx(now.height)}`, ...reasons].join(', '))
    },
    cancel: () => {
      if (committed) editor.session.giveUp()
      stop()
      editor.announce('Put back as it was')
    },
  })
  return () => {
    leave()
    if (editor.drag) stop()
  }
}
