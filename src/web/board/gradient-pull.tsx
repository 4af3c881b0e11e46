/** The gradient that is being said in the spec, on the block itself: its line, its centre, its colours are pulled there. */
import { useRef } from 'react'
import {
  centrePulled,
  type Gradient,
  gradientHandles,
  stopAdded,
  stopPulled,
  wayPulled,
} from '../../core/arrange/gradient-pull'
import type { Node } from '../../core/document/document'
import { cascaded, colorIn } from '../../core/document/resolve'
import type { LayoutBox } from '../../core/layout/box'
import { turnBack } from '../../core/layout/rect'
import { makeId } from '../editor/editor-state'
import { useBoard } from '../editor/use-editor'
import { followPointer } from '../parts/follow-pointer'
import type { SheetPlace } from './sheet-place'

type Point = { x: number; y: number }
/** Degrees that its way goes in with Shift. */
const STEP = 15
/** How far beyond its last colour its way is taken hold of, px on the board. */
const BEYOND = 22

/** What is let go is no press on whatever lies there. */
function leaveNoClick() {
  const stop = (event: Event) => event.stopImmediatePropagation()
  addEventListener('click', stop, { capture: true, once: true })
  setTimeout(() => removeEventListener('click', stop, true))
}

export function GradientPull({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  const { pulling } = editor
  const box = pulling && editor.view.id === view.id ? layout.boxes.get(pulling.node) : undefined
  const rect = box && layout.rect(box.id)
  const node = box && editor.doc.nodes.get(box.id)
  const fill = node && cascaded(editor.doc, node, view.id).fills?.[pulling!.fill]
  if (!box || !rect || !node || fill?.kind !== 'gradient') return null
  return (
    <Handles
      node={node}
      fill={pulling!.fill}
      gradient={fill}
      box={box}
      zoom={zoom}
      at={{ left: left + rect.x * zoom, top: top + rect.y * zoom }}
    />
  )
}

function Handles({
  node,
  fill,
  gradient,
  box,
  zoom,
  at: place,
}: {
  node: Node
  fill: string
  gradient: Gradient
  box: LayoutBox
  zoom: number
  at: { left: number; top: number }
}) {
  const editor = useBoard()
  const frame = useRef<HTMLDivElement>(null)
  const size = {
    width: Math.max(1, box.width - box.borL - box.borR),
    height: Math.max(1, box.height - box.borT - box.borB),
  }
  const turn = box.resolved.rotate ?? 0
  /** A point of the window, px in the padding box; a turned frame keeps its middle. */
  const pointAt = ({ clientX, clientY }: { clientX: number; clientY: number }): Point => {
    const seen = frame.current!.getBoundingClientRect()
    const x = (clientX - seen.x - seen.width / 2) / zoom + box.width / 2
    const y = (clientY - seen.y - seen.height / 2) / zoom + box.height / 2
    const upright = turnBack(box, 0, 0, x, y)
    return { x: upright.x - box.borL, y: upright.y - box.borT }
  }
  const set = (next: Gradient, gesture?: string) =>
    editor.setProps({ fills: { [fill]: next } }, `Gradient of ${node.name}`, gesture, [node])
  /** Follows a press on a handle. @param pulled what the gradient is with it at a point */
  const pull = (pulled: (to: Point, isStepped: boolean) => Gradient) => (event: React.PointerEvent) => {
    if (event.button !== 0) return
    event.preventDefault()
    event.stopPropagation()
    const gesture = makeId()
    let hasMoved = false
    followPointer(event.pointerId, {
      move: (now) => {
        hasMoved = true
        set(pulled(pointAt(now), now.shiftKey), gesture)
      },
      end: leaveNoClick,
      cancel: () => hasMoved && editor.session.giveUp(),
    })
  }
  const { from, to, centre, way, along } = gradientHandles(gradient, size)
  const across = (x: number) => (x + box.borL) * zoom
  const down = (y: number) => (y + box.borT) * zoom
  const at = ({ x, y }: Point) => ({ left: across(x), top: down(y) })
  const length = Math.hypot(to.x - from.x, to.y - from.y) * zoom || 1
  const wayAt = (point: Point) => ({
    left: across(point.x) + (((to.x - from.x) * zoom) / length) * BEYOND,
    top: down(point.y) + (((to.y - from.y) * zoom) / length) * BEYOND,
  })
  const line = { x1: across(from.x), y1: down(from.y), x2: across(to.x), y2: down(to.y) }
  return (
    // Whoever presses here goes on with what is open in the spec.
    <div
      ref={frame}
      data-pulls
      className="pointer-events-none absolute z-20"
      style={{
        ...place,
        width: box.width * zoom,
        height: box.height * zoom,
        rotate: turn ? `${turn}deg` : undefined,
      }}
      onMouseDown={(event) => event.preventDefault()}
    >
      <svg aria-hidden className="absolute inset-0 size-full overflow-visible">
        <line {...line} stroke="white" strokeWidth={4} />
        <line {...line} stroke="var(--sheet-pine)" strokeWidth={1.5} />
        {gradient.shape !== 'conic' && (
          <line
            {...line}
            data-gradient-line
            className="pointer-events-auto cursor-copy"
            stroke="transparent"
            strokeWidth={14}
            onPointerDown={(event) => {
              event.stopPropagation()
              const more = stopAdded(gradient, size, pointAt(event))
              if (more) set(more)
            }}
          />
        )}
      </svg>
      {way && (
        <i
          data-gradient-way
          title="Turn it; Shift in steps of 15°"
          className="pointer-events-auto absolute -m-2 size-4 cursor-grab rounded-full border-2 border-(--sheet-pine) bg-white touch-none"
          style={wayAt(way)}
          onPointerDown={pull((point, isStepped) => wayPulled(gradient, size, point, isStepped ? STEP : 1))}
        />
      )}
      {centre && (
        <i
          data-gradient-centre
          title="Move its centre"
          className="pointer-events-auto absolute -m-2.5 size-5 cursor-move rounded-full border-2 border-(--sheet-pine) bg-white/40 touch-none"
          style={at(centre)}
          onPointerDown={pull((point) => centrePulled(gradient, size, point))}
        />
      )}
      {along.map((point, i) => (
        <i
          key={i}
          data-gradient-stop={i}
          title={`Colour ${i + 1}, at ${gradient.stops[i].at} %`}
          className="pointer-events-auto absolute -m-1.75 size-3.5 cursor-ew-resize rounded-xs border-2 border-white outline-1 outline-(--sheet-pine) touch-none"
          style={{ ...at(point), background: colorIn(editor.tokens, gradient.stops[i].color) ?? 'white' }}
          onPointerDown={pull((point) => stopPulled(gradient, size, i, point))}
        />
      ))}
    </div>
  )
}
