/** A disk that runs low and full: said, nothing taken, and back when there is room. */
import { tmpdir } from 'node:os'
import { pino } from 'pino'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { Disk, freeOn } from './disk'
import { type TestServer, testServer } from './test-server'

let free = 50e9
const said: string[] = []
const log = pino({ level: 'warn' }, { write: (line: string) => void said.push(JSON.parse(line).msg) })
const disk = new Disk(async () => free, log)
let running: TestServer
beforeAll(async () => {
  running = await testServer({ disk })
})
afterAll(() => running?.stop())

test('low is said once; full refuses changes and lets everything be read; room brings them back', async () => {
  const id = await running.create()
  const health = async () => (await running.ask('/health')).body.disk
  await disk.look()
  expect(await health()).toBe('enough')
  free = 900e6
  await disk.look()
  await disk.look()
  expect(said).toEqual(['900 MB are left on the disk of the database: make room soon'])
  expect((await running.insert(id, 'low', 0, 's1')).status).toBe(200)

  free = 90e6
  await disk.look()
  expect(await health()).toBe('full')
  const refused = await running.insert(id, 'full', 1, 's2')
  expect(refused).toMatchObject({ status: 507, body: { title: 'Disk full' } })
  expect(refused.body.detail).toContain('until somebody makes room')
  expect((await running.fileOf(id)).pages[0]!.sections).toHaveLength(1)
  expect(said[1]).toContain('changes are refused')

  free = 5e9
  await disk.look()
  // The same batch, sent again as a browser does.
  expect((await running.insert(id, 'full', 1, 's2')).status).toBe(200)
  expect(said[2]).toBe('there is room on the disk again')
})

test('what is free is what the system says', async () => {
  expect(await freeOn(tmpdir())).toBeGreaterThan(1e6)
})
