/** What everyone who draws a layout needs: the order of painting, where a line of text begins. */
import type { Resolved } from '../document/resolve'
import type { Line } from '../text/paragraph'
import type { LayoutBox } from './box'

/** Left edge of a line inside its content box, px. */
export function lineLeft(line: Line, room: number, align: Resolved['textAlign']): number {
  if (align === 'center') return (room - line.width) / 2
  return align === 'right' ? room - line.width : 0
}

/** The characters of a line as they show: soft hyphens only where the line breaks at one. */
export const shownText = (text: string, line: Line): string =>
  text.slice(line.start, line.end).replaceAll('\u00ad', '') + (line.hyphen?.text ?? '')

/** Whether CSS paints a block in its flow with the lifted ones: it makes a stacking context, or is what lifted ones are placed in. */
function isRaised(box: LayoutBox): boolean {
  const { opacity, blend, rotate } = box.resolved
  return box.lifted.length > 0 || opacity !== 1 || blend !== 'normal' || rotate !== 0
}

/** Children in the order in which CSS paints them (CSS 2 appendix E): below, in flow, raised and lifted as they stand, above. */
export function paintOrder(box: LayoutBox): readonly LayoutBox[] {
  const { kids, lifted } = box
  const raised = kids.filter(isRaised)
  if (lifted.length === 0 && raised.length === 0) return kids
  const z = (each: LayoutBox) => (each.pins === null ? 0 : (each.resolved.z ?? 0))
  const sorted = [...lifted].sort((a, b) => z(a) - z(b))
  const level = [...raised, ...sorted.filter((each) => z(each) === 0)]
  if (raised.length > 0 && level.length > 1) {
    const turn = new Map(box.node.children.map((id, i) => [id, i]))
    level.sort((a, b) => a.order - b.order || turn.get(a.id)! - turn.get(b.id)!)
  }
  return [
    ...sorted.filter((each) => z(each) < 0),
    ...(raised.length === 0 ? kids : kids.filter((kid) => !isRaised(kid))),
    ...level,
    ...sorted.filter((each) => z(each) > 0),
  ]
}

/** A point in a turned block's own upright coordinates; `box` lies at `left`, `top` of the same sheet. */
export function turnBack(
  box: LayoutBox,
  left: number,
  top: number,
  x: number,
  y: number,
): { x: number; y: number } {
  const degrees = box.resolved.rotate
  if (!degrees) return { x, y }
  const angle = (-degrees * Math.PI) / 180
  const cx = left + box.width / 2
  const cy = top + box.height / 2
  const dx = x - cx
  const dy = y - cy
  return {
    x: cx + dx * Math.cos(angle) - dy * Math.sin(angle),
    y: cy + dx * Math.sin(angle) + dy * Math.cos(angle),
  }
}
