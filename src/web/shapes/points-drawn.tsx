/** Points, handles and the line between them, over the sheet: thousands of them at 60 Hz. */
import { useMemo } from 'react'
import { type Path, type Point, pathData } from '../../core/forms/path'
import {
  type Anchor,
  type AnchorRef,
  anchorAt,
  curveFrom,
  isSmooth,
  type Outlines,
  pathOfOutlines,
} from '../../core/forms/points'

/** Dots as one path each: of thousands of points none costs an element. On halves of a screen px, so that those that stay are drawn once. */
const dots = (points: readonly Point[], zoom: number) => {
  const half = (value: number) => Math.round(value * zoom * 2) / 2 / zoom
  return points.map(([x, y]) => `M${half(x)} ${half(y)}h0`).join('')
}

/** Points beyond which not all of the line is drawn over the shape with every frame, but what is beside those that are chosen. */
const MANY = 200
/** Most chosen points that have the line beside them drawn then, and their handles shown: more could not be told apart. */
const FEW = 4
/** Screen px between dots that can be told apart. */
const APART = 5

/** The points that are not chosen, without those that would lie on the one before: nearer, they come. */
function apart(outlines: Outlines, chosen: readonly AnchorRef[], zoom: number): Anchor[] {
  const gone = new Set(chosen.map((ref) => anchorAt(outlines, ref)))
  let last: Point | undefined
  return outlines
    .flatMap(({ anchors }) => anchors)
    .filter((anchor) => {
      const { at } = anchor
      if (gone.has(anchor) || (last && Math.hypot(at[0] - last[0], at[1] - last[1]) * zoom < APART))
        return false
      last = at
      return true
    })
}

/** The line on either side of points. */
const beside = (outlines: Outlines, chosen: readonly AnchorRef[]): Path =>
  chosen.slice(0, FEW).flatMap(({ outline, anchor }) => {
    const count = outlines[outline]!.anchors.length
    return [(anchor + count - 1) % count, anchor].flatMap((each) => {
      const curve = curveFrom(outlines, { outline, anchor: each })
      return curve
        ? [{ from: curve[0], steps: [{ by: [curve[1], curve[2]], to: curve[3] }], closed: false }]
        : []
    }) as Path[number][]
  })

export function PointsDrawn({
  outlines,
  chosen,
  zoom,
  turn,
  centre,
}: {
  outlines: Outlines
  chosen: readonly AnchorRef[]
  zoom: number
  turn: number
  centre: Point
}) {
  const { line, curves, corners, many } = useMemo(() => {
    const count = outlines.reduce((sum, { anchors }) => sum + anchors.length, 0)
    const others = apart(outlines, chosen, zoom)
    return {
      line: pathData(count > MANY ? beside(outlines, chosen) : pathOfOutlines(outlines)),
      curves: dots(
        others.filter(isSmooth).map(({ at }) => at),
        zoom,
      ),
      corners: dots(
        others.filter((each) => !isSmooth(each)).map(({ at }) => at),
        zoom,
      ),
      many: count > MANY,
    }
  }, [outlines, chosen, zoom])
  const space = { zoom, turn, centre }
  const anchors = chosen.map((ref) => anchorAt(outlines, ref)!)
  const handles = anchors.length > FEW ? [] : anchors
  const ways = handles.flatMap(({ at, into, out }) =>
    [into, out].flatMap((handle) => (handle ? [[at, handle]] : [])),
  )
  return (
    <>
      <Sheet {...space}>
        {!many && <path d={line} stroke="white" strokeWidth={3} strokeOpacity={0.7} />}
        <path data-points-line d={line} stroke="var(--sheet-pine)" strokeWidth={1.25} />
        {ways.map(([at, to], i) => (
          <path
            key={i}
            d={`M${at![0]} ${at![1]}L${to![0]} ${to![1]}`}
            stroke="var(--sheet-pine)"
            strokeWidth={1}
          />
        ))}
      </Sheet>
      <Sheet {...space} stays>
        {(
          [
            [corners, 'square'],
            [curves, 'round'],
          ] as const
        ).map(([d, cap]) => (
          <g key={cap} strokeLinecap={cap}>
            <path d={d} stroke="var(--sheet-pine)" strokeWidth={cap === 'round' ? 9 : 8} />
            <path d={d} stroke="white" strokeWidth={cap === 'round' ? 6 : 5} />
          </g>
        ))}
      </Sheet>
      <Sheet {...space}>
        {anchors.map((anchor, i) => (
          <path
            key={i}
            data-point-chosen
            d={dots([anchor.at], zoom)}
            stroke="var(--sheet-pine)"
            strokeWidth={isSmooth(anchor) ? 10 : 9}
            strokeLinecap={isSmooth(anchor) ? 'round' : 'square'}
          />
        ))}
        {ways.map(([, to], i) => (
          <path
            key={i}
            data-point-handle
            d={dots([to!], zoom)}
            stroke="var(--sheet-gold)"
            strokeWidth={8}
            strokeLinecap="round"
          />
        ))}
      </Sheet>
    </>
  )
}

/** Drawn in px of the sheet, lines as wide at every zoom. @param stays on a surface of its own: it is not drawn again because something beside it is */
function Sheet({
  zoom,
  turn,
  centre,
  stays = false,
  children,
}: {
  zoom: number
  turn: number
  centre: Point
  stays?: boolean
  children: React.ReactNode
}) {
  return (
    <svg
      aria-hidden
      className={`pointer-events-none absolute inset-0 size-full overflow-visible ${stays ? 'will-change-transform' : ''}`}
    >
      <g
        transform={turn ? `scale(${zoom}) rotate(${turn} ${centre[0]} ${centre[1]})` : `scale(${zoom})`}
        className="[&_path]:[vector-effect:non-scaling-stroke]"
        fill="none"
      >
        {children}
      </g>
    </svg>
  )
}
