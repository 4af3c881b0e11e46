/** Every statement about projects, their logs and snapshots. */
import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'

type Connection = Pool | PoolConnection
export type ProjectRow = {
  id: string
  name: string
  revision: number
  changed_at: Date
  deleted_at: Date | null
}
export type BatchRow = {
  revision: number
  batch_key: string
  /** The key of the batch before. */
  after: string
  edits: string
  author: string
  made_at: Date | null
  created_at: Date
  version: number
}

const COLUMNS = 'id, name, revision, changed_at, deleted_at'

export async function listProjects(db: Connection): Promise<ProjectRow[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM projects WHERE deleted_at IS NULL ORDER BY changed_at DESC, id`,
  )
  return rows as ProjectRow[]
}

export async function findProject(db: Connection, id: string): Promise<ProjectRow | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(`SELECT ${COLUMNS} FROM projects WHERE id = ?`, [id])
  return rows[0] as ProjectRow | undefined
}

/** Locks the project's row until the transaction ends, so that appends come one after the other. */
export async function lockProject(db: PoolConnection, id: string): Promise<ProjectRow | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM projects WHERE id = ? FOR UPDATE`,
    [id],
  )
  return rows[0] as ProjectRow | undefined
}

export const insertProject = (db: Connection, id: string, name: string) =>
  db.execute('INSERT INTO projects (id, name) VALUES (?, ?)', [id, name])

export const advanceProject = (db: Connection, id: string, revision: number, name: string) =>
  db.execute('UPDATE projects SET revision = ?, name = ?, changed_at = CURRENT_TIMESTAMP(3) WHERE id = ?', [
    revision,
    name,
    id,
  ])

/** @returns whether there was such a project */
export async function setDeleted(db: Connection, id: string, deleted: boolean): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE projects SET deleted_at = ${deleted ? 'CURRENT_TIMESTAMP(3)' : 'NULL'} WHERE id = ?`,
    [id],
  )
  return result.affectedRows > 0
}

export type NewBatch = { revision: number; key: string; by: string; at: Date; edits: string; version: number }
export const insertBatch = (db: Connection, id: string, batch: NewBatch) =>
  db.execute(
    'INSERT INTO edits (project_id, revision, batch_key, edits, author, made_at, version) VALUES (?, ?, ?, ?, ?, ?, ?)',
    [id, batch.revision, batch.key, batch.edits, batch.by, batch.at, batch.version],
  )

export async function batchByKey(db: Connection, id: string, key: string): Promise<number | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT revision FROM edits WHERE project_id = ? AND batch_key = ?',
    [id, key],
  )
  return rows[0]?.revision as number | undefined
}

export async function batchesAfter(db: Connection, id: string, revision: number): Promise<BatchRow[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT revision, batch_key, edits, author, made_at, created_at, version
     FROM edits WHERE project_id = ? AND revision >= ? ORDER BY revision`,
    [id, revision],
  )
  // Each says what it goes on from: the one before it is read along.
  let after = ''
  return (rows as BatchRow[]).flatMap((row) => {
    const own = { ...row, after }
    after = row.batch_key
    return row.revision > revision ? [own] : []
  })
}

/** The key of the batch that made a revision; '' for the project as it was made. */
export async function keyOf(db: Connection, id: string, revision: number): Promise<string | undefined> {
  if (revision === 0) return ''
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT batch_key FROM edits WHERE project_id = ? AND revision = ?',
    [id, revision],
  )
  return rows[0]?.batch_key as string | undefined
}

/** Which of some keys are in the log, and at which revision. */
export async function revisionsOfKeys(
  db: Connection,
  id: string,
  keys: readonly string[],
): Promise<{ key: string; revision: number }[]> {
  if (keys.length === 0) return []
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT batch_key, revision FROM edits WHERE project_id = ? AND batch_key IN (?)',
    [id, keys],
  )
  return rows.map((row) => ({ key: row.batch_key as string, revision: row.revision as number }))
}

export const insertSnapshot = (db: Connection, id: string, revision: number, document: string) =>
  db.execute('INSERT IGNORE INTO snapshots (project_id, revision, document) VALUES (?, ?, ?)', [
    id,
    revision,
    document,
  ])

export async function newestSnapshot(
  db: Connection,
  id: string,
): Promise<{ revision: number; document: string } | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT revision, document FROM snapshots WHERE project_id = ? ORDER BY revision DESC LIMIT 1',
    [id],
  )
  return rows[0] as { revision: number; document: string } | undefined
}
