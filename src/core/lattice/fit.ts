/** What does not fit a view's lattice: told before a lattice is changed. */
import { Document } from '../document/document'
import type { ProjectFile, View } from '../document/schema'
import { Flow } from '../layout/box'
import { PageLayout } from '../layout/page'
import type { ParagraphCache } from '../text/paragraph-cache'
import { usedLattice } from './used'

export type Misfit = {
  page: string
  /** The view's name. */
  view: string
  node: string
  name: string
  reason: string
  kind: 'span' | 'words' | 'page'
}

/** Everything that does not fit on a view, over all pages. */
export function misfits(doc: Document, viewId: string, paragraphs: ParagraphCache): Misfit[] {
  const view = doc.view(viewId)
  const found: Misfit[] = []
  for (const page of doc.allPages()) {
    const layout = new PageLayout(doc, page.id, viewId, view.width, paragraphs)
    for (const box of layout.visible()) {
      const add = (kind: Misfit['kind'], reason: string) =>
        found.push({ page: page.name, view: view.name, node: box.id, name: box.node.name, kind, reason })
      const { width } = box.resolved
      const columns = box.parent?.columns ?? 0
      if (width.kind === 'columns' && box.parent?.flow === Flow.Lattice && box.pins === null) {
        const last = (width.from ?? 1) + width.span - 1
        if (last > columns) add('span', `stands on column ${last} of ${columns}`)
      }
      const room = box.width - box.padX
      if (box.typeset && box.typeset.minContent > room + 0.5)
        add('words', `its longest word needs ${Math.ceil(box.typeset.minContent)} px of ${Math.round(room)}`)
      const rect = layout.rect(box.id)!
      if (box.pins === null && rect.x + rect.width > view.width + 0.5 && box.parent === layout.root)
        add('page', 'sticks out of the page')
    }
  }
  return found
}

/** Whether a view's columns become fewer or more than a tenth narrower: only then is a change worth trying first. */
export function growsTight(before: View, after: View): boolean {
  const was = usedLattice(before.lattice, before.width)
  const is = usedLattice(after.lattice, after.width)
  return is.columns < was.columns || is.columnWidth <= was.columnWidth * 0.9
}

/** What fits now and would not with other views, over those that grow tight. `file` is not changed. */
export function newMisfits(file: ProjectFile, views: View[], paragraphs: ParagraphCache): Misfit[] {
  const before = Document.fromFile(structuredClone(file))
  const after = Document.fromFile({ ...structuredClone(file), views })
  return views.flatMap((view) => {
    const was = file.views.find((each) => each.id === view.id)
    if (!was || !growsTight(was, view)) return []
    const known = new Set(misfits(before, view.id, paragraphs).map((each) => `${each.node} ${each.kind}`))
    return misfits(after, view.id, paragraphs).filter((each) => !known.has(`${each.node} ${each.kind}`))
  })
}
