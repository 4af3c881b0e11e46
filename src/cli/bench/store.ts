/** What the store takes and gives: bytes of logs and snapshots, and opening a page of a small and of a large project. */

import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { nameOf } from '../../core/blobs/blobs'
import { Document } from '../../core/document/document'
import { partsOf } from '../../core/document/outline'
import type { NodeTree, PageFile, ProjectFile } from '../../core/document/schema'
import { PageLayout } from '../../core/layout/page'
import { starterProject } from '../../core/shelf/starter'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import { said } from '../../core/words/words'
import { migrate } from '../../server/db/migrate'
import { openPool } from '../../server/db/pool'
import { loadFonts } from '../../server/fonts'
import { compact } from '../../server/housekeeping'
import { startMariaDb } from '../../server/mariadb'
import { Projects } from '../../server/projects'
import { inUse } from './growth'
import { type Further, median } from './statistics'

const EDITS = 10_000
const PAGES = 100
const BLOCKS = 300
const PICTURE = 4_000_000
const REPLACED = 60
const ROUNDS = 9
const DAY = 86_400_000

export async function benchStore(): Promise<Further[]> {
  const folder = await mkdtemp(join(tmpdir(), 'just-lattice-store-'))
  const database = await startMariaDb(folder)
  const pool = openPool(database.address)
  try {
    await migrate(pool)
    return [await logOfEdits(pool), await logOfPictures(pool), ...(await opening(pool))]
  } finally {
    await pool.end()
    await database.stop()
    await rm(folder, { recursive: true, force: true })
  }
}

/** A project of pages, each of a section with blocks. */
function projectOf(pages: number): ProjectFile {
  const file = starterProject('Bench', 'p0')
  const block = (page: number, n: number): NodeTree => ({
    id: `p${page}b${n}`,
    kind: 'text',
    name: `Words ${n}`,
    order: `a${String.fromCharCode(65 + Math.floor(n / 26))}${String.fromCharCode(66 + (n % 24))}`,
    props: {
      words: said(`What stands in block ${n} of page ${page}.`),
      fontSize: 16,
      color: '#1c2a24',
    },
  })
  const page = (n: number): PageFile => ({
    ...file.pages[0]!,
    id: `p${n}`,
    name: `Page ${n}`,
    path: n === 0 ? '/' : `/p${n}`,
    order: `a${String.fromCharCode(65 + Math.floor(n / 26))}${String.fromCharCode(66 + (n % 24))}`,
    sections: [
      {
        id: `s${n}`,
        kind: 'section',
        name: 'Section',
        order: 'a1',
        props: { flow: 'column' },
        children: Array.from({ length: BLOCKS - 1 }, (_, k) => block(n, k)),
      },
    ],
  })
  return { ...file, pages: Array.from({ length: pages }, (_, n) => page(n)) }
}

class Author {
  revision = 0
  constructor(
    private readonly projects: Projects,
    readonly id: string,
  ) {}
  async append(edit: unknown) {
    const { revision } = this
    const head = revision === 0 ? '' : `k${revision}`
    const batch = { base: revision, head, key: `k${revision + 1}`, by: 'bench', at: 1, edits: [edit] }
    this.revision = (await this.projects.append(this.id, batch)).revision
  }
}

async function bytes(pool: Pool, id: string) {
  const of = async (statement: string) => {
    const [[row]] = await pool.query<RowDataPacket[]>(statement, [id])
    return Number(row!.bytes ?? 0) / 1e6
  }
  return {
    log: await of('SELECT SUM(LENGTH(edits)) AS bytes FROM edits WHERE project_id = ?'),
    snapshots:
      (await of('SELECT SUM(LENGTH(document)) AS bytes FROM snapshots WHERE project_id = ?')) +
      (await of('SELECT SUM(LENGTH(body)) AS bytes FROM page_snapshots WHERE project_id = ?')),
    blobs: await of(
      'SELECT SUM(size) AS bytes FROM blobs WHERE hash IN (SELECT hash FROM blob_uses WHERE project_id = ?)',
    ),
  }
}

const mb = (value: number) => `${value.toFixed(1)} MB`

async function logOfEdits(pool: Pool): Promise<Further> {
  const projects = new Projects(pool)
  const author = new Author(projects, (await projects.create(projectOf(10))).id)
  for (let n = 0; n < EDITS; n++)
    await author.append({ op: 'set', node: `p${n % 10}b${n % 200}`, props: { fontSize: 12 + (n % 40) } })
  const before = await bytes(pool, author.id)
  await compact(pool)
  const after = await bytes(pool, author.id)
  await compact(pool, Date.now() + 60 * DAY)
  const late = await bytes(pool, author.id)
  return {
    name: 'log of edits',
    value: before.log,
    met: true,
    line: `store             ${EDITS} edits on 10 pages of ${BLOCKS} blocks: log ${mb(before.log)}, snapshots ${mb(before.snapshots)}, thinned out ${mb(after.snapshots)}; after 60 days log ${mb(late.log)}, snapshots ${mb(late.snapshots)}`,
  }
}

async function logOfPictures(pool: Pool): Promise<Further> {
  const projects = new Projects(pool)
  const author = new Author(projects, (await projects.create(starterProject('Pictures', 'home'))).id)
  const picture = new Uint8Array(PICTURE).map((_, i) => (i * 7919) % 251)
  for (let n = 0; n < REPLACED; n++) {
    // Two pictures by turns, as when one tries which is better.
    picture[0] = n % 2
    const name = nameOf(picture)
    await projects.blobs.add(new Map([[name.hash, picture]]), new Map([[name.hash, 'image/png']]))
    const asset = { id: 'pic', name: 'Picture', type: 'image/png', width: 9, height: 9, ...name }
    await author.append({ op: 'asset', id: 'pic', asset })
  }
  const { log, snapshots, blobs } = await bytes(pool, author.id)
  return {
    name: 'log of pictures',
    value: log,
    met: true,
    line: `store             a picture of 4 MB replaced ${REPLACED} times by one of two: log ${(log * 1000).toFixed(0)} KB, snapshots ${(snapshots * 1000).toFixed(0)} KB, blobs ${mb(blobs)}`,
  }
}

/** From the database, nothing held, to the first page laid out, as a browser has it. */
async function open(pool: Pool, id: string): Promise<{ doc: Document; layout: PageLayout }> {
  const { outline, pages } = await new Projects(pool).readPage(id, undefined)
  const sent = JSON.parse(JSON.stringify({ outline, pages })) as {
    outline: typeof outline
    pages: typeof pages
  }
  const bodies = new Map(sent.pages.map((page) => [page.id, page.body]))
  const { file, absent } = partsOf(sent.outline, bodies)
  const doc = Document.fromParts(file, absent)
  const paragraphs = new ParagraphCache(await loadFonts(doc))
  return { doc, layout: new PageLayout(doc, 'p0', doc.views[0]!.id, doc.views[0]!.width, paragraphs) }
}

/** A small project and a large one, turn about. */
async function opening(pool: Pool): Promise<Further[]> {
  const makers = new Projects(pool)
  const one = (await makers.create(projectOf(1))).id
  const many = (await makers.create(projectOf(PAGES))).id
  const rounds: { one: number; many: number }[] = []
  const time = async (id: string) => {
    const start = performance.now()
    const { doc } = await open(pool, id)
    if (doc.node('s0').children.length !== BLOCKS - 1) throw new Error('the page was not opened')
    return performance.now() - start
  }
  for (let round = 0; round < ROUNDS + 1; round++) {
    const timed = { one: await time(one), many: await time(many) }
    if (round > 0) rounds.push(timed)
  }
  const ratio = median(rounds.map((round) => round.many / round.one))
  const memory = [await memoryOf(pool, one), await memoryOf(pool, many)]
  const timesMemory = memory[1]! / memory[0]!
  const edits = await editing(pool, one, many)
  return [
    {
      name: 'opening',
      value: ratio,
      met: ratio <= 2,
      line: `store             the first page laid out, from the database: of 1 page of ${BLOCKS} blocks ${median(rounds.map((r) => r.one)).toFixed(1)} ms, of ${PAGES} such pages ${median(rounds.map((r) => r.many)).toFixed(1)} ms: ${ratio.toFixed(2)}-fold (bar 2)`,
    },
    {
      name: 'memory of an open project',
      value: timesMemory,
      met: timesMemory <= 2,
      line: `store             memory of that: ${(memory[0]! / 1000).toFixed(0)} KB and ${(memory[1]! / 1000).toFixed(0)} KB: ${timesMemory.toFixed(2)}-fold (bar 2)`,
    },
    {
      name: 'an edit of an open project',
      value: edits.ratio,
      met: edits.ratio <= 1.2,
      line: `store             an edit: ${edits.one.toFixed(2)} ms and ${edits.many.toFixed(2)} ms: ${edits.ratio.toFixed(2)}-fold (bar 1.2: no more, but for what the machine wavers)`,
    },
  ]
}

/** Bytes that an open project holds. */
async function memoryOf(pool: Pool, id: string): Promise<number> {
  const opened: unknown[] = []
  await open(pool, id)
  const before = inUse()
  for (let i = 0; i < 5; i++) opened.push(await open(pool, id))
  return (inUse() - before) / opened.length
}

/** Medians of appends turn about, ms; both projects are held by the server after the first. */
async function editing(pool: Pool, one: string, many: string) {
  const projects = new Projects(pool)
  const authors = { one: new Author(projects, one), many: new Author(projects, many) }
  const timed: { one: number; many: number }[] = []
  for (let n = 0; n < 60; n++) {
    const round = { one: 0, many: 0 }
    for (const name of ['one', 'many'] as const) {
      const start = performance.now()
      await authors[name].append({ op: 'set', node: `p0b${n}`, props: { fontSize: 20 + (n % 9) } })
      round[name] = performance.now() - start
    }
    if (n > 9) timed.push(round)
  }
  const of = (name: 'one' | 'many') => median(timed.map((round) => round[name]))
  return {
    one: of('one'),
    many: of('many'),
    ratio: median(timed.map((round) => round.many / round.one)),
  }
}
