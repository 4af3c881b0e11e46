/** Colours that lie near each other, taken together (k-means; begun with those that lie farthest apart, so that it is always the same). */
import { apart, type Oklab } from '../color/oklab'

/** `count`: how many samples are nearest to it. */
export type Cluster = { centre: Oklab; count: number }

/** Rounds in which they are found. */
const ROUNDS = 8

/**
 * @param most clusters at most
 * @param least how far the colours that they begin with lie apart
 * @returns those that have samples
 */
export function clustersOf(samples: readonly Oklab[], most: number, least: number): Cluster[] {
  if (samples.length === 0) return []
  const centres = farthestApart(samples, most, least)
  let counts: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map((): Oklab => [0, 0, 0])
    counts = centres.map(() => 0)
    for (const sample of samples) {
      const i = nearest(centres, sample)
      counts[i]!++
      for (let k = 0; k < 3; k++) sums[i]![k]! += sample[k]!
    }
    sums.forEach((sum, i) => {
      if (counts[i]! > 0) for (let k = 0; k < 3; k++) centres[i]![k] = sum[k]! / counts[i]!
    })
  }
  return centres.map((centre, i) => ({ centre, count: counts[i]! })).filter(({ count }) => count > 0)
}

function farthestApart(samples: readonly Oklab[], most: number, least: number): Oklab[] {
  const centres: Oklab[] = [[...samples[0]!]]
  const distances = samples.map((sample) => apart(sample, centres[0]!))
  while (centres.length < most) {
    let farthest = 0
    for (let i = 1; i < distances.length; i++) if (distances[i]! > distances[farthest]!) farthest = i
    if (distances[farthest]! < least) break
    const next: Oklab = [...samples[farthest]!]
    centres.push(next)
    samples.forEach((sample, i) => {
      distances[i] = Math.min(distances[i]!, apart(sample, next))
    })
  }
  return centres
}

function nearest(centres: readonly Oklab[], sample: Oklab): number {
  let best = 0
  for (let i = 1; i < centres.length; i++)
    if (apart(sample, centres[i]!) < apart(sample, centres[best]!)) best = i
  return best
}
