/** Databases of earlier versions, dumped by the code of then, opened by today's: the same to the eye. */
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mysql, { type RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { hashOf } from '../../core/blobs/blobs'
import { type ProjectFile, VERSION } from '../../core/document/schema'
import { EDITS_VERSION } from '../../core/edits/stored'
import { inOldWords } from '../../core/properties/test-old-words'
import { starterProject } from '../../core/shelf/starter'
import { freePort, type MariaDb, startMariaDb } from '../mariadb'
import { Projects } from '../projects'
import { readSnapshot } from '../snapshots'
import { section, testServer } from '../test-server'
import { bringUp } from './bring-up'
import { migrate } from './migrate'
import { openPool } from './pool'

const fixture = (name: string) => readFile(new URL(`fixtures/${name}`, import.meta.url), 'utf8')
type Seen = { id: string; trash: string; revision: number; file: ProjectFile }
type Version1Asset = { id: string; type: string; data: string }

let folder: string
let database: MariaDb
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-bring-up-'))
  database = await startMariaDb(folder, await freePort())
})
afterAll(async () => {
  await database?.stop()
  await rm(folder, { recursive: true, force: true })
})

/** Makes the database what a dump says. */
async function restore(dump: string) {
  const connection = await mysql.createConnection({ ...database.address, multipleStatements: true })
  const { database: name } = database.address
  await connection.query(
    `DROP DATABASE ${name}; CREATE DATABASE ${name}; USE ${name}; SET FOREIGN_KEY_CHECKS = 0`,
  )
  await connection.query(dump)
  await connection.end()
}

describe.each(['database-1', 'database-2'])('%s', (name) => {
  test('opens unchanged: blocks, views, tokens, links, pictures to the byte', async () => {
    const seen = JSON.parse(await fixture(`${name}.seen.json`)) as Seen
    await restore(await fixture(`${name}.sql`))
    const pool = openPool(database.address)
    try {
      await migrate(pool)
      const projects = new Projects(pool)
      const { file, revision } = await projects.read(seen.id)
      expect(revision).toBe(seen.revision)
      seen.file.version = VERSION
      const { assets, ...rest } = file
      const { assets: before, ...restBefore } = seen.file as unknown as ProjectFile & {
        assets: Version1Asset[]
      }
      expect(inOldWords(rest)).toEqual({ ...restBefore, version: VERSION })
      const blobs = await projects.blobs.read(assets)
      for (const { id, type, data } of before) {
        const asset = assets.find((each) => each.id === id)!
        const bytes = Buffer.from(blobs.get(asset.hash)!)
        expect(hashOf(bytes)).toBe(asset.hash)
        if (type === 'image/svg+xml') expect(bytes.toString()).not.toContain('onload')
        else expect(bytes.equals(Buffer.from(data, 'base64'))).toBe(true)
      }
      await everythingIsOfToday(projects, seen)
    } finally {
      await pool.end()
    }
  })

  test('stopped in the middle, it goes on there', async () => {
    const seen = JSON.parse(await fixture(`${name}.seen.json`)) as Seen
    await restore(await fixture(`${name}.sql`))
    let statements = 0
    const pool = openPool(database.address)
    const execute = pool.execute.bind(pool)
    pool.execute = ((...args: Parameters<typeof execute>) => {
      if (++statements > 60 && statements < 100) throw new Error('the power went')
      return execute(...args)
    }) as typeof pool.execute
    try {
      await expect(migrate(pool)).rejects.toThrow(/power/)
      statements = 1000
      await pool.query("UPDATE migration_lease SET until = '2000-01-01'")
      await migrate(pool)
      const projects = new Projects(pool)
      expect(inOldWords((await projects.read(seen.id)).file.pages)).toEqual(seen.file.pages)
      await everythingIsOfToday(projects, seen)
    } finally {
      await pool.end()
    }
  })
})

/** Log, snapshots, parked edits and trash: none is left as it was, and every snapshot is what the log makes of it. */
async function everythingIsOfToday(projects: Projects, seen: Seen) {
  const { pool } = projects
  const [old] = await pool.query<RowDataPacket[]>(
    `SELECT 'edits' AS place FROM edits WHERE version <> ${EDITS_VERSION} OR edits LIKE '%"data":%'
     UNION ALL SELECT 'snapshots' FROM snapshots WHERE version <> 2 OR document LIKE '%"data":%'
     UNION ALL SELECT 'parked' FROM parked WHERE body LIKE '%"data":%'`,
  )
  expect(old).toEqual([])
  const [snapshots] = await pool.query<RowDataPacket[]>(
    'SELECT revision FROM snapshots WHERE project_id = ? ORDER BY revision',
    [seen.id],
  )
  expect(snapshots.length).toBeGreaterThan(1)
  for (const { revision } of snapshots)
    expect((await readSnapshot(pool, seen.id, revision))?.revision).toBe(revision)
  // What was in the trash comes back whole.
  await projects.setDeleted(seen.trash, false)
  const { file } = await projects.read(seen.trash)
  expect(file.assets).toMatchObject([{ name: 'Door' }])
  expect((await projects.blobs.read(file.assets)).size).toBe(1)
}

test('an order key that is none, a path that is none, a link that would run: mended, and gone on from', async () => {
  const running = await testServer()
  const file = starterProject('Before', 'home')
  file.pages[0]!.path = '/'
  file.pages.push({
    id: 'old',
    name: 'Old',
    path: '/old//page/',
    order: 'not a key',
    views: [],
    sections: [],
  })
  const [desktop, mobile] = file.views
  const { pool } = running
  await pool.query("INSERT INTO projects (id, name, revision, head) VALUES (?, ?, 3, 'k2')", [
    'before',
    'Before',
  ])
  await pool.query('INSERT INTO snapshots (project_id, revision, document) VALUES (?, 0, ?)', [
    'before',
    JSON.stringify({ ...file, version: 1 }),
  ])
  const tablet = { ...mobile, id: 'tablet', name: 'Tablet', width: 834, breakpoint: 1000 }
  const areas = ['a00', 'a01', 'a02'].map((order, i) => ({
    id: `n${i}`,
    kind: 'box',
    name: `N${i}`,
    order,
    props: {},
  }))
  const batches = [
    [{ op: 'views', views: [desktop, tablet, { ...mobile, fold: 777 }] }],
    [{ op: 'insert', parent: 'home', tree: { ...section('s'), children: areas } }],
    [
      { op: 'set', node: 'n1', view: 'tablet', props: { hidden: true } },
      { op: 'set', node: 'n0', props: { link: 'javascript:alert(1)', tag: 'a' } },
    ],
  ]
  for (const [i, edits] of batches.entries())
    await pool.query('INSERT INTO edits (project_id, revision, batch_key, edits) VALUES (?, ?, ?, ?)', [
      'before',
      i + 1,
      `k${i}`,
      JSON.stringify(edits),
    ])
  await bringUp(pool)
  const opened = await running.fileOf('before')
  expect(opened.views.map((view) => [view.id, view.fold])).toEqual([
    ['desktop', desktop!.fold],
    ['tablet', mobile!.fold],
    ['mobile', 777],
  ])
  expect(opened.pages.map((page) => page.path)).toEqual(['/', '/old/page'])
  const [s] = opened.pages[0]!.sections
  expect(s!.children?.map((child) => [child.id, child.props.link, child.overrides])).toEqual([
    ['n0', '#', undefined],
    ['n1', undefined, { tablet: { hidden: true } }],
    ['n2', undefined, undefined],
  ])
  // And goes on from there, between the areas too.
  expect(
    (await running.append('before', 'next', 3, [{ op: 'meta', node: 'n2', name: 'Third' }])).status,
  ).toBe(200)
  await running.stop()
})
