import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { plainText, said, type Words } from '../words/words'
import { hyphenated, learnRules, rulesFor } from './hyphenation'

const shown = (words: Words) => plainText(words).replaceAll('\u00ad', '-')

beforeAll(async () => {
  await Promise.all(['en', 'de', 'tr'].map(learnRules))
})

describe('hyphens', () => {
  test('part words by the rules of their language', () => {
    expect(shown(hyphenated(said('germination underneath'), 'en'))).toBe('ger-mi-na-tion un-der-neath')
    expect(shown(hyphenated(said('GERMINATION'), 'en'))).toBe('GER-MI-NA-TION')
    expect(shown(hyphenated(said('Donaudampfschiff'), 'de'))).toBe('Do-nau-dampf-schiff')
  })
  test('a region, or a language near by, lends its rules; elsewhere nothing is parted', () => {
    expect(rulesFor('de-AT')).toBe('de')
    expect(rulesFor('en-GB')).toBe('en-gb')
    expect(rulesFor('nn')).toBe('nb')
    expect(rulesFor('ja')).toBeUndefined()
    expect(shown(hyphenated(said('germination'), 'ja'))).toBe('germination')
  })
  test('short words, addresses, numbers, compounds and what is parted by hand stay whole', () => {
    for (const whole of [
      'seeds of it',
      'borrow@germination.test',
      'germination.test/underneath',
      'seed_germination2',
      'well-germinated',
      'germin\u00adation',
    ])
      expect(plainText(hyphenated(said(whole), 'en'))).toBe(whole)
  })
  test('a word is parted as a whole where marks lie on a part of it; code is not', () => {
    const marked = hyphenated(said([{ text: 'ger', weight: 700 }, { text: 'mination' }]), 'en')
    expect(shown(marked)).toBe('ger-mi-na-tion')
    expect(shown(hyphenated(said([{ text: 'germination', code: true }]), 'en'))).toBe('germination')
  })
  test('nothing but soft hyphens is added, never at a word’s ends, and the same words give the same', () => {
    const words = fc.array(
      fc.constantFrom('germination', 'a', 'Undurchsichtigkeit', '12', '“harvesting”', 'borrow.'),
      {
        minLength: 1,
        maxLength: 20,
      },
    )
    fc.assert(
      fc.property(words, fc.constantFrom('en', 'de', 'tr'), (list, lang) => {
        const before = said(list.join(' '))
        const after = plainText(hyphenated(before, lang))
        expect(after.replaceAll('\u00ad', '')).toBe(list.join(' '))
        expect(after).not.toMatch(/(^|[\s\p{P}])\p{L}?\u00ad|\u00ad\p{L}{0,2}([\s\p{P}]|$)/u)
        expect(hyphenated(before, lang)).toBe(hyphenated(before, lang))
      }),
    )
  })
})
