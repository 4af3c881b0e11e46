/** Fills as layers of CSS backgrounds (CSS Backgrounds 3 §2). */
import { num, percent, px, unit } from './css-text'
import type { Fill } from './items'
import type { Values } from './property'

type Of<K extends Fill['kind']> = Extract<Fill, { kind: K }>
/** One background image; what is left out is as CSS has it by itself. */
export type Layer = { image: string; position?: string; size?: string; repeat?: string }

/** A colour as an image, for what lies over another fill. */
const plain = (color: string) => `linear-gradient(${color}, ${color})`

function gradient(
  { shape, angle, x = 50, y = 50, stops }: Of<'gradient'>,
  color: (value: string) => string,
): string {
  const list = stops.map((stop) => `${color(stop.color)} ${percent(stop.at)}`).join(', ')
  const at = `at ${percent(x)} ${percent(y)}`
  if (shape === 'radial') return `radial-gradient(${at}, ${list})`
  if (shape === 'conic') return `conic-gradient(from ${num(angle)}deg ${at}, ${list})`
  return `linear-gradient(${num(angle)}deg, ${list})`
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
  // Half a px from full to nothing: an edge as smooth as a drawn circle's.
  const radius = weight / 2
  return [
    {
      image: `radial-gradient(circle, ${color} ${unit(Math.max(0, radius - 0.25))}, transparent ${unit(radius + 0.25)})`,
      size: `${px(size)} ${px(size)}`,
    },
  ]
}

/** A tile's side, px. */
export const NOISE_TILE = 256

/** Grey grain, the same everywhere: what turbulence gives is defined to the last digit (Filter Effects 1 §9.21). */
export function noisePicture({ amount, grain }: Pick<Of<'noise'>, 'amount' | 'grain'>): string {
  const side = NOISE_TILE
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}">` +
    `<filter id="n" x="0" y="0" width="100%" height="100%" color-interpolation-filters="sRGB">` +
    `<feTurbulence type="fractalNoise" baseFrequency="${num(0.8 / grain)}" numOctaves="2" stitchTiles="stitch"/>` +
    // One channel as grey, spread, as opaque as wanted.
    `<feColorMatrix values="1.6 0 0 0 -0.3 1.6 0 0 0 -0.3 1.6 0 0 0 -0.3 0 0 0 0 ${num(amount / 100)}"/>` +
    `</filter><rect width="${side}" height="${side}" filter="url(#n)"/></svg>`
  )
}

/** A picture written out, as an address that ends nothing around it. */
export const svgAddress = (svg: string) =>
  `url("data:image/svg+xml,${svg.replace(/"/g, "'").replace(/[%#<>{}\\;]/g, (char) => encodeURIComponent(char))}")`

/** What is drawn of a fill, the topmost first. */
export function layersOf(fill: Fill, { write }: Values): Layer[] {
  const color = (value: string) => write.color(value) ?? 'transparent'
  switch (fill.kind) {
    case 'color':
      return [{ image: plain(color(fill.color)) }]
    case 'gradient':
      return [{ image: gradient(fill, color) }]
    case 'pattern':
      return pattern(fill, color(fill.color))
    case 'noise':
      return [{ image: svgAddress(noisePicture(fill)) }]
    case 'picture': {
      const image = write.picture(fill.asset)
      if (image === undefined) return []
      const size =
        fill.fit === 'tile' ? (fill.size === undefined ? undefined : `${px(fill.size)} auto`) : fill.fit
      if (fill.fit === 'tile') return [{ image, ...(size ? { size } : {}) }]
      return [
        { image, size, position: `${percent(fill.x ?? 50)} ${percent(fill.y ?? 50)}`, repeat: 'no-repeat' },
      ]
    }
  }
}
