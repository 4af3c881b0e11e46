/** Lines at most, with an ellipsis where more is cut off. */
import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { defaultsOf, type Props, type Resolved } from '../properties/table'
import { openType } from '../samples/fonts'
import { said, type Words } from '../words/words'
import { FontLibrary } from './fonts'
import { shownText } from './line'
import { Typeset } from './typeset'

const fonts = new FontLibrary()
beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const set = (words: Words | string, props: Props = {}) =>
  new Typeset(
    fonts,
    {
      ...defaultsOf('text'),
      fontFamily: 'Hanken Grotesk',
      fontSize: 16,
      lineHeight: { px: 24 },
      ...props,
    } as Resolved,
    typeof words === 'string' ? said(words) : words,
    { flowing: true, links: true },
  )
const linesOf = (text: Typeset, width: number) =>
  text
    .placed(width)
    .flatMap(({ paragraph, lines }) =>
      lines.map((line) => ({ ...line, shown: shownText(paragraph.text, line) })),
    )

const LONG =
  'What is lent in the spring comes back in the autumn as seed that is saved for whoever sows next year.'
const some = fc.array(fc.constantFrom('seed', 'leaf', 'of', 'schifffahrt', 'autumn', 'A'), {
  minLength: 1,
  maxLength: 40,
})

describe('lines at most', () => {
  test('of what fits nothing changes', () => {
    const [all] = [linesOf(set(LONG), 200).length]
    const limited = set(LONG, { maxLines: all })
    expect(linesOf(limited, 200)).toEqual(linesOf(set(LONG), 200))
    expect(limited.height(200)).toBe(set(LONG).height(200))
  })
  test('the lines before the last are as they were; the last is the beginning of its own, and fits with the ellipsis', () =>
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 1, max: 6 }),
        (words, width, most) => {
          const text = words.join(' ')
          const [free, limited] = [linesOf(set(text), width), linesOf(set(text, { maxLines: most }), width)]
          expect(limited.length).toBe(Math.min(most, free.length))
          expect(set(text, { maxLines: most }).height(width)).toBe(24 * limited.length)
          expect(limited.slice(0, -1)).toEqual(free.slice(0, limited.length - 1))
          const last = limited.at(-1)!
          if (free.length <= most) {
            expect(last).toEqual(free.at(-1))
            return
          }
          expect(last.shown.endsWith('…')).toBe(true)
          expect(free[limited.length - 1]!.shown.startsWith(last.shown.slice(0, -1))).toBe(true)
          expect(last.width).toBeLessThanOrEqual(Math.max(width, last.ellipsis!.width))
        },
      ),
    ))
  test('where there is no room for the ellipsis the first character stays in front of it', () => {
    expect(linesOf(set(LONG, { maxLines: 1 }), 8).map(({ shown }) => shown)).toEqual(['W…'])
    expect(linesOf(set(LONG, { maxLines: 2 }), 8).map(({ shown }) => shown)).toEqual(['What', 'i…'])
  })
  test('as much of the last line stays as there is room for', () => {
    const [first] = linesOf(set(LONG, { maxLines: 1 }), 200)
    const [free] = linesOf(set(LONG), 200)
    expect(first!.whole).toBe(free!.width)
    const more = linesOf(set(LONG, { maxLines: 1 }), 200 + 0.5)[0]!
    expect(more.shown.length).toBeGreaterThanOrEqual(first!.shown.length)
  })
  test('several paragraphs are never cut off: no browser does', () => {
    const paragraph = said(LONG)[0]
    const two = [paragraph, paragraph] as Words
    expect(set(two, { maxLines: 1 }).height(200)).toBe(set(two).height(200))
  })
  test('set flush on both sides, the last line is as wide apart as it was', () => {
    const [first] = linesOf(set(LONG, { maxLines: 1, textAlign: 'justify' }), 200)
    expect(first!.spread).toBeGreaterThan(0)
    expect(linesOf(set(LONG, { maxLines: 1 }), 200)[0]!.spread).toBe(0)
  })
})
