import { describe, expect, test } from 'vitest'
import { FIELDS, FILLS, filler, fillerUntil } from './filler'

describe('filler', () => {
  test('every kind in every field reads as words; another number is mostly another text', () => {
    for (const field of FIELDS)
      for (const fill of FILLS) {
        const texts = Array.from({ length: 20 }, (_, number) => filler(fill, field, number))
        for (const text of texts) {
          expect(text).toMatch(/^[A-Z0-9]/)
          expect(text).not.toMatch(/undefined| {2}/)
        }
        expect(new Set(texts).size, `${field} ${fill}`).toBeGreaterThan(8)
        expect(filler(fill, field, 3)).toBe(texts[3])
      }
  })
  test('sentences end, headings do not', () => {
    expect(filler('sentence', 'garden', 1)).toMatch(/\.$/)
    expect(filler('heading', 'garden', 1)).not.toMatch(/\.$/)
  })
  test('it goes on until it is full, and no further', () => {
    const text = fillerUntil('harbour', 2, (words) => words.length > 400)
    expect(text.length).toBeLessThanOrEqual(400)
    expect(text.length).toBeGreaterThan(250)
  })
})
