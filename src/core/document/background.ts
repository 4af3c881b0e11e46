/** What a page is drawn on, as it says it. */
import type { Tree } from './tree'

/** A page's own background, or that of the nearest template that has one; a colour or a token. Undefined: none says any. */
export const backgroundOf = (tree: Tree, page: string): string | undefined =>
  [page, ...tree.templatesOf(page).map(({ id }) => id)]
    .map((id) => tree.node(id).props.background)
    .find((background) => background !== undefined)
