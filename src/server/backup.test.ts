/** A backup taken while others write, put back elsewhere: all of it to the point of a batch, or nothing. */
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import type { RowDataPacket } from 'mysql2'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { BackupError, backUp, restore } from './backup'
import { openPool } from './db/pool'
import { freePort, type MariaDb, startMariaDb } from './mariadb'
import { Projects } from './projects'
import { type TestServer, testServer } from './test-server'

let server: TestServer
let folder: string
let elsewhere: MariaDb
beforeAll(async () => {
  server = await testServer()
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-backup-'))
  elsewhere = await startMariaDb(folder, await freePort())
})
afterAll(async () => {
  await server.stop()
  await elsewhere.stop()
  await rm(folder, { recursive: true, force: true })
})

const file = () => join(folder, 'all.backup')
const count = async (pool: TestServer['pool'], table: string) => {
  const [rows] = await pool.query<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM ${table}`)
  return Number(rows[0]!.n)
}

test('taken while somebody writes, it ends at a batch; put back, all reads as it did, pictures to the byte', async () => {
  const id = await server.create('Kept')
  // Larger than one part.
  const noise = { type: 'gaussian', mean: 120, sigma: 60 } as const
  const drawn = sharp({ create: { width: 900, height: 700, channels: 3, background: '#1d5c45', noise } })
  const bytes = new Uint8Array(await drawn.png().toBuffer())
  const { hash } = await server.sendBlob(bytes, 'image/png')
  const asset = {
    id: 'field',
    name: 'Field',
    type: 'image/png',
    width: 900,
    height: 700,
    hash,
    size: bytes.length,
  }
  await server.append(id, 'with-picture', 0, [{ op: 'asset', id: 'field', asset }])
  let revision = 1
  let isOver = false
  const writing = (async () => {
    while (!isOver) {
      await server.insert(id, `batch-${revision}`, revision, `written${revision}`)
      revision++
    }
  })()
  await backUp(server.pool, file())
  isOver = true
  await writing

  const pool = openPool(elsewhere.address)
  try {
    const counts = await restore(pool, file())
    expect(counts.projects).toBe(await count(server.pool, 'projects'))
    const projects = new Projects(pool)
    const back = await projects.read(id)
    expect(back.revision).toBeGreaterThanOrEqual(1)
    expect(back.revision).toBeLessThanOrEqual(revision)
    // As of that batch, and no other.
    expect(back.file.pages[0]!.sections.length).toBe(back.revision - 1)
    const [parts] = await pool.query<RowDataPacket[]>(
      'SELECT bytes FROM blob_parts WHERE hash = ? ORDER BY part',
      [hash],
    )
    expect(parts.length).toBeGreaterThan(1)
    expect(Buffer.concat(parts.map((part) => part.bytes as Buffer)).equals(bytes)).toBe(true)
    // Work goes on there.
    await expect(restore(pool, file())).rejects.toThrow(/projects in this database already/)
    expect((await projects.read(id)).revision).toBe(back.revision)
    for (const table of ['projects', 'blob_uses', 'blobs']) await pool.query(`DELETE FROM ${table}`)
  } finally {
    await pool.end()
  }
})

test('given up, there is no file; and of what was put back nothing', async () => {
  const gone = new AbortController()
  gone.abort(new Error('given up'))
  const path = join(folder, 'given-up.backup')
  await expect(backUp(server.pool, path, { signal: gone.signal })).rejects.toThrow()
  expect((await readdir(folder)).filter((name) => name.startsWith('given-up'))).toEqual([])
  // The connection was not left in the middle of something.
  expect(await count(server.pool, 'projects')).toBeGreaterThan(0)
  const pool = openPool(elsewhere.address)
  try {
    await expect(restore(pool, file(), { signal: gone.signal })).rejects.toThrow('given up')
    expect(await count(pool, 'projects')).toBe(0)
  } finally {
    await pool.end()
  }
})

test('into a database of an earlier version that holds something nothing is put, and it is not brought up to date', async () => {
  const pool = openPool(elsewhere.address)
  try {
    await pool.query("INSERT INTO projects (id, name) VALUES ('theirs', 'Theirs')")
    await pool.query("DELETE FROM migrations WHERE name = '004-bring-up'")
    await expect(restore(pool, file())).rejects.toThrow(/projects in this database already/)
    expect(await count(pool, 'migrations')).toBe(3)
    await pool.query("DELETE FROM projects WHERE id = 'theirs'")
    await pool.query("INSERT INTO migrations (name) VALUES ('004-bring-up')")
  } finally {
    await pool.end()
  }
})

test('a file that is cut off, another’s, changed or of a newer version is refused, and nothing of it stays', async () => {
  const pool = openPool(elsewhere.address)
  const whole = gunzipSync(await readFile(file())).toString()
  const lines = whole.trimEnd().split('\n')
  const head = JSON.parse(lines[0]!)
  const wrong: [string | Buffer, RegExp][] = [
    ['no backup', /no backup of Just Lattice/],
    [gzipSync('{"format":"another"}\n'), /no backup/],
    [gzipSync(lines.slice(0, -1).join('\n')), /cut off/],
    [gzipSync(lines.toSpliced(2, 1).join('\n')), /should hold/],
    [gzipSync(lines.toSpliced(1, 1, '{"table":"users","row":{}}').join('\n')), /row 1 cannot be read/],
    [
      gzipSync([JSON.stringify({ ...head, migrations: [...head.migrations, '999-later.sql'] })].join('\n')),
      /another version/,
    ],
    [(await readFile(file())).subarray(0, 900), /cut off|no backup|cannot be read/],
  ]
  try {
    for (const [bytes, said] of wrong) {
      await writeFile(join(folder, 'wrong.backup'), bytes)
      const refused = await restore(pool, join(folder, 'wrong.backup')).catch((error) => error)
      expect(refused).toBeInstanceOf(BackupError)
      expect(refused.message).toMatch(said)
      expect(await count(pool, 'projects')).toBe(0)
      expect(await count(pool, 'blobs')).toBe(0)
    }
    await expect(restore(pool, join(folder, 'none.backup'))).rejects.toThrow(/cannot be read/)
    // And the right one still goes in.
    expect((await restore(pool, file())).projects).toBeGreaterThan(0)
  } finally {
    await pool.end()
  }
})
