/** Every statement about snapshots: outlines, and the pages beside them. */
import type { Pool, PoolConnection, RowDataPacket } from 'mysql2/promise'

type Connection = Pool | PoolConnection
export type SnapshotRow = { revision: number; document: string; version: number; created_at: Date }
export type PageRow = { page_id: string; revision: number; body: string }

export const insertOutline = (db: Connection, id: string, revision: number, outline: string) =>
  db.execute('INSERT IGNORE INTO snapshots (project_id, revision, document, version) VALUES (?, ?, ?, 2)', [
    id,
    revision,
    outline,
  ])

export const insertPages = (db: Connection, id: string, pages: readonly PageRow[]) =>
  db.query('INSERT IGNORE INTO page_snapshots (project_id, page_id, revision, body) VALUES ?', [
    pages.map((page) => [id, page.page_id, page.revision, page.body]),
  ])

/** The newest snapshot that is not newer than `most`. */
export async function newestOutline(
  db: Connection,
  id: string,
  most = 4_294_967_295,
): Promise<SnapshotRow | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT revision, document, version, created_at FROM snapshots
     WHERE project_id = ? AND revision <= ? ORDER BY revision DESC LIMIT 1`,
    [id, most],
  )
  return rows[0] as SnapshotRow | undefined
}

/** @param pages page ids and the revisions they are wanted at */
export async function pagesAt(
  db: Connection,
  id: string,
  pages: readonly (readonly [string, number])[],
): Promise<Map<string, string>> {
  if (pages.length === 0) return new Map()
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT page_id, body FROM page_snapshots
     WHERE ${pages.map(() => '(project_id = ? AND page_id = ? AND revision = ?)').join(' OR ')}`,
    pages.flatMap(([page, revision]) => [id, page, revision]),
  )
  return new Map(rows.map((row) => [row.page_id as string, row.body as string]))
}

/** All of a project, oldest first, without their documents. */
export async function listSnapshots(
  db: Connection,
  id: string,
): Promise<Pick<SnapshotRow, 'revision' | 'created_at'>[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT revision, created_at FROM snapshots WHERE project_id = ? ORDER BY revision',
    [id],
  )
  return rows as SnapshotRow[]
}

export async function outlinesAt(
  db: Connection,
  id: string,
  revisions: readonly number[],
): Promise<string[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT document FROM snapshots WHERE project_id = ? AND revision IN (?)',
    [id, revisions],
  )
  return rows.map((row) => row.document as string)
}

export const dropSnapshots = (db: Connection, id: string, revisions: readonly number[]) =>
  db.query('DELETE FROM snapshots WHERE project_id = ? AND revision IN (?)', [id, revisions])

/** Takes away page bodies older than `before` except those in `kept`. */
export const dropPages = (
  db: Connection,
  id: string,
  before: number,
  kept: readonly (readonly [string, number])[],
) =>
  db.query(
    `DELETE FROM page_snapshots WHERE project_id = ? AND revision < ? ${kept.length > 0 ? 'AND (page_id, revision) NOT IN (?)' : ''}`,
    [id, before, kept],
  )
