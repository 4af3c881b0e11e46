/** What every check looks at: the site as the app hands it off, photographs in their sizes and all. */
import type { Blobs } from '../core/blobs/blobs'
import type { Document } from '../core/document/document'
import type { SiteOptions } from '../core/handoff/site'
import { siteBytes } from '../server/handoff'
import { RenditionStore } from '../server/renditions'
import { webp } from '../server/webp'

/** Of this process: what is checked is mostly the same few photographs. */
const renditions = new RenditionStore(webp)

/** @returns its files by path */
export const handOff = (doc: Document, blobs: Blobs, options: SiteOptions = {}) =>
  siteBytes(doc, blobs, { ...options, make: (hash, photograph) => renditions.make(hash, photograph) })
