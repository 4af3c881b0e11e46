import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { LineGlyphs } from '../paint/glyphs'
import { defaultsOf, type Props, type Resolved } from '../properties/table'
import { openType } from '../samples/fonts'
import { said } from '../words/words'
import { directionOf, fromLeft, levelsOf } from './bidi'
import { FontLibrary } from './fonts'
import { Typeset } from './typeset'

const fonts = new FontLibrary()
beforeAll(async () => {
  for (const id of [
    'hanken-grotesk-latin-wght-normal',
    'noto-sans-hebrew-hebrew-wght-normal',
    'noto-sans-arabic-arabic-wght-normal',
  ])
    fonts.add(id, await openType(id))
})

const HEBREW = 'זרעים באביב'
const ARABIC = 'بذور الربيع'
const styled = (props: Props) =>
  ({
    ...defaultsOf('text'),
    fontFamily: 'Hanken Grotesk',
    fontSize: 20,
    lineHeight: { px: 30 },
    ...props,
  }) as Resolved
const set = (words: string, props: Props = {}) =>
  new Typeset(fonts, styled(props), said(words), { flowing: true, links: true })
/** Its only line, from 0 on. */
function glyphsOf(words: string, props: Props = {}) {
  const { paragraph, lines } = set(words, props).placed(2000)[0]!
  const line = lines[0]!
  return { line, glyphs: new LineGlyphs({ paragraph, line, x: 0, top: 0, baseline: 0, spread: 0 }, 0) }
}

describe('the way that words run', () => {
  test.each([
    [HEBREW, 'rtl'],
    [ARABIC, 'rtl'],
    ['12 (זרעים)', 'rtl'],
    ['seeds: זרעים', 'ltr'],
    ['1, 2, 3', 'ltr'],
    ['', 'ltr'],
  ])('%s: %s, as their first letter does', (text, direction) => {
    expect(directionOf(undefined, said(text))).toBe(direction)
    expect(set(text).direction).toBe(direction)
  })
  test('or as is said', () => {
    expect(set('seeds', { direction: 'rtl' }).direction).toBe('rtl')
    expect(set(HEBREW, { direction: 'ltr' }).direction).toBe('ltr')
  })
})

describe('stretches of a line', () => {
  const piece = fc.constantFrom('seed ', 'זרעים ', '12 ', 'بذور، ', '(a) ', '“ב” ', '٣٫٥ ')
  test('each character stands in one, and what runs one way is as long as can be', () => {
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 9 }), fc.boolean(), (pieces, isLeftward) => {
        const text = pieces.join('')
        const levels = levelsOf(text, isLeftward ? 'rtl' : 'ltr')
        if (!levels) return
        const stretches = fromLeft(text, levels, 0, text.length)
        const all = stretches.flatMap(({ start, end }) =>
          Array.from({ length: end - start }, (_, i) => start + i),
        )
        expect(all.sort((a, b) => a - b)).toEqual([...text].map((_, i) => i))
      }),
    )
  })
  test('figures among what runs leftward run to the right (UAX #9, W and I)', () => {
    const text = 'אב 12 גד'
    const order = fromLeft(text, levelsOf(text, 'rtl')!, 0, text.length).map(({ start, end }) =>
      text.slice(start, end).trim(),
    )
    expect(order).toEqual(['גד', '12', 'אב'])
  })
})

describe('glyphs', () => {
  test('the first letter stands at the right, and all of them fill the line', () => {
    const { line, glyphs } = glyphsOf(HEBREW)
    const places = glyphs.of({ start: 0, end: HEBREW.length })
    const at = (character: number) => places.find(({ run, index }) => run.cluster[index] === character)!.x
    for (let i = 1; i < HEBREW.length; i++) expect(at(i)).toBeLessThan(at(i - 1))
    expect(at(HEBREW.length - 1)).toBeCloseTo(0, 0)
    expect(glyphs.extents({ start: 0, end: HEBREW.length })).toEqual([[0, expect.closeTo(line.width, 3)]])
  })
  test('a part that what runs otherwise tears apart has as many extents', () => {
    const text = 'ab אב cd'
    const { glyphs } = glyphsOf(text)
    const [from, to] = [text.indexOf('ב'), text.indexOf('c') + 1]
    const extents = glyphs.extents({ start: from, end: to })
    expect(extents).toHaveLength(2)
    expect(extents[0]![1]).toBeLessThan(extents[1]![0])
  })
  test('joined letters are not set apart, the spaces between them are (CSS Text 4 §9.2.1)', () => {
    const wider = (words: string) =>
      glyphsOf(words, { letterSpacing: 10 }).line.width - glyphsOf(words).line.width
    expect(wider(ARABIC)).toBeCloseTo(10, 3)
    expect(wider(HEBREW)).toBeCloseTo(10 * HEBREW.length, 3)
  })
})
