/** A part of a picture becomes a picture of its own. */
import type { Asset } from '../../core/document/schema'
import { type Crop, matrixOf } from '../../core/pictures/crop'
import { pictureUrl } from '../session/pictures'
import { pictureCleaner } from '../shelf/read-picture'

/** Longest side of what is made, px: what is larger is made smaller. */
const MOST = 8000
/** What WebP keeps of it, 0 to 1. */
const QUALITY = 0.95

export type CutPicture = { type: Asset['type']; width: number; height: number; bytes: Uint8Array }

/** @throws Error with a reason for the user */
export async function cutOut(source: Asset, part: Crop): Promise<CutPicture> {
  return source.type === 'image/svg+xml' ? cutLines(source, part) : cutPixels(source, part)
}

async function cutPixels(source: Asset, part: Crop): Promise<CutPicture> {
  const image = new Image()
  image.src = pictureUrl(source)
  await image.decode()
  const scale = Math.min(1, MOST / Math.max(part.width, part.height))
  const width = Math.max(1, Math.round(part.width * scale))
  const height = Math.max(1, Math.round(part.height * scale))
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d')!
  context.imageSmoothingQuality = 'high'
  context.scale(width / part.width, height / part.height)
  context.transform(...matrixOf(source, part))
  context.drawImage(image, 0, 0, source.width, source.height)
  const blob = await canvas.convertToBlob({ type: 'image/webp', quality: QUALITY })
  const type = blob.type === 'image/webp' ? 'image/webp' : 'image/png'
  return { type, width, height, bytes: new Uint8Array(await blob.arrayBuffer()) }
}

/** It stays lines: the whole drawing, seen through a window. */
async function cutLines(source: Asset, part: Crop): Promise<CutPicture> {
  const answer = await fetch(pictureUrl(source))
  if (!answer.ok) throw new Error('it cannot be fetched')
  const drawing = new DOMParser().parseFromString(await answer.text(), 'image/svg+xml').documentElement
  if (drawing.nodeName !== 'svg') throw new Error('it cannot be read')
  if (!drawing.hasAttribute('viewBox'))
    drawing.setAttribute('viewBox', `0 0 ${source.width} ${source.height}`)
  drawing.setAttribute('width', String(source.width))
  drawing.setAttribute('height', String(source.height))
  drawing.setAttribute('preserveAspectRatio', 'none')
  const { width, height } = part
  const inner = new XMLSerializer().serializeToString(drawing)
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><g transform="matrix(${matrixOf(source, part).join(' ')})">${inner}</g></svg>`
  const clean = await pictureCleaner()
  return { type: 'image/svg+xml', width, height, bytes: new TextEncoder().encode(clean(svg)) }
}
