/** What is killed: app servers in processes of their own, and the database, one or a cluster. */
import { type ChildProcess, spawn } from 'node:child_process'
import { once } from 'node:events'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { DatabaseAddress } from '../../server/db/pool'
import { startCluster } from '../../server/galera'
import { freePort, startMariaDb } from '../../server/mariadb'

const LOADER = fileURLToPath(new URL('../../../node_modules/tsx/dist/loader.mjs', import.meta.url))
const MAIN = fileURLToPath(new URL('../main.ts', import.meta.url))

const urlOf = ({ user, password, host, port, database }: DatabaseAddress) =>
  `mysql://${user}:${password}@${host}:${port}/${database}`

export type Databases = {
  addresses: DatabaseAddress[]
  /** Kills one; it comes back by itself. */
  kill(random: number): Promise<void>
  /** Resolves when all are there. */
  whole(): Promise<void>
  stop(): Promise<void>
}

export async function startDatabases(folder: string, cluster: boolean): Promise<Databases> {
  if (cluster) {
    const nodes = await startCluster(folder)
    await nodes.together(3)
    return {
      addresses: nodes.addresses,
      // The first began the cluster and would begin another.
      kill: (random) => nodes.kill(1 + Math.floor(random * 2)),
      whole: () => nodes.together(3),
      stop: nodes.stop,
    }
  }
  const one = await startMariaDb(folder)
  return {
    addresses: [one.address],
    kill: async () => {
      process.kill(Number(await readFile(join(folder, 'mariadb.pid'), 'utf8')), 'SIGKILL')
    },
    whole: async () => undefined,
    stop: one.stop,
  }
}

export class AppServers {
  readonly addresses: string[] = []
  private readonly children: ChildProcess[] = []
  private readonly ports: number[] = []
  /** Servers that ended without having been killed. */
  readonly fell: string[] = []

  constructor(private readonly databases: readonly DatabaseAddress[]) {}

  async start(count: number) {
    for (let i = 0; i < count; i++) {
      this.ports.push(await freePort())
      this.addresses.push(`http://127.0.0.1:${this.ports[i]}`)
      await this.begin(i)
    }
  }

  private async begin(i: number) {
    // Each asks another node first.
    const turned = this.databases.map((_, k) => this.databases[(i + k) % this.databases.length])
    const args = turned.flatMap((address) => ['--database', urlOf(address!)])
    const child = spawn(
      process.execPath,
      ['--import', LOADER, MAIN, 'start', '--stateless', '--port', String(this.ports[i]), ...args],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    )
    this.children[i] = child
    child.once('exit', (code) => {
      // Killed, it has no code of its own.
      if (code !== null) this.fell.push(`app server ${i} ended by itself with ${code}`)
    })
    const said = await Promise.race([once(child.stdout, 'data'), once(child, 'exit').then(() => undefined)])
    child.stdout?.resume()
    if (!said) {
      await new Promise((resolve) => setTimeout(resolve, 500))
      await this.begin(i)
    }
  }

  async kill(i: number) {
    this.children[i]!.kill('SIGKILL')
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await this.begin(i)
  }

  /** Memory in use by each, MB. */
  async memory(): Promise<number[]> {
    return Promise.all(
      this.children.map(async ({ pid }) => {
        const status = await readFile(`/proc/${pid}/status`, 'utf8').catch(() => '')
        return Math.round(Number(/VmRSS:\s*(\d+)/.exec(status)?.[1] ?? 0) / 1000)
      }),
    )
  }

  stop() {
    for (const child of this.children) child.kill('SIGKILL')
  }
}
