/** The ways in which a page is drawn, each to PNG: the handed-off page in the browser is what the others are held against. */
import { spawnSync } from 'node:child_process'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Blobs } from '../../core/blobs/blobs'
import type { Document } from '../../core/document/document'
import { pageFileName } from '../../core/handoff/names'
import { pageSvg } from '../../core/handoff/svg/page'
import type { PageLayout } from '../../core/layout/page'
import { layoutPage } from '../../server/pictures'
import { BoardViewer } from '../board-viewer'
import { SiteViewer } from '../browser'
import { pictureOf, sharpest } from '../capture'
import { handOff } from '../hand-off'
import { openPrinter, ownPrinter, type Printer, sizeOf } from '../print'
import type { Running } from '../serve'

/** One page at one view. */
export type Subject = {
  name: string
  doc: Document
  blobs: Blobs
  page: string
  view: string
  /** The project's id in the app, for drawing it on the board. */
  project: string
}

export const WAYS = ['board', 'svg', 'png', 'pdf'] as const
export type Way = (typeof WAYS)[number]

/** Paper is looked at closely: its letters lie where they are, the screen's on whole px. */
const PAPER_SCALE = 3
/** Device pixels for one px at which a way is held against a page: as many as the browser can draw of it in one piece. */
export const scaleOf = (way: Way | undefined, layout: PageLayout) =>
  way === 'pdf' ? sharpest(sizeOf(layout).height, PAPER_SCALE) : 1

export class Ways {
  private constructor(
    private readonly viewer: SiteViewer,
    private readonly board: BoardViewer,
    private readonly printer: Printer,
  ) {}

  static async open(app: Running): Promise<Ways> {
    const viewer = await SiteViewer.open()
    const board = await BoardViewer.open(viewer.browser, app.address)
    return new Ways(viewer, board, await openPrinter())
  }

  async close() {
    await this.printer.close()
    await this.viewer.browser.close()
  }

  layoutOf({ doc, blobs, page, view }: Subject): Promise<PageLayout> {
    return layoutPage({ doc, blobs }, page, doc.view(view).width)
  }

  /** The handed-off page, without what sticks out of it, as sharp as a way is looked at. */
  async shipped({ doc, blobs, page, view }: Subject, layout: PageLayout, way?: Way): Promise<Uint8Array> {
    const { width, fold } = doc.view(view)
    await this.viewer.show(await handOff(doc, blobs), pageFileName(doc.pages.get(page)!.path), width, fold)
    return pictureOf(this.viewer.page, sizeOf(layout), scaleOf(way, layout))
  }

  async drawn(way: Way, subject: Subject, layout: PageLayout): Promise<Uint8Array> {
    if (way === 'board') return this.onBoard(subject, layout)
    const { doc, blobs } = subject
    if (way === 'svg') return this.asSvg(pageSvg(doc, layout, blobs), layout)
    // Where there is a browser PNG is the page itself: what is held against it is our own writer's.
    if (way === 'png') return ownPrinter.png({ doc, blobs, layout }, 1)
    return rasterOfPdf(await this.printer.pdf({ doc, blobs, layout }), 96 * scaleOf('pdf', layout))
  }

  private async asSvg(svg: string, layout: PageLayout): Promise<Uint8Array> {
    const size = sizeOf(layout)
    await this.viewer.show(new Map([['page.svg', svg]]), 'page.svg', size.width, size.height)
    return this.viewer.page.screenshot({ clip: { x: 0, y: 0, ...size } })
  }

  /** The sheet as the board's painter has drawn it, taken out of the board. */
  private async onBoard({ project, view, doc }: Subject, layout: PageLayout): Promise<Uint8Array> {
    await this.board.show({ project, view }, doc, layout)
    return this.board.picture(view, layout)
  }
}

/**
 * A hair larger: where a tile that goes on is 383.99999 px large, the rasteriser cuts that down to whole ones, and what goes on drifts away.
 */
const HAIR = 1 + 1 / 32_768

/** @param dpi dots an inch @throws when poppler's tools are not there */
async function rasterOfPdf(pdf: Uint8Array, dpi: number): Promise<Uint8Array> {
  const folder = await mkdtemp(join(tmpdir(), 'just-lattice-pdf-'))
  try {
    await writeFile(join(folder, 'page.pdf'), pdf)
    const run = spawnSync('pdftoppm', ['-png', '-r', String(dpi * HAIR), '-singlefile', 'page.pdf', 'page'], {
      cwd: folder,
    })
    if (run.status !== 0) throw new Error(`pdftoppm: ${run.stderr}`)
    return await readFile(join(folder, 'page.png'))
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}
