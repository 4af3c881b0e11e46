/** The language of words: a text's own, else its page's, else the site's. */
import type { Tree } from './tree'

/** Of a site that says none. */
export const DEFAULT_LANG = 'en'

export const langOf = (tree: Tree, page: string): string =>
  tree.pages.get(page)?.lang ?? tree.about.lang ?? DEFAULT_LANG

/** Every language that words of a project are in. */
export function languagesOf(tree: Tree): Set<string> {
  const all = new Set<string>()
  for (const { id } of tree.pages.values()) all.add(langOf(tree, id))
  return all
}
