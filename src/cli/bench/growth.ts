/** How layout grows: time from 10,000 to 100,000 nodes, and the memory a laid-out node takes. */
import { readFile } from 'node:fs/promises'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { Document } from '../../core/document/document'
import { openProject } from '../../core/document/open'
import { PageLayout } from '../../core/layout/page'
import { FontLibrary } from '../../core/text/fonts'
import { fontsOf } from '../../core/text/needed'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import { openType } from '../../server/fonts'
import { DEMO_FILE } from '../serve'
import { benchProject, benchTree, countNodes } from './trees'

/** A garbage collection now: what earlier rounds left must not fall into a later one's time or memory. */
function collect() {
  setFlagsFromString('--expose-gc')
  const run = runInNewContext('gc') as () => void
  run()
}

/** The document alone: what it was made from would only give the collector more to look through. */
function benchDocument(count: number): { nodes: number; doc: Document } {
  const tree = benchTree(count)
  return { nodes: countNodes(tree), doc: Document.fromFile(benchProject(tree)) }
}

export type Growth = { small: { nodes: number; ms: number[] }; large: { nodes: number; ms: number[] } }

/**
 * Full layouts of two sizes, turn about, so that a machine that slows down does so for both: as many of the small page as make up
 * one of the large, of which the mean counts, since the collections that they cause fall into some of them only.
 */
export function timeGrowth(small: number, large: number, rounds: number): Growth {
  const documents = { small: benchDocument(small), large: benchDocument(large) }
  collect()
  const timed = (which: keyof Growth, times: number) => {
    const start = performance.now()
    for (let i = 0; i < times; i++)
      new PageLayout(documents[which].doc, 'bench', 'desktop', 1440, new ParagraphCache(new FontLibrary()))
    return (performance.now() - start) / times
  }
  const of = (which: keyof Growth) => ({ nodes: documents[which].nodes, ms: [] as number[] })
  const growth = { small: of('small'), large: of('large') }
  const warm = 2
  for (let i = 0; i < warm + rounds; i++) {
    const ms = { small: timed('small', Math.round(large / small)), large: timed('large', 1) }
    if (i < warm) continue
    growth.small.ms.push(ms.small)
    growth.large.ms.push(ms.large)
  }
  return growth
}

/** Heap and arrays in use, bytes. Arrays are let go some time after the collection that found them unused: asked until nothing more goes. */
export function inUse(): number {
  let least = Number.POSITIVE_INFINITY
  for (let still = 0; still < 3; ) {
    collect()
    const { heapUsed, arrayBuffers } = process.memoryUsage()
    still = heapUsed + arrayBuffers < 0.999 * least ? 0 : still + 1
    least = Math.min(least, heapUsed + arrayBuffers)
  }
  return least
}

/** Memory that layout adds a node, bytes: after a collection with the layout, less the same without. */
export function bytesPerNode(count: number): number {
  const { nodes, doc } = benchDocument(count)
  const before = inUse()
  const layout = new PageLayout(doc, 'bench', 'desktop', 1440, new ParagraphCache(new FontLibrary()))
  const bytes = (inUse() - before) / nodes
  // Used after the measurement, so that it cannot have been collected before.
  if (layout.height < 0) throw new Error('a page of negative height')
  return bytes
}

/** From the demo's file and its fonts in memory to boxes and lines on every view, ms; nothing shaped before. */
export async function timeDemo(rounds: number): Promise<number[]> {
  const bytes = await readFile(DEMO_FILE)
  const fonts = new FontLibrary()
  for (const id of fontsOf(openProject(bytes).document)) fonts.add(id, await openType(id))
  const ms: number[] = []
  for (let i = 0; i < rounds; i++) {
    const start = performance.now()
    const { document: doc } = openProject(bytes)
    const paragraphs = new ParagraphCache(fonts)
    for (const view of doc.views) new PageLayout(doc, 'page-home', view.id, view.width, paragraphs)
    ms.push(performance.now() - start)
  }
  return ms
}
