/** Browsers place and size in whole 64ths of a px (Chromium's layout unit); what falls on a tie depends on when a length is cut to them. */

export const UNIT = 1 / 64

/** A length as a style gives it, px: read in single precision, what is beyond a whole unit cut off. NaN and Infinity stay. */
export const toUnit = (px: number) => Math.trunc(Math.fround(px) * 64) / 64

/** `percent` of a length that is in whole units, px: computed in single precision, then cut. */
export const percentOf = (length: number, percent: number) =>
  Math.trunc(Math.fround(Math.fround(length * Math.fround(percent)) / 100) * 64) / 64

/** A quotient or product of lengths, px. What floating-point numbers lose on the way is no unit less. */
export const cutToUnit = (px: number) => Math.trunc(px * 64 + (px < 0 ? -1e-6 : 1e-6)) / 64

/** The nearest whole unit, halves away from 0, px. */
export const nearestUnit = (px: number) => (px < 0 ? -Math.round(-px * 64) : Math.round(px * 64)) / 64

/** Widths of text, which are sums of many numbers, px. */
export const downToUnit = (px: number) => Math.floor(px / UNIT + 1e-9) * UNIT
export const upToUnit = (px: number) => Math.ceil(px / UNIT - 1e-9) * UNIT
