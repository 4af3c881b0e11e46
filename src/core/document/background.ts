/** What a page is drawn on, as it says it. */
import type { Page, Tree } from './tree'

/** The nearest of a page's templates that has a background. */
export const backgroundFrom = (tree: Tree, page: string): Page | undefined =>
  tree.templatesOf(page).find(({ id }) => tree.node(id).props.background !== undefined)

/** A page's own background, or that of the nearest template that has one; a colour or a token. Undefined: none says any. */
export function backgroundOf(tree: Tree, page: string): string | undefined {
  const own = tree.node(page).props.background
  const from = own === undefined ? backgroundFrom(tree, page) : undefined
  return from ? tree.node(from.id).props.background : own
}
