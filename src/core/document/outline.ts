/** A project in the parts that it is kept and loaded in: the outline, small, and each page by itself. */
import type { PageFile, ProjectFile } from './schema'
import type { Tree } from './tree'

/** What is known of a page without what is on it. */
export type OutlinePage = Omit<PageFile, 'sections' | 'props' | 'aids' | 'changes'>
export type Outline = Omit<ProjectFile, 'pages'> & { pages: OutlinePage[] }
/** What is on a page. */
export type PageBody = Pick<PageFile, 'sections' | 'props' | 'aids' | 'changes'>

export function outlineOf(tree: Tree): Outline {
  const { pages, ...rest } = tree.frame()
  return { ...rest, pages: pages.map(({ aids, changes, ...page }) => page) }
}

export function bodyOf(tree: Tree, page: string): PageBody {
  const { sections, props, aids, changes } = tree.pageFile(page)
  return {
    sections,
    ...(props ? { props } : {}),
    ...(aids ? { aids } : {}),
    ...(changes ? { changes } : {}),
  }
}

/** What is loaded first: one page, the first when it is not there, and the templates, which are small and stood on. */
export function loadedFirst(pages: readonly OutlinePage[], wanted: string | undefined): string[] {
  const page = pages.find(({ id }) => id === wanted) ?? pages.find(({ isTemplate }) => !isTemplate)
  const templates = pages.filter(({ id, isTemplate }) => isTemplate && id !== page?.id)
  return [page, ...templates].flatMap((each) => each?.id ?? [])
}

/** A project of which some pages may be absent: they are in the file with nothing on them. */
export type Parts = { file: ProjectFile; absent: ReadonlySet<string> }

/** @param bodies by page id; those of other pages are absent */
export function partsOf(outline: Outline, bodies: ReadonlyMap<string, PageBody>): Parts {
  const absent = new Set(outline.pages.map(({ id }) => id).filter((id) => !bodies.has(id)))
  const pages = outline.pages.map((page) => ({ ...page, ...(bodies.get(page.id) ?? { sections: [] }) }))
  return { file: { ...outline, pages }, absent }
}
