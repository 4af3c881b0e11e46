/** The shadow behind a block. */

import { type Area, elementOf, moved, pathOf, type Shape, shape, spread } from '../../forms/round-rect'
import { num } from '../../properties/css-text'
import type { Shadow } from '../../properties/items'
import { painted, type SvgWriter } from './writer'

/** Three standard deviations, of which blur is two. */
const reachOf = ({ blur }: Shadow) => Math.ceil(blur * 1.5) + 1
const shadeOf = (outer: Shape, { x, y, spread: wider }: Shadow) => moved(spread(outer, wider), x, y)

/** What is drawn on for a shadow: the block's own area, and as far as it falls. An inner one falls no farther than what is cut off of it. */
export function shadowArea(of: Shape, shadow: Shadow): Area {
  const reach = reachOf(shadow)
  if (shadow.inset) return wholePx(spread(of, reach * 2))
  const shade = spread(shadeOf(of, shadow), reach)
  return wholePx({
    left: Math.min(shade.left, of.left),
    top: Math.min(shade.top, of.top),
    right: Math.max(shade.right, of.right),
    bottom: Math.max(shade.bottom, of.bottom),
  })
}

const wholePx = ({ left, top, right, bottom }: Area): Area => ({
  left: Math.floor(left),
  top: Math.floor(top),
  right: Math.ceil(right),
  bottom: Math.ceil(bottom),
})

/** Seen only around the block, not through it (CSS Backgrounds 3 §6.1). */
export function drawShadow(svg: SvgWriter, outer: Shape, shadow: Shadow) {
  const { blur, color } = shadow
  const shade = shadeOf(outer, shadow)
  if (shade.right <= shade.left || shade.bottom <= shade.top) return
  const { left, top, right, bottom } = shadowArea(outer, shadow)
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
  const { left, top, right, bottom } = shadowArea(inner, shadow)
  const around = shape(left, top, right, bottom)
  const isOpen = hole.right > hole.left && hole.bottom > hole.top
  const data = `${pathOf(around)}${isOpen ? pathOf(hole) : ''}`
  const within = svg.define('k', (id) => `<clipPath id="${id}"><path d="${pathOf(inner)}"/></clipPath>`)
  const filter = blurred(svg, blur, around)
  svg.draw(
    `<g clip-path="url(#${within})"><path d="${data}" fill-rule="evenodd" ${painted('fill', color)}${filter}/></g>`,
  )
}

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
