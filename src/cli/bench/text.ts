/** Text: 2,000 paragraphs, shaped before, wrapped again at a new width; here and in Chromium. */

import { Document } from '../../core/document/document'
import type { NodeTree, ProjectFile } from '../../core/document/schema'
import { PageLayout } from '../../core/layout/page'
import { starterProject } from '../../core/shelf/starter'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import { said } from '../../core/words/words'
import { loadFonts } from '../../server/fonts'
import type { SiteViewer } from '../browser'
import { handOff } from '../hand-off'

const WORDS =
  'seed leaf pod packet glasshouse autumn harvest gardener heirloom borrow return spring row peas tall meadow lantern well-kept the of a in'.split(
    ' ',
  )
const WIDTHS = [1200, 700]
/** Rounds before, that count nothing: both have been at work for a while, and no code is still being compiled. */
const WARMING = 16

function paragraphsProject(count: number): ProjectFile {
  const project = starterProject('Text', 'bench')
  const children: NodeTree[] = Array.from({ length: count }, (_, i) => {
    const words = Array.from(
      { length: 30 + (i % 40) },
      (_, k) => WORDS[(i * 7 + k * 11 + ((i * k) % 5)) % WORDS.length],
    )
    return {
      id: `t${i}`,
      kind: 'text',
      name: 'Paragraph',
      order: `a${String(i).padStart(6, '0')}`,
      props: {
        type: '{type.body}',
        width: { kind: 'stretch', weight: 1 },
        words: said(words.join(' ')),
      },
    }
  })
  project.pages[0]!.sections = [
    { id: 'section', kind: 'section', name: 'Section', order: 'a0', props: { fullBleed: true }, children },
  ]
  return project
}

/** @returns ms of each round, ours and Chromium's, over the same texts and widths */
export async function timeText(
  viewer: SiteViewer,
  count: number,
  rounds: number,
): Promise<{ core: number[]; chromium: number[] }> {
  const doc = Document.fromFile(paragraphsProject(count))
  const layout = new PageLayout(doc, 'bench', 'desktop', WIDTHS[0]!, new ParagraphCache(await loadFonts(doc)))
  await viewer.show(await handOff(doc, new Map()), 'index.html', WIDTHS[0]! + 100, 900)
  const browser = (width: number) =>
    viewer.page.evaluate((px) => {
      const { body } = document
      body.style.width = `${px}px`
      const start = performance.now()
      void body.offsetHeight
      return performance.now() - start
    }, width)
  await browser(WIDTHS[0]!)
  const core: number[] = []
  const chromium: number[] = []
  for (let i = 0; i < WARMING + rounds; i++) {
    const width = WIDTHS[(i + 1) % 2]!
    const start = performance.now()
    layout.update(width)
    const took = performance.now() - start
    const theirs = await browser(width)
    if (i < WARMING) continue
    core.push(took)
    chromium.push(theirs)
  }
  return { core, chromium }
}
