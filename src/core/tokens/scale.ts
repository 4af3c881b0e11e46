/** Scales of lengths and of sizes of type. */
import { shortName } from '../document/tokens'

/** A modular scale: whole px, each `ratio` times the one before, and always larger. @param base px */
export function scaleOf(base: number, ratio: number, count: number): number[] {
  const lengths: number[] = []
  for (let i = 0; i < count; i++)
    lengths.push(Math.max(Math.round(base * ratio ** i), (lengths.at(-1) ?? 0) + 1))
  return lengths
}

/** What browsers set running text in, px. */
const RUNNING = 16

/** The type style that running text is set in: called so, or of about its size. @param styles not empty */
export function bodyStyle<T extends { name: string; fontSize: number }>(styles: readonly T[]): T {
  const off = ({ fontSize }: T) => Math.abs(fontSize - RUNNING)
  return (
    styles.find(({ name }) => shortName(name) === 'body') ?? styles.toSorted((a, b) => off(a) - off(b))[0]!
  )
}

/**
 * Sizes of type on a modular scale: what is nearest to the base is the base, what is larger and smaller goes up and down from there in
 * the order in which it does now; what is equal stays so. To half a px, at least 1.
 * @param sizes px @param base px @returns px, one for each of `sizes`
 */
export function typeScale(sizes: readonly number[], base: number, ratio: number): number[] {
  const steps = [...new Set(sizes)].sort((a, b) => a - b)
  const distances = steps.map((size) => Math.abs(size - base))
  const middle = distances.indexOf(Math.min(...distances))
  return sizes.map((size) => Math.max(1, Math.round(base * ratio ** (steps.indexOf(size) - middle) * 2) / 2))
}
