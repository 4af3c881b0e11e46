/** Medians and the like of timings in ms. */

/** One measured thing, in words, and whether its bar is met. */
export type Further = { name: string; value: number; met: boolean; line: string }

const sorted = (list: number[]) => [...list].sort((a, b) => a - b)
export const median = (list: number[]) => sorted(list)[Math.floor(list.length / 2)]!
export const p95 = (list: number[]) =>
  sorted(list)[Math.min(list.length - 1, Math.floor(list.length * 0.95))]!
export const ms = (value: number) => value.toFixed(2).padStart(8)
