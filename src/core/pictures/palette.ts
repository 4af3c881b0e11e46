/** The colours that a picture is of. */

import { type Oklab, oklabOf } from '../color/oklab'
import { clustersOf } from './clusters'
import type { Pixels } from './pixels'

/** Pixels that are looked at, about. */
const SAMPLES = 12_000
/** Colours that are nearer to each other are one. */
const LEAST_APART = 0.07
/** More are looked for than are shown: the least of them are chance. */
const SOUGHT = 14

/** `hex`: a colour that is in the picture; `share`: of the picture that is about of it, 0 to 1. */
export type PaletteColor = { hex: string; share: number }

const hex = (data: Uint8ClampedArray, at: number) =>
  `#${[0, 1, 2].map((k) => data[at + k]!.toString(16).padStart(2, '0')).join('')}`

/**
 * A lively colour that little of the picture is of says more of it than another grey: how much of a colour there is counts, and how
 * far from grey it is.
 * @returns at most so many, those that say most first; none: nothing of it can be seen
 */
export function paletteOf({ width, height, data }: Pixels, most: number): PaletteColor[] {
  const step = Math.max(1, Math.floor((width * height) / SAMPLES))
  const samples: Oklab[] = []
  const places: number[] = []
  for (let at = 0; at < width * height; at += step) {
    if (data[at * 4 + 3]! < 128) continue
    samples.push(oklabOf(data[at * 4]!, data[at * 4 + 1]!, data[at * 4 + 2]!, [0, 0, 0]))
    places.push(at * 4)
  }
  return clustersOf(samples, SOUGHT, LEAST_APART)
    .map(({ centre, count }) => ({
      // A mean of many may be a colour that nothing in the picture has.
      hex: hex(data, places[nearestSample(samples, centre)]!),
      share: count / samples.length,
      says: Math.sqrt(count / samples.length) * (0.1 + Math.hypot(centre[1], centre[2])),
    }))
    .sort((a, b) => b.says - a.says)
    .slice(0, most)
    .map(({ hex, share }) => ({ hex, share }))
}

function nearestSample(samples: readonly Oklab[], to: Oklab): number {
  let best = 0
  let least = Number.POSITIVE_INFINITY
  samples.forEach((sample, i) => {
    const far = (sample[0] - to[0]) ** 2 + (sample[1] - to[1]) ** 2 + (sample[2] - to[2]) ** 2
    if (far >= least) return
    least = far
    best = i
  })
  return best
}
