/** `lattice backup` and `lattice restore`. */
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { BackupError, backUp, type Counts, type Going, restore as putBack } from '../server/backup'
import { type DatabaseAddress, openPool } from '../server/db/pool'
import { runningIn, startMariaDb } from '../server/mariadb'
import { pathFrom, Refusal, readArgs } from './refusal'
import { claimFolder, databaseOption, dataFolder, leaveFolder } from './serve'

/** Which file, and where what is stored is: in a folder of ours, or a database of somebody else's. */
type Asked = { path: string; data: string; address: DatabaseAddress | undefined }

function read(args: string[]): Asked {
  const { values, positionals } = readArgs(
    args,
    { data: { type: 'string' }, database: { type: 'string' } },
    1,
  )
  const [file] = positionals
  if (!file) throw new Refusal('say the file, such as just-lattice.backup')
  const data = values.data ? pathFrom(values.data) : dataFolder(4600, false)
  return {
    path: pathFrom(file),
    data,
    address: values.database ? databaseOption(values.database) : undefined,
  }
}

/**
 * Works on a database that is up, or starts the folder's own meanwhile. Ctrl-C gives it up, and everything is as it was.
 * @throws Refusal when somebody uses the folder, or it was given up
 */
async function working(
  address: DatabaseAddress | undefined,
  data: string,
  work: (pool: ReturnType<typeof openPool>, going: Going) => Promise<Counts>,
): Promise<Counts> {
  const given = new AbortController()
  const giveUp = () => given.abort(new Refusal('given up; nothing was changed'))
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, giveUp)
  if (!address) await claimFolder(data)
  const own = address ? undefined : await startMariaDb(data)
  const pool = openPool(address ?? own!.address)
  try {
    const told = (rows: number) => console.error(`lattice: ${rows} rows …`)
    return await work(pool, { told, signal: given.signal })
  } catch (error) {
    throw given.signal.aborted ? given.signal.reason : error
  } finally {
    await pool.end().catch(() => undefined)
    await own?.stop()
    if (own) await leaveFolder(data)
  }
}

const report = (counts: Counts) =>
  `${counts.projects} projects, ${counts.edits} batches of edits, ${counts.blobs} pictures and fonts`

export async function backup(args: string[]): Promise<number> {
  const { path, data, address } = read(args)
  if (!address && !existsSync(join(data, 'mariadb')))
    throw new Refusal(`there is nothing stored in ${data}; say with --data where it is`)
  const counts = await working(address ?? (await runningIn(data)), data, (pool, going) =>
    backUp(pool, path, going),
  )
  console.log(`${path}: ${report(counts)}`)
  return 0
}

export async function restore(args: string[]): Promise<number> {
  const { path, data, address } = read(args)
  try {
    const counts = await working(address, data, (pool, going) => putBack(pool, path, going))
    console.log(`restored: ${report(counts)}`)
    return 0
  } catch (error) {
    if (error instanceof BackupError) throw new Refusal(`${path}: ${error.message}; nothing was changed`)
    throw error
  }
}
