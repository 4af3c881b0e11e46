/** The app server on a real MariaDB of its own, for tests. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { RowDataPacket } from 'mysql2/promise'
import { pino } from 'pino'
import { hashOf, PART, partsOf } from '../core/blobs/blobs'
import type { NodeTree, ProjectFile } from '../core/document/schema'
import { type AppOptions, createApp, listen } from './app'
import { migrate } from './db/migrate'
import { openPool } from './db/pool'
import { freePort, startMariaDb } from './mariadb'

export type Answer = {
  status: number
  body: Record<string, never> & { [key: string]: unknown }
  type: string | null
}

export const section = (id: string): NodeTree => ({
  id,
  kind: 'section',
  name: 'Section',
  order: `a${id.at(-1)}`,
  props: {},
})

export type TestServer = Awaited<ReturnType<typeof testServer>>

export async function testServer(options: AppOptions = {}) {
  const folder = await mkdtemp(join(tmpdir(), 'just-lattice-server-'))
  const databasePort = await freePort()
  let database = await startMariaDb(folder, databasePort)
  const pool = openPool(database.address)
  await migrate(pool)
  const { app, projects, streams, end } = createApp(pool, pino({ level: 'silent' }), options)
  const { server, port } = await listen(app, 0)
  const base = `http://127.0.0.1:${port}/api`

  async function ask(path: string, method = 'GET', body?: unknown, raw?: string): Promise<Answer> {
    const response = await fetch(base + path, {
      method,
      headers: { 'Content-Type': 'application/json', 'X-Just-Lattice': 'tab-one' },
      body: raw ?? (body === undefined ? undefined : JSON.stringify(body)),
    })
    const text = await response.text()
    return {
      status: response.status,
      body: text ? JSON.parse(text) : undefined,
      type: response.headers.get('content-type'),
    }
  }
  /** Begins a blob and sends its parts. @returns its hash and the last answer */
  async function sendBlob(bytes: Uint8Array, type: string) {
    const hash = hashOf(bytes)
    let answer = await ask(`/blobs/${hash}`, 'POST', { type, size: bytes.length })
    for (let part = 0; part < partsOf(bytes.length) && answer.status === 200; part++)
      answer = await sendPart(hash, part, bytes.subarray(part * PART, (part + 1) * PART))
    return { hash, answer }
  }
  async function sendPart(hash: string, part: number, bytes: Uint8Array): Promise<Answer> {
    const response = await fetch(`${base}/blobs/${hash}/${part}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/octet-stream', 'X-Just-Lattice': 'tab-one' },
      body: bytes as Uint8Array<ArrayBuffer>,
    })
    return { status: response.status, body: await response.json(), type: null }
  }
  const create = async (name = 'Test') =>
    (await ask('/projects', 'POST', { name })).body.id as unknown as string
  const fileOf = async (id: string) => (await ask(`/projects/${id}`)).body.file as unknown as ProjectFile
  /** The key of the batch that made a revision, as whoever makes the next one knows it. */
  const keyAt = async (id: string, revision: number) => {
    const [rows] = await pool.query<RowDataPacket[]>(
      'SELECT batch_key FROM edits WHERE project_id = ? AND revision = ?',
      [id, revision],
    )
    return (rows[0]?.batch_key as string) ?? ''
  }
  const append = async (id: string, key: string, revision: number, edits: unknown[]) =>
    ask(`/projects/${id}/edits`, 'POST', {
      base: revision,
      head: await keyAt(id, revision),
      key,
      at: 1_790_000_000_000,
      edits,
    })
  const insert = async (id: string, key: string, revision: number, name: string) =>
    append(id, key, revision, [
      { op: 'insert', parent: (await fileOf(id)).pages[0]!.id, tree: section(name) },
    ])

  return {
    folder,
    base,
    port,
    pool,
    projects,
    streams,
    ask,
    sendBlob,
    sendPart,
    create,
    fileOf,
    append,
    insert,
    get database() {
      return database
    },
    startDatabase: async () => {
      database = await startMariaDb(folder, databasePort)
    },
    stop: async () => {
      end()
      server.closeAllConnections()
      server.close()
      await pool.end()
      await database.stop()
      await rm(folder, { recursive: true, force: true })
    },
  }
}
