import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { SCRIPT_TAGS, scriptsOf } from './scripts'

/** The script of each character, as ISO 15924 codes in a row. */
const tags = (text: string) => [...scriptsOf(text)].map((script) => SCRIPT_TAGS[script])

describe('scripts (UAX #24 §5)', () => {
  test('letters have their own; what is common goes with the letters before it', () => {
    expect(tags('ab 1')).toEqual(['Latn', 'Latn', 'Latn', 'Latn'])
    expect(tags('a-β.я')).toEqual(['Latn', 'Latn', 'Grek', 'Grek', 'Cyrl'])
  })
  test('at the beginning it goes with the first letters; alone it stays common', () => {
    expect(tags('«1 β')).toEqual(['Grek', 'Grek', 'Grek', 'Grek'])
    expect(tags('12-3')).toEqual(['Zyyy', 'Zyyy', 'Zyyy', 'Zyyy'])
  })
  test('a closing bracket is of the script of the one it closes', () => {
    expect(tags('β (ab) c').join(' ')).toBe('Grek Grek Grek Latn Latn Grek Grek Latn')
    expect(tags('(я [ab] я)').join(' ')).toBe('Cyrl Cyrl Cyrl Cyrl Latn Latn Cyrl Cyrl Cyrl Cyrl')
  })
  test('one that closes nothing is common', () => {
    expect(tags('a) β]')).toEqual(['Latn', 'Latn', 'Latn', 'Grek', 'Grek'])
  })
  test('points that only East Asian scripts share go with those: before them, else behind, else they are Han', () => {
    expect(tags('春、カ').join(' ')).toBe('Hani Hani Kana')
    expect(tags('a・ カ').join(' ')).toBe('Latn Kana Kana Kana')
    expect(tags('・ (ab) ー').join(' ')).toBe('Hani Hani Hani Latn Latn Hani Hani Hani')
    expect(tags('a「(カ').join(' ')).toBe('Latn Kana Kana Kana')
  })
  test('what is merely wide, or of one script by extension, is common (Chromium)', () => {
    expect(tags('a！〒〆　b').join(' ')).toBe('Latn Latn Latn Latn Latn Latn')
  })
  test('every pair is of one script, and no letter changes its own', () => {
    const part = fc.constantFrom('a', 'β', 'я', ' ', '1', '(', ')', '[', ']', '{', '}', '–')
    fc.assert(
      fc.property(fc.array(part, { maxLength: 30 }), (parts) => {
        const text = parts.join('')
        const scripts = tags(text)
        const open: { char: string; script: string }[] = []
        for (let i = 0; i < text.length; i++) {
          const char = text[i]!
          if (char === 'a') expect(scripts[i]).toBe('Latn')
          if (char === 'β') expect(scripts[i]).toBe('Grek')
          if (char === 'я') expect(scripts[i]).toBe('Cyrl')
          const at = ')]}'.indexOf(char)
          if ('([{'.includes(char)) open.push({ char, script: scripts[i]! })
          const pair = at < 0 ? -1 : open.findLastIndex((each) => each.char === '([{'[at])
          if (pair >= 0) {
            expect(scripts[i]).toBe(open[pair]!.script)
            open.length = pair
          }
        }
      }),
    )
  })
})
