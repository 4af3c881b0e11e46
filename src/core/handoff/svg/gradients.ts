/** Gradients as CSS draws them: along a line, out of a point, round one. */

import { elementOf, pathOf, type Shape } from '../../forms/round-rect'
import { type GradientLine, gradientLine } from '../../paint/gradient-line'
import { num } from '../../properties/css-text'
import type { Fill } from '../../properties/items'
import { painted, type SvgWriter } from './writer'

type Gradient = Extract<Fill, { kind: 'gradient' }>

/** @param stops `stop` elements @param more attributes */
export const linearGradient = (
  id: string,
  { x1, y1, x2, y2 }: GradientLine,
  stops: string,
  more = '',
): string =>
  `<linearGradient id="${id}" gradientUnits="userSpaceOnUse"${more} x1="${num(x1)}" y1="${num(y1)}" x2="${num(x2)}" y2="${num(y2)}">${stops}</linearGradient>`

type Rgba = readonly [number, number, number, number]
const rgba = (hex: string): Rgba => [
  Number.parseInt(hex.slice(1, 3), 16),
  Number.parseInt(hex.slice(3, 5), 16),
  Number.parseInt(hex.slice(5, 7), 16),
  hex.length > 7 ? Number.parseInt(hex.slice(7), 16) / 255 : 1,
]
const hexOf = ([r, g, b, a]: Rgba) =>
  `#${[r, g, b, a * 255].map((each) => Math.round(each).toString(16).padStart(2, '0')).join('')}`

/** CSS mixes premultiplied colours (CSS Images 3 §3.4.3), SVG does not: between stops of unlike opacity there are some more. */
const BETWEEN = 12

type Stop = { at: number; color: string }

/** Between two colours, mixed premultiplied. @param t 0 to 1 */
function mixed(from: Rgba, to: Rgba, t: number): Rgba {
  const alpha = from[3] * (1 - t) + to[3] * t
  const [r, g, b] = [0, 1, 2].map((c) => {
    const value = from[c]! * from[3] * (1 - t) + to[c]! * to[3] * t
    return alpha === 0 ? 0 : value / alpha
  })
  return [r!, g!, b!, alpha]
}

/** The colour at a share of the way, percent. */
function colorAt(stops: readonly Stop[], at: number): string {
  const next = stops.findIndex((stop) => stop.at >= at)
  if (next <= 0) return (stops[next] ?? stops[stops.length - 1]!).color
  const [from, to] = [stops[next - 1], stops[next]]
  return hexOf(mixed(rgba(from!.color), rgba(to!.color), (at - from!.at) / Math.max(1e-6, to!.at - from!.at)))
}

function smooth(stops: readonly Stop[]): Stop[] {
  return stops.flatMap((stop, i) => {
    const next = stops[i + 1]!
    const [from, to] = [rgba(stop.color), next && rgba(next.color)]
    if (!to || from[3] === to[3]) return [stop]
    const more = Array.from({ length: BETWEEN - 1 }, (_, k): Stop => {
      const t = (k + 1) / BETWEEN
      return { at: stop.at + (next.at - stop.at) * t, color: hexOf(mixed(from, to, t)) }
    })
    // What is not there at all has the colour of what comes.
    const first = from[3] === 0 ? { at: stop.at, color: hexOf([to[0], to[1], to[2], 0]) } : stop
    return [first, ...more]
  })
}

const stopElements = (stops: readonly Stop[]) =>
  smooth(stops)
    .map(({ at, color }) => `<stop offset="${num(at)}%" ${painted('stop-color', color)}/>`)
    .join('')

/** @param inner the padding box: the gradient is measured from there (CSS Images 3 §3.1.1, background-origin) */
export function drawGradient(svg: SvgWriter, outer: Shape, inner: Shape, gradient: Gradient) {
  if (gradient.shape === 'conic') return drawConic(svg, outer, inner, gradient)
  const along = gradient.shape === 'radial' ? radial(inner, gradient) : linear(inner, gradient)
  const id = svg.define('g', along)
  svg.draw(elementOf(outer, `fill="url(#${id})"`))
}

function linear(inner: Shape, { angle, stops }: Gradient) {
  const line = gradientLine(inner, angle)
  return (id: string) => linearGradient(id, line, stopElements(stops))
}

/** The point that a gradient goes out from. */
const centreOf = (inner: Shape, { x = 50, y = 50 }: Gradient): [number, number] => [
  inner.left + ((inner.right - inner.left) * x) / 100,
  inner.top + ((inner.bottom - inner.top) * y) / 100,
]

/** An ellipse to the farthest corner, of the proportions of one to the farthest sides (§3.2.2). */
function radial(inner: Shape, gradient: Gradient) {
  const [cx, cy] = centreOf(inner, gradient)
  const reach = (at: number, low: number, high: number) =>
    Math.max(0.01, Math.max(at - low, high - at) * Math.SQRT2)
  const rx = reach(cx, inner.left, inner.right)
  const ry = reach(cy, inner.top, inner.bottom)
  return (id: string) =>
    `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="0" cy="0" r="1" gradientTransform="translate(${num(cx)} ${num(cy)}) scale(${num(rx)} ${num(ry)})">${stopElements(gradient.stops)}</radialGradient>`
}

/** SVG has none: slices of one colour each, so thin that they are not seen. */
const SLICES = 360

function drawConic(svg: SvgWriter, outer: Shape, inner: Shape, gradient: Gradient) {
  const [cx, cy] = centreOf(inner, gradient)
  const far = 2 * (Math.abs(outer.right - outer.left) + Math.abs(outer.bottom - outer.top))
  const at = (turn: number): Point => {
    const angle = ((gradient.angle + turn * 360) * Math.PI) / 180
    return [cx + far * Math.sin(angle), cy - far * Math.cos(angle)]
  }
  const within = svg.define('k', (id) => `<clipPath id="${id}"><path d="${pathOf(outer)}"/></clipPath>`)
  const slices = Array.from({ length: SLICES }, (_, i) => {
    const corners = cutTo(outer, [[cx, cy], at(i / SLICES), at((i + 1) / SLICES)])
    if (corners.length < 3) return ''
    const path = corners.map(([x, y]) => `${num(x)} ${num(y)}`).join('L')
    const color = colorAt(gradient.stops, ((i + 0.5) / SLICES) * 100)
    return `<path d="M${path}Z" ${painted('fill', color)}/>`
  })
  // Without smooth edges neighbours meet, and nothing shows between them.
  svg.draw(`<g clip-path="url(#${within})" shape-rendering="crispEdges">${slices.join('')}</g>`)
}

type Point = [x: number, y: number]

/** What of a polygon lies in a box, side by side (Sutherland and Hodgman 1974): some writers of pictures fail on what leads far out of them. */
function cutTo({ left, top, right, bottom }: Shape, polygon: readonly Point[]): Point[] {
  const sides: [axis: 0 | 1, edge: number, way: 1 | -1][] = [
    [0, left, 1],
    [0, right, -1],
    [1, top, 1],
    [1, bottom, -1],
  ]
  let points: readonly Point[] = polygon
  for (const [axis, edge, way] of sides) {
    const inside = (point: Point) => (point[axis] - edge) * way >= 0
    points = points.flatMap((point, i): Point[] => {
      const before = points[(i + points.length - 1) % points.length]!
      if (inside(before) === inside(point)) return inside(point) ? [point] : []
      const share = (edge - before[axis]) / (point[axis] - before[axis])
      const cut: Point = [
        before[0] + (point[0] - before[0]) * share,
        before[1] + (point[1] - before[1]) * share,
      ]
      return inside(point) ? [cut, point] : [cut]
    })
  }
  return [...points]
}
