/** Every statement about covers. */
import type { Pool, RowDataPacket } from 'mysql2/promise'

export async function findCover(
  db: Pool,
  project: string,
  revision: number,
  head: string,
): Promise<Buffer | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT png FROM covers WHERE project_id = ? AND revision = ? AND head = ?',
    [project, revision, head],
  )
  return rows[0]?.png as Buffer | undefined
}

export const putCover = (db: Pool, project: string, revision: number, head: string, png: Uint8Array) =>
  db.execute(
    `INSERT INTO covers (project_id, revision, head, png) VALUES (?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE revision = VALUES(revision), head = VALUES(head), png = VALUES(png)`,
    [project, revision, head, Buffer.from(png)],
  )
