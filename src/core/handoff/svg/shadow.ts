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
  let filter = ''
  if (blur > 0) {
    const region = `x="${num(left)}" y="${num(top)}" width="${num(right - left)}" height="${num(bottom - top)}"`
    const id = svg.define(
      'f',
      (id) =>
        `<filter id="${id}" filterUnits="userSpaceOnUse" ${region} color-interpolation-filters="sRGB"><feGaussianBlur stdDeviation="${num(blur / 2)}"/></filter>`,
    )
    filter = ` filter="url(#${id})"`
  }
  svg.draw(`<g clip-path="url(#${around})">${elementOf(shade, `${painted('fill', color)}${filter}`)}</g>`)
}
