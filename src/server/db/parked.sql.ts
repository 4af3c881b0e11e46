/** Every statement about parked edits. */
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise'

export type ParkedRow = { id: string; body: string }

/** Nothing when it is there already, dismissed or not. */
export const insertParked = (db: Pool, project: string, id: string, body: string) =>
  db.execute<ResultSetHeader>('INSERT IGNORE INTO parked (project_id, id, body) VALUES (?, ?, ?)', [
    project,
    id,
    body,
  ])

/** How much is set aside in a project beside one entry. */
export async function parkedSize(
  db: Pool,
  project: string,
  beside: string,
): Promise<{ entries: number; bytes: number }> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT COUNT(*) AS entries, COALESCE(SUM(LENGTH(body)), 0) AS bytes FROM parked
     WHERE project_id = ? AND id <> ? AND dismissed_at IS NULL`,
    [project, beside],
  )
  return { entries: Number(rows[0]!.entries), bytes: Number(rows[0]!.bytes) }
}

export async function listParked(db: Pool, project: string): Promise<ParkedRow[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT id, body FROM parked WHERE project_id = ? AND dismissed_at IS NULL ORDER BY created_at, id',
    [project],
  )
  return rows as ParkedRow[]
}

export async function isDismissed(db: Pool, project: string, id: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT 1 FROM parked WHERE project_id = ? AND id = ? AND dismissed_at IS NOT NULL',
    [project, id],
  )
  return rows.length > 0
}

/** Only the mark stays. One that was never heard of is marked too: it may arrive later. */
export const dismissParked = (db: Pool, project: string, id: string) =>
  db.execute(
    `INSERT INTO parked (project_id, id, body, dismissed_at) VALUES (?, ?, '', CURRENT_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE body = '', dismissed_at = CURRENT_TIMESTAMP(3)`,
    [project, id],
  )
