/** Borders: rings where they are solid; dashes and dots as Chromium spaces them. */

import { inset, pathOf, type Shape } from '../../forms/round-rect'
import { num } from '../../properties/css-text'
import { painted, type SvgWriter } from './writer'

/** The gap nearest to the wanted one with which dashes begin and end a line (Chromium, StyledStrokeData). */
function fittingGap(length: number, dash: number, gap: number, closed: boolean): number {
  const room = closed ? length : length + gap
  const few = Math.floor(room / (dash + gap))
  const many = few + 1
  const gaps = (dashes: number) => (closed ? dashes : dashes - 1)
  const wide = (length - few * dash) / gaps(few)
  const narrow = (length - many * dash) / gaps(many)
  return narrow <= 0 || Math.abs(wide - gap) < Math.abs(narrow - gap) ? wide : narrow
}

/** How a line of a length is dashed: attributes of its stroke. */
function dashes(style: Side['style'], length: number, width: number, closed: boolean): string {
  if (style === 'dotted' && width > 3) {
    if (length < width * 2) return ''
    const gap = fittingGap(length, width, width, closed)
    return ` stroke-linecap="round" stroke-dasharray="0 ${num(gap + width)}"`
  }
  let dash = width * (style === 'dotted' ? 1 : width >= 3 ? 2 : 3)
  let gap = width * (style === 'dotted' ? 1 : width >= 3 ? 1 : 2)
  if (length <= dash * 2) return ''
  const two = 2 * dash + gap
  if (length <= two) {
    dash *= length / two
    gap *= length / two
  } else gap = fittingGap(length, dash, gap, closed)
  return ` stroke-dasharray="${num(dash)} ${num(gap)}"`
}

const isRound = ({ radii }: Shape) => radii.some(({ x }) => x > 0)

/** A quarter of an ellipse's length (Ramanujan). */
const quarter = ({ x, y }: { x: number; y: number }) =>
  (Math.PI / 4) * (3 * (x + y) - Math.sqrt((3 * x + y) * (x + 3 * y)))

const lengthOf = ({ left, top, right, bottom, radii }: Shape) =>
  2 * (right - left + bottom - top) +
  radii.reduce((sum, radius) => sum + quarter(radius) - radius.x - radius.y, 0)

/** A side as it is drawn. */
export type Side = { width: number; style: 'solid' | 'dashed' | 'dotted'; color: string }

/** @param sides top, right, bottom, left */
export function drawBorder(svg: SvgWriter, outer: Shape, sides: readonly Side[]) {
  const seen = sides.filter(({ width }) => width > 0)
  if (seen.length === 0) return
  const [first] = seen
  const alike = seen.every(({ style, color }) => style === first!.style && color === first!.color)
  const widths = sides.map(({ width }) => width)
  const even = widths.every((width) => width === widths[0])
  if (alike && first!.style === 'solid') drawRing(svg, outer, widths, first!.color)
  else if (alike && even && isRound(outer)) drawRound(svg, outer, first!)
  else for (const [i, side] of sides.entries()) drawSide(svg, outer, sides, side, i)
}

function drawRing(svg: SvgWriter, outer: Shape, widths: readonly number[], color: string, more = '') {
  const ring = `${pathOf(outer)}${pathOf(inset(outer, widths))}`
  svg.draw(`<path d="${ring}" fill-rule="evenodd" ${painted('fill', color)}${more}/>`)
}

/** Dashes along the middle of a border with round corners. */
function drawRound(svg: SvgWriter, outer: Shape, { width, style, color }: Side) {
  const middle = inset(outer, [width / 2, width / 2, width / 2, width / 2])
  const dashed = dashes(style, lengthOf(middle), width, true)
  const stroke = `${painted('stroke', color)} stroke-width="${num(width)}"${dashed}`
  svg.draw(`<path d="${pathOf(middle)}" fill="none" ${stroke}/>`)
}

/** One side; solid ones meet their neighbours along the corners' diagonals. */
function drawSide(svg: SvgWriter, outer: Shape, sides: readonly Side[], side: Side, index: number) {
  const { width, style, color } = side
  if (width === 0) return
  const { left: x, top: y, right: endX, bottom: endY } = outer
  const [top, right, bottom, left] = sides.map((each) => each.width)
  if (style === 'solid') {
    const corners = [
      [x, y, x + left!, y + top!],
      [endX, y, endX - right!, y + top!],
      [endX, endY, endX - right!, endY - bottom!],
      [x, endY, x + left!, endY - bottom!],
    ]
    const [from, to] = [corners[index], corners[(index + 1) % 4]]
    const points = [from!.slice(0, 2), to!.slice(0, 2), to!.slice(2), from!.slice(2)]
    const part = points.map(([px, py]) => `${num(px!)} ${num(py!)}`).join('L')
    const id = svg.define('k', (id) => `<clipPath id="${id}"><path d="M${part}Z"/></clipPath>`)
    drawRing(svg, outer, [top!, right!, bottom!, left!], color, ` clip-path="url(#${id})"`)
    return
  }
  const level = index % 2 === 0
  const at = [y + top! / 2, endX - right! / 2, endY - bottom! / 2, x + left! / 2][index]
  const [from, to] = level ? [x, endX] : [y, endY]
  // Dots are whole at both ends.
  const pull = style === 'dotted' && width > 3 ? width / 2 : 0
  const line = level
    ? `M${num(from + pull)} ${num(at!)}H${num(to - pull)}`
    : `M${num(at!)} ${num(from + pull)}V${num(to - pull)}`
  const stroke = `${painted('stroke', color)} stroke-width="${num(width)}"${dashes(style, to - from, width, false)}`
  svg.draw(`<path d="${line}" fill="none" ${stroke}/>`)
}
