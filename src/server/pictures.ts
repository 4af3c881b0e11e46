/** Pages as pictures, from the core's own layout. */
import type { Blobs } from '../core/blobs/blobs'
import type { Document } from '../core/document/document'
import { pageSvg } from '../core/handoff/svg/page'
import { PageLayout } from '../core/layout/page'
import { paperFor } from '../core/paint/paper'
import type { FontLibrary } from '../core/text/fonts'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { loadFonts } from './fonts'
import { pngOf } from './raster'

export type Drawable = { doc: Document; blobs: Blobs }

/** Texts that were set in the fonts of a library. */
const setIn = new WeakMap<FontLibrary, ParagraphCache>()

/** Lays out a page with every font it needs loaded. @param blobs hold the project's own fonts @param theme left out: the first */
export async function layoutPage(
  { doc, blobs }: Drawable,
  pageId: string,
  width?: number,
  theme?: string,
): Promise<PageLayout> {
  const fonts = await loadFonts(doc, blobs)
  const paragraphs = setIn.get(fonts) ?? new ParagraphCache(fonts)
  setIn.set(fonts, paragraphs)
  const view = width === undefined ? doc.views[0] : doc.viewAt(width)
  return new PageLayout(doc, pageId, view!.id, width ?? view!.width, paragraphs, undefined, theme)
}

/** Width of a cover, px: about twice what a card on the projects screen shows. */
const COVER_WIDTH = 560
/** The first page's first screen, as PNG. */
export async function cover({ doc, blobs }: Drawable): Promise<Uint8Array> {
  const page = doc.pagesInOrder()[0]
  const layout = page && (await layoutPage({ doc, blobs }, page.id))
  const { width, fold } = layout?.view ?? doc.views[0]!
  const paper = paperFor(layout?.root.resolved.background)
  const drawn = layout ? pageSvg(doc, layout, blobs, fold) : ''
  // As high as the first screen, however little there is on the page.
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${fold}"><rect width="100%" height="100%" fill="${paper}"/>${drawn}</svg>`
  return pngOf(svg, { mode: 'width', value: COVER_WIDTH })
}
