import { type Command, EditorState, TextSelection } from 'prosemirror-state'
import { expect, test } from 'vitest'
import { fromDoc, toDoc } from './model'
import { inList, liftAtStart, listAround, MIXED, mark, selectedLook } from './selection'
import { list, paragraph, said, type Words } from './words'

/** @param to left out: a caret */
function state(words: Words, from: number, to = from): EditorState {
  const doc = toDoc(words)
  return EditorState.create({ doc, selection: TextSelection.create(doc, from, to) })
}
function after(command: Command, before: EditorState): EditorState {
  let next = before
  command(before, (transaction) => {
    next = before.apply(transaction)
  })
  return next
}

test('what is selected says what it has, what differs is mixed', () => {
  const words = said([{ text: 'Borrow ' }, { text: 'seed', weight: 700, color: '{color.pine}' }])
  expect(selectedLook(state(words, 8, 12))).toEqual({ weight: 700, color: '{color.pine}' })
  expect(selectedLook(state(words, 1, 12))).toEqual({ weight: MIXED, color: MIXED })
  expect(selectedLook(state(words, 1, 5))).toEqual({})
})

test('a mark on what is selected, or on what is typed next', () => {
  const marked = after(mark('weight', 600), state(said('Borrow seed'), 1, 7))
  expect(fromDoc(marked.doc)).toEqual(said([{ text: 'Borrow', weight: 600 }, { text: ' seed' }]))
  expect(fromDoc(after(mark('weight', undefined), marked).doc)).toEqual(said('Borrow seed'))
  const next = after(mark('underline', true), state(said('Borrow'), 7))
  expect(selectedLook(next)).toEqual({ underline: true })
  expect(fromDoc(next.doc)).toEqual(said('Borrow'))
})

test('paragraphs become items, the list another, the items paragraphs', () => {
  const bullets = after(inList('bullets'), state(said('a jar'), 3))
  expect(fromDoc(bullets.doc)).toEqual([list('bullets', ['a jar'])])
  const numbers = after(inList('numbers'), bullets)
  expect([listAround(numbers), fromDoc(numbers.doc)]).toEqual(['numbers', [list('numbers', ['a jar'])]])
  expect(fromDoc(after(inList(undefined), numbers).doc)).toEqual(said('a jar'))
})

test('Backspace at the beginning of an item takes it out of its list, nowhere else', () => {
  const words = [list('bullets', ['a jar', ''])]
  const size = toDoc(words).content.size
  expect(fromDoc(after(liftAtStart, state(words, size - 3)).doc)).toEqual([
    list('bullets', ['a jar']),
    paragraph([]),
  ])
  expect(liftAtStart(state(words, 5))).toBe(false)
  expect(liftAtStart(state(said('a jar'), 1))).toBe(false)
})
