/** The lattice asked of every view, what would no longer fit, and layout in a worker. */

import { checkProject } from '../src/core/document/check'
import { Document } from '../src/core/document/document'
import { PageLayout } from '../src/core/layout/page'
import { ParagraphCache } from '../src/core/text/paragraph-cache'
import { loadFonts } from '../src/server/fonts'
import { expect, saved, setValue, stored, test } from './app'

test('fewer columns: what would no longer fit is listed first, and can be left', async ({ desk }) => {
  await desk.keyboard.press('b')
  await setValue(desk, /^Columns: /, '6')
  await expect(desk.getByRole('dialog')).toContainText('no longer fit')
  await desk.getByRole('button', { name: 'Keep the lattice as it is' }).click()
  await expect(desk.locator('[data-misfits]')).toHaveCount(0)
  expect((await stored(desk)).views[0]!.lattice.columns).toBe(12)
  await setValue(desk, /^Columns: /, '6')
  await desk.getByRole('button', { name: 'Change it' }).click()
  await saved(desk)
  expect((await stored(desk)).views[0]!.lattice.columns).toBe(6)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect((await stored(desk)).views[0]!.lattice.columns).toBe(12)
})

test('one lattice for every view, with what it comes to in each', async ({ desk }) => {
  await desk.keyboard.press('b')
  const { length } = (await stored(desk)).views
  const each = (first: number, other: number) => [first, ...Array(length - 1).fill(other)].join(' / ')
  await desk.getByLabel('Columns', { exact: true }).fill(each(10, 5))
  await expect(desk.locator('[data-asked=desktop]')).toContainText('10 of')
  await desk.getByLabel('Gutters', { exact: true }).fill('20 / x')
  await expect(desk.getByRole('alert')).toContainText('“x”')
  await desk.getByLabel('Gutters', { exact: true }).fill(each(20, 10))
  await desk.getByRole('button', { name: 'Use on every view' }).click()
  // Fewer columns on Desktop: whatever stood on the last ones is told first.
  await expect(desk.locator('[data-misfits]')).toContainText('Desktop')
  await desk.getByRole('button', { name: 'Change it' }).click()
  const lattices = async () =>
    (await stored(desk)).views.map((view) => [view.lattice.columns, view.lattice.gutter])
  await expect.poll(async () => (await lattices())[0]).toEqual([10, 20])
  expect((await lattices()).at(-1)).toEqual([5, 10])
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
})

test('the same bytes on the main thread, in a worker and on the server', async ({ desk }) => {
  await desk.keyboard.press('b')
  await setValue(desk, /^Columns: /, '6')
  const layoutWorker = () => desk.workers().find((worker) => worker.url().includes('layout.worker'))
  await expect.poll(layoutWorker).toBeDefined()
  const url = layoutWorker()!.url()
  await desk.getByRole('button', { name: 'Keep the lattice as it is' }).click()
  const file = checkProject((await stored(desk)) as unknown)
  const doc = Document.fromFile(structuredClone(file))
  const fonts = await loadFonts(doc)
  for (const view of doc.views) {
    const layout = new PageLayout(doc, 'page-home', view.id, view.width, new ParagraphCache(fonts))
    const server: Record<string, unknown> = {}
    for (const box of layout.visible()) server[box.id] = layout.rect(box.id)
    const request = { ask: 'layout', file, page: 'page-home', view: view.id, width: view.width }
    const worker = await desk.evaluate(
      ([address, wanted]) =>
        new Promise<{ boxes: Record<string, unknown> }>((resolve, reject) => {
          const made = new Worker(address as string, { type: 'module' })
          made.onmessage = (event) => {
            if (event.data.ready) return made.postMessage({ id: 1, request: wanted })
            made.terminate()
            if (event.data.problem) reject(new Error(event.data.problem))
            else resolve(event.data.answer)
          }
        }),
      [url, request] as const,
    )
    expect(JSON.stringify(worker.boxes)).toBe(JSON.stringify(server))
    const drawn = await desk.evaluate(
      (id) =>
        Object.fromEntries(
          [
            ...document
              .querySelector(`[data-sheet="${id}"]`)!
              .shadowRoot!.querySelectorAll<HTMLElement>('[data-node]'),
          ].map((element) => [element.dataset.node, [element.style.width, element.style.height]]),
        ),
      view.id,
    )
    const said = await desk.evaluate(
      (sizes) => {
        const probe = document.createElement('div')
        return Object.fromEntries(
          Object.entries(sizes).map(([id, [width, height]]) => {
            probe.style.width = `${width}px`
            probe.style.height = `${height}px`
            return [id, [probe.style.width, probe.style.height]]
          }),
        )
      },
      Object.fromEntries([...layout.visible()].map((box) => [box.id, [box.width, box.height]])),
    )
    expect(drawn).toEqual(said)
  }
})
