/** Numbered migrations, applied once each, in order. */
import { randomUUID } from 'node:crypto'
import { readdir, readFile } from 'node:fs/promises'
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { Umzug } from 'umzug'
import { bringUp } from './bring-up'

const folder = new URL('migrations/', import.meta.url)

/** Statements of a migration file: separated by a semicolon at a line's end. */
const statementsOf = (sql: string) =>
  sql
    .split(/;\s*$/m)
    .map((each) => each.trim())
    .filter(Boolean)

/** How long a lease on migrating lasts when its holder dies, s; and how long others wait for it, ms. */
const LEASE = 120
const MOST_WAIT = 300_000

/**
 * Runs `work` while no other app server does: a lease in a table, since locks by name hold on one node of a cluster only.
 * @throws when the lease cannot be had
 */
async function alone<T>(pool: Pool, work: () => Promise<T>): Promise<T> {
  await pool.query(
    'CREATE TABLE IF NOT EXISTS migration_lease (id TINYINT NOT NULL PRIMARY KEY, holder VARCHAR(64) NOT NULL, until DATETIME(3) NOT NULL)',
  )
  await pool.query("INSERT IGNORE INTO migration_lease (id, holder, until) VALUES (1, '', '2000-01-01')")
  const holder = randomUUID()
  const began = Date.now()
  for (;;) {
    const [taken] = await pool.execute<ResultSetHeader>(
      'UPDATE migration_lease SET holder = ?, until = CURRENT_TIMESTAMP(3) + INTERVAL ? SECOND WHERE id = 1 AND until < CURRENT_TIMESTAMP(3)',
      [holder, LEASE],
    )
    if (taken.affectedRows === 1) break
    if (Date.now() - began > MOST_WAIT)
      throw new Error('another server has been migrating the database for too long')
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  try {
    return await work()
  } finally {
    await pool.execute("UPDATE migration_lease SET until = '2000-01-01' WHERE id = 1 AND holder = ?", [
      holder,
    ])
  }
}

/**
 * Brings the database up to date; several servers that start at once do so one after the other.
 * @param only these, as a database had them that is to be put back; left out: all there are
 * @returns what was applied @throws when one of `only` is not known
 */
export const migrate = (pool: Pool, only?: readonly string[]): Promise<string[]> =>
  alone(pool, () => applyAll(pool, only))

async function applyAll(pool: Pool, only?: readonly string[]): Promise<string[]> {
  const files = (await readdir(folder)).filter((name) => name.endsWith('.sql')).sort()
  await pool.query(
    'CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(100) NOT NULL PRIMARY KEY, applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))',
  )
  const umzug = new Umzug({
    migrations: [
      ...files.map((name) => ({
        name,
        up: async () => {
          for (const statement of statementsOf(await readFile(new URL(name, folder), 'utf8')))
            await pool.query(statement)
        },
      })),
      // What SQL cannot say: pictures out of documents, documents into pages.
      { name: '004-bring-up', up: () => bringUp(pool) },
    ],
    storage: {
      logMigration: async ({ name }) => {
        await pool.execute('INSERT INTO migrations (name) VALUES (?)', [name])
      },
      unlogMigration: async ({ name }) => {
        await pool.execute('DELETE FROM migrations WHERE name = ?', [name])
      },
      executed: async () => {
        const [rows] = await pool.query<RowDataPacket[]>('SELECT name FROM migrations ORDER BY name')
        return rows.map((row) => row.name as string)
      },
    },
    logger: undefined,
  })
  const wanted = only && { migrations: [...only], rerun: 'SKIP' as const }
  return (await umzug.up(wanted)).map((migration) => migration.name)
}
