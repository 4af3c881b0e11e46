/** Forms as SVG; what straight lines begin and end with: in widths of the line, drawn as strokes, so that a tip has the line's width and paint on every view. */
import { dataOfForm, type Form, pathOfForm, type Tip } from './form'

type Line = Extract<Form, { form: 'line' }>

/** Along a line that runs to the right and ends at 0. A head's outline is so thick that nothing is left within. */
const DRAWN: Record<Tip, { data: string; look: string }> = {
  arrow: { data: 'M-3.5-3.5 0 0-3.5 3.5', look: 'stroke-width="1"' },
  head: { data: 'M-3.2-1.13-.85 0-3.2 1.13z', look: 'stroke-width="1.6"' },
  dot: { data: 'M0 0h.001', look: 'stroke-width="3.6" stroke-linecap="round"' },
}

/** @param attributes more of it @returns SVG of a tip at 0, its line running to the right */
export const tipPath = (tip: Tip, attributes = '') =>
  `<path d="${DRAWN[tip].data}" fill="none" ${DRAWN[tip].look} stroke-linejoin="miter" stroke-dasharray="none"${attributes}/>`

/** Where a line begins and ends, percent of its box. */
function endsOf(line: Line): [readonly [number, number], readonly [number, number]] {
  const { from, steps } = pathOfForm(line)[0]!
  return [from, steps[0]!.to]
}

/** A line's tips, each where it is in a box of some size, px, and which way it looks, degrees clockwise from rightwards. */
export function tipsIn(line: Line, width: number, height: number) {
  const [from, to] = endsOf(line).map(([x, y]) => ({ x: (x / 100) * width, y: (y / 100) * height }))
  const turn = (Math.atan2(to!.y - from!.y, to!.x - from!.x) * 180) / Math.PI
  return [
    ...(line.start ? [{ tip: line.start, ...from!, turn: turn + 180 }] : []),
    ...(line.end ? [{ tip: line.end, ...to!, turn }] : []),
  ]
}

export const isTipped = (form: Form | undefined): form is Line =>
  form?.form === 'line' && (form.start !== undefined || form.end !== undefined)

/** A line with tips, and what marks its ends (SVG 2 §13.7). */
function tippedLine(line: Line, id: string): string[] {
  const [from, to] = endsOf(line)
  const percent = (value: number) => (value === 0 ? '0' : `${value}%`)
  const marked = (['start', 'end'] as const).filter((at) => line[at])
  return [
    ...marked.map(
      (at) =>
        `<marker id="${id}-${at}" orient="auto-start-reverse" overflow="visible">${tipPath(line[at]!)}</marker>`,
    ),
    `<line x1="${percent(from[0])}" y1="${percent(from[1])}" x2="${percent(to[0])}" y2="${percent(to[1])}"${marked.map((at) => ` marker-${at}="url(#${id}-${at})"`).join('')}/>`,
  ]
}

/** What is said of an `svg`, and what is in it, an element a line. */
type FormSvg = { attributes: readonly (readonly [string, string])[]; content: readonly string[] }

/**
 * A form as SVG for a block of any size. It is stretched with the block; a line with tips is not, or its tips were, too.
 * @param id what the ids in it begin with, once on the page
 */
export const formSvg = (form: Form, id: string): FormSvg =>
  isTipped(form)
    ? { attributes: [], content: tippedLine(form, id) }
    : {
        attributes: [
          ['viewBox', '0 0 100 100'],
          ['preserveAspectRatio', 'none'],
        ],
        content: [`<path d="${dataOfForm(form)}" fill-rule="evenodd" vector-effect="non-scaling-stroke"/>`],
      }
