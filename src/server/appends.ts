/**
 * Appending batches to logs. Batches that arrive together, of whichever projects, are committed together, in order, and each
 * is acknowledged only then: a commit waits for the disk, and so they wait once.
 */
import type { Pool, PoolConnection, ResultSetHeader } from 'mysql2/promise'
import type { Document } from '../core/document/document'
import { calledBlob } from '../core/document/named-blobs'
import { type Draft, readEdit, rehearse } from '../core/edits/apply'
import { broughtBy } from '../core/edits/brought'
import { type Edit, EditError } from '../core/edits/edit'
import { EDITS_VERSION } from '../core/edits/stored'
import type { SavedBatch } from '../core/replica/replica'
import type { BlobStore } from './blobs'
import { noteUses } from './db/blobs.sql'
import { CommitUnknown, SIGNALLED, type Statement, transaction, transactionAtOnce } from './db/pool'
import * as sql from './db/projects.sql'
import { gone, type HeldDocuments } from './held'
import { isUnreachable, Problem } from './problem'
import { type Outcome, Together } from './together'

/** Edits made on `base`, whose batch had the key `head`. */
export type NewBatch = { base: number; head: string; key: string; by: string; at: number; edits: unknown[] }
type Job = { id: string; batch: NewBatch; edits: Edit[] }
type Done = { revision: number }
/** A batch that is in the transaction: what is to be done when that is committed. */
type Written = { saved: SavedBatch; doc: Document; draft: Draft }
type Refusal = { index: number; reason: string }
type Verdict = { outcome: Outcome<Done>; written?: Written }

/** Most batches in one transaction. */
const MOST = 64

export class Appends {
  private readonly together = new Together<Job, Done>((jobs) => this.group(jobs), MOST)

  constructor(
    private readonly pool: Pool,
    private readonly held: HeldDocuments,
    private readonly blobs: BlobStore,
    private readonly appended: (id: string, batch: SavedBatch) => void,
  ) {}

  /**
   * Appends a batch. The same `key` again changes nothing and gives the same answer.
   * @throws Problem 409 with what was missed, or with `apart` when the log does not go on from `base`; 422 with every edit
   * that is refused; 404
   */
  async add(id: string, batch: NewBatch): Promise<Done> {
    const edits = readAll(batch.edits)
    // Read before others have to wait for it.
    if (!this.held.peek(id)) await this.held.at(this.pool, id, 0)
    return this.together.add({ id, batch, edits })
  }

  private async group(jobs: readonly Job[]): Promise<readonly Outcome<Done>[]> {
    try {
      return await this.commit(jobs)
    } catch (error) {
      // Whatever went wrong unexpectedly may have to do with what is held here: it is read anew the next time.
      for (const { id } of jobs) this.held.forget(id)
      const cause = (error as { cause?: { code?: string } }).cause
      if (jobs.length === 1 || error instanceof CommitUnknown || isUnreachable(cause)) throw error
      // It may have been one of them: each by itself.
      const outcomes: Outcome<Done>[] = []
      for (const job of jobs) outcomes.push(...(await this.group([job]).catch((error) => [{ error }])))
      return outcomes
    }
  }

  private async commit(jobs: readonly Job[]): Promise<readonly Outcome<Done>[]> {
    const ready = jobs.map((job) => this.readyAsHeld(job))
    if (ready.some(Boolean) && !(await this.commitAsHeld(jobs, ready))) ready.fill(undefined)
    const others = jobs.filter((_, i) => !ready[i])
    const judged = others.length > 0 ? await transaction(this.pool, (db) => this.write(db, others)) : []
    this.accepted(others, judged)
    return jobs.map((job, i) => ready[i]?.outcome ?? judged[others.indexOf(job)]!.outcome)
  }

  private accepted(jobs: readonly Job[], verdicts: readonly (Verdict | undefined)[]) {
    verdicts.forEach((verdict, i) => {
      if (!verdict?.written) return
      const { id } = jobs[i]!
      const { saved, doc, draft } = verdict.written
      this.held.accept(id, doc, draft, saved.revision, saved.key)
      this.appended(id, saved)
    })
  }

  /** What goes on from what is held here, and needs nothing else to be known: nearly always that is so. */
  private readyAsHeld({ id, batch, edits }: Job): Verdict | undefined {
    const held = this.held.peek(id)
    if (!held || held.revision !== batch.base || held.head !== batch.head) return undefined
    if (broughtBy(edits).length > 0) return undefined
    const { draft, refused } = rehearse(held.doc, edits)
    return refused.length > 0 ? undefined : verdictOf(batch, edits, held.doc, draft, held.revision)
  }

  /** @returns false when something was not as it is held here, or sent before: then nothing has been written */
  private async commitAsHeld(
    jobs: readonly Job[],
    ready: readonly (Verdict | undefined)[],
  ): Promise<boolean> {
    // Two batches of one project cannot both go on from the same revision.
    const ids = jobs.filter((_, i) => ready[i]).map(({ id }) => id)
    if (new Set(ids).size < ids.length) return false
    const written = writtenOf(jobs, ready)
    try {
      await transactionAtOnce(this.pool, [...statementsOf(written), sql.unlessTouched(written.length)])
    } catch (error) {
      const { cause } = error as { cause?: { code?: string; errno?: number } }
      if (cause?.errno === SIGNALLED || cause?.code === 'ER_DUP_ENTRY') return false
      throw error
    }
    this.accepted(jobs, ready)
    return true
  }

  private async write(db: PoolConnection, jobs: readonly Job[]): Promise<Verdict[]> {
    const rows = await sql.lockProjects(db, [...new Set(jobs.map((job) => job.id))])
    const known = await sql.revisionsOf(
      db,
      jobs.map(({ id, batch }) => [id, batch.key] as const),
    )
    const verdicts: Verdict[] = []
    const moved = new Set<string>()
    for (const job of jobs) {
      // What comes behind another of its project sees that one first.
      const verdict: Verdict = moved.has(job.id)
        ? { outcome: { again: true } }
        : await this.judge(db, job, rows.get(job.id), known.get(`${job.id} ${job.batch.key}`))
      if (verdict.written) moved.add(job.id)
      verdicts.push(verdict)
    }
    await this.store(db, jobs, verdicts)
    return verdicts
  }

  private async judge(
    db: PoolConnection,
    { id, batch, edits }: Job,
    row: sql.ProjectRow | undefined,
    before: number | undefined,
  ): Promise<Verdict> {
    try {
      if (!row || row.deleted_at) throw gone(id)
      if (before !== undefined) return { outcome: { value: { revision: before } } }
      await this.checkBase(db, id, batch, row)
      const own = await this.held.at(db, id, row.revision)
      // Set back: what is held here is not the log's any more; it is read anew when this is asked again.
      if (own.revision !== row.revision || own.head !== row.head)
        throw new Error(`held at ${own.revision}, the log is at ${row.revision}`)
      await this.checkPictures(db, edits)
      const { draft, refused } = rehearse(own.doc, edits)
      if (refused.length > 0) throw refusal(refused)
      return verdictOf(batch, edits, own.doc, draft, row.revision)
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      return { outcome: { error } }
    }
  }

  private async checkBase(db: PoolConnection, id: string, { base, head }: NewBatch, row: sql.ProjectRow) {
    const { revision } = row
    const own = base === revision ? row.head : await sql.keyOf(db, id, base)
    if (base > revision || own !== head) throw apart(revision, base)
    if (base === revision) return
    const missed = await sql.batchesAfter(db, id, base)
    if (missed.some((each) => each.edits === '')) throw apart(revision, base)
    throw new Problem(409, 'Behind', `the project has moved on to revision ${revision}`, {
      revision,
      missed: missed.map(batchOf),
    })
  }

  /** @throws Problem 422 when the bytes of a picture are not here */
  private async checkPictures(db: PoolConnection, edits: readonly Edit[]) {
    const brought = broughtBy(edits)
    const missing = await this.blobs.missing(
      db,
      brought.map(({ blob }) => blob.hash),
    )
    if (missing.length === 0) return
    const refused = brought.flatMap(({ index, blob }) =>
      missing.includes(blob.hash) ? [{ index, reason: `${calledBlob(blob)} has not been sent` }] : [],
    )
    throw new Problem(422, 'Pictures missing', refused[0]!.reason, { refused, missing })
  }

  private async store(db: PoolConnection, jobs: readonly Job[], verdicts: readonly Verdict[]) {
    const written = writtenOf(jobs, verdicts)
    if (written.length === 0) return
    await noteUses(
      db,
      written.flatMap(({ id, saved }) => broughtBy(saved.edits).map(({ blob }) => [id, blob.hash] as const)),
    )
    const [insert, advance] = statementsOf(written)
    await db.query(...insert)
    const [{ affectedRows }] = await db.query<ResultSetHeader>(...advance)
    if (affectedRows < written.length) throw new Error('a project that was locked has moved')
  }
}

function writtenOf(jobs: readonly Job[], verdicts: readonly (Verdict | undefined)[]) {
  return verdicts.flatMap((verdict, i) => (verdict?.written ? [{ ...verdict.written, id: jobs[i]!.id }] : []))
}

/** The last one moves the projects on. */
function statementsOf(written: ReturnType<typeof writtenOf>): [Statement, Statement] {
  const insert = sql.insertBatches(
    written.map(({ id, saved: { revision, key, by, at, edits } }) => ({
      id,
      revision,
      key,
      by,
      at: new Date(at),
      edits: JSON.stringify(edits),
      version: EDITS_VERSION,
    })),
  )
  const advance = sql.advanceProjects(
    written.map(({ id, saved: { revision, after, key }, draft }) => ({
      id,
      from: { revision: revision - 1, head: after },
      to: { revision, head: key, name: draft.name },
    })),
  )
  return [insert, advance]
}

function verdictOf(
  { key, head, by, at }: NewBatch,
  edits: Edit[],
  doc: Document,
  draft: Draft,
  base: number,
): Verdict {
  const revision = base + 1
  const saved: SavedBatch = { revision, key, after: head, by, at: new Date(at).toISOString(), edits }
  return { outcome: { value: { revision } }, written: { saved, doc, draft } }
}

export const batchOf = (row: sql.BatchRow): SavedBatch => ({
  revision: row.revision,
  key: row.batch_key,
  after: row.after,
  by: row.author,
  at: (row.made_at ?? row.created_at).toISOString(),
  edits: JSON.parse(row.edits) as Edit[],
})

/** The log is not the one that somebody's copy was made from: it was set back, is not up to date, or is not kept that far. */
export const apart = (revision: number, base: number) =>
  new Problem(409, 'Apart', `the project here is at revision ${revision} and does not go on from ${base}`, {
    revision,
    apart: true,
  })

const refusal = (refused: Refusal[]) => new Problem(422, 'Edit refused', refused[0]!.reason, { refused })

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
