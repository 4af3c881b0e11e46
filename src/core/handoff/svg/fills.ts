/** What lies behind a block's content: shadow, fill, gradient. */
import { num } from '../../properties/css-text'
import type { Fill, Shadow } from '../../properties/items'
import { elementOf, moved, pathOf, type Shape, spread } from './shapes'
import { painted, type SvgWriter } from './writer'

/** Seen only around the block, not through it (CSS Backgrounds 3 §6.1). */
export function drawShadow(svg: SvgWriter, outer: Shape, shadow: Shadow) {
  const { x, y, blur, color } = shadow
  const shade = moved(spread(outer, shadow.spread), x, y)
  if (shade.right <= shade.left || shade.bottom <= shade.top) return
  // Three standard deviations, of which blur is two.
  const reach = Math.ceil(blur * 1.5) + 1
  const [left, top] = [Math.min(shade.left - reach, outer.left), Math.min(shade.top - reach, outer.top)]
  const [right, bottom] = [
    Math.max(shade.right + reach, outer.right),
    Math.max(shade.bottom + reach, outer.bottom),
  ]
  const area = `M${num(left)} ${num(top)}H${num(right)}V${num(bottom)}H${num(left)}Z`
  const around = svg.define(
    'k',
    (id) => `<clipPath id="${id}"><path d="${area}${pathOf(outer)}" clip-rule="evenodd"/></clipPath>`,
  )
  let filter = ''
  if (blur > 0) {
    const region = `x="${num(left)}" y="${num(top)}" width="${num(right - left)}" height="${num(bottom - top)}"`
    const id = svg.define(
      'f',
      (id) =>
        `<filter id="${id}" filterUnits="userSpaceOnUse" ${region} color-interpolation-filters="sRGB"><feGaussianBlur stdDeviation="${num(blur / 2)}"/></filter>`,
    )
    filter = ` filter="url(#${id})"`
  }
  svg.draw(`<g clip-path="url(#${around})">${elementOf(shade, `${painted('fill', color)}${filter}`)}</g>`)
}

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

function smooth(stops: readonly Stop[]): Stop[] {
  return stops.flatMap((stop, i) => {
    const next = stops[i + 1]
    const [from, to] = [rgba(stop.color), next && rgba(next.color)]
    if (!to || from[3] === to[3]) return [stop]
    const more = Array.from({ length: BETWEEN - 1 }, (_, k): Stop => {
      const t = (k + 1) / BETWEEN
      const alpha = from[3] + (to[3] - from[3]) * t
      const mixed = [0, 1, 2].map((c) => {
        const value = from[c] * from[3] * (1 - t) + to[c] * to[3] * t
        return alpha === 0 ? 0 : value / alpha
      })
      return {
        at: stop.at + (next.at - stop.at) * t,
        color: hexOf([mixed[0], mixed[1], mixed[2], alpha]),
      }
    })
    // What is not there at all has the colour of what comes.
    const first = from[3] === 0 ? { at: stop.at, color: hexOf([to[0], to[1], to[2], 0]) } : stop
    return [first, ...more]
  })
}

/** @param inner the padding box: the gradient is measured from there (CSS Images 3 §3.1.1, background-origin) */
export function drawGradient(
  svg: SvgWriter,
  outer: Shape,
  inner: Shape,
  gradient: Extract<Fill, { kind: 'gradient' }>,
) {
  const angle = (gradient.angle * Math.PI) / 180
  const [width, height] = [inner.right - inner.left, inner.bottom - inner.top]
  // The gradient line's length for an angle: §3.1.1.
  const half = (Math.abs(width * Math.sin(angle)) + Math.abs(height * Math.cos(angle))) / 2
  const [cx, cy] = [inner.left + width / 2, inner.top + height / 2]
  const [dx, dy] = [Math.sin(angle) * half, -Math.cos(angle) * half]
  const stops = smooth(gradient.stops).map(
    ({ at, color }) => `<stop offset="${num(at)}%" ${painted('stop-color', color)}/>`,
  )
  const id = svg.define(
    'g',
    (id) =>
      `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${num(cx - dx)}" y1="${num(cy - dy)}" x2="${num(cx + dx)}" y2="${num(cy + dy)}">${stops.join('')}</linearGradient>`,
  )
  svg.draw(elementOf(outer, `fill="url(#${id})"`))
}
