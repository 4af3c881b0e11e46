/** Large fonts, parted by characters. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { EAST_ASIAN } from './catalogue-east'
import { codesIn, parseRanges, rangesOf } from './code-ranges'
import { type FontPart, partsOf } from './font-parts'

const ascii = [...codesIn([[0x20, 0x7e]])]
const kana = [...codesIn([[0x3041, 0x3096]])]
const ideographs = [...codesIn([[0x4e00, 0x9fa5]])]

test('ranges are what they were made of', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(0x10ffff)), (some) => {
      const codes = some.sort((a, b) => a - b)
      expect([...codesIn(parseRanges(rangesOf(codes)))]).toEqual(codes)
    }),
  )
  expect(rangesOf([0x20, 0x21, 0x22, 0xa9])).toBe('U+20-22,U+A9')
})

test('every character is in one part; the alphabets are together, and first', () => {
  const codes = [...ascii, 0xe9, 0x416, 0x2010, ...kana, ...ideographs, 0x20000]
  const parts = partsOf(codes, EAST_ASIAN)
  expect(parts.length).toBeGreaterThan(20)
  expect(parts[0]!.codes).toEqual([...ascii, 0xe9, 0x416, 0x2010])
  const all = parts.flatMap((part) => part.codes)
  expect(new Set(all).size).toBe(all.length)
  expect(all.sort((a, b) => a - b)).toEqual(codes)
  for (const { codes: own, ranges } of parts.slice(1)) expect(ranges).toBe(rangesOf(own))
})

test('what is made of other characters is asked of the part that has those', () => {
  const codes = [...ascii, 0x2010, ...ideographs]
  const first = new Set(codesIn(parseRanges(partsOf(codes, EAST_ASIAN)[0]!.ranges)))
  expect([0x2009, 0x202f, 0x2011].every((code) => first.has(code))).toBe(true)
  const without = codes.filter((code) => code !== 0x2010)
  expect([...codesIn(parseRanges(partsOf(without, EAST_ASIAN)[0]!.ranges))]).not.toContain(0x2011)
})

test('characters that are found together in texts of its language are', () => {
  const slices = EAST_ASIAN.filter(({ slug }) => slug === 'noto-sans-jp')
  const drawn = slices.flatMap(({ ranges }) => [...codesIn(parseRanges(ranges))])
  const japanese = [...new Set([...ascii, ...drawn])].sort((a, b) => a - b)
  const words = [...'これは日本語の文です。東京の大学生は今年、会社を見に行く人が多い時間'].map(
    (sign) => sign.codePointAt(0)!,
  )
  const loaded = (parts: FontPart[]) =>
    parts.filter(({ codes }) => words.some((code) => codes.includes(code))).length
  expect(loaded(partsOf(japanese, EAST_ASIAN))).toBeLessThan(loaded(partsOf(japanese, [])) / 2)
})

test('a font without many of them, or without a space, is left whole', () => {
  expect(partsOf([...ascii, ...kana], EAST_ASIAN)).toEqual([])
  expect(partsOf([...ascii.slice(1), ...ideographs], EAST_ASIAN)).toEqual([])
  expect(partsOf([...ascii, ...ideographs], [])).not.toEqual([])
})
