/** Blobs: sent in parts, checked by what they are, named by edits, kept while anything names them. */
import { Resvg } from '@resvg/resvg-js'
import type { RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { hashOf, nameOf, PART } from '../core/blobs/blobs'
import type { NodeTree } from '../core/document/schema'
import { applyAll } from '../core/edits/apply'
import { readFont } from '../core/text/font-file'
import { said } from '../core/words/words'
import { openType, woff2 } from './fonts'
import { collect } from './housekeeping'
import { cover } from './pictures'
import { SvgReader } from './svg-reader'
import { type TestServer, testServer } from './test-server'

let running: TestServer
beforeAll(async () => {
  running = await testServer()
})
afterAll(() => running?.stop())

const svg = (fill: string, inside = '') =>
  new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30" fill="${fill}"/>${inside}</svg>`,
  )
/** A PNG of a size, bytes: what stands behind its end is nobody's business. */
const png = (size: number, seed = 1) => {
  const picture = new Resvg('<svg xmlns="http://www.w3.org/2000/svg" width="2" height="2"/>').render().asPng()
  const bytes = new Uint8Array(size).map((_, i) => (i * 7 + seed) % 251)
  bytes.set(picture)
  return bytes
}
const assetEdit = (id: string, bytes: Uint8Array, type = 'image/svg+xml') => ({
  op: 'asset',
  id,
  asset: { id, name: id, type, width: 40, height: 30, ...nameOf(bytes) },
})
const get = (hash: string, headers = {}) => fetch(`${running.base}/blobs/${hash}`, { headers })

describe('sending', () => {
  test('in parts of at most 1 MB, in any order, going on where it was left', async () => {
    const bytes = png(2 * PART + 500)
    const hash = hashOf(bytes)
    const begin = () => running.ask(`/blobs/${hash}`, 'POST', { type: 'image/png', size: bytes.length })
    const part = (n: number) => running.sendPart(hash, n, bytes.subarray(n * PART, (n + 1) * PART))
    expect((await begin()).body).toMatchObject({ complete: false, parts: [] })
    expect((await part(2)).body).toMatchObject({ complete: false, parts: [2] })
    expect((await get(hash)).status).toBe(404)
    expect((await part(0)).body).toMatchObject({ parts: [0, 2] })
    // Somebody else, or the same tab after it was reloaded.
    expect((await begin()).body).toMatchObject({ complete: false, parts: [0, 2] })
    expect((await part(1)).body).toMatchObject({ complete: true })
    expect((await begin()).body).toMatchObject({ complete: true })
    expect(Buffer.from(await (await get(hash)).arrayBuffer()).equals(bytes)).toBe(true)
    const [rows] = await running.pool.query<RowDataPacket[]>(
      'SELECT MAX(LENGTH(bytes)) AS most, COUNT(*) AS count FROM blob_parts WHERE hash = ?',
      [hash],
    )
    expect(rows).toEqual([{ most: PART, count: 3 }])
  })

  test('completed when it is asked for again, where a server died behind its last part', async () => {
    const send = async (bytes: Uint8Array, kept: Uint8Array) => {
      const hash = hashOf(bytes)
      const begin = () => running.ask(`/blobs/${hash}`, 'POST', { type: 'image/png', size: bytes.length })
      expect((await begin()).body).toMatchObject({ complete: false, parts: [] })
      await running.pool.query('INSERT INTO blob_parts (hash, part, bytes) VALUES (?, 0, ?)', [
        hash,
        Buffer.from(kept),
      ])
      return { hash, again: await begin(), once: begin }
    }
    const whole = png(700, 31)
    const { hash, again } = await send(whole, whole)
    expect(again.body).toMatchObject({ complete: true })
    expect((await get(hash)).status).toBe(200)
    // What is not what was said goes, and can be sent anew.
    const damaged = await send(png(700, 32), png(700, 33))
    expect(damaged.again).toMatchObject({ status: 422, body: { title: 'Not what was said' } })
    expect((await damaged.once()).body).toMatchObject({ complete: false, parts: [] })
  })

  test('served as what it is, for ever, and as a document that does nothing', async () => {
    const { hash } = await running.sendBlob(svg('#123456'), 'image/svg+xml')
    const answer = await get(hash)
    const headers = Object.fromEntries(answer.headers)
    expect(headers).toMatchObject({
      'content-type': 'image/svg+xml',
      'cache-control': 'public, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      etag: `"${hash}"`,
    })
    expect(headers['content-security-policy']).toMatch(/default-src 'none'.*sandbox/)
    expect((await get(hash, { 'If-None-Match': `"${hash}"` })).status).toBe(304)
  })

  test.each([
    [
      'other bytes than announced',
      svg('#111111'),
      'image/svg+xml',
      svg('#222222'),
      /not those that were announced/,
    ],
    ['another kind', svg('#333333'), 'image/png', undefined, /sent as image\/png is image\/svg\+xml/],
    ['no picture', new TextEncoder().encode('<html>'), 'image/svg+xml', undefined, /none of the kinds/],
    ['a script', svg('#444444', '<script>x()</script>'), 'image/svg+xml', undefined, /scripts/],
    ['a handler', svg('#555555', '<circle onclick="x()"/>'), 'image/svg+xml', undefined, /scripts/],
    [
      'an address',
      svg('#666666', '<image href="//outside.test/x"/>'),
      'image/svg+xml',
      undefined,
      /elsewhere/,
    ],
    [
      'an entity',
      new TextEncoder().encode(
        '<!DOCTYPE svg [<!ENTITY x "<script/>">]><svg xmlns="http://www.w3.org/2000/svg">&x;</svg>',
      ),
      'image/svg+xml',
      undefined,
      /scripts/,
    ],
  ])('%s is refused, and nothing stays', async (_, bytes, type, sent, reason) => {
    const hash = hashOf(bytes)
    await running.ask(`/blobs/${hash}`, 'POST', { type, size: bytes.length })
    const answer = await running.sendPart(hash, 0, sent ?? bytes)
    expect(answer.status).toBe(422)
    expect(answer.body.detail).toMatch(reason)
    expect((await get(hash)).status).toBe(404)
    const [rows] = await running.pool.query<RowDataPacket[]>(
      'SELECT hash FROM blobs WHERE hash = ? UNION SELECT hash FROM blob_parts WHERE hash = ?',
      [hash, hash],
    )
    expect(rows).toEqual([])
  })

  test('what is not asked rightly is refused with the reason', async () => {
    const hash = hashOf(svg('#777777'))
    const begin = (what: unknown) => running.ask(`/blobs/${hash}`, 'POST', what)
    expect((await begin({ type: 'text/html', size: 5 })).status).toBe(400)
    expect((await begin({ type: 'image/png', size: 40_000_001 })).body.detail).toMatch(/at most 40 MB/)
    expect((await running.sendPart(hash, 0, new Uint8Array(5))).status).toBe(404)
    await begin({ type: 'image/png', size: 10 })
    expect((await running.sendPart(hash, 0, new Uint8Array(5))).body.detail).toBe(
      'part 0 of 1 has 10 bytes, not 5',
    )
    expect((await running.sendPart(hash, 9, new Uint8Array(5))).status).toBe(422)
    expect((await running.sendPart(hash, 0, new Uint8Array(PART + 1))).status).toBe(413)
    expect((await get('not-a-hash')).status).toBe(404)
  })
})

describe('naming', () => {
  test('an edit or a file that names bytes that are not here is refused; then they come', async () => {
    const id = await running.create()
    const bytes = svg('#888888')
    const refused = await running.append(id, 'first', 0, [
      { op: 'project', name: 'New' },
      assetEdit('pic', bytes),
    ])
    expect(refused.status).toBe(422)
    expect(refused.body).toMatchObject({
      missing: [hashOf(bytes)],
      refused: [{ index: 1, reason: 'the picture “pic” has not been sent' }],
    })
    const file = await running.fileOf(id)
    const withPicture = JSON.stringify({ ...file, assets: [assetEdit('pic', bytes).asset] })
    expect((await running.ask('/projects', 'POST', { file: withPicture })).body.missing).toEqual([
      hashOf(bytes),
    ])
    await running.sendBlob(bytes, 'image/svg+xml')
    expect((await running.append(id, 'first', 0, [assetEdit('pic', bytes)])).status).toBe(200)
    expect((await running.ask('/projects', 'POST', { file: withPicture })).status).toBe(201)
  })

  test('a font of one’s own is checked, kept as long as it is named, and shown on the cover', async () => {
    const id = await running.create()
    const bytes = new Uint8Array(await woff2('caveat-latin-wght-normal'))
    const { weights, ranges } = readFont(await openType('caveat-latin-wght-normal'))
    const fontEdit = (of: Uint8Array) => ({
      op: 'font',
      id: 'own',
      font: {
        id: 'own',
        family: 'Hedgerow',
        category: 'hand',
        files: [{ weights, ranges, ...nameOf(of) }],
      },
    })
    const junk = bytes.slice(0, 500)
    const refused = await running.sendBlob(junk, 'font/woff2')
    expect(refused.answer).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('cut off') },
    })
    expect((await running.append(id, 'junk', 0, [fontEdit(junk)])).body).toMatchObject({
      refused: [{ index: 0, reason: 'the font “Hedgerow” has not been sent' }],
    })
    const { hash } = await running.sendBlob(bytes, 'font/woff2')
    expect((await running.append(id, 'font', 0, [fontEdit(bytes)])).status).toBe(200)
    expect((await get(hash)).headers.get('content-type')).toBe('font/woff2')
    await collect(running.pool, { uses: 0, blobs: 0 })
    expect((await get(hash)).status).toBe(200)
    const { doc, blobs } = await running.projects.whole(id)
    const set = { op: 'set', node: 'text', props: { fontFamily: 'own' } } as const
    const section: NodeTree = {
      id: 'band',
      kind: 'section',
      name: 'Band',
      order: 'a0',
      props: {},
      children: [],
    }
    const text = {
      id: 'text',
      kind: 'text',
      name: 'Text',
      order: 'a0',
      props: { words: said('Hedge') },
    } as const
    const { id: page } = doc.pagesInOrder()[0]!
    applyAll(doc, [
      { op: 'insert', parent: page, tree: section },
      { op: 'insert', parent: 'band', tree: text },
    ])
    const plain = await cover({ doc, blobs })
    applyAll(doc, [set])
    expect(Buffer.from(await cover({ doc, blobs })).equals(plain)).toBe(false)
  })

  test('a 4 MB picture replaced 60 times leaves a small log', async () => {
    const id = await running.create()
    const [one, other] = [png(4_000_000, 1), png(4_000_000, 2)]
    for (const bytes of [one, other]) await running.sendBlob(bytes, 'image/png')
    for (let i = 0; i < 60; i++)
      await running.append(id, `k${i}`, i, [assetEdit('pic', i % 2 ? one : other, 'image/png')])
    const [logs] = await running.pool.query<RowDataPacket[]>(
      'SELECT SUM(LENGTH(edits)) AS log FROM edits WHERE project_id = ?',
      [id],
    )
    expect(Number(logs[0]!.log)).toBeLessThan(30_000)
  })
})

describe('collecting', () => {
  const isThere = async (bytes: Uint8Array) => (await get(hashOf(bytes))).status === 200
  const now = { uses: 0, blobs: 0 }

  test('what nothing names goes; what document, log, trash or parked edits name stays', async () => {
    const id = await running.create()
    const shown = svg('#a00000')
    const replaced = svg('#b00000')
    const trashed = svg('#c00000')
    const aside = svg('#d00000')
    const nobody = svg('#e00000')
    for (const bytes of [shown, replaced, trashed, aside, nobody])
      await running.sendBlob(bytes, 'image/svg+xml')
    await running.append(id, 'one', 0, [assetEdit('pic', replaced)])
    await running.append(id, 'two', 1, [assetEdit('pic', shown)])
    const trash = await running.create()
    await running.append(trash, 'three', 0, [assetEdit('pic', trashed)])
    await running.ask(`/projects/${trash}`, 'DELETE')
    await running.ask(`/projects/${id}/parked/aside`, 'PUT', {
      id: 'aside',
      by: 'tab-one',
      at: 1,
      reason: 'gone',
      words: [],
      edits: [assetEdit('pic', aside)],
    })
    // Young ones are kept: an edit that names them may be on its way.
    await collect(running.pool)
    expect(await isThere(nobody)).toBe(true)
    await collect(running.pool, now)
    expect(await Promise.all([shown, replaced, trashed, aside, nobody].map(isThere))).toEqual([
      true,
      true,
      true,
      true,
      false,
    ])
    // Dismissed, it is named by nobody.
    await running.ask(`/projects/${id}/parked/aside`, 'DELETE')
    await collect(running.pool, now)
    expect(await isThere(aside)).toBe(false)
    expect(await isThere(replaced)).toBe(true)
  })
})

describe('what is hard to read', () => {
  const nested = (levels: number) =>
    new TextEncoder().encode(
      `<svg xmlns="http://www.w3.org/2000/svg">${'<g>'.repeat(levels)}${'</g>'.repeat(levels)}</svg>`,
    )

  test('is refused after a while, and meanwhile everybody else is answered', async () => {
    const reader = new SvgReader(1500)
    const order: string[] = []
    // An honest one first: the process is up.
    expect(
      await reader.isClean('<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0h1"></path></svg>'),
    ).toBe(true)
    const hard = reader.isClean(new TextDecoder().decode(nested(4000))).then(
      () => 'read',
      (error: unknown) => {
        order.push('refused')
        return error
      },
    )
    const behind = reader.isClean('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>')
    await running.ask('/health').then(() => order.push('answered'))
    expect(await hard).toMatchObject({ status: 422, title: 'Cannot be read' })
    expect(order).toEqual(['answered', 'refused'])
    // What came behind it is read all the same.
    expect(await behind).toBe(false)
    reader.end()
  })
})

test('a size that was announced wrong does not block the right bytes', async () => {
  const bytes = svg('#a1b2c3')
  const hash = hashOf(bytes)
  expect(
    (await running.ask(`/blobs/${hash}`, 'POST', { type: 'image/svg+xml', size: bytes.length + 9 })).status,
  ).toBe(200)
  expect((await running.ask(`/blobs/${hash}`, 'POST', { type: 'image/png', size: 5 })).status).toBe(200)
  const { answer } = await running.sendBlob(bytes, 'image/svg+xml')
  expect(answer).toMatchObject({ status: 200, body: { complete: true } })
  // Once it is whole nothing that is said changes it.
  expect((await running.ask(`/blobs/${hash}`, 'POST', { type: 'image/png', size: 5 })).body).toMatchObject({
    complete: true,
    size: bytes.length,
  })
})

test('what is begun and never finished is bounded, and goes after a while', async () => {
  const begin = (i: number) =>
    running.ask(`/blobs/${hashOf(new TextEncoder().encode(`never ${i}`))}`, 'POST', {
      type: 'image/png',
      size: 40_000_000,
    })
  const statuses: number[] = []
  for (let i = 0; i < 52; i++) statuses.push((await begin(i)).status)
  expect(statuses.filter((status) => status === 200).length).toBeLessThanOrEqual(50)
  expect(statuses.at(-1)).toBe(429)
  await running.pool.query('UPDATE blobs SET touched_at = touched_at - INTERVAL 3 HOUR WHERE complete = 0')
  await collect(running.pool)
  expect((await begin(60)).status).toBe(200)
})
