/** Mulberry32: small, seeded, the same everywhere. @returns gives numbers from 0 to below 1 */
export function randomFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** What is drawn by lot. */
export class Draw {
  constructor(readonly random: () => number) {}

  chance = (share: number) => this.random() < share
  one = <T>(list: readonly T[]): T => list[Math.floor(this.random() * list.length)]!
  whole = (low: number, high: number) => low + Math.floor(this.random() * (high - low + 1))
}
