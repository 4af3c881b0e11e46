/** Forms as SVG; what lines begin and end with: in widths of the line, drawn as strokes, so that a tip has the line's width and paint on every view. */
import { dataOfForm, type Form, pathOfForm, type Tip } from './form'
import { near, type Point } from './path'

/** What lines may be: straight ones, and the open outlines of a path. */
type Lines = Extract<Form, { form: 'line' | 'path' }>

/** Along a line that runs to the right and ends at 0. A head's outline is so thick that nothing is left within. */
const DRAWN: Record<Tip, { data: string; look: string }> = {
  arrow: { data: 'M-3.5-3.5 0 0-3.5 3.5', look: 'stroke-width="1"' },
  head: { data: 'M-3.2-1.13-.85 0-3.2 1.13z', look: 'stroke-width="1.6"' },
  dot: { data: 'M0 0h.001', look: 'stroke-width="3.6" stroke-linecap="round"' },
}

/** @param attributes more of it @returns SVG of a tip at 0, its line running to the right */
export const tipPath = (tip: Tip, attributes = '') =>
  `<path d="${DRAWN[tip].data}" fill="none" ${DRAWN[tip].look} stroke-linejoin="miter" stroke-dasharray="none"${attributes}/>`

const SIDES = ['start', 'end'] as const
/** One end of a line, and where the line comes from there, percent of its box. */
type End = { side: (typeof SIDES)[number]; at: Point; from: Point }

const percent = (value: number) => (value === 0 ? '0' : `${Math.round(value * 10_000) / 10_000}%`)
const lineAttributes = ([x1, y1]: Point, [x2, y2]: Point) =>
  `x1="${percent(x1)}" y1="${percent(y1)}" x2="${percent(x2)}" y2="${percent(y2)}"`

/** Every end that is marked, of all open outlines. A curve leaves its end towards the nearest of the points behind that lies elsewhere. */
function endsOf(form: Lines): End[] {
  return pathOfForm(form).flatMap(({ from, steps, closed }) => {
    if (closed) return []
    const points = [from, ...steps.flatMap(({ to, by }) => [...(by ?? []), to])]
    return SIDES.flatMap((side) => {
      if (!form[side]) return []
      const [at, ...behind] = side === 'start' ? points : points.toReversed()
      const inner = behind.find((point) => !near(point, at!))
      return inner ? [{ side, at: at!, from: inner }] : []
    })
  })
}

/** The tips of lines, each where it is in a box of some size, px, and which way it looks, degrees clockwise from rightwards. */
export const tipsIn = (form: Lines, width: number, height: number) =>
  endsOf(form).map(({ side, at, from }) => {
    const [x, y] = [(at[0] / 100) * width, (at[1] / 100) * height]
    const [dx, dy] = [x - (from[0] / 100) * width, y - (from[1] / 100) * height]
    return { tip: form[side]!, x, y, turn: (Math.atan2(dy, dx) * 180) / Math.PI }
  })

export const areLines = (form: Form | undefined): form is Lines =>
  form?.form === 'line' || (form?.form === 'path' && pathOfForm(form).some(({ closed }) => !closed))

export const isTipped = (form: Form | undefined): form is Lines =>
  areLines(form) && (form.start !== undefined || form.end !== undefined)

const urlOf = (id: string, side: End['side']) => `url(#${id}-${side})`
/** What marks the ends of lines (SVG 2 §13.7). */
const markers = (form: Lines, id: string): string[] =>
  SIDES.filter((side) => form[side]).map(
    (side) =>
      `<marker id="${id}-${side}" orient="auto-start-reverse" overflow="visible">${tipPath(form[side]!)}</marker>`,
  )

function tippedLine(line: Lines, id: string): string {
  const { from, steps } = pathOfForm(line)[0]!
  const marked = SIDES.filter((side) => line[side]).map((side) => ` marker-${side}="${urlOf(id, side)}"`)
  return `<line ${lineAttributes(from, steps[0]!.to)}${marked.join('')}/>`
}

/**
 * Curves are stretched with the box, by a drawing of their own in it; each tip stands at the end of a line that is not drawn, which runs as
 * the curve ends in a box of any size.
 */
const tippedCurves = (form: Lines, id: string): string[] => [
  `<svg ${STRETCHED.map(([name, value]) => `${name}="${value}"`).join(' ')} overflow="visible">${drawnPath(form)}</svg>`,
  ...endsOf(form).map(
    ({ side, at, from }) =>
      `<line ${lineAttributes(from, at)} stroke="none" marker-end="${urlOf(id, side)}"/>`,
  ),
]

const drawnPath = (form: Form) =>
  `<path d="${dataOfForm(form)}" fill-rule="evenodd" vector-effect="non-scaling-stroke"/>`

const STRETCHED = [
  ['viewBox', '0 0 100 100'],
  ['preserveAspectRatio', 'none'],
] as const

/** What is said of an `svg`, and what is in it, an element a line. */
type FormSvg = { attributes: readonly (readonly [string, string])[]; content: readonly string[] }

/**
 * A form as SVG for a block of any size. It is stretched with the block; tips are not.
 * @param id what the ids in it begin with, once on the page
 */
export function formSvg(form: Form, id: string): FormSvg {
  if (!isTipped(form)) return { attributes: STRETCHED, content: [drawnPath(form)] }
  const lines = form.form === 'line' ? [tippedLine(form, id)] : tippedCurves(form, id)
  return { attributes: [], content: [...markers(form, id), ...lines] }
}
