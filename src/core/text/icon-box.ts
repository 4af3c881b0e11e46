/** The box of an icon among words: a square as large as the type around it, which hangs down a little. */
import type { Extent } from './line-box'
import { toUnit } from './unit'

/** How far below the baseline it ends, in its size (em). */
export const ICON_DROP = 0.125

/** Its side, px. @param size of the type around it, px */
export const iconSide = (size: number) => toUnit(size)

/** What it adds to its line: an inline box by its bottom edge, moved by `vertical-align` (CSS Inline 3 §4.2). */
export function iconExtent(size: number): Extent {
  const descent = toUnit(size * ICON_DROP)
  return { ascent: iconSide(size) - descent, descent }
}
