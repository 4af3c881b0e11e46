/** What the app moves over a line of 10 Mbit/s and 40 ms, and when something is seen. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Browser, Page } from '@playwright/test'
import { launch } from '../browser'
import { buildWeb, serve } from '../serve'
import { openLine, type Sent } from './line'
import { type Further, median } from './statistics'

const ROUNDS = 3
const KB = 1000

type Seen = { sent: Sent[]; ms: number }

export async function benchDelivery(): Promise<Further[]> {
  await buildWeb()
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-delivery-'))
  const app = await serve({ data, port: 0, demo: true, logLevel: 'silent' })
  const browser = await launch()
  try {
    const target = app.address.replace('localhost', '127.0.0.1').replace(/\/$/, '')
    const [{ id }] = (await (await fetch(`${target}/api/projects`)).json()) as [{ id: string }]
    const projects: Seen[] = []
    const board: Seen[] = []
    for (let round = 0; round < ROUNDS; round++) {
      projects.push(await visit(browser, target, '', (page) => painted(page, '[data-project] img')))
      board.push(
        await visit(browser, target, `projects/${id}`, (page) =>
          page.locator('[data-sheet] [data-node]').first().waitFor(),
        ),
      )
    }
    return [judgeProjects(projects), judgeBoard(board)]
  } finally {
    await browser.close()
    await app.stop()
    await rm(data, { recursive: true, force: true })
  }
}

/** Somebody's first visit: nothing is known of the app yet. */
async function visit(
  browser: Browser,
  target: string,
  path: string,
  seen: (page: Page) => Promise<unknown>,
): Promise<Seen> {
  const line = await openLine(target)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  try {
    const page = await context.newPage()
    const began = performance.now()
    await page.goto(line.address + path, { waitUntil: 'commit' })
    await seen(page)
    const ms = performance.now() - began
    // What follows the first sight counts too; the stream of a board never ends.
    await page.waitForFunction(() => document.fonts.status === 'loaded')
    await page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve)))
    return { sent: line.sent, ms }
  } finally {
    await context.close()
    line.close()
  }
}

const painted = (page: Page, image: string) =>
  page.waitForFunction((selector) => {
    const found = document.querySelector<HTMLImageElement>(selector)
    return found?.complete && found.naturalWidth > 0
  }, image)

const sum = (sent: readonly Sent[], of: RegExp = /./) =>
  sent.filter(({ path, type }) => of.test(`${path} ${type}`)).reduce((bytes, each) => bytes + each.bytes, 0) /
  KB

function judgeProjects(rounds: readonly Seen[]): Further {
  const all = median(rounds.map(({ sent }) => sum(sent)))
  const ms = median(rounds.map((round) => round.ms))
  return {
    name: 'delivery of the projects screen',
    value: all,
    met: all <= 200,
    line: `delivery          projects screen: ${Math.round(all)} KB in all (bar 200), its picture painted after ${(ms / 1000).toFixed(1)} s at 10 Mbit/s, 40 ms`,
  }
}

function judgeBoard(rounds: readonly Seen[]): Further {
  const script = median(rounds.map(({ sent }) => sum(sent, /javascript/)))
  const of = (what: RegExp) => Math.round(median(rounds.map(({ sent }) => sum(sent, what))))
  const all = of(/./)
  const ms = median(rounds.map((round) => round.ms))
  return {
    name: 'delivery of the board',
    value: script,
    met: script <= 400,
    line: `delivery          board: ${Math.round(script)} KB of script (bar 400), ${of(/wasm/)} KB of WebAssembly, ${of(/font\/woff2/)} KB of fonts, ${all} KB in all, blocks painted after ${(ms / 1000).toFixed(1)} s`,
  }
}
