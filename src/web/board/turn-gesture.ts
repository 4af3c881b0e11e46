/** Dragging the round notch: the block turns about its centre; Shift in steps. */
import { turnTo } from '../../core/arrange/turn'
import type { Node } from '../../core/document/document'
import type { PageLayout } from '../../core/layout/page'
import { type Editor, makeId } from '../editor/editor-state'
import { followPointer } from '../parts/follow-pointer'

type Point = { x: number; y: number }

/** @param centre of the block, screen px. @returns gives the gesture up without putting anything back */
export function followTurning(
  editor: Editor,
  node: Node,
  layout: PageLayout,
  centre: Point,
  pressed: { pointerId: number; clientX: number; clientY: number },
): () => void {
  const rect = layout.rect(node.id)
  if (!rect) return () => undefined
  const gesture = makeId()
  const before = layout.boxes.get(node.id)?.resolved.rotate ?? 0
  const from = { x: pressed.clientX, y: pressed.clientY }
  let now = before
  let committed = false
  const stop = () => editor.set({ drag: undefined })
  const leave = followPointer(pressed.pointerId, {
    move: (event) => {
      now = turnTo(before, centre, from, { x: event.clientX, y: event.clientY }, event.shiftKey ? 15 : 1)
      if (editor.commit([editor.setEdit(node, { rotate: now })], `Turn ${node.name}`, gesture))
        committed = true
      editor.set({ drag: { kind: 'lifted', view: layout.view.id, rect, hits: [] } })
    },
    end: () => {
      stop()
      if (committed) editor.announce(`Turned by ${now} degrees`)
    },
    cancel: () => {
      if (committed) editor.session.giveUp()
      stop()
    },
  })
  return () => {
    leave()
    if (editor.drag) stop()
  }
}
