/** The square notches at a selected block's corners and mid-edges: drag one to size the block. */
import { useEffect, useRef } from 'react'
import type { Handle } from '../../core/arrange/resize'
import type { Node } from '../../core/document/document'
import type { PageLayout } from '../../core/layout/page'
import { useBoard } from '../editor/use-editor'
import { followSizing } from './size-gesture'
import { followTurning } from './turn-gesture'

const EDGES = [
  [-1, -1],
  [0, -1],
  [1, -1],
  [-1, 0],
  [1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
] as const
const CURSOR: Record<string, string> = {
  '-1,-1': 'nwse',
  '1,1': 'nwse',
  '1,-1': 'nesw',
  '-1,1': 'nesw',
  '0,-1': 'ns',
  '0,1': 'ns',
  '-1,0': 'ew',
  '1,0': 'ew',
}

/** Screen px below which a side has no notch in its middle. */
const SMALL = 36

export function Notches({
  node,
  layout,
  width,
  height,
}: {
  node: Node
  layout: PageLayout
  width: number
  height: number
}) {
  const editor = useBoard()
  const leave = useRef<() => void>(undefined)
  useEffect(() => () => leave.current?.(), [])
  const start = (event: React.PointerEvent, across: Handle['across'], down: Handle['down']) => {
    if (event.button !== 0 || editor.drag) return
    event.preventDefault()
    event.stopPropagation()
    leave.current = followSizing(editor, node, layout, { across, down }, event)
  }
  const turn = (event: React.PointerEvent<HTMLElement>) => {
    if (event.button !== 0 || editor.drag) return
    event.preventDefault()
    event.stopPropagation()
    const frame = event.currentTarget.parentElement!.getBoundingClientRect()
    const centre = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 }
    leave.current = followTurning(editor, node, layout, centre, event)
  }
  // On a small block they keep off it, so that it can still be pressed and dragged.
  const small = width < SMALL || height < SMALL
  const away = small ? 7 : 0
  const edges = EDGES.filter(([across, down]) => {
    if (node.kind === 'section') return across === 0 && down === 1
    return (across !== 0 || width >= SMALL) && (down !== 0 || height >= SMALL)
  })
  return (
    <>
      {edges.map(([across, down]) => (
        <i
          key={`${across},${down}`}
          aria-hidden
          data-notch={`${across},${down}`}
          className="pointer-events-auto absolute size-2.25 border border-(--sheet-pine) bg-white"
          style={{
            left: ((across + 1) / 2) * width - 4.5 + across * away,
            top: ((down + 1) / 2) * height - 4.5 + down * away,
            cursor: `${CURSOR[`${across},${down}`]}-resize`,
          }}
          onPointerDown={(event) => start(event, across, down)}
        />
      ))}
      {node.kind !== 'section' && (
        <i
          aria-hidden
          data-turn
          title="Drag to turn; Shift in steps of 15°"
          className="pointer-events-auto absolute size-2.75 rounded-full border border-(--sheet-pine) bg-white"
          style={{ left: width + 12, top: -22, cursor: 'grab' }}
          onPointerDown={turn}
        />
      )}
    </>
  )
}
