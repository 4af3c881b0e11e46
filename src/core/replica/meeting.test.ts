/** Two sides that did not know of each other: nobody's words, blocks and bindings go without a word. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { applyEdit } from '../edits/apply'
import { type Edit, EditError } from '../edits/edit'
import { needsOf } from '../edits/references'
import { moduleOf } from '../edits/registry'
import { plainText } from '../words/words'
import { putBackEdits } from './parked'
import { file, insert, next, set, sync, two } from './test-log'

const typing = (node: string, words: string, page?: string): Edit => ({
  op: 'text',
  node,
  ...(page === undefined ? {} : { page }),
  steps: [{ stepType: 'replace', from: 1, to: 1, slice: { content: [{ type: 'text', text: words }] } }],
})
const SEED = { $type: 'color', $value: '#2f6b4f' }

describe('undo', () => {
  test('of a new text does not take what somebody else typed in it', () => {
    const { log, one, other } = two()
    const edit = insert(one.doc, 'a', 'fresh', 0, 'text')
    one.commit([edit, set('fresh', { words: log.doc.node('a1').props.words })], 'New text')
    sync(log, one)
    sync(log, other)
    other.commit([typing('fresh', 'theirs ')], 'Type')
    sync(log, other)
    one.receive(log.batches)
    expect(one.undo().problem).toBe('somebody else has changed it since')
    sync(log, one)
    expect(plainText(log.doc.node('fresh').props.words)).toContain('theirs')
  })

  test('of a block in a template does not take what a page says otherwise of it', () => {
    const { log, one, other } = two()
    const template = {
      id: 'stand',
      name: 'Stand',
      path: '/stand',
      order: 'a1',
      views: [],
      isTemplate: true as const,
      sections: [{ id: 'slot', kind: 'slot' as const, name: 'Own', order: 'a1', props: {} }],
    }
    one.commit(
      [
        { op: 'page', id: 'stand', page: template },
        { op: 'page-meta', id: 'home', set: { template: 'stand' } },
      ],
      'Template',
    )
    one.commit([insert(one.doc, 'stand', 'band', 0, 'section')], 'Band')
    sync(log, one)
    sync(log, other)
    other.commit([{ op: 'change', page: 'home', node: 'band', props: { hidden: true } }], 'Hide')
    sync(log, other)
    one.receive(log.batches)
    expect(one.undo().problem).toBe('somebody else has changed it since')
    expect(one.doc.nodes.has('band')).toBe(true)
  })
})

test('two undos in the wrong order lose no block', () => {
  const { log, one, other } = two()
  one.commit([{ op: 'remove', node: 'a2' }], 'Remove box')
  sync(log, one)
  sync(log, other)
  other.commit([{ op: 'remove', node: 'a' }], 'Remove section')
  sync(log, other)
  sync(log, one)
  const { problem, parked } = one.undo()
  expect(problem).toBe('somebody else has removed what it changed')
  expect(parked).toMatchObject([{ by: 'one', block: { tree: { id: 'a2' }, parent: 'a' } }])
  other.undo()
  sync(log, other)
  sync(log, one)
  // Its place is there again: it is put back there.
  const [edit] = putBackEdits(one.doc, parked[0]!, 'home', () => `back${next()}`)
  expect(edit).toMatchObject({ op: 'insert', parent: 'a' })
})

test('an undo does not put back what refers to a token that is gone', () => {
  const { log, one, other } = two()
  one.commit([{ op: 'token', name: 'color.seed', token: SEED }, set('a1', { color: '{color.seed}' })], 'Seed')
  one.commit([set('a1', { color: '#112233' })], 'Ink')
  sync(log, one)
  sync(log, other)
  other.commit([{ op: 'token', name: 'color.seed', token: null }], 'Remove')
  sync(log, other)
  sync(log, one)
  expect(one.undo().problem).toBe('the token “color.seed” is not there any more')
  expect(one.doc.node('a1').props.color).toBe('#112233')
})

describe('a token that goes while somebody puts it on a block', () => {
  const begin = () => {
    const made = two()
    made.one.commit([{ op: 'token', name: 'color.seed', token: SEED }], 'Token')
    sync(made.log, made.one)
    sync(made.log, made.other)
    return made
  }
  const puts = set('a1', { color: '{color.seed}' })

  test('removed first: the use is set aside, with the reason', () => {
    const { log, one, other } = begin()
    one.commit([{ op: 'token', name: 'color.seed', token: null }], 'Remove')
    other.commit([puts], 'Colour')
    sync(log, one)
    const parked = sync(log, other)
    expect(parked).toMatchObject([{ reason: 'somebody else removed the token “color.seed”', by: 'other' }])
    expect(log.doc.node('a1').props.color).toBeUndefined()
  })
  test('renamed first: the use is bound to its new name, words too', () => {
    const { log, one, other } = begin()
    const words = [
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: 'ink', marks: [{ type: 'color', attrs: { value: '{color.seed}' } }] },
        ],
      },
    ]
    one.commit(
      [
        { op: 'token', name: 'color.moss', token: SEED },
        { op: 'token', name: 'color.seed', token: null },
      ],
      'Rename',
    )
    other.commit([puts, set('b1', { words })], 'Colour')
    sync(log, one)
    expect(sync(log, other)).toEqual([])
    expect(log.doc.node('a1').props.color).toBe('{color.moss}')
    expect(JSON.stringify(log.doc.node('b1').props.words)).toContain('{color.moss}')
  })
  test('put on first: the removal is set aside', () => {
    const { log, one, other } = begin()
    one.commit([{ op: 'token', name: 'color.seed', token: null }], 'Remove')
    other.commit([puts], 'Colour')
    sync(log, other)
    const parked = sync(log, one)
    expect(parked).toMatchObject([{ by: 'one', edits: [{ op: 'token' }] }])
    expect(log.doc.tokenTable.names()).toContain('color.seed')
  })
})

test('whoever takes tokens away, renames them and puts them on, in whatever order: nothing names what is not there', () => {
  const act = fc.record({
    who: fc.nat(1),
    what: fc.nat(4),
    a: fc.nat(2),
    block: fc.constantFrom('a', 'b', 'c'),
  })
  fc.assert(
    fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
      const { log, one, other } = two()
      const parked: unknown[] = []
      for (const { who, what, a, block } of acts) {
        const replica = [one, other][who]!
        const there = replica.doc.tokenTable.names().filter((name) => name.startsWith('t.'))
        const token = there[a % Math.max(1, there.length)]
        const edits: Edit[] =
          what === 0 || token === undefined
            ? [{ op: 'token', name: `t.n${a}`, token: { $type: 'number', $value: a } }]
            : what === 1
              ? [{ op: 'token', name: token, token: null }]
              : what === 2
                ? [set(block, { paddingTop: `{${token}}` })]
                : what === 3
                  ? [set(block, { paddingTop: a })]
                  : []
        try {
          if (edits.length > 0) replica.commit(edits, 'Do')
          else parked.push(...sync(log, replica))
        } catch (error) {
          if (!(error instanceof EditError)) throw error
        }
      }
      for (const replica of [one, other, one, other]) parked.push(...sync(log, replica))
      const names = new Set(log.doc.tokenTable.names())
      for (const { props } of log.doc.nodes.values())
        for (const { id } of needsOf(props)) expect([...names]).toContain(id)
      expect(file(one.doc)).toBe(file(log.doc))
      expect(file(other.doc)).toBe(file(log.doc))
    }),
    { numRuns: 300 },
  )
})

describe('a removal that comes late', () => {
  const removed = (edits: Edit[], removal: Edit) => {
    const { log, one, other } = two()
    other.commit(edits, 'Work')
    one.commit([removal], 'Remove')
    sync(log, other)
    const parked = sync(log, one)
    return { log, one, parked }
  }
  const remove: Edit = { op: 'remove', node: 'a' }

  test('sets aside words typed in the block, for who typed them, and they can be put back', () => {
    const { log, parked } = removed([typing('a1', 'theirs ')], remove)
    expect(log.doc.nodes.has('a')).toBe(false)
    expect(parked).toMatchObject([
      {
        by: 'other',
        reason: '“A” was removed by somebody who had not seen it',
        words: ['“A1”: words “theirs ”'],
      },
    ])
    for (const edit of putBackEdits(log.doc, parked[0]!, 'home', () => `back${next()}`))
      applyEdit(log.doc, edit)
    expect(file(log.doc)).toContain('theirs a')
  })
  test('and a block put in or moved in', () => {
    const { log } = two()
    const { parked } = removed(
      [insert(log.doc, 'a', 'theirs'), { op: 'move', node: 'b1', parent: 'a', order: 'a7' }],
      remove,
    )
    expect(JSON.stringify(parked[0]!.block)).toContain('"theirs"')
    expect(JSON.stringify(parked[0]!.block)).toContain('"b1"')
  })
  test('and what was done on a page that goes', () => {
    const page = { id: 'extra', name: 'Extra', path: '/extra', order: 'a3', views: [], sections: [] }
    const { log, one, other } = two()
    one.commit([{ op: 'page', id: 'extra', page }], 'Page')
    sync(log, one)
    sync(log, other)
    other.commit([insert(other.doc, 'extra', 'theirs', 0, 'section')], 'Section')
    one.commit([{ op: 'page', id: 'extra', page: null }], 'Delete')
    sync(log, other)
    const parked = sync(log, one)
    expect(parked).toMatchObject([{ by: 'other', block: { page: { name: 'Extra' } } }])
    expect(log.doc.pages.has('extra')).toBe(false)
  })
  test('what was seen before is taken without a word', () => {
    const { log, one, other } = two()
    other.commit([typing('a1', 'theirs ')], 'Work')
    sync(log, other)
    sync(log, one)
    one.commit([remove], 'Remove')
    expect(sync(log, one)).toEqual([])
  })
})

test('every kind of edit says what it touches, where it lies and what it needs', () => {
  const ops = [
    'set',
    'meta',
    'insert',
    'remove',
    'move',
    'page',
    'page-meta',
    'change',
    'text',
    'aid',
    'views',
    'token',
    'theme',
    'asset',
    'font',
    'look',
    'project',
  ]
  for (const op of ops)
    expect(moduleOf(op), op).toMatchObject({
      touches: expect.any(Function),
      within: expect.any(Function),
      needs: expect.any(Function),
    })
})
