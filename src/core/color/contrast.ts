/** How well one colour reads on another, and the nearest that reads well. */
import { clampChroma, converter, formatHex, parse, wcagContrast } from 'culori/fn'
import './modes'

const toOklch = converter('oklch')
const toRgb = converter('rgb')

type Channels = [r: number, g: number, b: number]
/** 0 to 1, and how opaque. */
function channels(hex: string): { rgb: Channels; alpha: number } {
  const { r, g, b, alpha = 1 } = toRgb(parse(hex) ?? { mode: 'rgb', r: 0, g: 0, b: 0 })
  return { rgb: [r, g, b], alpha }
}

/** A colour laid over an opaque one, as it is seen (Compositing 1, source over). */
export function laidOver(hex: string, ground: string): string {
  const { rgb, alpha } = channels(hex)
  const under = channels(ground).rgb
  const seen = (i: 0 | 1 | 2) => rgb[i] * alpha + under[i] * (1 - alpha)
  return formatHex({ mode: 'rgb', r: seen(0), g: seen(1), b: seen(2) })
}

/** WCAG 2.2, 1.4.3: 1 to 21. What lets the ground through is taken as it is seen. */
export const contrastOf = (ink: string, ground: string): number => wcagContrast(laidOver(ink, ground), ground)

/** `4.4 : 1`: never more than it is, so that what falls short is not said to reach. */
export const ratioWords = (ratio: number) => `${(Math.floor(ratio * 10 + 1e-9) / 10).toFixed(1)} : 1`

/** What WCAG 2.2 asks for at least (AA): 3 for large words, 24 px or 18.66 px bold, else 4.5. */
export const neededFor = (fontSize: number, fontWeight: number): number =>
  fontSize >= 24 || (fontSize >= 18.66 && fontWeight >= 700) ? 3 : 4.5

// biome-ignore lint/suspicious/noApproximativeNumericConstant: what the draft says, no root of two
const BLACK_SOFT = { threshold: 0.022, power: 1.414 }
/** Screen luminance of APCA 0.1.9 (W3C working drafts of WCAG 3, 2022): simple powers of 2.4. */
function apcaLuminance(hex: string): number {
  const [r, g, b] = channels(hex).rgb.map((part) => part ** 2.4)
  const y = 0.2126729 * r! + 0.7151522 * g! + 0.072175 * b!
  return y > BLACK_SOFT.threshold ? y : y + (BLACK_SOFT.threshold - y) ** BLACK_SOFT.power
}

/** Lightness contrast by APCA 0.1.9: about −108 (light on dark) to 106; 60 and more reads as running text. */
export function apcaOf(ink: string, ground: string): number {
  const [text, under] = [apcaLuminance(laidOver(ink, ground)), apcaLuminance(ground)]
  if (Math.abs(under - text) < 0.0005) return 0
  const isDark = under > text
  const raw = isDark ? (under ** 0.56 - text ** 0.57) * 1.14 : (under ** 0.65 - text ** 0.62) * 1.14
  if (Math.abs(raw) < 0.1) return 0
  return (isDark ? raw - 0.027 : raw + 0.027) * 100
}

const STEPS = 24

/**
 * The colour of the same hue that is nearest in lightness and reads well enough on every ground; undefined: none does.
 * @param least ratio, as of `contrastOf`
 */
export function nearestThatReads(ink: string, grounds: readonly string[], least: number): string | undefined {
  const reads = (hex: string) => grounds.every((ground) => contrastOf(hex, ground) >= least)
  if (reads(ink)) return ink
  const from = toOklch(parse(ink) ?? { mode: 'rgb', r: 0, g: 0, b: 0 })
  const at = (l: number) => formatHex(clampChroma({ mode: 'oklch', l, c: from.c, h: from.h }, 'oklch'))
  const ends = [0, 1].flatMap((end) => {
    if (!reads(at(end))) return []
    let [good, bad] = [end, from.l]
    for (let i = 0; i < STEPS; i++) {
      const middle = (good + bad) / 2
      if (reads(at(middle))) good = middle
      else bad = middle
    }
    return [good]
  })
  const [best] = ends.sort((a, b) => Math.abs(a - from.l) - Math.abs(b - from.l))
  return best === undefined ? undefined : at(best)
}
