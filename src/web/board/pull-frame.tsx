/** A frame over a block, turned as it is, on which something of it is pulled while the spec says it. */
import { type ReactNode, type RefObject, useRef } from 'react'
import type { LayoutBox } from '../../core/layout/box'
import { turnBack } from '../../core/layout/rect'
import { type Editor, makeId } from '../editor/editor-state'
import { useBoard } from '../editor/use-editor'
import { followPointer } from '../parts/follow-pointer'
import type { SheetPlace } from './sheet-place'

export type Point = { x: number; y: number }
/** The block that something is pulled on: its box, its values' place in the document, and a point of the window in it. */
export type Pullable = {
  box: LayoutBox
  zoom: number
  /** px from the border box's top left, upright. */
  pointAt: (event: { clientX: number; clientY: number }) => Point
}

/** What is let go next is no press on whatever lies there then. Let go outside of the window nothing is pressed: the next input ends the wait. */
export function leaveNoClick() {
  const next = new AbortController()
  const { signal } = next
  const stop = (event: Event) => event.stopImmediatePropagation()
  addEventListener('click', stop, { capture: true, once: true, signal })
  for (const input of ['pointerdown', 'keydown'])
    addEventListener(input, () => next.abort(), { capture: true, signal })
}

/** Follows a press on a handle as one step of the history. */
export function startPull(
  editor: Editor,
  event: React.PointerEvent,
  move: (now: PointerEvent, gesture: string) => void,
) {
  if (event.button !== 0) return
  event.preventDefault()
  event.stopPropagation()
  const gesture = makeId()
  let hasMoved = false
  followPointer(event.pointerId, {
    move: (now) => {
      hasMoved = true
      move(now, gesture)
    },
    end: leaveNoClick,
    cancel: () => hasMoved && editor.session.giveUp(),
  })
}

/** A turned frame keeps its middle. */
function pointIn(frame: RefObject<HTMLDivElement | null>, box: LayoutBox, zoom: number): Pullable['pointAt'] {
  return ({ clientX, clientY }) => {
    const seen = frame.current!.getBoundingClientRect()
    const x = (clientX - seen.x - seen.width / 2) / zoom + box.width / 2
    const y = (clientY - seen.y - seen.height / 2) / zoom + box.height / 2
    return turnBack(box, 0, 0, x, y)
  }
}

export function PullFrame({
  place: { layout, left, top, zoom },
  box,
  children,
}: {
  place: SheetPlace
  box: LayoutBox
  children: (on: Pullable) => ReactNode
}) {
  useBoard()
  const frame = useRef<HTMLDivElement>(null)
  const rect = layout.rect(box.id)
  if (!rect) return null
  const turn = box.resolved.rotate ?? 0
  return (
    // Whoever presses here goes on with what is open in the spec.
    <div
      ref={frame}
      data-pulls
      className="pointer-events-none absolute z-20"
      style={{
        left: left + rect.x * zoom,
        top: top + rect.y * zoom,
        width: box.width * zoom,
        height: box.height * zoom,
        rotate: turn ? `${turn}deg` : undefined,
      }}
      onMouseDown={(event) => event.preventDefault()}
    >
      {children({ box, zoom, pointAt: pointIn(frame, box, zoom) })}
    </div>
  )
}
