/** Pages as PNG and PDF, printed by Chromium from what is handed off; by our own writer where there is no browser. */
import { existsSync } from 'node:fs'
import PDFDocument from 'pdfkit'
import type { Blobs } from '../core/blobs/blobs'
import type { Document } from '../core/document/document'
import { pageFileName } from '../core/handoff/names'
import { pictureFiles } from '../core/handoff/pictures'
import { pageSvg } from '../core/handoff/svg/page'
import type { PageLayout } from '../core/layout/page'
import { px } from '../core/properties/css-text'
import { fineNoiseTile, noiseNamed } from '../core/properties/noise'
import { pngOf } from '../server/raster'
import type { Files, SiteViewer } from './browser'
import { MOST_DRAWN, pictureOf } from './capture'
import { CHROMIUM } from './chromium'
import { handOff } from './hand-off'
import { fillsAsPictures } from './paper-fills'
import { onOwnPaper, POINTS } from './paper-size'

/** A page at one view. `scale`: device pixels for one CSS px. */
export type Printed = { doc: Document; blobs: Blobs; layout: PageLayout }
export type Printer = {
  png(page: Printed, scale: number): Promise<Uint8Array>
  pdf(page: Printed): Promise<Uint8Array>
  close(): Promise<void>
}

/** What is printed does not blend with the root element's background, but with the body's it does. */
const CUT = '\nhtml { overflow: hidden; }\nbody { overflow: clip; background: inherit; }\n'

/**
 * On paper there is no window: shares of one become what they are at the view. What sticks out is cut off, or everything would be
 * made smaller until that fits.
 */
function forPaper(site: Files, page: Printed, more: string): Files {
  const { fold } = page.layout.view
  const css = textOf(site.get('styles.css')!).replace(/([\d.]+)svh/g, (_, share: string) =>
    px((Number(share) * fold) / 100),
  )
  const noises = fineNoises(page)
  const fine = css.replace(/url\("([^"]+)"\)/g, (address, path: string) =>
    noises.has(path) ? `image-set(${address} ${FINE}x)` : address,
  )
  return new Map([...site, ...noises, ['styles.css', `${fine}${CUT}${more}`]])
}

const textOf = (file: Uint8Array | string) =>
  typeof file === 'string' ? file : new TextDecoder().decode(file)

/** Grain as fine as paper is looked at: programs that show a PDF each make something else of a coarse one. */
function fineNoises({ doc }: Printed): Map<string, Uint8Array> {
  const fine = new Map<string, Uint8Array>()
  for (const [name, path] of pictureFiles(doc, doc.pagesInOrder())) {
    const noise = noiseNamed(name)
    if (noise) fine.set(path, fineNoiseTile(noise, FINE))
  }
  return fine
}

/** Device pixels for one CSS px in what is drawn for paper. */
const FINE = 3

/** Whole px. */
export const sizeOf = ({ root }: PageLayout) => ({
  width: Math.ceil(root.width),
  height: Math.max(1, Math.ceil(root.height)),
})

/** How many times as large a page is printed: paper is whole points wide, and a page is laid out as wide as its paper. */
const paperScale = (width: number) => [1, 2].find((each) => Number.isInteger(width * POINTS * each)) ?? 1

class BrowserPrinter implements Printer {
  constructor(private readonly viewer: SiteViewer) {}

  /** @param more rules of its style sheet */
  private async show({ doc, blobs, layout }: Printed, more = '') {
    const { width, height } = sizeOf(layout)
    const theme = layout.theme ?? doc.themes[0]?.id
    const site = forPaper(await handOff(doc, blobs, { theme, mark: true }), { doc, blobs, layout }, more)
    await this.viewer.show(site, pageFileName(doc.pages.get(layout.page)!.path), width, height)
    return { width, height }
  }

  async png(page: Printed, scale: number): Promise<Uint8Array> {
    // What is taller than that a browser draws with holes.
    if (sizeOf(page.layout).height * scale > MOST_DRAWN) return ownPrinter.png(page, scale)
    const size = await this.show(page)
    return pictureOf(this.viewer.page, size, scale)
  }

  /** Vectors, words that can be selected, links; one sheet of paper a page. */
  async pdf(page: Printed): Promise<Uint8Array> {
    const { width, height } = await this.show(page)
    const drawn = await fillsAsPictures(this.viewer.page, page.layout, FINE)
    if (drawn !== '') await this.show(page, drawn)
    await this.viewer.page.emulateMedia({ media: 'screen' })
    const scale = paperScale(width)
    const inches = (size: number) => `${Math.ceil(size * POINTS * scale) / 72}in`
    const pdf = await this.viewer.page.pdf({
      width: inches(width),
      height: inches(height),
      scale,
      printBackground: true,
      pageRanges: '1',
      tagged: true,
    })
    return onOwnPaper(pdf, { width, height }, scale)
  }

  close() {
    return this.viewer.browser.close()
  }
}

export const ownPrinter: Printer = {
  png: ({ doc, blobs, layout }, scale) => pngOf(pageSvg(doc, layout, blobs), { mode: 'zoom', value: scale }),
  pdf: async (page) => onePicture(await ownPrinter.png(page, 2), page.layout),
  close: async () => undefined,
}

/** One PDF page a sheet, CSS px taken as 0.75 pt; drawn at twice the size so that it prints cleanly. */
function onePicture(png: Uint8Array, layout: PageLayout): Promise<Uint8Array> {
  return new Promise((resolve, reject) => {
    const { width, height } = sizeOf(layout)
    const size: [number, number] = [width * POINTS, height * POINTS]
    const out = new PDFDocument({ size, margin: 0 })
    const chunks: Buffer[] = []
    out.on('data', (chunk: Buffer) => chunks.push(chunk))
    out.on('end', () => resolve(Buffer.concat(chunks)))
    out.on('error', reject)
    out.image(Buffer.from(png), 0, 0, { width: size[0], height: size[1] })
    out.end()
  })
}

/** Chromium where there is one. */
export async function openPrinter(): Promise<Printer> {
  if (!existsSync(CHROMIUM)) return ownPrinter
  const { SiteViewer } = await import('./browser')
  return new BrowserPrinter(await SiteViewer.open())
}
