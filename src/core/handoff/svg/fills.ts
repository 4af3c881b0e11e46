/** What a block is filled with, bottom to top. */
import type { Blobs } from '../../blobs/blobs'
import type { Document } from '../../document/document'
import { elementOf, type Shape } from '../../forms/round-rect'
import { beginningOf, gradientLine } from '../../paint/gradient-line'
import { num } from '../../properties/css-text'
import { waveRadius } from '../../properties/fill-layers'
import type { Fill } from '../../properties/items'
import { NOISE_TILE, noiseUrl } from '../../properties/noise'
import { drawGradient, linearGradient } from './gradients'
import { drawWithin, fitPicture, imageOf } from './pictures'
import { painted, type SvgWriter } from './writer'

type Of<K extends Fill['kind']> = Extract<Fill, { kind: K }>
/** `isSmall`: drawn without grain, which nobody would see and most of the file would be. */
export type Shown = { doc: Document; blobs: Blobs; isSmall: boolean }

/** @param outer the border box, which fills reach to @param inner the padding box, which they are measured from */
export function drawFills(svg: SvgWriter, shown: Shown, outer: Shape, inner: Shape, fills: readonly Fill[]) {
  // The first of a list lies on top.
  const list = [...fills].reverse()
  const mixes = list.some(({ blend = 'normal' }) => blend !== 'normal')
  // They mix with one another, and with nothing below the block (Compositing 1 §5.7).
  if (mixes) svg.draw('<g style="isolation:isolate">')
  for (const fill of list) {
    const mixed = fill.blend !== undefined && fill.blend !== 'normal'
    if (mixed) svg.draw(`<g style="mix-blend-mode:${fill.blend}">`)
    drawFill(svg, shown, outer, inner, fill)
    if (mixed) svg.draw('</g>')
  }
  if (mixes) svg.draw('</g>')
}

function drawFill(svg: SvgWriter, shown: Shown, outer: Shape, inner: Shape, fill: Fill) {
  switch (fill.kind) {
    case 'color':
      return svg.draw(elementOf(outer, painted('fill', fill.color)))
    case 'gradient':
      return drawGradient(svg, outer, inner, fill)
    case 'pattern':
      return drawPattern(svg, outer, inner, fill)
    case 'noise':
      return shown.isSmall ? undefined : drawNoise(svg, outer, inner, fill)
    case 'picture':
      return drawBehind(svg, shown, outer, inner, fill)
  }
}

/** A tile over and over from a corner on, px. */
function tiled(
  svg: SvgWriter,
  outer: Shape,
  { left, top }: Shape,
  width: number,
  height: number,
  content: string,
) {
  const id = svg.define(
    'w',
    (id) =>
      `<pattern id="${id}" patternUnits="userSpaceOnUse" x="${num(left)}" y="${num(top)}" width="${num(width)}" height="${num(height)}">${content}</pattern>`,
  )
  svg.draw(elementOf(outer, `fill="url(#${id})"`))
}

function drawPattern(
  svg: SvgWriter,
  outer: Shape,
  inner: Shape,
  { shape, color, size, weight, angle = 0 }: Of<'pattern'>,
) {
  const paint = painted('fill', color)
  if (shape === 'dots')
    return tiled(
      svg,
      outer,
      inner,
      size,
      size,
      `<circle cx="${num(size / 2)}" cy="${num(size / 2)}" r="${num(weight / 2)}" ${paint}/>`,
    )
  if (shape === 'checks') {
    // The first quarter of a turn from upwards is the upper right.
    const square = (x: number, y: number) =>
      `<rect x="${x}" y="${y}" width="${num(size)}" height="${num(size)}" ${paint}/>`
    return tiled(svg, outer, inner, size * 2, size * 2, square(size, 0) + square(0, size))
  }
  if (shape === 'waves') {
    const [reach, depth] = [num(size), num(waveRadius(size))]
    const arc = (over: number) => `a${depth} ${depth} 0 0 ${over} ${reach} 0`
    const wave = (y: number) =>
      `<path d="M${num(-size)} ${num(y)}${[0, 1, 0, 1].map(arc).join('')}" fill="none" ${painted('stroke', color)} stroke-width="${num(weight)}"/>`
    return tiled(svg, outer, inner, size * 2, size, wave(0) + wave(size))
  }
  for (const each of shape === 'grid' ? [180, 90] : [angle])
    drawLines(svg, outer, inner, each, color, size, weight)
}

/** As `repeating-linear-gradient`: from the beginning of the gradient line on; what lies under a border begins anew. */
function drawLines(
  svg: SvgWriter,
  outer: Shape,
  inner: Shape,
  degrees: number,
  color: string,
  size: number,
  weight: number,
) {
  const [width, height] = [inner.right - inner.left, inner.bottom - inner.top]
  const isFramed =
    width > 0 && height > 0 && (width < outer.right - outer.left || height < outer.bottom - outer.top)
  const tile = isFramed ? { ...inner, left: 0, top: 0, right: width, bottom: height } : inner
  const line = beginningOf(gradientLine(tile, degrees), degrees, size)
  const share = num((weight / size) * 100)
  const none = painted('stop-color', `${color.slice(0, 7)}00`)
  const ink = painted('stop-color', color)
  const stops = `<stop offset="0" ${ink}/><stop offset="${share}%" ${ink}/><stop offset="${share}%" ${none}/><stop offset="1" ${none}/>`
  const id = svg.define('g', (id) => linearGradient(id, line, stops, ' spreadMethod="repeat"'))
  const fill = `fill="url(#${id})"`
  if (isFramed)
    tiled(svg, outer, inner, width, height, `<rect width="${num(width)}" height="${num(height)}" ${fill}/>`)
  else svg.draw(elementOf(outer, fill))
}

function drawNoise(svg: SvgWriter, outer: Shape, inner: Shape, fill: Of<'noise'>) {
  const side = NOISE_TILE
  tiled(svg, outer, inner, side, side, `<image width="${side}" height="${side}" href="${noiseUrl(fill)}"/>`)
}

function drawBehind(svg: SvgWriter, { doc, blobs }: Shown, outer: Shape, inner: Shape, fill: Of<'picture'>) {
  const asset = doc.assets.get(fill.asset)
  const bytes = asset && blobs.get(asset.hash)
  const [width, height] = [inner.right - inner.left, inner.bottom - inner.top]
  if (!asset || !bytes || width <= 0 || height <= 0) return
  const id = imageOf(svg, asset, bytes)
  if (fill.fit === 'tile') {
    const scale = (fill.size ?? asset.width) / asset.width
    tiled(
      svg,
      outer,
      inner,
      asset.width * scale,
      asset.height * scale,
      `<use href="#${id}" transform="scale(${num(scale)})"/>`,
    )
    return
  }
  const placed = fitPicture(asset.width, asset.height, width, height, {
    fit: fill.fit,
    focusX: fill.x ?? 50,
    focusY: fill.y ?? 50,
  })
  const at = { left: inner.left + placed.x, top: inner.top + placed.y }
  drawWithin(svg, outer, id, {
    ...at,
    width: placed.width / asset.width,
    height: placed.height / asset.height,
  })
}
