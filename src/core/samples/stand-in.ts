/** Pictures of the right size where what they show does not matter. */
import type { Blobs } from '../blobs/blobs'
import type { Document } from '../document/document'
import type { Asset } from '../document/schema'

export const standIn = ({ width, height }: Pick<Asset, 'width' | 'height'>): Uint8Array =>
  new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="${width}" height="${height}" fill="#8fae7c"/></svg>`,
  )

/** One for every SVG picture of a document. */
export const standIns = (doc: Document): Blobs =>
  new Map(
    [...doc.assets.values()]
      .filter((asset) => asset.type === 'image/svg+xml')
      .map((asset) => [asset.hash, standIn(asset)]),
  )
