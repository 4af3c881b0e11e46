/** Filters, and what a block is cut to, on a group of everything that is drawn of it. */
import { pathIn } from '../../forms/form'
import { pathData } from '../../forms/path'
import { elementOf, type Shape } from '../../forms/round-rect'
import { gradientLine } from '../../paint/gradient-line'
import { num } from '../../properties/css-text'
import { type Cast, type Cut, type Filters, filtersIn } from '../../properties/effects'
import { linearGradient } from './gradients'
import { painted, type SvgWriter } from './writer'

const matrix = (values: readonly number[]) => `<feColorMatrix values="${values.map(num).join(' ')}"/>`

const linear = (slope: number, intercept = 0) => {
  const part = (channel: string) =>
    `<feFunc${channel} type="linear" slope="${num(slope)}" intercept="${num(intercept)}"/>`
  return `<feComponentTransfer>${['R', 'G', 'B'].map(part).join('')}</feComponentTransfer>`
}

/** Between a matrix that does all and one that does nothing; rows for red, green and blue. @param s how much of it is left, 0 to 1 */
const faded = (s: number, of: (s: number) => readonly number[]) => {
  const [a, b, c, d, e, f, g, h, i] = of(s)
  return matrix([a!, b!, c!, 0, 0, d!, e!, f!, 0, 0, g!, h!, i!, 0, 0, 0, 0, 0, 1, 0])
}

/** What each filter function is as SVG elements (Filter Effects 1 §13, “filter function equivalents”). */
const ELEMENTS: { [K in keyof Filters]-?: (value: number) => string } = {
  brightness: (value) => linear(value / 100),
  contrast: (value) => linear(value / 100, 0.5 - value / 200),
  saturation: (value) =>
    faded(value / 100, (s) => [
      0.213 + 0.787 * s,
      0.715 - 0.715 * s,
      0.072 - 0.072 * s,
      0.213 - 0.213 * s,
      0.715 + 0.285 * s,
      0.072 - 0.072 * s,
      0.213 - 0.213 * s,
      0.715 - 0.715 * s,
      0.072 + 0.928 * s,
    ]),
  gray: (value) =>
    faded(1 - value / 100, (s) => [
      0.2126 + 0.7874 * s,
      0.7152 - 0.7152 * s,
      0.0722 - 0.0722 * s,
      0.2126 - 0.2126 * s,
      0.7152 + 0.2848 * s,
      0.0722 - 0.0722 * s,
      0.2126 - 0.2126 * s,
      0.7152 - 0.7152 * s,
      0.0722 + 0.9278 * s,
    ]),
  sepia: (value) =>
    faded(1 - value / 100, (s) => [
      0.393 + 0.607 * s,
      0.769 - 0.769 * s,
      0.189 - 0.189 * s,
      0.349 - 0.349 * s,
      0.686 + 0.314 * s,
      0.168 - 0.168 * s,
      0.272 - 0.272 * s,
      0.534 - 0.534 * s,
      0.131 + 0.869 * s,
    ]),
  invert: (value) => linear(1 - (2 * value) / 100, value / 100),
  hue: (value) => `<feColorMatrix type="hueRotate" values="${num(value)}"/>`,
  blur: (value) => `<feGaussianBlur stdDeviation="${num(value)}"/>`,
}

/**
 * The attribute of a group that is filtered; nothing: none. What lies off the page is not: it is not seen, and some writers of pictures
 * fail on a filter without a pixel. @param page its width and height, px
 */
export function filterOf(
  svg: SvgWriter,
  { filters, cast }: { filters?: Filters; cast?: Cast },
  { left, top, right, bottom }: Shape,
  page: { width: number; height: number },
): string {
  const list = filtersIn(filters).map(([key, value]) => ELEMENTS[key](value))
  if (cast)
    list.push(
      `<feDropShadow dx="${num(cast.x)}" dy="${num(cast.y)}" stdDeviation="${num(cast.blur)}" ${painted('flood-color', cast.color)}/>`,
    )
  if (list.length === 0) return ''
  // Three standard deviations, and room for what sticks out of the block.
  const thrown = cast ? cast.blur * 3 + Math.max(Math.abs(cast.x), Math.abs(cast.y)) : 0
  const reach = Math.ceil((filters?.blur ?? 0) * 3 + thrown) + 200
  if (left - reach >= page.width || top - reach >= page.height || right + reach <= 0 || bottom + reach <= 0)
    return ''
  const region = `x="${num(left - reach)}" y="${num(top - reach)}" width="${num(right - left + reach * 2)}" height="${num(bottom - top + reach * 2)}"`
  const id = svg.define(
    'f',
    (id) =>
      `<filter id="${id}" filterUnits="userSpaceOnUse" ${region} color-interpolation-filters="sRGB">${list.join('')}</filter>`,
  )
  return ` filter="url(#${id})"`
}

/** The attribute of a group that is cut: nothing is left outside of the block's round corners either (CSS Masking 1 §6.8). */
export function cutOf(svg: SvgWriter, cut: Cut | undefined, box: Shape): string {
  if (!cut) return ''
  const { left, top, right, bottom } = box
  const [width, height] = [right - left, bottom - top]
  if (cut.form !== 'fade') {
    const data = pathData(pathIn(cut, left, top, width, height))
    const isRound = box.radii.some(({ x, y }) => x > 0 && y > 0)
    const round = isRound
      ? svg.define('k', (id) => `<clipPath id="${id}">${elementOf(box, '')}</clipPath>`)
      : ''
    const within = round && ` clip-path="url(#${round})"`
    const id = svg.define(
      'k',
      (id) => `<clipPath id="${id}"${within}><path d="${data}" clip-rule="evenodd"/></clipPath>`,
    )
    return ` clip-path="url(#${id})"`
  }
  const line = gradientLine(box, cut.angle)
  const stops = `<stop offset="${num(cut.from)}%" stop-color="#fff"/><stop offset="${num(cut.to)}%" stop-color="#fff" stop-opacity="0"/>`
  const shade = svg.define('g', (id) => linearGradient(id, line, stops))
  const area = `x="${num(left)}" y="${num(top)}" width="${num(width)}" height="${num(height)}"`
  const id = svg.define(
    'm',
    (id) =>
      `<mask id="${id}" maskUnits="userSpaceOnUse" ${area}>${elementOf(box, `fill="url(#${shade})"`)}</mask>`,
  )
  return ` mask="url(#${id})"`
}
