/** Wrapping moves nothing: blocks side by side or one under another are where they were, on every view. */
import { beforeAll, describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { applyAll } from '../edits/apply'
import { PageLayout } from '../layout/page'
import { difference } from '../layout/rect'
import { loadFonts } from '../samples/fonts'
import { Builder, plant } from '../shelf/build'
import { SHELF } from '../shelf/items'
import { starterProject } from '../shelf/starter'
import { ParagraphCache } from '../text/paragraph-cache'
import { wrapEdits } from './wrap'

/** Every section of the shelf, each a page of its own. */
function sections(): { name: string; file: ProjectFile }[] {
  return SHELF.filter(({ shelf }) => shelf === 'sections').map((item) => {
    const file = starterProject(item.name, 'home')
    let count = 0
    file.pages[0]!.sections = [plant(item.build(new Builder(file.views)), () => `n${count++}`, 'a0')]
    return { name: item.name, file }
  })
}

let paragraphs: ParagraphCache
beforeAll(async () => {
  const [first] = sections()
  paragraphs = new ParagraphCache(await loadFonts(Document.fromFile(structuredClone(first!.file))))
})

const layouts = (doc: Document) =>
  doc.views.map(({ id, width }) => new PageLayout(doc, 'home', id, width, paragraphs))

/** px that anything moves on any view when some blocks are wrapped. */
function movedBy(file: ProjectFile, ids: readonly string[], flow: 'row' | 'column' | 'lattice'): number {
  const doc = Document.fromFile(structuredClone(file))
  const before = layouts(doc)
  const made = wrapEdits(doc, { page: 'home', paragraphs }, ids, flow, () => 'new')
  if (typeof made === 'string') throw new Error(made)
  applyAll(doc, made.edits)
  const after = layouts(doc)
  let most = 0
  before.forEach((layout, i) => {
    for (const { id } of layout.visible())
      most = Math.max(most, difference(layout.rect(id)!, after[i]!.rect(id)!))
  })
  return most
}

const find = (tree: NodeTree, is: (node: NodeTree) => boolean): NodeTree[] => [
  ...(is(tree) ? [tree] : []),
  ...(tree.children ?? []).flatMap((child) => find(child, is)),
]

describe('three cards on the lattice', () => {
  const cards = () => sections().find(({ name }) => /cards/i.test(name))!
  test.each(['row', 'lattice'] as const)('wrapped in a %s stay where they are', (flow) => {
    const { file } = cards()
    const host = find(
      file.pages[0]!.sections[0]!,
      ({ children = [] }) => children.filter(({ kind }) => kind === 'box').length >= 3,
    )[0]!
    const ids = host.children!.filter(({ kind }) => kind === 'box').map(({ id }) => id)
    expect(ids.length).toBeGreaterThan(2)
    expect(movedBy(file, ids, flow)).toBeLessThan(0.5)
  })
})

test('in every section of the shelf, all that lies in a row or a column is wrapped in one and stays', () => {
  let tried = 0
  for (const { name, file } of sections()) {
    const hosts = find(
      file.pages[0]!.sections[0]!,
      ({ props, children = [] }) =>
        children.length > 1 &&
        (props.flow === 'row' || props.flow === 'column') &&
        !children.some((child) => child.props.lifted),
    )
    for (const host of hosts) {
      const ids = host.children!.map(({ id }) => id)
      tried++
      expect(movedBy(file, ids, host.props.flow as 'row' | 'column'), `${name}: ${host.name}`).toBeLessThan(
        0.5,
      )
    }
  }
  expect(tried).toBeGreaterThan(8)
})
