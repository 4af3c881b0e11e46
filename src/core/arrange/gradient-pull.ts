/** A gradient pulled by what is seen of it: its line or centre, its way, the places of its colours. Points are px in the area that it fills. */
import { gradientLine } from '../paint/gradient-line'
import { type Fill, isInBorder } from '../properties/items'

export type Gradient = Extract<Fill, { kind: 'gradient' }>
type Point = { x: number; y: number }
type Size = { width: number; height: number }

type Bordered = Size & { borL: number; borT: number; borR: number; borB: number }
/** What a fill is laid over, px from the block's corner: its padding box, or with the border what is in that (`background-origin`). */
export function filledArea(fill: Fill, box: Bordered): Point & Size {
  if (isInBorder(fill)) return { x: 0, y: 0, width: box.width, height: box.height }
  const { borL: x, borT: y } = box
  return {
    x,
    y,
    width: Math.max(1, box.width - x - box.borR),
    height: Math.max(1, box.height - y - box.borB),
  }
}

/** Where it can be taken hold of. `way`: the end of the line, or where a conic one begins; `along`: of its colours, first to last. */
export type GradientHandles = { from: Point; to: Point; centre?: Point; way?: Point; along: Point[] }

/** Of a conic one's ring, of the shorter side. */
const RING = 0.3
/** How far its way is shown beyond the ring. */
const BEYOND = 1.35

const centreOf = ({ x = 50, y = 50 }: Gradient, { width, height }: Size): Point => ({
  x: (width * x) / 100,
  y: (height * y) / 100,
})
const onRing = (centre: Point, radius: number, degrees: number): Point => {
  const angle = (degrees * Math.PI) / 180
  return { x: centre.x + Math.sin(angle) * radius, y: centre.y - Math.cos(angle) * radius }
}

/** From a radial one's centre straight to the side that is farther: as far as its last colour (`farthest-corner`, CSS Images 3 §3.2.1). */
function rayOf(gradient: Gradient, size: Size): { centre: Point; to: Point } {
  const centre = centreOf(gradient, size)
  const toRight = size.width - centre.x >= centre.x
  const reach = Math.max(centre.x, size.width - centre.x) * Math.SQRT2
  return { centre, to: { x: centre.x + (toRight ? reach : -reach), y: centre.y } }
}

export function gradientHandles(gradient: Gradient, size: Size): GradientHandles {
  const { angle, stops } = gradient
  if (gradient.shape === 'conic') {
    const centre = centreOf(gradient, size)
    const radius = Math.min(size.width, size.height) * RING
    return {
      from: centre,
      to: onRing(centre, radius * BEYOND, angle),
      centre,
      way: onRing(centre, radius * BEYOND, angle),
      along: stops.map(({ at }) => onRing(centre, radius, angle + at * 3.6)),
    }
  }
  const ends = () => {
    if (gradient.shape === 'radial') {
      const { centre, to } = rayOf(gradient, size)
      return { from: centre, to, centre }
    }
    const { x1, y1, x2, y2 } = gradientLine(
      { left: 0, top: 0, right: size.width, bottom: size.height },
      angle,
    )
    return { from: { x: x1, y: y1 }, to: { x: x2, y: y2 }, way: { x: x2, y: y2 } }
  }
  const line = ends()
  const along = stops.map(({ at }) => ({
    x: line.from.x + ((line.to.x - line.from.x) * at) / 100,
    y: line.from.y + ((line.to.y - line.from.y) * at) / 100,
  }))
  return { ...line, along }
}

/** Degrees clockwise from upwards, 0 to 360. */
const degreesTo = (from: Point, to: Point) =>
  ((Math.atan2(to.x - from.x, from.y - to.y) * 180) / Math.PI + 360) % 360
const share = (value: number) => Math.round(Math.min(100, Math.max(0, value)) * 10) / 10

/** Its way turned so that it leads to a point. @param step degrees that it goes in */
export function wayPulled(gradient: Gradient, size: Size, to: Point, step: number): Gradient {
  const middle =
    gradient.shape === 'conic' ? centreOf(gradient, size) : { x: size.width / 2, y: size.height / 2 }
  const angle = (Math.round(degreesTo(middle, to) / step) * step) % 360
  return { ...gradient, angle }
}

/** Its centre put on a point, not outside of the block. */
export const centrePulled = (gradient: Gradient, { width, height }: Size, to: Point): Gradient => ({
  ...gradient,
  x: share((to.x / Math.max(1, width)) * 100),
  y: share((to.y / Math.max(1, height)) * 100),
})

/** How far along it a point lies, percent. */
export function alongAt(gradient: Gradient, size: Size, { x, y }: Point): number {
  if (gradient.shape === 'conic') {
    const turned = degreesTo(centreOf(gradient, size), { x, y }) - gradient.angle
    return share((((turned % 360) + 360) % 360) / 3.6)
  }
  const { from, to } = gradientHandles(gradient, size)
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const length = dx * dx + dy * dy
  return length === 0 ? 0 : share((((x - from.x) * dx + (y - from.y) * dy) / length) * 100)
}

/** A colour moved along to a point, not past those beside it. */
export function stopPulled(gradient: Gradient, size: Size, index: number, to: Point): Gradient {
  const { stops } = gradient
  const least = stops[index - 1]?.at ?? 0
  const most = stops[index + 1]?.at ?? 100
  const at = Math.min(most, Math.max(least, alongAt(gradient, size, to)))
  return { ...gradient, stops: stops.map((stop, i) => (i === index ? { ...stop, at } : stop)) }
}

/** Most colours of one gradient. */
const MOST = 16

/** One colour more where a point lies along it: that of the nearer colour. @returns undefined: there are as many as there may be */
export function stopAdded(gradient: Gradient, size: Size, at: Point): Gradient | undefined {
  const { stops } = gradient
  if (stops.length >= MOST) return undefined
  const place = alongAt(gradient, size, at)
  const next = stops.findIndex((stop) => stop.at > place)
  const index = next < 0 ? stops.length : next
  const beside = [stops[index - 1], stops[index]].filter((stop) => stop !== undefined)
  const [nearest] = beside.sort((a, b) => Math.abs(a.at - place) - Math.abs(b.at - place))
  return { ...gradient, stops: stops.toSpliced(index, 0, { color: nearest!.color, at: place }) }
}
