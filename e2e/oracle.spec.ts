/** The browser is the oracle: what is handed off lays out in Chromium as the core says, box for box, line for line. */
import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { SiteViewer } from '../src/cli/browser'
import { compareDocument } from '../src/cli/conformance/compare'
import { documents, type Feature } from '../src/cli/conformance/documents'
import { shelfProject } from '../src/cli/conformance/shelf-project'
import { DEMO_FILE } from '../src/cli/serve'

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
