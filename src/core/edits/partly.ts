/** Applying what others did to a document of which some pages are absent: what happened there is not seen here. */
import type { Draft } from '../document/draft'
import type { Tree } from '../document/tree'
import { applyTo } from './apply'
import type { Edit } from './edit'
import { moduleFor } from './registry'

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
  const { within } = moduleFor(edit)
  const blocks = within(edit)
  const here = blocks.filter((id) => isHere(draft, id))
  if (here.length === blocks.length) return applyTo(draft, edit)
  if (here.length === 0) return undefined
  // From one page to another: it goes from here, or comes.
  const [moved] = blocks
  if (here[0] !== moved) throw new Absent(`${moved} comes from a page that is not here`)
  return applyTo(draft, { op: 'remove', node: moved! })
}

/** Whether an edit is about a page that is not here, or takes away what one may hold or use. */
export function needsAbsent(edit: Edit, { absent }: Tree): boolean {
  if (absent.size === 0) return false
  const { within, takes, takesShared } = moduleFor(edit)
  const taken = takes?.(edit)
  return (
    within(edit).some((id) => absent.has(id)) ||
    (taken !== undefined && absent.has(taken)) ||
    (takesShared?.(edit) ?? false)
  )
}
