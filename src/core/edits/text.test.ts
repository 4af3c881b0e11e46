/** Text edits one by one; several people's in `replica/typing-copies.test.ts`. */
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { applyEdit } from './apply'
import type { Edit, TextEdit } from './edit'
import { moduleFor } from './registry'
import { tiedTo, wordsAt } from './text'

const WORDS = said([{ text: 'Borrow ' }, { text: 'seed', weight: 700 }])

function project() {
  const file = starterProject('Test', 'home')
  const text = { id: 't', kind: 'text', name: 'Words', order: 'a0', props: { words: WORDS } } as const
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'S',
      order: 'a0',
      props: {},
      children: [text, { ...text, id: 'b', kind: 'box', name: 'Box', order: 'a1', props: {} }],
    },
  ]
  return Document.fromFile(file)
}
const put = (at: number, text: string) => ({
  stepType: 'replace',
  from: at,
  to: at,
  slice: { content: [{ type: 'text', text }] },
})
const edit = (steps: TextEdit['steps'], more: Partial<TextEdit> = {}): TextEdit => ({
  op: 'text',
  node: 't',
  steps,
  ...more,
})
const wordsOf = (doc: Document) => wordsAt(doc, { node: 't' })

test('edits in words: of words what they say, of other lists that they changed', () => {
  const tree = project()
  const inWords = (edit: Edit) => moduleFor(edit).words(edit, tree)
  expect(inWords({ op: 'set', node: 't', props: { words: WORDS } })).toContain('“Borrow seed”')
  expect(inWords({ op: 'page-meta', id: 'home', set: { views: ['mobile'] } })).toContain('changed')
  expect(inWords(edit([put(1, 'To ')]))).toContain('“To ”')
})

describe('a text edit', () => {
  test('puts in, and its inverse takes out exactly', () => {
    const doc = project()
    const inverse = applyEdit(doc, edit([put(1, 'To '), put(4, 'day ')]))
    expect(wordsOf(doc)).toEqual(said([{ text: 'To day Borrow ' }, { text: 'seed', weight: 700 }]))
    applyEdit(doc, inverse)
    expect(wordsOf(doc)).toEqual(WORDS)
  })

  test('a mark instead of another of its kind, and back word by word', () => {
    const doc = project()
    const mark = { type: 'weight', attrs: { value: 300 } }
    const inverse = applyEdit(doc, edit([{ stepType: 'addMark', mark, from: 1, to: 12 }]))
    expect(wordsOf(doc)).toEqual(said([{ text: 'Borrow seed', weight: 300 }]))
    applyEdit(doc, inverse)
    expect(wordsOf(doc)).toEqual(WORDS)
  })

  test('made on other words it is not tried; outside of the words it is refused; what makes no text changes nothing', () => {
    const doc = project()
    const tied = tiedTo(doc, edit([put(1, 'x')]))
    applyEdit(doc, edit([put(1, 'y')]))
    for (const bad of [
      tied,
      edit([put(500, 'x')]),
      edit([{ stepType: 'replace', from: 0, to: 13 }]),
      edit([{ stepType: 'nothing' }]),
      edit([put(1, 'x')], { node: 'b' }),
      edit([put(1, 'x')], { view: 'mobile' }),
      edit([put(1, 'a\nb')]),
    ])
      expect(() => applyEdit(doc, bad), JSON.stringify(bad)).toThrow(/Words|Box|step|line feeds/)
    expect(wordsOf(doc)).toEqual(said([{ text: 'yBorrow ' }, { text: 'seed', weight: 700 }]))
  })

  test('in a view’s own words it leaves the others as they are', () => {
    const doc = project()
    applyEdit(doc, { op: 'set', node: 't', view: 'mobile', props: { words: said('Seed') } })
    applyEdit(doc, edit([put(5, 's')], { view: 'mobile' }))
    expect(wordsAt(doc, { node: 't', view: 'mobile' })).toEqual(said('Seeds'))
    expect(wordsOf(doc)).toEqual(WORDS)
  })
})
