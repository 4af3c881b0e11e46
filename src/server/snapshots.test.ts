/** Snapshots in parts, the ladder they are thinned out to, and the log that is compacted behind it. */
import fc from 'fast-check'
import type { RowDataPacket } from 'mysql2/promise'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { NodeTree } from '../core/document/schema'
import { starterProject } from '../core/shelf/starter'
import { createApp } from './app'
import { PACE } from './held'
import { compact } from './housekeeping'
import { onLadder } from './snapshots'
import { section, type TestServer, testServer } from './test-server'

const HOUR = 3_600_000
const DAY = 24 * HOUR

describe('the ladder', () => {
  test('three newest, one an hour of the last day, one a day of the last month', () => {
    const now = 100 * DAY
    const made = Array.from({ length: 60 * 24 * 4 }, (_, i) => now - (60 * 24 * 4 - i) * (HOUR / 4) * 1)
    const keep = onLadder(made, now)
    const kept = made.filter((_, i) => keep[i])
    expect(kept.at(-1)).toBe(made.at(-1))
    const younger = (age: number) => kept.filter((at) => now - at < age).length
    expect(younger(DAY)).toBeGreaterThanOrEqual(24)
    expect(younger(DAY)).toBeLessThanOrEqual(28)
    expect(younger(30 * DAY) - younger(DAY)).toBeLessThanOrEqual(31)
    expect(kept.length).toBe(younger(30 * DAY))
  })

  test('the three newest stay whatever their age; more time keeps no more', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(40 * 24), { minLength: 1, maxLength: 80 }), fc.nat(60), (hours, later) => {
        const made = hours.map((hour) => hour * HOUR).sort((a, b) => a - b)
        const now = 40 * DAY
        const keep = onLadder(made, now)
        expect(keep.slice(-3).every(Boolean)).toBe(true)
        // What was thinned out already stays a ladder: once more at the same moment takes nothing.
        const kept = made.filter((_, i) => keep[i])
        expect(onLadder(kept, now).every(Boolean)).toBe(true)
        expect(onLadder(made, now + later * DAY).filter(Boolean).length).toBeLessThanOrEqual(kept.length + 1)
      }),
    )
  })
})

describe('in the database', () => {
  let running: TestServer
  beforeAll(async () => {
    running = await testServer({ pace: { ...PACE, ms: 0 } })
  })
  afterAll(() => running?.stop())

  const rows = async (statement: string, id: string) =>
    (await running.pool.query<RowDataPacket[]>(statement, [id]))[0]
  const pad = (node: string, value: number) => ({ op: 'set', node, props: { paddingTop: value } })

  /** Three pages with a section each. */
  async function threePages() {
    const file = starterProject('Three', 'p0')
    const page = (n: number) => ({
      ...structuredClone(file.pages[0]),
      id: `p${n}`,
      path: n ? `/p${n}` : '/',
      order: `a${n}`,
      sections: [{ ...section(`s${n}`), id: `s${n}` } as NodeTree],
    })
    const text = JSON.stringify({ ...file, pages: [0, 1, 2].map(page) })
    return (await running.ask('/projects', 'POST', { file: text })).body.id as unknown as string
  }
  /** Waits for a snapshot that is written in the background. */
  const snapshotAt = (id: string, revision: number) =>
    expect
      .poll(
        async () =>
          (await rows('SELECT MAX(revision) AS newest FROM snapshots WHERE project_id = ?', id))[0]!.newest,
      )
      .toBe(revision)
  const edit = async (id: string, from: number, count: number, node: string) => {
    for (let i = from; i < from + count; i++) await running.append(id, `k${i}`, i, [pad(node, i % 90)])
  }

  test('only pages that changed are written again; every snapshot is whole', async () => {
    const id = await threePages()
    await edit(id, 0, 40, 's1')
    await snapshotAt(id, 40)
    await edit(id, 40, 40, 's2')
    await snapshotAt(id, 80)
    expect(
      (
        await rows(
          'SELECT page_id, revision FROM page_snapshots WHERE project_id = ? ORDER BY revision, page_id',
          id,
        )
      ).map(({ page_id, revision }) => `${page_id}@${revision}`),
    ).toEqual(['p0@0', 'p1@0', 'p2@0', 'p1@40', 'p2@80'])
    const before = await running.fileOf(id)
    // Another server, which holds nothing, and this one after it forgot everything.
    const { projects } = createApp(running.pool, pino({ level: 'silent' }))
    expect((await projects.read(id)).file).toEqual(before)
  })

  test('where revisions come fast they are written by time, but never too far apart', async () => {
    const id = await threePages()
    const pace = { revisions: 2, ms: 1e9, most: 5 }
    const { projects } = createApp(running.pool, pino({ level: 'silent' }), { pace })
    const append = (i: number) =>
      projects.append(id, {
        base: i,
        head: i === 0 ? '' : `k${i - 1}`,
        key: `k${i}`,
        by: 'tab',
        at: 0,
        edits: [pad('s1', i)],
      })
    for (let i = 0; i < 2; i++) await append(i)
    await snapshotAt(id, 2)
    for (let i = 2; i < 7; i++) await append(i)
    await snapshotAt(id, 7)
    const found = await rows('SELECT revision FROM snapshots WHERE project_id = ? ORDER BY revision', id)
    expect(found.map(({ revision }) => revision)).toEqual([0, 2, 7])
  })

  test('behind the oldest kept snapshot the log is compacted: nobody is lost, nothing is taken twice', async () => {
    const id = await threePages()
    for (let round = 0; round < 5; round++) {
      await edit(id, 40 * round, 40, `s${round % 3}`)
      await snapshotAt(id, 40 * (round + 1))
    }
    const before = await running.fileOf(id)
    await compact(running.pool, Date.now() + 60 * DAY)
    expect(
      (await rows('SELECT revision FROM snapshots WHERE project_id = ? ORDER BY revision', id)).map(
        (row) => row.revision,
      ),
    ).toEqual([120, 160, 200])
    // Pages that the kept ones name stay, however old they are.
    expect(
      (
        await rows(
          'SELECT page_id, revision FROM page_snapshots WHERE project_id = ? ORDER BY revision, page_id',
          id,
        )
      ).map(({ page_id, revision }) => `${page_id}@${revision}`),
    ).toEqual(['p0@40', 'p1@80', 'p2@120', 'p0@160', 'p1@200'])
    const { full } = (await rows("SELECT SUM(edits <> '') AS full FROM edits WHERE project_id = ?", id))[0]!
    expect(Number(full)).toBe(80)
    const { projects } = createApp(running.pool, pino({ level: 'silent' }))
    expect((await projects.read(id)).file).toEqual(before)
    // Who is far behind reads anew; who is not goes on.
    expect((await running.ask(`/projects/${id}/edits?since=30&head=k29`)).body.apart).toBe(true)
    expect(
      ((await running.ask(`/projects/${id}/edits?since=150&head=k149`)).body as unknown as unknown[]).length,
    ).toBe(50)
    const late = { base: 30, head: 'k29', key: 'late', at: 1, edits: [pad('s0', 7)] }
    expect((await running.ask(`/projects/${id}/edits`, 'POST', late)).body.apart).toBe(true)
    // A batch of then that is sent once more has been taken.
    const twice = { base: 9, head: 'k8', key: 'k9', at: 1, edits: [pad('s0', 9)] }
    expect((await running.ask(`/projects/${id}/edits`, 'POST', twice)).body).toEqual({ revision: 10 })
    expect(await running.fileOf(id)).toEqual(before)
  })

  test('one page is read by itself: from what is held, from a snapshot and the log behind it, at one revision', async () => {
    const id = await threePages()
    await edit(id, 0, 47, 's1')
    await snapshotAt(id, 40)
    const { file } = await running.projects.read(id)
    const fresh = () => createApp(running.pool, pino({ level: 'silent' })).projects
    for (const projects of [running.projects, fresh()]) {
      const first = await projects.readPage(id, undefined)
      expect(first).toMatchObject({ revision: 47, head: 'k46', pages: [{ id: 'p0' }] })
      expect(first.outline.pages.map((page) => page.id)).toEqual(['p0', 'p1', 'p2'])
      const [page] = (await projects.readPage(id, 'p1')).pages
      expect(page!.body.sections).toEqual(file.pages[1]!.sections)
    }
    // Templates come with every page: what stands on one is drawn at once.
    await running.append(id, 'template', 47, [
      {
        op: 'page',
        id: 't',
        page: { id: 't', name: 'Main', path: '/t', order: 'b0', views: [], isTemplate: true, sections: [] },
      },
    ])
    const withTemplate = await fresh().readPage(id, 'p1')
    expect(withTemplate.pages.map((page) => page.id)).toEqual(['p1', 't'])
    expect((await fresh().readPage(id, 't')).pages.map((page) => page.id)).toEqual(['t'])
    // Something comes from a page that is not read: then all are.
    const move = { op: 'move', node: 's2', parent: 'p0', order: 'a9' }
    await running.append(id, 'k48', 48, [move])
    const moved = await fresh().readPage(id, 'p0')
    expect(moved.pages[0]!.body.sections.map((section) => section.id)).toEqual(['s0', 's2'])
    expect((await running.ask(`/projects/${id}/page?id=gone`)).body.pages![0]).toMatchObject({ id: 'p0' })
    expect((await running.ask('/projects/nowhere/page')).status).toBe(404)
  })
})
