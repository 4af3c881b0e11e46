/** The colours of a picture. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { paletteOf } from './palette'

/** Stripes of so many rows each. */
function stripes(rows: [hex: string, count: number, alpha?: number][], width = 40) {
  const bytes: number[] = []
  for (const [hex, count, alpha = 255] of rows)
    for (let i = 0; i < count * width; i++)
      bytes.push(...[1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)), alpha)
  return { width, height: bytes.length / 4 / width, data: new Uint8ClampedArray(bytes) }
}

test('each colour once, with its share; shades that are hardly apart are one', () => {
  const found = paletteOf(
    stripes([
      ['#184f3c', 30],
      ['#194f3d', 10],
      ['#f0e6d2', 50],
      ['#c8452c', 10],
    ]),
    6,
  )
  expect(found).toHaveLength(3)
  expect(new Set(found.map(({ hex }) => hex))).toEqual(new Set(['#184f3c', '#f0e6d2', '#c8452c']))
  expect(found.find(({ hex }) => hex === '#184f3c')!.share).toBeCloseTo(0.4)
})

test('a little of a lively colour comes before much of another grey', () => {
  const [first] = paletteOf(
    stripes([
      ['#808080', 45],
      ['#d8d8d8', 45],
      ['#e4002b', 10],
    ]),
    2,
  )
  expect(first!.hex).toBe('#e4002b')
})

test('what cannot be seen is of no colour', () => {
  expect(
    paletteOf(
      stripes([
        ['#ff0000', 10, 0],
        ['#0000ff', 2],
      ]),
      4,
    ).map(({ hex }) => hex),
  ).toEqual(['#0000ff'])
  expect(paletteOf(stripes([['#ff0000', 10, 0]]), 4)).toEqual([])
})

test('whatever the picture: colours that are in it, each once, shares that are no more than all, always the same', () => {
  const color = fc
    .integer({ min: 0, max: 0xffffff })
    .map((value) => `#${value.toString(16).padStart(6, '0')}`)
  fc.assert(
    fc.property(
      fc.array(fc.tuple(color, fc.integer({ min: 1, max: 20 })), { minLength: 1, maxLength: 12 }),
      (rows) => {
        const found = paletteOf(stripes(rows), 8)
        expect(paletteOf(stripes(rows), 8)).toEqual(found)
        for (const { hex } of found) expect(rows.map(([each]) => each)).toContain(hex)
        expect(new Set(found.map(({ hex }) => hex)).size).toBe(found.length)
        expect(found.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1.0001)
        expect(found.length).toBeGreaterThan(0)
      },
    ),
    { numRuns: 25 },
  )
})
