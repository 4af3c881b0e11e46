/** The server against a real MariaDB on a free loopback port. */

import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { RowDataPacket } from 'mysql2/promise'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest'
import { openProject } from '../core/document/open'
import type { ProjectFile } from '../core/document/schema'
import { said } from '../core/words/words'
import { createApp } from './app'
import { migrate } from './db/migrate'
import { section, type TestServer, testServer } from './test-server'

let running: TestServer
let ask: TestServer['ask']
let create: TestServer['create']
let fileOf: TestServer['fileOf']
let insert: TestServer['insert']
let append: TestServer['append']

beforeAll(async () => {
  running = await testServer()
  ;({ ask, create, fileOf, insert, append } = running)
})
afterAll(() => running?.stop())

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
    const trash = (await ask('/trash')).body as unknown as { id: string; deleted: string }[]
    expect(trash.find((each) => each.id === id)?.deleted).toMatch(/^\d{4}-/)
    await ask(`/projects/${id}/restore`, 'POST', {})
    expect(((await ask('/trash')).body as unknown as { id: string }[]).map((each) => each.id)).not.toContain(
      id,
    )
    expect((await fileOf(id)).name).toBe('Renamed')
  })

  test('an empty project has a cover too, of the same shape as any', async () => {
    const answer = await fetch(`${running.base}/projects/${await create('Empty')}/picture.png`)
    expect(answer.status).toBe(200)
    const png = Buffer.from(await answer.arrayBuffer())
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([560, 350])
  })

  test('made twice with one key: one project', async () => {
    const before = ((await ask('/projects')).body as unknown as unknown[]).length
    const made = await Promise.all(
      [1, 2, 3].map(() => ask('/projects', 'POST', { name: 'Once', key: 'the-same' })),
    )
    expect(new Set(made.map((answer) => answer.body.id)).size).toBe(1)
    expect(made.map((answer) => answer.status)).toEqual([201, 201, 201])
    expect(((await ask('/projects')).body as unknown as unknown[]).length).toBe(before + 1)
  })

  test('a file opens as it is, or is refused with place and reason, and nothing is stored', async () => {
    const earlier = new URL('../core/document/fixtures/project-1.json', import.meta.url)
    const demo = await readFile(earlier, 'utf8')
    const { body } = await ask('/projects', 'POST', { file: demo })
    expect(await fileOf(body.id as unknown as string)).toEqual(openProject(demo).document.toFile())
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

test('a connection is closed by who asks, not by the server: a request is never sent into one that just ends', async () => {
  const kept = (await fetch(`http://127.0.0.1:${running.port}/api/health`)).headers.get('keep-alive')
  // Browsers leave one idle for 300 s at most.
  expect(Number(/timeout=(\d+)/.exec(kept ?? '')?.[1])).toBeGreaterThan(300)
})

describe('the log', () => {
  test('appends raise the revision; the same key again changes nothing', async () => {
    const id = await create()
    expect((await insert(id, 'key-one', 0, 's1')).body).toEqual({ revision: 1 })
    expect((await insert(id, 'key-one', 0, 's1')).body).toEqual({ revision: 1 })
    expect((await fileOf(id)).pages[0]!.sections.map((each) => each.id)).toEqual(['s1'])
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
    expect((await fileOf(id)).pages[0]!.sections.length).toBe(1)
  })

  test('two at once: one is first, the other learns of it', async () => {
    const id = await create()
    const answers = await Promise.all(['x', 'y', 'z'].map((key) => insert(id, key, 0, `s${key}`)))
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409])
  })

  test('an edit that does not apply is refused with a reason and leaves no trace', async () => {
    const id = await create()
    const refused = await append(id, 'k', 0, [
      { op: 'insert', parent: (await fileOf(id)).pages[0]!.id, tree: section('s1') },
      { op: 'remove', node: 'nowhere' },
      { op: 'set', node: 'nowhere', props: { rowGap: 'wide' } },
    ])
    expect(refused.status).toBe(422)
    expect(refused.body.detail).toBe('there is no block nowhere any more')
    // Every one that is refused, so that the others can go on.
    expect((refused.body.refused as unknown as { index: number }[]).map((each) => each.index)).toEqual([1, 2])
    expect((await fileOf(id)).pages[0]!.sections).toEqual([])
    expect((await ask(`/projects/${id}`)).body.revision).toBe(0)
  })

  test('snapshots and tail give the same document as the whole log', async () => {
    const id = await create()
    for (let i = 0; i < 45; i++) expect((await insert(id, `k${i}`, i, `s${i}`)).status).toBe(200)
    const [rows] = await running.pool.query<RowDataPacket[]>(
      'SELECT revision FROM snapshots WHERE project_id = ? ORDER BY revision',
      [id],
    )
    expect(rows.map((each) => each.revision)).toEqual([0, 40])
    const fresh = createApp(running.pool, pino({ level: 'silent' })).projects
    expect((await fresh.read(id)).file).toEqual(await fileOf(id))
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

  test('a batch that is too large is refused, however it is sent, and changes nothing', async () => {
    const id = await create()
    const large = JSON.stringify({ base: 0, head: '', key: 'k', at: 0, edits: ['x'.repeat(24_000_000)] })
    const whole = await ask(`/projects/${id}/edits`, 'POST', undefined, large)
    expect(whole).toMatchObject({ status: 413, body: { detail: 'the request is larger than 24 MB' } })
    const pieces = await fetch(`${running.base}/projects/${id}/edits`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Just-Lattice': 'tab-one' },
      body: new Blob([large]).stream(),
      duplex: 'half',
    } as RequestInit)
    expect(pieces.status).toBe(413)
    expect((await ask(`/projects/${id}`)).body.revision).toBe(0)
  })

  test('a batch for what is no project’s name is answered as any other', async () => {
    const batch = { base: 0, head: '', key: 'k', at: 0, edits: [{ op: 'project', name: 'x' }] }
    expect((await ask('/projects/constructor/edits', 'POST', batch)).status).toBe(404)
    expect((await ask('/projects/nothing-here/edits', 'POST', batch)).status).toBe(404)
    expect((await ask('/projects/a%20b/edits', 'POST', batch)).status).toBe(404)
  })
})

describe('the stream', () => {
  test('another tab hears of an edit', async () => {
    const id = await create()
    const stop = new AbortController()
    const response = await fetch(`${running.base}/projects/${id}/stream?since=0&head=`, {
      signal: stop.signal,
    })
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
    const response = await fetch(`${running.base}/projects/${id}/stream?since=1&head=one`, {
      signal: stop.signal,
    })
    const reader = response.body!.getReader()
    let heard = ''
    while (!heard.includes('event: edits')) heard += new TextDecoder().decode((await reader.read()).value)
    expect(heard).toContain('"key":"two"')
    expect(heard).toContain('"after":"one"')
    expect(heard).not.toContain('"key":"one"')
    stop.abort()
  })

  test('three hundred that are opened and dropped leave nothing behind; three hundred that stay cost one look at the log', async () => {
    const id = await create()
    const ends: AbortController[] = []
    // An answer that nobody holds is closed when memory is tidied up.
    const held: Response[] = []
    const dropped = Array.from({ length: 300 }, async (_, i) => {
      const stop = new AbortController()
      // Some before there is an answer, some just after.
      setTimeout(() => stop.abort(), i % 30)
      await fetch(`${running.base}/projects/${id}/stream?since=0&head=`, { signal: stop.signal }).catch(
        () => undefined,
      )
    })
    await Promise.all(dropped)
    await expect.poll(() => running.streams.open).toEqual({ streams: 0, projects: 0 })
    await Promise.all(
      Array.from({ length: 300 }, async () => {
        const stop = new AbortController()
        ends.push(stop)
        held.push(await fetch(`${running.base}/projects/${id}/stream?since=0&head=`, { signal: stop.signal }))
      }),
    )
    expect(held).toHaveLength(300)
    expect(running.streams.open).toEqual({ streams: 300, projects: 1 })
    const asked = vi.spyOn(running.projects, 'since')
    await expect.poll(() => asked.mock.calls.length, { timeout: 10_000 }).toBeGreaterThan(1)
    expect(asked.mock.calls.length).toBeLessThan(5)
    asked.mockRestore()
    for (const stop of ends) stop.abort()
    await expect.poll(() => running.streams.open).toEqual({ streams: 0, projects: 0 })
  })

  test('who does not read is cut off, and hears everything when they come back', async () => {
    const id = await create()
    const response = await fetch(`${running.base}/projects/${id}/stream?since=0&head=`)
    await expect.poll(() => running.streams.open.streams).toBe(1)
    const name = 'x'.repeat(400_000)
    const page = (await fileOf(id)).pages[0]!.id
    let revision = 0
    // Texts that nobody reads fill what the network holds, and then what the server lets wait.
    for (; revision < 80 && running.streams.open.streams > 0; revision++) {
      const tree = {
        ...section(`s${revision}`),
        children: [
          { id: `t${revision}`, kind: 'text', name: 'T', order: 'a0', props: { words: said(name) } },
        ],
      }
      expect(
        (await append(id, `k${revision}`, revision, [{ op: 'insert', parent: page, tree }])).status,
      ).toBe(200)
    }
    expect(running.streams.open.streams).toBe(0)
    await response.body?.cancel().catch(() => undefined)
    expect((await running.projects.since(id, 0)).length).toBe(revision)
  })

  test('who comes from another log is told so, and nothing else', async () => {
    const id = await create()
    await insert(id, 'one', 0, 's1')
    for (const from of ['since=1&head=another', 'since=7&head=one', 'since=0&head=one']) {
      const response = await fetch(`${running.base}/projects/${id}/stream?${from}`)
      expect(await response.text()).toBe('event: apart\ndata: {"revision":1}\n\n')
    }
  })
})

test('pages carry a policy that allows no code from strings', async () => {
  // Whatever stands behind the API is a page; the API is none.
  const api = await fetch(`${running.base}/health`)
  expect(api.headers.get('content-security-policy')).toContain("default-src 'none'")
  const response = await fetch(running.base.replace('/api', '/fonts/hanken-grotesk-latin-wght-normal.woff2'))
  expect(response.headers.get('content-security-policy')).toContain("script-src 'self' 'wasm-unsafe-eval'")
  expect(response.headers.get('content-security-policy')).not.toContain("'unsafe-eval'")
})

test('with the database down it says so; when it is back, nothing acknowledged is gone', async () => {
  const id = await create('Kept')
  await insert(id, 'kept', 0, 's1')
  await running.database.stop()
  const down = await ask(`/projects/${id}`)
  expect(down.status).toBe(503)
  expect(down.body.detail).toContain('cannot be reached')
  await running.startDatabase()
  expect((await fileOf(id)).pages[0]!.sections.map((each) => each.id)).toEqual(['s1'])
})

test('a database that is killed is started again; what was acknowledged is there', async () => {
  const id = await create('Killed')
  await insert(id, 'kept', 0, 's1')
  process.kill(Number(await readFile(join(running.folder, 'mariadb.pid'), 'utf8')), 'SIGKILL')
  await expect.poll(async () => (await ask('/health')).status, { timeout: 60_000 }).toBe(200)
  expect((await fileOf(id)).pages[0]!.sections.map((each) => each.id)).toEqual(['s1'])
  expect((await insert(id, 'next', 1, 's2')).status).toBe(200)
  expect(await readFile(join(running.folder, 'mariadb.log'), 'utf8')).toContain('it is started again')
})

test('several servers that start at once migrate one after the other, once', async () => {
  await running.pool.query('DROP TABLE parked')
  await running.pool.query('ALTER TABLE edits DROP COLUMN author, DROP COLUMN made_at, DROP COLUMN version')
  await running.pool.query("DELETE FROM migrations WHERE name LIKE '002%'")
  const applied = await Promise.all([1, 2, 3].map(() => migrate(running.pool)))
  expect(applied.flat()).toEqual(['002-authors-and-parked.sql'])
})

test('several app servers before one database: each brings itself up to date', async () => {
  const id = await create('Shared')
  const other = createApp(running.pool, pino({ level: 'silent' })).projects
  await other.read(id)
  for (let i = 0; i < 5; i++) expect((await insert(id, `m${i}`, i, `s${i}`)).status).toBe(200)
  // Asked many times at once while it is behind, every answer is the whole document.
  const loaded = await Promise.all(Array.from({ length: 6 }, () => other.read(id)))
  for (const { file, revision } of loaded) {
    expect(revision).toBe(5)
    expect(file.pages[0]!.sections.map((each) => each.id)).toEqual(['s0', 's1', 's2', 's3', 's4'])
  }
  const page = loaded[0]!.file.pages[0]!.id
  await other.append(id, {
    base: 5,
    head: 'm4',
    key: 'from-other',
    by: 'tab-other',
    at: Date.now(),
    edits: [{ op: 'insert', parent: page, tree: section('s9') }],
  })
  expect((await fileOf(id)).pages[0]!.sections.map((each) => each.id)).toEqual([
    's0',
    's1',
    's2',
    's3',
    's4',
    's9',
  ])
})

test('a log that is set back under a running server, and goes on another way, is read as it is', async () => {
  const id = await create('Set back')
  for (let i = 0; i < 3; i++) await insert(id, `b${i}`, i, `s${i}`)
  const { pool } = running
  await pool.query('DELETE FROM edits WHERE project_id = ? AND revision > 1', [id])
  await pool.query('UPDATE projects SET revision = 1, head = ? WHERE id = ?', ['b0', id])
  expect((await fileOf(id)).pages[0]!.sections.map((each) => each.id)).toEqual(['s0'])
  const other = createApp(pool, pino({ level: 'silent' })).projects
  const page = (await other.read(id)).file.pages[0]!.id
  const edit = (name: string) => [{ op: 'insert', parent: page, tree: section(name) }]
  for (const [base, head, key, name] of [
    [1, 'b0', 'c1', 's8'],
    [2, 'c1', 'c2', 's9'],
  ] as const)
    await other.append(id, { base, head, key, by: 'other', at: 0, edits: edit(name) })
  expect((await fileOf(id)).pages[0]!.sections.map((each) => each.id)).toEqual(['s0', 's8', 's9'])
  expect((await insert(id, 'b3', 3, 's5')).status).toBe(200)
  expect((await other.read(id)).file).toEqual(await fileOf(id))
})

test('a read is one revision, whatever is appended meanwhile by this server and another', async () => {
  const id = await create('Read')
  const page = (await fileOf(id)).pages[0]!.id
  const other = createApp(running.pool, pino({ level: 'silent' })).projects
  let revision = 0
  let done = false
  const write = async () => {
    for (; revision < 80; revision++) {
      const edits = [{ op: 'insert', parent: page, tree: section(`s${revision}`) }]
      const batch = {
        base: revision,
        head: revision === 0 ? '' : `w${revision - 1}`,
        key: `w${revision}`,
        at: 0,
        edits,
      }
      if (revision % 3 === 0) await other.append(id, { ...batch, by: 'other' })
      else expect((await ask(`/projects/${id}/edits`, 'POST', batch)).status).toBe(200)
    }
    done = true
  }
  let reads = 0
  const read = async () => {
    while (!done) {
      const { body } = await ask(`/projects/${id}`)
      const [home] = (body.file as unknown as ProjectFile).pages
      expect(home!.sections.length).toBe(body.revision)
      expect(body.head).toBe(home!.sections.length === 0 ? '' : `w${home!.sections.length - 1}`)
      reads++
    }
  }
  await Promise.all([write(), read(), read(), read(), read()])
  expect(reads).toBeGreaterThan(20)
})
