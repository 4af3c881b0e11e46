/** What tabs left that were closed or killed: what of it the server has already, and who goes on with the rest. */
import { nanoid } from 'nanoid'
import type { Edit } from '../../core/edits/edit'
import type { LeftBatch, Replica } from '../../core/replica/replica'
import type { Keep } from './keep'
import { keptHistory, restoreHistory } from './kept-history'
import type { Ports } from './ports'
import type { Timers } from './timers'
import { ApiError, type Wire } from './wire'

/** Between two tries to ask the server, ms. */
const RETRY = 8000

/** Batches of those left that are not in the project as of `revision`: these alone are applied. @throws ApiError */
export async function notKnown<T extends Pick<LeftBatch, 'key'>>(
  wire: Wire,
  project: string,
  left: readonly T[],
  revision: number,
): Promise<T[]> {
  if (left.length === 0) return []
  const known = await wire.known(
    project,
    left.map((batch) => batch.key),
  )
  const saved = new Set(known.filter((each) => each.revision <= revision).map((each) => each.key))
  return left.filter((batch) => !saved.has(batch.key))
}

/** The steps of this tab from before it was reloaded: of each what still stands, and is one's own to take back. */
export async function recoverHistory(
  project: string,
  { wire, tabs, store }: Ports,
  replica: Replica,
  left: readonly LeftBatch[],
) {
  const kept = keptHistory(store, project)
  if (!kept) return
  // What was not heard of since: a step must not take it back. Not known any more: no step can be.
  const missed =
    kept.revision === replica.revision
      ? []
      : await wire.since(project, kept.revision, kept.head).catch(() => undefined)
  if (!missed) return
  const saved = new Set(missed.map((batch) => batch.key))
  const waiting = replica.pending.flatMap((batch) => batch.changes)
  const lost = new Set(
    left
      .filter((batch) => !saved.has(batch.key))
      .flatMap((batch) => batch.changes.map((change) => change.id)),
  )
  restoreHistory(replica.history, kept, waiting, lost)
  const own = new Set(left.map((batch) => batch.key))
  const isWaiting = new Set(waiting)
  for (const batch of missed) {
    if (own.has(batch.key) || batch.by === tabs.id) continue
    for (const edit of batch.edits)
      replica.history.spare(edit, replica.doc, (change) => !isWaiting.has(change))
  }
}

/** Edits that the version before kept in the page's own store, one list for all tabs. */
export async function leftByOldVersion(
  project: string,
  keep: Keep | undefined,
): Promise<{ batches: LeftBatch[]; forget: () => void }> {
  const key = `just-lattice:unsaved:${project}`
  try {
    const stored = JSON.parse(localStorage.getItem(key) ?? '[]') as { key: string; edits: Edit[] }[]
    const batches = stored.map(({ key, edits }) => ({
      key,
      at: Date.now(),
      changes: edits
        // All views at once: not an edit any more.
        .filter((edit) => edit.op !== 'views' || 'change' in edit)
        .map((edit) => ({ id: nanoid(16), edit })),
    }))
    const today = await Promise.all(batches.map((batch) => keep?.today(batch) ?? batch))
    return { batches: today, forget: () => localStorage.removeItem(key) }
  } catch {
    return { batches: [], forget: () => undefined }
  }
}

/**
 * Takes over the logs of tabs that go without having sent everything.
 * @param tabs those that have left a log so far; further ones are heard of
 * @param adopt makes batches the project's, and the log of `tab` this one's
 */
export function watchTabs(
  project: string,
  ports: Ports,
  tabs: Iterable<string>,
  { replica, timers, signal }: { replica: Replica; timers: Timers; signal: AbortSignal },
  adopt: (batches: LeftBatch[], tab: string) => Promise<void>,
) {
  const takeOver = async (tab: string) => {
    while (!signal.aborted) {
      try {
        const left = (await ports.keep?.logs(project))?.get(tab) ?? []
        if (left.length === 0) return
        const fresh = await notKnown(ports.wire, project, left, replica.revision)
        if (!signal.aborted) await adopt(fresh, tab)
        return
      } catch (error) {
        if (!(error instanceof ApiError)) throw error
        // Not before the server says what it has of them.
        await new Promise<void>((resolve) => timers.after(`take over ${tab}`, RETRY, resolve))
      }
    }
  }
  const seen = new Set([ports.tabs.id])
  const see = (tab: string) => {
    if (seen.has(tab)) return
    seen.add(tab)
    const gone = () => {
      seen.delete(tab)
      return takeOver(tab)
    }
    ports.tabs.whenGone(tab, gone, signal)
  }
  for (const tab of tabs) see(tab)
  ports.tabs.announce(project, see, signal)
}
