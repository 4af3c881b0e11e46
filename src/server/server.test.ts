/** The server against a real MariaDB on a free loopback port. */
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import type { Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { unzipSync } from 'fflate'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { ProjectFile } from '../core/document/schema'
import { createApp, listen } from './app'
import { migrate } from './db/migrate'
import { openPool } from './db/pool'
import { freePort, type MariaDb, startMariaDb } from './mariadb'

let folder: string
let database: MariaDb
let databasePort: number
let pool: Pool
let server: Server
let base: string

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-server-'))
  databasePort = await freePort()
  database = await startMariaDb(folder, databasePort)
  pool = openPool(database.address)
  await migrate(pool)
  const listening = await listen(createApp(pool, pino({ level: 'silent' })).app, 0)
  server = listening.server
  base = `http://127.0.0.1:${listening.port}/api`
})

afterAll(async () => {
  server?.closeAllConnections()
  server?.close()
  await pool?.end()
  await database?.stop()
  await rm(folder, { recursive: true, force: true })
})

type Answer = {
  status: number
  body: Record<string, never> & { [key: string]: unknown }
  type: string | null
}
async function ask(path: string, method = 'GET', body?: unknown, raw?: string): Promise<Answer> {
  const response = await fetch(base + path, {
    method,
    headers: { 'Content-Type': 'application/json' },
    body: raw ?? (body === undefined ? undefined : JSON.stringify(body)),
  })
  const text = await response.text()
  return {
    status: response.status,
    body: text ? JSON.parse(text) : undefined,
    type: response.headers.get('content-type'),
  }
}
const create = async (name = 'Test') =>
  (await ask('/projects', 'POST', { name })).body.id as unknown as string
const fileOf = async (id: string) => (await ask(`/projects/${id}`)).body.file as unknown as ProjectFile
const section = (id: string) => ({ id, kind: 'section', name: 'Section', order: `a${id}`, props: {} })
const insert = async (id: string, key: string, revision: number, name: string) => {
  const page = (await fileOf(id)).pages[0].id
  return ask(`/projects/${id}/edits`, 'POST', {
    base: revision,
    key,
    edits: [{ op: 'insert', parent: page, tree: section(name) }],
  })
}

describe('projects', () => {
  test('made, listed, renamed, duplicated, deleted, brought back', async () => {
    const id = await create('First')
    await ask(`/projects/${id}`, 'PATCH', { name: 'Renamed' })
    expect((await fileOf(id)).name).toBe('Renamed')
    const copy = (await ask(`/projects/${id}/duplicate`, 'POST', {})).body.id as unknown as string
    expect((await fileOf(copy)).name).toBe('Renamed copy')
    expect((await ask(`/projects/${id}`, 'DELETE')).status).toBe(204)
    expect((await ask(`/projects/${id}`)).status).toBe(404)
    const names = ((await ask('/projects')).body as unknown as { name: string }[]).map((each) => each.name)
    expect(names).toContain('Renamed copy')
    expect(names).not.toContain('Renamed')
    await ask(`/projects/${id}/restore`, 'POST', {})
    expect((await fileOf(id)).name).toBe('Renamed')
  })

  test('a file opens as it is, or is refused with place and reason, and nothing is stored', async () => {
    const demo = await readFile(new URL('../../demo/hollow-oak.json', import.meta.url), 'utf8')
    const { body } = await ask('/projects', 'POST', { file: demo })
    expect(await fileOf(body.id as unknown as string)).toEqual(JSON.parse(demo))
    const before = ((await ask('/projects')).body as unknown as unknown[]).length
    const broken = JSON.parse(demo)
    broken.pages[0].sections[1].kind = 'slab'
    const refused = await ask('/projects', 'POST', { file: JSON.stringify(broken) })
    expect(refused.status).toBe(422)
    expect(refused.type).toContain('application/problem+json')
    expect(refused.body).toMatchObject({ status: 422, path: 'pages[0].sections[1].kind' })
    expect(((await ask('/projects')).body as unknown as unknown[]).length).toBe(before)
  })
})

describe('the log', () => {
  test('appends raise the revision; the same key again changes nothing', async () => {
    const id = await create()
    expect((await insert(id, 'key-one', 0, 's1')).body).toEqual({ revision: 1 })
    expect((await insert(id, 'key-one', 0, 's1')).body).toEqual({ revision: 1 })
    expect((await fileOf(id)).pages[0].sections.map((each) => each.id)).toEqual(['s1'])
  })

  test('behind: what was missed comes back, nothing is stored', async () => {
    const id = await create()
    await insert(id, 'a', 0, 's1')
    const behind = await insert(id, 'b', 0, 's2')
    expect(behind.status).toBe(409)
    expect(behind.body).toMatchObject({
      revision: 1,
      missed: [{ revision: 1, key: 'a', edits: [{ op: 'insert' }] }],
    })
    expect((await fileOf(id)).pages[0].sections.length).toBe(1)
  })

  test('two at once: one is first, the other learns of it', async () => {
    const id = await create()
    const answers = await Promise.all(['x', 'y', 'z'].map((key) => insert(id, key, 0, `s${key}`)))
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409])
  })

  test('an edit that does not apply is refused with a reason and leaves no trace', async () => {
    const id = await create()
    const refused = await ask(`/projects/${id}/edits`, 'POST', {
      base: 0,
      key: 'k',
      edits: [
        { op: 'insert', parent: (await fileOf(id)).pages[0].id, tree: section('s1') },
        { op: 'remove', node: 'nowhere' },
      ],
    })
    expect(refused.status).toBe(422)
    expect(refused.body.detail).toBe('there is no block nowhere any more')
    expect((await fileOf(id)).pages[0].sections).toEqual([])
    expect((await ask(`/projects/${id}`)).body.revision).toBe(0)
  })

  test('snapshots and tail give the same document as the whole log', async () => {
    const id = await create()
    for (let i = 0; i < 45; i++) expect((await insert(id, `k${i}`, i, `s${i}`)).status).toBe(200)
    const [rows] = await pool.query<RowDataPacket[]>(
      'SELECT revision FROM snapshots WHERE project_id = ? ORDER BY revision',
      [id],
    )
    expect(rows.map((each) => each.revision)).toEqual([0, 40])
    const fresh = createApp(pool, pino({ level: 'silent' })).projects
    expect((await fresh.load(id)).doc.toFile()).toEqual(await fileOf(id))
  })

  test.each([
    ['not JSON', '{"base": 0,'],
    ['no key', JSON.stringify({ base: 0, edits: [{}] })],
    ['nothing in it', JSON.stringify({ base: 0, key: 'k', edits: [] })],
    ['a base that is no number', JSON.stringify({ base: '0; DROP TABLE projects', key: 'k', edits: [{}] })],
  ])('a body that is %s is refused', async (_, raw) => {
    const id = await create()
    const answer = await ask(`/projects/${id}/edits`, 'POST', undefined, raw)
    expect(answer.status).toBe(400)
    expect(answer.type).toContain('application/problem+json')
  })
})

describe('the stream', () => {
  test('another tab hears of an edit', async () => {
    const id = await create()
    const stop = new AbortController()
    const response = await fetch(`${base}/projects/${id}/stream?since=0`, { signal: stop.signal })
    const reader = response.body!.getReader()
    await insert(id, 'heard', 0, 's1')
    let heard = ''
    while (!heard.includes('event: edits')) heard += new TextDecoder().decode((await reader.read()).value)
    expect(heard).toContain('"key":"heard"')
    stop.abort()
  })

  test('a tab that comes back gets what it missed', async () => {
    const id = await create()
    await insert(id, 'one', 0, 's1')
    await insert(id, 'two', 1, 's2')
    const stop = new AbortController()
    const response = await fetch(`${base}/projects/${id}/stream`, {
      headers: { 'Last-Event-ID': '1' },
      signal: stop.signal,
    })
    const reader = response.body!.getReader()
    let heard = ''
    while (!heard.includes('event: edits')) heard += new TextDecoder().decode((await reader.read()).value)
    expect(heard).toContain('"key":"two"')
    expect(heard).not.toContain('"key":"one"')
    stop.abort()
  })
})

test('the handoff is a zip whose project is the project; the picture is the page', async () => {
  const demo = await readFile(new URL('../../demo/hollow-oak.json', import.meta.url), 'utf8')
  const id = (await ask('/projects', 'POST', { file: demo })).body.id as unknown as string
  const files = unzipSync(
    new Uint8Array(await (await fetch(`${base}/projects/${id}/handoff.zip`)).arrayBuffer()),
  )
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining([
      'index.html',
      'catalogue/index.html',
      'styles.css',
      'tokens.json',
      'project.json',
      'pictures/falling-leaves.svg',
      'fonts/fraunces-latin-wght-normal.woff2',
      'fonts/fraunces-LICENSE.txt',
    ]),
  )
  expect(JSON.parse(new TextDecoder().decode(files['project.json']))).toEqual(JSON.parse(demo))
  const picture = await (await fetch(`${base}/projects/${id}/picture.svg`)).text()
  expect(picture).toMatch(/^<svg .*width="1440" height="900"/)
})

test('pages carry a policy that allows no code from strings', async () => {
  const response = await fetch(`${base}/health`)
  expect(response.headers.get('content-security-policy')).toContain("script-src 'self' 'wasm-unsafe-eval'")
  expect(response.headers.get('content-security-policy')).not.toContain("'unsafe-eval'")
})

test('with the database down it says so; when it is back, nothing acknowledged is gone', async () => {
  const id = await create('Kept')
  await insert(id, 'kept', 0, 's1')
  await database.stop()
  const down = await ask(`/projects/${id}`)
  expect(down.status).toBe(503)
  expect(down.body.detail).toContain('cannot be reached')
  database = await startMariaDb(folder, databasePort)
  expect((await fileOf(id)).pages[0].sections.map((each) => each.id)).toEqual(['s1'])
})

test('several app servers before one database: each brings itself up to date', async () => {
  const id = await create('Shared')
  const other = createApp(pool, pino({ level: 'silent' })).projects
  await other.load(id)
  for (let i = 0; i < 5; i++) expect((await insert(id, `m${i}`, i, `s${i}`)).status).toBe(200)
  // Asked many times at once while it is behind, every answer is the whole document.
  const loaded = await Promise.all(Array.from({ length: 6 }, () => other.load(id)))
  for (const { doc, revision } of loaded) {
    expect(revision).toBe(5)
    expect(doc.pagesInOrder().flatMap((page) => doc.node(page.id).children)).toEqual([
      's0',
      's1',
      's2',
      's3',
      's4',
    ])
  }
  const page = loaded[0].doc.pagesInOrder()[0].id
  await other.append(id, 5, 'from-other', [{ op: 'insert', parent: page, tree: section('s9') }])
  expect((await fileOf(id)).pages[0].sections.map((each) => each.id)).toEqual([
    's0',
    's1',
    's2',
    's3',
    's4',
    's9',
  ])
})
