/** Graphemes and line break opportunities. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { graphemeEnds, isLeadingHyphen, lineBreaks } from './breaks'

describe('graphemes', () => {
  const parts = [
    'a',
    ' ',
    'é',
    'e\u0301',
    '\u0301',
    '👩‍👩‍👧‍👦',
    '🇩🇪',
    '🇫🇷',
    '👍🏽',
    '\u200d',
    '한',
    'ᄒ',
    'ᅡ',
    '\r\n',
    '\n',
  ]
  const segmenter = new Intl.Segmenter('en', { granularity: 'grapheme' })

  test('are those of the whole text, whatever lies where a window ends', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...parts), { minLength: 1, maxLength: 600 }), (list) => {
        const text = list.join('')
        const ends = graphemeEnds(text)
        for (const { index, segment } of segmenter.segment(text))
          for (let at = index + 1; at <= index + segment.length; at++)
            if (ends[at] !== index + segment.length) throw new Error(`at ${at}: ${ends[at]}`)
      }),
      { numRuns: 60 },
    )
  })

  test('one that is longer than a window', () => {
    const text = `e${'\u0301'.repeat(900)}x`
    const ends = graphemeEnds(text)
    expect([ends[1], ends[450], ends[901], ends[902]]).toEqual([901, 901, 901, 902])
  })

  test('flags are pairs, also over many windows', () => {
    const ends = graphemeEnds('🇩🇪'.repeat(400))
    expect([...new Set(ends.slice(1))].every((end) => end % 4 === 0)).toBe(true)
  })
})

describe('line breaks', () => {
  const words = (text: string) => {
    let from = 0
    return lineBreaks(text).map(({ at }) => {
      const word = text.slice(from, at)
      from = at
      return word
    })
  }
  test.each<[string, string[]]>([
    ['seeds to lend', ['seeds ', 'to ', 'lend']],
    ['and/or', ['and/or']],
    ['why?not', ['why?', 'not']],
    ['what!now', ['what!now']],
    ['ten-minute', ['ten-', 'minute']],
    ['a -5 b', ['a ', '-5 ', 'b']],
    ['1-2', ['1-', '2']],
    ['no\u00a0break', ['no\u00a0break']],
    ['soft\u00adhyphen', ['soft\u00ad', 'hyphen']],
    ['f(x)', ['f(x)']],
    ['a,(b)', ['a,', '(b)']],
    ['one\n\ntwo', ['one\n', '\n', 'two']],
    ['£(5) €(5) €(five)', ['£', '(5) ', '€(5) ', '€', '(five)']],
    ['$(five)', ['$(five)']],
    ['キャベツを', ['キ', 'ャ', 'ベ', 'ツ', 'を']],
    ['「温室」12', ['「温', '室」', '12']],
    ['100％（約）', ['100％', '（約）']],
    ['た、￥450', ['た、', '￥450']],
    ['sown→「温」', ['sown→', '「温」']],
    ['種”種“種', ['種”', '種', '“種']],
    ['a”種“a', ['a”種“a']],
    ['”ゃ −ァ ゃ％', ['”ゃ ', '−ァ ', 'ゃ％']],
    ['1/€ 1,€ x/€', ['1/€ ', '1,€ ', 'x/', '€']],
    ['￥「1 ￥「x £(1', ['￥「1 ', '￥', '「x ', '£', '(1']],
    ['– → –種', ['– ', '→ ', '–', '種']],
    ['בית־ספר בית־12', ['בית־', 'ספר ', 'בית־12']],
  ])('%s', (text, expected) => {
    expect(words(text)).toEqual(expected)
  })

  test('a line feed forces its break; one at the end opens an empty line', () => {
    expect(lineBreaks('a\nb')).toEqual([
      { at: 2, required: true },
      { at: 3, required: false },
    ])
    expect(lineBreaks('a\n').at(-1)).toEqual({ at: 2, required: true })
  })

  test('a hyphen that begins its line holds on to its word', () => {
    expect(isLeadingHyphen('-5 peas', 0, 1)).toBe(true)
    expect(isLeadingHyphen('x-5', 1, 2)).toBe(true)
    expect(isLeadingHyphen('x-5', 0, 2)).toBe(false)
    expect(isLeadingHyphen('-peas', 0, 1)).toBe(false)
    expect(isLeadingHyphen('\u2010peas', 0, 1)).toBe(true)
  })
})
