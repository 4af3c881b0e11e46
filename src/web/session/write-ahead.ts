/** Writes a tab's pending batches ahead of the network, one write after the other, and knows what is on disk. */
import type { Parked } from '../../core/replica/parked'
import type { PendingBatch } from '../../core/replica/replica'
import type { Keep, Writing } from './keep'

/** Said when the browser keeps nothing: private windows, a full disk, a store that is forbidden. */
const NO_STORE = 'this browser keeps nothing for this page'

export class WriteAhead {
  /** Why nothing can be kept, in words. */
  fault: string | undefined
  /** What is on disk, by key: each batch as it was written, and its place among the others. */
  private readonly onDisk = new Map<string, { sign: string; seq: number }>()
  private seq = 0
  /** Resolves when nothing is being written. */
  idle: Promise<void> = Promise.resolve()
  private busy = false
  private waiting: { pending: readonly PendingBatch[]; park: Parked[]; from?: string } | undefined

  constructor(
    private readonly project: string,
    private readonly tab: string,
    private readonly keep: Keep | undefined,
    private readonly changed: () => void,
  ) {
    if (!keep) this.fault = NO_STORE
  }

  /** What the tab's log holds from before. */
  found(keys: readonly string[]) {
    for (const key of keys) this.onDisk.set(key, { sign: '', seq: ++this.seq })
  }

  /** Whether all of these are on disk as they are now. */
  holds(pending: readonly PendingBatch[]): boolean {
    return pending.every((batch) => this.isOnDisk(batch))
  }

  private isOnDisk(batch: PendingBatch): boolean {
    return this.onDisk.get(batch.key)?.sign === sign(batch)
  }

  /** Makes the tab's log what is pending. Resolves when that, or something newer, is on disk or cannot be. */
  write(pending: readonly PendingBatch[], park: readonly Parked[] = [], from?: string): Promise<void> {
    const before = this.waiting
    this.waiting = { pending, park: [...(before?.park ?? []), ...park], from: from ?? before?.from }
    if (!this.busy) this.idle = this.run()
    return this.idle
  }

  /** The first write is begun at once: a page that is closing has no later. */
  private async run() {
    this.busy = true
    while (this.waiting) await this.next()
    this.busy = false
  }

  private async next() {
    const { waiting } = this
    this.waiting = undefined
    if (!waiting || !this.keep) return
    const { pending, park, from } = waiting
    const keys = new Set(pending.map((batch) => batch.key))
    const drop = [...this.onDisk.keys()].filter((key) => !keys.has(key))
    const fresh = this.toWrite(pending)
    if (fresh.length + drop.length + park.length === 0 && from === undefined) return
    const writing: Writing = {
      put: fresh.map(({ batch: { key, at, changes }, seq }) => ({
        seq,
        batch: { key, at, changes: changes.map(({ id, edit }) => ({ id, edit })) },
      })),
      drop,
      park,
      from,
    }
    try {
      await this.keep.write(this.project, this.tab, writing)
      for (const key of drop) this.onDisk.delete(key)
      for (const { key, sign, seq } of fresh) this.onDisk.set(key, { sign, seq })
      this.fault = undefined
    } catch (error) {
      this.fault = `this browser could not keep it (${(error as Error).name === 'QuotaExceededError' ? 'its store is full' : (error as Error).message})`
    }
    this.changed()
  }

  /** What is not on disk as it is now, or not at its place: the log is read in the order of places. */
  private toWrite(pending: readonly PendingBatch[]) {
    let last = 0
    return pending.flatMap((batch) => {
      const known = this.onDisk.get(batch.key)
      if (known && known.seq > last && this.isOnDisk(batch)) {
        last = known.seq
        return []
      }
      const seq = known && known.seq > last ? known.seq : ++this.seq
      last = seq
      return [{ batch, key: batch.key, sign: sign(batch), seq }]
    })
  }
}

/** Edits are replaced, never changed, and each gets a number as it is first seen: their sum says whether any is another. */
const numbers = new WeakMap<object, number>()
let count = 0
function sign(batch: PendingBatch): string {
  let sum = 0
  for (const { edit } of batch.changes) {
    let number = numbers.get(edit)
    if (number === undefined) {
      number = ++count
      numbers.set(edit, number)
    }
    sum += number
  }
  return `${batch.changes.length} ${sum}`
}
