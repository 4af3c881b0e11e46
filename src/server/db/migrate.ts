/** Numbered `.sql` files, applied once each, in order. */
import { readdir, readFile } from 'node:fs/promises'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { Umzug } from 'umzug'

const folder = new URL('migrations/', import.meta.url)

/** Statements of a migration file: separated by a semicolon at a line's end. */
const statementsOf = (sql: string) =>
  sql
    .split(/;\s*$/m)
    .map((each) => each.trim())
    .filter(Boolean)

export async function migrate(pool: Pool): Promise<string[]> {
  const files = (await readdir(folder)).filter((name) => name.endsWith('.sql')).sort()
  await pool.query(
    'CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(100) NOT NULL PRIMARY KEY, applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))',
  )
  const umzug = new Umzug({
    migrations: files.map((name) => ({
      name,
      up: async () => {
        for (const statement of statementsOf(await readFile(new URL(name, folder), 'utf8')))
          await pool.query(statement)
      },
    })),
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
  return (await umzug.up()).map((migration) => migration.name)
}
