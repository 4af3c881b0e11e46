/** A path of 2,000 points of which one is pulled, beside a plain page that writes the same path anew with every frame. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import type { ProjectFile } from '../../core/document/schema'
import type { Path } from '../../core/forms/path'
import { pathData } from '../../core/forms/path'
import { starterProject } from '../../core/shelf/starter'
import { knowing, launch } from '../browser'
import { buildWeb, serve } from '../serve'
import { storeProject } from '../store-project'
import { BoardBench, FRAME, frames, mainThread } from './board'
import { type Further, p95 } from './statistics'

const POINTS = 2000
/** px of the shape's side on its sheet, and of its place there. */
const SIDE = 600
const LEFT = 400
const TOP = 60
const FRAMES = 120

/** A ring of curves whose points lie in and out by turns, within 100 × 100; the first at the top. */
function ring(): Path {
  const at = (i: number, more = 0): [number, number] => {
    const angle = (i / POINTS) * 2 * Math.PI
    const radius = i % 2 === 0 ? 50 : 46
    return [50 + (radius + more) * Math.sin(angle), 50 - (radius + more) * Math.cos(angle)]
  }
  const steps = Array.from({ length: POINTS }, (_, i) => ({
    by: [at(i + 0.3, -1), at(i + 0.7, 1)] as const,
    to: at((i + 1) % POINTS),
  }))
  return [{ from: at(0), steps, closed: true }]
}

function project(): ProjectFile {
  const { pages, ...rest } = starterProject('Path', 'home')
  const size = { kind: 'exact' as const, px: SIDE }
  const shape = {
    id: 'shape',
    kind: 'shape' as const,
    name: 'Ring',
    order: 'a0',
    props: {
      form: { form: 'path' as const, data: pathData(ring(), 5) },
      paint: '#2f5d46',
      width: size,
      height: size,
      lifted: true,
      pinLeft: { px: LEFT },
      pinTop: { px: TOP },
    },
  }
  const section = {
    id: 's',
    kind: 'section' as const,
    name: 'Band',
    order: 'a0',
    props: { flow: 'free' as const, fullBleed: true, height: { kind: 'exact' as const, px: 800 } },
    children: [shape],
  }
  return { ...rest, pages: [{ ...pages[0]!, sections: [section] }] }
}

/** The same path in a plain page, written anew with every move of a real pointer. @returns gaps between frames, ms */
async function plain(page: Page, zoom: number): Promise<number[]> {
  await page.evaluate(
    ({ data, side }) => {
      document.body.innerHTML = `<svg viewBox="0 0 100 100" width="${side}" height="${side}" style="position:absolute;left:300px;top:60px"><path fill="#2f5d46"/></svg>`
      const path = document.querySelector('path')!
      path.setAttribute('d', data)
      const rest = data.slice(data.indexOf('C'))
      addEventListener('pointermove', (event) =>
        path.setAttribute('d', `M${event.clientX / 10} ${event.clientY / 10}${rest}`),
      )
    },
    { data: pathData(ring(), 5), side: SIDE * zoom },
  )
  return frames(page, async () => {
    for (let i = 0; i < FRAMES; i++) await page.mouse.move(400 + i, 80 + (i % 20))
  })
}

export async function benchPath(): Promise<Further[]> {
  await buildWeb()
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-bench-'))
  const running = await serve({ data, port: 0, demo: false, logLevel: 'silent' })
  const browser = await launch()
  try {
    const id = await storeProject(running.address, project())
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await knowing(page)
    await page.addInitScript('globalThis.__name = (value) => value')
    const cdp = await page.context().newCDPSession(page)
    await cdp.send('Performance.enable')
    const bench = new BoardBench(page, cdp)
    await bench.open(running.address, id)
    await page.locator('html[data-parts=here]').waitFor()
    const sheet = (await page.locator('[data-sheet]').first().boundingBox())!
    const zoom = sheet.width / 1440
    const tip = { x: sheet.x + (LEFT + SIDE / 2) * zoom, y: sheet.y + TOP * zoom }
    await page.mouse.dblclick(tip.x, tip.y + SIDE * 0.5 * zoom)
    await page.locator('[data-points=shape]').waitFor()
    await page.waitForFunction(() => document.activeElement?.hasAttribute('data-points'))
    const name = `path of ${POINTS.toLocaleString('en')} points: pull one`
    await bench.gesture(name, FRAME, tip, (i) => ({
      x: tip.x + 30 * Math.sin(i / 9),
      y: tip.y - 20 + (i % 40),
    }))
    const before = await mainThread(cdp)
    const gaps = await plain(page, zoom)
    const work = ((await mainThread(cdp)) - before) / gaps.length
    const line = `${`${name}, plain page`.padEnd(34)} frames p95 ${p95(gaps).toFixed(1)} ms, main thread ${work.toFixed(1)} ms a frame: the same path in <svg>, for comparison`
    return [...bench.results, { name: `${name}, plain page`, value: p95(gaps), met: true, line }]
  } finally {
    await browser.close()
    await running.stop()
    await rm(data, { recursive: true, force: true })
  }
}
