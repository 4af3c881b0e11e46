/** A picture slid inside its box: all of it is seen, its box cut out, with thirds and the point that stays in place at every size. */
import { useEffect, useRef } from 'react'
import { type Focus, type Framing, framingOf, slidTo } from '../../core/arrange/framing'
import type { Node } from '../../core/document/document'
import { type Editor, makeId } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { useBoard } from '../editor/use-editor'
import { followPointer } from '../parts/follow-pointer'
import { pictureUrl } from '../session/pictures'
import type { SheetPlace } from './sheet-place'

/** px that an arrow key goes, and with Shift. */
const STEP = 1
const LEAP = 10
const ARROWS: Readonly<Record<string, [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

function slide(editor: Editor, node: Node, focus: Focus, gesture: string) {
  editor.setProps({ ...focus }, `Slide ${node.name} in its box`, gesture, [node])
}

export function FramingLayer({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  const { framing } = editor
  const box = framing?.view === view.id ? layout.boxes.get(framing.id) : undefined
  const asset = box?.resolved.asset ? editor.doc.assets.get(box.resolved.asset) : undefined
  const rect = box && layout.rect(box.id)
  if (!box || !asset || !rect) return null
  return (
    <Slider
      key={box.id}
      node={editor.doc.node(box.id)}
      source={pictureUrl(asset)}
      framing={framingOf(box, asset)}
      at={{ left: left + rect.x * zoom, top: top + rect.y * zoom, zoom }}
    />
  )
}

function Slider({
  node,
  source,
  framing,
  at,
}: {
  node: Node
  source: string
  framing: Framing
  at: { left: number; top: number; zoom: number }
}) {
  const editor = useBoard()
  const layer = useRef<HTMLDivElement>(null)
  const gesture = useRef(makeId())
  useEffect(() => layer.current?.focus({ preventScroll: true }), [])
  const { frame, picture, focusX, focusY } = framing
  const { zoom } = at
  const end = () => {
    editor.set({ framing: undefined })
    goHome(editor)
  }
  const down = (event: React.PointerEvent) => {
    if (event.button !== 0) return
    event.preventDefault()
    event.stopPropagation()
    const step = makeId()
    let moved = false
    followPointer(event.pointerId, {
      move: (now) => {
        moved = true
        const [dx, dy] = [(now.clientX - event.clientX) / zoom, (now.clientY - event.clientY) / zoom]
        slide(editor, node, slidTo(framing, dx, dy), step)
      },
      end: () => undefined,
      cancel: () => moved && editor.session.giveUp(),
    })
  }
  const press = (event: React.KeyboardEvent) => {
    const way = ARROWS[event.key]
    if (event.key === 'Enter' || event.key === 'Escape') end()
    else if (way) {
      const by = event.shiftKey ? LEAP : STEP
      const next = slidTo(framing, way[0] * by, way[1] * by)
      slide(editor, node, next, gesture.current)
      editor.announce(`${Math.round(next.focusX)} % across, ${Math.round(next.focusY)} % down`)
    } else if (event.key === 'Home') slide(editor, node, { focusX: 50, focusY: 50 }, gesture.current)
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const px = (value: number) => value * zoom
  const inFrame = (x: number, y: number) => ({
    left: px(frame.x + frame.width * x),
    top: px(frame.y + frame.height * y),
  })
  return (
    <div
      ref={layer}
      data-framing
      role="application"
      aria-label={`Slide ${node.name} in its box: drag or arrows, Enter when done`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: an application is a control
      tabIndex={0}
      className="absolute z-20 cursor-move touch-none outline-none"
      style={{
        left: at.left + px(picture.x),
        top: at.top + px(picture.y),
        width: px(picture.width),
        height: px(picture.height),
      }}
      onPointerDown={down}
      onKeyDown={press}
      onDoubleClick={(event) => {
        event.stopPropagation()
        end()
      }}
    >
      <img
        alt=""
        src={source}
        draggable={false}
        className="pointer-events-none size-full max-w-none opacity-45"
      />
      <div
        className="pointer-events-none absolute"
        style={{ left: -px(picture.x), top: -px(picture.y), width: 0, height: 0 }}
      >
        <div
          className="absolute overflow-hidden outline-2 outline-(--sheet-pine)"
          style={{ ...inFrame(0, 0), width: px(frame.width), height: px(frame.height) }}
        >
          <img
            alt=""
            src={source}
            className="absolute max-w-none"
            style={{
              left: px(picture.x - frame.x),
              top: px(picture.y - frame.y),
              width: px(picture.width),
              height: px(picture.height),
            }}
          />
        </div>
        {[1 / 3, 2 / 3].map((third) => (
          <span key={third}>
            <i
              className="absolute w-px bg-white/80 mix-blend-difference"
              style={{ ...inFrame(third, 0), height: px(frame.height) }}
            />
            <i
              className="absolute h-px bg-white/80 mix-blend-difference"
              style={{ ...inFrame(0, third), width: px(frame.width) }}
            />
          </span>
        ))}
        <i
          className="absolute -mt-2 -ml-2 size-4 rounded-full border-2 border-white bg-(--sheet-pine)"
          style={inFrame(focusX / 100, focusY / 100)}
        />
      </div>
    </div>
  )
}
