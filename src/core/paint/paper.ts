/** What a page is drawn on. */
import { laidOver } from '../color/contrast'
import { colorIn } from '../document/resolve'
import type { Tokens } from '../document/tokens'
import type { Node, Tree } from '../document/tree'

/** A page that says nothing of its background. */
const WHITE = '#ffffff'

/** The colour behind all blocks. @param background the page's; where it lets something through, that is white */
export const paperFor = (background: string | undefined): string =>
  background === undefined ? WHITE : laidOver(background, WHITE)

/** `isPart`: blocks blend with it, as they do with a root element's background, and not with the window's white below one without. */
export type Paper = { color: string; isPart: boolean }

/** @param page its node, as it is shown */
export const paperOf = (doc: Tree, page: Node, tokens: Tokens): Paper => ({
  color: paperFor(colorIn(tokens, page.props.background)),
  // In several themes the handoff says white, too.
  isPart: page.props.background !== undefined || doc.themes.length > 0,
})
