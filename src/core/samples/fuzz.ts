/** `lattice conformance --fuzz N`: documents that validate but mean harm; the core must lay them out, finite and in time. */

import fc from 'fast-check'
import { checkProject } from '../document/check'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { MAX_LENGTH, type Size } from '../properties/values'
import { ParagraphCache } from '../text/paragraph-cache'
import { documents } from './documents'
import { FEATURES } from './features'
import { loadFonts } from './fonts'

const extreme = fc.constantFrom(0, 0.001, 1, 99_999, MAX_LENGTH)
const size: fc.Arbitrary<Size> = fc.oneof(
  extreme.map((px): Size => ({ kind: 'exact', px })),
  fc.constantFrom(0, 0.01, 100, 1000).map((percent): Size => ({ kind: 'percent', percent })),
  fc.constantFrom(0.01, 1000).map((weight): Size => ({ kind: 'stretch', weight })),
  fc.constantFrom<Size>(
    { kind: 'snug' },
    { kind: 'columns', span: 48, from: 48 },
    { kind: 'svh', percent: 1000 },
    { kind: 'svh', percent: 100, less: 2000, grows: true },
  ),
)

/** Props that fight each other: limits that contradict, paddings wider than their box, shapes of a thousand to one. */
const hostile: fc.Arbitrary<Props> = fc.record(
  {
    width: size,
    height: size,
    minWidth: extreme,
    maxWidth: extreme,
    minHeight: extreme,
    maxHeight: extreme,
    paddingLeft: extreme,
    paddingTop: extreme,
    rowGap: extreme,
    ratio: fc.constantFrom(0.001, 1000),
    columns: fc.constantFrom(1, 48),
    fontSize: fc.constantFrom(1, 2000),
    letterSpacing: fc.constantFrom(-1000, 1000),
    flow: fc.constantFrom('row', 'column', 'lattice', 'free') as fc.Arbitrary<Props['flow']>,
  },
  { requiredKeys: [] },
)

/** Random documents with hostile props strewn over them. */
export const hostileDocuments: fc.Arbitrary<ProjectFile> = fc
  .tuple(documents(new Set(FEATURES)), fc.array(hostile, { minLength: 1, maxLength: 12 }))
  .map(([file, attacks]) => {
    const all: NodeTree[] = []
    const walk = (node: NodeTree) => {
      if (node.kind !== 'section') all.push(node)
      node.children?.forEach(walk)
    }
    for (const section of file.pages[0]!.sections) walk(section)
    attacks.forEach((attack, i) => {
      const target = all[(i * 7) % Math.max(1, all.length)]
      if (target) Object.assign(target.props, attack)
    })
    return file
  })

const WIDTHS = [200, 390, 1440, 10_000]

export type FuzzResult = { documents: number; slowest: number }

/** Lays out every document at every width; throws with the document when a number is not finite. */
export async function fuzz(
  count: number,
  seed: number,
  progress: (done: number) => void,
): Promise<FuzzResult> {
  let slowest = 0
  let done = 0
  for (const file of fc.sample(hostileDocuments, { numRuns: count, seed })) {
    const doc = Document.fromFile(checkProject(file))
    const paragraphs = new ParagraphCache(await loadFonts(doc))
    for (const width of WIDTHS) {
      const start = performance.now()
      const layout = new PageLayout(doc, 'page', doc.viewAt(width).id, width, paragraphs)
      slowest = Math.max(slowest, performance.now() - start)
      for (const box of layout.visible())
        if (![box.x, box.y, box.width, box.height].every(Number.isFinite))
          throw new Error(
            `${box.id} at ${width} px is not finite in ${JSON.stringify(file.pages[0]!.sections)}`,
          )
    }
    if (++done % 1000 === 0) progress(done)
  }
  return { documents: count, slowest }
}
