/** Where the lines of a text are drawn. */
import { textOffset } from '../layout/baseline'
import type { LayoutBox } from '../layout/box'
import type { Rect } from '../layout/rect'
import { type Line, spacesIn, spreadOf } from '../text/line'
import type { Marker } from '../text/marker'
import type { Paragraph } from '../text/paragraph'
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

/** px before a line begins. What does not fit in its line sticks out at the end, however it is set (CSS Text 3 §7.1). */
function before(
  { width, whole = width }: Line,
  room: number,
  align: LayoutBox['resolved']['textAlign'],
): number {
  if (align === 'center') return Math.max(0, (room - whole) / 2)
  return align === 'right' ? Math.max(0, room - whole) : 0
}

/** px that a stretched line is wider; what was cut off is as wide as it says. */
const grownBy = ({ text }: Paragraph, { start, end, ellipsis }: Line, spread: number) =>
  ellipsis || spread === 0 ? 0 : spread * spacesIn(text, start, end)

export function placedLines(box: LayoutBox): PlacedLine[] {
  const room = Math.max(0, box.width - box.padX)
  const left = box.borL + box.padL
  const first = box.borT + box.padT + textOffset(box, box.width, box.height)
  const isLeftward = box.typeset!.direction === 'rtl'
  return box.typeset!.placed(room).flatMap(({ paragraph, lines, indent, top, marker }) =>
    lines.map((line, i): PlacedLine => {
      const own = Math.max(0, room - indent)
      const spread =
        line.spread ??
        (box.resolved.textAlign === 'justify' && line !== lines.at(-1)
          ? spreadOf(paragraph.text, line, own)
          : 0)
      const start = indent + before(line, own, box.resolved.textAlign)
      const at = first + top + line.top
      return {
        paragraph,
        line,
        x: left + (isLeftward ? room - start - line.width - grownBy(paragraph, line, spread) : start),
        top: at,
        baseline: at + line.baseline,
        spread,
        ...(i === 0 && marker
          ? { marker: { ...marker, x: left + (isLeftward ? room - indent : indent - marker.width) } }
          : {}),
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
  placedLines(box).flatMap(({ line, x, top, spread, paragraph }) =>
    line.width > 0
      ? [{ x, y: top, width: line.width + grownBy(paragraph, line, spread), height: line.height }]
      : [],
  )
