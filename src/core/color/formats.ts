/** A colour as hex digits, and as CSS Color 4 writes it otherwise. In a document it is always sRGB in hex digits. */
import { clampChroma, converter, formatHex, formatHex8, parse } from 'culori/fn'
import './modes'

const toOklch = converter('oklch')
const toHsl = converter('hsl')
const toRgb = converter('rgb')

/** Half a step of a hex digit pair: less beyond the edge is rounding. */
const HALF = 1 / 510

/** Ways of writing. */
export const FORMATS = ['hex', 'rgb', 'hsl', 'oklch'] as const
export type Format = (typeof FORMATS)[number]

/** `outside`: what was meant cannot be shown in sRGB; the nearest of its hue and lightness is taken. */
export type ReadColor = { hex: string; outside: boolean }

/** `#1d5c45`, `1d5c45`, `rgb(29 92 69)`, `hsl(158 52% 24%)`, `oklch(0.43 0.08 163)`, `seagreen`; undefined: no colour. */
export function readColor(text: string): ReadColor | undefined {
  const words = text.trim().toLowerCase()
  const color = parse(/^[0-9a-f]{3,8}$/.test(words) ? `#${words}` : words)
  if (!color) return undefined
  const { r, g, b } = toRgb(color)
  const outside = [r, g, b].some((part) => part < -HALF || part > 1 + HALF)
  const shown = outside ? clampChroma(color, 'oklch') : color
  return { hex: hexOf(shown), outside }
}

/** Eight digits only where it is not opaque. */
function hexOf(color: NonNullable<ReturnType<typeof parse>>): string {
  return (color.alpha ?? 1) < 1 ? formatHex8(color) : formatHex(color)
}

const round = (value: number | undefined, digits: number) => String(Number((value ?? 0).toFixed(digits)))

/** @param hex six or eight digits after # */
export function writeColor(hex: string, format: Format): string {
  const color = parse(hex)
  if (!color || format === 'hex') return hex
  const alpha = color.alpha === undefined || color.alpha >= 1 ? '' : ` / ${round(color.alpha * 100, 0)}%`
  if (format === 'rgb') {
    const { r, g, b } = toRgb(color)
    return `rgb(${[r, g, b].map((part) => round(part * 255, 0)).join(' ')}${alpha})`
  }
  if (format === 'hsl') {
    const { h, s, l } = toHsl(color)
    return `hsl(${round(h, 1)} ${round(s * 100, 1)}% ${round(l * 100, 1)}%${alpha})`
  }
  const { l, c, h } = toOklch(color)
  return `oklch(${round(l, 4)} ${round(c, 4)} ${round(h, 2)}${alpha})`
}
