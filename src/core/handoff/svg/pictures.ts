/** Pictures in their boxes. Each is in the document once, however often it is shown. */
import { type Blobs, dataUrl } from '../../blobs/blobs'
import type { Asset } from '../../document/schema'
import { elementOf, type Shape } from '../../forms/round-rect'
import { num } from '../../properties/css-text'
import type { Resolved } from '../../properties/table'
import { htmlAttribute } from '../escape'
import type { SvgWriter } from './writer'

/** `object-fit` and `object-position`: where the picture lies in its box, px. */
export function fitPicture(
  naturalWidth: number,
  naturalHeight: number,
  width: number,
  height: number,
  resolved: Pick<Resolved, 'fit' | 'focusX' | 'focusY'>,
) {
  if (resolved.fit === 'fill') return { x: 0, y: 0, width, height }
  const across = width / naturalWidth
  const down = height / naturalHeight
  const scale = resolved.fit === 'contain' ? Math.min(across, down) : Math.max(across, down)
  const w = naturalWidth * scale
  const h = naturalHeight * scale
  return {
    x: ((width - w) * resolved.focusX!) / 100,
    y: ((height - h) * resolved.focusY!) / 100,
    width: w,
    height: h,
  }
}

/**
 * A drawing with a viewBox keeps its shape also where its box has another (SVG 2, preserveAspectRatio), and shows what lies beside
 * the viewBox: it is drawn as large as the box. @returns undefined for what is stretched
 */
function inItsShape(
  { type }: Asset,
  bytes: Uint8Array,
  width: number,
  height: number,
): Uint8Array | undefined {
  if (type !== 'image/svg+xml') return undefined
  const text = new TextDecoder().decode(bytes)
  const root = /<svg[^>]*>/i.exec(text)?.[0]
  if (!root || !/\sviewBox=/.test(root) || /preserveAspectRatio="none/.test(root)) return undefined
  const sized = root
    .replace(/\s(width|height)="[^"]*"/g, '')
    .replace(/^<svg/, `<svg width="${num(width)}" height="${num(height)}"`)
  return new TextEncoder().encode(text.replace(root, sized))
}

/** A grey field of 300 × 200 px, fitted like any picture. */
function drawPlaceholder(svg: SvgWriter, content: Shape, resolved: Resolved) {
  const { left, top, right, bottom } = content
  const { x, y, width, height } = fitPicture(300, 200, right - left, bottom - top, resolved)
  if (x <= 0 && y <= 0) {
    svg.draw(elementOf(content, 'fill="#d8d4ca"'))
    return
  }
  const field = { left: left + x, top: top + y, right: left + x + width, bottom: top + y + height }
  const clip = svg.define('k', (id) => `<clipPath id="${id}">${elementOf(content, '')}</clipPath>`)
  svg.draw(
    `<g clip-path="url(#${clip})">${elementOf({ ...field, radii: content.radii.map(() => ({ x: 0, y: 0 })) }, 'fill="#d8d4ca"')}</g>`,
  )
}

/** A picture, defined once as large as it is of itself. @returns its id */
export const imageOf = (svg: SvgWriter, { type, hash, width, height }: Asset, bytes: Uint8Array): string =>
  svg.define(
    'p',
    (id) =>
      `<image id="${id}" width="${num(width)}" height="${num(height)}" preserveAspectRatio="none" href="${htmlAttribute(dataUrl(type, bytes))}"/>`,
    `picture ${hash} ${num(width)} ${num(height)}`,
  )

/** @param content the picture's box, round as what is left of the block's corners */
export function drawPicture(
  svg: SvgWriter,
  content: Shape,
  asset: Asset | undefined,
  blobs: Blobs,
  resolved: Resolved,
) {
  const width = content.right - content.left
  const height = content.bottom - content.top
  if (width <= 0 || height <= 0) return
  const bytes = asset && blobs.get(asset.hash)
  if (!asset || !bytes) {
    drawPlaceholder(svg, content, resolved)
    return
  }
  const kept = resolved.fit === 'fill' ? inItsShape(asset, bytes, width, height) : undefined
  const natural = kept ? { width, height } : asset
  const fitted = fitPicture(natural.width, natural.height, width, height, resolved)
  const image = imageOf(svg, { ...asset, ...natural }, kept ?? bytes)
  const at = { left: content.left + fitted.x, top: content.top + fitted.y }
  drawWithin(svg, content, image, {
    ...at,
    width: fitted.width / natural.width,
    height: fitted.height / natural.height,
  })
}

/**
 * A picture cut to a box. @param scaled where its top left lies, and how many times as wide and high as it is it is drawn
 *
 * Some writers of pictures fail on a group that holds what sticks out of their canvas by more than that is wide, though it is cut off:
 * drawn by a filter that changes nothing, it ends where the box does.
 */
export function drawWithin(
  svg: SvgWriter,
  box: Shape,
  image: string,
  { left, top, width, height }: { left: number; top: number; width: number; height: number },
) {
  const clip = svg.define('k', (id) => `<clipPath id="${id}">${elementOf(box, '')}</clipPath>`)
  const place = `translate(${num(left)} ${num(top)}) scale(${width.toFixed(6)} ${height.toFixed(6)})`
  const [across, down] = [box.right - box.left, box.bottom - box.top]
  const isFarOut = box.left - left > across || box.top - top > down
  const region = `x="${num(box.left)}" y="${num(box.top)}" width="${num(across)}" height="${num(down)}"`
  const ending = isFarOut
    ? svg.define(
        'f',
        (id) =>
          `<filter id="${id}" filterUnits="userSpaceOnUse" ${region} color-interpolation-filters="sRGB"><feOffset/></filter>`,
      )
    : ''
  const filter = ending && ` filter="url(#${ending})"`
  svg.draw(`<g clip-path="url(#${clip})"${filter}><use href="#${image}" transform="${place}"/></g>`)
}
