/** Copies of one project that hear of each other late: what each sees, what is saved, what can be taken back. */
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { Edit } from '../edits/edit'
import { putBackEdits, valueEdits } from './parked'
import { copy, file, insert, Log, next, order, project, set, sync, two } from './test-log'

describe('rebasing edit by edit', () => {
  test('fifty edits made while somebody removed one of the blocks: forty-nine arrive, one is set aside', () => {
    const { log, one, other } = two()
    for (let i = 0; i < 49; i++)
      one.commit([set('a', { paddingTop: i }), insert(one.doc, 'b', `n${i}`)], `Edit ${i}`)
    one.commit([set('c1', { fontSize: 99 })], 'Size')
    other.commit([{ op: 'remove', node: 'c' }], 'Remove')
    sync(log, other)
    const parked = sync(log, one)
    expect(log.doc.node('b').children.length).toBe(2 + 49)
    expect(log.doc.node('a').props.paddingTop).toBe(48)
    expect(file(one.doc)).toBe(file(log.doc))
    expect(parked).toMatchObject([
      {
        reason: 'somebody else removed “C”',
        words: ['“C1”: font size 99'],
        edits: [set('c1', { fontSize: 99 })],
      },
    ])
    // The step that was set aside cannot be undone; the others can.
    expect(one.history.undos.length).toBe(49)
  })

  test('what is about one lost block is set aside as one thing, as it stood', () => {
    const { log, one, other } = two()
    one.commit([insert(one.doc, 'c', 'new')], 'New')
    one.commit([set('new', { opacity: 0.5 }), set('c1', { fontSize: 20 })], 'Look')
    one.commit([{ op: 'move', node: 'a1', parent: 'c2', order: 'a0' }], 'Move')
    other.commit([{ op: 'remove', node: 'c' }], 'Remove')
    sync(log, other)
    const parked = sync(log, one)
    const [lost, moved] = parked
    expect(parked.length).toBe(2)
    expect(lost!.block?.tree.id).toBe('c')
    expect(lost!.block?.tree.children?.map((child) => child.id)).toEqual(['new', 'c1', 'c2'])
    expect(lost!.block?.tree.children?.[0]?.props).toEqual({ opacity: 0.5 })
    expect(moved!.words).toEqual(['Move “A1” in “C2”'])
    // Put back as a new block, at its place, with everything in it.
    const edits = putBackEdits(one.doc, lost!, 'home', () => `id${next()}`)
    one.commit(edits, 'Put back')
    expect(sync(log, one)).toEqual([])
    const back = log.doc.node(order(log.doc)[2]!)
    expect([back.name, back.children.length]).toEqual(['C', 3])
    expect(log.doc.node(back.children[1]!).props.fontSize).toBe(20)
  })

  test('values set aside are copied to other blocks', () => {
    const { log, one, other } = two()
    one.commit([set('a1', { fontSize: 20, color: '#112233' }), set('a1', { fontSize: 16 }, 'mobile')], 'Type')
    other.commit([{ op: 'remove', node: 'a1' }], 'Remove')
    sync(log, other)
    const [parked] = sync(log, one)
    one.commit(valueEdits(one.doc, parked!, ['b1', 'c1']), 'Copy')
    sync(log, one)
    for (const id of ['b1', 'c1']) {
      expect(log.doc.node(id).props).toMatchObject({ fontSize: 20, color: '#112233' })
      expect(log.doc.node(id).overrides.mobile).toEqual({ fontSize: 16 })
    }
  })

  test('what somebody else removed too is not set aside: it is as it was wanted', () => {
    const { log, one, other } = two()
    one.commit([{ op: 'remove', node: 'a1' }, set('b', { rowGap: 8 })], 'Remove')
    other.commit([{ op: 'remove', node: 'a' }], 'Remove')
    sync(log, other)
    expect(sync(log, one)).toEqual([])
    expect(log.doc.node('b').props.rowGap).toBe(8)
  })

  test('two make a page of one path: both pages stay', () => {
    const { log, one, other } = two()
    const page = (id: string): Edit => ({
      op: 'page',
      id,
      page: { id, name: id, path: '/about', order: 'a5', views: [], sections: [] },
    })
    one.commit([page('mine')], 'New page')
    one.commit([insert(one.doc, 'mine', 's', 0, 'section')], 'New section')
    other.commit([page('theirs')], 'New page')
    sync(log, other)
    expect(sync(log, one)).toEqual([])
    expect(log.doc.pages.get('theirs')?.path).toBe('/about')
    expect(log.doc.pages.get('mine')?.path).toBe('/about-2')
    expect(log.doc.node('mine').children).toEqual(['s'])
  })

  test('two change two views: both changes stay; one that is gone is said', () => {
    const { log, one, other } = two()
    one.commit([{ op: 'views', change: { mobile: { fold: 700 } } }], 'Fold')
    other.commit([{ op: 'views', change: { desktop: { fold: 820 }, mobile: { name: 'Phone' } } }], 'Fold')
    sync(log, other)
    expect(sync(log, one)).toEqual([])
    expect(log.doc.views.map((view) => [view.name, view.fold])).toEqual([
      ['Desktop', 820],
      ['Phone', 700],
    ])
  })

  test('two insert at one place, then one between theirs: an order that all share', () => {
    const { log, one, other } = two()
    one.commit([insert(one.doc, 'home', 'z', 1, 'section')], 'Insert')
    other.commit([insert(other.doc, 'home', 'm', 1, 'section')], 'Insert')
    sync(log, other)
    sync(log, one)
    other.receive(log.batches)
    expect(order(log.doc)).toEqual(['a', 'm', 'z', 'b', 'c'])
    other.commit([insert(other.doc, 'home', 'between', 2, 'section')], 'Insert')
    sync(log, other)
    one.receive(log.batches)
    for (const doc of [log.doc, one.doc, other.doc])
      expect(order(doc)).toEqual(['a', 'm', 'between', 'z', 'b', 'c'])
  })
})

describe('taking back', () => {
  test('a value that somebody else has changed since stays theirs', () => {
    const { log, one, other } = two()
    one.commit([set('a', { paddingTop: 8, opacity: 0.5 })], 'Pad')
    sync(log, one)
    sync(log, other)
    other.commit([set('a', { paddingTop: 99 })], 'Pad')
    sync(log, other)
    one.receive(log.batches)
    expect(one.undo().problem).toBeUndefined()
    sync(log, one)
    expect(log.doc.node('a').props).toEqual({ paddingTop: 99 })
    // Done again, it does not take theirs either.
    one.redo()
    sync(log, one)
    expect(log.doc.node('a').props).toEqual({ paddingTop: 99, opacity: 0.5 })
  })

  test('of a value under which somebody else’s lies, theirs comes back', () => {
    const { log, one, other } = two()
    one.commit([set('a', { paddingTop: 8 })], 'Pad')
    other.commit([set('a', { paddingTop: 99 })], 'Pad')
    sync(log, other)
    sync(log, one)
    expect(log.doc.node('a').props.paddingTop).toBe(8)
    one.undo()
    sync(log, one)
    expect(log.doc.node('a').props.paddingTop).toBe(99)
  })

  test('a removal brings back the block as it was when it went, with what others did to it', () => {
    const { log, one, other } = two()
    one.commit([{ op: 'remove', node: 'a' }], 'Remove')
    other.commit([set('a1', { fontSize: 44 }), insert(other.doc, 'a', 'theirs')], 'Change')
    sync(log, other)
    sync(log, one)
    one.undo()
    sync(log, one)
    expect(log.doc.node('a').children).toContain('theirs')
    expect(log.doc.node('a1').props.fontSize).toBe(44)
  })

  test('a new block into which somebody else put something is not taken away under them', () => {
    const { log, one, other } = two()
    one.commit([insert(one.doc, 'a', 'box')], 'New box')
    sync(log, one)
    other.receive(log.batches)
    other.commit([{ op: 'move', node: 'b1', parent: 'box', order: 'a0' }], 'Move')
    sync(log, other)
    one.receive(log.batches)
    expect(one.undo().problem).toBe('somebody else has changed it since')
    sync(log, one)
    expect(log.doc.node('box').children).toEqual(['b1'])
    expect(one.history.redos.length).toBe(0)
  })

  test('what is gone is said without its id; the rest of the step is taken back', () => {
    const { log, one, other } = two()
    one.commit([set('a1', { fontSize: 20 }), set('b', { rowGap: 9 })], 'Change')
    sync(log, one)
    sync(log, other)
    other.commit([{ op: 'remove', node: 'a1' }], 'Remove')
    sync(log, other)
    one.receive(log.batches)
    expect(one.undo().problem).toBe('somebody else has removed what it changed')
    sync(log, one)
    expect(log.doc.node('b').props.rowGap).toBeUndefined()
  })

  test('a gesture is one step and one change a block', () => {
    const { log, one } = two()
    for (let i = 1; i <= 30; i++)
      one.commit([set('a', { paddingTop: i }), set('b', { paddingTop: i })], 'Drag', 'g')
    expect(one.pending[0]!.changes.length).toBe(2)
    sync(log, one)
    one.commit([set('a', { paddingTop: 31 })], 'Drag', 'g')
    one.undo()
    sync(log, one)
    expect(file(log.doc)).toBe(file(Document.fromFile(project())))
    expect(one.history.undos.length).toBe(0)
  })
})

describe('what is heard', () => {
  test('a batch that the server had already is not applied twice', () => {
    const { log, one } = two()
    log.append('k1', [set('a', { paddingTop: 5 })], 'one')
    const late = copy(log, 'one')
    late.adopt([{ key: 'k1', at: 0, changes: [{ id: 'x', edit: set('a', { paddingTop: 5 }) }] }])
    late.commit([set('a', { paddingTop: 7 })], 'Pad')
    expect(late.acknowledge('k1', 1)).toBe(true)
    expect(late.doc.node('a').props.paddingTop).toBe(7)
    sync(log, late)
    late.undo()
    sync(log, late)
    one.receive(log.batches)
    for (const doc of [log.doc, one.doc, late.doc]) expect(doc.node('a').props.paddingTop).toBe(5)
  })

  test('a change of a kind that is not known here is set aside, and the others arrive', () => {
    const { log, one } = two()
    const strange = { op: 'fold', node: 'a' } as unknown as Edit
    const parked = one.adopt([
      {
        key: 'k',
        at: 0,
        changes: [
          { id: 'x', edit: strange },
          { id: 'y', edit: set('a', { paddingTop: 5 }) },
        ],
      },
    ])
    expect(parked).toMatchObject([{ reason: 'a change of a kind that is not known here', words: ['“fold”'] }])
    sync(log, one)
    expect(log.doc.node('a').props.paddingTop).toBe(5)
  })

  test('an acknowledgement behind others’ batches waits for them', () => {
    const { log, one, other } = two()
    sync(log, other)
    other.commit([set('b', { rowGap: 3 })], 'Gap')
    sync(log, other)
    one.commit([set('a', { rowGap: 4 })], 'Gap')
    const [batch] = one.pending
    const saved = log.append(
      batch!.key,
      batch!.changes.map((change) => change.edit),
      'one',
    )
    expect(one.acknowledge(batch!.key, saved.revision)).toBe(false)
    expect(one.receive(log.batches)).toEqual([])
    expect([one.revision, one.pending.length]).toEqual([2, 0])
    expect(file(one.doc)).toBe(file(log.doc))
  })

  test('a server set back gets everything again that it had confirmed, whoever made it, once', () => {
    const { log, one, other } = two()
    const early = structuredClone(log.doc.toFile())
    one.commit([set('a', { paddingTop: 1 })], 'Pad')
    sync(log, one)
    other.receive(log.batches)
    other.commit([insert(other.doc, 'b', 'theirs')], 'Insert')
    sync(log, other)
    one.receive(log.batches)
    one.commit([set('c', { paddingTop: 3 })], 'Pad')
    const back = new Log(early)
    const known = () => new Set(back.batches.map((batch) => batch.key))
    for (const replica of [one, other]) {
      expect(replica.become(back.doc.toFile(), back.batches.length, back.head, known())).toEqual([])
      sync(back, replica)
    }
    one.receive(back.batches)
    for (const doc of [back.doc, one.doc, other.doc]) {
      expect(doc.node('a').props.paddingTop).toBe(1)
      expect(doc.node('b').children).toContain('theirs')
      expect(doc.node('c').props.paddingTop).toBe(3)
    }
    expect(new Set(back.batches.map((batch) => batch.key)).size).toBe(back.batches.length)
    expect(back.batches.length).toBe(3)
  })

  test('one edit that is refused or too large goes alone; its neighbours arrive', () => {
    const { log, one } = two()
    one.commit([set('a', { paddingTop: 1 }), set('b', { paddingTop: 2 }), set('c', { paddingTop: 3 })], 'Pad')
    const parked = one.refuse(one.pending[0]!.key, [{ index: 1, reason: 'not this one' }])
    expect(parked).toMatchObject([{ reason: 'not this one', edits: [set('b', { paddingTop: 2 })] }])
    expect(one.split(one.pending[0]!.key)).toBe(true)
    expect(one.pending.map((batch) => batch.changes.length)).toEqual([1, 1])
    expect(one.split(one.pending[0]!.key)).toBe(false)
    sync(log, one)
    expect(['a', 'b', 'c'].map((id) => log.doc.node(id).props.paddingTop)).toEqual([1, undefined, 3])
    one.undo()
    sync(log, one)
    expect(log.doc.node('a').props).toEqual({})
  })
})
