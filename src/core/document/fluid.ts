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
    const rise = knot.value - before.value
    // At its end it is what is said there, to the last digit: words may just fit.
    return sum + (width >= knot.width ? rise : (rise * Math.max(0, width - before.width)) / room)
  }, first!.value)
}

const short = (value: number) => String(Math.round(value * 1e8) / 1e8)

/**
 * The same in CSS; `100cqw` is the window's width without its scroll bar. Every end is held by a number as it is said: a slope cut to
 * some digits would leave it 15.99 px where 16 was drawn.
 * @param length writes px
 */
export function fluidText(knots: Knots, length: (px: number) => string): string {
  const [first] = knots
  const rises = knots.slice(1).flatMap((knot, i) => {
    const before = knots[i]!
    return knot.value === before.value ? [] : [{ before, knot }]
  })
  const along = ({ before, knot }: (typeof rises)[number]) =>
    `${short(Math.abs(knot.value - before.value))} * (100cqw - ${short(before.width)}px) / ${short(knot.width - before.width)}`
  const sign = ({ before, knot }: (typeof rises)[number]) => (knot.value < before.value ? '-' : '+')
  const [only] = rises
  if (!only) return length(first!.value)
  if (rises.length === 1) {
    const [least, most] = [only.before.value, only.knot.value].sort((a, b) => a - b)
    return `clamp(${length(least!)}, ${length(only.before.value)} ${sign(only)} ${along(only)}, ${length(most!)})`
  }
  const parts = rises.map(
    (rise) =>
      ` ${sign(rise)} clamp(0px, ${along(rise)}, ${length(Math.abs(rise.knot.value - rise.before.value))})`,
  )
  return `calc(${length(first!.value)}${parts.join('')})`
}
