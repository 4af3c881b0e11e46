/**
 * Blocks behind a button: a menu on the phone. The page runs no script: the button says what it opens (`popovertarget`), the browser
 * opens it over everything, closes it on Escape and outside, and says whether it is open (HTML §6.12).
 */
import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import { blockLinked } from '../properties/links'

/** Whether a block is behind a button in some view. */
export const isPanel = (doc: Document, node: Node): boolean =>
  node.kind === 'box' &&
  (node.props.folded !== undefined ||
    Object.values(node.overrides).some(({ folded }) => folded !== undefined)) &&
  doc.views.some(({ id }) => cascaded(doc, node, id).folded === true)

/** The block behind a button that a link leads to; undefined: none. */
export function panelLinked(doc: Document, link: string | undefined): string | undefined {
  const id = link === undefined ? undefined : blockLinked(link)
  const node = id === undefined ? undefined : doc.nodes.get(id)
  return node && isPanel(doc, node) ? node.id : undefined
}
