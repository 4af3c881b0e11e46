/** Tabs on one project, against a server in memory and a network that fails: nothing is lost, nothing is done twice. */
import { describe, expect, test, vi } from 'vitest'
import { fileOf, freshWorld, insert, pad, settled } from './test-world'
import { ApiError } from './wire'

const world = freshWorld()

const calm = () => vi.advanceTimersByTimeAsync(60_000)
const open = () => settled(world().tab())

describe('one tab', () => {
  test('what is committed is on the server, and says so', async () => {
    const { session } = await open()
    expect(session.commit([pad('a', 8)], 'Pad')).toBe(true)
    expect(session.saveState.kind).toBe('saving')
    await calm()
    expect(session.saveState.kind).toBe('saved')
    expect(world().server.doc.node('a').props.paddingTop).toBe(8)
  })

  test('every batch says who made it and when', async () => {
    const tab = await open()
    const now = Date.now()
    tab.session.commit([pad('a', 8)], 'Pad')
    await calm()
    const [batch] = world().server.log
    expect(batch!.by).toBe(tab.id)
    expect(Math.abs(Date.parse(batch!.at) - now)).toBeLessThan(2000)
  })

  test('a gesture is one step and few batches', async () => {
    const { session } = await open()
    for (let i = 1; i <= 30; i++) session.commit([pad('a', i)], 'Drag', 'drag-1')
    expect(session.history.steps.map(({ label }) => label)).toEqual(['Drag'])
    expect(session.history.done).toBe(1)
    await calm()
    expect(world().server.log.length).toBe(1)
    session.undo()
    await calm()
    expect(world().server.doc.node('a').props.paddingTop).toBeUndefined()
  })

  test('a refused edit changes nothing and is said', async () => {
    const { session } = await open()
    const before = fileOf(session.doc)
    expect(session.commit([pad('a', 4), { op: 'remove', node: 'nowhere' }], 'Two')).toBe(false)
    expect(session.notice).toContain('nowhere')
    expect(fileOf(session.doc)).toBe(before)
    await calm()
    expect(world().server.log).toEqual([])
  })

  test('an answer that was not heard: sent again, done once', async () => {
    const tab = await open()
    tab.deaf = true
    tab.fates.push('unheard', 'lost', 'well')
    tab.session.commit([{ op: 'remove', node: 'b' }], 'Remove')
    await vi.advanceTimersByTimeAsync(400)
    expect(tab.session.saveState).toMatchObject({ kind: 'waiting', detail: 'the server does not answer' })
    await calm()
    expect(tab.session.saveState.kind).toBe('saved')
    expect(world().server.log.length).toBe(1)
  })

  test('one bad edit does not take its neighbours with it; one too large does not block those behind it', async () => {
    const { session } = await open()
    world().server.faults.push(
      new ApiError(422, 'not this one', { refused: [{ index: 1, reason: 'not this one' }] }),
      ...Array.from({ length: 3 }, () => new ApiError(413, 'the request is larger than 24 MB')),
    )
    session.commit([pad('a', 1), pad('b', 2), pad('c', 3), pad('a1', 4)], 'Pads')
    session.commit([insert('later')], 'Insert')
    await calm()
    const { doc } = world().server
    expect(['a', 'b', 'c', 'a1'].map((id) => doc.node(id).props.paddingTop)).toEqual([
      undefined,
      undefined,
      3,
      4,
    ])
    expect(doc.nodes.has('later')).toBe(true)
    expect(session.saveState.kind).toBe('saved')
    expect(session.parked.list.map((each) => [each.reason, each.edits])).toEqual([
      ['not this one', [pad('b', 2)]],
      ['the request is larger than 24 MB', [pad('a', 1)]],
    ])
    expect(fileOf(session.doc)).toBe(fileOf(doc))
  })
})

describe('kept in this browser', () => {
  test('is said only once it is on disk; and not where it cannot be', async () => {
    const tab = await open()
    tab.fates.push(...Array(200).fill('lost'))
    let release = () => {}
    const write = world().keep!.write.bind(world().keep)
    world().keep!.write = (...args) =>
      new Promise((resolve, reject) => {
        release = () => write(...args).then(resolve, reject)
      })
    tab.session.commit([pad('c', 40)], 'Pad')
    await vi.advanceTimersByTimeAsync(2000)
    expect(tab.session.saveState.kind).toBe('saving')
    release()
    await vi.advanceTimersByTimeAsync(2000)
    expect(tab.session.saveState.kind).toBe('waiting')

    world().keep!.write = () =>
      Promise.reject(Object.assign(new Error('full'), { name: 'QuotaExceededError' }))
    tab.session.commit([pad('b', 41)], 'Pad')
    await vi.advanceTimersByTimeAsync(2000)
    expect(tab.session.saveState.kind).toBe('unkept')
    expect(tab.session.saveState.detail).toContain('its store is full')
    tab.fates.length = 0
    await calm()
    expect(tab.session.saveState.kind).toBe('saved')
    expect(world().server.doc.node('b').props.paddingTop).toBe(41)
  })

  test('a browser killed the moment after loses nothing: the next tab has it, and its undo where it was reloaded', async () => {
    const tab = await open()
    tab.fates.push(...Array(200).fill('lost'))
    tab.session.commit([pad('c', 40)], 'Pad')
    await vi.advanceTimersByTimeAsync(100)
    expect(world().server.log).toEqual([])
    await settled(tab.reload().catch(() => undefined))
    tab.fates.length = 0
    const again = await settled(tab.reload())
    expect(again.doc.node('c').props.paddingTop).toBe(40)
    expect(again.canUndo).toBe('Pad')
    again.undo()
    await calm()
    expect(world().server.doc.node('c').props.paddingTop).toBeUndefined()

    tab.fates.push(...Array(200).fill('lost'))
    again.commit([pad('b', 41)], 'Pad')
    await vi.advanceTimersByTimeAsync(100)
    world().end(tab, 'kill')
    const next = await open()
    await calm()
    expect(next.session.doc.node('b').props.paddingTop).toBe(41)
    expect(world().server.doc.node('b').props.paddingTop).toBe(41)
  })

  test('two tabs keep a log each; one that is closed offline is taken over by the other', async () => {
    const [one, other] = [await open(), await open()]
    for (const tab of [one, other]) tab.fates.push(...Array(40).fill('lost'))
    one.session.commit([pad('a', 1)], 'Pad')
    other.session.commit([pad('b', 2)], 'Pad')
    await vi.advanceTimersByTimeAsync(200)
    expect([...(await settled(world().keep!.logs('p'))).values()].map((log) => log.length)).toEqual([1, 1])
    world().end(one, 'kill')
    other.fates.length = 0
    await calm()
    expect(other.session.doc.node('a').props.paddingTop).toBe(1)
    expect(fileOf(world().server.doc)).toBe(fileOf(other.session.doc))
    expect((await settled(world().keep!.logs('p'))).size).toBe(0)
  })

  test('a batch that the server has is not applied again, whatever happened since', async () => {
    const tab = await open()
    tab.deaf = true
    tab.fates.push('unheard', ...Array(40).fill('lost'))
    tab.session.commit([pad('a', 10)], 'Pad')
    await vi.advanceTimersByTimeAsync(300)
    expect(world().server.log.length).toBe(1)
    world().end(tab, 'kill')
    const other = await open()
    other.session.commit([pad('a', 77)], 'Pad')
    await calm()
    expect(other.session.doc.node('a').props.paddingTop).toBe(77)
    expect(world().server.doc.node('a').props.paddingTop).toBe(77)
    expect(world().server.log.map((batch) => batch.edits)).toEqual([[pad('a', 10)], [pad('a', 77)]])
  })
})

describe('two tabs', () => {
  test('one removes what the other changes: the change is set aside on both sides, said, and put back', async () => {
    const [one, other] = [await open(), await open()]
    other.deaf = true
    one.session.commit([{ op: 'remove', node: 'a' }], 'Remove')
    await vi.advanceTimersByTimeAsync(500)
    other.session.commit([pad('a1', 12)], 'Pad')
    await calm()
    expect(other.session.notice).toContain('does not fit any more (somebody else removed “a”)')
    expect(other.session.parked.list.length).toBe(1)
    expect(world().server.parked.size).toBe(1)
    expect((await settled(world().keep!.parked('p'))).length).toBe(1)
    expect(fileOf(other.session.doc)).toBe(fileOf(world().server.doc))
    // A tab that opens later sees it too; dismissed there, it is gone everywhere.
    const third = await open()
    const [parked] = third.session.parked.list
    await settled(third.session.parked.dismiss(parked!.id))
    expect([...world().server.parked.values()]).toEqual([undefined])
    expect((await settled(other.reload())).parked.list).toEqual([])
  })

  test('after a reload undo does not take back what others changed meanwhile', async () => {
    const [one, other] = [await open(), await open()]
    one.session.commit([pad('a', 5), pad('b', 5)], 'Pad')
    await calm()
    one.session.close()
    other.session.commit([pad('a', 60)], 'Pad')
    await calm()
    const again = await settled(one.open())
    expect(again.canUndo).toBe('Pad')
    again.undo()
    await calm()
    expect(world().server.doc.node('a').props.paddingTop).toBe(60)
    expect(world().server.doc.node('b').props.paddingTop).toBeUndefined()
    expect(again.notice).toContain('somebody else has changed it since')
  })

  test('a stream that breaks off comes back by itself, with everything missed', async () => {
    const [one, other] = [await open(), await open()]
    world().server.breakStreams()
    // Refused again and again before it stands.
    other.fates.push(...Array(3).fill('lost'))
    one.session.commit([pad('a', 3)], 'Pad')
    await vi.advanceTimersByTimeAsync(100)
    expect(other.session.doc.node('a').props.paddingTop).toBeUndefined()
    other.fates.length = 0
    await calm()
    expect(other.session.doc.node('a').props.paddingTop).toBe(3)
    expect(world().server.streams.size).toBe(2)
  })

  test('a server that was set back is noticed; what it had confirmed is sent again, by whoever has it', async () => {
    const [one, other] = [await open(), await open()]
    one.session.commit([pad('a', 1)], 'Pad')
    await calm()
    other.session.commit([insert('theirs')], 'Insert')
    await calm()
    world().server.setBack(0)
    one.session.commit([pad('c', 3)], 'Pad')
    await calm()
    expect(one.session.notice).toContain('the server was at an earlier state (0) than this tab (2)')
    other.session.commit([pad('b', 2)], 'Pad')
    await calm()
    const { doc, log } = world().server
    expect(['a', 'b', 'c'].map((id) => doc.node(id).props.paddingTop)).toEqual([1, 2, 3])
    expect(doc.nodes.has('theirs')).toBe(true)
    expect(log.length).toBe(4)
    for (const tab of [one, other]) {
      expect(fileOf(tab.session.doc)).toBe(fileOf(doc))
      expect(tab.session.saveState.kind).toBe('saved')
    }
  })

  test('a server that was set back and has gone on with others’ work is noticed too', async () => {
    const one = await open()
    one.session.commit([pad('a', 1)], 'Pad')
    await calm()
    one.session.commit([pad('b', 2)], 'Pad')
    await calm()
    world().server.setBack(1)
    for (const [i, node] of ['c', 'c1', 'a1'].entries())
      world().server.append('other', {
        base: 1 + i,
        head: world().server.head,
        key: `k${i}`,
        at: 0,
        edits: [pad(node, 9)],
      })
    one.session.commit([insert('mine')], 'Insert')
    await calm()
    const { doc } = world().server
    expect(['a', 'b', 'c', 'c1', 'a1'].map((id) => doc.node(id).props.paddingTop)).toEqual([1, 2, 9, 9, 9])
    expect(doc.nodes.has('mine')).toBe(true)
    expect(fileOf(one.session.doc)).toBe(fileOf(doc))
  })
})
