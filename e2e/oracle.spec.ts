/** The browser is the oracle: what is handed off lays out in Chromium as the core says, box for box, line for line. */

import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { SiteViewer } from '../src/cli/browser'
import { CASES } from '../src/cli/conformance/cases'
import { compareDocument } from '../src/cli/conformance/compare'
import { shelfProject } from '../src/cli/conformance/shelf-project'
import { handOff } from '../src/cli/hand-off'
import { photographs } from '../src/cli/photographs'
import { DEMO_FILE, OTHER_DEMO_FILE } from '../src/cli/serve'
import { blockAt } from '../src/core/arrange/hit'
import { checkProject } from '../src/core/document/check'
import { Document } from '../src/core/document/document'
import { openProject } from '../src/core/document/open'
import { PageLayout } from '../src/core/layout/page'
import { oneFill } from '../src/core/properties/items'
import { documents } from '../src/core/samples/documents'
import type { Feature } from '../src/core/samples/features'
import { standIns } from '../src/core/samples/stand-in'
import { starterProject } from '../src/core/shelf/starter'
import { FontLibrary } from '../src/core/text/fonts'
import { ParagraphCache } from '../src/core/text/paragraph-cache'
import { loadFonts } from '../src/server/fonts'
import { test as appTest, SPEAKING, stored } from './app'

const widths = Array.from({ length: 17 }, (_, i) => 320 + i * 100)

const NONE = new Map<string, Uint8Array>()

let viewer: SiteViewer
test.beforeAll(async () => {
  viewer = await SiteViewer.open()
})
test.afterAll(() => viewer.close())

test('both demos, every page, at every hundredth px from 320 to 1920', async () => {
  for (const path of [DEMO_FILE, OTHER_DEMO_FILE]) {
    const { document, blobs } = openProject(await readFile(path))
    const file = document.toFile()
    for (const index of file.pages.keys()) {
      const result = await compareDocument(viewer, { file, blobs }, widths, index)
      expect(result.boxes).toBeGreaterThan(300)
      expect(result.boxesOff).toEqual([])
      expect(result.linesOff).toEqual([])
    }
  }
})

test('every item of the shelf, at the same widths', async () => {
  const { assets, blobs } = await photographs()
  const result = await compareDocument(viewer, { file: shelfProject(assets), blobs }, widths)
  expect(result.boxes).toBeGreaterThan(1000)
  expect(result.boxesOff).toEqual([])
  expect(result.linesOff).toEqual([])
})

for (const [name, file] of Object.entries(CASES)) {
  test(name, async () => {
    const { assets, blobs } = await photographs()
    const shown = { ...file, assets: [...file.assets, ...assets] }
    const result = await compareDocument(viewer, { file: shown, blobs }, [1440, 900, 400])
    expect(result.boxes).toBeGreaterThan(2)
    expect(result.boxesOff).toEqual([])
    expect(result.linesOff).toEqual([])
  })
}

for (const features of [
  ['flex'],
  ['flex', 'wrap', 'baseline'],
  ['flex', 'percent', 'lifted'],
  ['flex', 'lattice'],
  ['flex', 'ratio', 'lattice', 'lifted'],
  ['flex', 'override'],
] as Feature[][]) {
  test(`random documents of ${features.join(', ')}: every box`, async () => {
    for (const file of fc.sample(documents(new Set(features)), { numRuns: 12, seed: 20 })) {
      const result = await compareDocument(viewer, { file, blobs: NONE }, [1440, 834, 390])
      expect(result.boxesOff, JSON.stringify(file.pages[0]!.sections)).toEqual([])
    }
  })
}

test('random lattices: every box to the browser’s layout unit', async () => {
  const features = new Set<Feature>(['flex', 'wrap', 'percent', 'lattice', 'lifted', 'picture', 'override'])
  let boxes = 0
  let exact = 0
  const { assets, blobs } = await photographs()
  for (const file of fc.sample(documents(features, assets), { numRuns: 12, seed: 22 })) {
    const result = await compareDocument(viewer, { file, blobs }, [1440, 1111, 834, 390])
    boxes += result.boxes
    exact += result.exact
  }
  expect(boxes).toBeGreaterThan(1000)
  expect(exact).toBe(boxes)
})

test('random paragraphs: the same line breaks', async () => {
  let paragraphs = 0
  let off = 0
  for (const file of fc.sample(
    documents(new Set<Feature>(['flex', 'text', 'spans', 'paragraphs', 'breaks', 'languages'])),
    {
      numRuns: 25,
      seed: 20,
    },
  )) {
    const result = await compareDocument(viewer, { file, blobs: NONE }, [1440, 834, 390])
    paragraphs += result.paragraphs
    off += result.linesOff.length
  }
  expect(paragraphs).toBeGreaterThan(500)
  expect(off / paragraphs).toBeLessThan(0.005)
})

test('what lies on top on the board lies on top in the browser: lifted, in front, see-through, turned, sticking out', async () => {
  const front = fc.record({
    lifted: fc.boolean(),
    z: fc.integer({ min: -1, max: 2 }),
    opacity: fc.constantFrom(1, 1, 0.9),
    rotate: fc.constantFrom(0, 0, 20, -75),
    x: fc.integer({ min: 0, max: 300 }),
    y: fc.integer({ min: 0, max: 200 }),
    inner: fc.option(fc.record({ z: fc.integer({ min: -1, max: 1 }), y: fc.integer({ min: -60, max: 90 }) })),
  })
  let points = 0
  for (const blocks of fc.sample(fc.array(front, { minLength: 3, maxLength: 6 }), { numRuns: 25, seed: 7 })) {
    const side = (px: number) => ({ kind: 'exact' as const, px })
    const file = starterProject('Front', 'home')
    file.pages[0]!.sections = [
      {
        id: 's',
        kind: 'section',
        name: 's',
        order: 'a0',
        props: { flow: 'column', fullBleed: true, height: side(400), fills: oneFill('#eeeeee') },
        children: blocks.map(({ lifted, z, x, y, inner, opacity, rotate }, i) => ({
          id: `b${i}`,
          kind: 'box' as const,
          name: 'b',
          order: `a${i}`,
          props: {
            ...{ width: side(220), height: side(70), fills: oneFill('#88aa88'), opacity, rotate },
            ...(lifted ? { lifted, z, pinLeft: { px: x }, pinTop: { px: y } } : {}),
          },
          children: inner
            ? [
                {
                  id: `c${i}`,
                  kind: 'box' as const,
                  name: 'c',
                  order: 'a0',
                  props: {
                    ...{
                      width: side(60),
                      height: side(60),
                      fills: oneFill('#335533'),
                      lifted: true,
                      z: inner.z,
                    },
                    ...{ pinLeft: { px: 40 }, pinTop: { px: inner.y } },
                  },
                },
              ]
            : [],
        })),
      },
    ]
    const doc = Document.fromFile(checkProject(structuredClone(file)))
    const layout = new PageLayout(
      doc,
      file.pages[0]!.id,
      'desktop',
      1440,
      new ParagraphCache(new FontLibrary()),
    )
    await viewer.show(await handOff(doc, standIns(doc), { mark: true }), 'index.html', 1440, 900)
    const at = Array.from({ length: 320 }, (_, i) => ({
      x: 11.3 + (i % 20) * 27,
      y: 9.6 + Math.floor(i / 20) * 25,
    }))
    const top = await viewer.page.evaluate(
      (list) =>
        list.map(
          ({ x, y }) =>
            document.elementFromPoint(x, y)?.closest('[data-node]')?.getAttribute('data-node') ?? null,
        ),
      at,
    )
    const off = at.filter(({ x, y }, i) => {
      if (top[i] === null) return false
      points++
      // On a slanting edge the browser counts in whole px.
      return [-1, 0, 1].every((dx) => [-1, 0, 1].every((dy) => blockAt(layout, x + dx, y + dy) !== top[i]))
    })
    expect(off, JSON.stringify(blocks)).toEqual([])
  }
  expect(points).toBeGreaterThan(5000)
})

appTest(
  'what the board draws is what the core computed, block for block and line for line',
  async ({ desk }) => {
    await desk.keyboard.press('f')
    await desk.evaluate(() => document.fonts.ready)
    const doc = Document.fromFile(checkProject((await stored(desk)) as unknown))
    const fonts = await loadFonts(doc)
    for (const view of doc.views) {
      const layout = new PageLayout(doc, 'page-home', view.id, view.width, new ParagraphCache(fonts))
      const drawn = await desk.evaluate((id) => {
        const paper = document.querySelector<HTMLElement>(`[data-sheet="${id}"]`)!
        const sheet = paper.getBoundingClientRect()
        const zoom = sheet.width / paper.offsetWidth
        return [...paper.shadowRoot!.querySelectorAll<HTMLElement>('[data-node]')].map((element) => {
          const box = element.getBoundingClientRect()
          const lines = [...element.children]
            .filter((child) => !(child as HTMLElement).dataset.node)
            .map((line) => ({
              text: line.textContent ?? '',
              width: line.getBoundingClientRect().width / zoom,
            }))
          return {
            node: element.dataset.node!,
            x: (box.x - sheet.x) / zoom,
            y: (box.y - sheet.y) / zoom,
            width: box.width / zoom,
            height: box.height / zoom,
            lines,
          }
        })
      }, view.id)
      expect(drawn.length).toBe([...layout.visible()].length)
      for (const { node, lines, ...box } of drawn) {
        const rect = layout.rect(node)!
        for (const key of ['x', 'y', 'width', 'height'] as const)
          expect(Math.abs(box[key] - rect[key]), `${node} ${key}`).toBeLessThan(0.1)
        expect(lines.map((line) => line.text)).toEqual(layout.lineTexts(node))
        const own = layout.placed(node).flatMap((set) => set.lines)
        own.forEach((line, i) => {
          expect(Math.abs(lines[i]!.width - line.width), `${node}, line ${i}`).toBeLessThan(0.5)
        })
      }
    }
  },
)

appTest(
  'words of several sizes stand on the board where the handed-off page has them',
  async ({ page, app }) => {
    const file = CASES['text: lines are as high as their largest span (CSS Inline 3 §5)']!
    const { id } = await (
      await page.request.post(`${app.address}api/projects`, {
        data: { file: JSON.stringify(file) },
        headers: SPEAKING,
      })
    ).json()
    await page.goto(`${app.address}projects/${id}`)
    await page.locator('[data-sheet] [data-node]').first().waitFor()
    await page.evaluate(() => document.fonts.ready)
    /** Of every word: its bottom from its block's top, in the page's own px. */
    const words = (block: string, scale: number) => {
      const element = (document.querySelector('[data-sheet=wide]')?.shadowRoot ?? document).querySelector(
        block,
      )!
      const { top } = element.getBoundingClientRect()
      const out: [string, number][] = []
      const range = document.createRange()
      const walk = (node: Node) => {
        if (node.nodeType === 3)
          for (const match of (node.textContent ?? '').matchAll(/\S+/g)) {
            range.setStart(node, match.index)
            range.setEnd(node, match.index + match[0].length)
            out.push([match[0], (range.getBoundingClientRect().bottom - top) / scale])
          }
        else for (const child of node.childNodes) walk(child)
      }
      walk(element)
      return out
    }
    const sheet = (await page.locator('[data-sheet=wide]').boundingBox())!
    const text = file.pages[0]!.sections[0]!.children![0]!.id
    const run = `(${words.toString()})`
    const drawn = (await page.evaluate(`${run}('[data-node="${text}"]', ${sheet.width / 1440})`)) as [
      string,
      number,
    ][]
    const doc = Document.fromFile(checkProject(structuredClone(file)))
    await viewer.show(await handOff(doc, standIns(doc), { mark: true }), 'index.html', 1440, 900)
    const shipped = (await viewer.page.evaluate(`${run}('[data-node="${text}"]', 1)`)) as [string, number][]
    expect(drawn.map(([word]) => word)).toEqual(shipped.map(([word]) => word))
    expect(new Set(shipped.map(([, bottom]) => Math.round(bottom))).size).toBeGreaterThan(2)
    drawn.forEach(([word, bottom], i) => {
      expect(Math.abs(bottom - shipped[i]![1]), word).toBeLessThan(1)
    })
  },
)
