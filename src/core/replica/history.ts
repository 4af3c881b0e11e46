/** What was done here, to be undone and done again. Only one's own, and of it only what still stands. */
import type { Tree } from '../document/tree'
import type { Edit } from '../edits/edit'
import { touchesInside } from '../edits/inside'
import type { Change } from '../edits/merge'
import { moduleFor } from '../edits/registry'
import type { TextRebase } from '../edits/text-rebase'

/** One thing done; `changes` in the order in which they were applied. */
export type Step = { label: string; changes: Change[]; gesture?: string }

/** Most steps kept. */
const MOST = 500

export class History {
  /** Oldest first. */
  readonly undos: Step[] = []
  /** What was undone: the last is the next to be done again. */
  readonly redos: Step[] = []

  /** The step that changes go into now: the last one while its gesture lasts, else a new one. What was undone is forgotten. */
  begin(label: string, gesture: string | undefined): Step {
    this.redos.length = 0
    const last = this.undos.at(-1)
    if (last && gesture !== undefined && last.gesture === gesture) return last
    const step: Step = { label, changes: [], gesture }
    this.undos.push(step)
    if (this.undos.length > MOST) this.undos.shift()
    return step
  }

  *changes(): Generator<Change> {
    for (const step of this.undos) yield* step.changes
    for (const step of this.redos) yield* step.changes
  }

  /** Somebody else did `over` after the changes that `isSaved` names: what it changed is theirs now. */
  spare(over: Edit, now: Tree, isSaved: (change: Change) => boolean) {
    for (const change of this.changes()) {
      if (!change.inverse || !isSaved(change)) continue
      const { inverse } = change
      const { spare, takes } = moduleFor(inverse)
      const taken = takes?.(inverse)
      // What somebody else put into a block of mine, or changed in it, does not go with it.
      if (taken !== undefined && touchesInside(over, taken, now)) change.inverse = undefined
      else if (spare) change.inverse = spare(inverse, over)
    }
  }

  /**
   * Moves what takes typed words back to where they stand now. Undoing goes from the newest to the oldest, so they are moved in that
   * row; what was undone is done again in a row of its own.
   * @param texts as it is when everything that stands here has passed @param put what waiting changes are now
   */
  moveTexts(texts: TextRebase, put: ReadonlyMap<Change, { inverse: Edit }>) {
    for (const steps of [this.undos, this.redos]) {
      const row = texts.branch()
      for (const { changes } of [...steps].reverse())
        for (const change of [...changes].reverse())
          if (change.inverse) change.inverse = row.inverse(change.inverse, put.get(change)?.inverse)
    }
  }

  /** Forgets changes that do not stand: parked or taken out. */
  forget(gone: ReadonlySet<Change>) {
    for (const steps of [this.undos, this.redos]) {
      for (let i = steps.length - 1; i >= 0; i--) {
        const left = steps[i]!.changes.filter((change) => !gone.has(change))
        if (left.length === steps[i]!.changes.length) continue
        if (left.length > 0) steps[i]!.changes = left
        else steps.splice(i, 1)
      }
    }
  }

  /** Forgets everything that is not among `kept`. */
  keepOnly(kept: ReadonlySet<Change>) {
    this.forget(new Set([...this.changes()].filter((change) => !kept.has(change))))
  }
}
