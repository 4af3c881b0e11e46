/** Cleaning what came with a project file before anybody shows it. */
import { nameOf } from '../blobs/blobs'
import { Document } from './document'
import { fontBlobs } from './named-blobs'
import type { Opened } from './open'

/**
 * An opened project with its SVG pictures cleaned; those that change have other names then.
 * @param clean gives a picture back that does no harm
 */
export async function withCleanPictures(
  { document, blobs }: Opened,
  clean: (svg: string) => Promise<string>,
): Promise<Opened> {
  const file = document.toFile()
  const kept = new Map<string, Uint8Array>()
  for (const { hash } of file.fonts?.flatMap(fontBlobs) ?? []) {
    const bytes = blobs.get(hash)
    if (bytes) kept.set(hash, bytes)
  }
  const assets = await Promise.all(
    file.assets.map(async (asset) => {
      const bytes = blobs.get(asset.hash)
      if (!bytes) return asset
      const svg = asset.type === 'image/svg+xml' ? new TextDecoder().decode(bytes) : undefined
      const cleaned = svg === undefined ? svg : await clean(svg)
      const own = cleaned === undefined || cleaned === svg ? bytes : new TextEncoder().encode(cleaned)
      const name = own === bytes ? { hash: asset.hash, size: asset.size } : nameOf(own)
      kept.set(name.hash, own)
      return { ...asset, ...name }
    }),
  )
  return { document: Document.fromFile({ ...file, assets }), blobs: kept }
}
