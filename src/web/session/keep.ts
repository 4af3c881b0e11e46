/**
 * What this browser keeps until the server has it: each tab's own log of batches, and parked edits, in IndexedDB. A write is
 * done when the browser says that it is on disk (strict durability), not when it was asked for.
 */
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { broughtBy } from '../../core/edits/brought'
import type { Edit } from '../../core/edits/edit'
import { ofVersion2 } from '../../core/edits/stored'
import type { Parked } from '../../core/replica/parked'
import type { LeftBatch } from '../../core/replica/replica'

type KeptBatch = { project: string; tab: string; seq: number; batch: LeftBatch }
type KeptParked = { project: string; id: string; parked: Parked }
/** `at`: when it was kept, ms since 1970. */
/** `seq`: in which order they were confirmed. */
type KeptConfirmed = { project: string; seq: number; batch: LeftBatch }
type KeptBlob = { hash: string; type: string; bytes: Uint8Array; at: number }

interface Schema extends DBSchema {
  batches: { key: [string, string, string]; value: KeptBatch }
  parked: { key: [string, string]; value: KeptParked }
  blobs: { key: string; value: KeptBlob }
  confirmed: { key: [string, string]; value: KeptConfirmed }
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

/** How long a picture waits for edits that name it, ms: those set aside among them. */
const LONGEST_KEPT = 90 * 86_400_000

/** What the server has confirmed is kept for a backup's age, and so many batches of a project at most; ms. */
const CONFIRMED_KEPT = 30 * 86_400_000
const MOST_CONFIRMED = 1000

const STRICT = { durability: 'strict' } as const
/** Sorts behind every string. */
const LAST = [[]]

export class Keep {
  private seq = 0
  private constructor(private readonly db: IDBPDatabase<Schema>) {}

  /** @throws when the browser gives no store */
  static async open(): Promise<Keep> {
    let refuse: (error: Error) => void
    const refused = new Promise<never>((_, reject) => {
      refuse = reject
    })
    const opened = openDB<Schema>('just-lattice', 3, {
      upgrade(db, before) {
        if (before < 1) {
          db.createObjectStore('batches', { keyPath: ['project', 'tab', 'batch.key'] })
          db.createObjectStore('parked', { keyPath: ['project', 'id'] })
        }
        if (before < 2) db.createObjectStore('blobs', { keyPath: 'hash' })
        db.createObjectStore('confirmed', { keyPath: ['project', 'batch.key'] })
      },
      blocked: () => refuse(new Error('a tab with an earlier version of this program is open')),
      // A newer version of ours wants to open it: it is not kept waiting.
      blocking: (_, __, event) => (event.target as IDBDatabase).close(),
    })
    return new Keep(await Promise.race([opened, refused]))
  }

  /** The logs of a project by tab, each oldest first. */
  async logs(project: string): Promise<Map<string, LeftBatch[]>> {
    const range = IDBKeyRange.bound([project], [project, LAST])
    const rows = await this.db.getAll('batches', range)
    const byTab = new Map<string, LeftBatch[]>()
    for (const { tab, batch } of rows.sort((a, b) => a.seq - b.seq)) {
      byTab.set(tab, [...(byTab.get(tab) ?? []), await this.today(batch)])
    }
    return byTab
  }

  /** What holds edits as an earlier version kept them, as it would be kept now: pictures that lay in them are put apart. */
  async today(batch: LeftBatch): Promise<LeftBatch> {
    const edits = await this.editsToday(batch.changes.map((change) => change.edit))
    return { ...batch, changes: batch.changes.map((change, i) => ({ ...change, edit: edits[i]! })) }
  }

  private async editsToday(edits: readonly Edit[]): Promise<Edit[]> {
    const taken = new Map<string, Uint8Array>()
    const now = edits.map((edit) => ofVersion2(edit, taken))
    for (const { blob } of broughtBy(now)) {
      const bytes = taken.get(blob.hash)
      if (bytes) await this.keepBlob(blob.hash, bytes, blob.type)
    }
    return now
  }

  async parked(project: string): Promise<Parked[]> {
    const rows = await this.db.getAll('parked', IDBKeyRange.bound([project], [project, LAST]))
    const parked = rows.map((row) => row.parked).sort((a, b) => a.at - b.at)
    return Promise.all(parked.map(async (each) => ({ ...each, edits: await this.editsToday(each.edits) })))
  }

  /** Pictures that are not known to have arrived at the server. Those that nobody sent for long are let go. */
  async blobs(): Promise<KeptBlob[]> {
    const blobs = await this.db.getAll('blobs')
    const old = Date.now() - LONGEST_KEPT
    for (const { hash, at } of blobs) if (at < old) await this.dropBlob(hash)
    return blobs.filter(({ at }) => at >= old)
  }

  /** Resolves when it is on disk. @throws when it is not */
  async keepBlob(hash: string, bytes: Uint8Array, type: string) {
    const write = this.db.transaction('blobs', 'readwrite', STRICT)
    void write.store.put({ hash, type, bytes, at: Date.now() })
    await write.done
  }

  async dropBlob(hash: string) {
    await this.db.delete('blobs', hash)
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

  /** Keeps what the server has confirmed: to find out one day that it has it no more. */
  async confirm(project: string, batches: readonly LeftBatch[]) {
    const write = this.db.transaction('confirmed', 'readwrite')
    for (const { key, at, changes } of batches) {
      const batch = { key, at, changes: changes.map(({ id, edit }) => ({ id, edit })) }
      this.seq = Math.max(this.seq + 0.001, Date.now())
      void write.store.put({ project, seq: this.seq, batch })
    }
    await write.done
  }

  /** What it has confirmed lately, oldest first; what is older is let go. */
  async confirmed(project: string): Promise<LeftBatch[]> {
    const rows = await this.db.getAll('confirmed', IDBKeyRange.bound([project], [project, LAST]))
    const batches = rows.sort((a, b) => a.seq - b.seq).map((row) => row.batch)
    const old = Date.now() - CONFIRMED_KEPT
    const kept = batches.slice(-MOST_CONFIRMED).filter(({ at }) => at >= old)
    const stays = new Set(kept.map(({ key }) => key))
    await this.unconfirm(
      project,
      batches.flatMap(({ key }) => (stays.has(key) ? [] : [key])),
    )
    return kept
  }

  /** Forgets what was confirmed, which is set aside by the same write if it is to be kept all the same. */
  async unconfirm(project: string, keys: readonly string[], parked?: Parked) {
    if (keys.length === 0) return
    const write = this.db.transaction(['confirmed', 'parked'], 'readwrite', STRICT)
    for (const key of keys) void write.objectStore('confirmed').delete([project, key])
    if (parked) void write.objectStore('parked').put({ project, id: parked.id, parked })
    await write.done
  }

  async unpark(project: string, id: string) {
    const write = this.db.transaction('parked', 'readwrite', STRICT)
    void write.store.delete([project, id])
    await write.done
  }
}
