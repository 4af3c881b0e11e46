/** An edit that was made without knowing of others' meets what these left: what it refers to may be gone, or be called something else. */
import type { Tree } from '../document/tree'
import { type Edit, EditError } from '../edits/edit'
import { moduleOf } from '../edits/registry'
import { quoted } from '../edits/words'
import type { Meanwhile } from './since'

/** @throws EditError when values that are put back refer to what is gone by now; what is in a block that comes back stays as it was */
export function withWhatIsThere(now: Tree, inverse: Edit): Edit {
  const module = moduleOf(inverse.op)
  if (!module || module.puts?.(inverse).length) return inverse
  const names = new Set(now.tokenTable.names())
  const gone = module.needs(inverse).find(({ what, id }) => what === 'token' && !names.has(id))
  if (gone) throw new EditError(`the ${gone.what} ${quoted(gone.id)} is not there any more`)
  return inverse
}

/**
 * @returns the edit, bound to what things are called now
 * @throws EditError when something that it needs is gone
 */
export function boundTo(edit: Edit, since: Meanwhile): Edit {
  // What is of no kind that is known here is refused when it is applied.
  const { needs, rebind } = moduleOf(edit.op) ?? {}
  const gone = (needs?.(edit) ?? []).filter(({ what, id }) => since.gone(what, id))
  if (gone.length === 0) return edit
  const heirs = new Map<string, string>()
  for (const { what, id } of gone) {
    const heir = what === 'token' ? since.heirOf(id) : undefined
    if (heir === undefined || !rebind) throw new EditError(`somebody else removed the ${what} ${quoted(id)}`)
    heirs.set(id, heir)
  }
  return rebind!(edit, heirs)
}
