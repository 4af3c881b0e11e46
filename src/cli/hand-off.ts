/** What every check looks at: the site as the app hands it off, photographs in their sizes and all. */
import type { Blobs } from '../core/blobs/blobs'
import { withCleanPictures } from '../core/document/cleaned'
import type { Document } from '../core/document/document'
import type { SiteOptions } from '../core/handoff/site'
import { harmless } from '../server/clean-svg'
import { siteBytes } from '../server/handoff'
import { RenditionStore } from '../server/renditions'
import { webp } from '../server/webp'

/** Of this process: what is checked is mostly the same few photographs. */
const renditions = new RenditionStore(webp)

/** @param blobs may hold anything: as on its way into the app, pictures are cleaned @returns its files by path */
export async function handOff(document: Document, blobs: Blobs, options: SiteOptions = {}) {
  const clean = await withCleanPictures({ document, blobs }, harmless)
  return siteBytes(clean.document, clean.blobs, {
    ...options,
    make: (hash, photograph) => renditions.make(hash, photograph),
  })
}
