/** Tints and shades of a colour: equal steps of lightness in OKLCH (CSS Color 4), the hue kept. */
import { clampChroma, converter, differenceCiede2000, formatHex, parse } from 'culori/fn'
import './modes'

const toOklch = converter('oklch')
const LIGHTEST = 0.97
const DARKEST = 0.2

/** From light to dark. Towards both ends there is less colour, or they would glare. */
export function stepsOf(hex: string, count = 9): string[] {
  const { c, h } = toOklch(parse(hex) ?? { mode: 'rgb', r: 0, g: 0, b: 0 })
  return Array.from({ length: count }, (_, i) => {
    const l = LIGHTEST - ((LIGHTEST - DARKEST) * i) / Math.max(1, count - 1)
    const share = Math.min(1, (1 - Math.abs(2 * l - 1)) * 2.2)
    return formatHex(clampChroma({ mode: 'oklch', l, c: c * share, h }, 'oklch'))
  })
}

const ciede = differenceCiede2000()

/** CIEDE2000: below 1 hardly anybody sees a difference, at 2 who looks for it. How opaque they are counts as much as lightness. */
export function differenceOf(one: string, other: string): number {
  const [a, b] = [parse(one), parse(other)]
  if (!a || !b) return Number.POSITIVE_INFINITY
  return ciede(a, b) + Math.abs((a.alpha ?? 1) - (b.alpha ?? 1)) * 100
}
