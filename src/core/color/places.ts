/** How words read on a ground that is another from place to place: a picture, a gradient, noise. */
import { formatHex } from 'culori/fn'
import type { Pixels } from '../pictures/pixels'
import { contrastOf, laidOver } from './contrast'

type Area = { x: number; y: number; width: number; height: number }
/** A part of the ground and its colour, areas in the pixels' own px. */
export type Place = { area: Area; color: string }

/** sRGB to light (CSS Color 4 §10.2), by 8-bit level. */
const LIGHT = Float64Array.from({ length: 256 }, (_, level) => {
  const share = level / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
})
const levelOf = (light: number) => (light <= 0.0031308 ? light * 12.92 : 1.055 * light ** (1 / 2.4) - 0.055)

/** The mean light of an area, as a colour. */
function meanColor({ data, width }: Pixels, area: Area): string {
  let [r, g, b] = [0, 0, 0]
  for (let y = area.y; y < area.y + area.height; y++)
    for (let x = area.x; x < area.x + area.width; x++) {
      const at = (y * width + x) * 4
      r += LIGHT[data[at]!]!
      g += LIGHT[data[at + 1]!]!
      b += LIGHT[data[at + 2]!]!
    }
  const count = area.width * area.height
  return formatHex({ mode: 'rgb', r: levelOf(r / count), g: levelOf(g / count), b: levelOf(b / count) })
}

/**
 * The ground under lines of words, place by place.
 * @param lines where they are drawn, px in the picture
 * @param size of a place, px: about as wide as a letter, which is read against what is just around it
 */
export function placesUnder(pixels: Pixels, lines: readonly Area[], size: number): Place[] {
  const places: Place[] = []
  const step = Math.max(1, Math.round(size))
  for (const line of lines) {
    const [left, top] = [Math.max(0, Math.floor(line.x)), Math.max(0, Math.floor(line.y))]
    const right = Math.min(pixels.width, Math.ceil(line.x + line.width))
    const bottom = Math.min(pixels.height, Math.ceil(line.y + line.height))
    for (let y = top; y < bottom; y += step)
      for (let x = left; x < right; x += step) {
        const area = { x, y, width: Math.min(step, right - x), height: Math.min(step, bottom - y) }
        places.push({ area, color: meanColor(pixels, area) })
      }
  }
  return places
}

/** Where an ink reads worst. Undefined: there is no place. */
export function worstPlace(places: readonly Place[], ink: string): (Place & { ratio: number }) | undefined {
  let worst: (Place & { ratio: number }) | undefined
  const known = new Map<string, number>()
  for (const place of places) {
    const ratio = known.get(place.color) ?? contrastOf(ink, place.color)
    known.set(place.color, ratio)
    if (!worst || ratio < worst.ratio) worst = { ...place, ratio }
  }
  return worst
}

/** Most grounds that an ink is tried on. */
const MOST_GROUNDS = 32

/** The grounds of some places from the darkest to the lightest, both of them and at most so many between. */
export function groundsIn(places: readonly Place[]): string[] {
  const light = new Map<string, number>()
  for (const { color } of places) if (!light.has(color)) light.set(color, contrastOf('#000000', color))
  const sorted = [...light].sort((a, b) => a[1] - b[1]).map(([color]) => color)
  if (sorted.length <= MOST_GROUNDS) return sorted
  const step = (sorted.length - 1) / (MOST_GROUNDS - 1)
  return Array.from({ length: MOST_GROUNDS }, (_, i) => sorted[Math.round(i * step)]!)
}

const STEPS = 8

/**
 * The thinnest veil of black or white over some grounds on which an ink reads well; undefined: it reads so already, or on none.
 * @param least ratio, as of `contrastOf` @returns a colour with its opacity
 */
export function veilFor(ink: string, grounds: readonly string[], least: number): string | undefined {
  const reads = (veil: string) => grounds.every((ground) => contrastOf(ink, laidOver(veil, ground)) >= least)
  if (reads('#00000000')) return undefined
  const at = (end: string, level: number) => `${end}${level.toString(16).padStart(2, '0')}`
  const veils = ['#000000', '#ffffff'].flatMap((end) => {
    if (!reads(at(end, 255))) return []
    let [good, bad] = [255, 0]
    for (let i = 0; i < STEPS; i++) {
      const middle = Math.round((good + bad) / 2)
      if (reads(at(end, middle))) good = middle
      else bad = middle
    }
    return [{ veil: at(end, good), level: good }]
  })
  return veils.sort((a, b) => a.level - b.level)[0]?.veil
}
