/**
 * What this browser keeps until the server has it: each tab's own log of batches, and parked edits, in IndexedDB. A write is
 * done when the browser says that it is on disk (strict durability), not when it was asked for.
 */
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { Parked } from '../../core/replica/parked'
import type { LeftBatch } from '../../core/replica/replica'

type KeptBatch = { project: string; tab: string; seq: number; batch: LeftBatch }
type KeptParked = { project: string; id: string; parked: Parked }

interface Schema extends DBSchema {
  batches: { key: [string, string, string]; value: KeptBatch }
  parked: { key: [string, string]; value: KeptParked }
}

/** What one write makes of a tab's log: all of it or nothing. */
export type Writing = {
  put: readonly { seq: number; batch: LeftBatch }[]
  /** Keys of batches. */
  drop: readonly string[]
  park?: readonly Parked[]
  /** A tab that is gone, whose log becomes this one's. */
  from?: string
}

const STRICT = { durability: 'strict' } as const
/** Sorts behind every string. */
const LAST = [[]]

export class Keep {
  private constructor(private readonly db: IDBPDatabase<Schema>) {}

  /** @throws when the browser gives no store */
  static async open(): Promise<Keep> {
    return new Keep(
      await openDB<Schema>('just-lattice', 1, {
        upgrade(db) {
          db.createObjectStore('batches', { keyPath: ['project', 'tab', 'batch.key'] })
          db.createObjectStore('parked', { keyPath: ['project', 'id'] })
        },
      }),
    )
  }

  /** The logs of a project by tab, each oldest first. */
  async logs(project: string): Promise<Map<string, LeftBatch[]>> {
    const range = IDBKeyRange.bound([project], [project, LAST])
    const rows = await this.db.getAll('batches', range)
    const byTab = new Map<string, LeftBatch[]>()
    for (const { tab, batch } of rows.sort((a, b) => a.seq - b.seq))
      byTab.set(tab, [...(byTab.get(tab) ?? []), batch])
    return byTab
  }

  async parked(project: string): Promise<Parked[]> {
    const rows = await this.db.getAll('parked', IDBKeyRange.bound([project], [project, LAST]))
    return rows.map((row) => row.parked).sort((a, b) => a.at - b.at)
  }

  /** Resolves when it is on disk. @throws when it is not: a full store, say */
  async write(project: string, tab: string, { put, drop, park = [], from }: Writing) {
    const write = this.db.transaction(['batches', 'parked'], 'readwrite', STRICT)
    const batches = write.objectStore('batches')
    const jobs: Promise<unknown>[] = []
    for (const key of drop) jobs.push(batches.delete([project, tab, key]))
    if (from !== undefined)
      jobs.push(batches.delete(IDBKeyRange.bound([project, from], [project, from, LAST])))
    for (const { seq, batch } of put) jobs.push(batches.put({ project, tab, seq, batch }))
    for (const parked of park) jobs.push(write.objectStore('parked').put({ project, id: parked.id, parked }))
    // Sent off at once, so that it is done even if the page is closing.
    write.commit()
    await Promise.all([...jobs, write.done])
  }

  async unpark(project: string, id: string) {
    const write = this.db.transaction('parked', 'readwrite', STRICT)
    void write.store.delete([project, id])
    await write.done
  }
}
