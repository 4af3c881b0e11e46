/** The shadow behind a block. */
import { num } from '../../properties/css-text'
import type { Shadow } from '../../properties/items'
import { elementOf, moved, pathOf, type Shape, spread } from './shapes'
import { painted, type SvgWriter } from './writer'

/** Seen only around the block, not through it (CSS Backgrounds 3 §6.1). */
export function drawShadow(svg: SvgWriter, outer: Shape, shadow: Shadow) {
  const { x, y, blur, color } = shadow
  const shade = moved(spread(outer, shadow.spread), x, y)
  if (shade.right <= shade.left || shade.bottom <= shade.top) return
  // Three standard deviations, of which blur is two.
  const reach = Math.ceil(blur * 1.5) + 1
  const [left, top] = [Math.min(shade.left - reach, outer.left), Math.min(shade.top - reach, outer.top)]
  const [right, bottom] = [
    Math.max(shade.right + reach, outer.right),
    Math.max(shade.bottom + reach, outer.bottom),
  ]
  const area = `M${num(left)} ${num(top)}H${num(right)}V${num(bottom)}H${num(left)}Z`
  const around = svg.define(
    'k',
    (id) => `<clipPath id="${id}"><path d="${area}${pathOf(outer)}" clip-rule="evenodd"/></clipPath>`,
  )
  const filter = blurred(svg, blur, { left, top, right, bottom })
  svg.draw(`<g clip-path="url(#${around})">${elementOf(shade, `${painted('fill', color)}${filter}`)}</g>`)
}

/** Seen only within the padding box, over the fills (CSS Backgrounds 3 §6.1): what lies around a hole of that form. */
export function drawInnerShadow(svg: SvgWriter, inner: Shape, shadow: Shadow) {
  const { x, y, blur, color } = shadow
  if (inner.right <= inner.left || inner.bottom <= inner.top) return
  const hole = moved(spread(inner, -shadow.spread), x, y)
  const reach = Math.ceil(blur * 1.5) + 1
  const around = spread({ ...inner, radii: [SHARP, SHARP, SHARP, SHARP] }, reach * 2)
  const isOpen = hole.right > hole.left && hole.bottom > hole.top
  const data = `${pathOf(around)}${isOpen ? pathOf(hole) : ''}`
  const within = svg.define('k', (id) => `<clipPath id="${id}"><path d="${pathOf(inner)}"/></clipPath>`)
  const filter = blurred(svg, blur, around)
  svg.draw(
    `<g clip-path="url(#${within})"><path d="${data}" fill-rule="evenodd" ${painted('fill', color)}${filter}/></g>`,
  )
}

const SHARP = { x: 0, y: 0 }

type Area = { left: number; top: number; right: number; bottom: number }

/** The attribute that blurs, with what it needs; none without blur. */
function blurred(svg: SvgWriter, blur: number, { left, top, right, bottom }: Area): string {
  if (blur <= 0) return ''
  const region = `x="${num(left)}" y="${num(top)}" width="${num(right - left)}" height="${num(bottom - top)}"`
  const id = svg.define(
    'f',
    (id) =>
      `<filter id="${id}" filterUnits="userSpaceOnUse" ${region} color-interpolation-filters="sRGB"><feGaussianBlur stdDeviation="${num(blur / 2)}"/></filter>`,
  )
  return ` filter="url(#${id})"`
}
