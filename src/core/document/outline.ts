/** A project in the parts that it is kept and loaded in: the outline, small, and each page by itself. */
import type { Aid, NodeTree, PageFile, ProjectFile } from './schema'
import type { Tree } from './tree'

/** What is known of a page without what is on it. */
export type OutlinePage = Omit<PageFile, 'sections' | 'aids'>
export type Outline = Omit<ProjectFile, 'pages'> & { pages: OutlinePage[] }
/** What is on a page. */
export type PageBody = { sections: NodeTree[]; aids?: Aid[] }

export function outlineOf(tree: Tree): Outline {
  const { pages, ...rest } = tree.frame()
  return { ...rest, pages: pages.map(({ aids, ...page }) => page) }
}

export function bodyOf(tree: Tree, page: string): PageBody {
  const { sections, aids } = tree.pageFile(page)
  return aids ? { sections, aids } : { sections }
}

/** A project of which some pages may be absent: they are in the file with nothing on them. */
export type Parts = { file: ProjectFile; absent: ReadonlySet<string> }

/** @param bodies by page id; those of other pages are absent */
export function partsOf(outline: Outline, bodies: ReadonlyMap<string, PageBody>): Parts {
  const absent = new Set(outline.pages.map(({ id }) => id).filter((id) => !bodies.has(id)))
  const pages = outline.pages.map((page) => ({ ...page, ...(bodies.get(page.id) ?? { sections: [] }) }))
  return { file: { ...outline, pages }, absent }
}
