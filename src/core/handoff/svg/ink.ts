/** Where the outlines of a glyph cross a band, for lines that make way for them (`text-decoration-skip-ink`). */

type Point = { x: number; y: number }
const STEPS = 8

/** A path's data, absolute M, L, Q, C and Z, as chains of points. */
function* chains(data: string): Generator<Point[]> {
  let chain: Point[] = []
  for (const [, letter, rest] of data.matchAll(/([MLQCZ])([^MLQCZ]*)/g)) {
    const n = (rest!.match(/-?[\d.]+(?:e-?\d+)?/g) ?? []).map(Number)
    if (letter === 'M') {
      if (chain.length > 0) yield chain
      chain = [{ x: n[0]!, y: n[1]! }]
      continue
    }
    const from = chain.at(-1)
    if (!from) continue
    if (letter === 'Z') chain.push(chain[0]!)
    if (letter === 'L') chain.push({ x: n[0]!, y: n[1]! })
    for (let i = 1; i <= STEPS && (letter === 'Q' || letter === 'C'); i++) {
      const t = i / STEPS
      const u = 1 - t
      chain.push(
        letter === 'Q'
          ? {
              x: u * u * from.x + 2 * u * t * n[0]! + t * t * n[2]!,
              y: u * u * from.y + 2 * u * t * n[1]! + t * t * n[3]!,
            }
          : {
              x: u ** 3 * from.x + 3 * u * u * t * n[0]! + 3 * u * t * t * n[2]! + t ** 3 * n[4]!,
              y: u ** 3 * from.y + 3 * u * u * t * n[1]! + 3 * u * t * t * n[3]! + t ** 3 * n[5]!,
            },
      )
    }
  }
  if (chain.length > 0) yield chain
}

/** @returns the leftmost and rightmost x of the outlines between `low` and `high`; undefined: they do not meet */
export function inkBetween(data: string, low: number, high: number): [number, number] | undefined {
  let left = Number.POSITIVE_INFINITY
  let right = Number.NEGATIVE_INFINITY
  for (const chain of chains(data)) {
    for (let i = 1; i < chain.length; i++) {
      const [a, b] = [chain[i - 1], chain[i]]
      if (Math.max(a!.y, b!.y) < low || Math.min(a!.y, b!.y) > high) continue
      for (const y of [a!.y, b!.y, low, high]) {
        if (y < low || y > high || y < Math.min(a!.y, b!.y) || y > Math.max(a!.y, b!.y)) continue
        const xs = a!.y === b!.y ? [a!.x, b!.x] : [a!.x + ((b!.x - a!.x) * (y - a!.y)) / (b!.y - a!.y)]
        left = Math.min(left, ...xs)
        right = Math.max(right, ...xs)
      }
    }
  }
  return left <= right ? [left, right] : undefined
}
