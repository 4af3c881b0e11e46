/** Distributing free room along a line, and across it (CSS Box Alignment 3 §4). */
import { cutToUnit } from '../text/unit'
import { Align, Spread } from './box'

/** Distributes free space: the offset of the first item and the extra between two. */
export function spread(kind: Spread, free: number, count: number): { lead: number; between: number } {
  switch (kind) {
    case Spread.Center:
      return { lead: cutToUnit(free / 2), between: 0 }
    case Spread.End:
      return { lead: free, between: 0 }
    case Spread.Between:
      return { lead: 0, between: free > 0 && count > 1 ? cutToUnit(free / (count - 1)) : 0 }
    case Spread.Around:
      return evenly(free, free / count / 2, free / count)
    case Spread.Evenly:
      return evenly(free, free / (count + 1), free / (count + 1))
    default:
      return { lead: 0, between: 0 }
  }
}

const evenly = (free: number, lead: number, between: number) =>
  free > 0 ? { lead: cutToUnit(lead), between: cutToUnit(between) } : { lead: 0, between: 0 }

export const alignOffset = (align: Align, free: number) =>
  align === Align.Center ? cutToUnit(free / 2) : align === Align.End ? free : 0
