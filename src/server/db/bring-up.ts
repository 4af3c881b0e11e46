/**
 * Brings what earlier versions stored up to date, row by row: whoever is stopped in the middle goes on there. Pictures that lay
 * in snapshots, logs and parked edits go into the blob store; snapshots become outlines with pages beside them.
 */
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { Document } from '../../core/document/document'
import { upToDate } from '../../core/document/earlier'
import type { ProjectFile } from '../../core/document/schema'
import { broughtBy } from '../../core/edits/brought'
import type { Edit } from '../../core/edits/edit'
import { EDITS_VERSION, ofVersion2, replay, replayEarlier } from '../../core/edits/stored'
import { BlobStore } from '../blobs'
import { harmless, isClean } from '../clean-svg'
import { readSnapshot, writeSnapshot } from '../snapshots'
import { noteUses } from './blobs.sql'
import { allProjects } from './projects.sql'

type Taken = Map<string, Uint8Array>
type Picture = { hash: string; type: string }

export async function bringUp(pool: Pool) {
  for (const id of await allProjects(pool)) {
    await bringUpLog(pool, id)
    await bringUpParked(pool, id)
  }
}

async function bringUpLog(pool: Pool, id: string) {
  const [snapshots] = await pool.execute<RowDataPacket[]>(
    'SELECT revision FROM snapshots WHERE project_id = ? AND version = 1 ORDER BY revision',
    [id],
  )
  const waiting = new Set(snapshots.map((row) => row.revision as number))
  const doc = await firstDocument(pool, id)
  if (!doc) return
  const [log] = await pool.execute<RowDataPacket[]>(
    'SELECT revision FROM edits WHERE project_id = ? ORDER BY revision',
    [id],
  )
  for (const revision of [0, ...log.map((row) => row.revision as number)]) {
    if (revision > 0) await bringUpBatch(pool, id, revision, doc)
    if (waiting.has(revision)) await replaceSnapshot(pool, id, revision, doc)
  }
}

/** The project as it was made, its pictures stored. */
async function firstDocument(pool: Pool, id: string): Promise<Document | undefined> {
  const [rows] = await pool.execute<RowDataPacket[]>(
    'SELECT document, version FROM snapshots WHERE project_id = ? AND revision = 0',
    [id],
  )
  if (rows.length === 0) return undefined
  if (rows[0]!.version !== 1) {
    const snapshot = await readSnapshot(pool, id, 0)
    return snapshot && Document.fromFile(snapshot.file)
  }
  const taken: Taken = new Map()
  // What it holds was checked as it was then; reading it mends what is not as it has to be now.
  const file = upToDate(await cleaned(JSON.parse(rows[0]!.document as string)), taken) as ProjectFile
  await store(pool, id, taken, file.assets)
  return Document.fromFile(file)
}

async function bringUpBatch(pool: Pool, id: string, revision: number, doc: Document) {
  const [[row]] = await pool.execute<RowDataPacket[]>(
    'SELECT edits, version FROM edits WHERE project_id = ? AND revision = ?',
    [id, revision],
  )
  const stored = JSON.parse(row!.edits as string) as unknown[]
  if (row!.version >= EDITS_VERSION) return replay(doc, stored)
  const taken: Taken = new Map()
  const edits = replayEarlier(doc, (await cleaned(stored)) as unknown[], row!.version as number, taken)
  await store(pool, id, taken, pictures(edits))
  await pool.execute('UPDATE edits SET edits = ?, version = ? WHERE project_id = ? AND revision = ?', [
    JSON.stringify(edits),
    EDITS_VERSION,
    id,
    revision,
  ])
}

async function replaceSnapshot(pool: Pool, id: string, revision: number, doc: Document) {
  const [[row]] = await pool.execute<RowDataPacket[]>(
    'SELECT created_at FROM snapshots WHERE project_id = ? AND revision = ?',
    [id, revision],
  )
  const connection = await pool.getConnection()
  try {
    await connection.beginTransaction()
    await connection.execute('DELETE FROM snapshots WHERE project_id = ? AND revision = ?', [id, revision])
    await writeSnapshot(connection, id, revision, doc)
    await connection.execute('UPDATE snapshots SET created_at = ? WHERE project_id = ? AND revision = ?', [
      row!.created_at,
      id,
      revision,
    ])
    await connection.commit()
  } finally {
    connection.release()
  }
}

async function bringUpParked(pool: Pool, id: string) {
  const [rows] = await pool.execute<RowDataPacket[]>(
    `SELECT id, body FROM parked WHERE project_id = ? AND body LIKE '%"data":%'`,
    [id],
  )
  for (const row of rows) {
    const parked = (await cleaned(JSON.parse(row.body as string))) as { edits?: Edit[] }
    const taken: Taken = new Map()
    const edits = (parked.edits ?? []).map((edit) => ofVersion2(edit, taken))
    await store(pool, id, taken, pictures(edits))
    await pool.execute('UPDATE parked SET body = ? WHERE project_id = ? AND id = ?', [
      JSON.stringify({ ...parked, edits }),
      id,
      row.id,
    ])
  }
}

const pictures = (edits: readonly Edit[]) => broughtBy(edits).map(({ blob }) => blob)

async function store(pool: Pool, id: string, taken: Taken, named: readonly Picture[]) {
  if (taken.size === 0) return
  await new BlobStore(pool, isClean).add(taken, new Map(named.map(({ hash, type }) => [hash, type])))
  await noteUses(
    pool,
    [...taken.keys()].map((hash) => [id, hash] as const),
  )
}

/** The same with every SVG picture in it cleaned, which was not done before it was stored. */
async function cleaned(value: unknown): Promise<unknown> {
  if (Array.isArray(value)) return Promise.all(value.map(cleaned))
  if (typeof value !== 'object' || value === null) return value
  const { type, data } = value as { type?: unknown; data?: unknown }
  if (type === 'image/svg+xml' && typeof data === 'string') {
    const svg = await harmless(Buffer.from(data, 'base64').toString('utf8'))
    return { ...value, data: Buffer.from(svg).toString('base64') }
  }
  const entries = await Promise.all(
    Object.entries(value).map(async ([key, inner]) => [key, await cleaned(inner)] as const),
  )
  return Object.fromEntries(entries)
}
