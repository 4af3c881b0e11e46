/** Merging the edits of one gesture, so that a drag is one step and one record. */
import type { Edit } from './edit'
import { moduleFor } from './registry'

/** An edit that was applied, and what takes it back. Who keeps one keeps the object: it changes as it is merged and rebased. */
export type Change = {
  readonly id: string
  edit: Edit
  /** Undefined: nothing of it stands any more, since others changed it after it was saved. */
  inverse: Edit | undefined
}

const placeOf = (edit: Edit) => moduleFor(edit).place?.(edit)

/** The one edit that does what `first` and then `second`, right after it, do; undefined when they stay two. */
export function mergeEdits(first: Edit, second: Edit): Edit | undefined {
  return first.op === second.op ? moduleFor(first).merge?.(first, second) : undefined
}

/** Makes `first` what it and then `second` do. @returns whether that could be */
function merged(first: Change, second: Change): boolean {
  if (!first.inverse || !second.inverse) return false
  const edit = mergeEdits(first.edit, second.edit)
  const inverse = mergeEdits(second.inverse, first.inverse)
  if (!edit || !inverse) return false
  first.edit = edit
  first.inverse = inverse
  return true
}

/**
 * Adds `next` to `changes`. Each is merged into the one right before it, or into one behind which only other places were
 * changed; else it is added at the end.
 * @param from index of the first that may be merged into
 * @returns those of `next` that were added
 */
export function mergeInto(changes: Change[], next: readonly Change[], from = 0): Change[] {
  // What may be merged into, by place: all behind the last change that depends on more than one.
  const open = new Map<string, Change>()
  for (let i = changes.length - 1; i >= from; i--) {
    const place = placeOf(changes[i]!.edit)
    if (place === undefined) break
    if (!open.has(place)) open.set(place, changes[i]!)
  }
  const added: Change[] = []
  for (const change of next) {
    const place = placeOf(change.edit)
    const last = changes.length > from ? changes[changes.length - 1] : undefined
    const target = (place === undefined ? undefined : open.get(place)) ?? last
    if (target && merged(target, change)) {
      if (placeOf(target.edit) === undefined) open.clear()
      continue
    }
    if (place === undefined) open.clear()
    else open.set(place, change)
    changes.push(change)
    added.push(change)
  }
  return added
}
