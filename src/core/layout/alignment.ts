/** Distributing free room along a line, and across it (CSS Box Alignment 3 §4). */
import { cutToUnit, nearestUnit } from '../text/unit'
import { Align, Spread } from './box'

/**
 * Distributes free space, px: the offset of the first item, in whole layout units, and the extra between two, as it comes. In Chromium
 * the items of rows and columns have so many of it before them, rounded to the nearest unit (`spreadBefore`); of tracks each is cut.
 */
export function spread(kind: Spread, free: number, count: number): { lead: number; between: number } {
  switch (kind) {
    case Spread.Center:
      return { lead: cutToUnit(free / 2), between: 0 }
    case Spread.End:
      return { lead: free, between: 0 }
    case Spread.Between:
      return { lead: 0, between: free > 0 && count > 1 ? free / (count - 1) : 0 }
    case Spread.Around:
      return evenly(free, free / count / 2, free / count)
    case Spread.Evenly:
      return evenly(free, free / (count + 1), free / (count + 1))
    default:
      return { lead: 0, between: 0 }
  }
}

const evenly = (free: number, lead: number, between: number) =>
  free > 0 ? { lead: cutToUnit(lead), between } : { lead: 0, between: 0 }

/** How much of the free space lies between the first item and item `index`, counted from 0, px. */
export const spreadBefore = (index: number, between: number) =>
  between === 0 ? 0 : nearestUnit(index * between + 1e-9)

export const alignOffset = (align: Align, free: number) =>
  align === Align.Center ? cutToUnit(free / 2) : align === Align.End ? free : 0
