/** Whether an edit of somebody else's reaches into a block. */
import type { Tree } from '../document/tree'
import type { Edit } from './edit'
import { moduleFor } from './registry'

/** @param block or a page @param now with `over` applied */
export const touchesInside = (over: Edit, block: string, now: Tree): boolean =>
  moduleFor(over)
    .touches(over)
    .some((id) => now.nodes.has(id) && now.isInside(id, block))
