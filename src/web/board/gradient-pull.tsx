/** A gradient on its block: its line, its centre, its colours are pulled there. */
import {
  centrePulled,
  filledArea,
  type Gradient,
  gradientHandles,
  stopAdded,
  stopPulled,
  wayPulled,
} from '../../core/arrange/gradient-pull'
import type { Node } from '../../core/document/document'
import { colorIn } from '../../core/document/resolve'
import { useBoard } from '../editor/use-editor'
import { type Point, type Pullable, startPull } from './pull-frame'

/** Degrees that its way goes in with Shift. */
const STEP = 15
/** How far beyond its last colour its way is taken hold of, px on the board. */
const BEYOND = 22

export function GradientPull({
  node,
  fill,
  gradient,
  on: { box, zoom, pointAt },
}: {
  node: Node
  /** Its id among the block's fills. */
  fill: string
  gradient: Gradient
  on: Pullable
}) {
  const editor = useBoard()
  const { x: left, y: top, ...size } = filledArea(gradient, box)
  const inArea = (event: { clientX: number; clientY: number }): Point => {
    const { x, y } = pointAt(event)
    return { x: x - left, y: y - top }
  }
  const set = (next: Gradient, gesture?: string) =>
    editor.setProps({ fills: { [fill]: next } }, `Gradient of ${node.name}`, gesture, [node])
  const pull = (pulled: (to: Point, isStepped: boolean) => Gradient) => (event: React.PointerEvent) =>
    startPull(editor, event, (now, gesture) => set(pulled(inArea(now), now.shiftKey), gesture))
  const { from, to, centre, way, along } = gradientHandles(gradient, size)
  const across = (x: number) => (x + left) * zoom
  const down = (y: number) => (y + top) * zoom
  const at = ({ x, y }: Point) => ({ left: across(x), top: down(y) })
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const beyond = (point: Point) => ({
    left: across(point.x) + ((to.x - from.x) / length) * BEYOND,
    top: down(point.y) + ((to.y - from.y) / length) * BEYOND,
  })
  const line = { x1: across(from.x), y1: down(from.y), x2: across(to.x), y2: down(to.y) }
  return (
    <>
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
              const more = stopAdded(gradient, size, inArea(event))
              if (more) set(more)
            }}
          />
        )}
      </svg>
      {way && (
        <i
          data-gradient-way
          title="Turn it; Shift in steps of 15°"
          className="pointer-events-auto absolute -m-2 size-4 cursor-grab touch-none rounded-full border-2 border-(--sheet-pine) bg-white"
          style={beyond(way)}
          onPointerDown={pull((point, isStepped) => wayPulled(gradient, size, point, isStepped ? STEP : 1))}
        />
      )}
      {centre && (
        <i
          data-gradient-centre
          title="Move its centre"
          className="pointer-events-auto absolute -m-2.5 size-5 cursor-move touch-none rounded-full border-2 border-(--sheet-pine) bg-white/40"
          style={at(centre)}
          onPointerDown={pull((point) => centrePulled(gradient, size, point))}
        />
      )}
      {along.map((point, i) => (
        <i
          key={i}
          data-gradient-stop={i}
          title={`Colour ${i + 1}, at ${gradient.stops[i]!.at} %`}
          className="pointer-events-auto absolute -m-1.75 size-3.5 cursor-ew-resize touch-none rounded-xs border-2 border-white outline-1 outline-(--sheet-pine)"
          style={{ ...at(point), background: colorIn(editor.tokens, gradient.stops[i]!.color) ?? 'white' }}
          onPointerDown={pull((point) => stopPulled(gradient, size, i, point))}
        />
      ))}
    </>
  )
}
