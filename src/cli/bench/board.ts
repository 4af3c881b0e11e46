/**
 * The board's frames in Chromium, with real pointer events: dragging, sizing, reordering, panning, zooming, opening, memory. A bar is
 * the 60 Hz frame of 1000/60 ms, with the millisecond that the browser's own clock wavers.
 */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { CDPSession, Page } from '@playwright/test'
import { knowing, launch } from '../browser'
import { buildWeb, serve } from '../serve'
import { storeProject } from '../store-project'
import { boardProject } from './board-project'
import { type Further, median, p95 } from './statistics'

export const FRAME = 1000 / 60 + 1
/** Frames that are timed in each gesture. */
const FRAMES = 120

type Point = { x: number; y: number }

/** Gaps between the frames that pass while `act` runs, ms. */
export async function frames(page: Page, act: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const gaps: number[] = []
    let last = performance.now()
    let on = true
    const tick = (now: number) => {
      gaps.push(now - last)
      last = now
      if (on) requestAnimationFrame(tick)
    }
    requestAnimationFrame((now) => {
      last = now
      requestAnimationFrame(tick)
    })
    Object.assign(globalThis, {
      endFrames: () => {
        on = false
        return gaps
      },
    })
  })
  await act()
  return page.evaluate(() => (globalThis as unknown as { endFrames: () => number[] }).endFrames())
}

/** Script, style and layout time on the main thread, ms. */
export async function mainThread(cdp: CDPSession): Promise<number> {
  const { metrics } = await cdp.send('Performance.getMetrics')
  const of = (name: string) => metrics.find((each) => each.name === name)?.value ?? 0
  return (of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')) * 1000
}

async function heap(cdp: CDPSession): Promise<number> {
  await cdp.send('HeapProfiler.collectGarbage')
  const { metrics } = await cdp.send('Performance.getMetrics')
  return (metrics.find((each) => each.name === 'JSHeapUsedSize')?.value ?? 0) / 1e6
}

export class BoardBench {
  readonly results: Further[] = []
  constructor(
    private readonly page: Page,
    private readonly cdp: CDPSession,
  ) {}

  add(name: string, value: number, bar: number, words: string, barWords: string) {
    const line = `${name.padEnd(34)} ${words} (bar ${barWords})`
    const met = value <= bar
    this.results.push({ name, value, met, line })
  }

  /** Opens a project. @returns ms until its first blocks are painted */
  async open(address: string, id: string): Promise<number> {
    const begun = performance.now()
    await this.page.goto(`${address}projects/${id}`)
    await this.page.waitForFunction(
      () => document.querySelector('[data-sheet]')?.shadowRoot?.querySelector('[data-node]') != null,
    )
    await this.page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))))
    return performance.now() - begun
  }

  /** A block of the first sheet, panned to the board's middle. @returns a point in it, screen px */
  async middle(name: string): Promise<Point> {
    const block = this.page.locator(`[data-sheet] [data-node="${idOf(name)}"]`).first()
    const before = await block.boundingBox()
    if (!before) throw new Error(`${name} is not on the board`)
    await this.page.mouse.move(600, 400)
    await this.page.mouse.wheel(before.x - 500, before.y - 300)
    await this.page.waitForFunction(
      ([id, x]) =>
        document
          .querySelector('[data-sheet]')!
          .shadowRoot!.querySelector(`[data-node="${id}"]`)!
          .getBoundingClientRect().x !== x,
      [idOf(name), before.x] as const,
    )
    const box = (await block.boundingBox())!
    return { x: box.x + Math.min(box.width, 60) / 2, y: box.y + Math.min(box.height, 30) / 2 }
  }

  async drag(from: Point, to: (frame: number) => Point): Promise<{ gaps: number[]; work: number }> {
    const { mouse } = this.page
    await mouse.move(from.x, from.y)
    await mouse.down()
    // The first moves cross the threshold and make what the gesture keeps.
    for (let i = 0; i < 8; i++) await mouse.move(to(i).x, to(i).y)
    const before = await mainThread(this.cdp)
    const gaps = await frames(this.page, async () => {
      for (let i = 8; i < FRAMES; i++) await mouse.move(to(i).x, to(i).y)
    })
    const work = ((await mainThread(this.cdp)) - before) / gaps.length
    await mouse.up()
    return { gaps, work }
  }

  async gesture(name: string, bar: number, from: Point, to: (frame: number) => Point): Promise<number> {
    const { gaps, work } = await this.drag(from, to)
    this.frames(name, bar, gaps, work)
    return work
  }

  frames(name: string, bar: number, gaps: number[], work: number) {
    const words = `frames p50 ${median(gaps).toFixed(1)} ms, p95 ${p95(gaps).toFixed(1)} ms, main thread ${work.toFixed(1)} ms a frame`
    this.add(name, p95(gaps), bar, words, `p95 ${bar.toFixed(1)} ms`)
  }

  /** Types other colours for a token. @returns ms from each until it is painted */
  async recolor(token: string, colors: readonly string[]): Promise<number[]> {
    const { page } = this
    await page.getByRole('button', { name: 'Tokens of the project' }).click()
    await page.getByRole('tab', { name: 'Colours' }).click()
    await page.getByRole('button', { name: new RegExp(`^Colour ${token}:`) }).click()
    const field = page.getByLabel(`Colour ${token} as hex, rgb, hsl or oklch`)
    const taken: number[] = []
    for (const color of colors) {
      const painted = page.evaluate(
        () =>
          new Promise<number>((done) => {
            const sheet = document
              .querySelector('[data-sheet]')!
              .shadowRoot!.querySelector<HTMLElement>('.page')!
            const typed = () => {
              const begun = performance.now()
              const before = sheet.style.cssText
              const look = () => {
                if (sheet.style.cssText === before) requestAnimationFrame(look)
                else requestAnimationFrame(() => setTimeout(() => done(performance.now() - begun)))
              }
              look()
            }
            addEventListener('input', typed, { once: true, capture: true })
          }),
      )
      await field.fill(color)
      taken.push(await painted)
    }
    await page.keyboard.press('Escape')
    await page.keyboard.press('Escape')
    return taken
  }

  async wheel(name: string, ctrl: boolean, step: (frame: number) => [number, number]) {
    const { mouse, keyboard } = this.page
    await mouse.move(600, 400)
    if (ctrl) await keyboard.down('Control')
    const before = await mainThread(this.cdp)
    const gaps = await frames(this.page, async () => {
      for (let i = 0; i < FRAMES; i++) await mouse.wheel(...step(i))
    })
    const work = ((await mainThread(this.cdp)) - before) / gaps.length
    if (ctrl) await keyboard.up('Control')
    this.frames(name, FRAME, gaps, work)
  }
}

/** The first block of a name; the projects begin alike. */
function idOf(name: string): string {
  const queue = [...boardProject(60).pages[0]!.sections]
  for (let node = queue.shift(); node; node = queue.shift()) {
    if (node.name === name) return node.id
    queue.push(...(node.children ?? []))
  }
  throw new Error(`the bench project has no ${name}`)
}

/** Blocks that have the ink, by name. */
const countOf = (blocks: number) => JSON.stringify(boardProject(blocks).pages).split('{color.ink}').length - 1

export async function benchBoard(): Promise<Further[]> {
  await buildWeb()
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-bench-'))
  const running = await serve({ data, port: 0, demo: false, logLevel: 'silent' })
  const browser = await launch()
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await knowing(page)
    await page.addInitScript('globalThis.__name = (value) => value')
    const cdp = await page.context().newCDPSession(page)
    await cdp.send('Performance.enable')
    const bench = new BoardBench(page, cdp)
    const round = (from: Point, size: number) => (i: number) => ({
      x: from.x + size * Math.sin(i / 9),
      y: from.y + size * (1 - Math.cos(i / 7)) * 0.5 + i / 4,
    })
    const [small, large] = [
      await storeProject(running.address, boardProject(2000)),
      await storeProject(running.address, boardProject(10_000)),
    ]

    // Each page once before it is timed: the engine has compiled the app, as in a tab in use.
    await bench.open(running.address, small)
    const gestures = async (blocks: string, bar: number) => {
      await page.keyboard.press('Control+0')
      const badge = await bench.middle('Badge')
      const work = await bench.gesture(`${blocks}: drag a lifted block`, bar, badge, round(badge, 90))
      return work
    }
    const few = await gestures('2,000 blocks', FRAME)
    const badge = await bench.middle('Badge')
    await page.mouse.click(badge.x, badge.y)
    const notch = (await page.locator('[data-notch="1,1"]').first().boundingBox())!
    const corner = { x: notch.x + 4, y: notch.y + 4 }
    await bench.gesture('2,000 blocks: size a lifted block', FRAME, corner, round(corner, 60))
    const card = await bench.middle('Heading')
    await page.mouse.click(card.x, card.y)
    await bench.gesture('2,000 blocks: reorder in a flow', FRAME, card, round(card, 160))

    await page.keyboard.press('f')
    const edge = (await page.locator('[data-width-grip]').first().boundingBox())!
    const at = { x: edge.x + edge.width / 2, y: edge.y + edge.height / 2 }
    const pulled = (i: number) => ({ x: at.x - 60 * (1 - Math.cos(i / 12)), y: at.y })
    await bench.gesture('2,000 blocks: pull a sheet’s edge', FRAME, at, pulled)

    const opened: number[] = []
    for (let i = 0; i < 3; i++) opened.push(await bench.open(running.address, large))
    const first = median(opened)
    bench.add(
      '10,000 blocks: open',
      first,
      1500,
      `first blocks painted after ${first.toFixed(0)} ms`,
      '1500 ms',
    )
    await bench.wheel('10,000 blocks: pan', false, (i) => [0, i < FRAMES / 2 ? 60 : -60])
    await bench.wheel('10,000 blocks: zoom', true, (i) => [0, i % 60 < 30 ? 12 : -12])
    await bench.open(running.address, large)
    const many = await gestures('10,000 blocks', FRAME * 2)
    const growth = many / few
    bench.add(
      'blocks out of sight',
      growth,
      1.5,
      `a drag's main-thread work grows ${growth.toFixed(2)}-fold from 2,000 to 10,000 blocks`,
      '1.5-fold: flat',
    )
    await bench.open(running.address, large)
    const shades = Array.from({ length: 9 }, (_, i) => `#2${i}302a`)
    const painted = p95(await bench.recolor('ink', shades))
    const uses = `a token of ${countOf(10_000).toLocaleString('en')} blocks`
    bench.add(uses, painted, 100, `p95 ${painted.toFixed(0)} ms until its colour is painted`, '100 ms')
    const used = await heap(cdp)
    bench.add('10,000 blocks: memory', used, 200, `JS heap ${used.toFixed(0)} MB`, '200 MB')
    return bench.results
  } finally {
    await browser.close()
    await running.stop()
    await rm(data, { recursive: true, force: true })
  }
}
