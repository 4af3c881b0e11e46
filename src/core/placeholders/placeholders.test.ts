import { describe, expect, test } from 'vitest'
import { placeholder, SUBJECTS } from './subjects'

describe('placeholder pictures', () => {
  test('more than sixty, each another, of any shape; drawn with nothing but shapes', () => {
    const seen = new Set<string>()
    for (const subject of SUBJECTS)
      for (let number = 0; number < 8; number++)
        for (const [width, height] of [
          [800, 600],
          [600, 800],
          [1600, 500],
        ]) {
          const svg = placeholder(subject, number, width!, height!)
          expect(svg).toContain(`viewBox="0 0 ${width} ${height}"`)
          expect(svg).not.toMatch(/NaN|Infinity|undefined|href|style|script/)
          seen.add(svg)
        }
    expect(seen.size).toBe(SUBJECTS.length * 8 * 3)
  })
  test('the same number is the same picture', () => {
    expect(placeholder('rooms', 3, 400, 300)).toBe(placeholder('rooms', 3, 400, 300))
  })
})
