/** The language of words: a text's own, else its page's, else the site's. */
import type { Tree } from './tree'

/** Of a site that says none. */
export const DEFAULT_LANG = 'en'

export const langOf = (tree: Tree, page: string): string =>
  tree.pages.get(page)?.lang ?? tree.about.lang ?? DEFAULT_LANG

/** Scripts that are written from right to left (UAX #24). */
const LEFTWARD = /^(Arab|Hebr|Syrc|Thaa|Nkoo|Adlm|Rohg|Mand|Samr)$/

/** Whether a language is written from right to left: its own script's direction, or that of the script that its tag says. */
export const isLeftwardLanguage = (lang: string): boolean => {
  try {
    return LEFTWARD.test(new Intl.Locale(lang).maximize().script ?? '')
  } catch {
    return false
  }
}

/** Every language that words of a project are in. */
export function languagesOf(tree: Tree): Set<string> {
  const all = new Set<string>()
  for (const { id } of tree.pages.values()) all.add(langOf(tree, id))
  return all
}
