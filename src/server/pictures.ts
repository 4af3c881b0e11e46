/** Pages as pictures, from the core's own layout. */
import type { Document } from '../core/document/document'
import { pageSvg } from '../core/handoff/svg'
import { PageLayout } from '../core/layout/page'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { loadFonts } from './fonts'

let paragraphs: ParagraphCache | undefined

/** Lays out a page with every font it needs loaded. */
export async function layoutPage(doc: Document, pageId: string, width?: number): Promise<PageLayout> {
  const fonts = await loadFonts(doc)
  paragraphs ??= new ParagraphCache(fonts)
  const view = width === undefined ? doc.views[0] : doc.viewAt(width)
  return new PageLayout(doc, pageId, view.id, width ?? view.width, paragraphs)
}

/** The first page's first screen, as SVG. */
export async function coverSvg(doc: Document): Promise<string> {
  const page = doc.pagesInOrder()[0]
  if (!page) return '<svg xmlns="http://www.w3.org/2000/svg" width="1440" height="900"/>'
  const layout = await layoutPage(doc, page.id)
  return pageSvg(doc, layout, layout.view.fold)
}
