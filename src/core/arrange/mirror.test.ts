/** Mirroring mirrors: every block that is turned round stands at the same height, as far from the right as it was from the left. */
import { beforeAll, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { ProjectFile } from '../document/schema'
import { applyAll } from '../edits/apply'
import { Flow, type LayoutBox } from '../layout/box'
import { PageLayout } from '../layout/page'
import { loadFonts } from '../samples/fonts'
import { Builder, plant } from '../shelf/build'
import { SHELF } from '../shelf/items'
import { starterProject } from '../shelf/starter'
import { ParagraphCache } from '../text/paragraph-cache'
import { mirrorEdits } from './repeat'

const sections = SHELF.filter(({ shelf }) => shelf === 'sections').map((item) => {
  const file: ProjectFile = starterProject(item.name, 'home')
  let count = 0
  file.pages[0]!.sections = [plant(item.build(new Builder(file.views)), () => `n${count++}`, 'a0')]
  return { name: item.name, file }
})
let paragraphs: ParagraphCache
beforeAll(async () => {
  paragraphs = new ParagraphCache(await loadFonts(Document.fromFile(structuredClone(sections[0]!.file))))
})

test.each(sections)('$name', ({ file }) => {
  const doc = Document.fromFile(structuredClone(file))
  const lay = (view: string) => new PageLayout(doc, 'home', view, doc.view(view).width, paragraphs)
  const before = doc.views.map(({ id }) => lay(id))
  const id = doc.node('home').children[0]!
  const edits = mirrorEdits(before[0]!, doc, id, false, (node, props) => ({
    op: 'set',
    node: node.id,
    props,
  }))
  // Nothing stands side by side in it.
  if (typeof edits === 'string') return
  applyAll(doc, edits)
  before.forEach((was, i) => {
    const is = lay(doc.views[i]!.id)
    expect(is.rect(id)!.height, `height on ${was.viewId}`).toBeCloseTo(was.rect(id)!.height, 0)
  })
  const [was, is] = [before[0]!, lay(doc.views[0]!.id)]
  // In a column each block in it is turned by itself.
  const turned = (host: LayoutBox): LayoutBox[] =>
    host.flow === Flow.Column || host.flow === Flow.Stack ? host.kids.flatMap(turned) : [host]
  for (const host of turned(was.boxes.get(id)!))
    for (const kid of host.kids) {
      const [a, b, around, now] = [was.rect(kid.id)!, is.rect(kid.id)!, was.rect(host.id)!, is.rect(host.id)!]
      expect(b.y - now.y, `top of ${kid.node.name}`).toBeCloseTo(a.y - around.y, 0)
      expect(now.x + now.width - b.x - b.width, `right of ${kid.node.name}`).toBeCloseTo(a.x - around.x, 0)
    }
})
