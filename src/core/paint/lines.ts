/** Where the lines of a text are drawn. */
import { textOffset } from '../layout/baseline'
import type { LayoutBox } from '../layout/box'
import type { Rect } from '../layout/rect'
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
  /** px that every space is wider, in a text set flush on both sides. */
  spread: number
}

/** What does not fit in its line sticks out at the end, however it is set (CSS Text 3 §7.1). */
function lineLeft(line: Line, room: number, align: LayoutBox['resolved']['textAlign']): number {
  if (align === 'center') return Math.max(0, (room - line.width) / 2)
  return align === 'right' ? Math.max(0, room - line.width) : 0
}

/** The spaces that grow when a line is stretched (CSS Text 3 §7.4.1). */
export const SPACES = /[ \u00a0]/g

/** What is left of the room, shared out among the spaces of a line; not of the last, and of none that ends by itself. */
function spreadOf({ text }: Paragraph, line: Line, lines: readonly Line[], room: number): number {
  const isLast = line === lines.at(-1)
  if (isLast || text.slice(line.end).trimStart() === '' || /^ *\n/.test(text.slice(line.end, line.end + 40)))
    return 0
  const spaces = text.slice(line.start, line.end).match(SPACES)?.length ?? 0
  return spaces === 0 ? 0 : Math.max(0, (room - line.width) / spaces)
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
          box.resolved.textAlign === 'justify'
            ? spreadOf(paragraph, line, lines, Math.max(0, room - indent))
            : 0,
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
    const spaces = paragraph.text.slice(line.start, line.end).match(SPACES)?.length ?? 0
    return line.width > 0 ? [{ x, y: top, width: line.width + spread * spaces, height: line.height }] : []
  })
