/** What the server had confirmed and has no more, though no tab was open that would send it again. */
import { expect, test, vi } from 'vitest'
import { fileOf, freshWorld, insert, pad, settled } from './test-world'

const world = freshWorld()

/** Long enough for the server to be asked twice. */
const later = () => vi.advanceTimersByTimeAsync(60_000)
const open = () => settled(world().tab())

async function worked() {
  const tab = await open()
  for (const edit of [insert('mine'), pad('mine', 12), pad('b', 7)]) {
    tab.session.commit([edit], 'Work')
    await later()
  }
  world().end(tab, 'close')
  return world().server.log.length
}

test('it is set aside and said, in the order in which it was done; tried again it is all there', async () => {
  await worked()
  world().server.setBack(0)
  const { session } = await open()
  await later()
  expect(session.notice).toContain('set back to an earlier state')
  const [parked] = session.parked.list
  expect(parked!.edits.map(({ op }) => op)).toEqual(['insert', 'set', 'set'])
  expect(parked!.words[0]).toContain('New')
  expect(parked!.words[1]).toContain('“mine”')
  expect(session.tryAgain(parked!)).toBe(true)
  expect(session.notice).toBeUndefined()
  await later()
  const { doc } = world().server
  expect([doc.node('mine').props.paddingTop, doc.node('b').props.paddingTop]).toEqual([12, 7])
  expect(session.canUndo).toBe('Try changes again')
  session.undo()
  expect(session.doc.nodes.has('mine')).toBe(false)
})

test('what fits is done, what does not is named', async () => {
  await worked()
  world().server.setBack(1)
  const other = await open()
  other.session.commit([{ op: 'remove', node: 'mine' }], 'Remove')
  await later()
  const [parked] = other.session.parked.list
  expect(parked!.edits).toHaveLength(2)
  expect(other.session.tryAgain(parked!)).toBe(true)
  expect(other.session.notice).toContain('1 of 2 changes do not fit any more')
  const rest = other.session.parked.list.at(-1)!
  expect(rest.edits).toEqual([parked!.edits[0]])
  expect(rest.reason).toContain('mine')
  // There is nothing more to do again.
  expect(other.session.tryAgain(rest)).toBe(false)
  expect(other.session.doc.node('b').props.paddingTop).toBe(7)
})

test('nothing is said of a server that has it all, that is merely behind, or does not answer', async () => {
  await worked()
  const same = await open()
  await later()
  expect([same.session.notice, same.session.parked.list.length]).toEqual([undefined, 0])
  world().end(same, 'close')
  const { log, doc } = world().server
  world().server.setBack(1)
  const behind = await open()
  world().server.log = log
  world().server.doc = doc
  await later()
  expect(behind.session.parked.list).toHaveLength(0)
  expect(fileOf(behind.session.doc)).toBe(fileOf(doc))
})

test('it is set aside once, whoever opens the project', async () => {
  await worked()
  world().server.setBack(0)
  const [one, other] = [await open(), await open()]
  await later()
  const ids = new Set([one, other].flatMap((tab) => tab.session.parked.list.map(({ id }) => id)))
  expect(ids.size).toBe(1)
  world().end(one, 'close')
  const third = await open()
  await later()
  expect(third.session.parked.list).toHaveLength(1)
})
