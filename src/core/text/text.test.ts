import { beforeAll, describe, expect, test } from 'vitest'
import { defaultsOf, type Props, type Resolved } from '../properties/table'
import { openType } from '../samples/fonts'
import { lineBreaks } from './breaks'
import { FAMILIES, filesNeeded } from './families'
import { FontLibrary } from './fonts'
import { Paragraph } from './paragraph'

const fonts = new FontLibrary()
beforeAll(async () => {
  for (const id of [
    'hanken-grotesk-latin-wght-normal',
    'hanken-grotesk-latin-ext-wght-normal',
    'hanken-grotesk-latin-wght-italic',
  ])
    fonts.add(id, await openType(id))
})

const paragraph = (text: string, props: Props = {}) =>
  new Paragraph(
    fonts,
    {
      ...defaultsOf('text'),
      fontFamily: 'Hanken Grotesk',
      fontSize: 16,
      lineHeight: { px: 24 },
      ...props,
    } as Resolved,
    [{ text }],
  )
const lines = (p: Paragraph, width: number) =>
  p.lines(width).map((line) => p.text.slice(line.start, line.end))

test('a feature is on where the font has it, and with letters set apart, too; those on by themselves are not offered', () => {
  const width = (props: Props) => paragraph('1/2 of 3/4', props).maxContent
  expect(width({ features: 'frac' })).toBeLessThan(width({}) - 2)
  expect(width({ features: 'smcp' })).toBe(width({}))
  expect(width({ features: 'frac', letterSpacing: 1 })).toBeLessThan(width({ letterSpacing: 1 }) - 2)
  const { features } = fonts.primary({ family: 'Hanken Grotesk', italic: false, weight: 400 })!
  expect(features).toContain('frac')
  expect(features).not.toContain('kern')
  expect(features).not.toContain('liga')
})

describe('paragraphs', () => {
  test('as wide as its words, as narrow as its longest', () => {
    const p = paragraph('Borrow a packet')
    expect(p.maxContent).toBeGreaterThan(90)
    expect(lines(p, p.maxContent)).toEqual(['Borrow a packet'])
    expect(lines(p, p.minContent)).toEqual(['Borrow', 'a', 'packet'])
    expect(p.height(p.minContent)).toBe(72)
  })
  test('forced breaks, empty lines, nothing at all', () => {
    expect(lines(paragraph('one\n\ntwo'), 500)).toEqual(['one', '', 'two'])
    expect(paragraph('').height(100)).toBe(0)
  })
  test('spaces collapse, and go at the end', () => {
    const p = paragraph('one   two ')
    expect(p.text).toBe('one two')
    expect(p.maxContent).toBe(paragraph('one two').maxContent)
  })
  test('letter spacing adds after every letter and ends ligatures', () => {
    expect(paragraph('seed', { letterSpacing: 2 }).maxContent).toBeCloseTo(
      paragraph('seed').maxContent + 8,
      1,
    )
  })
  test('a long word overflows rather than breaks', () => {
    expect(lines(paragraph('a glasshouse'), 20)).toEqual(['a', 'glasshouse'])
  })
  test('capitals are measured as capitals', () => {
    expect(paragraph('seed', { textCase: 'uppercase' }).maxContent).toBe(paragraph('SEED').maxContent)
  })
  test('heavier text is wider in the same variable file', () => {
    expect(paragraph('harvest', { fontWeight: 800 }).maxContent).toBeGreaterThan(
      paragraph('harvest', { fontWeight: 300 }).maxContent,
    )
  })
})

test('breaks: after hyphens and spaces, not after slashes inside words', () => {
  const parts = (text: string) => {
    let from = 0
    return lineBreaks(text).map(({ at }) => {
      const part = text.slice(from, at)
      from = at
      return part
    })
  }
  expect(parts('well-kept rows')).toEqual(['well-', 'kept ', 'rows'])
  expect(parts('and/or none')).toEqual(['and/or ', 'none'])
  expect(parts('1,250 seeds')).toEqual(['1,250 ', 'seeds'])
  expect(parts('“beans” (early)')).toEqual(['“beans” ', '(early)'])
})

describe('fonts', () => {
  test('at least twelve families, each with Latin', () => {
    expect(FAMILIES.length).toBeGreaterThanOrEqual(12)
    for (const family of FAMILIES) expect(family.upright[0]!.id).toContain('latin')
  })
  test('a character outside of Latin asks for its file, through the fallback if need be', () => {
    const ids = new Set<string>()
    filesNeeded({ family: 'Caveat', italic: false, weight: 400 }, 'Łąka Ωμέγα', ids)
    expect([...ids]).toEqual(
      expect.arrayContaining([
        'caveat-latin-wght-normal',
        'caveat-latin-ext-wght-normal',
        'literata-greek-wght-normal',
      ]),
    )
  })
})
