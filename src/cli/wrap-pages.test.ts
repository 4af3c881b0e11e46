/** Wrapping moves nothing: on random pages as designers make them, all that lies in a row or a column, on every view. */
import { expect, test } from 'vitest'
import { wrapEdits } from '../core/arrange/wrap'
import { Document, type Node } from '../core/document/document'
import { applyAll } from '../core/edits/apply'
import { PageLayout } from '../core/layout/page'
import { difference } from '../core/layout/rect'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { loadFonts } from '../server/fonts'
import { designedPage } from './parity/pages'
import { photographs } from './photographs'

test('rows and columns of 12 random pages', async () => {
  const { assets } = await photographs()
  let tried = 0
  for (let seed = 600; seed < 612; seed++) {
    const file = designedPage(seed, assets)
    const doc = Document.fromFile(structuredClone(file))
    const paragraphs = new ParagraphCache(await loadFonts(doc, new Map()))
    const page = doc.pagesInOrder()[0]!.id
    const laid = (of: Document) =>
      of.views.map(({ id, width }) => new PageLayout(of, page, id, width, paragraphs))
    const before = laid(doc)
    for (const { ids, flow, name } of hosts(doc, page)) {
      const after = Document.fromFile(structuredClone(file))
      const made = wrapEdits(after, { page, paragraphs }, ids, flow, () => 'new')
      if (typeof made === 'string') throw new Error(made)
      applyAll(after, made.edits)
      const then = laid(after)
      const moved = before.flatMap((layout, i) =>
        [...layout.visible()].map(({ id }) => difference(layout.rect(id)!, then[i]!.rect(id)!)),
      )
      expect(Math.max(...moved), `page ${seed}, ${name} ${ids.join(' ')}`).toBeLessThan(0.5)
      tried++
    }
  }
  expect(tried).toBeGreaterThan(80)
})

/** What lies in each row and column. */
function hosts(doc: Document, page: string) {
  return [...doc.walk(page)].flatMap((node: Node) => {
    const flow = node.props.flow ?? 'column'
    const ids = node.children.filter((id) => !doc.node(id).props.lifted)
    const isOne = node.kind !== 'page' && (flow === 'row' || flow === 'column') && ids.length > 1
    return isOne ? [{ ids, flow: flow as 'row' | 'column', name: node.name }] : []
  })
}
