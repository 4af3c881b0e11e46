/** A small picture of a lifted block in its parent: its pins are pressed on and off, and the parent is pulled to see what they do. */
import { useState } from 'react'
import { type PinName, pinnedIn, togglePin } from '../../core/arrange/pins'
import type { Node } from '../../core/document/document'
import { useEditor } from '../editor/use-editor'

/** px of the picture. */
const WIDTH = 150
const HEIGHT = 96
/** Room around it, for the parent to grow into. */
const AROUND = 1.35

const PINS: { name: PinName; word: string; x: number; y: number; upright: boolean }[] = [
  { name: 'pinLeft', word: 'left', x: 0, y: 0.5, upright: false },
  { name: 'pinRight', word: 'right', x: 1, y: 0.5, upright: false },
  { name: 'pinTop', word: 'top', x: 0.5, y: 0, upright: true },
  { name: 'pinBottom', word: 'bottom', x: 0.5, y: 1, upright: true },
]

export function PinsPicture({ node }: { node: Node }) {
  const editor = useEditor()
  const [grown, setGrown] = useState(100)
  const { layout } = editor
  const box = layout?.boxes.get(node.id)
  const room = layout && box && layout.roomOf(box)
  const rect = layout?.rect(node.id)
  if (!layout || !box?.pins || !room || !rect) return null
  const start = { x: rect.x - room.x, y: rect.y - room.y }
  const share = grown / 100
  const x = pinnedIn(box, 'width', { start: start.x, room: room.width }, room.width * share)
  const y = pinnedIn(box, 'height', { start: start.y, room: room.height }, room.height * share)
  const scale = Math.min(WIDTH / AROUND / Math.max(1, room.width), HEIGHT / AROUND / Math.max(1, room.height))
  const frame = { width: room.width * scale * share, height: room.height * scale * share }
  const { pins } = box
  const on: Record<PinName, boolean> = {
    pinLeft: !Number.isNaN(pins.left),
    pinRight: !Number.isNaN(pins.right),
    pinTop: !Number.isNaN(pins.top),
    pinBottom: !Number.isNaN(pins.bottom),
    pinCenterX: !Number.isNaN(pins.centerX),
    pinCenterY: !Number.isNaN(pins.centerY),
  }
  const press = (name: PinName, word: string) =>
    editor.commit(
      [editor.setEdit(node, togglePin(layout, node.id, name))],
      `${on[name] ? 'Take out' : 'Put in'} the ${word} pin`,
    )
  return (
    <div className="my-1.5 flex items-center gap-3" data-pins-picture>
      <div className="relative flex-none" style={{ width: WIDTH, height: HEIGHT }}>
        <div
          className="absolute border border-(--faint) bg-base-200"
          style={{ left: 0, top: 0, width: frame.width, height: frame.height }}
        >
          <div
            className="absolute border border-primary bg-secondary"
            data-pinned-block
            style={{
              left: x.start * scale,
              top: y.start * scale,
              width: Math.max(4, x.size * scale),
              height: Math.max(4, y.size * scale),
            }}
          />
          {PINS.map(({ name, word, x: atX, y: atY, upright }) => (
            <button
              key={name}
              type="button"
              aria-pressed={on[name]}
              aria-label={`Pin to the ${word} edge`}
              title={`Pin to the ${word} edge`}
              className={`absolute rounded-full border border-primary ${on[name] ? 'bg-primary' : 'bg-base-100'}`}
              style={{
                left: atX * frame.width - (upright ? 4 : 8),
                top: atY * frame.height - (upright ? 8 : 4),
                width: upright ? 8 : 16,
                height: upright ? 16 : 8,
              }}
              onClick={() => press(name, word)}
            />
          ))}
        </div>
      </div>
      <div className="flex min-w-0 flex-1 flex-col gap-1 text-small">
        <div className="flex flex-wrap gap-1">
          {(['pinCenterX', 'pinCenterY'] as const).map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={on[name]}
              className={`chip ${on[name] ? 'bg-primary text-primary-content' : ''}`}
              aria-label={name === 'pinCenterX' ? 'Pin to the centre across' : 'Pin to the centre down'}
              onClick={() => press(name, name === 'pinCenterX' ? 'centre' : 'middle')}
            >
              {name === 'pinCenterX' ? 'centre' : 'middle'}
            </button>
          ))}
        </div>
        <label className="soft">
          Try its parent larger or smaller
          <input
            type="range"
            min={60}
            max={135}
            value={grown}
            className="range range-xs range-primary mt-1 w-full"
            onChange={(event) => setGrown(Number(event.target.value))}
            onPointerUp={() => setGrown(100)}
            onBlur={() => setGrown(100)}
          />
        </label>
      </div>
    </div>
  )
}
