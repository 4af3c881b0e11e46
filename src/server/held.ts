/** Documents held in memory, each as of a revision: only ever a shortcut for reading snapshots and logs. */
import type { Pool, PoolConnection } from 'mysql2/promise'
import { Document } from '../core/document/document'
import type { Outline } from '../core/document/outline'
import type { Draft } from '../core/edits/apply'
import { Absent } from '../core/edits/partly'
import { replay, replayPartly } from '../core/edits/stored'
import * as sql from './db/projects.sql'
import { Problem } from './problem'
import { newestPagesAt, type PagesAt, readSnapshot, writeSnapshot } from './snapshots'

type Connection = Pool | PoolConnection

const MOST_HELD = 20
/**
 * A snapshot is written when this many revisions have come since the last; where they come fast, not before so many ms have passed
 * either, or so many more: it costs as much as some dozens of them, and saves who loads the project less.
 */
export type Pace = { revisions: number; ms: number; most: number }
export const PACE: Pace = { revisions: 40, ms: 5000, most: 400 }

export type Held = {
  revision: number
  /** The key of the batch that made the revision, or ''. */
  head: string
  readonly doc: Document
  /** The newest snapshot that is known here: where it has the pages, and where the document stood then. */
  snapshot: { revision: number; at: PagesAt; tick: number }
  /** When this server wrote it, ms since it was started; one that it found counts as long ago. */
  writtenAt?: number
  /** One is being written. */
  writing?: boolean
}

export const gone = (id: string) => new Problem(404, 'No such project', `there is no project ${id}`)

export class HeldDocuments {
  private readonly held = new Map<string, Held>()

  constructor(private readonly pace: Pace) {}

  forget(id: string) {
    this.held.delete(id)
  }

  /** What is held here just now, at whatever revision. */
  peek(id: string): Held | undefined {
    return this.held.get(id)
  }

  /** The document at `revision` or, when another request brought it forward, later. @throws Problem 404 */
  async at(db: Connection, id: string, revision: number): Promise<Held> {
    const held = this.held.get(id) ?? (await this.newest(db, id))
    if (held.revision < revision && !(await this.forward(db, id, held))) {
      // The log was set back and went on another way, or is not kept from there on: this is not its past.
      this.forget(id)
      return this.at(db, id, revision)
    }
    this.held.delete(id)
    this.held.set(id, held)
    if (this.held.size > MOST_HELD) this.held.delete(this.held.keys().next().value!)
    return held
  }

  private async newest(db: Connection, id: string): Promise<Held> {
    const snapshot = await readSnapshot(db, id)
    if (!snapshot) throw gone(id)
    const { revision, file, at } = snapshot
    const doc = Document.fromFile(file)
    const head = (await sql.keyOf(db, id, revision)) ?? ''
    return { revision, head, doc, snapshot: { revision, at, tick: doc.tick } }
  }

  /**
   * A document with some pages, as of `revision`, for who reads those alone: nothing of the others is loaded.
   * @returns undefined when that cannot be said without them, or the log is not as it is thought to be
   */
  async partly(
    db: Connection,
    id: string,
    revision: number,
    wanted: (outline: Outline) => readonly string[],
  ): Promise<{ doc: Document; head: string } | undefined> {
    const snapshot = await readSnapshot(db, id, revision, wanted)
    if (!snapshot) return undefined
    const doc = Document.fromParts(snapshot.file, snapshot.absent)
    let at = snapshot.revision
    let head = (await sql.keyOf(db, id, at)) ?? ''
    for (const batch of await sql.batchesAfter(db, id, at)) {
      if (batch.revision > revision) break
      if (batch.revision !== at + 1 || batch.after !== head || batch.edits === '') return undefined
      try {
        replayPartly(doc, JSON.parse(batch.edits) as unknown[])
      } catch (error) {
        if (error instanceof Absent) return undefined
        throw error
      }
      at = batch.revision
      head = batch.batch_key
    }
    return at === revision ? { doc, head } : undefined
  }

  /** @returns false when the log does not go on from what is held */
  private async forward(db: Connection, id: string, held: Held): Promise<boolean> {
    for (const batch of await sql.batchesAfter(db, id, held.revision)) {
      // Another request may have brought the same document forward while this one waited.
      if (batch.revision !== held.revision + 1) continue
      if (batch.after !== held.head || batch.edits === '') return false
      replay(held.doc, JSON.parse(batch.edits) as unknown[])
      held.revision = batch.revision
      held.head = batch.batch_key
    }
    return true
  }

  /** What was appended is committed: `draft`, made of the document that is held, is the document. */
  accept(id: string, doc: Document, draft: Draft, revision: number, head: string) {
    const held = this.held.get(id)
    // Readers must not see what is not committed; another may have brought the document forward meanwhile.
    if (held?.doc !== doc || held.revision !== revision - 1) return
    doc.accept(draft)
    held.revision = revision
    held.head = head
  }

  /** Writes a snapshot when one is due. Only a shortcut for loading: when it fails the log still has everything. */
  async snapshotWhenDue(db: Connection, id: string): Promise<boolean> {
    const held = this.held.get(id)
    if (!held || held.writing || !isDue(held, this.pace)) return false
    held.writing = true
    held.writtenAt = performance.now()
    try {
      const newest = await newestPagesAt(db, id)
      // From here on as it is now: it goes on while this is written.
      const { doc, revision } = held
      const { tick } = doc
      const at = await writeSnapshot(db, id, revision, doc, unchangedPages(held, newest))
      held.snapshot = { revision, at, tick }
      return true
    } finally {
      held.writing = false
    }
  }
}

function isDue({ revision, snapshot, writtenAt }: Held, { revisions, ms, most }: Pace): boolean {
  const since = revision - snapshot.revision
  if (since < revisions) return false
  return writtenAt === undefined || since >= most || performance.now() - writtenAt >= ms
}

/** Pages whose bodies are as the newest snapshot has them: another server may have written one, and thinned out those before. */
function unchangedPages({ doc, snapshot }: Held, newest: PagesAt): PagesAt {
  const touched = doc.touchedSince(snapshot.tick)
  if (!touched) return new Map()
  const unchanged = new Map([...snapshot.at].filter(([page, at]) => newest.get(page) === at))
  for (const node of touched) if (doc.nodes.has(node)) unchanged.delete(doc.pageOf(node))
  return unchanged
}
