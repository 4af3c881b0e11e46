/** Projects as logs of edits: loading, appending, copying. */
import { createHash } from 'node:crypto'
import type { Pool } from 'mysql2/promise'
import { nanoid } from 'nanoid'
import { Document } from '../core/document/document'
import { checkProject } from '../core/document/open'
import type { ProjectFile } from '../core/document/schema'
import { readEdit, rehearse } from '../core/edits/apply'
import { type Edit, EditError } from '../core/edits/edit'
import { EDITS_VERSION, replay } from '../core/edits/stored'
import type { SavedBatch } from '../core/replica/replica'
import { transaction } from './db/pool'
import * as sql from './db/projects.sql'
import { Problem } from './problem'

/** A snapshot is written whenever this many revisions have come since the last. */
const SNAPSHOT_EVERY = 40
const CACHE_MOST = 20

/** A project as of a revision; `head`: the key of the batch that made it, or ''. */
export type ReadProject = { id: string; name: string; revision: number; head: string; file: ProjectFile }
type Held = { revision: number; head: string; doc: Document }
type Reader = Parameters<typeof sql.newestSnapshot>[0]
/** Edits made on `base`, whose batch had the key `head`. */
export type NewBatch = { base: number; head: string; key: string; by: string; at: number; edits: unknown[] }
type Listener = (batch: SavedBatch) => void
type Refusal = { index: number; reason: string }

const gone = (id: string) => new Problem(404, 'No such project', `there is no project ${id}`)

const batchOf = (row: sql.BatchRow): SavedBatch => ({
  revision: row.revision,
  key: row.batch_key,
  after: row.after,
  by: row.author,
  at: (row.made_at ?? row.created_at).toISOString(),
  edits: JSON.parse(row.edits) as Edit[],
})

export class Projects {
  /** Documents as of a revision; only ever a shortcut for reading the log. */
  private readonly cache = new Map<string, Held>()
  private readonly listeners = new Map<string, Set<Listener>>()

  constructor(readonly pool: Pool) {}

  /** @param key the same again makes no second project and gives the same answer */
  async create(file: ProjectFile, key = nanoid()): Promise<{ id: string }> {
    const checked = checkProject(file)
    const id = createHash('sha256').update(key).digest('base64url').slice(0, 12)
    try {
      await transaction(this.pool, async (db) => {
        await sql.insertProject(db, id, checked.name)
        await sql.insertSnapshot(db, id, 0, JSON.stringify(checked))
      })
    } catch (error) {
      const isThere = (error as { cause?: { code?: string } }).cause?.code === 'ER_DUP_ENTRY'
      if (!isThere) throw error
    }
    return { id }
  }

  list() {
    return sql.listProjects(this.pool)
  }

  /** The project at one revision, as a file: what is held here goes on while who reads waits for something. @throws Problem 404 */
  async read(id: string): Promise<ReadProject> {
    for (let before: number | undefined; ; ) {
      const { name, revision, head } = await this.state(id)
      // Still behind what is held here: the log was set back under this server.
      if (revision === before) this.cache.delete(id)
      const held = await this.heldAt(this.pool, id, revision)
      // Nothing is waited for from here on. Moved on meanwhile: the next state is as good.
      if (held.revision === revision && held.head === head)
        return { id, name, revision, head, file: held.doc.toFile() }
      if (held.revision === revision) this.cache.delete(id)
      before = revision
    }
  }

  /** Where a project is. @throws Problem 404 */
  async state(id: string): Promise<{ name: string; revision: number; head: string }> {
    const row = await sql.findProject(this.pool, id)
    if (!row || row.deleted_at) throw gone(id)
    return {
      name: row.name,
      revision: row.revision,
      head: (await sql.keyOf(this.pool, id, row.revision)) ?? '',
    }
  }

  /** The document held here, at `revision` or, when another request brought it forward, later. */
  private async heldAt(db: Reader, id: string, revision: number): Promise<Held> {
    const held = this.cache.get(id) ?? (await this.newestHeld(db, id))
    if (held.revision < revision) {
      for (const batch of await sql.batchesAfter(db, id, held.revision)) {
        // Another request may have brought the same document forward while this one waited.
        if (batch.revision !== held.revision + 1) continue
        if (batch.after !== held.head) {
          // The log was set back and went on another way: what is held here is not its past.
          this.cache.delete(id)
          return this.heldAt(db, id, revision)
        }
        replay(held.doc, JSON.parse(batch.edits) as unknown[], batch.version)
        held.revision = batch.revision
        held.head = batch.batch_key
      }
    }
    this.cache.delete(id)
    this.cache.set(id, held)
    if (this.cache.size > CACHE_MOST) this.cache.delete(this.cache.keys().next().value!)
    return held
  }

  private async newestHeld(db: Reader, id: string): Promise<Held> {
    const snapshot = await sql.newestSnapshot(db, id)
    if (!snapshot) throw gone(id)
    const { revision, document } = snapshot
    const head = (await sql.keyOf(db, id, revision)) ?? ''
    return { revision, head, doc: Document.fromFile(JSON.parse(document) as ProjectFile) }
  }

  /** Batches after a revision. */
  async since(id: string, revision: number): Promise<SavedBatch[]> {
    return (await sql.batchesAfter(this.pool, id, revision)).map(batchOf)
  }

  /** Whether the log goes on from where somebody says they are. */
  async goesOnFrom(id: string, revision: number, head: string): Promise<boolean> {
    return (await sql.keyOf(this.pool, id, revision)) === head
  }

  /** Which of some batches are in the log. */
  known(id: string, keys: readonly string[]) {
    return sql.revisionsOfKeys(this.pool, id, keys)
  }

  /**
   * Appends a batch. The same `key` again changes nothing and gives the same answer.
   * @throws Problem 409 with what was missed, or with `apart` when the log does not go on from `base`; 422 with every edit
   * that is refused; 404
   */
  async append(id: string, batch: NewBatch): Promise<{ revision: number }> {
    const edits = readAll(batch.edits)
    try {
      const done = await transaction(
        this.pool,
        (db) => this.appendIn(db, id, batch, edits),
        (error) => error instanceof Problem,
      )
      if (done.saved) this.appended(id, done.saved, done.accept)
      return { revision: done.revision }
    } catch (error) {
      // Whatever went wrong unexpectedly may have to do with what is held here: it is read anew the next time.
      if (!(error instanceof Problem)) this.cache.delete(id)
      throw error
    }
  }

  private async appendIn(
    db: Parameters<Parameters<typeof transaction>[1]>[0],
    id: string,
    { base, head, key, by, at }: NewBatch,
    edits: Edit[],
  ): Promise<{ revision: number; saved?: SavedBatch; accept?: () => void }> {
    const row = await sql.lockProject(db, id)
    if (!row || row.deleted_at) throw gone(id)
    const before = await sql.batchByKey(db, id, key)
    if (before !== undefined) return { revision: before }
    if (base > row.revision || (await sql.keyOf(db, id, base)) !== head) throw apart(row.revision, base)
    if (base < row.revision) {
      throw new Problem(409, 'Behind', `the project has moved on to revision ${row.revision}`, {
        revision: row.revision,
        missed: (await sql.batchesAfter(db, id, base)).map(batchOf),
      })
    }
    const own = await this.heldAt(db, id, row.revision)
    // Set back: what is held here is not the log's any more; it is read anew when this is asked again.
    if (own.revision !== row.revision || own.head !== head)
      throw new Error(`held at ${own.revision}, the log is at ${row.revision}`)
    const { doc } = own
    const { draft, refused } = rehearse(doc, edits)
    if (refused.length > 0) throw refusal(refused)
    const revision = row.revision + 1
    const made = new Date(at)
    await sql.insertBatch(db, id, {
      revision,
      key,
      by,
      at: made,
      edits: JSON.stringify(edits),
      version: EDITS_VERSION,
    })
    await sql.advanceProject(db, id, revision, draft.name)
    const accept = () => {
      const held = this.cache.get(id)
      // Readers must not see what is not committed; another may have brought the document forward meanwhile.
      if (held?.doc !== doc || held.revision !== row.revision) return
      doc.accept(draft)
      held.revision = revision
      held.head = key
    }
    return { revision, saved: { revision, key, after: head, by, at: made.toISOString(), edits }, accept }
  }

  private appended(id: string, batch: SavedBatch, accept: (() => void) | undefined) {
    accept?.()
    for (const listener of this.listeners.get(id) ?? []) listener(batch)
    const held = this.cache.get(id)
    // Only a shortcut for loading: when it fails the log still has everything.
    if (batch.revision % SNAPSHOT_EVERY === 0 && held?.revision === batch.revision)
      void sql
        .insertSnapshot(this.pool, id, batch.revision, JSON.stringify(held.doc.toFile()))
        .catch(() => undefined)
  }

  async duplicate(id: string): Promise<{ id: string }> {
    const { file } = await this.read(id)
    return this.create({ ...file, name: `${file.name} copy`.slice(0, 200) })
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
}

/** The server's log is not the one that somebody's copy was made from: it was set back, or is not up to date yet. */
const apart = (revision: number, base: number) =>
  new Problem(409, 'Apart', `the project here is at revision ${revision} and does not go on from ${base}`, {
    revision,
    apart: true,
  })

const refusal = (refused: Refusal[]) => new Problem(422, 'Edit refused', refused[0].reason, { refused })

/** @throws Problem 422 with every edit that is none */
function readAll(values: unknown[]): Edit[] {
  const refused: Refusal[] = []
  const edits = values.flatMap((value, index) => {
    try {
      return [readEdit(value)]
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      refused.push({ index, reason: error.message })
      return []
    }
  })
  if (refused.length > 0) throw refusal(refused)
  return edits
}
