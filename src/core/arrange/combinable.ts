/** What can be put together; apart from what does that, which is fetched when it is asked for. */
import type { Node } from '../document/document'

/** Shapes, and boxes that hold nothing. */
export const isCombinable = ({ kind, children }: Node): boolean =>
  kind === 'shape' || (kind === 'box' && children.length === 0)
