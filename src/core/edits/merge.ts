/** Merging the edits of one gesture, so that a drag is one step and one record. */
import type { Edit } from './edit'

/** The one edit that does what `first` and then `second` do, or undefined when they stay two. */
export function mergeEdits(first: Edit, second: Edit): Edit | undefined {
  if (first.op === 'set' && second.op === 'set' && first.node === second.node && first.view === second.view) {
    return { ...first, props: { ...first.props, ...second.props } }
  }
  if (first.op === 'meta' && second.op === 'meta' && first.node === second.node)
    return { ...first, ...second }
  if (first.op === 'move' && second.op === 'move' && first.node === second.node) return second
  if (first.op === 'page-meta' && second.op === 'page-meta' && first.id === second.id) {
    return { ...first, set: { ...first.set, ...second.set } }
  }
  if (first.op === 'aid' && second.op === 'aid' && first.page === second.page && first.id === second.id)
    return second
  if (first.op === 'views' && second.op === 'views') return second
  if (first.op === 'project' && second.op === 'project') return second
  if (first.op === 'token' && second.op === 'token' && first.name === second.name) return second
  if (first.op === 'asset' && second.op === 'asset' && first.id === second.id) return second
  return undefined
}

/** Appends `next` to `edits`, merging neighbours. Neither list is changed. */
export function mergeInto(edits: readonly Edit[], next: readonly Edit[]): Edit[] {
  const out = [...edits]
  for (const edit of next) {
    // Only the same run of single-node edits may merge: anything between could depend on the order.
    const at = out.findLastIndex((earlier) => mergeEdits(earlier, edit) !== undefined)
    const between = at < 0 ? [] : out.slice(at + 1)
    if (at >= 0 && between.every((other) => other.op === edit.op)) out[at] = mergeEdits(out[at], edit)!
    else out.push(edit)
  }
  return out
}
