/** What is asked by whoever means harm, or in a moment when things break. */
import { request } from 'node:http'
import fc from 'fast-check'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { hostileEdit, nested } from '../core/edits/hostile-edits'
import { createApp, listen } from './app'
import { Projects } from './projects'
import { section, type TestServer, testServer } from './test-server'

let running: TestServer
beforeAll(async () => {
  running = await testServer()
})
afterAll(() => running?.stop())

/** A request with headers that `fetch` would not let through. */
function raw(
  path: string,
  headers: Record<string, string>,
  method = 'GET',
  body = '',
  port = running.port,
): Promise<{ status: number; body: string }> {
  return new Promise((resolve, reject) => {
    const asked = request({ host: '127.0.0.1', port, path, method, headers }, (response) => {
      let text = ''
      response.on('data', (chunk) => {
        text += chunk
      })
      response.on('end', () => resolve({ status: response.statusCode!, body: text }))
    })
    asked.on('error', reject)
    asked.end(body)
  })
}
const JSON_TYPE = { 'Content-Type': 'application/json' }
const SPEAKING = { ...JSON_TYPE, 'X-Just-Lattice': 'tab-one' }

describe('who may ask', () => {
  test('a name that is pointed here from elsewhere is not answered to', async () => {
    for (const Host of [
      'evil.test',
      `evil.test:${running.port}`,
      'localhost.evil.test',
      '127.0.0.1.evil.test',
    ]) {
      for (const path of ['/api/projects', '/', '/fonts/fraunces-latin-wght-normal.woff2'])
        expect((await raw(path, { Host })).status, `${Host}${path}`).toBe(421)
    }
    for (const Host of [
      'localhost',
      `localhost:${running.port}`,
      `127.0.0.1:${running.port}`,
      `[::1]:${running.port}`,
    ])
      expect((await raw('/api/projects', { Host })).status, Host).toBe(200)
  })

  test('names that were allowed are answered to', async () => {
    const { app } = createApp(running.pool, pino({ level: 'silent' }), { hosts: ['Studio.test'] })
    const { server, port } = await listen(app, 0)
    expect((await raw('/api/projects', { Host: 'studio.test' }, 'GET', '', port)).status).toBe(200)
    expect((await raw('/api/projects', { Host: 'other.test' }, 'GET', '', port)).status).toBe(421)
    server.close()
  })

  test('another site neither reads nor writes, by any means that a browser gives it', async () => {
    const body = JSON.stringify({ name: 'From elsewhere' })
    const Host = `localhost:${running.port}`
    const before = (await running.ask('/projects')).body.length
    for (const [headers, status] of [
      [{ Origin: 'https://evil.test', ...SPEAKING }, 403],
      [{ Origin: 'null', ...SPEAKING }, 403],
      [{ Origin: `http://localhost:${running.port + 1}`, ...SPEAKING }, 403],
      [{ 'Sec-Fetch-Site': 'cross-site', ...SPEAKING }, 403],
      [{ 'Sec-Fetch-Site': 'same-site', ...SPEAKING }, 403],
      [{ ...JSON_TYPE }, 403],
      [{ ...SPEAKING, 'X-Just-Lattice': '<script>' }, 403],
      [{ ...SPEAKING, 'Content-Type': 'text/plain' }, 415],
      [{ ...SPEAKING, 'Content-Type': 'application/x-www-form-urlencoded' }, 415],
    ] as const) {
      const answer = await raw('/api/projects', { Host, ...headers }, 'POST', body)
      expect(answer.status, JSON.stringify(headers)).toBe(status)
    }
    expect((await raw('/api/projects', { Host, Origin: 'https://evil.test' })).status).toBe(403)
    expect((await raw('/api/projects', { Host, 'Sec-Fetch-Site': 'cross-site' })).status).toBe(403)
    expect((await running.ask('/projects')).body.length).toBe(before)
    const own = { Host, Origin: `http://${Host}`, 'Sec-Fetch-Site': 'same-origin', ...SPEAKING }
    expect((await raw('/api/projects', own, 'POST', body)).status).toBe(201)
  })

  test('an address that cannot be read is the asker’s fault', async () => {
    for (const path of ['/api/projects/%E0%A4%A', '/fonts/%ff', '/api/projects/%E0%A4%A/edits']) {
      const { status, body } = await raw(path, { Host: 'localhost', ...SPEAKING })
      expect(status, path).toBe(400)
      expect(JSON.parse(body).detail).toContain('cannot be read')
    }
  })
})

describe('how much', () => {
  test('of one tab, and about one project, without stopping the others', async () => {
    const { app } = createApp(running.pool, pino({ level: 'silent' }), { limits: { tab: 5, project: 8 } })
    const { server, port } = await listen(app, 0)
    const id = await running.create()
    const get = async (tab: string, path = '/api/projects') =>
      (await raw(path, { Host: 'localhost', 'X-Just-Lattice': tab }, 'GET', '', port)).status
    for (let i = 0; i < 5; i++) expect(await get('one')).toBe(200)
    expect(await get('one')).toBe(429)
    expect(await get('two')).toBe(200)
    for (let i = 0; i < 8; i++) expect(await get(`tab${i}`, `/api/projects/${id}`)).toBe(200)
    expect(await get('three', `/api/projects/${id}`)).toBe(429)
    expect(await get('three', `/api/projects/${await running.create()}`)).toBe(200)
    server.close()
  })

  test('bodies together stay below a bound: who comes on top is asked to come again', async () => {
    const { app } = createApp(running.pool, pino({ level: 'silent' }), { limits: { bodies: 3_000_000 } })
    const { server, port } = await listen(app, 0)
    const body = JSON.stringify({ name: 'x'.repeat(2_000_000) })
    const headers = { Host: 'localhost', ...SPEAKING, 'Content-Length': String(body.length) }
    // One that is begun and not ended holds what it said it would send.
    const slow = request({ host: '127.0.0.1', port, path: '/api/projects', method: 'POST', headers })
    slow.on('error', () => undefined)
    slow.write(body.slice(0, 10))
    await expect.poll(async () => (await raw('/api/projects', headers, 'POST', body, port)).status).toBe(503)
    slow.destroy()
    await expect.poll(async () => (await raw('/api/projects', headers, 'POST', body, port)).status).toBe(400)
    server.close()
  })
})

describe('when it breaks', () => {
  /** The pool, with connections whose compound statements (each with its COMMIT) end as given. */
  const breaking = (commit: (own: () => Promise<unknown>) => Promise<unknown>): Pool =>
    new Proxy(running.pool, {
      get(pool, name) {
        if (name !== 'getConnection')
          return (pool[name as keyof Pool] as (...args: never[]) => unknown).bind(pool)
        return async () => {
          const connection = await pool.getConnection()
          const query = (text: string, values?: unknown[]) => {
            const own = () => connection.query(text, values)
            return /COMMIT;/.test(text) ? commit(own) : own()
          }
          return new Proxy(connection, {
            get: (target, key) => {
              if (key === 'query') return query
              const member = target[key as keyof PoolConnection]
              return typeof member === 'function'
                ? (member as (...args: never[]) => unknown).bind(target)
                : member
            },
          })
        }
      },
    })
  const lost = () => Object.assign(new Error('read ECONNRESET'), { code: 'ECONNRESET' })

  test.each([
    [
      'was committed all the same',
      async (own: () => Promise<unknown>) => {
        await own()
        throw lost()
      },
      1,
    ],
    ['was not committed', () => Promise.reject(lost()), 0],
  ] as const)(
    'a commit whose outcome is not known and that %s: said so, and the key finds out',
    async (_, commit, kept) => {
      const id = await running.create()
      const { app } = createApp(breaking(commit), pino({ level: 'silent' }))
      const { server, port } = await listen(app, 0)
      const page = (await running.fileOf(id)).pages[0]!.id
      const batch = {
        base: 0,
        head: '',
        key: `k${kept}`,
        at: 0,
        edits: [{ op: 'insert', parent: page, tree: section('s') }],
      }
      const answer = await raw(
        `/api/projects/${id}/edits`,
        { Host: 'localhost', ...SPEAKING },
        'POST',
        JSON.stringify(batch),
        port,
      )
      expect(answer.status).toBe(503)
      expect(JSON.parse(answer.body)).toMatchObject({ title: 'Outcome unknown' })
      expect(answer.body).not.toContain('nothing was changed')
      expect((await running.ask(`/projects/${id}`)).body.revision).toBe(kept)
      expect((await running.ask(`/projects/${id}/edits`, 'POST', batch)).body).toEqual({ revision: 1 })
      expect((await running.fileOf(id)).pages[0]!.sections.length).toBe(1)
      server.close()
    },
  )

  test('a commit that loses against another one is tried again, and goes well', async () => {
    const id = await running.create()
    let lost = 0
    const again = breaking((own) =>
      lost++ < 3
        ? Promise.reject(Object.assign(new Error('Deadlock found'), { errno: 1213, sqlState: '40001' }))
        : own(),
    )
    const projects = new Projects(again)
    const page = (await projects.read(id)).file.pages[0]!.id
    const edits = [{ op: 'insert', parent: page, tree: section('s') }]
    expect(await projects.append(id, { base: 0, head: '', key: 'k', by: 'tab', at: 0, edits })).toEqual({
      revision: 1,
    })
    expect(lost).toBe(4)
    expect((await running.fileOf(id)).pages[0]!.sections.length).toBe(1)
  })

  test('after an unexpected fault the document is read anew', async () => {
    const id = await running.create()
    const projects = new Projects(breaking((own) => own()))
    const page = (await projects.read(id)).file.pages[0]!.id
    const batch = {
      base: 0,
      head: '',
      key: 'k',
      by: 'tab',
      at: 0,
      edits: [{ op: 'insert', parent: page, tree: section('s') }],
    }
    await expect(projects.append(id, { ...batch, by: 'x'.repeat(200) })).rejects.toThrow(
      'nothing was committed',
    )
    expect(await projects.append(id, batch)).toEqual({ revision: 1 })
  })
})

describe('edits that mean harm', () => {
  test('no answer is a fault of the server’s, and what is refused changes nothing', async () => {
    const id = await running.create()
    let revision = 0
    const answers = new Map<number, number>()
    let n = 0
    await fc.assert(
      fc.asyncProperty(fc.array(hostileEdit, { minLength: 1, maxLength: 4 }), async (edits) => {
        const before = JSON.stringify(await running.fileOf(id))
        const answer = await running.append(id, `k${n++}`, revision, edits)
        answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1)
        expect([200, 400, 413, 422]).toContain(answer.status)
        if (answer.status === 200) revision++
        else expect(JSON.stringify(await running.fileOf(id))).toBe(before)
      }),
      { numRuns: 400 },
    )
    expect(answers.get(200)).toBeGreaterThan(0)
    // Another project, and this one read from its log, are as they should be.
    expect((await running.ask(`/projects/${await running.create()}`)).status).toBe(200)
    const fresh = new Projects(running.pool)
    expect((await fresh.read(id)).file).toEqual(await running.fileOf(id))
  })

  test('nor with bodies of any shape, on any route', async () => {
    const id = await running.create()
    const routes = ['', '/edits', '/edits/known', '/parked/p1', '/duplicate', '/restore', '/nothing']
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...routes),
        fc.constantFrom('POST', 'PUT', 'PATCH', 'DELETE'),
        fc.oneof(fc.jsonValue(), hostileEdit, fc.constant(nested(3000))),
        async (route, method, body) => {
          if (method === 'DELETE' && route === '') return
          const { status } = await running.ask(`/projects/${id}${route}`, method, body)
          expect(status).toBeLessThan(500)
        },
      ),
      { numRuns: 400 },
    )
    expect((await running.ask(`/projects/${id}`)).status).toBe(200)
  })

  test('tokens named after what all objects share, and nested 2,000 deep, hurt no project', async () => {
    const id = await running.create()
    for (const edit of [
      { op: 'token', name: '__proto__.x', token: { $type: 'number', $value: 1 } },
      { op: 'token', name: 'deep', token: { $type: 'number', $value: nested(2000) } },
    ])
      expect((await running.append(id, 'k', 0, [edit])).status).toBe(422)
    const constructorView = {
      ...(await running.fileOf(id)).views[0],
      id: undefined,
      width: 300,
      breakpoint: 320,
    }
    const views = `{"base":0,"head":"","key":"v","at":0,"edits":[{"op":"views","change":{"constructor":${JSON.stringify(constructorView)}}}]}`
    expect((await running.ask(`/projects/${id}/edits`, 'POST', undefined, views)).status).toBe(422)
    expect((await running.fileOf(id)).views.map((view) => view.id)).toEqual(['desktop', 'mobile'])
    for (const other of [id, await running.create()]) {
      expect((await running.ask(`/projects/${other}`)).status).toBe(200)
      expect((await fetch(`${running.base}/projects/${other}/picture.png`)).status).toBe(200)
    }
  })
})

describe('what is set aside', () => {
  const parked = (id: string) => ({ id, by: 'tab-one', at: 5, reason: 'gone', words: ['One'], edits: [] })

  test('is kept once, listed in order, and stays dismissed whoever brings it again', async () => {
    const id = await running.create()
    const put = (parkedId: string) =>
      running.ask(`/projects/${id}/parked/${parkedId}`, 'PUT', parked(parkedId))
    expect((await put('p1')).body).toEqual({ dismissed: false })
    expect((await put('p1')).body).toEqual({ dismissed: false })
    await put('p2')
    expect((await running.ask(`/projects/${id}/parked`)).body).toEqual([parked('p1'), parked('p2')])
    expect((await running.ask(`/projects/${id}/parked/p1`, 'DELETE')).status).toBe(204)
    expect((await running.ask(`/projects/${id}/parked/p3`, 'DELETE')).status).toBe(204)
    expect((await put('p1')).body).toEqual({ dismissed: true })
    expect((await put('p3')).body).toEqual({ dismissed: true })
    expect((await running.ask(`/projects/${id}/parked`)).body).toEqual([parked('p2')])
    expect((await running.ask('/projects/nowhere/parked/p1', 'PUT', parked('p1'))).status).toBe(404)
  })
})

describe('the log', () => {
  test('says who made a batch and when, and which of some keys it has', async () => {
    const id = await running.create()
    await running.insert(id, 'one', 0, 's1')
    const batches = (await running.ask(`/projects/${id}/edits?since=0&head=`)).body as unknown as object[]
    expect(batches).toMatchObject([
      { revision: 1, key: 'one', after: '', by: 'tab-one', at: new Date(1_790_000_000_000).toISOString() },
    ])
    expect((await running.ask(`/projects/${id}/edits/known`, 'POST', { keys: ['one', 'two'] })).body).toEqual(
      [{ key: 'one', revision: 1 }],
    )
    for (const from of ['since=1&head=two', 'since=2&head=one', 'since=0&head=one'])
      expect((await running.ask(`/projects/${id}/edits?${from}`)).body).toMatchObject({
        apart: true,
        revision: 1,
      })
    expect((await running.ask(`/projects/${id}/edits?since=x`)).status).toBe(400)
  })
})

describe('what is set aside, from outside', () => {
  const entry = (id: string) => ({
    id,
    by: 'tab-one',
    at: 5,
    reason: 'gone',
    words: ['One'],
    edits: [] as unknown[],
  })

  test('is refused where it is none, and hides nobody’s', async () => {
    const id = await running.create()
    const put = (name: string, asked: unknown) => running.ask(`/projects/${id}/parked/${name}`, 'PUT', asked)
    for (const nonsense of [
      {},
      { ...entry('p1'), words: 'one' },
      { ...entry('p1'), at: 'today' },
      { ...entry('p1'), edits: [1] },
      { ...entry('p1'), extra: true },
      entry('p2'),
      { ...entry('p1'), block: { tree: {} } },
    ])
      expect((await put('p1', nonsense)).status, JSON.stringify(nonsense)).toBe(400)
    expect((await put('p1', entry('p1'))).status).toBe(200)
    // As an older server took it.
    await running.pool.execute('INSERT INTO parked (project_id, id, body) VALUES (?, ?, ?)', [
      id,
      'odd',
      '{"at":',
    ])
    await running.pool.execute('INSERT INTO parked (project_id, id, body) VALUES (?, ?, ?)', [
      id,
      'empty',
      '{}',
    ])
    expect((await running.ask(`/projects/${id}/parked`)).body).toEqual([entry('p1')])
  })

  test('nested without end it is refused, not a fault of the server’s', async () => {
    const id = await running.create()
    const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`
    const raw = JSON.stringify(entry('p1')).replace('"edits":[]', `"edits":[{"op":"set","x":${deep}}]`)
    expect((await running.ask(`/projects/${id}/parked/p1`, 'PUT', undefined, raw)).status).toBe(400)
  })

  test('is as much as a project may hold, and no more', async () => {
    const id = await running.create()
    const large = { ...entry('large'), edits: [{ op: 'set', words: 'x'.repeat(5_000_000) }] }
    expect((await running.ask(`/projects/${id}/parked/large`, 'PUT', large)).status).toBe(413)
    const rows = Array.from({ length: 1000 }, (_, i) => [id, `e${i}`, JSON.stringify(entry(`e${i}`))])
    await running.pool.query('INSERT INTO parked (project_id, id, body) VALUES ?', [rows])
    const answer = await running.ask(`/projects/${id}/parked/more`, 'PUT', entry('more'))
    expect(answer).toMatchObject({ status: 409, body: { title: 'Too much set aside' } })
    await running.ask(`/projects/${id}/parked/e0`, 'DELETE')
    expect((await running.ask(`/projects/${id}/parked/more`, 'PUT', entry('more'))).status).toBe(200)
  })
})

test('what the app has no page for is not there', async () => {
  const ask = async (path: string) => (await raw(path, { Host: 'localhost' })).status
  for (const path of ['/metrics', '/ready', '/health', '/.env', '/api', '/projects'])
    expect(await ask(path), path).toBe(404)
})
