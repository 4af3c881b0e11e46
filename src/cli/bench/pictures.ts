/**
 * Photographs: a page with forty of them panned and zoomed, beside a plain page of the same pictures in `<img>`; ten of twelve
 * megapixels taken in at once.
 */
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import type { Asset, NodeTree, ProjectFile } from '../../core/document/schema'
import { starterProject } from '../../core/shelf/starter'
import { knowing, launch } from '../browser'
import { buildWeb, serve } from '../serve'
import { storeBlob, storeProject } from '../store-project'
import { BoardBench, FRAME, frames, mainThread } from './board'
import { type Further, p95 } from './statistics'

const MANY = 40
const MANY_SIZE = { width: 2400, height: 1700 }
const LARGE = 10
const LARGE_SIZE = { width: 4000, height: 3000 }
const FRAMES = 120

/** Grain over a change of colours: as hard to pack and to unpack as a photograph. */
async function photograph(i: number, { width, height }: { width: number; height: number }): Promise<Buffer> {
  const field = Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><defs><linearGradient id="g" x2="1" y2="1"><stop stop-color="hsl(${i * 37} 40% 70%)"/><stop offset="1" stop-color="hsl(${i * 53} 50% 30%)"/></linearGradient></defs><rect width="100%" height="100%" fill="url(#g)"/></svg>`,
  )
  const grain = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 14 },
    },
  })
    .png({ compressionLevel: 0 })
    .toBuffer()
  return sharp(field)
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 82 })
    .toBuffer()
}

function galleryOf(assets: readonly Asset[]): ProjectFile {
  const { pages, ...rest } = starterProject('Gallery', 'home')
  const pictures = assets.map(
    (asset, i): NodeTree => ({
      id: `p${i}`,
      kind: 'picture',
      name: asset.name,
      order: `a${String(i).padStart(3, '0')}`,
      props: { asset: asset.id, width: { kind: 'columns', span: 3 }, ratio: 4 / 3 },
    }),
  )
  const section: NodeTree = {
    id: 's',
    kind: 'section',
    name: 'Gallery',
    order: 'a0',
    props: { flow: 'lattice', rowGap: 24 },
    children: pictures,
  }
  return { ...rest, assets: [...assets], pages: [{ ...pages[0]!, sections: [section] }] }
}

/** All that can be seen is drawn. */
const shown = (page: Page) =>
  page.waitForFunction(() => {
    const images = [...document.querySelectorAll('[data-sheet]')].flatMap((sheet) => [
      ...sheet.shadowRoot!.querySelectorAll('img'),
    ])
    return images.length > 0 && images.every((image) => image.complete && image.naturalWidth > 0)
  })

/** The same pictures as a plain page has them, moved by one transform. @returns gaps between frames, ms */
async function plainPage(page: Page, addresses: readonly string[]): Promise<number[]> {
  await page.evaluate((list) => {
    const field = document.createElement('div')
    field.style.cssText =
      'position:absolute;inset:0;display:grid;grid-template-columns:repeat(4,150px);gap:12px;will-change:transform'
    for (const address of list) {
      const image = new Image(150, 112)
      image.src = address
      image.style.objectFit = 'cover'
      field.append(image)
    }
    document.body.replaceChildren(field)
    document.body.style.overflow = 'hidden'
    Object.assign(globalThis, { field })
  }, addresses)
  await page.waitForFunction(() => [...document.images].every((image) => image.complete))
  return frames(page, () =>
    page.evaluate(
      (count) =>
        new Promise<void>((done) => {
          const { field } = globalThis as unknown as { field: HTMLElement }
          let i = 0
          const step = () => {
            field.style.transform = `translateY(${-(i < count / 2 ? i : count - i) * 20}px)`
            if (i++ < count) requestAnimationFrame(step)
            else done()
          }
          step()
        }),
      FRAMES,
    ),
  )
}

/** Files into the tray, all at once. @returns ms for each, and the gaps between frames meanwhile */
async function takenIn(page: Page, files: readonly string[]): Promise<{ each: number; gaps: number[] }> {
  await page.getByRole('button', { name: /^Pictures/ }).click()
  const field = page.getByLabel('Picture files')
  const before = await page.locator('#shelf-items img').count()
  const begun = performance.now()
  const gaps = await frames(page, async () => {
    await field.setInputFiles([...files])
    await page.waitForFunction(
      (count) => {
        const images = [...document.querySelectorAll<HTMLImageElement>('#shelf-items img')]
        return images.length >= count && images.every((image) => image.complete)
      },
      before + files.length,
      { polling: 100 },
    )
  })
  return { each: (performance.now() - begun) / files.length, gaps }
}

export async function benchPictures(): Promise<Further[]> {
  await buildWeb()
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-bench-'))
  const running = await serve({ data, port: 0, demo: false, logLevel: 'silent' })
  const browser = await launch()
  try {
    const assets: Asset[] = []
    for (let i = 0; i < MANY; i++) {
      const named = await storeBlob(running.address, await photograph(i, MANY_SIZE), 'image/jpeg')
      assets.push({ id: `a${i}`, name: `Picture ${i}`, type: 'image/jpeg', ...MANY_SIZE, ...named })
    }
    const id = await storeProject(running.address, galleryOf(assets))
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await knowing(page)
    await page.addInitScript('globalThis.__name = (value) => value')
    const cdp = await page.context().newCDPSession(page)
    await cdp.send('Performance.enable')
    const bench = new BoardBench(page, cdp)
    await bench.open(running.address, id)
    await shown(page)
    const name = `${MANY} pictures of 4 megapixels`
    await bench.wheel(`${name}: pan`, false, (i) => [0, i < FRAMES / 2 ? 20 : -20])
    await bench.wheel(`${name}: zoom`, true, (i) => [0, i % 60 < 30 ? 8 : -8])
    // From a disk, as from a camera: handed over in memory they would keep the page busy with that.
    const large = Array.from({ length: LARGE }, (_, i) => join(data, `large ${i}.jpg`))
    for (const [i, path] of large.entries()) await writeFile(path, await photograph(i + MANY, LARGE_SIZE))
    const before = await mainThread(cdp)
    const { each, gaps } = await takenIn(page, large)
    const work = ((await mainThread(cdp)) - before) / gaps.length
    bench.add(
      `${LARGE} pictures of 12 megapixels`,
      each,
      1000,
      `each in the tray after ${each.toFixed(0)} ms`,
      '1000 ms',
    )
    bench.frames(`${LARGE} pictures of 12 megapixels: frames meanwhile`, FRAME, gaps, work)
    const plain = p95(
      await plainPage(
        page,
        assets.map(({ hash }) => `/api/blobs/${hash}`),
      ),
    )
    const line = `${`${name}: plain page`.padEnd(34)} frames p95 ${plain.toFixed(1)} ms: the same in <img>, for comparison`
    return [...bench.results, { name: `${name}: plain page`, value: plain, met: true, line }]
  } finally {
    await browser.close()
    await running.stop()
    await rm(data, { recursive: true, force: true })
  }
}
