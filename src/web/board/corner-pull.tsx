/** A block's corners: each pulled inwards makes all round, with Alt itself alone. */
import { CORNERS, type Corner, cornersPulled } from '../../core/arrange/corners'
import type { Node } from '../../core/document/document'
import { formatPx } from '../../core/lattice/solve'
import { useBoard } from '../editor/use-editor'
import { TAG } from './marks'
import { type Pullable, startPull } from './pull-frame'

/** Nearest to its corner that a handle is, px on the board. */
const LEAST = 14

export function CornerPull({ node, on: { box, zoom, pointAt } }: { node: Node; on: Pullable }) {
  const editor = useBoard()
  const { width, height, resolved } = box
  const pull = (corner: Corner) => (event: React.PointerEvent) => {
    const from = pointAt(event)
    startPull(editor, event, (now, gesture) => {
      const to = pointAt(now)
      const props = cornersPulled(resolved, box, corner, to.x - from.x, to.y - from.y, now.altKey)
      editor.setProps(props, `Corners of ${node.name}`, gesture, [node])
    })
  }
  const shown = (radius: number) =>
    Math.min(Math.max(LEAST, radius * zoom), (Math.min(width, height) * zoom) / 2)
  return (
    <>
      {CORNERS.map((corner) => {
        const inset = shown(resolved[corner.key])
        return (
          <i
            key={corner.key}
            data-corner={corner.key}
            title="Round all corners; Alt this one alone"
            className="pointer-events-auto absolute -m-1.5 size-3 cursor-nwse-resize touch-none rounded-full border-2 border-(--sheet-pine) bg-white"
            style={{
              left: corner.right ? width * zoom - inset : inset,
              top: corner.bottom ? height * zoom - inset : inset,
            }}
            onPointerDown={pull(corner)}
          />
        )
      })}
      <div
        className={`${TAG} left-1/2 top-1/2 -translate-x-1/2 -translate-y-1/2 bg-(--gold-wash) text-(--gold-text)`}
      >
        {cornerWords(CORNERS.map(({ key }) => resolved[key]))}
      </div>
    </>
  )
}

const cornerWords = (radii: readonly number[]) =>
  radii.every((radius) => radius === radii[0])
    ? `corners ${formatPx(radii[0]!)}`
    : `corners ${radii.map(formatPx).join(' ')}`
