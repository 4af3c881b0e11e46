/** An icon of the set as a shape. */
import svgpath from 'svgpath'
import type { Form } from '../forms/form'
import type { Props } from '../properties/table'
import type { Icon } from '../words/words'

/** SVG elements with their attributes, drawn on 24 × 24 by a line of 2. */
export type Drawing = readonly (readonly [element: string, attributes: Readonly<Record<string, string>>])[]

/** What every icon is drawn on, px. */
const FIELD = 24
/** Of the line that it is drawn by there, px. */
const LINE = 2
/** Decimals of the outline, in shares of 100. */
const DIGITS = 3

const ellipse = (cx: number, cy: number, rx: number, ry: number) =>
  `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z`

function rectangle(x: number, y: number, width: number, height: number, rx: number, ry: number) {
  if (rx <= 0 || ry <= 0) return `M${x} ${y}h${width}v${height}h${-width}Z`
  const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`
  const [across, down] = [width - 2 * rx, height - 2 * ry]
  return `M${x + rx} ${y}h${across}${arc(rx, ry)}v${down}${arc(-rx, ry)}h${-across}${arc(-rx, -ry)}v${-down}${arc(rx, -ry)}Z`
}

/** The path that a basic shape stands for (SVG 2 §10). */
function dataOf([element, attributes]: Drawing[number]): string {
  const n = (name: string) => Number(attributes[name] ?? 0)
  switch (element) {
    case 'path':
      return attributes.d!
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'))
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'))
    case 'rect': {
      const rx = Number(attributes.rx ?? attributes.ry ?? 0)
      const ry = Number(attributes.ry ?? attributes.rx ?? 0)
      const [width, height] = [n('width'), n('height')]
      return rectangle(n('x'), n('y'), width, height, Math.min(rx, width / 2), Math.min(ry, height / 2))
    }
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`
    case 'polyline':
      return `M${attributes.points}`
    case 'polygon':
      return `M${attributes.points}Z`
    default:
      throw new RangeError(`an icon has no <${element}>`)
  }
}

/** The drawing as one outline within 100 × 100: absolute lines and curves alone. */
export function iconForm(drawing: Drawing): Form {
  const data = drawing
    .map((part) =>
      svgpath(dataOf(part))
        .abs()
        .unshort()
        .unarc()
        .scale(100 / FIELD)
        .round(DIGITS)
        .toString(),
    )
    .join('')
  return { form: 'path', data }
}

/** What an icon is among words: drawn as thick as it is by itself. @param name as the set has it */
export const iconInWords = (name: string, drawing: Drawing): Icon => ({
  name,
  data: (iconForm(drawing) as { data: string }).data,
  line: Math.round((LINE / FIELD) * 100 * 100) / 100,
})

/** px of its side and of its line; left out, its colour is the project's ink. */
export type IconLook = { size: number; line: number; color?: string }

export const iconProps = (drawing: Drawing, { size, line, color = '{color.ink}' }: IconLook): Props => ({
  form: iconForm(drawing),
  stroke: { width: line, color, cap: 'round', join: 'round' },
  width: { kind: 'exact', px: size },
  height: { kind: 'exact', px: size },
})
