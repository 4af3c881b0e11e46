/** Distributing free room along a line, and across it (CSS Box Alignment 3 §4). */
import { Align, Spread } from './box'

/** Distributes free space: the offset of the first item and the extra between two. */
export function spread(kind: Spread, free: number, count: number): { lead: number; between: number } {
  switch (kind) {
    case Spread.Center:
      return { lead: free / 2, between: 0 }
    case Spread.End:
      return { lead: free, between: 0 }
    case Spread.Between:
      return { lead: 0, between: free > 0 && count > 1 ? free / (count - 1) : 0 }
    case Spread.Around:
      return free > 0 ? { lead: free / count / 2, between: free / count } : { lead: 0, between: 0 }
    case Spread.Evenly:
      return free > 0 ? { lead: free / (count + 1), between: free / (count + 1) } : { lead: 0, between: 0 }
    default:
      return { lead: 0, between: 0 }
  }
}

export const alignOffset = (align: Align, free: number) =>
  align === Align.Center ? free / 2 : align === Align.End ? free : 0
