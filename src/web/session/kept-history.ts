/** The history survives a reload of its tab, as far as it fits the tab's store. */
import type { Edit } from '../../core/edits/edit'
import type { Change } from '../../core/edits/merge'
import { ofVersion2 } from '../../core/edits/stored'
import type { History, Step } from '../../core/replica/history'

type KeptChange = { id: string; edit: Edit; inverse?: Edit }
type KeptStep = { label: string; changes: KeptChange[] }
export type KeptHistory = { revision: number; head: string; undos: KeptStep[]; redos: KeptStep[] }

/** Steps that a reload keeps. */
const REMEMBERED = 100

const keyOf = (project: string) => `just-lattice:history:${project}`

/** Where a tab keeps what a reload finds: `sessionStorage`. */
export type TabStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>

export function rememberHistory(
  store: TabStore,
  project: string,
  history: History,
  revision: number,
  head: string,
) {
  const kept = (steps: Step[]) => steps.slice(-REMEMBERED).map(({ label, changes }) => ({ label, changes }))
  const { undos, redos } = history
  try {
    store.setItem(
      keyOf(project),
      JSON.stringify({ revision, head, undos: kept(undos), redos: kept(redos) } satisfies KeptHistory),
    )
  } catch {
    // Too long for the store, or forbidden: it lives as long as the tab.
    store.removeItem(keyOf(project))
  }
}

export function keptHistory(store: TabStore, project: string): KeptHistory | undefined {
  try {
    const kept = JSON.parse(store.getItem(keyOf(project)) ?? 'null') as KeptHistory | null
    if (!kept) return undefined
    // Pictures that lay in steps of an earlier version: the server has them, by the same names.
    const taken = new Map<string, Uint8Array>()
    const today = (steps: KeptStep[]) =>
      steps.map((step) => ({
        ...step,
        changes: step.changes.map(({ id, edit, inverse }) => ({
          id,
          edit: ofVersion2(edit, taken),
          inverse: inverse && ofVersion2(inverse, taken),
        })),
      }))
    return { ...kept, undos: today(kept.undos), redos: today(kept.redos) }
  } catch {
    return undefined
  }
}

/**
 * Puts kept steps back. A change that is still pending is the pending one's very object; one that is neither pending nor
 * saved was parked, and is no step any more.
 */
export function restoreHistory(
  history: History,
  kept: KeptHistory,
  pending: readonly Change[],
  left: ReadonlySet<string>,
) {
  const waiting = new Map(pending.map((change) => [change.id, change]))
  const restored = (steps: KeptStep[]): Step[] =>
    steps.flatMap(({ label, changes }) => {
      const stand = changes.flatMap(({ id, edit, inverse }) => {
        const own = waiting.get(id)
        if (own) return [own]
        return left.has(id) ? [] : [{ id, edit, inverse }]
      })
      return stand.length > 0 ? [{ label, changes: stand }] : []
    })
  history.undos.push(...restored(kept.undos))
  history.redos.push(...restored(kept.redos))
}
