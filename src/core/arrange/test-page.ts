/** A page for tests: one section of given blocks, and a second below it. */

import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import type { SetEdit } from './align'
import { orderAt } from './order'

export const fonts = new FontLibrary()
export const paragraphs = new ParagraphCache(fonts)
let made = 0
export const makeId = () => `made${made++}`
export const set: SetEdit = (node, props) => ({ op: 'set', node: node.id, props })

export const exactly = (width: number, height: number): Props => ({
  width: { kind: 'exact', px: width },
  height: { kind: 'exact', px: height },
})
export const box = (id: string, props: Props, children: NodeTree[] = []): NodeTree => ({
  id,
  kind: 'box',
  name: id,
  order: `a${id}`,
  props,
  children,
})
/** A box of exact size, pinned at its left and top. */
export const at = (id: string, x: number, y: number, width = 100, height = 40) =>
  box(id, { ...exactly(width, height), pinLeft: { px: x }, pinTop: { px: y } })

/** Section `s` (400 px high, edge to edge) with `props` and `children`, and section `z` of 100 px, laid out at 1440 px. */
export function lay(props: Props, children: NodeTree[]) {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Section',
      order: 'a0',
      props: { fullBleed: true, height: { kind: 'exact', px: 400 }, ...props },
      children,
    },
    { id: 'z', kind: 'section', name: 'Last', order: 'a1', props: { height: { kind: 'exact', px: 100 } } },
  ]
  const doc = Document.fromFile(file)
  const layout = new PageLayout(doc, file.pages[0]!.id, 'desktop', 1440, paragraphs)
  const run = (edits: Edit[] | string) => {
    if (typeof edits === 'string') throw new Error(edits)
    applyAll(doc, edits)
    layout.update()
  }
  return { doc, layout, run, rect: (id: string) => layout.rect(id)! }
}

/** One step among the siblings: −1 towards the front, 1 towards the back. Empty at the ends. */
export function stepEdits(doc: Document, id: string, step: -1 | 1): Edit[] {
  const { parent } = doc.node(id)
  if (!parent) return []
  const siblings = doc.node(parent).children
  const at = siblings.indexOf(id) + step
  if (at < 0 || at >= siblings.length) return []
  return [{ op: 'move', node: id, parent, order: orderAt(doc, parent, at, id) }]
}
