import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, test } from 'vitest'
import { fromDoc, toDoc } from './model'
import { partsOf } from './parts'
import { retyped } from './retype'
import { list, paragraph, plainText, said, WordsSchema, withMarks } from './words'

const bold = { weight: 700 }
const problem = (words: unknown) => {
  const result = v.safeParse(WordsSchema, words)
  return result.success ? undefined : result.issues[0].message
}

describe('words', () => {
  test('as the document of the library and back', () => {
    const words = [
      paragraph([{ text: 'Bring ' }, { text: 'seed\n', ...bold, link: '/seed' }]),
      list('numbers', [
        'a jar',
        { type: 'item', content: [paragraph([{ text: 'labels' }]), list('bullets', ['two'])] },
      ]),
    ]
    expect(problem(words)).toBeUndefined()
    toDoc(words).check()
    expect(fromDoc(toDoc(words))).toEqual(words)
    expect(plainText(words)).toBe('Bring seed\n\na jar\nlabels\ntwo')
  })

  test('what is none is refused with what was expected', () => {
    const text = (marks: unknown[]) => [{ type: 'paragraph', content: [{ type: 'text', marks, text: 'x' }] }]
    expect(problem([])).toContain('at least one paragraph')
    expect(problem([{ type: 'paragraph', content: [{ type: 'text', text: 'a\nb' }] }])).toContain(
      'line feeds',
    )
    expect(problem(text([{ type: 'code' }, { type: 'underline' }]))).toContain('in this order')
    expect(problem(text([{ type: 'link', attrs: { value: 'javascript:x()' } }]))).toContain('javascript')
    const twice = { type: 'text', text: 'x' }
    expect(problem([{ type: 'paragraph', content: [twice, twice] }])).toContain('as one text')
    let deep = list('bullets', ['x'])
    for (let i = 0; i < 6; i++)
      deep = list('bullets', [{ type: 'item', content: [paragraph([{ text: 'x' }]), deep] }])
    expect(problem([deep])).toContain('at most 6 deep')
  })

  test('marks through a change; the very same when none becomes another', () => {
    const words = said([{ text: 'a' }, { text: 'b', color: '{color.ink}' }])
    expect(withMarks(words, (mark) => mark)).toBe(words)
    expect(withMarks(words, () => undefined)).toEqual([
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: 'a' },
          { type: 'text', text: 'b' },
        ],
      },
    ])
  })

  test('in a heading paragraphs and items are lines', () => {
    const words = [paragraph([{ text: 'One' }]), list('bullets', ['two'])]
    expect(partsOf(words, false)).toMatchObject([
      { spans: [{ text: 'One' }, { text: '\n' }, { text: 'two' }] },
    ])
    expect(partsOf(words, true)).toMatchObject([
      { depth: 0, apart: false },
      { depth: 1, apart: true, marker: '•  ' },
    ])
  })

  test('written anew as plain text: that is what they say, and what is the same keeps its look', () => {
    const words = [
      paragraph([{ text: 'Borrow ' }, { text: 'seed', ...bold }, { text: ' here' }]),
      list('bullets', ['peas', 'beans']),
    ]
    expect(retyped(words, 'Borrow seeds here\npeas\nbeans')[0]).toEqual(
      paragraph([{ text: 'Borrow ' }, { text: 'seeds', ...bold }, { text: ' here' }]),
    )
    const text = fc.string({ unit: fc.constantFrom('a', 'B', ' ', 'seed', '\n', 'é', '🌱') })
    fc.assert(
      fc.property(text, (typed) => {
        const next = retyped(words, typed)
        expect(plainText(next)).toBe(typed)
        expect(problem(next)).toBeUndefined()
      }),
    )
  })
})
