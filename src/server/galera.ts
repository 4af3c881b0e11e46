/** A Galera cluster on loopback, for tests and soaking: every node a MariaDB of its own that holds everything. */
import { chmod, mkdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import mysql, { type RowDataPacket } from 'mysql2/promise'
import type { DatabaseAddress } from './db/pool'
import { freePorts, type MariaDb, startMariaDb } from './mariadb'

export type Cluster = {
  addresses: DatabaseAddress[]
  /** Kills a node as a power cut would. It is started again, and joins by itself. */
  kill(node: number): Promise<void>
  /** Resolves when as many nodes are together, and every one of them is up to date. */
  together(nodes: number): Promise<void>
  stop(): Promise<void>
}

/** What copies a node's data to another gives up root's rights when it runs as root. */
const USER = process.getuid?.() === 0 ? 'mysql' : undefined
const PROVIDER = '/usr/lib/galera/libgalera_smm.so'

export async function startCluster(folder: string, count = 3): Promise<Cluster> {
  // Others than who makes it have to get in.
  await chmod(folder, 0o755)
  // All nodes have one password: what the first has goes to the others when they join.
  // All at once: one that is found free later might be one of these.
  const ports = await freePorts(4 * count)
  const groups = ports.slice(0, count)
  const nodes: MariaDb[] = []
  for (let i = 0; i < count; i++) {
    const own = join(folder, `node-${i}`)
    await mkdir(own, { recursive: true })
    await writeFile(join(own, 'database-password'), 'of-the-cluster', { mode: 0o600 })
    const [port, state, transfer] = [1, 2, 3].map((kind) => ports[kind * count + i])
    const members = groups.map((group) => `127.0.0.1:${group}`).join(',')
    nodes.push(
      await startMariaDb(own, port, {
        user: USER,
        // The others have noticed by then: one that is back sooner would be taken for two.
        rest: 9000,
        more: [
          '--wsrep-on=ON',
          `--wsrep-provider=${PROVIDER}`,
          // The first begins the cluster; the others find it.
          `--wsrep-cluster-address=gcomm://${i === 0 ? '' : members}`,
          '--wsrep-cluster-name=just-lattice-test',
          `--wsrep-node-name=node-${i}`,
          `--wsrep-node-address=127.0.0.1:${groups[i]}`,
          `--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${groups[i]};ist.recv_addr=127.0.0.1:${state};evs.keepalive_period=PT0.5S;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT6S;pc.recovery=false;gcomm.thread_prio=other:0`,
          '--wsrep-sst-method=rsync',
          `--wsrep-sst-receive-address=127.0.0.1:${transfer}`,
          '--binlog-format=ROW',
          '--innodb-autoinc-lock-mode=2',
        ],
      }),
    )
  }
  const addresses = nodes.map((node) => node.address)
  return {
    addresses,
    async kill(node) {
      process.kill(Number(await readFile(join(folder, `node-${node}`, 'mariadb.pid'), 'utf8')), 'SIGKILL')
    },
    async together(wanted) {
      for (const until = Date.now() + 150_000; ; ) {
        const states = await Promise.all(addresses.map(stateOf))
        const whole = states.filter((state) => state?.size === wanted && state.synced)
        if (whole.length === wanted) return
        if (Date.now() > until)
          throw new Error(`the cluster does not come together: ${JSON.stringify(states)}`)
        await new Promise((resolve) => setTimeout(resolve, 100))
      }
    },
    async stop() {
      for (const node of [...nodes].reverse()) await node.stop()
    },
  }
}

async function stateOf(address: DatabaseAddress): Promise<{ size: number; synced: boolean } | undefined> {
  try {
    const connection = await mysql.createConnection({ ...address, connectTimeout: 1000 })
    try {
      const [rows] = await connection.query<RowDataPacket[]>(
        "SHOW STATUS WHERE Variable_name IN ('wsrep_cluster_size', 'wsrep_local_state_comment')",
      )
      const of = (name: string) => rows.find((row) => row.Variable_name === name)?.Value as string
      return {
        size: Number(of('wsrep_cluster_size')),
        synced: of('wsrep_local_state_comment') === 'Synced',
      }
    } finally {
      connection.destroy()
    }
  } catch {
    return undefined
  }
}
