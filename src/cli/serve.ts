/** `lattice demo` and `lattice start`: database, migrations, web build, app server; all stopped together. */
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { mkdir, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Pool } from 'mysql2/promise'
import { type Logger, pino } from 'pino'
import { namedBlobs } from '../core/document/named-blobs'
import { openProject } from '../core/document/open'
import { createApp, listen, type RunningApp } from '../server/app'
import { migrate } from '../server/db/migrate'
import { addressOf, type DatabaseAddress, openPool } from '../server/db/pool'
import { Disk, freeOn } from '../server/disk'
import { keepHouse } from '../server/housekeeping'
import { type MariaDb, startMariaDb } from '../server/mariadb'
import { tellNeighbours } from '../server/neighbours'
import { compressAssets } from './compress'
import { numberOption, pathFrom, Refusal, readArgs } from './refusal'
import { newestSource } from './sources'

const ROOT = fileURLToPath(new URL('../../', import.meta.url))
export const DEMO_FILE = join(ROOT, 'demo/hollow-oak.lattice')
/** A second project, of another temper. */
export const OTHER_DEMO_FILE = join(ROOT, 'demo/undertow.lattice')

/** Builds the web app unless the last build is newer than every source. */
export async function buildWeb() {
  const built = join(ROOT, 'dist/web/index.html')
  const at = existsSync(built) ? (await stat(built)).mtimeMs : 0
  if (at > (await newestSource(ROOT))) return
  console.error('lattice: building …')
  const result = spawnSync(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'error'],
    { cwd: ROOT, stdio: ['ignore', 2, 2] },
  )
  if (result.status !== 0) throw new Error('the web app could not be built')
  await compressAssets(join(ROOT, 'dist/web/assets'))
}

export type Running = {
  address: string
  port: number
  database: MariaDb | undefined
  stop: () => Promise<void>
}

export type ServeOptions = {
  /** Where the database and the marks of this instance lie; left out: nothing is kept on this machine. */
  data?: string
  port: number
  demo: boolean
  /** The second demo project, too. */
  otherDemo?: boolean
  databasePort?: number
  /** A database that is there already, or the nodes of its cluster; left out: one of our own in `data`. */
  databases?: readonly DatabaseAddress[]
  logLevel?: string
  /** Names that the server answers to besides loopback's. */
  hosts?: string[]
  /** Where app servers before the same database reach this one; left out: on loopback. */
  neighbourHost?: string
}

/** What is said goes to the terminal, or the file that it is led to; where there is no room for it, it is lost, and nothing else is. */
function logger(level: string): Logger {
  const out = pino.destination(1)
  out.on('error', () => undefined)
  for (const each of [process.stdout, process.stderr]) each.on('error', () => undefined)
  return pino({ level }, out)
}

/** Starts everything. */
export async function serve(options: ServeOptions): Promise<Running> {
  const { data, databases } = options
  await claimPort(options.port)
  if (data) await claimFolder(data)
  const log = logger(options.logLevel ?? process.env.LATTICE_LOG ?? 'warn')
  const database = databases || !data ? undefined : await startMariaDb(data, options.databasePort)
  const pool = openPool(...(databases ?? [database!.address]))
  try {
    if (databases) await answers(pool)
    const disk = database && data ? new Disk(() => freeOn(data), log) : undefined
    await disk?.watch()
    await migrate(pool)
    const running = createApp(pool, log, { hosts: options.hosts, disk, printer: PRINTER })
    const { app, projects, end } = running
    if (options.demo) await loadDemo(projects, data, options.otherDemo === true)
    // Before a database of its own there is no other.
    const stopTelling = databases && (await toNeighbours(running, pool, log, options.neighbourHost))
    const { server, port } = await listen(app, options.port)
    const stopKeeping = keepHouse(pool, log)
    const stop = async () => {
      stopKeeping()
      disk?.end()
      end()
      await stopTelling?.()
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await pool.end().catch(() => undefined)
      await database?.stop()
      if (data) await leaveFolder(data)
    }
    return { address: `http://localhost:${port}/`, port, database, stop }
  } catch (error) {
    await pool.end().catch(() => undefined)
    await database?.stop()
    throw error
  }
}

/** @throws Refusal where others cannot reach this server at that address */
async function toNeighbours(running: RunningApp, pool: Pool, log: Logger, host?: string) {
  try {
    return await tellNeighbours(running, pool, log, host)
  } catch (error) {
    throw new Refusal(
      `--neighbour-host ${host}: this machine cannot be reached there (${(error as NodeJS.ErrnoException).code ?? (error as Error).message}); say an address of its own`,
    )
  }
}

/** How long a database that is used, and not started here, may take to answer, ms. */
const PATIENCE = 60_000

/** @throws Refusal when it does not answer */
async function answers(pool: ReturnType<typeof openPool>) {
  for (const until = Date.now() + PATIENCE; ; ) {
    try {
      await pool.query('SELECT 1')
      return
    } catch (error) {
      const { code, message } = error as { code?: string; message: string }
      if (code === 'ER_ACCESS_DENIED_ERROR' || code === 'ER_BAD_DB_ERROR' || Date.now() > until)
        throw new Refusal(`the database cannot be used: ${message || code}`)
      await new Promise((resolve) => setTimeout(resolve, 500))
    }
  }
}

/** Makes sure that the port is free, before anything is started. @throws Refusal */
async function claimPort(port: number) {
  await new Promise<void>((resolve, reject) => {
    const probe = createServer()
    probe.once('error', () => reject(new Refusal(`port ${port} is taken; choose another with --port`)))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve()))
  })
}

/** Makes sure that no running instance uses the data folder. @throws Refusal naming the instance */
export async function claimFolder(data: string) {
  const lock = join(data, 'instance.pid')
  const owner = Number(await readFile(lock, 'utf8').catch(() => ''))
  if (owner > 0 && owner !== process.pid && existsSync(`/proc/${owner}`)) {
    const command = await readFile(`/proc/${owner}/cmdline`, 'utf8').catch(() => '')
    if (command.includes('main.ts'))
      throw new Refusal(
        `${data} is in use by a running instance (process ${owner}); stop it, or choose another folder with --data`,
      )
  }
  await mkdir(data, { recursive: true })
  await writeFile(lock, String(process.pid))
}

/** Nobody uses it any more. */
export const leaveFolder = (data: string) => rm(join(data, 'instance.pid'), { force: true })

/** Prints pages with the browser of this machine. */
const PRINTER = new URL('print-process.ts', import.meta.url)

/** Under these keys the demo projects are made once in a database, whichever of its servers is first; the last is shown first. */
const DEMOS = [
  ['other-demo-project', OTHER_DEMO_FILE],
  ['demo-project', DEMO_FILE],
] as const

/** The demo projects go in once; what the user makes of them, deleting them included, stays. */
async function loadDemo(
  projects: ReturnType<typeof createApp>['projects'],
  data: string | undefined,
  both: boolean,
) {
  const mark = data && join(data, 'demo-loaded')
  if (mark && existsSync(mark)) return
  for (const [key, file] of both ? DEMOS : DEMOS.slice(-1)) {
    const { document, blobs } = openProject(await readFile(file))
    await projects.blobs.add(blobs, new Map(namedBlobs(document).map(({ hash, type }) => [hash, type])))
    await projects.create(document.toFile(), key)
  }
  if (mark) await writeFile(mark, `${new Date().toISOString()}\n`)
}

/** @throws Refusal saying what is wrong with it */
export function databaseOption(url: string): DatabaseAddress {
  try {
    return addressOf(url)
  } catch (error) {
    throw new Refusal(`--database ${url}: ${(error as Error).message}`)
  }
}

/** Where an instance keeps what is its own. */
export const dataFolder = (port: number, isDemo: boolean) =>
  join(ROOT, port === 4600 ? '.data' : `.data/port-${port}`, isDemo ? 'demo' : 'own')

async function run(args: string[], isDemo: boolean): Promise<number> {
  const { values } = readArgs(args, {
    port: { type: 'string' },
    data: { type: 'string' },
    'allow-host': { type: 'string', multiple: true },
    'neighbour-host': { type: 'string' },
    fresh: { type: 'boolean' },
    database: { type: 'string', multiple: true },
    stateless: { type: 'boolean' },
  })
  if (values.fresh && !isDemo)
    throw new Refusal('--fresh belongs to “lattice demo”: “start” never throws your data away')
  const port = numberOption('port', values.port, { min: 1, max: 65_535, integer: true }) ?? 4600
  // Another port is another instance, with data of its own.
  const data = values.data ? pathFrom(values.data) : dataFolder(port, isDemo)
  const databases = values.database?.map(databaseOption)
  if (values.stateless && !databases)
    throw new Refusal('--stateless keeps nothing on this machine: say with --database where it is kept')
  if (values['neighbour-host'] && !databases)
    throw new Refusal(
      '--neighbour-host is for several servers before one database: say with --database which',
    )
  if (values.fresh) await rm(data, { recursive: true, force: true })
  await buildWeb()
  const running = await serve({
    data: values.stateless ? undefined : data,
    port,
    demo: isDemo,
    otherDemo: isDemo,
    databases,
    hosts: values['allow-host'],
    neighbourHost: values['neighbour-host'],
  })
  console.log(`Just Lattice is at ${running.address}  (Ctrl-C stops it)`)
  // Kept listening: a second Ctrl-C must not cut the database off while it closes.
  await new Promise<void>((resolve) => {
    process.on('SIGINT', () => resolve())
    process.on('SIGTERM', () => resolve())
  })
  console.log('stopping …')
  await running.stop()
  return 0
}

export const demo = (args: string[]) => run(args, true)
export const start = (args: string[]) => run(args, false)
