/** A browser tab that opens projects in the app and takes a sheet off the board, as the painter has drawn it. */
import type { Browser, Page } from '@playwright/test'
import type { Document } from '../core/document/document'
import type { PageLayout } from '../core/layout/page'
import type { SavedView } from '../web/editor/saved-view'
import { knowing } from './browser'
import { sizeOf } from './print'

/** `page`, `theme`: left out: the first. */
export type OnBoard = { project: string; view: string; page?: string; theme?: string }

export class BoardViewer {
  private constructor(
    readonly page: Page,
    private readonly address: string,
  ) {}

  /** @param address of the app, with a slash */
  static async open(browser: Browser, address: string): Promise<BoardViewer> {
    const page = await browser.newPage()
    await knowing(page)
    await page.addInitScript('globalThis.__name = (value) => value')
    return new BoardViewer(page, address)
  }

  /** Opens a page at a view in a tab that knows nothing of what was done before. Resolves when all of it is drawn. */
  async show(what: OnBoard, doc: Document, layout: PageLayout) {
    const { page } = this
    const { project, view } = what
    await page.setViewportSize({ width: 1600, height: Math.min(8000, sizeOf(layout).height + 400) })
    // Of the same origin, and nothing of the app.
    await page.goto(`${this.address}ready`)
    await page.evaluate(({ key, left }) => localStorage.setItem(key, left), {
      key: `just-lattice:desk:${project}`,
      left: JSON.stringify(leftAt(what, doc)),
    })
    await page.goto(`${this.address}projects/${project}`)
    await page.locator(`[data-sheet="${view}"]`).first().waitFor({ state: 'attached' })
    const count = [...layout.visible()].length
    await page
      .waitForFunction(
        ([id, all]) =>
          document.querySelector(`[data-sheet="${id}"]`)?.shadowRoot?.querySelectorAll('[data-node]')
            .length === all,
        [view, count] as const,
      )
      .catch(async () => {
        const drawn = await page.evaluate(
          (id) =>
            document.querySelector(`[data-sheet="${id}"]`)?.shadowRoot?.querySelectorAll('[data-node]')
              .length,
          view,
        )
        throw new Error(`a tab that has just come draws ${drawn} blocks of ${count} at ${view}`)
      })
  }

  /** The sheet that is shown, drawn alone, to PNG: what of the app is around it is gone then. */
  async picture(view: string, layout: PageLayout): Promise<Uint8Array> {
    const { page } = this
    const size = sizeOf(layout)
    await page.evaluate(
      ({ id, width, height }) => {
        const sheet = document.querySelector(`[data-sheet="${id}"]`)!
        const drawn = sheet.shadowRoot!
        const paper = getComputedStyle(sheet.parentElement!).backgroundColor
        const host = document.createElement('div')
        host.style.cssText = `position:fixed;inset:0 auto auto 0;width:${width}px;height:${height}px;contain:strict;overflow:hidden`
        const root = host.attachShadow({ mode: 'open' })
        root.adoptedStyleSheets = drawn.adoptedStyleSheets
        for (const child of drawn.childNodes) root.append(child.cloneNode(true))
        document.documentElement.style.background = paper
        document.body.style.background = paper
        document.body.replaceChildren(host)
      },
      { id: view, ...size },
    )
    await page.setViewportSize(size)
    await page.evaluate(async () => {
      await document.fonts.ready
      const pictures = document.body.firstElementChild!.shadowRoot!.querySelectorAll('img')
      await Promise.all([...pictures].map((picture) => picture.decode().catch(() => undefined)))
    })
    return page.screenshot({ clip: { x: 0, y: 0, ...size } })
  }
}

/** How the desk was left: at this page, this view alone, in this theme. */
const leftAt = ({ page, view, theme }: OnBoard, doc: Document): SavedView => ({
  page: page ?? doc.pagesInOrder()[0]!.id,
  view,
  hidden: doc.views.map(({ id }) => id).filter((id) => id !== view),
  themes: theme === undefined ? [] : [theme],
  camera: { x: 40, y: 60, zoom: 0.5 },
  showLattice: false,
  showBaseline: false,
  showAids: true,
  rulers: false,
  follows: true,
  step: 8,
  snapping: [],
  zeros: {},
})
