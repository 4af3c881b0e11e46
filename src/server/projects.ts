/** Projects as logs of edits: making, loading, appending, copying. */
import { createHash } from 'node:crypto'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { nanoid } from 'nanoid'
import { checkProject } from '../core/document/check'
import { Document } from '../core/document/document'
import { calledBlob, namedBlobs } from '../core/document/named-blobs'
import { bodyOf, loadedFirst, type Outline, outlineOf, type PageBody } from '../core/document/outline'
import type { ProjectFile } from '../core/document/schema'
import type { SavedBatch } from '../core/replica/replica'
import { Appends, apart, batchOf, type NewBatch } from './appends'
import { BlobStore } from './blobs'
import { noteUses } from './db/blobs.sql'
import { transaction } from './db/pool'
import * as sql from './db/projects.sql'
import { gone, type Held, HeldDocuments, PACE } from './held'
import { picturesOn } from './pictures-on'
import { Problem } from './problem'
import { thinOut, writeSnapshot } from './snapshots'
import { SvgReader } from './svg-reader'

/** A project as of a revision; `head`: the key of the batch that made it, or ''. */
export type ReadProject = { id: string; name: string; revision: number; head: string; file: ProjectFile }
/** How often a project that moves on is looked at again, for a read that is one revision. */
const MOST_TRIES = 100

/** As a project, with the outline, one page and the templates alone; the page first. */
export type ReadPage = Omit<ReadProject, 'file'> & {
  outline: Outline
  pages: { id: string; body: PageBody }[]
}
type Listener = (batch: SavedBatch) => void

/** One page with its templates and its pictures: what it takes to draw it. */
export type PageFile = { file: ProjectFile; blobs: Map<string, Uint8Array> }

export class Projects {
  readonly blobs: BlobStore
  private readonly held: HeldDocuments
  private readonly appends: Appends
  private readonly listeners = new Map<string, Set<Listener>>()
  /** Told of every project that something was appended to here. */
  wentOn: ((id: string) => void) | undefined

  readonly svg = new SvgReader()

  /** @param pace how often snapshots are written */
  constructor(
    readonly pool: Pool,
    pace = PACE,
  ) {
    this.held = new HeldDocuments(pace)
    this.blobs = new BlobStore(pool, (svg) => this.svg.isClean(svg))
    this.appends = new Appends(pool, this.held, this.blobs, (id, batch) => this.appended(id, batch))
  }

  /**
   * @param file its pictures are in the blob store already
   * @param key the same again makes no second project and gives the same answer
   * @throws Problem 422 with the hashes of pictures that are not there
   */
  async create(file: ProjectFile, key = nanoid()): Promise<{ id: string }> {
    const checked = checkProject(file)
    const id = createHash('sha256').update(key).digest('base64url').slice(0, 12)
    try {
      await transaction(
        this.pool,
        (db) => this.createIn(db, id, checked),
        (error) => error instanceof Problem,
      )
    } catch (error) {
      const isThere = (error as { cause?: { code?: string } }).cause?.code === 'ER_DUP_ENTRY'
      if (!isThere) throw error
    }
    return { id }
  }

  private async createIn(db: PoolConnection, id: string, file: ProjectFile) {
    const named = namedBlobs(file)
    const hashes = [...new Set(named.map(({ hash }) => hash))]
    const missing = await this.blobs.missing(db, hashes)
    if (missing.length > 0) {
      const blob = named.find(({ hash }) => hash === missing[0])!
      throw new Problem(422, 'Pictures missing', `${calledBlob(blob)} has not been sent`, { missing })
    }
    await sql.insertProject(db, id, file.name)
    await writeSnapshot(db, id, 0, Document.fromFile(file))
    await noteUses(
      db,
      hashes.map((hash) => [id, hash] as const),
    )
  }

  list() {
    return sql.listProjects(this.pool)
  }

  /** Those in the trash. */
  listDeleted() {
    return sql.listDeleted(this.pool)
  }

  /** The project at one revision, as a file: what is held here goes on while who reads waits for something. @throws Problem 404 */
  async read(id: string): Promise<ReadProject> {
    const { name, held } = await this.current(id)
    return { id, name, revision: held.revision, head: held.head, file: held.doc.toFile() }
  }

  /**
   * The outline, one page and the templates, at one revision.
   * @param wanted the page's id; one that is not there, or none: the first page
   * @throws Problem 404
   */
  async readPage(id: string, wanted: string | undefined): Promise<ReadPage> {
    const { name, revision, head } = await this.state(id)
    const held = this.held.peek(id)
    const part =
      held?.revision === revision && held.head === head
        ? held
        : await this.held.partly(this.pool, id, revision, ({ pages }) => loadedFirst(pages, wanted))
    const isRight = part !== undefined && part.head === head
    // What cannot be said in part is said of the whole.
    const { doc, ...at } = isRight ? { doc: part.doc, revision, head } : (await this.current(id)).held
    return {
      id,
      name,
      revision: at.revision,
      head: at.head,
      outline: outlineOf(doc),
      pages: loadedFirst(doc.allPages(), wanted).map((page) => ({ id: page, body: bodyOf(doc, page) })),
    }
  }

  /** The document that is held here, as of now: it moves on as soon as anything is waited for. */
  private async current(id: string): Promise<{ name: string; held: Held }> {
    let before: number | undefined
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const { name, revision, head } = await this.state(id)
      // Still behind what is held here: the log was set back under this server.
      if (revision === before) this.held.forget(id)
      const held = await this.held.at(this.pool, id, revision)
      // Nothing is waited for from here on. Moved on meanwhile: the next state is as good.
      if (held.revision === revision && held.head === head) return { name, held }
      if (held.revision === revision) this.held.forget(id)
      before = revision
    }
    throw new Error(`the log of ${id} is not that of the project: it does not come to where the project is`)
  }

  /** A copy of the document as it is now, with its pictures. */
  async whole(id: string): Promise<{ name: string; doc: Document; blobs: Map<string, Uint8Array> }> {
    const { name, file } = await this.read(id)
    return { name, doc: Document.fromFile(file), blobs: await this.blobs.read(namedBlobs(file)) }
  }

  /** What draws the first page, and as of when. */
  async pageFile(id: string, wanted?: string) {
    const { held } = await this.current(id)
    const { doc, revision, head } = held
    const page = wanted === undefined ? doc.pagesInOrder()[0] : doc.pages.get(wanted)
    if (!page && wanted !== undefined)
      throw new Problem(404, 'Not found', `there is no page ${wanted} in this project`)
    const assets = page ? [...picturesOn(doc, page)] : []
    const shown = page ? [page, ...doc.templatesOf(page.id)] : []
    const file: ProjectFile = { ...doc.frame(), assets, pages: shown.map(({ id }) => doc.pageFile(id)) }
    return {
      revision,
      head,
      page,
      drawable: { file, blobs: await this.blobs.read(namedBlobs(file)) } satisfies PageFile,
    }
  }

  /** Where a project is. @throws Problem 404 */
  async state(id: string): Promise<{ name: string; revision: number; head: string }> {
    const row = await sql.findProject(this.pool, id)
    if (!row || row.deleted_at) throw gone(id)
    const { name, revision, head } = row
    return { name, revision, head }
  }

  /** Batches after a revision. @throws Problem 409 when the log is not kept that far */
  async since(id: string, revision: number): Promise<SavedBatch[]> {
    const rows = await sql.batchesAfter(this.pool, id, revision)
    if (rows.some((row) => row.edits === '')) throw apart(rows.at(-1)!.revision, revision)
    return rows.map(batchOf)
  }

  /** Whether the log goes on from where somebody says they are. */
  async goesOnFrom(id: string, revision: number, head: string): Promise<boolean> {
    if ((await sql.keyOf(this.pool, id, revision)) !== head) return false
    return !(await sql.isCompacted(this.pool, id, revision + 1))
  }

  /** Which of some batches are in the log. */
  known(id: string, keys: readonly string[]) {
    return sql.revisionsOfKeys(this.pool, id, keys)
  }

  append(id: string, batch: NewBatch): Promise<{ revision: number }> {
    return this.appends.add(id, batch)
  }

  private appended(id: string, batch: SavedBatch) {
    for (const listener of this.listeners.get(id) ?? []) listener(batch)
    this.wentOn?.(id)
    void this.snapshotWhenDue(id).catch(() => undefined)
  }

  /** Those before are thinned out at once: where there is much work they come every few seconds. */
  private async snapshotWhenDue(id: string) {
    if (await this.held.snapshotWhenDue(this.pool, id)) await thinOut(this.pool, id, Date.now())
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
