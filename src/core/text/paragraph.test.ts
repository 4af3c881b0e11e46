/** Lines, whatever the words: nothing lost, nothing too wide, the same height counted and built. */

import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { defaultsOf, type Props, type Resolved } from '../properties/table'
import { openType } from '../samples/fonts'
import type { Span } from '../words/words'
import { said } from '../words/words'
import { FontLibrary } from './fonts'
import { Paragraph } from './paragraph'
import { ParagraphCache } from './paragraph-cache'

const fonts = new FontLibrary()
beforeAll(async () => {
  for (const id of [
    'hanken-grotesk-latin-wght-normal',
    'caveat-latin-wght-normal',
    'newsreader-latin-wght-normal',
    'work-sans-latin-wght-normal',
  ])
    fonts.add(id, await openType(id))
})

const style = (props: Props = {}) =>
  ({
    ...defaultsOf('text'),
    fontFamily: 'Hanken Grotesk',
    fontSize: 16,
    lineHeight: { px: 24 },
    ...props,
  }) as Resolved
const paragraph = (spans: Span[] | string, props: Props = {}) =>
  new Paragraph(fonts, style(props), typeof spans === 'string' ? [{ text: spans }] : spans)
const lines = (p: Paragraph, width: number) =>
  p.lines(width).map((line) => p.text.slice(line.start, line.end))
/** Chromium's layout unit. */
const UNIT = 1 / 64

const word = fc.constantFrom('seed', 'leaf', 'AV', 'Taken', 'of', 'schifffahrt', 'well-kept', 'row,', '1,250')
const span = fc
  .record({
    text: fc.array(word, { minLength: 1, maxLength: 6 }).map((list) => list.join(' ')),
    size: fc.constantFrom(undefined, undefined, 0.75, 1.5),
    link: fc.constantFrom(undefined, undefined, 'https://seeds.test/'),
  })
  .map(
    ({ text, size, link }): Span => ({
      text: `${text} `,
      ...(size ? { size } : {}),
      ...(link ? { link } : {}),
    }),
  )
const spans = fc.array(span, { minLength: 1, maxLength: 4 })
const family = fc.constantFrom('Hanken Grotesk', 'Caveat', 'Newsreader')
const look = fc.record({
  fontFamily: family,
  fontSize: fc.constantFrom(12, 15.5, 22.4, 40),
  textAlign: fc.constantFrom('left', 'center') as fc.Arbitrary<'left' | 'center'>,
  borderLeft: fc.constantFrom({ width: 0 }, { width: 2 }),
})

describe('lines', () => {
  test('together are the text, in order; only spaces lie between them', () => {
    fc.assert(
      fc.property(spans, look, fc.boolean(), fc.integer({ min: 1, max: 500 }), (words, props, any, width) => {
        const p = paragraph(words, { ...props, ...(any ? { overflowWrap: 'anywhere' } : {}) })
        let at = 0
        for (const line of p.lines(width)) {
          expect(p.text.slice(at, line.start).trim()).toBe('')
          expect(line.end).toBeGreaterThan(line.start)
          at = line.end
        }
        expect(p.text.slice(at).trim()).toBe('')
      }),
      { numRuns: 150 },
    )
  })
  test('are no wider than the room, but for a word that is', () => {
    fc.assert(
      fc.property(spans, look, fc.integer({ min: 20, max: 500 }), (words, props, width) => {
        const p = paragraph(words, props)
        for (const line of p.lines(width)) {
          const text = p.text.slice(line.start, line.end)
          if (line.width > width + 2 * UNIT) expect(text).not.toMatch(/ |-./)
        }
      }),
      { numRuns: 150 },
    )
  })
  test('take the next word only where it does not fit', () => {
    fc.assert(
      fc.property(spans, look, fc.integer({ min: 20, max: 500 }), (words, props, width) => {
        const p = paragraph(words, { ...props, overflowWrap: undefined })
        const wide = paragraph(words, props).lines(1e6)[0]!.width
        // One px of room more never makes more lines; room for all makes one.
        expect(p.lines(width + 1).length).toBeLessThanOrEqual(p.lines(width).length)
        expect(p.lines(wide + 1)).toHaveLength(1)
      }),
      { numRuns: 100 },
    )
  })
  test('are as high together as the paragraph, one below the other', () => {
    fc.assert(
      fc.property(spans, look, fc.integer({ min: 1, max: 500 }), (words, props, width) => {
        const p = paragraph(words, { ...props, lineHeight: { ratio: 1.3 } })
        let top = 0
        for (const line of p.lines(width)) {
          expect(line.top).toBeCloseTo(top, 6)
          expect(line.baseline).toBeGreaterThan(0)
          top += line.height
        }
        expect(p.height(width)).toBeCloseTo(top, 6)
        expect(p.firstBaseline(width)).toBeCloseTo(p.lines(width)[0]!.baseline, 6)
      }),
      { numRuns: 100 },
    )
  })
  test('at min-content fit, but for what shaping by themselves changes; at max-content are one', () => {
    fc.assert(
      fc.property(spans, look, (words, props) => {
        const p = paragraph(words, props)
        expect(p.minContent).toBeLessThanOrEqual(p.maxContent)
        expect(p.lines(p.maxContent)).toHaveLength(1)
        const most = 1.5 * props.fontSize
        for (const { width } of p.lines(p.minContent)) expect(width).toBeLessThan(p.minContent + most / 8)
      }),
      { numRuns: 100 },
    )
  })
})

describe('pieces', () => {
  test('of one font are shaped together: a link ends no kerning', () => {
    const big = { fontFamily: 'Work Sans', fontSize: 40 }
    const whole = paragraph('AVAVAV', big)
    const linked = paragraph([{ text: 'AVA' }, { text: 'VAV', link: 'https://seeds.test/' }], big)
    expect(Math.abs(linked.maxContent - whole.maxContent)).toBeLessThanOrEqual(2 * UNIT)
    const heavier = paragraph([{ text: 'AVA' }, { text: 'VAV', size: 1.001 }], big)
    expect(heavier.maxContent).toBeGreaterThan(whole.maxContent + 1)
  })
  test('side by side without a look of their own are one', () => {
    expect(paragraph([{ text: 'seed ' }, { text: 'and leaf' }]).pieces).toHaveLength(1)
    expect(paragraph([{ text: 'seed\n' }, { text: 'leaf' }]).pieces.map(({ end }) => end)).toEqual([4, 5, 9])
  })
})

test('a border around words changes where their lines end, and what is kept for the next', () => {
  const words = '3.5 1,250 of 1234567890123456789012345 row Donaudampfschifffahrtsgesellschaft'
  const props = { fontFamily: 'Newsreader', fontSize: 15.5, fontWeight: 500 }
  const cache = new ParagraphCache(fonts)
  const get = (own: Props) => cache.get(style({ ...props, words: said(words), ...own }), 'text')
  const plain = get({})
  const bordered = get({ borderLeft: { width: 3 } })
  expect(lines(plain.sets[0]!.paragraph, 344)[0]).toMatch(/row$/)
  expect(lines(bordered.sets[0]!.paragraph, 344)[0]).toMatch(/5$/)
  expect(get({})).toBe(plain)
})

test('a ratio is of the size in whole layout units, and cut to one', () => {
  // 22.4 px is 1433.6 units, so 1434; one and a half times that are 2151.
  expect(paragraph('seed', { fontSize: 22.4, lineHeight: { ratio: 1.5 } }).height(500)).toBe(2151 / 64)
  expect(paragraph('seed', { fontSize: 12, lineHeight: { ratio: 1.2 } }).height(500)).toBe(921 / 64)
})

test('the narrowest that words can be, in layout units, as Chromium has it', () => {
  const least = (words: Span[] | string, props: Props) => paragraph(words, props).minContent / UNIT
  const newsreader = { fontFamily: 'Newsreader' }
  // What begins a piece is rounded up; behind that it is the difference of two places, each cut down.
  expect(least('— return', { fontSize: 28, overflowWrap: 'anywhere' })).toBe(1896)
  expect(least('ten — ten', { fontSize: 28, overflowWrap: 'anywhere' })).toBe(1896)
  expect(least('and WAVY', { ...newsreader, fontSize: 17 })).toBe(3165)
  // A word that goes on in another style is the sum of its parts.
  const parts = [{ text: 'row wavy' }, { text: 'Mmm it', size: 0.75 }]
  expect(least(parts, { ...newsreader, fontSize: 20 })).toBe(5365)
})
