/** Every statement about projects and their logs. */
import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import type { Statement } from './pool'

type Connection = Pool | PoolConnection
export type ProjectRow = {
  id: string
  name: string
  revision: number
  /** The key of the batch that made the revision, or ''. */
  head: string
  changed_at: Date
  deleted_at: Date | null
}
export type BatchRow = {
  revision: number
  batch_key: string
  /** The key of the batch before. */
  after: string
  /** '': compacted. */
  edits: string
  author: string
  made_at: Date | null
  created_at: Date
  version: number
}

const COLUMNS = 'id, name, revision, head, changed_at, deleted_at'

export async function listProjects(db: Connection): Promise<ProjectRow[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM projects WHERE deleted_at IS NULL ORDER BY changed_at DESC, id`,
  )
  return rows as ProjectRow[]
}

/** What lies in the trash, the latest first. */
export async function listDeleted(db: Connection): Promise<ProjectRow[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM projects WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC, id LIMIT 200`,
  )
  return rows as ProjectRow[]
}

export async function findProject(db: Connection, id: string): Promise<ProjectRow | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(`SELECT ${COLUMNS} FROM projects WHERE id = ?`, [id])
  return rows[0] as ProjectRow | undefined
}

/**
 * Locks projects' rows until the transaction ends, so that appends come one after the other. Nodes of a cluster do not see each
 * other's locks: there it is the log's primary key that two appends of one revision meet at.
 */
export async function lockProjects(
  db: PoolConnection,
  ids: readonly string[],
): Promise<Map<string, ProjectRow>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM projects WHERE id IN (?) ORDER BY id FOR UPDATE`,
    [ids],
  )
  return new Map((rows as ProjectRow[]).map((row) => [row.id, row]))
}

export const insertProject = (db: Connection, id: string, name: string) =>
  db.execute('INSERT INTO projects (id, name) VALUES (?, ?)', [id, name])

/** Where a project is, and what it comes to. */
export type Advance = {
  id: string
  from: { revision: number; head: string }
  to: { revision: number; head: string; name: string }
}

/** Moves the projects that are where they are said to be, and not in the trash: the others it does not touch. */
export function advanceProjects(advances: readonly Advance[]): Statement {
  const by = (what: 'revision' | 'head' | 'name') =>
    [
      `CASE id ${'WHEN ? THEN ? '.repeat(advances.length)}END`,
      advances.flatMap(({ id, to }) => [id, to[what]]),
    ] as const
  const [revision, revisions] = by('revision')
  const [head, heads] = by('head')
  const [name, names] = by('name')
  return [
    `UPDATE projects SET revision = ${revision}, head = ${head}, name = ${name}, changed_at = CURRENT_TIMESTAMP(3)
     WHERE id IN (?) AND (id, revision, head) IN (?) AND deleted_at IS NULL`,
    [
      ...revisions,
      ...heads,
      ...names,
      advances.map(({ id }) => id),
      advances.map(({ id, from }) => [id, from.revision, from.head]),
    ],
  ]
}

/** Signals, right behind a statement of the same transaction, that it touched fewer rows than so many. */
export const unlessTouched = (rows: number): Statement => [
  "IF ROW_COUNT() < ? THEN SIGNAL SQLSTATE '45000'; END IF",
  [rows],
]

/** @returns whether there was such a project */
export async function setDeleted(db: Connection, id: string, deleted: boolean): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE projects SET deleted_at = ${deleted ? 'CURRENT_TIMESTAMP(3)' : 'NULL'} WHERE id = ?`,
    [id],
  )
  return result.affectedRows > 0
}

export type NewBatch = {
  id: string
  revision: number
  key: string
  by: string
  at: Date
  edits: string
  version: number
}
export const insertBatches = (batches: readonly NewBatch[]): Statement => [
  'INSERT INTO edits (project_id, revision, batch_key, edits, author, made_at, version) VALUES ?',
  [
    batches.map(({ id, revision, key, edits, by, at, version }) => [
      id,
      revision,
      key,
      edits,
      by,
      at,
      version,
    ]),
  ],
]

/** The revisions of batches that are in logs already, by project and key. */
export async function revisionsOf(
  db: Connection,
  batches: readonly (readonly [string, string])[],
): Promise<Map<string, number>> {
  // Written out: a list of pairs would be looked for in all of the table.
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT project_id, batch_key, revision FROM edits
     WHERE ${batches.map(() => '(project_id = ? AND batch_key = ?)').join(' OR ')}`,
    batches.flat(),
  )
  return new Map(rows.map((row) => [`${row.project_id} ${row.batch_key}`, row.revision as number]))
}

/** Forgets what the log holds up to a revision: keys stay, so that nothing is taken twice. */
export const compactLog = (db: Connection, id: string, upTo: number, before: Date) =>
  db.execute(
    "UPDATE edits SET edits = '' WHERE project_id = ? AND revision <= ? AND created_at < ? AND edits <> ''",
    [id, upTo, before],
  )

export async function isCompacted(db: Connection, id: string, revision: number): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT 1 FROM edits WHERE project_id = ? AND revision = ? AND edits = ''",
    [id, revision],
  )
  return rows.length > 0
}

/** Ids of all projects, those in the trash too. */
export async function allProjects(db: Connection): Promise<string[]> {
  const [rows] = await db.query<RowDataPacket[]>('SELECT id FROM projects ORDER BY id')
  return rows.map((row) => row.id as string)
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
