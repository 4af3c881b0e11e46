/** Where the lines of a text are drawn. */
import { textOffset } from '../layout/baseline'
import type { LayoutBox } from '../layout/box'
import type { Rect } from '../layout/rect'
import type { Marker } from '../text/marker'
import { type Line, type Paragraph, spacesIn, spreadOf } from '../text/paragraph'
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
  /** px that every space is wider, in a text set flush on both sides. */
  spread: number
}

/** What does not fit in its line sticks out at the end, however it is set (CSS Text 3 §7.1). */
function lineLeft(
  { width, whole = width }: Line,
  room: number,
  align: LayoutBox['resolved']['textAlign'],
): number {
  if (align === 'center') return Math.max(0, (room - whole) / 2)
  return align === 'right' ? Math.max(0, room - whole) : 0
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
        spread:
          line.spread ??
          (box.resolved.textAlign === 'justify' && line !== lines.at(-1)
            ? spreadOf(paragraph.text, line, Math.max(0, room - indent))
            : 0),
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

/** Where a block's lines of words lie, px from its border edge. */
export const wordAreas = (box: LayoutBox): Rect[] =>
  placedLines(box).flatMap(({ line, x, top, spread, paragraph }) => {
    // What was cut off is as wide as it says.
    const grown = line.ellipsis ? 0 : spread * spacesIn(paragraph.text, line.start, line.end)
    return line.width > 0 ? [{ x, y: top, width: line.width + grown, height: line.height }] : []
  })
