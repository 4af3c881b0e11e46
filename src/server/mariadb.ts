/** A MariaDB server of our own: private data folder, loopback, own port and socket. */
import { type ChildProcess, execFile, spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, mkdtemp, readFile, rename, rm, stat, writeFile } from 'node:fs/promises'
import { createServer } from 'node:net'
import { tmpdir, userInfo } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import mysql from 'mysql2/promise'
import type { DatabaseAddress } from './db/pool'
import { ended, keepWords, LogFile } from './last-words'

const run = promisify(execFile)
const DATABASE = 'just_lattice'
const USER = 'just_lattice'
const PID_FILE = 'mariadb.pid'
/** Where the one that is up listens. */
const PORT_FILE = 'database-port'

/** Loopback ports nobody listens on, each another one. */
export async function freePorts(count: number): Promise<number[]> {
  const probes = Array.from({ length: count }, () => createServer())
  await Promise.all(
    probes.map(
      (probe) =>
        new Promise<void>((resolve, reject) => {
          probe.on('error', reject)
          probe.listen(0, '127.0.0.1', resolve)
        }),
    ),
  )
  const ports = probes.map((probe) => (probe.address() as { port: number }).port)
  await Promise.all(probes.map((probe) => new Promise((resolve) => probe.close(resolve))))
  return ports
}

/** A loopback port nobody listens on. */
export const freePort = async (): Promise<number> => (await freePorts(1))[0]!

/**
 * `more`: arguments of the server besides ours; `user`: whom it runs as, whose the folder becomes; `rest`: how long one that
 * ended is left before it is started again, ms.
 */
type MariaDbOptions = { more?: readonly string[]; user?: string; rest?: number }

export type MariaDb = {
  address: DatabaseAddress
  /** Shuts the server down cleanly and waits for it. */
  stop: () => Promise<void>
}

/**
 * Starts a server on `folder`, making the data folder the first time.
 * @param port left out: any free one
 * @throws when the server does not come up, with the last lines of its log
 */
export async function startMariaDb(
  folder: string,
  port?: number,
  { more = [], user = userInfo().username, rest = 0 }: MariaDbOptions = {},
): Promise<MariaDb> {
  await mkdir(folder, { recursive: true })
  const data = join(folder, 'mariadb')
  if (!existsSync(join(data, 'mysql'))) await install(data, user)
  const password = await secret(join(folder, 'database-password'))
  const init = join(folder, 'database-init.sql')
  await writeFile(
    init,
    [
      `CREATE DATABASE IF NOT EXISTS ${DATABASE} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
      `CREATE OR REPLACE USER ${USER}@'127.0.0.1' IDENTIFIED BY '${password}';`,
      `GRANT ALL ON ${DATABASE}.* TO ${USER}@'127.0.0.1';`,
      `ALTER USER root@localhost ACCOUNT LOCK;`,
    ].join('\n'),
    { mode: 0o600 },
  )
  await stopOrphan(folder)
  const used = port ?? (await freePort())
  // A socket's path may be 107 bytes long at most, whatever the project's folder is.
  const runtime = await mkdtemp(join(tmpdir(), 'just-lattice-'))
  if (user !== userInfo().username) await run('chown', ['-R', user, folder, runtime])
  const args = [
    '--no-defaults',
    `--datadir=${data}`,
    `--user=${user}`,
    '--bind-address=127.0.0.1',
    `--port=${used}`,
    `--socket=${join(runtime, 'db.sock')}`,
    `--pid-file=${join(folder, PID_FILE)}`,
    `--init-file=${init}`,
    '--skip-name-resolve',
    '--skip-log-bin',
    '--max-allowed-packet=256M',
    '--innodb-buffer-pool-size=128M',
    '--innodb-flush-log-at-trx-commit=1',
    '--character-set-server=utf8mb4',
    ...more,
  ]
  const address: DatabaseAddress = { host: '127.0.0.1', port: used, user: USER, password, database: DATABASE }
  const server = new WatchedServer(args, address, await openLog(folder), rest)
  await server.start()
  await writeFile(join(folder, PORT_FILE), `${used}\n`)
  const stop = async () => {
    await server.stop()
    await rm(join(folder, PORT_FILE), { force: true })
    await rm(runtime, { recursive: true, force: true })
  }
  return { address, stop }
}

/** Where the server of a folder is, while one is up. */
export async function runningIn(folder: string): Promise<DatabaseAddress | undefined> {
  if (!(await pidIn(folder))) return undefined
  const port = Number(await readFile(join(folder, PORT_FILE), 'utf8').catch(() => ''))
  if (!(port > 0)) return undefined
  const password = await secret(join(folder, 'database-password'))
  return { host: '127.0.0.1', port, user: USER, password, database: DATABASE }
}

/** Bytes of the database's own log before a new file is begun; the one before is kept. */
const MOST_LOG = 10_000_000

async function openLog(folder: string): Promise<LogFile> {
  const path = join(folder, 'mariadb.log')
  const size = await stat(path).then(
    (found) => found.size,
    () => 0,
  )
  if (size > MOST_LOG) await rename(path, `${path}.before`)
  return new LogFile(path)
}

/** Longest wait before a database that ended is started again, ms. */
const LONGEST_WAIT = 10_000

/** The database's process: started again whenever it ends without having been asked to. */
class WatchedServer {
  private child: ChildProcess | undefined
  private stopping = false

  constructor(
    private readonly args: readonly string[],
    private readonly address: DatabaseAddress,
    private readonly log: LogFile,
    private readonly rest: number,
  ) {}

  /** @throws when it does not come up, with the last lines of its log */
  async start() {
    const child = spawn('mariadbd', [...this.args], { stdio: ['ignore', 'ignore', 'pipe'], detached: true })
    this.child = child
    await whenUp(child, this.address, keepWords(child, this.log))
    child.once('exit', () => void this.again())
    // It may have ended while it was asked whether it is up.
    if (child.exitCode !== null || child.signalCode !== null) void this.again()
  }

  private async again() {
    await new Promise((resolve) => setTimeout(resolve, this.rest))
    for (let wait = 200; !this.stopping; wait = Math.min(2 * wait, LONGEST_WAIT)) {
      this.log.write(
        `${new Date().toISOString()} the server ended without having been asked to; it is started again\n`,
      )
      try {
        return await this.start()
      } catch {
        await new Promise((resolve) => setTimeout(resolve, wait))
      }
    }
  }

  async stop() {
    this.stopping = true
    const { child } = this
    if (child) await ended(child, () => child.kill('SIGTERM'))
    await this.log.end()
  }
}

/** Tries to make a data folder; a machine that stands still for too long can make the first try fail. */
const INSTALL_TRIES = 3

/** @throws when the folder cannot be made, with what the program said */
async function install(data: string, user: string) {
  for (let attempt = 1; ; attempt++) {
    try {
      await run('mariadb-install-db', [
        '--no-defaults',
        `--datadir=${data}`,
        `--user=${user}`,
        '--skip-test-db',
        '--auth-root-authentication-method=normal',
      ])
      return
    } catch (error) {
      // Nothing of ours is in it yet.
      await rm(data, { recursive: true, force: true })
      const { stderr = '', stdout = '' } = error as { stderr?: string; stdout?: string }
      if (attempt === INSTALL_TRIES)
        throw new Error(
          `MariaDB could not make its data folder ${data}:\n${`${stdout}\n${stderr}`.slice(-2000)}`,
        )
    }
  }
}

/** The process that holds a folder's data, if there is one. */
async function pidIn(folder: string): Promise<number | undefined> {
  const pid = Number(await readFile(join(folder, PID_FILE), 'utf8').catch(() => ''))
  if (!(pid > 0)) return undefined
  const command = await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '')
  return command.includes(`--datadir=${join(folder, 'mariadb')}`) ? pid : undefined
}

/** A server of ours whose app was killed still holds the data: it is shut down cleanly first. */
async function stopOrphan(folder: string) {
  const pid = await pidIn(folder)
  if (pid === undefined) return
  process.kill(pid, 'SIGTERM')
  for (let waited = 0; (await pidIn(folder)) === pid && waited < 20_000; waited += 100)
    await new Promise((resolve) => setTimeout(resolve, 100))
}

async function secret(path: string): Promise<string> {
  if (existsSync(path)) return (await readFile(path, 'utf8')).trim()
  const made = randomBytes(24).toString('hex')
  await writeFile(path, made, { mode: 0o600 })
  return made
}

async function whenUp(child: ChildProcess, address: DatabaseAddress, log: () => string) {
  const started = Date.now()
  for (;;) {
    if (child.exitCode !== null) throw new Error(`MariaDB stopped while starting:\n${log()}`)
    try {
      const connection = await mysql.createConnection({ ...address, connectTimeout: 1000 })
      await connection.end()
      return
    } catch {
      if (Date.now() - started > 60_000) {
        child.kill('SIGKILL')
        throw new Error(`MariaDB did not answer within a minute:\n${log()}`)
      }
      await new Promise((resolve) => setTimeout(resolve, 60))
    }
  }
}
