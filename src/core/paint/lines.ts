/** Where the lines of a text are drawn. */
import { textOffset } from '../layout/baseline'
import type { LayoutBox } from '../layout/box'
import type { Marker } from '../text/marker'
import type { Line, Paragraph } from '../text/paragraph'
import { holdsLinks } from '../words/parts'

export type PlacedLine = {
  paragraph: Paragraph
  line: Line
  /** Before the first line of an item; `x` as below. */
  marker?: Marker & { x: number }
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

export function placedLines(box: LayoutBox): PlacedLine[] {
  const room = Math.max(0, box.width - box.padX)
  const left = box.borL + box.padL
  const first = box.borT + box.padT + textOffset(box, box.width, box.height)
  return box.typeset!.placed(room).flatMap(({ paragraph, lines, indent, top, marker }) =>
    lines.map((line, i): PlacedLine => {
      const start = left + indent
      const at = first + top + line.top
      return {
        paragraph,
        line,
        x: start + lineLeft(line, Math.max(0, room - indent), box.resolved.textAlign),
        top: at,
        baseline: at + line.baseline,
        ...(i === 0 && marker ? { marker: { ...marker, x: start - marker.width } } : {}),
      }
    }),
  )
}

/** Whether links in a text are links: not in a box that is one either. */
export function showsLinks(box: LayoutBox): boolean {
  for (let at = box.parent; at; at = at.parent) if (at.node.props.tag === 'a') return false
  return holdsLinks(box.node.kind, box.node.props.tag)
}
