/** Several people in one text: every interleaving gives the same words everywhere, and no character is lost. */
import fc from 'fast-check'
import { canSplit, Transform } from 'prosemirror-transform'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { applyEdit } from '../edits/apply'
import { type Edit, EditError } from '../edits/edit'
import { wordsAt } from '../edits/text'
import { schema, toDoc } from '../words/model'
import { list, paragraph, plainText, said } from '../words/words'
import type { Replica } from './replica'
import { copy, file, Log, project, sync } from './test-log'

const PLACE = { node: 'words' }
const textOf = (replica: { doc: Document }) => plainText(wordsAt(replica.doc, PLACE))

function begin(words = said('Seed to borrow, seed to return')) {
  const base = project()
  const tree = { id: 'words', kind: 'text', name: 'Words', order: 'a0', props: { words } } as const
  base.pages[0]!.sections.push({
    id: 'at',
    kind: 'section',
    name: 'S',
    order: 'a9',
    props: {},
    children: [tree],
  })
  const log = new Log(base)
  return { log, copies: ['x', 'y', 'z'].map((by) => copy(log, by)) }
}

/** Where words may stand, by a number. */
function place(transform: Transform, at: number): number {
  const places: number[] = []
  transform.doc.descendants((node, pos) => {
    if (!node.isTextblock) return
    for (let i = 0; i <= node.content.size; i++) places.push(pos + 1 + i)
  })
  return places[at % places.length]!
}

/** What one person does to the words as they see them. @returns what they put in and took out */
function act(replica: Replica, what: string, [a, b]: readonly number[], token: string) {
  const transform = new Transform(toDoc(wordsAt(replica.doc, PLACE)!))
  const from = place(transform, a!)
  const to = Math.min(place(transform, a! + (b! % 6)), transform.doc.content.size)
  const [low, high] = from <= to ? [from, to] : [to, from]
  let gone = ''
  if (what === 'type') transform.insert(from, schema.text(token))
  else if (what === 'delete') {
    gone = transform.doc.textBetween(low, high)
    transform.delete(low, high)
  } else if (what === 'mark')
    transform.addMark(low, high, schema.marks.weight!.create({ value: 500 + (b! % 3) * 100 }))
  else if (what === 'split' && canSplit(transform.doc, from)) transform.split(from)
  if (transform.steps.length === 0) return ''
  const edit: Edit = { op: 'text', ...PLACE, steps: transform.steps.map((step) => step.toJSON()) }
  try {
    replica.commit([edit], what, what === 'type' ? `g${a! % 2}` : undefined)
  } catch (error) {
    if (!(error instanceof EditError)) throw error
    return ''
  }
  return gone
}

const acts = (kinds: readonly string[]) =>
  fc.array(
    fc.record({
      who: fc.nat(2),
      what: fc.constantFrom(...kinds),
      numbers: fc.tuple(fc.nat(99), fc.nat(99)),
    }),
    { maxLength: 50 },
  )

/** A character that nothing else is. */
const tokenOf = (n: number) => String.fromCharCode(0x4e00 + n)

function run(
  list: readonly { who: number; what: string; numbers: readonly number[] }[],
  words = said('Seed to borrow, seed to return'),
) {
  const { log, copies } = begin(words)
  const typed: string[] = []
  let deleted = ''
  const parked: unknown[] = []
  for (const { who, what, numbers } of list) {
    const replica = copies[who]!
    if (what === 'sync') parked.push(...sync(log, replica))
    else if (what === 'hear') parked.push(...replica.receive(log.batches))
    else if (what === 'undo') replica.undo()
    else if (what === 'redo') replica.redo()
    else {
      const token = tokenOf(typed.length)
      if (what === 'type') typed.push(token)
      deleted += act(replica, what, numbers, token)
    }
  }
  for (const replica of [...copies, ...copies]) parked.push(...sync(log, replica))
  return { log, copies, typed, deleted, parked }
}

function agree({ log, copies }: ReturnType<typeof run>) {
  for (const replica of copies) expect(file(replica.doc)).toBe(file(log.doc))
  const again = Document.fromFile(structuredClone(log.file))
  for (const batch of log.batches) for (const edit of batch.edits) applyEdit(again, edit)
  expect(file(again)).toBe(file(log.doc))
}

describe('typing together', () => {
  test('in one paragraph nothing is set aside, and no character is lost', () => {
    fc.assert(
      fc.property(acts(['type', 'type', 'type', 'delete', 'mark', 'sync', 'hear']), (list) => {
        const result = run(list)
        agree(result)
        expect(result.parked).toEqual([])
        const text = textOf(result.copies[0]!)
        for (const token of result.typed) if (!result.deleted.includes(token)) expect(text).toContain(token)
        // What somebody took out is out, once.
        for (const char of result.deleted) if (char >= '\u4e00') expect(text).not.toContain(char)
      }),
      { numRuns: 300 },
    )
  })

  test('undone and done again, in paragraphs and lists: all see the same, and what was typed is there or set aside', () => {
    const kinds = ['type', 'type', 'delete', 'mark', 'split', 'undo', 'redo', 'sync', 'hear'] as const
    const words = [
      paragraph([{ text: 'Borrow' }]),
      list('bullets', ['Peas', 'Beans']),
      paragraph([{ text: 'Return' }]),
    ]
    fc.assert(
      fc.property(acts(kinds), (list) => {
        const result = run(list, words)
        agree(result)
        const seen = textOf(result.copies[0]!) + JSON.stringify([result.log.batches, result.parked])
        for (const token of result.typed) if (!result.deleted.includes(token)) expect(seen).toContain(token)
      }),
      { numRuns: 300 },
    )
  })

  test('everybody undoes all that they typed: the words are as they were', () => {
    fc.assert(
      fc.property(acts(['type', 'type', 'mark', 'sync', 'hear']), (list) => {
        const result = run(list)
        for (const replica of result.copies) {
          while (replica.history.undos.length > 0) replica.undo()
          sync(result.log, replica)
        }
        for (const replica of result.copies) sync(result.log, replica)
        agree(result)
        expect(textOf(result.copies[0]!)).toBe('Seed to borrow, seed to return')
      }),
      { numRuns: 300 },
    )
  })
})
