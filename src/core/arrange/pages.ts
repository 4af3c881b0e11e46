/** Pages as a whole: copied, and put into another order. */
import { generateKeyBetween } from 'fractional-indexing'
import type { Document, Page } from '../document/document'
import { folderOf, freePath, ROOT } from '../document/paths'
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

/** What a new page says of itself: what all others do that are here. One on a template says nothing, and has what that says. */
export function newPageProps(doc: Document, template: string | undefined): Pick<PageFile, 'props'> {
  if (template !== undefined) return {}
  const others = doc.pagesInOrder().filter(({ id }) => !doc.absent.has(id))
  const [first, ...rest] = others.map(({ id }) => doc.node(id).props)
  const isCommon =
    first?.background !== undefined && rest.every((each) => each.background === first.background)
  return isCommon ? { props: { background: first.background } } : {}
}

/** The edits that give all pages one background; left out: white. Pages on templates have it from these, and follow them from then on. */
export const sameBackgroundEdits = (doc: Document, background: string | undefined): Edit[] =>
  doc.allPages().flatMap(({ id, template }): Edit[] => {
    const wanted = template === undefined ? background : undefined
    return doc.node(id).props.background === wanted
      ? []
      : [{ op: 'set', node: id, props: { background: wanted ?? null } }]
  })

/** The order key of the page behind one, of whichever kind. */
function orderBehind(doc: Document, id: string): string | null {
  const pages = doc.allPages()
  return pages[pages.findIndex((page) => page.id === id) + 1]?.order ?? null
}

/** A page one place up (−1) or down among those of its kind in its folder. Empty at the ends. */
export function stepPageEdits(doc: Document, id: string, step: -1 | 1): Edit[] {
  const page = doc.pages.get(id)
  if (!page) return []
  const all = page.isTemplate ? doc.templates() : doc.pagesInOrder()
  const beside = all.filter((each) => folderOf(each.path) === folderOf(page.path))
  const next = beside[beside.findIndex((each) => each.id === id) + step]
  if (!next) return []
  const rest = all.filter((each) => each.id !== id)
  const at = rest.indexOf(next) + (step > 0 ? 1 : 0)
  const order = generateKeyBetween(rest[at - 1]?.order ?? null, rest[at]?.order ?? null)
  return [{ op: 'page-meta', id, set: { order } }]
}

/** A line of the list of pages: a page, or a folder that is no page itself. `depth` in folders. */
export type PageLine = { depth: number } & (
  | { page: Page; folder?: undefined }
  | { folder: string; page?: undefined }
)

/** Pages in their order, those of a folder under it. */
export function pagesInFolders(pages: readonly Page[]): PageLine[] {
  /** What is in each folder, by path, in the order in which it is first met. */
  const within = new Map<string, Set<string>>()
  const put = (path: string) => {
    const folder = folderOf(path)
    if (folder !== ROOT) put(folder)
    within.set(folder, (within.get(folder) ?? new Set()).add(path))
  }
  for (const { path } of pages) put(path)
  const lines: PageLine[] = []
  const visit = (folder: string, depth: number) => {
    for (const path of within.get(folder) ?? []) {
      const here = pages.filter((page) => page.path === path)
      for (const page of here) lines.push({ page, depth })
      if (here.length === 0) lines.push({ folder: path, depth })
      if (path !== ROOT) visit(path, depth + 1)
    }
  }
  visit(ROOT, 0)
  return lines
}
