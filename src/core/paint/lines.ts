/** Where the lines of a text are drawn. */
import { textOffset } from '../layout/baseline'
import type { LayoutBox } from '../layout/box'
import type { Line, Paragraph } from '../text/paragraph'

export type PlacedLine = {
  line: Line
  /** From the box's border edge, px: the line's left end, its top, its baseline. */
  x: number
  top: number
  baseline: number
}

/** What does not fit in its line sticks out at the end, however it is set (CSS Text 3 §7.1). */
function lineLeft(line: Line, room: number, align: LayoutBox['resolved']['textAlign']): number {
  if (align === 'center') return Math.max(0, (room - line.width) / 2)
  return align === 'right' ? Math.max(0, room - line.width) : 0
}

export function placedLines(box: LayoutBox, paragraph: Paragraph): PlacedLine[] {
  const room = Math.max(0, box.width - box.padX)
  const left = box.borL + box.padL
  const first = box.borT + box.padT + textOffset(box, box.width, box.height)
  return paragraph.lines(room).map((line) => ({
    line,
    x: left + lineLeft(line, room, box.resolved.textAlign),
    top: first + line.top,
    baseline: first + line.top + line.baseline,
  }))
}

/** Whether links in a text are links of their own: not where the whole text is one. */
export const hasOwnLinks = ({ kind, props }: LayoutBox['node']) =>
  kind === 'text' ? props.tag !== 'a' : kind === 'button' && props.link === undefined
