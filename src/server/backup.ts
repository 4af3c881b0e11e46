/**
 * Everything that is stored, to a file and back. A backup is taken in one consistent snapshot while the servers run: it ends at a
 * batch, with every picture and font that what is in it names. The file: lines of JSON, gzipped; a first that says what it is, a
 * line a row, a last that counts them, so that one that was cut off is told from a whole one.
 */
import { constants, createReadStream, createWriteStream } from 'node:fs'
import { access, rename, rm } from 'node:fs/promises'
import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import type { PoolConnection as CallbackConnection, RowDataPacket } from 'mysql2'
import type { Pool, PoolConnection } from 'mysql2/promise'
import * as v from 'valibot'
import { migrate } from './db/migrate'

/** What is kept, what others refer to first. Covers are drawn again, leases are nobody's any more. */
const TABLES = [
  'projects',
  'edits',
  'snapshots',
  'page_snapshots',
  'parked',
  'blobs',
  'blob_parts',
  'blob_uses',
] as const
type Table = (typeof TABLES)[number]

const FORMAT = 'just-lattice-backup'
/** Bytes of rows that are put in at once. */
const AT_ONCE = 4_000_000

export class BackupError extends Error {
  override name = 'BackupError'
}

const Head = v.object({
  format: v.literal(FORMAT),
  version: v.literal(1),
  at: v.string(),
  migrations: v.array(v.pipe(v.string(), v.regex(/^[\w-]+(\.sql)?$/))),
})
const Cell = v.nullable(v.union([v.string(), v.strictObject({ base64: v.string() })]))
const Row = v.object({ table: v.picklist(TABLES), row: v.record(v.pipe(v.string(), v.regex(/^\w+$/)), Cell) })
const End = v.object({ rows: v.record(v.string(), v.number()) })
type Row = v.InferOutput<typeof Row>

export type Counts = Record<string, number>
const none = (): Counts => Object.fromEntries(TABLES.map((table) => [table, 0]))

/** `told`: of how many rows there are so far; `signal`: gives it up. */
export type Going = { told?: (rows: number) => void; signal?: AbortSignal }

/**
 * Writes a backup; a file is there when all of it is.
 * @returns rows by table @throws the signal's reason
 */
export async function backUp(pool: Pool, path: string, { told, signal }: Going = {}): Promise<Counts> {
  const counts = none()
  const part = `${path}.part`
  const connection = await pool.getConnection()
  try {
    await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ')
    await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY')
    const raw = connection.connection as unknown as CallbackConnection
    const bytes = await columnsOfBytes(connection)
    const lines = Readable.from(linesOf(raw, bytes, counts, told))
    await pipeline(lines, createGzip(), createWriteStream(part), { signal })
    await rename(part, path)
    return counts
  } finally {
    // One that was read from when that was given up may have more to say.
    if (signal?.aborted) connection.destroy()
    else {
      await connection.rollback().catch(() => undefined)
      connection.release()
    }
    await rm(part, { force: true })
  }
}

/** Names of columns that hold bytes: all others hold what can be said as text. */
async function columnsOfBytes(connection: PoolConnection): Promise<Set<string>> {
  const [rows] = await connection.query<RowDataPacket[]>(
    "SELECT column_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND data_type REGEXP 'blob|binary'",
  )
  return new Set(rows.map((row) => row.name as string))
}

async function* linesOf(
  connection: CallbackConnection,
  bytes: ReadonlySet<string>,
  counts: Counts,
  told?: (rows: number) => void,
) {
  const migrations: string[] = []
  for await (const row of rowsOf(connection, bytes, 'SELECT name FROM migrations ORDER BY name'))
    migrations.push(String(row.name))
  yield line({ format: FORMAT, version: 1, at: new Date().toISOString(), migrations })
  let all = 0
  for (const table of TABLES)
    for await (const row of rowsOf(connection, bytes, `SELECT * FROM ${table}`)) {
      counts[table]!++
      if (++all % 1000 === 0) told?.(all)
      yield line({ table, row })
    }
  yield line({ rows: counts })
}

const line = (value: unknown) => `${JSON.stringify(value)}\n`

/** Everything as text, to the millisecond; what is no text as base64. One row at a time, however many there are. */
const rowsOf = (
  connection: CallbackConnection,
  columns: ReadonlySet<string>,
  sql: string,
): AsyncIterable<RowDataPacket> =>
  connection
    .query({
      sql,
      typeCast: (field) => {
        if (!columns.has(field.name)) return field.string('utf8')
        const bytes = field.buffer()
        return bytes && { base64: bytes.toString('base64') }
      },
    })
    .stream({ highWaterMark: 16 })

/**
 * Puts a backup into an empty database, brings it up to date. A wrong file leaves the database as empty as it was.
 * @returns rows by table @throws BackupError with what is wrong; the signal's reason
 */
export async function restore(pool: Pool, path: string, { told, signal }: Going = {}): Promise<Counts> {
  await access(path, constants.R_OK).catch((error: Error) => {
    throw new BackupError(`it cannot be read: ${error.message}`)
  })
  const all = linesIn(path)
  const head = read(Head, (await all.next()).value, 'it is no backup of Just Lattice')
  if (!(await isEmpty(pool)))
    throw new BackupError('there are projects in this database already: a backup is put into an empty one')
  await migrate(pool, head.migrations).catch((error: Error) => {
    throw new BackupError(`it was made by another version: ${error.message}`)
  })
  try {
    const counts = await fill(pool, all, { told, signal })
    await migrate(pool)
    return counts
  } catch (error) {
    await emptyAgain(pool)
    throw error
  }
}

/** What is damaged ends early: whoever reads on misses the last line. */
async function* linesIn(path: string): AsyncGenerator<string, undefined> {
  const file = createReadStream(path)
  const unpacked = file.pipe(createGunzip())
  // What is wrong behind the place where somebody has stopped reading is nobody's business.
  unpacked.on('error', () => undefined)
  try {
    yield* createInterface({ input: unpacked, crlfDelay: Number.POSITIVE_INFINITY })
  } catch (error) {
    if (!String((error as { code?: string }).code).startsWith('Z_')) throw error
  } finally {
    file.destroy()
    unpacked.destroy()
  }
}

function read<T>(schema: v.GenericSchema<unknown, T>, text: unknown, what: string): T {
  let value: unknown
  try {
    value = JSON.parse(String(text))
  } catch {
    throw new BackupError(what)
  }
  const { success, output } = v.safeParse(schema, value)
  if (!success) throw new BackupError(what)
  return output
}

/** Nothing is stored, or there is no place for it yet. */
async function isEmpty(pool: Pool): Promise<boolean> {
  for (const table of ['projects', 'blobs']) {
    const [there] = await pool.query<RowDataPacket[]>(`SHOW TABLES LIKE '${table}'`)
    if (there.length === 0) continue
    const [rows] = await pool.query<RowDataPacket[]>(`SELECT 1 FROM ${table} LIMIT 1`)
    if (rows.length > 0) return false
  }
  return true
}

async function fill(pool: Pool, lines: AsyncIterable<string>, { told, signal }: Going): Promise<Counts> {
  const counts = none()
  let rows: Row[] = []
  let [bytes, all] = [0, 0]
  const put = async () => {
    if (rows.length > 0) await insertRows(pool, rows)
    rows = []
    bytes = 0
  }
  for await (const text of lines) {
    signal?.throwIfAborted()
    if (text.startsWith('{"rows":')) {
      await put()
      const end = read(End, text, 'its last line cannot be read')
      const off = TABLES.find((table) => end.rows[table] !== counts[table])
      if (off)
        throw new BackupError(`it should hold ${end.rows[off]} rows of ${off}, and holds ${counts[off]}`)
      return counts
    }
    const row = read(Row, text, `its row ${all + 1} cannot be read`)
    if (rows.length > 0 && (bytes > AT_ONCE || !isAlike(row, rows[0]!))) await put()
    rows.push(row)
    bytes += text.length
    counts[row.table]!++
    if (++all % 1000 === 0) told?.(all)
  }
  throw new BackupError(`it was cut off after ${all} rows`)
}

const columnsOf = ({ row }: Row) => Object.keys(row).join()
const isAlike = (one: Row, other: Row) => one.table === other.table && columnsOf(one) === columnsOf(other)

/** Rows of one table. Names of columns were held to be words. */
async function insertRows(pool: Pool, rows: readonly Row[]) {
  const [first] = rows
  const names = Object.keys(first!.row)
  const values = rows.map(({ row }) =>
    names.map((name) => {
      const cell = row[name]!
      return cell !== null && typeof cell === 'object' ? Buffer.from(cell.base64, 'base64') : cell
    }),
  )
  const columns = names.map((name) => `\`${name}\``).join(', ')
  await pool.query(`INSERT INTO ${first!.table satisfies Table} (${columns}) VALUES ?`, [values])
}

async function emptyAgain(pool: Pool) {
  for (const table of [...TABLES].reverse()) await pool.query(`DELETE FROM ${table}`)
}
