/** How many batches a second are committed durably, beside what the same machine does without us: all turn about in one run. */
import { type ChildProcess, spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import autocannon from 'autocannon'
import mysql from 'mysql2/promise'
import { type DatabaseAddress, openPool } from '../../server/db/pool'
import { freePort, startMariaDb } from '../../server/mariadb'
import { type Further, median } from './statistics'

const SECONDS = 2
const ROUNDS = 3
/** Rounds before, that count nothing: a server that has been up for a while is compared, not one whose code is still being compiled. */
const WARMING = 3
const CONNECTIONS = [8, 1]
/** As large as a batch's edits. */
const ROW = JSON.stringify([{ op: 'page-meta', id: 'a-page', set: { name: 'Page 1' } }])
const SPEAKING = { 'X-Just-Lattice': 'bench', 'Content-Type': 'application/json' }

/** Requests or commits in a second. */
type Rates = { empty: number; health: number; durable: number; raw: number; row: number }

export async function benchCommits(): Promise<Further[]> {
  const folder = await mkdtemp(join(tmpdir(), 'just-lattice-bench-'))
  const database = await startMariaDb(folder)
  const children: ChildProcess[] = []
  try {
    const app = await startServer(children, 'app', database.address)
    const empty = await startServer(children, 'empty', database.address)
    const raw = await rawTable(database.address)
    const results: Further[] = []
    for (const connections of CONNECTIONS) {
      const rounds: Rates[] = []
      for (let round = 0; round < WARMING + ROUNDS; round++) {
        const rates = {
          empty: await rate(`${empty}/`, connections),
          health: await rate(`${app}/api/health`, connections),
          raw: await raw(connections),
          row: await rate(`${empty}/`, connections, ROW),
          durable: await durable(app, connections),
        }
        if (round >= WARMING) rounds.push(rates)
      }
      results.push(...judge(rounds, connections))
    }
    return results
  } finally {
    for (const child of children) child.kill('SIGKILL')
    await database.stop()
    await rm(folder, { recursive: true, force: true })
  }
}

function judge(rounds: readonly Rates[], connections: number): Further[] {
  const of = (name: keyof Rates) => Math.round(median(rounds.map((round) => round[name])))
  // Of what was timed one after the other: the machine is not as fast all the time.
  const ratio = (a: keyof Rates, b: keyof Rates) => median(rounds.map((round) => round[a] / round[b]))
  const toRaw = ratio('durable', 'raw')
  const toEmpty = ratio('durable', 'empty')
  const barred = connections === 8
  return [
    {
      name: `commits, ${connections} connections`,
      value: toRaw,
      met: !barred || (toRaw >= 0.35 && toEmpty >= 0.5),
      line:
        `commits           ${connections} connections, a second: empty route ${of('empty')}, health ${of('health')}, raw commits ${of('raw')}, a route that commits a row ${of('row')} (${ratio('row', 'empty').toFixed(2)} of the empty one), durable batches ${of('durable')}: ` +
        `${toRaw.toFixed(2)} of raw${barred ? ' (bar 0.35)' : ''}, ${toEmpty.toFixed(2)} of the empty route${barred ? ' (bar 0.5)' : ''}`,
    },
  ]
}

/** A server in a process of its own, as it runs for users. @returns its address */
async function startServer(
  children: ChildProcess[],
  what: 'app' | 'empty',
  address: DatabaseAddress,
): Promise<string> {
  const port = await freePort()
  const child = spawn(
    process.execPath,
    [
      '--import',
      fileURLToPath(new URL('../../../node_modules/tsx/dist/loader.mjs', import.meta.url)),
      fileURLToPath(new URL('bench-server.ts', import.meta.url)),
      what,
      String(port),
      JSON.stringify(address),
    ],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  )
  children.push(child)
  await once(child.stdout, 'data')
  return `http://127.0.0.1:${port}`
}

async function rate(url: string, connections: number, body?: string): Promise<number> {
  const sent = body === undefined ? {} : ({ method: 'POST', headers: SPEAKING, body } as const)
  const { requests, non2xx } = await autocannon({ url, connections, duration: SECONDS, ...sent })
  if (non2xx > 0) throw new Error(`${url}: ${non2xx} requests failed`)
  return requests.average
}

/** Single rows, each committed by itself, on so many connections at once. */
async function rawTable(address: DatabaseAddress): Promise<(connections: number) => Promise<number>> {
  const setUp = openPool(address)
  await setUp.query(
    'CREATE TABLE raw_rows (id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, body VARCHAR(400) NOT NULL)',
  )
  await setUp.end()
  return async (connections) => {
    const until = performance.now() + SECONDS * 1000
    const counts = await Promise.all(
      Array.from({ length: connections }, async () => {
        const connection = await mysql.createConnection(address)
        let count = 0
        for (; performance.now() < until; count++)
          await connection.execute('INSERT INTO raw_rows (body) VALUES (?)', [ROW])
        await connection.end()
        return count
      }),
    )
    return counts.reduce((sum, count) => sum + count, 0) / SECONDS
  }
}

type Work = { id: string; page: string; revision: number }

const batchOf = ({ page, revision }: Work) =>
  JSON.stringify({
    base: revision,
    head: revision === 0 ? '' : `k${revision}`,
    key: `k${revision + 1}`,
    at: 1_790_000_000_000,
    edits: [{ op: 'page-meta', id: page, set: { name: `Page ${revision}` } }],
  })

/** What was counted is in the logs. @throws when it is not */
async function checkLog(app: string, works: readonly Work[]) {
  for (const { id, revision } of works) {
    const read = (await (await fetch(`${app}/api/projects/${id}`)).json()) as { revision: number }
    // One more may have been on its way when the time was up.
    if (read.revision < revision || read.revision > revision + 1)
      throw new Error(`${revision} batches were acknowledged, the log is at ${read.revision}`)
  }
}

/** Each connection is somebody at work on a project of their own. */
async function durable(app: string, connections: number): Promise<number> {
  const works: Work[] = await Promise.all(
    Array.from({ length: connections }, async () => {
      const answer = await fetch(`${app}/api/projects`, {
        method: 'POST',
        headers: SPEAKING,
        body: JSON.stringify({ name: 'Bench' }),
      })
      const { id } = (await answer.json()) as { id: string }
      const read = (await (await fetch(`${app}/api/projects/${id}`)).json()) as {
        file: { pages: { id: string }[] }
      }
      return { id, page: read.file.pages[0]!.id, revision: 0 }
    }),
  )
  // One a connection: each goes on from its own last batch.
  const loads = await Promise.all(works.map((work) => appendTo(app, work)))
  await checkLog(app, works)
  return loads.reduce((sum, load) => sum + load, 0)
}

async function appendTo(app: string, work: Work): Promise<number> {
  const { requests, non2xx } = await autocannon({
    url: app,
    connections: 1,
    duration: SECONDS,
    requests: [
      {
        method: 'POST',
        path: `/api/projects/${work.id}/edits`,
        headers: SPEAKING,
        setupRequest: (request) => ({ ...request, body: batchOf(work) }),
        onResponse: () => {
          work.revision++
        },
      },
    ],
  })
  if (non2xx > 0) throw new Error(`${non2xx} batches were refused`)
  return requests.average
}
