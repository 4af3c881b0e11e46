/** Pictures on their way to the server: kept here, sent before what names them, once. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { hashOf, nameOf } from '../../core/blobs/blobs'
import type { Edit } from '../../core/edits/edit'
import { type FakeTab, settled, World } from './test-world'

let world: World
beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] })
  world = await new World().begin()
})
afterEach(() => vi.useRealTimers())

/** Of a size, bytes; `seed` makes it another one. */
const picture = (size: number, seed: number) =>
  Uint8Array.from({ length: size }, (_, i) => (i * 13 + seed) % 256)
const add = async (tab: FakeTab, bytes: Uint8Array): Promise<Edit> => {
  const name = await tab.session.pictures.add(bytes, 'image/png')
  return {
    op: 'asset',
    id: 'pic',
    asset: { id: 'pic', name: 'Plan', type: 'image/png', width: 4, height: 3, ...name },
  }
}
/** Time goes on in the tab until something holds; however long bytes take on the machine that the test is on. */
const until = (holds: () => void, ms: number) =>
  vi.waitFor(
    async () => {
      await vi.advanceTimersByTimeAsync(ms)
      holds()
    },
    { timeout: 60_000 },
  )
const saved = (tab: FakeTab) => until(() => expect(tab.session.saveState.kind).toBe('saved'), 1000)

test('a picture arrives before the edit that names it, and is not kept here any longer', async () => {
  const tab = await settled(world.tab())
  const bytes = picture(2_500_000, 1)
  tab.session.commit([await add(tab, bytes)], 'Picture')
  expect(await world.keep!.blobs()).toHaveLength(1)
  await saved(tab)
  expect(world.server.doc.assets.get('pic')).toMatchObject(nameOf(bytes))
  expect(hashOf(world.server.blobs.get(hashOf(bytes))!.bytes)).toBe(hashOf(bytes))
  expect(await world.keep!.blobs()).toEqual([])
})

test('parts that arrived are not sent again when the line breaks', async () => {
  const tab = await settled(world.tab())
  const bytes = picture(3_000_000, 2)
  const sent: number[] = []
  const take = world.server.takePart.bind(world.server)
  world.server.takePart = (hash, part, content) => {
    sent.push(part)
    return take(hash, part, content)
  }
  tab.session.commit([await add(tab, bytes)], 'Picture')
  // Begun and two parts well; then nothing gets through for a while, then the answer to a part is not heard.
  tab.fates.push('well', 'well', 'well', 'lost', 'lost', 'well', 'unheard')
  await saved(tab)
  expect(sent).toEqual([0, 1, 2])
  expect(world.server.doc.assets.has('pic')).toBe(true)
})

test('killed before it was sent, the next tab sends picture and edit', async () => {
  const tab = await settled(world.tab())
  const bytes = picture(10, 3)
  tab.fates.push(...Array.from({ length: 40 }, () => 'lost' as const))
  tab.session.commit([await add(tab, bytes)], 'Picture')
  await vi.advanceTimersByTimeAsync(1000)
  world.end(tab, 'kill')
  expect(world.server.blobs.size).toBe(0)
  const next = await settled(world.tab())
  await until(() => expect(world.server.doc.assets.has('pic')).toBe(true), 500)
  await saved(next)
})

test('what an earlier version kept, with its picture inside, is sent as it is now', async () => {
  const bytes = new Uint8Array([0x89, 0x50, 0x4e, 0x47])
  const old = { id: 'pic', name: 'Plan', type: 'image/png', width: 4, height: 3, data: 'iVBORw==' }
  const edit = { op: 'asset', id: 'pic', asset: old } as unknown as Edit
  await world.keep!.write('p', 'tab-of-before', {
    put: [{ seq: 1, batch: { key: 'left', at: 1, changes: [{ id: 'c', edit }] } }],
    drop: [],
  })
  const tab = await settled(world.tab())
  const named = { ...nameOf(bytes), name: 'Plan' }
  await until(() => expect(world.server.doc.assets.get('pic')).toMatchObject(named), 500)
  await saved(tab)
  expect(world.server.blobs.get(hashOf(bytes))!.bytes).toEqual(bytes)
})

test('a picture that the browser has no room for is not said to be kept', async () => {
  const tab = await settled(world.tab())
  world.keep!.keepBlob = async () => {
    throw new DOMException('full', 'QuotaExceededError')
  }
  tab.fates.push(...Array.from({ length: 30 }, () => 'lost' as const))
  tab.session.commit([await add(tab, picture(10, 4))], 'Picture')
  await vi.advanceTimersByTimeAsync(3000)
  expect(tab.session.saveState).toMatchObject({ kind: 'unkept', detail: expect.stringContaining('no room') })
  tab.fates.length = 0
  await saved(tab)
  expect(world.server.doc.assets.has('pic')).toBe(true)
})
