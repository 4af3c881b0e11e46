import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Pixels } from '../pictures/pixels'
import { contrastOf, laidOver, nearestThatReads } from './contrast'
import { groundsIn, placesUnder, veilFor, worstPlace } from './places'

/** A picture by a rule of where its pixels lie. */
function picture(width: number, height: number, level: (x: number, y: number) => number): Pixels {
  const data = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      data.set([level(x, y), level(x, y), level(x, y), 255], (y * width + x) * 4)
  return { data, width, height }
}
const all = (pixels: Pixels) => [{ x: 0, y: 0, width: pixels.width, height: pixels.height }]

describe('places under words', () => {
  test('a plain ground is its colour everywhere', () => {
    const plain = picture(40, 20, () => 119)
    const places = placesUnder(plain, all(plain), 8)
    expect(new Set(places.map(({ color }) => color))).toEqual(new Set(['#777777']))
    expect(places).toHaveLength(5 * 3)
  })
  test('the mean of black and white is half the light, not half the level', () => {
    const checks = picture(8, 8, (x, y) => ((x + y) % 2) * 255)
    expect(placesUnder(checks, all(checks), 8)[0]!.color).toBe('#bcbcbc')
  })
  test('the worst is found where it is, and only under the lines', () => {
    // White on the right half; the words lie on the left, and on the right.
    const half = picture(100, 20, (x) => (x < 50 ? 0 : 255))
    const left = placesUnder(half, [{ x: 2, y: 2, width: 40, height: 10 }], 5)
    expect(worstPlace(left, '#ffffff')!.ratio).toBe(21)
    const both = placesUnder(half, [{ x: 2, y: 2, width: 90, height: 10 }], 5)
    const worst = worstPlace(both, '#ffffff')!
    expect(worst.ratio).toBe(1)
    expect(worst.area.x).toBeGreaterThanOrEqual(50)
  })
  test('what sticks out of the picture is not looked at, and of nothing there is no worst', () => {
    const plain = picture(10, 10, () => 0)
    for (const { area } of placesUnder(plain, [{ x: -20, y: 4, width: 100, height: 100 }], 4)) {
      expect(area.x).toBeGreaterThanOrEqual(0)
      expect(area.y + area.height).toBeLessThanOrEqual(10)
    }
    expect(
      worstPlace(placesUnder(plain, [{ x: 20, y: 0, width: 5, height: 5 }], 4), '#000000'),
    ).toBeUndefined()
  })
})

const gray = fc
  .integer({ min: 0, max: 255 })
  .map((level) => `#${level.toString(16).padStart(2, '0').repeat(3)}`)
const hex = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 255 })))
  .map((parts) => `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`)

describe('what makes words read', () => {
  const area = { x: 0, y: 0, width: 1, height: 1 }
  test('a colour that outside of the grounds kept that reads on them reads on all', () =>
    fc.assert(
      fc.property(hex, fc.array(gray, { minLength: 1, maxLength: 60 }), (ink, grounds) => {
        const kept = groundsIn(grounds.map((color) => ({ area, color })))
        expect(kept.length).toBeLessThanOrEqual(32)
        const taken = nearestThatReads(ink, kept, 4.5)
        const light = (color: string) => contrastOf('#000000', color)
        const isBetween = light(kept[0]!) < light(taken ?? ink) && light(taken ?? ink) < light(kept.at(-1)!)
        if (taken && !isBetween)
          for (const ground of grounds) expect(contrastOf(taken, ground)).toBeGreaterThanOrEqual(4.5)
      }),
    ))
  test('under the veil it reads, and under a thinner one it would not', () =>
    fc.assert(
      fc.property(hex, fc.array(hex, { minLength: 1, maxLength: 8 }), (ink, grounds) => {
        const veil = veilFor(ink, grounds, 4.5)
        const reads = (over: string) =>
          grounds.every((ground) => contrastOf(ink, laidOver(over, ground)) >= 4.5)
        if (veil === undefined) {
          expect(reads('#00000000') || !(reads('#000000ff') || reads('#ffffffff'))).toBe(true)
          return
        }
        expect(reads(veil)).toBe(true)
        expect(reads('#00000000')).toBe(false)
        const level = Number.parseInt(veil.slice(7), 16)
        expect(reads(`${veil.slice(0, 7)}${(level - 1).toString(16).padStart(2, '0')}`)).toBe(false)
      }),
    ))
})
