/**
 * Two and three tabs that do anything at all over a network that does anything at all, are reloaded, closed and killed: all
 * end with what the server has, nothing acknowledged is lost, and nothing that was kept is lost silently.
 */
import fc from 'fast-check'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { type FakeTab, type Fate, fileOf, insert, pad, settled, World } from './test-world'

beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('localStorage', { getItem: () => null, removeItem: () => undefined })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const act = fc.record({
  tab: fc.nat(2),
  what: fc.constantFrom(
    'pad',
    'pad',
    'drag',
    'remove',
    'insert',
    'insert',
    'undo',
    'redo',
    'wait',
    'wait',
    'reload',
    'close',
    'kill',
    'back',
  ),
  value: fc.nat(60),
  fate: fc.constantFrom<Fate>('well', 'well', 'lost', 'unheard', 'late'),
  deaf: fc.boolean(),
})
type Act = typeof act extends fc.Arbitrary<infer T> ? T : never

let made = 0

/** Blocks that were made, each with the tab that made it. */
class Made {
  private readonly byTab = new Map<FakeTab, Set<string>>()
  /** What has to be somewhere in the end. */
  readonly owed = new Set<string>()

  add(tab: FakeTab, id: string) {
    this.byTab.set(tab, (this.byTab.get(tab) ?? new Set()).add(id))
    this.owed.add(id)
  }

  /** Of a killed tab only what was on disk or on the server is owed. */
  killed(tab: FakeTab, kept: string) {
    for (const id of this.byTab.get(tab) ?? []) if (!kept.includes(`"${id}"`)) this.owed.delete(id)
  }
}

async function perform({ what, value }: Act, world: World, tab: FakeTab, making: Made) {
  const { session } = tab
  const blocks = [...session.doc.nodes.values()].filter((node) => node.kind !== 'page')
  const block = blocks[value % Math.max(1, blocks.length)]
  if (what === 'wait') await vi.advanceTimersByTimeAsync(value * 20)
  else if (what === 'undo') session.undo()
  else if (what === 'redo') session.redo()
  else if (what === 'insert') {
    const id = `n${made++}`
    if (session.commit([insert(id)], 'Insert')) making.add(tab, id)
  } else if (block && what === 'pad') session.commit([pad(block.id, value)], 'Pad')
  else if (block && what === 'drag') {
    for (let i = 0; i < 5; i++) {
      session.commit([pad(block.id, value + i)], 'Drag', `drag${value}`)
      await vi.advanceTimersByTimeAsync(value)
    }
  } else if (block && what === 'remove') session.commit([{ op: 'remove', node: block.id }], 'Remove')
  else if (what === 'back' && value < 12)
    world.server.setBack(Math.max(0, world.server.log.length - (value % 3)))
}

async function run(count: number, acts: readonly Act[]) {
  vi.stubGlobal('indexedDB', new IDBFactory())
  const world = await settled(new World().begin())
  const tabs: FakeTab[] = []
  for (let i = 0; i < count; i++) tabs.push(await settled(world.tab()))
  const making = new Made()
  // What a server that is set back has lost lives on in the tabs that saw it: then none of them goes.
  const stay = acts.some((each) => each.what === 'back')
  for (const each of acts) {
    const at = each.tab % count
    const tab = tabs[at]!
    tab.deaf = each.deaf
    const { what } = each
    if (what === 'reload' || what === 'close' || what === 'kill') {
      if (stay) continue
      // A page that does not come up is reloaded until it does.
      tab.fates.length = 0
      if (what === 'reload') await settled(tab.reload())
      else {
        const logs = await settled(world.keep!.logs('p'))
        const parked = await settled(world.keep!.parked('p'))
        if (what === 'kill') making.killed(tab, JSON.stringify([[...logs], parked, world.server.log]))
        world.end(tab, what)
        tabs[at] = await settled(world.tab())
      }
    } else {
      tab.fates.push(each.fate)
      await perform(each, world, tab, making)
    }
  }
  for (const tab of tabs) {
    tab.deaf = false
    tab.fates.length = 0
  }
  await vi.advanceTimersByTimeAsync(60_000)
  // What a deaf tab missed it learns with its next change; the first to speak, with the other's.
  for (const tab of [...tabs, ...tabs]) {
    const id = `n${made++}`
    if (tab.session.commit([insert(id)], 'Insert')) making.add(tab, id)
    await vi.advanceTimersByTimeAsync(60_000)
  }
  const { server } = world
  for (const { session } of tabs) {
    expect(session.saveState.kind).toBe('saved')
    expect(fileOf(session.doc)).toBe(fileOf(server.doc))
  }
  expect(new Set(server.log.map((batch) => batch.key)).size).toBe(server.log.length)
  expect((await settled(world.keep!.logs('p'))).size).toBe(0)
  const found = JSON.stringify([server.log, [...server.parked.values()]])
  for (const id of making.owed) expect(found).toContain(`"${id}"`)
  for (const { session } of tabs) session.close()
}

test.each([2, 3])('%i tabs', async (count) => {
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 1, maxLength: 30 }), (acts) => run(count, acts)),
    { numRuns: Number(process.env.LATTICE_RUNS ?? 100), interruptAfterTimeLimit: 90_000 },
  )
})
