/** `lattice backup` and `lattice restore`. */
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { BackupError, backUp, type Counts, restore as putBack } from '../server/backup'
import { addressOf, type DatabaseAddress, openPool } from '../server/db/pool'
import { runningIn, startMariaDb } from '../server/mariadb'
import { pathFrom, Refusal, readArgs } from './refusal'
import { claimFolder, dataFolder } from './serve'

type Pool = ReturnType<typeof openPool>

function fileAndDatabase(args: string[]) {
  const { values, positionals } = readArgs(
    args,
    { data: { type: 'string' }, database: { type: 'string' } },
    1,
  )
  const [file] = positionals
  if (!file) throw new Refusal('say the file, such as just-lattice.backup')
  const data = values.data ? pathFrom(values.data) : dataFolder(4600, false)
  let address: DatabaseAddress | undefined
  try {
    address = values.database ? addressOf(values.database) : undefined
  } catch (error) {
    throw new Refusal(`--database ${values.database}: ${(error as Error).message}`)
  }
  return { path: pathFrom(file), data, address }
}

/** Works on a database of somebody else's, or on ours in a folder: started for it where it is not up. */
async function withPool<T>(
  { data, address }: { data: string; address?: DatabaseAddress },
  work: (pool: Pool) => Promise<T>,
): Promise<T> {
  const own = address ? undefined : await startMariaDb(data)
  const pool = openPool(address ?? own!.address)
  try {
    return await work(pool)
  } finally {
    await pool.end().catch(() => undefined)
    await own?.stop()
  }
}

const report = (counts: Counts) =>
  `${counts.projects} projects, ${counts.edits} batches of edits, ${counts.blobs} pictures and fonts`
const told = (rows: number) => console.error(`lattice: ${rows} rows …`)

export async function backup(args: string[]): Promise<number> {
  const { path, data, address } = fileAndDatabase(args)
  if (!address && !existsSync(join(data, 'mariadb')))
    throw new Refusal(`there is nothing stored in ${data}; say with --data where it is`)
  const counts = await withPool({ data, address: address ?? (await runningIn(data)) }, (pool) =>
    backUp(pool, path, told),
  )
  console.log(`${path}: ${report(counts)}`)
  return 0
}

export async function restore(args: string[]): Promise<number> {
  const { path, data, address } = fileAndDatabase(args)
  if (!address) await claimFolder(data)
  try {
    const counts = await withPool({ data, address }, (pool) => putBack(pool, path, told))
    console.log(`restored: ${report(counts)}`)
    return 0
  } catch (error) {
    if (error instanceof BackupError) throw new Refusal(`${path}: ${error.message}; nothing was changed`)
    throw error
  }
}
