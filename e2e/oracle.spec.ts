/** The browser is the oracle: what is handed off lays out in Chromium as the core says, box for box, line for line. */
import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { SiteViewer } from '../src/cli/browser'
import { compareDocument } from '../src/cli/conformance/compare'
import { documents, type Feature } from '../src/cli/conformance/documents'
import { shelfProject } from '../src/cli/conformance/shelf-project'
import { DEMO_FILE } from '../src/cli/serve'
import { Document } from '../src/core/document/document'
import { checkProject } from '../src/core/document/open'
import { PageLayout } from '../src/core/layout/page'
import { ParagraphCache } from '../src/core/text/paragraph'
import { loadFonts } from '../src/server/fonts'
import { test as appTest, stored } from './app'

const widths = Array.from({ length: 17 }, (_, i) => 320 + i * 100)

let viewer: SiteViewer
test.beforeAll(async () => {
  viewer = await SiteViewer.open()
})
test.afterAll(() => viewer.close())

test('the demo, every page, at every hundredth px from 320 to 1920', async () => {
  const file = JSON.parse(await readFile(DEMO_FILE, 'utf8'))
  for (const index of file.pages.keys()) {
    const result = await compareDocument(viewer, file, widths, index)
    expect(result.boxes).toBeGreaterThan(300)
    expect(result.boxesOff).toEqual([])
    expect(result.linesOff).toEqual([])
  }
})

test('every item of the shelf, at the same widths', async () => {
  const result = await compareDocument(viewer, shelfProject(), widths)
  expect(result.boxes).toBeGreaterThan(1000)
  expect(result.boxesOff).toEqual([])
  expect(result.linesOff).toEqual([])
})

for (const features of [
  ['flex'],
  ['flex', 'wrap', 'baseline'],
  ['flex', 'percent', 'lifted'],
  ['flex', 'lattice'],
  ['flex', 'override'],
] as Feature[][]) {
  test(`random documents of ${features.join(', ')}: every box`, async () => {
    for (const file of fc.sample(documents(new Set(features)), { numRuns: 12, seed: 20 })) {
      const result = await compareDocument(viewer, file, [1440, 834, 390])
      expect(result.boxesOff, JSON.stringify(file.pages[0].sections)).toEqual([])
    }
  })
}

test('random paragraphs: the same line breaks', async () => {
  let paragraphs = 0
  let off = 0
  for (const file of fc.sample(documents(new Set<Feature>(['flex', 'text', 'wrap'])), {
    numRuns: 25,
    seed: 20,
  })) {
    const result = await compareDocument(viewer, file, [1440, 834, 390])
    paragraphs += result.paragraphs
    off += result.linesOff.length
  }
  expect(paragraphs).toBeGreaterThan(500)
  expect(off / paragraphs).toBeLessThan(0.005)
})

appTest(
  'what the board draws is what the core computed, block for block and line for line',
  async ({ desk }) => {
    await desk.keyboard.press('ControlOrMeta+0')
    await desk.evaluate(() => document.fonts.ready)
    const doc = Document.fromFile(checkProject((await stored(desk)) as unknown))
    const fonts = await loadFonts(doc)
    for (const view of doc.views) {
      const layout = new PageLayout(doc, 'page-home', view.id, view.width, new ParagraphCache(fonts))
      const drawn = await desk.evaluate((id) => {
        const sheet = document.querySelector(`[data-sheet="${id}"]`)!.getBoundingClientRect()
        return [...document.querySelectorAll<HTMLElement>(`[data-sheet="${id}"] [data-node]`)].map(
          (element) => {
            const box = element.getBoundingClientRect()
            const lines = [...element.children]
              .filter((child) => !(child as HTMLElement).dataset.node)
              .map((line) => ({ text: line.textContent ?? '', width: line.getBoundingClientRect().width }))
            return {
              node: element.dataset.node!,
              x: box.x - sheet.x,
              y: box.y - sheet.y,
              width: box.width,
              height: box.height,
              lines,
            }
          },
        )
      }, view.id)
      expect(drawn.length).toBe([...layout.visible()].length)
      for (const { node, lines, ...box } of drawn) {
        const rect = layout.rect(node)!
        for (const key of ['x', 'y', 'width', 'height'] as const)
          expect(Math.abs(box[key] - rect[key]), `${node} ${key}`).toBeLessThan(0.1)
        expect(lines.map((line) => line.text)).toEqual(layout.lineTexts(node))
        layout.lines(node).forEach((line, i) => {
          expect(Math.abs(lines[i].width - line.width), `${node}, line ${i}`).toBeLessThan(0.5)
        })
      }
    }
  },
)
