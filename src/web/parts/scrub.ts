/** Changing a number by dragging on it: one step of the history however far it goes, put back by Escape. */
import { useRef } from 'react'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { followPointer } from './follow-pointer'

/** Screen px for one step. */
const STRIDE = 3
const THRESHOLD = 4

export function useScrub(value: number | undefined, step: number, change: (value: number) => void) {
  const editor = useEditor()
  const dragged = useRef(false)
  const latest = useRef(change)
  latest.current = change
  const start = (event: React.PointerEvent) => {
    dragged.current = false
    if (event.button !== 0 || value === undefined) return
    const from = event.clientX
    let shown = value
    const stop = () => {
      editor.openGesture = undefined
    }
    followPointer(event.pointerId, {
      move: (now) => {
        const dx = now.clientX - from
        if (!dragged.current && Math.abs(dx) < THRESHOLD) return
        dragged.current = true
        editor.openGesture ??= makeId()
        const steps = Math.round(dx / STRIDE) * (now.shiftKey ? 10 : 1)
        const next = Math.round((value + steps * step) * 1000) / 1000
        if (next === shown) return
        shown = next
        latest.current(next)
      },
      end: stop,
      cancel: () => {
        // Undone rather than set back: an override that was made for it goes too.
        if (editor.session.endsWith(editor.openGesture)) editor.session.undo()
        stop()
      },
    })
  }
  return { start, dragged }
}
