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

/** @param bodies by page id @throws when a page is not among them */
export function wholeOf(outline: Outline, bodies: ReadonlyMap<string, PageBody>): ProjectFile {
  return {
    ...outline,
    pages: outline.pages.map((page) => {
      const body = bodies.get(page.id)
      if (!body) throw new Error(`there is no body of the page ${page.id}`)
      return { ...page, ...body }
    }),
  }
}
