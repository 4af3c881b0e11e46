/** Pages as a whole: copied, and put into another order. */
import { generateKeyBetween } from 'fractional-indexing'
import type { Document } from '../document/document'
import { freePath } from '../document/paths'
import type { PageFile } from '../document/schema'
import type { Edit } from '../edits/edit'
import { withNewIds } from './order'

/** The name, or with a number where another page has it. */
function freeName(doc: Document, name: string): string {
  const taken = new Set(doc.allPages().map((page) => page.name))
  let free = `${name} copy`
  for (let n = 2; taken.has(free); n++) free = `${name} copy ${n}`
  return free
}

/** A copy of a page right behind it, with blocks of its own; guides and notes stay with the one they were made for. */
export function duplicatePageEdits(
  doc: Document,
  id: string,
  makeId: () => string,
): { edits: Edit[]; copy: string; name: string } {
  const { aids: _, ...page } = doc.pageFile(id)
  const name = freeName(doc, page.name)
  const copy: PageFile = {
    ...page,
    id: makeId(),
    name,
    path: freePath(doc.pages.values(), page.path),
    order: generateKeyBetween(page.order, orderBehind(doc, id)),
    sections: page.sections.map((section) => withNewIds(section, makeId)),
  }
  return { edits: [{ op: 'page', id: copy.id, page: copy }], copy: copy.id, name }
}

/** The order key of the page behind one, of whichever kind. */
function orderBehind(doc: Document, id: string): string | null {
  const pages = doc.allPages()
  return pages[pages.findIndex((page) => page.id === id) + 1]?.order ?? null
}

/** A page one place up (−1) or down among those of its kind. Empty at the ends. */
export function stepPageEdits(doc: Document, id: string, step: -1 | 1): Edit[] {
  const page = doc.pages.get(id)
  if (!page) return []
  const beside = page.isTemplate ? doc.templates() : doc.pagesInOrder()
  const at = beside.findIndex((each) => each.id === id)
  const to = at + step
  if (to < 0 || to >= beside.length) return []
  const rest = beside.filter((each) => each.id !== id)
  const order = generateKeyBetween(rest[to - 1]?.order ?? null, rest[to]?.order ?? null)
  return [{ op: 'page-meta', id, set: { order } }]
}
