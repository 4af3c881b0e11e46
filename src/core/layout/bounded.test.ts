/** Whatever validates is laid out: finite, and in a time that the runner still waits for. */

import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { checkProject } from '../document/check'
import { Document } from '../document/document'
import { MAX_DEPTH, type NodeTree, type ProjectFile } from '../document/schema'
import type { Props } from '../properties/table'
import { documents } from '../samples/documents'
import { FEATURES } from '../samples/features'
import { loadFonts } from '../samples/fonts'
import { fuzz } from '../samples/fuzz'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { PageLayout } from './page'

describe('bounded', () => {
  let fonts = new FontLibrary()
  const sample = fc.sample(documents(new Set(FEATURES)), { numRuns: 120, seed: 5 })
  beforeAll(async () => {
    for (const file of sample) fonts = await loadFonts(Document.fromFile(file))
  })

  const block = (id: string, props: Props, children: NodeTree[] = []): NodeTree => ({
    id,
    kind: 'box',
    name: 'Box',
    order: `a${id.replace(/[^a-z0-9]/gi, '')}`,
    props,
    children,
  })
  const bar = (i: number) =>
    block(`k${String(i).padStart(6, '0')}`, {
      width: { kind: 'stretch', weight: 1 },
      height: { kind: 'exact', px: 10 },
    })
  function lay(children: NodeTree[], props: Props = {}): PageLayout {
    const file: ProjectFile = structuredClone(sample[0]!)
    file.pages[0]!.sections = [{ ...block('section', props, children), kind: 'section' }]
    const doc = Document.fromFile(checkProject(file))
    return new PageLayout(doc, 'page', 'wide', 1440, new ParagraphCache(fonts))
  }
  const allFinite = (layout: PageLayout) =>
    [...layout.visible()].every(({ x, y, width, height }) => [x, y, width, height].every(Number.isFinite))

  test('any document at any width: every number is finite', () => {
    const paragraphs = new ParagraphCache(fonts)
    for (const file of sample) {
      const doc = Document.fromFile(file)
      for (const width of [200, 390, 1440, 10_000])
        expect(allFinite(new PageLayout(doc, 'page', doc.viewAt(width).id, width, paragraphs))).toBe(true)
    }
  })

  test('documents that mean harm: every number is finite', async () => {
    expect(await fuzz(150, 3, () => undefined)).toMatchObject({ documents: 150 })
  })

  test('ten thousand blocks in a row, the deepest nesting, a paragraph and a word of a million characters', () => {
    const wide = block('wide-row', { ...bar(0).props, flow: 'row' })
    wide.children = Array.from({ length: 10_000 }, (_, i) => bar(i))
    let deep = bar(20_000)
    for (let i = 0; i < MAX_DEPTH - 3; i++) deep = block(`deep${i}`, {}, [deep])
    const long: NodeTree = {
      ...block('long', { words: said('seed leaf '.repeat(100_000)) }),
      kind: 'text',
    }
    const word: NodeTree = {
      ...block('word', { words: said('seedleaf'.repeat(125_000)), overflowWrap: 'anywhere' }),
      kind: 'text',
    }
    const layout = lay([wide, deep, long, word])
    expect(layout.rect('wide-row')!.height).toBe(10)
    expect(layout.lineTexts('word').length).toBeGreaterThan(3000)
    expect(layout.lineTexts('long').length).toBeGreaterThan(3000)
    expect(allFinite(layout)).toBe(true)
  })

  // Each of these once took twice as long, or three times, for every box it was nested in.
  const snug = { kind: 'snug' } as const
  const stretch = { kind: 'stretch', weight: 1 } as const
  const NESTS: Record<string, (depth: number) => Props> = {
    'lattices and rows whose widths follow their heights': (depth) =>
      depth % 2 === 0
        ? { flow: 'lattice', columns: 3, width: snug, height: stretch }
        : { flow: 'row', width: snug, height: stretch },
    'lattices and columns whose widths follow their heights': (depth) =>
      depth % 2 === 0
        ? { flow: 'lattice', columns: 3, width: snug, height: { kind: 'percent', percent: 90 } }
        : { flow: 'column', width: snug, height: stretch },
    'columns that are held to a most height': (depth) => ({
      flow: 'column',
      width: snug,
      height: snug,
      maxHeight: 500 + depth,
      clip: true,
    }),
    'rows that share a baseline': () => ({ flow: 'row', align: 'baseline', width: snug, height: snug }),
  }
  for (const [name, props] of Object.entries(NESTS))
    test(`the deepest nesting of ${name}`, () => {
      let inner: NodeTree = {
        ...block('picture', { width: stretch, height: { kind: 'percent', percent: 50 } }),
        kind: 'picture',
      }
      for (let depth = 0; depth < MAX_DEPTH - 3; depth++) inner = block(`d${depth}`, props(depth), [inner])
      const layout = lay([inner], { flow: 'column', height: { kind: 'exact', px: 400 } })
      expect(allFinite(layout)).toBe(true)
      expect(layout.rect('picture')).toBeDefined()
    })
})
