/** Line boxes: what each inline box adds to the height of a line (CSS Inline 3, §5). */
import type { LineHeight } from '../properties/values'
import type { Face } from './fonts'

/** px above and below the baseline, half-leading included. */
export type Extent = { ascent: number; descent: number }

/** For a text whose font has not arrived. */
const UNKNOWN = { ascent: 0.9, descent: 0.25 }

/** `line-height` as px for an inline box of `size` px; undefined: normal, from the font's own metrics. */
export function usedLineHeight(height: LineHeight, size: number): number | undefined {
  if (height === 'normal') return undefined
  return 'px' in height ? height.px : height.ratio * size
}

/** As Chromium has it in its layout units of 1/64 px, over many lines the rest would add up: a ratio is of the size rounded to one, and cut. */
function inUnits(height: LineHeight, size: number): number | undefined {
  if (height === 'normal') return undefined
  const units = 'px' in height ? height.px * 64 : height.ratio * Math.round(size * 64)
  return Math.floor(units + 1e-6) / 64
}

/** What an inline box set in `face` at `size` px adds; the floor of the half-leading is Chromium's. */
export function extentOf(face: Face | undefined, size: number, height: LineHeight): Extent {
  const { ascent, descent, lineGap } = face?.metrics(size) ?? {
    ascent: Math.round(size * UNKNOWN.ascent),
    descent: Math.round(size * UNKNOWN.descent),
    lineGap: 0,
  }
  const total = inUnits(height, size) ?? ascent + descent + lineGap
  const above = Math.floor((total - ascent - descent) / 2)
  return { ascent: ascent + above, descent: total - ascent - above }
}

/** The smallest extent that holds both, on one baseline. */
export const unite = (a: Extent, b: Extent): Extent => ({
  ascent: Math.max(a.ascent, b.ascent),
  descent: Math.max(a.descent, b.descent),
})
