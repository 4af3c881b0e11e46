/** Rectangles with round corners, as paths. Lengths px. */
import { num } from '../properties/css-text'
import { type Chain, near, type Point, QUARTER, type Step } from './path'

/** px from the page's top left. */
export type Area = { left: number; top: number; right: number; bottom: number }

/** Edges from the page's top left; the corners' radii across and down, from the top left clockwise. */
export type Shape = Area & { radii: readonly { x: number; y: number }[] }

const SHARP = { x: 0, y: 0 }

/** @param radii from the top left clockwise; left out: sharp */
export function shape(
  left: number,
  top: number,
  right: number,
  bottom: number,
  radii: readonly number[] = [0, 0, 0, 0],
): Shape {
  const [a, b, c, d] = radii
  const [width, height] = [right - left, bottom - top]
  // Corners that overlap get smaller together (CSS Backgrounds 3 §4.5).
  const room = (side: number, sum: number) => (sum > side ? side / sum : 1)
  const scale = Math.max(
    0,
    Math.min(room(width, a! + b!), room(height, b! + c!), room(width, c! + d!), room(height, d! + a!)),
  )
  return { left, top, right, bottom, radii: radii.map((r) => ({ x: r * scale, y: r * scale })) }
}

/** What is left of a shape inside of bands along its edges: corners get rounder or sharp with it (CSS Backgrounds 3 §4.2). */
export function inset(of: Shape, [top, right, bottom, left]: readonly number[]): Shape {
  const cut = (radius: { x: number; y: number }, x: number, y: number) =>
    radius.x <= x || radius.y <= y ? SHARP : { x: radius.x - x, y: radius.y - y }
  const [a, b, c, d] = of.radii
  return {
    left: of.left + left!,
    top: of.top + top!,
    right: Math.max(of.left + left!, of.right - right!),
    bottom: Math.max(of.top + top!, of.bottom - bottom!),
    radii: [cut(a!, left!, top!), cut(b!, right!, top!), cut(c!, right!, bottom!), cut(d!, left!, bottom!)],
  }
}

/** A shadow's outline: corners that are not sharp grow with the spread, small ones less (CSS Backgrounds 3 §6.1). */
export function spread(of: Shape, by: number): Shape {
  const grown = (radius: number) => {
    if (radius === 0 || by === 0) return radius
    if (by < 0) return Math.max(0, radius + by)
    const share = radius / by
    return radius + by * (share < 1 ? 1 + (share - 1) ** 3 : 1)
  }
  return {
    left: of.left - by,
    top: of.top - by,
    right: Math.max(of.left - by, of.right + by),
    bottom: Math.max(of.top - by, of.bottom + by),
    radii: of.radii.map(({ x, y }) => ({ x: grown(x), y: grown(y) })),
  }
}

export const moved = (of: Shape, x: number, y: number): Shape => ({
  left: of.left + x,
  top: of.top + y,
  right: of.right + x,
  bottom: of.bottom + y,
  radii: of.radii,
})

/** As the data of a path, clockwise from the top left. */
export function pathOf({ left, top, right, bottom, radii: [a, b, c, d] }: Shape): string {
  const arc = ({ x, y }: { x: number; y: number }, toX: number, toY: number) =>
    x > 0 && y > 0 ? `A${num(x)} ${num(y)} 0 0 1 ${num(toX)} ${num(toY)}` : ''
  return (
    `M${num(left + a!.x)} ${num(top)}H${num(right - b!.x)}${arc(b!, right, top + b!.y)}` +
    `V${num(bottom - c!.y)}${arc(c!, right - c!.x, bottom)}` +
    `H${num(left + d!.x)}${arc(d!, left, bottom - d!.y)}V${num(top + a!.y)}${arc(a!, left + a!.x, top)}Z`
  )
}

/** As an outline whose points can be pulled, clockwise from the top left; its corners as near to arcs as curves come. */
export function chainOf({ left, top, right, bottom, radii: [a, b, c, d] }: Shape): Chain {
  const from: Point = [left + a!.x, top]
  const steps: Step[] = []
  const line = (to: Point) => {
    if (!near(steps.at(-1)?.to ?? from, to)) steps.push({ to })
  }
  /** From where the side before it ends, round `turn`, to where the next begins. */
  const corner = (before: Point, turn: Point, behind: Point) => {
    line(before)
    if (near(before, behind)) return
    const towards = ([x, y]: Point): Point => [x + (turn[0] - x) * QUARTER, y + (turn[1] - y) * QUARTER]
    steps.push({ by: [towards(before), towards(behind)], to: behind })
  }
  corner([right - b!.x, top], [right, top], [right, top + b!.y])
  corner([right, bottom - c!.y], [right, bottom], [right - c!.x, bottom])
  corner([left + d!.x, bottom], [left, bottom], [left, bottom - d!.y])
  corner([left, top + a!.y], [left, top], from)
  return { from, steps, closed: true }
}

/** `<rect>` where one corner is as the others, else `<path>`. */
export function elementOf(of: Shape, attributes: string): string {
  const { x, y } = of.radii[0]!
  if (of.radii.some((radius) => radius.x !== x || radius.y !== y))
    return `<path d="${pathOf(of)}" ${attributes}/>`
  const round = x > 0 ? ` rx="${num(x)}"${y === x ? '' : ` ry="${num(y)}"`}` : ''
  return `<rect x="${num(of.left)}" y="${num(of.top)}" width="${num(of.right - of.left)}" height="${num(of.bottom - of.top)}"${round} ${attributes}/>`
}
