/** Several app servers before one database, and before a cluster of three nodes of which one is killed. */
import { createSocket } from 'node:dgram'
import { mkdtemp, rm } from 'node:fs/promises'
import type { Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { RowDataPacket } from 'mysql2/promise'
import { pino } from 'pino'
import { afterEach, describe, expect, test } from 'vitest'
import { createApp, listen, type RunningApp } from './app'
import { migrate } from './db/migrate'
import { type DatabaseAddress, openPool } from './db/pool'
import { startCluster } from './galera'
import { startMariaDb } from './mariadb'
import { tellNeighbours } from './neighbours'

const HEADERS = { 'Content-Type': 'application/json', 'X-Just-Lattice': 'tab' }
const endings: (() => unknown)[] = []
afterEach(async () => {
  for (const end of endings.splice(0).reverse()) await end()
})

async function folder() {
  const made = await mkdtemp(join(tmpdir(), 'just-lattice-several-'))
  endings.push(() => rm(made, { recursive: true, force: true }))
  return made
}

/** How often a log is looked at that is not, ms. */
const NEVER = 2 ** 30

/** An app server with connections of its own. @returns its address */
async function appServer(databases: readonly DatabaseAddress[], poll?: number): Promise<string> {
  const pool = openPool(...databases)
  await migrate(pool)
  const log = pino({ level: 'silent' })
  const running = createApp(pool, log, { poll })
  const { app, end } = running
  const { server, port } = await listen(app, 0)
  const stopTelling = await tellNeighbours(running, pool, log)
  endings.push(async () => {
    end()
    await stopTelling()
    await close(server)
    await pool.end()
  })
  return `http://127.0.0.1:${port}/api`
}

async function close(server: Server) {
  server.closeAllConnections()
  await new Promise((resolve) => server.close(resolve))
}

type Answer = { status: number; body: Record<string, unknown> }
/** Status 0: there was no answer. */
async function ask(url: string, body?: unknown): Promise<Answer> {
  try {
    const response = await fetch(url, {
      method: body === undefined ? 'GET' : 'POST',
      headers: HEADERS,
      body: body === undefined ? undefined : JSON.stringify(body),
    })
    return { status: response.status, body: (await response.json()) as Record<string, unknown> }
  } catch {
    return { status: 0, body: {} }
  }
}

type Read = { revision: number; head: string; file: { pages: { id: string; name: string }[] } }
const read = async (base: string, id: string) => (await ask(`${base}/projects/${id}`)).body as unknown as Read

/** Somebody at work: asks again with the same key until there is an answer, and goes on from what others did. */
class Client {
  readonly acknowledged: string[] = []
  revision = 0
  head = ''
  failures = 0

  constructor(
    readonly name: string,
    readonly bases: readonly string[],
    readonly project: string,
    readonly page: string,
  ) {}

  async append(n: number) {
    const key = `${this.name}-${n}`
    const edits = [{ op: 'page-meta', id: this.page, set: { name: `${this.name} ${n}` } }]
    for (let tries = 0; ; tries++) {
      const base = this.bases[tries % this.bases.length]
      const batch = { base: this.revision, head: this.head, key, at: 1, edits }
      const { status, body } = await ask(`${base}/projects/${this.project}/edits`, batch)
      if (status === 200) {
        this.acknowledged.push(key)
        this.revision = body.revision as number
        this.head = key
        return
      }
      if (status === 409) await this.catchUp(base!)
      else this.failures++
      if (status === 400 || status === 422) throw new Error(JSON.stringify(body))
      await new Promise((resolve) => setTimeout(resolve, status === 409 ? 2 : 50))
    }
  }

  private async catchUp(base: string) {
    const { revision, head } = await read(base, this.project)
    if (revision === undefined) return
    this.revision = revision
    this.head = head
  }
}

async function newProject(base: string, name: string) {
  const { body } = await ask(`${base}/projects`, { name })
  const id = body.id as string
  return { id, page: (await read(base, id)).file.pages[0]!.id }
}

/** Keys of a project's log in order, as one node has them. */
async function logOf(address: DatabaseAddress, project: string): Promise<string[]> {
  const pool = openPool(address)
  try {
    const [rows] = await pool.query<RowDataPacket[]>(
      'SELECT revision, batch_key FROM edits WHERE project_id = ? ORDER BY revision',
      [project],
    )
    expect(rows.map((row) => row.revision)).toEqual(rows.map((_, i) => i + 1))
    return rows.map((row) => row.batch_key as string)
  } finally {
    await pool.end()
  }
}

/** Hears a stream until it is ended. */
function hear(base: string, project: string): { keys: string[] } {
  const heard = { keys: [] as string[] }
  const stop = new AbortController()
  endings.push(() => stop.abort())
  void (async () => {
    const response = await fetch(`${base}/projects/${project}/stream?since=0&head=`, { signal: stop.signal })
    let text = ''
    for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const [event, data] = text.slice(0, end).split('\n')
        if (event === 'event: edits') heard.keys.push((JSON.parse(data!.slice(6)) as { key: string }).key)
        text = text.slice(end + 2)
      }
    }
  })().catch(() => undefined)
  return heard
}

test('two app servers, one database: three tabs agree, and each hears what the others did', async () => {
  const database = await startMariaDb(await folder())
  endings.push(() => database.stop())
  const a = await appServer([database.address])
  const b = await appServer([database.address])
  const { id, page } = await newProject(a, 'Shared')
  const heard = [hear(a, id), hear(b, id), hear(b, id)]
  const tabs = [[a], [b], [b]].map((bases, i) => new Client(`tab${i}`, bases, id, page))
  await Promise.all(
    tabs.map(async (tab) => {
      for (let n = 0; n < 15; n++) await tab.append(n)
    }),
  )
  const log = await logOf(database.address, id)
  expect(log.length).toBe(45)
  expect([...log].sort()).toEqual(tabs.flatMap((tab) => tab.acknowledged).sort())
  expect(await read(a, id)).toEqual(await read(b, id))
  for (const { keys } of heard) await expect.poll(() => keys, { timeout: 20_000 }).toEqual(log)
})

test('what is appended to one app server is told to the others, which need not look', async () => {
  const database = await startMariaDb(await folder())
  endings.push(() => database.stop())
  const [a, b] = [await appServer([database.address], NEVER), await appServer([database.address], NEVER)]
  const { id, page } = await newProject(a, 'Shared')
  const heard = hear(b, id)
  const tab = new Client('tab', [a], id, page)
  for (let n = 0; n < 20; n++) await tab.append(n)
  await expect.poll(() => heard.keys, { timeout: 20_000 }).toEqual(tab.acknowledged)
})

test('words without a neighbour’s secret move nobody; an address that is not this machine’s is refused', async () => {
  const database = await startMariaDb(await folder())
  endings.push(() => database.stop())
  const a = await appServer([database.address], NEVER)
  const { id, page } = await newProject(a, 'Shared')
  const pool = openPool(database.address)
  endings.push(() => pool.end())
  const asked: string[] = []
  const streams = { heard: (project: string) => void asked.push(project) }
  const running = { projects: {}, streams } as unknown as RunningApp
  const log = pino({ level: 'silent' })
  endings.push(await tellNeighbours(running, pool, log))
  const [rows] = await pool.query<RowDataPacket[]>('SELECT port, secret FROM app_servers ORDER BY seen_at')
  const { port, secret } = rows.at(-1) as { port: number; secret: Buffer }
  const socket = createSocket('udp4')
  endings.push(() => void socket.close())
  const send = (bytes: Buffer) => new Promise((resolve) => socket.send(bytes, port, '127.0.0.1', resolve))
  await send(Buffer.concat([Buffer.alloc(16, 7), Buffer.from('forged')]))
  await send(Buffer.from('short'))
  await send(Buffer.concat([secret, Buffer.from('x'.repeat(200))]))
  await send(Buffer.concat([secret, Buffer.from('told')]))
  await expect.poll(() => asked).toContain('told')
  expect(asked).toEqual(['told'])
  await new Client('tab', [a], id, page).append(0)
  await expect.poll(() => asked).toContain(id)
  await expect(tellNeighbours(running, pool, log, '192.0.2.1')).rejects.toThrow('EADDRNOTAVAIL')
})

describe('a cluster', () => {
  test('a node killed under load: nothing acknowledged is lost, clients go on, the node comes back whole', async () => {
    const cluster = await startCluster(await folder())
    endings.push(() => cluster.stop())
    await cluster.together(3)
    const [one, two, three] = cluster.addresses
    // Each asks its own node first; one of them will be gone.
    const a = await appServer([one!, two!, three!])
    const b = await appServer([three!, one!, two!])
    const shared = await newProject(a, 'Shared')
    const clients = [
      new Client('first', [a, b], shared.id, shared.page),
      new Client('second', [b, a], shared.id, shared.page),
    ]
    for (const base of [a, b]) {
      const own = await newProject(base, 'Own')
      clients.push(new Client(`own${clients.length}`, [base], own.id, own.page))
    }
    const go = (from: number, count: number) =>
      Promise.all(
        clients.map(async (client) => {
          for (let n = from; n < from + count; n++) await client.append(n)
        }),
      )
    await go(0, 10)
    const load = go(10, 60)
    await cluster.kill(2)
    await load
    await cluster.together(3)
    await go(70, 5)
    for (const project of new Set(clients.map((client) => client.project))) {
      const logs = await Promise.all(cluster.addresses.map((address) => logOf(address, project)))
      expect(logs[1]).toEqual(logs[0])
      expect(logs[2]).toEqual(logs[0])
      const acknowledged = clients
        .filter((client) => client.project === project)
        .flatMap((each) => each.acknowledged)
      expect([...logs[0]!].sort()).toEqual(acknowledged.sort())
      expect(await read(b, project)).toEqual(await read(a, project))
    }
    expect(clients.every((client) => client.acknowledged.length === 75)).toBe(true)
  })
})
