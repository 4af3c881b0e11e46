/** Chromium for measuring: pages from memory, boxes and lines read back. */
import { statfsSync } from 'node:fs'
import { type Browser, type BrowserContext, chromium, type LaunchOptions, type Page } from '@playwright/test'
import type { Rect } from '../core/layout/rect'
import { CHROMIUM } from './chromium'

const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-component-update',
  '--disable-sync',
]

const ORIGIN = 'http://site.test/'
const TYPES: Record<string, string> = {
  html: 'text/html; charset=utf-8',
  css: 'text/css',
  svg: 'image/svg+xml',
  png: 'image/png',
  jpg: 'image/jpeg',
  webp: 'image/webp',
  woff2: 'font/woff2',
  json: 'application/json',
}

/** A folder held in memory, if this machine has one with room: what is written there never waits for a disk. */
export function memoryFolder(): string | undefined {
  try {
    const { bavail, bsize } = statfsSync('/dev/shm')
    return bavail * bsize > 2 ** 31 ? '/dev/shm' : undefined
  } catch {
    return undefined
  }
}

/** How Chromium is started everywhere; with room in memory its processes share that rather than files on a disk. */
export const LAUNCH: LaunchOptions = {
  executablePath: CHROMIUM,
  args: CHROMIUM_FLAGS,
  ignoreDefaultArgs: memoryFolder() ? ['--disable-dev-shm-usage'] : [],
}
export const launch = () => chromium.launch(LAUNCH)

/** A site as it is handed off: its files by path. */
export type Files = ReadonlyMap<string, Uint8Array | string>

export type Measured = { boxes: Record<string, Rect>; lines: Record<string, string[]> }

/** Nobody who opens the app in it is shown round. */
export const knowing = (target: Page | BrowserContext) =>
  target.addInitScript("try { localStorage.setItem('just-lattice:tour', 'seen') } catch {}")

/** A browser tab that shows a handed-off site straight from memory. */
export class SiteViewer {
  private files: Files = new Map()
  private constructor(
    readonly browser: Browser,
    readonly page: Page,
  ) {}

  static async open(): Promise<SiteViewer> {
    const browser = await launch()
    const page = await browser.newPage()
    const viewer = new SiteViewer(browser, page)
    // The TypeScript runner names inner functions through a helper that the page does not have.
    await page.addInitScript('globalThis.__name = (value) => value')
    await page.route(`${ORIGIN}**`, async (route) => {
      const path = decodeURIComponent(new URL(route.request().url()).pathname.slice(1))
      const contentType = TYPES[path.split('.').pop()!] ?? 'application/octet-stream'
      const file = viewer.files.get(path)
      if (file === undefined) return route.fulfill({ status: 404, body: '' })
      return route.fulfill({ body: typeof file === 'string' ? file : Buffer.from(file), contentType })
    })
    return viewer
  }

  async show(files: Files, file: string, width: number, height: number) {
    this.files = files
    await this.page.setViewportSize({ width, height })
    await this.page.goto(ORIGIN + file, { waitUntil: 'load' })
    await this.page.evaluate(async () => {
      await document.fonts.ready
      // Also what a visitor would have to scroll to.
      for (const image of document.images) image.loading = 'eager'
    })
    await this.decoded()
  }

  async resize(width: number, height: number) {
    await this.page.setViewportSize({ width: Math.round(width), height: Math.round(height) })
    await this.decoded()
  }

  /** Opens what is behind a button, as pressing it would; closes all other. @param node of `[data-node]`; left out: none */
  async openPanel(node: string | undefined) {
    await this.page.evaluate((id) => {
      for (const panel of document.querySelectorAll<HTMLElement>('[popover]')) {
        const opens = panel.dataset.node === id
        if (panel.matches(':popover-open') !== opens) panel.togglePopover(opens)
      }
    }, node)
    await this.decoded()
  }

  /** Waits for what is fetched at this width. */
  private decoded() {
    return this.page.evaluate(async () => {
      const isThere = async (image: HTMLImageElement) => {
        // One that begins to fetch another file meanwhile gives up decoding the one before.
        while (!image.complete)
          await new Promise((resolve) => {
            image.addEventListener('load', resolve, { once: true })
            image.addEventListener('error', resolve, { once: true })
          })
        await image.decode().catch(() => undefined)
        if (!image.complete) await isThere(image)
      }
      await Promise.all([...document.images].map(isThere))
    })
  }

  /** Pictures that are shown and cannot be: where their files should be. */
  broken(): Promise<string[]> {
    return this.page.evaluate(() =>
      [...document.images]
        // What is hidden at a width has `sizes` of none there, and no natural size (HTML §4.8.4.3).
        .filter((image) => image.getClientRects().length > 0)
        .filter((image) => image.complete && image.naturalWidth === 0 && image.currentSrc !== '')
        .map((image) => image.currentSrc),
    )
  }

  /** Border boxes from the page's top left, and the text of every line, of each `[data-node]`. */
  async measure(texts: string[]): Promise<Measured> {
    return this.page.evaluate((ids) => {
      const boxes: Record<string, { x: number; y: number; width: number; height: number }> = {}
      const lines: Record<string, string[]> = {}
      // A block whose words differ from view to view is an element for each, one of them shown.
      const shown = new Map<string, Element>()
      for (const element of document.querySelectorAll('[data-node]')) {
        const rect = element.getBoundingClientRect()
        if (getComputedStyle(element).display === 'none' || element.getClientRects().length === 0) continue
        shown.set(element.getAttribute('data-node')!, element)
        boxes[element.getAttribute('data-node')!] = {
          x: rect.x + scrollX,
          y: rect.y + scrollY,
          width: rect.width,
          height: rect.height,
        }
      }
      const range = document.createRange()
      const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' })
      for (const id of ids) {
        const element = shown.get(id)
        if (!element) continue
        const out: string[] = []
        // From the left, a character that does not stand right of the one before it begins a line; but Chromium has some, kerned across
        // a change of style, without a width, or set so tight that the next stands where they do: that one is no lower.
        const { lineHeight } = (element as HTMLElement).style
        const { textAlign, direction } = getComputedStyle(element)
        // Where words run both ways, or lines do not begin at the left, only what stands lower begins a line; that does not depend on how
        // far they are apart. How they are set does matter to where they end, so that stays.
        const turns =
          /[\u0590-\u08ff]/.test(element.textContent ?? '') ||
          direction === 'rtl' ||
          /center|right|end/.test(textAlign)
        if (turns) (element as HTMLElement).style.lineHeight = '600px'
        // Of what is turned, or lies in it, lines are found as if it were not.
        const turned: HTMLElement[] = []
        for (let around: Element | null = element; around; around = around.parentElement)
          if (getComputedStyle(around).rotate !== 'none') turned.push(around as HTMLElement)
        for (const each of turned) each.style.rotate = 'none'
        let last = new DOMRect(Number.POSITIVE_INFINITY)
        let pendingBreak = false
        const walk = (node: Node) => {
          if ((node.nodeName === 'P' || node.nodeName === 'LI') && out.length > 0) pendingBreak = true
          if (node.nodeName === 'BR') {
            if (pendingBreak || out.length === 0) out.push('')
            pendingBreak = true
          }
          if (node instanceof SVGElement) {
            const rect = node.getBoundingClientRect()
            const isNext = turns
              ? rect.top + rect.bottom - last.top - last.bottom > 600
              : rect.left <= last.left
            if (out.length === 0 || pendingBreak || isNext) out.push('')
            pendingBreak = false
            last = rect
          } else if (node.nodeType === 3) {
            const text = node.textContent ?? ''
            for (let i = 0, next = 0; i < text.length; i = next) {
              // A character of two halves, with what joins it, is one.
              const [cluster] =
                text[i]! > '\u2000' || text[i + 1]! > '\u2000'
                  ? graphemes.segment(text.slice(i, i + 40))
                  : [{ segment: text[i] }]
              next = i + cluster!.segment!.length
              range.setStart(node, i)
              range.setEnd(node, next)
              const rects = range.getClientRects()
              const rect = rects[rects.length - 1]
              if (!rect) continue
              if (rect.width === 0 && /[\s\u00ad\u200b]/.test(text[i]!)) continue
              const behind = rect.left > last.left || (rect.left === last.left && last.width === 0)
              // Of one font on one line they are as high as one another.
              const isSame = Math.abs(rect.height - last.height) < 0.5 && rect.top - last.top < 1
              const isBack = rect.left < last.left - 2 || !isSame
              const sunk = rect.top + rect.bottom - last.top - last.bottom
              const isNext = turns ? sunk > 600 : !behind && isBack
              if (out.length === 0 || pendingBreak || isNext) {
                out.push('')
                pendingBreak = false
              }
              last = rect
              out[out.length - 1]! += cluster!.segment!
            }
          } else for (const child of node.childNodes) walk(child)
        }
        walk(element)
        for (const each of turned) each.style.rotate = ''
        ;(element as HTMLElement).style.lineHeight = lineHeight
        lines[id] = out.map((line) => line.trim())
      }
      return { boxes, lines }
    }, texts)
  }

  close() {
    return this.browser.close()
  }
}
