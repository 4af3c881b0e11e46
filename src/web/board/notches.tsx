/** The square notches at a selected block's corners and mid-edges: drag one to size the block. */
import { useEffect, useRef } from 'react'
import { columnAt, coverOf, isOnLattice, sizeOnColumns } from '../../core/arrange/spans'
import type { Node } from '../../core/document/document'
import type { PropKey } from '../../core/document/schema'
import type { PageLayout, Rect } from '../../core/layout/page'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'

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

type Drag = {
  across: number
  down: number
  x: number
  y: number
  rect: Rect
  cover: { from: number; to: number } | undefined
  gesture: string
  committed: boolean
}

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
  const editor = useEditor()
  const drag = useRef<Drag | undefined>(undefined)
  const { zoom } = editor.camera

  const move = (event: PointerEvent) => {
    const now = drag.current
    if (!now) return
    const dx = (event.clientX - now.x) / zoom
    const dy = (event.clientY - now.y) / zoom
    const props: Partial<Record<PropKey, unknown>> = {}
    if (now.across !== 0) {
      const edge = now.across > 0 ? now.rect.x + now.rect.width + dx : now.rect.x + dx
      if (now.cover) {
        // A right edge goes to a column's right edge, a left edge to a left one: never into a gutter.
        const column = columnAt(
          layout.used,
          now.across > 0 ? edge - layout.used.columnWidth / 2 : edge + layout.used.columnWidth / 2,
        )
        props.width =
          now.across > 0
            ? sizeOnColumns(layout, node, now.cover.from, Math.max(column, now.cover.from))
            : sizeOnColumns(layout, node, Math.min(column, now.cover.to), now.cover.to)
      } else props.width = { kind: 'exact', px: Math.max(0, Math.round(now.rect.width + dx * now.across)) }
    }
    if (now.down !== 0)
      props.height = { kind: 'exact', px: Math.max(0, Math.round(now.rect.height + dy * now.down)) }
    if (editor.commit([editor.setEdit(node, props)], `Size ${node.name}`, now.gesture)) now.committed = true
  }
  const stop = () => {
    drag.current = undefined
    removeEventListener('pointermove', latest.current.move)
    removeEventListener('pointerup', latest.current.stop)
    removeEventListener('pointercancel', latest.current.cancel)
    removeEventListener('keydown', latest.current.key, true)
  }
  const cancel = () => {
    if (drag.current?.committed) editor.session.undo()
    stop()
  }
  const key = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return
    event.stopPropagation()
    cancel()
  }
  const latest = useRef({ move, stop, cancel, key })
  useEffect(
    () => () => {
      if (drag.current) latest.current.stop()
    },
    [],
  )

  const start = (event: React.PointerEvent, across: number, down: number) => {
    if (event.button !== 0 || drag.current) return
    event.preventDefault()
    event.stopPropagation()
    const rect = layout.rect(node.id)
    if (!rect) return
    const cover = isOnLattice(layout, node) ? coverOf(layout, node.id) : undefined
    drag.current = {
      across,
      down,
      x: event.clientX,
      y: event.clientY,
      rect,
      cover,
      gesture: makeId(),
      committed: false,
    }
    latest.current = { move, stop, cancel, key }
    addEventListener('pointermove', move)
    addEventListener('pointerup', stop)
    addEventListener('pointercancel', cancel)
    addEventListener('keydown', key, true)
  }
  const edges = node.kind === 'section' ? EDGES.filter(([across, down]) => across === 0 && down === 1) : EDGES
  return (
    <>
      {edges.map(([across, down]) => (
        <i
          key={`${across},${down}`}
          aria-hidden
          data-notch={`${across},${down}`}
          className="pointer-events-auto absolute size-[9px] border border-(--sheet-pine) bg-white"
          style={{
            left: ((across + 1) / 2) * width - 4.5,
            top: ((down + 1) / 2) * height - 4.5,
            cursor: `${CURSOR[`${across},${down}`]}-resize`,
          }}
          onPointerDown={(event) => start(event, across, down)}
        />
      ))}
    </>
  )
}
