/** Projects as logs of edits: loading, appending, copying. */
import type { Pool } from 'mysql2/promise'
import { nanoid } from 'nanoid'
import { Document } from '../core/document/document'
import { checkProject } from '../core/document/open'
import type { ProjectFile } from '../core/document/schema'
import { applyAll, readEdit } from '../core/edits/apply'
import { type Edit, EditError } from '../core/edits/edit'
import { transaction } from './db/pool'
import * as sql from './db/projects.sql'
import { Problem } from './problem'

/** A snapshot is written whenever this many revisions have come since the last. */
const SNAPSHOT_EVERY = 40
const CACHE_MOST = 20

export type Batch = { revision: number; key: string; edits: Edit[] }
export type Loaded = { id: string; name: string; revision: number; doc: Document }
type Listener = (batch: Batch) => void

const gone = (id: string) => new Problem(404, 'No such project', `there is no project ${id}`)

export class Projects {
  /** Documents as of a revision; only ever a shortcut for reading the log. */
  private readonly cache = new Map<string, { revision: number; doc: Document }>()
  private readonly listeners = new Map<string, Set<Listener>>()

  constructor(readonly pool: Pool) {}

  async create(file: ProjectFile, id = nanoid(12)): Promise<{ id: string }> {
    const checked = checkProject(file)
    await transaction(this.pool, async (db) => {
      await sql.insertProject(db, id, checked.name)
      await sql.insertSnapshot(db, id, 0, JSON.stringify(checked))
    })
    return { id }
  }

  list() {
    return sql.listProjects(this.pool)
  }

  /** @throws Problem 404 */
  async load(id: string): Promise<Loaded> {
    const row = await sql.findProject(this.pool, id)
    if (!row || row.deleted_at) throw gone(id)
    const doc = await this.documentAt(this.pool, id, row.revision)
    return { id, name: doc.name, revision: row.revision, doc }
  }

  private async documentAt(
    db: Parameters<typeof sql.newestSnapshot>[0],
    id: string,
    revision: number,
  ): Promise<Document> {
    let held = this.cache.get(id)
    if (!held || held.revision > revision) {
      const snapshot = await sql.newestSnapshot(db, id)
      if (!snapshot) throw gone(id)
      held = {
        revision: snapshot.revision,
        doc: Document.fromFile(JSON.parse(snapshot.document) as ProjectFile),
      }
    }
    if (held.revision < revision) {
      for (const batch of await sql.batchesAfter(db, id, held.revision)) {
        // Another request may have brought the same document forward while this one waited.
        if (batch.revision !== held.revision + 1 || batch.revision > revision) continue
        applyAll(held.doc, JSON.parse(batch.edits) as Edit[])
        held.revision = batch.revision
      }
    }
    this.cache.delete(id)
    this.cache.set(id, held)
    if (this.cache.size > CACHE_MOST) this.cache.delete(this.cache.keys().next().value!)
    return held.doc
  }

  async since(id: string, revision: number): Promise<Batch[]> {
    const rows = await sql.batchesAfter(this.pool, id, revision)
    return rows.map((row) => ({
      revision: row.revision,
      key: row.batch_key,
      edits: JSON.parse(row.edits) as Edit[],
    }))
  }

  async revision(id: string): Promise<number> {
    return (await sql.findProject(this.pool, id))?.revision ?? 0
  }

  /**
   * Appends edits made on `base`. The same `key` again changes nothing and gives the same answer.
   * @throws Problem 409 with what was missed, 422 when an edit is refused, 404
   */
  async append(id: string, base: number, key: string, values: unknown[]): Promise<{ revision: number }> {
    let edits: Edit[]
    try {
      edits = values.map(readEdit)
    } catch (error) {
      throw refused(error)
    }
    const done = await transaction(this.pool, async (db) => {
      const row = await sql.lockProject(db, id)
      if (!row || row.deleted_at) throw gone(id)
      const before = await sql.batchByKey(db, id, key)
      if (before !== undefined) return { revision: before, fresh: false }
      if (base > row.revision)
        throw new Problem(422, 'Unknown revision', `the project is at revision ${row.revision}, not ${base}`)
      if (base < row.revision) {
        const missed = (await sql.batchesAfter(db, id, base)).map((each) => ({
          revision: each.revision,
          key: each.batch_key,
          edits: JSON.parse(each.edits),
        }))
        throw new Problem(409, 'Behind', `the project has moved on to revision ${row.revision}`, {
          revision: row.revision,
          missed,
        })
      }
      const doc = await this.documentAt(db, id, row.revision)
      const revision = row.revision + 1
      const after = rehearse(doc, edits, revision % SNAPSHOT_EVERY === 0)
      await sql.insertBatch(db, id, revision, key, JSON.stringify(edits))
      await sql.advanceProject(db, id, revision, after.name)
      if (after.snapshot) await sql.insertSnapshot(db, id, revision, after.snapshot)
      return { revision, fresh: true }
    })
    const held = this.cache.get(id)
    if (done.fresh && held?.revision === done.revision - 1) {
      applyAll(held.doc, edits)
      held.revision = done.revision
    }
    if (done.fresh) this.announce(id, { revision: done.revision, key, edits })
    return { revision: done.revision }
  }

  async duplicate(id: string): Promise<{ id: string }> {
    const { doc } = await this.load(id)
    const file = structuredClone(doc.toFile())
    file.name = `${file.name} copy`.slice(0, 200)
    return this.create(file)
  }

  async setDeleted(id: string, deleted: boolean) {
    if (!(await sql.setDeleted(this.pool, id, deleted))) throw gone(id)
  }

  listen(id: string, listener: Listener): () => void {
    const set = this.listeners.get(id) ?? new Set()
    this.listeners.set(id, set.add(listener))
    return () => {
      set.delete(listener)
      if (set.size === 0) this.listeners.delete(id)
    }
  }

  private announce(id: string, batch: Batch) {
    for (const listener of this.listeners.get(id) ?? []) listener(batch)
  }
}

/**
 * What a document is after `edits`, which it does not keep: readers must not see what is not committed yet.
 * @throws Problem 422 when an edit is refused
 */
function rehearse(doc: Document, edits: Edit[], snapshot: boolean): { name: string; snapshot?: string } {
  let inverses: Edit[]
  try {
    inverses = applyAll(doc, edits)
  } catch (error) {
    throw refused(error)
  }
  const after = { name: doc.name, snapshot: snapshot ? JSON.stringify(doc.toFile()) : undefined }
  applyAll(doc, inverses)
  return after
}

function refused(error: unknown): unknown {
  return error instanceof EditError ? new Problem(422, 'Edit refused', error.message) : error
}
