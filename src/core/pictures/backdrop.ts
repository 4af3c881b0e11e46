/**
 * Takes a plain backdrop away: what is like the picture's edges and hangs together with them. Pixels that are a mixture of the
 * subject and the backdrop become the subject's colour, as much of it as is there.
 */

import { apart, type Oklab, oklabOf } from '../color/oklab'
import { clustersOf } from './clusters'
import type { Pixels } from './pixels'

export type BackdropWanted = {
  /** How far from the backdrop's colours is still backdrop: a share of what black is from white, 0 to 1. */
  tolerance: number
  /** How wide the edge fades out, px. */
  soft: number
}

/** `share`: of the picture that was taken away, 0 to 1. */
export type WithoutBackdrop = { pixels: Pixels; share: number }

/** Colours that a backdrop is thought to have at most: a floor and a wall, or light that falls off. */
const MOST_COLORS = 4
/** Colours that are nearer to each other are one. */
const LEAST_APART = 0.02
/** Pixels of the edge that are looked at, about. */
const SAMPLES = 4000
/** Of the edge that has to be of the backdrop's colours for there to be one. */
const LEAST_EDGE = 0.25
/** How far inside of the subject its own colour is looked for, px. */
const REACH = 3
/** Pixels between two words on how far it is. */
const TURN = 400_000

const GONE = 1

/**
 * Yields how much is done, 0 to 1.
 * @throws in words, when the edges are of no one colour
 */
export function* withoutBackdrop(
  { width, height, data }: Pixels,
  { tolerance, soft }: BackdropWanted,
): Generator<number, WithoutBackdrop> {
  const edge = edgePixels(width, height)
  const colors = edgeColors(data, edge)
  const isLike = likeness(data, colors, tolerance)
  const seeds = edge.filter(isLike)
  if (seeds.length < edge.length * LEAST_EDGE)
    throw new Error('its edges are of too many colours: there is no plain backdrop to take away')
  const state = new Uint8Array(width * height)
  const gone = yield* flood(state, width, height, seeds, isLike)
  const out = new Uint8ClampedArray(data)
  for (let at = 0; at < state.length; at++) if (state[at] === GONE) out[at * 4 + 3] = 0
  yield 0.7
  unmix(out, data, state, width, height)
  yield 0.85
  if (soft > 0) soften(out, width, height, soft)
  return { pixels: { width, height, data: out }, share: gone / (width * height) }
}

function edgePixels(width: number, height: number): number[] {
  const edge: number[] = []
  for (let x = 0; x < width; x++) edge.push(x, (height - 1) * width + x)
  for (let y = 1; y < height - 1; y++) edge.push(y * width, y * width + width - 1)
  return edge
}

const labAt = (data: Uint8ClampedArray, at: number, into: Oklab): Oklab =>
  oklabOf(data[at * 4]!, data[at * 4 + 1]!, data[at * 4 + 2]!, into)

/** The colours of the edge: what the subject shows where it is cut by the edge is not among them. */
function edgeColors(data: Uint8ClampedArray, edge: readonly number[]): Oklab[] {
  const step = Math.max(1, Math.floor(edge.length / SAMPLES))
  const samples = edge.filter((_, i) => i % step === 0).map((at) => labAt(data, at, [0, 0, 0]))
  const found = clustersOf(samples, MOST_COLORS, LEAST_APART)
  const most = Math.max(...found.map(({ count }) => count))
  return found.filter(({ count }) => count >= most / 2).map(({ centre }) => centre)
}

function likeness(data: Uint8ClampedArray, colors: readonly Oklab[], tolerance: number) {
  const lab: Oklab = [0, 0, 0]
  return (at: number): boolean => {
    // What is not there already is backdrop, whatever its colour.
    if (data[at * 4 + 3]! < 8) return true
    labAt(data, at, lab)
    return colors.some((color) => apart(lab, color) <= tolerance)
  }
}

/** Marks what hangs together with the seeds, by sides. @returns how many pixels that are */
function* flood(
  state: Uint8Array,
  width: number,
  height: number,
  seeds: readonly number[],
  isLike: (at: number) => boolean,
): Generator<number, number> {
  const queue = new Int32Array(width * height)
  let end = 0
  const take = (at: number) => {
    if (state[at] === GONE || !isLike(at)) return
    state[at] = GONE
    queue[end++] = at
  }
  for (const seed of seeds) take(seed)
  for (let next = 0; next < end; next++) {
    const at = queue[next]!
    const x = at % width
    if (x > 0) take(at - 1)
    if (x < width - 1) take(at + 1)
    if (at >= width) take(at - width)
    if (at < width * (height - 1)) take(at + width)
    if (next % TURN === 0) yield (0.65 * next) / state.length
  }
  return end
}

/**
 * Along the rim a pixel is a mixture: of the backdrop beside it and of the subject's colour further in. It becomes that colour,
 * with its share as alpha.
 */
function unmix(
  out: Uint8ClampedArray,
  data: Uint8ClampedArray,
  state: Uint8Array,
  width: number,
  height: number,
) {
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      if (state[at] === GONE) continue
      const way = awayFromBackdrop(state, width, height, x, y)
      if (!way) continue
      const behind = at + way.behind
      const inner = at + way.inner
      if (state[inner] === GONE) continue
      const share = mixture(data, at * 4, inner * 4, behind * 4)
      out[at * 4 + 3] = Math.round(data[at * 4 + 3]! * share)
      if (share < 1) for (let k = 0; k < 3; k++) out[at * 4 + k] = data[inner * 4 + k]!
    }
}

/** Steps from a pixel on the rim to one that is gone beside it, and to one well inside; undefined: it does not lie on the rim. */
function awayFromBackdrop(
  state: Uint8Array,
  width: number,
  height: number,
  x: number,
  y: number,
): { behind: number; inner: number } | undefined {
  let [dx, dy] = [0, 0]
  for (let oy = -1; oy <= 1; oy++)
    for (let ox = -1; ox <= 1; ox++) {
      const [px, py] = [x + ox, y + oy]
      if (px < 0 || py < 0 || px >= width || py >= height) continue
      if (state[py * width + px] !== GONE) continue
      dx += ox
      dy += oy
    }
  const [sx, sy] = [Math.sign(dx), Math.sign(dy)]
  if (sx === 0 && sy === 0) return undefined
  const within = (steps: number) => {
    const [px, py] = [x - sx * steps, y - sy * steps]
    return px >= 0 && py >= 0 && px < width && py < height
  }
  let reach = REACH
  while (reach > 1 && !within(reach)) reach--
  const inside = x + sx >= 0 && y + sy >= 0 && x + sx < width && y + sy < height
  if (!within(reach) || !inside) return undefined
  return { behind: sy * width + sx, inner: -(sy * width + sx) * reach }
}

/** How much of one colour there is in a mixture of it and another, 0 to 1: its place on the line between both. */
function mixture(data: Uint8ClampedArray, mixed: number, whole: number, behind: number): number {
  let along = 0
  let length = 0
  for (let k = 0; k < 3; k++) {
    const way = data[whole + k]! - data[behind + k]!
    along += (data[mixed + k]! - data[behind + k]!) * way
    length += way * way
  }
  return length === 0 ? 1 : Math.min(1, Math.max(0, along / length))
}

/** Blurs the alpha, and never makes more of it: two passes of a box, along rows and columns. */
function soften(out: Uint8ClampedArray, width: number, height: number, soft: number) {
  const radius = Math.max(1, Math.round(soft / 2))
  const alpha = Float32Array.from({ length: width * height }, (_, at) => out[at * 4 + 3]!)
  const pass = new Float32Array(alpha.length)
  blurLines(alpha, pass, width, height, 1, width, radius)
  blurLines(pass, alpha, height, width, width, 1, radius)
  for (let at = 0; at < alpha.length; at++) {
    // The middle of the fade lies on the rim: what lies outside of it stays away.
    const faded = Math.max(0, 2 * alpha[at]! - 255)
    out[at * 4 + 3] = Math.min(out[at * 4 + 3]!, faded)
  }
}

/** @param step from one value to the next on a line @param across from one line to the next */
function blurLines(
  from: Float32Array,
  to: Float32Array,
  length: number,
  lines: number,
  step: number,
  across: number,
  radius: number,
) {
  for (let line = 0; line < lines; line++) {
    const start = line * across
    const at = (i: number) => from[start + Math.min(length - 1, Math.max(0, i)) * step]!
    let sum = 0
    for (let i = -radius; i <= radius; i++) sum += at(i)
    for (let i = 0; i < length; i++) {
      to[start + i * step] = sum / (2 * radius + 1)
      sum += at(i + radius + 1) - at(i - radius)
    }
  }
}
