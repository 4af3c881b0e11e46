/**
 * Type that grows with the window: at each view's own width a style is as large as it is said there, and between two views it goes
 * evenly from one to the other. Below the narrowest and above the widest it stays.
 */
import type { View } from './schema'
import type { Typography } from './tokens'

/** A length by the width that it is said at, both px; the narrowest first. */
export type Knots = readonly { width: number; value: number }[]

/** What of a style goes evenly. */
export const FLUID = ['fontSize', 'letterSpacing'] as const
export type FluidPart = (typeof FLUID)[number]

/** @param at what the style is in a view */
export const knotsOf = (views: readonly View[], part: FluidPart, at: (view: string) => Typography): Knots =>
  [...views].reverse().map(({ id, width }) => ({ width, value: at(id)[part] }))

export function valueAtWidth(knots: Knots, width: number): number {
  const [first] = knots
  return knots.reduce((sum, knot, i) => {
    const before = knots[i - 1]
    if (!before) return sum
    const room = knot.width - before.width
    return sum + ((knot.value - before.value) / room) * Math.min(room, Math.max(0, width - before.width))
  }, first!.value)
}

const short = (value: number) => String(Math.round(value * 1e8) / 1e8)

/** The same in CSS; `100cqw` is the window's width without its scroll bar. */
export function fluidText(knots: Knots): string {
  const [first] = knots
  const parts = knots.flatMap((knot, i) => {
    const before = knots[i - 1]!
    const slope = before ? (knot.value - before.value) / (knot.width - before.width) : 0
    if (slope === 0) return []
    const room = `clamp(0px, 100cqw - ${short(before.width)}px, ${short(knot.width - before.width)}px)`
    return [` ${slope < 0 ? '-' : '+'} ${short(Math.abs(slope))} * ${room}`]
  })
  return parts.length === 0 ? `${short(first!.value)}px` : `calc(${short(first!.value)}px${parts.join('')})`
}
