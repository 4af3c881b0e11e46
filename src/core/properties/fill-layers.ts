/** Fills as layers of CSS backgrounds (CSS Backgrounds 3 §2). */

import { num, percent, px, unit } from './css-text'
import type { SaidFill } from './items'
import { noiseName } from './noise'
import type { Values } from './property'

type Of<K extends SaidFill['kind']> = Extract<SaidFill, { kind: K }>
/** One background image; what is left out is as CSS has it by itself. */
export type Layer = { image: string; position?: string; size?: string; repeat?: string }

/** A colour as an image, for what lies over another fill. */
const plain = (color: string) => `linear-gradient(${color}, ${color})`

/** Colours on a way, as CSS lists them. */
export const stopsText = (stops: readonly { color: string; at: number }[]) =>
  stops.map(({ color, at }) => `${color} ${percent(at)}`).join(', ')

function gradient(
  { shape, angle, x = 50, y = 50, stops }: Of<'gradient'>,
  color: (value: string) => string,
  token: (reference: string) => string | undefined,
): string {
  const list =
    typeof stops === 'string'
      ? (token(stops) ?? 'transparent, transparent')
      : stopsText(stops.map((stop) => ({ ...stop, color: color(stop.color) })))
  const at = `at ${percent(x)} ${percent(y)}`
  if (shape === 'radial') return `radial-gradient(${at}, ${list})`
  if (shape === 'conic') return `conic-gradient(from ${num(angle)}deg ${at}, ${list})`
  return `linear-gradient(${num(angle)}deg, ${list})`
}

/** Half a px from full to nothing, a half of it each way: an edge as smooth as a drawn circle's. */
const SOFT = 0.25

/** A wave's arcs are quarters of circles as far from one another as the waves: half their chord is as long as the middle is deep. */
export const waveRadius = (size: number) => size * Math.SQRT1_2

/** Arcs upwards in tiles that end on the wave's line, and arcs downwards in those that begin on it, one beside the other. */
function waves({ size, weight }: Of<'pattern'>, color: string): Layer[] {
  const radius = waveRadius(size)
  const edges = [
    radius - weight / 2 - SOFT,
    radius - weight / 2 + SOFT,
    radius + weight / 2 - SOFT,
    radius + weight / 2 + SOFT,
  ]
  const [in1, in2, out1, out2] = edges.map((edge) => unit(Math.max(0, edge)))
  const ring = `transparent ${in1}, ${color} ${in2} ${out1}, transparent ${out2}`
  const arcs = (middle: number, from: number): Layer => ({
    image: `radial-gradient(circle at 50% ${px(middle)}, ${ring})`,
    size: `${px(size * 2)} ${px(size)}`,
    position: `${px(from)} 0`,
  })
  return [arcs(size * 1.5, -size / 2), arcs(-size / 2, size / 2)]
}

const lines = (angle: number, color: string, { weight, size }: Of<'pattern'>) =>
  `repeating-linear-gradient(${num(angle)}deg, ${color} 0 ${unit(weight)}, transparent ${unit(weight)} ${unit(size)})`

function pattern(fill: Of<'pattern'>, color: string): Layer[] {
  const { shape, size, weight } = fill
  if (shape === 'lines') return [{ image: lines(fill.angle ?? 0, color, fill) }]
  if (shape === 'grid') return [{ image: lines(90, color, fill) }, { image: lines(180, color, fill) }]
  if (shape === 'checks')
    return [
      {
        image: `repeating-conic-gradient(${color} 0 25%, transparent 0 50%)`,
        size: `${px(size * 2)} ${px(size * 2)}`,
      },
    ]
  if (shape === 'waves') return waves(fill, color)
  const radius = weight / 2
  return [
    {
      image: `radial-gradient(circle, ${color} ${unit(Math.max(0, radius - SOFT))}, transparent ${unit(radius + SOFT)})`,
      size: `${px(size)} ${px(size)}`,
    },
  ]
}

/** A picture written out, as an address that ends nothing around it. */
export const svgAddress = (svg: string) =>
  `url("data:image/svg+xml,${svg.replace(/"/g, "'").replace(/[%#<>{}\\;]/g, (char) => encodeURIComponent(char))}")`

const picture = (image: string | undefined): Layer[] => (image === undefined ? [] : [{ image }])

/** What is drawn of a fill, the topmost first. */
export function layersOf(fill: SaidFill, { write }: Values): Layer[] {
  const color = (value: string) => write.color(value) ?? 'transparent'
  switch (fill.kind) {
    case 'color':
      return [{ image: plain(color(fill.color)) }]
    case 'gradient':
      return [{ image: gradient(fill, color, (reference) => write.token(reference, 'gradient')) }]
    case 'pattern':
      return pattern(fill, color(fill.color))
    case 'noise':
      return picture(write.picture(noiseName(fill)))
    case 'picture':
      return picture(write.picture(fill.asset)).map((layer) => ({ ...layer, ...lying(fill) }))
  }
}

/** How a picture lies behind a block. */
function lying({ fit, size, x = 50, y = 50 }: Of<'picture'>): Omit<Layer, 'image'> {
  if (fit === 'tile') return size === undefined ? {} : { size: `${px(size)} auto` }
  return { size: fit, position: `${percent(x)} ${percent(y)}`, repeat: 'no-repeat' }
}
