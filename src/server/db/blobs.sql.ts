/** Every statement about blobs, their parts and who uses them. */
import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'

type Connection = Pool | PoolConnection
export type BlobRow = { hash: string; type: string; size: number; complete: number }

export async function findBlob(db: Connection, hash: string): Promise<BlobRow | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT hash, type, size, complete FROM blobs WHERE hash = ?',
    [hash],
  )
  return rows[0] as BlobRow | undefined
}

/** Begins a blob, or keeps one that is there from being collected. */
export const touchBlob = (db: Connection, hash: string, type: string, size: number) =>
  db.execute(
    `INSERT INTO blobs (hash, type, size) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE touched_at = CURRENT_TIMESTAMP(3)`,
    [hash, type, size],
  )

/** Bytes of all that is begun and not complete, by what was announced. */
export async function begunBytes(db: Connection): Promise<number> {
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT COALESCE(SUM(size), 0) AS bytes FROM blobs WHERE complete = 0',
  )
  return Number(rows[0]!.bytes)
}

/** Takes away what was begun and not gone on with for `grace`, s. */
export const dropBegun = (db: Connection, grace: number) =>
  db.execute(
    'DELETE FROM blobs WHERE complete = 0 AND touched_at < CURRENT_TIMESTAMP(3) - INTERVAL ? SECOND',
    [grace],
  )

export const completeBlob = (db: Connection, hash: string) =>
  db.execute('UPDATE blobs SET complete = 1, touched_at = CURRENT_TIMESTAMP(3) WHERE hash = ?', [hash])

/** Takes away one that is not what it was said to be; never one that is complete. */
export const dropIncomplete = (db: Connection, hash: string) =>
  db.execute('DELETE FROM blobs WHERE hash = ? AND complete = 0', [hash])

export const insertPart = (db: Connection, hash: string, part: number, bytes: Uint8Array) =>
  db.execute('INSERT IGNORE INTO blob_parts (hash, part, bytes) VALUES (?, ?, ?)', [
    hash,
    part,
    Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
  ])

/** Numbers of the parts that are there. */
export async function listParts(db: Connection, hash: string): Promise<number[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT part FROM blob_parts WHERE hash = ? ORDER BY part',
    [hash],
  )
  return rows.map((row) => row.part as number)
}

export async function readPart(db: Connection, hash: string, part: number): Promise<Buffer | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT bytes FROM blob_parts WHERE hash = ? AND part = ?',
    [hash, part],
  )
  return rows[0]?.bytes as Buffer | undefined
}

/** Those of some hashes that are complete. */
export async function completeAmong(db: Connection, hashes: readonly string[]): Promise<Set<string>> {
  if (hashes.length === 0) return new Set()
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT hash FROM blobs WHERE complete = 1 AND hash IN (?)',
    [hashes],
  )
  return new Set(rows.map((row) => row.hash as string))
}

/** @param uses pairs of project and hash; those blobs are there, or this fails */
export async function noteUses(db: Connection, uses: readonly (readonly [string, string])[]) {
  if (uses.length === 0) return
  await db.query(
    'INSERT INTO blob_uses (project_id, hash) VALUES ? ON DUPLICATE KEY UPDATE used_at = CURRENT_TIMESTAMP(3)',
    [uses],
  )
}

/** Takes away uses older than `grace`, s, that nothing of the project names any more. @returns how many */
export async function dropUses(db: Connection, project: string, grace: number): Promise<number> {
  const named = (table: string, column: string) =>
    `NOT EXISTS (SELECT 1 FROM ${table} t WHERE t.project_id = blob_uses.project_id AND LOCATE(blob_uses.hash, t.${column}) > 0)`
  const [done] = await db.execute<ResultSetHeader>(
    `DELETE FROM blob_uses WHERE project_id = ? AND used_at < CURRENT_TIMESTAMP(3) - INTERVAL ? SECOND
     AND ${named('snapshots', 'document')} AND ${named('edits', 'edits')} AND ${named('parked', 'body')}`,
    [project, grace],
  )
  return done.affectedRows
}

/** Takes away blobs that nobody uses and that were not touched for `grace`, s. @returns how many */
export async function dropUnused(db: Connection, grace: number): Promise<number> {
  const [done] = await db.execute<ResultSetHeader>(
    `DELETE FROM blobs WHERE touched_at < CURRENT_TIMESTAMP(3) - INTERVAL ? SECOND
     AND NOT EXISTS (SELECT 1 FROM blob_uses WHERE blob_uses.hash = blobs.hash) LIMIT 200`,
    [grace],
  )
  return done.affectedRows
}
