/** What everyone who draws a layout needs: the order of painting, where a line of text begins. */
import type { Resolved } from '../document/resolve'
import type { Line } from '../text/paragraph'
import type { LayoutBox } from './box'

/** Left edge of a line inside its content box, px. */
export function lineLeft(line: Line, room: number, align: Resolved['textAlign']): number {
  if (align === 'center') return (room - line.width) / 2
  return align === 'right' ? room - line.width : 0
}

/** Children in the order in which CSS paints them: below, in flow, lifted, above. */
export function paintOrder(box: LayoutBox): LayoutBox[] {
  if (box.lifted.length === 0) return box.kids
  const z = (each: LayoutBox) => each.resolved.z ?? 0
  const sorted = [...box.lifted].sort((a, b) => z(a) - z(b))
  return [...sorted.filter((each) => z(each) < 0), ...box.kids, ...sorted.filter((each) => z(each) >= 0)]
}
