/** Applying what others did to a document of which some pages are absent: what happened there is not seen here. */
import type { Draft } from '../document/draft'
import type { Tree } from '../document/tree'
import { applyTo } from './apply'
import type { Edit } from './edit'

/** Thrown when an edit brings here what lies on an absent page: that has to be there first. */
export class Absent extends Error {
  override name = 'Absent'
}

/** Whether a block is here: neither unknown, which is somewhere on an absent page, nor an absent page itself. */
const isHere = (tree: Tree, id: string) => tree.nodes.has(id) && !tree.absent.has(id)

/**
 * Applies an edit that the whole project has taken, as far as it is about what is here.
 * @returns what takes that back; undefined when it is about an absent page alone
 * @throws Absent, EditError
 */
export function applyPartly(draft: Draft, edit: Edit): Edit | undefined {
  if (draft.absent.size === 0) return applyTo(draft, edit)
  switch (edit.op) {
    case 'set':
    case 'meta':
    case 'remove':
      return isHere(draft, edit.node) ? applyTo(draft, edit) : undefined
    case 'text':
      return isHere(draft, edit.page ?? edit.node) ? applyTo(draft, edit) : undefined
    case 'insert':
      return isHere(draft, edit.parent) ? applyTo(draft, edit) : undefined
    case 'change':
    case 'aid':
      return draft.absent.has(edit.page) ? undefined : applyTo(draft, edit)
    case 'move':
      return move(draft, edit)
    default:
      return applyTo(draft, edit)
  }
}

function move(draft: Draft, edit: Extract<Edit, { op: 'move' }>): Edit | undefined {
  const from = isHere(draft, edit.node)
  const to = isHere(draft, edit.parent)
  if (from && to) return applyTo(draft, edit)
  if (from) return applyTo(draft, { op: 'remove', node: edit.node })
  if (to) throw new Absent(`${edit.node} comes from a page that is not here`)
  return undefined
}
