/** Whether an edit of somebody else's reaches into a block. */
import type { Tree } from '../document/tree'
import type { Edit } from './edit'

/** The blocks that an edit leaves changed, as far as they are named by it. */
function touched(edit: Edit): readonly string[] {
  switch (edit.op) {
    case 'set':
    case 'meta':
    case 'move':
      return [edit.node]
    case 'insert':
      return [edit.tree.id]
    default:
      return []
  }
}

/** @param now with `over` applied */
export const touchesInside = (over: Edit, block: string, now: Tree): boolean =>
  touched(over).some((id) => now.nodes.has(id) && now.isInside(id, block))
