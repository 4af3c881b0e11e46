/** Taking in a picture file: what it is, how large, or why it cannot be used. */
import createDOMPurify, { type DOMPurify } from 'dompurify'
import type { Asset } from '../../core/document/schema'
import { cleanSvg, forPictures } from '../../core/handoff/svg-policy'

const TYPES: Asset['type'][] = ['image/svg+xml', 'image/png', 'image/jpeg', 'image/webp']
const MOST = 8_000_000

let cleaner: DOMPurify | undefined

/** An SVG picture without scripts and without anything it would fetch. @throws when nothing of a picture is left */
async function cleanBytes(file: File): Promise<Uint8Array> {
  cleaner ??= forPictures(createDOMPurify(window))
  const writer = new XMLSerializer()
  const svg = cleanSvg(cleaner, (node) => writer.serializeToString(node), await file.text())
  if (svg === undefined) throw new Error('not an SVG picture')
  return new TextEncoder().encode(svg)
}

/** @throws Error with a reason for the user */
export async function readPicture(file: File, id: string): Promise<Asset> {
  const type = TYPES.find((each) => each === file.type)
  if (!type)
    throw new Error(
      `“${file.name}” is ${file.type || 'of an unknown kind'}; SVG, PNG, JPEG and WebP can be used`,
    )
  if (file.size > MOST)
    throw new Error(`“${file.name}” is ${Math.round(file.size / 1e5) / 10} MB; at most 8 MB`)
  const url = URL.createObjectURL(file)
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const { naturalWidth: width, naturalHeight: height } = image
    if (width < 1 || height < 1) throw new Error('no size')
    const bytes = type === 'image/svg+xml' ? await cleanBytes(file) : new Uint8Array(await file.arrayBuffer())
    let binary = ''
    for (let i = 0; i < bytes.length; i += 0x8000)
      binary += String.fromCharCode(...bytes.subarray(i, i + 0x8000))
    return {
      id,
      name: file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 200) || 'Picture',
      type,
      width: Math.min(width, 20_000),
      height: Math.min(height, 20_000),
      data: btoa(binary),
    }
  } catch {
    throw new Error(`“${file.name}” cannot be read as a picture; it may be damaged`)
  } finally {
    URL.revokeObjectURL(url)
  }
}
