/** Outlines: chains of lines and curves, in whatever unit the points are. */

export type Point = readonly [x: number, y: number]
/** To a point: straight, or by a cubic Bézier curve over two handles. */
export type Step = { to: Point; by?: readonly [Point, Point] }
export type Chain = { from: Point; steps: readonly Step[]; closed: boolean }
export type Path = readonly Chain[]

/** Whether two points are one, but for how numbers are kept. */
export const near = ([a, b]: Point, [c, d]: Point): boolean => Math.hypot(a - c, b - d) < 1e-6

/** A quarter of a circle by one curve: how far its handles lie (error 0.03 %). */
export const QUARTER = 0.5522847498

export const polygonOf = (points: readonly Point[]): Chain => ({
  from: points[0]!,
  steps: points.slice(1).map((to) => ({ to })),
  closed: true,
})

const mapStep = (step: Step, map: (point: Point) => Point): Step =>
  step.by ? { to: map(step.to), by: [map(step.by[0]), map(step.by[1])] } : { to: map(step.to) }

export const mapPath = (path: Path, map: (point: Point) => Point): Path =>
  path.map(({ from, steps, closed }) => ({
    from: map(from),
    steps: steps.map((step) => mapStep(step, map)),
    closed,
  }))

/** Turned about a point, degrees clockwise. */
export function turned(path: Path, [cx, cy]: Point, degrees: number): Path {
  if (degrees === 0) return path
  const angle = (degrees * Math.PI) / 180
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
  return mapPath(path, ([a, b]) => [
    cx + (a - cx) * cos - (b - cy) * sin,
    cy + (a - cx) * sin + (b - cy) * cos,
  ])
}

/** Every point of a curve at a share of its way, as of De Casteljau. */
function curveAt(from: Point, { to, by }: Step, t: number): Point {
  if (!by) return [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]
  const u = 1 - t
  const [a, b, c, d] = [u ** 3, 3 * u * u * t, 3 * u * t * t, t ** 3]
  return [
    from[0] * a + by[0][0] * b + by[1][0] * c + to[0] * d,
    from[1] * a + by[0][1] * b + by[1][1] * c + to[1] * d,
  ]
}

const SAMPLES = 24

/** Points along a path, close enough to measure by. */
export function* pointsAlong(path: Path): Generator<Point> {
  for (const { from, steps } of path) {
    let at = from
    yield at
    for (const step of steps) {
      const count = step.by ? SAMPLES : 1
      for (let i = 1; i <= count; i++) yield curveAt(at, step, i / count)
      at = step.to
    }
  }
}

export type Bounds = { left: number; top: number; right: number; bottom: number }

/** Where a curve turns back in one direction: the shares of its way at which its derivative there is nothing. */
function turningPoints(a: number, b: number, c: number, d: number): number[] {
  const [p, q, r] = [d - a + 3 * (b - c), 2 * (a - 2 * b + c), b - a]
  if (Math.abs(p) < 1e-9) return Math.abs(q) < 1e-9 ? [] : [-r / q]
  const root = Math.sqrt(q * q - 4 * p * r)
  return [(-q + root) / (2 * p), (-q - root) / (2 * p)]
}

/** The bounds of what is drawn, not of the handles. */
export function boundsOf(path: Path): Bounds {
  const bounds = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity }
  const take = ([x, y]: Point) => {
    bounds.left = Math.min(bounds.left, x)
    bounds.top = Math.min(bounds.top, y)
    bounds.right = Math.max(bounds.right, x)
    bounds.bottom = Math.max(bounds.bottom, y)
  }
  for (const { from, steps } of path) {
    let at = from
    take(at)
    for (const step of steps) {
      const { to, by } = step
      if (by)
        for (const axis of [0, 1])
          for (const t of turningPoints(at[axis]!, by[0][axis]!, by[1][axis]!, to[axis]!))
            if (t > 0 && t < 1) take(curveAt(at, step, t))
      take(to)
      at = to
    }
  }
  return bounds
}

/** Moved and stretched so that its bounds are the given ones. A path without extent in one direction lies in the middle of that. */
export function fitted(path: Path, to: Bounds): Path {
  const { left, top, right, bottom } = boundsOf(path)
  const along = (low: number, high: number, toLow: number, toHigh: number) => (value: number) =>
    high - low < 1e-9 ? (toLow + toHigh) / 2 : toLow + ((value - low) / (high - low)) * (toHigh - toLow)
  const across = along(left, right, to.left, to.right)
  const down = along(top, bottom, to.top, to.bottom)
  return mapPath(path, ([x, y]) => [across(x), down(y)])
}

/** Corners between straight steps made round. @param by of the shorter side at each corner, 0 to 0.5 */
export function rounded({ from, steps, closed }: Chain, by: number): Chain {
  if (by <= 0 || !closed || steps.some((step) => step.by)) return { from, steps, closed }
  const points = [from, ...steps.map(({ to }) => to)]
  const out: Step[] = []
  let start: Point | undefined
  points.forEach((corner, i) => {
    const before = points[(i + points.length - 1) % points.length]
    const after = points[(i + 1) % points.length]
    const towards = (other: Point): Point => [
      corner[0] + (other[0] - corner[0]) * by,
      corner[1] + (other[1] - corner[1]) * by,
    ]
    const [enter, leave] = [towards(before!), towards(after!)]
    const handle = (at: Point): Point => [
      at[0] + (corner[0] - at[0]) * QUARTER,
      at[1] + (corner[1] - at[1]) * QUARTER,
    ]
    if (start === undefined) start = enter
    else out.push({ to: enter })
    out.push({ to: leave, by: [handle(enter), handle(leave)] })
  })
  return { from: start!, steps: out, closed }
}

/**
 * As the data of an SVG path: absolute M, L, C and Z.
 * @param digits behind the point; what is kept in 100 × 100 to be seen at any size needs more of them
 */
export function pathData(path: Path, digits = 3): string {
  const scale = 10 ** digits
  const pair = ([x, y]: Point) => `${Math.round(x * scale) / scale} ${Math.round(y * scale) / scale}`
  return path
    .map(({ from, steps, closed }) => {
      const parts = steps.map(({ to, by }) =>
        by ? `C${pair(by[0])} ${pair(by[1])} ${pair(to)}` : `L${pair(to)}`,
      )
      return `M${pair(from)}${parts.join('')}${closed ? 'Z' : ''}`
    })
    .join('')
}

/** @returns undefined: it is not a path of absolute M, L, H, V, C, Q and Z */
export function pathFrom(data: string): Path | undefined {
  const chains: { from: Point; steps: Step[]; closed: boolean }[] = []
  let at: Point = [0, 0]
  const tokens = [...data.matchAll(/([A-Za-z])([^A-Za-z]*)/g)]
  if (tokens.map(([all]) => all).join('') !== data.trim() || tokens.length === 0) return undefined
  for (const [, letter, rest] of tokens) {
    const numbers = (rest!.match(/-?(?:\d+\.?\d*|\.\d+)(?:e-?\d+)?/gi) ?? []).map(Number)
    const count = { M: 2, L: 2, H: 1, V: 1, C: 6, Q: 4, Z: 0 }[letter!]
    if (count === undefined || numbers.some((each) => !Number.isFinite(each))) return undefined
    if (count === 0 ? numbers.length > 0 : numbers.length === 0 || numbers.length % count !== 0)
      return undefined
    const last = chains.at(-1)
    if (letter === 'Z') {
      if (!last) return undefined
      last.closed = true
      at = last.from
      continue
    }
    for (let i = 0; i < numbers.length; i += count) {
      const n = numbers.slice(i, i + count)
      if (letter === 'M' && i === 0) {
        at = [n[0]!, n[1]!]
        chains.push({ from: at, steps: [], closed: false })
        continue
      }
      let chain = chains.at(-1)
      if (!chain) return undefined
      if (chain.closed) {
        chain = { from: at, steps: [], closed: false }
        chains.push(chain)
      }
      const step = stepOf(letter!, n, at)
      chain.steps.push(step)
      at = step.to
    }
  }
  return chains
}

function stepOf(letter: string, n: readonly number[], at: Point): Step {
  if (letter === 'H') return { to: [n[0]!, at[1]] }
  if (letter === 'V') return { to: [at[0], n[0]!] }
  if (letter === 'C')
    return {
      by: [
        [n[0]!, n[1]!],
        [n[2]!, n[3]!],
      ],
      to: [n[4]!, n[5]!],
    }
  if (letter === 'Q') {
    // A quadratic curve is a cubic one with its handles at two thirds.
    const [q, to]: [Point, Point] = [
      [n[0]!, n[1]!],
      [n[2]!, n[3]!],
    ]
    const third = (end: Point): Point => [
      end[0] + ((q[0] - end[0]) * 2) / 3,
      end[1] + ((q[1] - end[1]) * 2) / 3,
    ]
    return { by: [third(at), third(to)], to }
  }
  return { to: [n[0]!, n[1]!] }
}
