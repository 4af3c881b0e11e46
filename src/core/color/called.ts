/** What a colour is called in plain words, to name a token by. */
import { oklabOf } from './oklab'

/** Chroma up to which colours are called grey, and up to which they are muted. */
const GREYISH = 0.025
const MUTED = 0.09

/** Where each begins, degrees of OKLCH's hue. */
const HUES: readonly [from: number, name: string][] = [
  [0, 'pink'],
  [15, 'red'],
  [45, 'orange'],
  [78, 'yellow'],
  [118, 'green'],
  [168, 'teal'],
  [215, 'blue'],
  [285, 'purple'],
  [330, 'pink'],
]

function greyWords(light: number): string {
  if (light > 0.96) return 'white'
  if (light < 0.2) return 'black'
  return light > 0.8 ? 'pale-grey' : light < 0.45 ? 'dark-grey' : 'grey'
}

/** @param hex six digits behind `#` @returns such as `dark-green`, `brown`, `pale-grey` */
export function colorWords(hex: string): string {
  const [red, green, blue] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
  const [light, a, b] = oklabOf(red!, green!, blue!, [0, 0, 0])
  const chroma = Math.hypot(a, b)
  if (chroma < GREYISH) return greyWords(light)
  const hue = (Math.atan2(b, a) * 180) / Math.PI
  const name = HUES.findLast(([from]) => (hue + 360) % 360 >= from)![1]
  if (light < 0.6 && (name === 'orange' || (name === 'yellow' && light < 0.55)))
    return light < 0.35 ? 'dark-brown' : 'brown'
  const muted = chroma < MUTED
  if (name === 'yellow' && muted) return light > 0.88 ? 'cream' : light > 0.72 ? 'sand' : 'olive'
  if (name === 'green' && muted && light > 0.5 && light < 0.8) return 'sage'
  if (light < 0.42) return `dark-${name}`
  return light > 0.86 && name !== 'yellow' ? `pale-${name}` : name
}
