/** Pages as pictures, from the core's own layout. */
import { Resvg } from '@resvg/resvg-js'
import type { Blobs } from '../core/blobs/blobs'
import type { Document } from '../core/document/document'
import type { Asset } from '../core/document/schema'
import { pageSvg } from '../core/handoff/svg'
import { PageLayout } from '../core/layout/page'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { loadFonts } from './fonts'

type Drawable = { doc: Document; blobs: Blobs }

let paragraphs: ParagraphCache | undefined

/** Lays out a page with every font it needs loaded. */
export async function layoutPage(doc: Document, pageId: string, width?: number): Promise<PageLayout> {
  const fonts = await loadFonts(doc)
  paragraphs ??= new ParagraphCache(fonts)
  const view = width === undefined ? doc.views[0] : doc.viewAt(width)
  return new PageLayout(doc, pageId, view.id, width ?? view.width, paragraphs)
}

/** Width of a cover, px: about twice what a card on the projects screen shows. */
const COVER_WIDTH = 560
/** The pictures on the first page. */
export function* onFirstPage(doc: Document): Generator<Asset> {
  const page = doc.pagesInOrder()[0]
  if (!page) return
  const used = new Set<string>()
  for (const node of doc.walk(page.id))
    for (const props of [node.props, ...Object.values(node.overrides)]) if (props.asset) used.add(props.asset)
  for (const id of used) {
    const asset = doc.assets.get(id)
    if (asset) yield asset
  }
}

/** The first page's first screen, as PNG. */
async function cover({ doc, blobs }: Drawable): Promise<Uint8Array> {
  const page = doc.pagesInOrder()[0]
  const layout = page && (await layoutPage(doc, page.id))
  const { width, fold } = layout?.view ?? doc.views[0]
  const drawn = layout ? pageSvg(doc, layout, blobs, fold) : ''
  // As high as the first screen, however little there is on the page.
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${fold}"><rect width="100%" height="100%" fill="#ffffff"/>${drawn}</svg>`
  return new Resvg(svg, { fitTo: { mode: 'width', value: COVER_WIDTH } }).render().asPng()
}

/** Covers that were drawn, the last of each project; each is drawn once, however many ask for it at once. */
export class Covers {
  private readonly drawn = new Map<string, { revision: number; png: Promise<Uint8Array> }>()

  constructor(private readonly most = 200) {}

  of(id: string, revision: number, read: () => Promise<Drawable>): Promise<Uint8Array> {
    const known = this.drawn.get(id)
    if (known?.revision === revision) return known.png
    const png = read().then(cover)
    this.drawn.delete(id)
    this.drawn.set(id, { revision, png })
    // What could not be drawn is tried again.
    png.catch(() => this.drawn.delete(id))
    if (this.drawn.size > this.most) this.drawn.delete(this.drawn.keys().next().value!)
    return png
  }
}
