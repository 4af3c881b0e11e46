/** Taking a plain backdrop away: what goes, what stays, and what the rim is made of. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type BackdropWanted, withoutBackdrop } from './backdrop'
import type { Pixels } from './pixels'

type Color = [number, number, number]
const WHITE: Color = [250, 250, 248]
const RED: Color = [190, 40, 30]

/** A picture in which `coverage` (0 to 1) of each pixel is the subject. */
function picture(
  size: number,
  coverage: (x: number, y: number) => number,
  back: (x: number, y: number) => Color = () => WHITE,
  front: (x: number, y: number) => Color = () => RED,
): Pixels {
  const data = new Uint8ClampedArray(size * size * 4)
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const at = (y * size + x) * 4
      const share = coverage(x, y)
      for (let k = 0; k < 3; k++)
        data[at + k] = Math.round(front(x, y)[k]! * share + back(x, y)[k]! * (1 - share))
      data[at + 3] = 255
    }
  return { width: size, height: size, data }
}
const disc = (size: number, radius: number) => (x: number, y: number) =>
  Math.min(1, Math.max(0, radius - Math.hypot(x + 0.5 - size / 2, y + 0.5 - size / 2) + 0.5))

function done(pixels: Pixels, wanted: BackdropWanted = { tolerance: 0.06, soft: 0 }) {
  const steps = withoutBackdrop(pixels, wanted)
  let last = 0
  for (;;) {
    const { done: isDone, value } = steps.next()
    if (isDone) return value
    expect(value).toBeGreaterThanOrEqual(last)
    last = value
  }
}
const pixel = ({ width, data }: Pixels, x: number, y: number) => [
  ...data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4),
]

test('the backdrop goes, the subject stays as it is, and holes in it are its own', () => {
  const ring = (x: number, y: number) => disc(64, 24)(x, y) - disc(64, 10)(x, y)
  const { pixels, share } = done(picture(64, ring))
  expect(pixel(pixels, 2, 2)[3]).toBe(0)
  expect(pixel(pixels, 32 - 17, 32)).toEqual([...RED, 255])
  // White within the subject does not hang together with the edge.
  expect(pixel(pixels, 32, 32)).toEqual([...WHITE, 255])
  expect(share).toBeCloseTo(1 - (Math.PI * 24 * 24) / 64 ** 2, 1)
})

test('a pixel on the rim is the subject’s colour, as much as there is of it', () => {
  const before = picture(80, disc(80, 30))
  const { pixels } = done(before)
  let worst = 0
  let rim = 0
  for (let y = 0; y < 80; y++)
    for (let x = 0; x < 80; x++) {
      const share = disc(80, 30)(x, y)
      const [r, g, b, a] = pixel(pixels, x, y)
      worst = Math.max(worst, Math.abs(a! / 255 - share))
      if (a! > 0 && a! < 255) {
        rim++
        expect([r, g, b]).toEqual(RED)
      }
    }
  expect(rim).toBeGreaterThan(60)
  // What is nearly backdrop is taken for it.
  expect(worst).toBeLessThan(0.25)
})

test('light that falls off, noise, and an edge that the subject is cut by are a plain backdrop still', () => {
  const falling = (x: number, y: number): Color => {
    const light = 225 + (20 * x) / 96 + ((x * 7 + y * 13) % 5) - 2
    return [light, light, light - 4]
  }
  const body = (x: number, y: number) => (x > 30 && x < 66 && y > 40 ? 1 : 0)
  const { pixels } = done(picture(96, body, falling), { tolerance: 0.08, soft: 0 })
  for (const [x, y] of [
    [3, 3],
    [90, 5],
    [5, 90],
    [90, 90],
  ])
    expect(pixel(pixels, x!, y!)[3]).toBe(0)
  expect(pixel(pixels, 48, 94)).toEqual([...RED, 255])
})

test('a soft edge fades inwards and leaves the middle alone', () => {
  const hard = done(picture(80, disc(80, 30))).pixels
  const soft = done(picture(80, disc(80, 30)), { tolerance: 0.06, soft: 8 }).pixels
  expect(pixel(soft, 40, 40)).toEqual(pixel(hard, 40, 40))
  const row = Array.from({ length: 30 }, (_, i) => pixel(soft, 10 + i, 40)[3])
  expect(row).toEqual([...row].sort((a, b) => a! - b!))
  expect(row.filter((alpha) => alpha! > 0 && alpha! < 255).length).toBeGreaterThan(2)
})

test('where the edges are of many colours nothing is done, which is said', () => {
  const many = picture(
    60,
    () => 0,
    (x, y) => [(x * 37) % 256, (y * 91) % 256, (x * y * 13) % 256],
  )
  expect(() => done(many, { tolerance: 0.03, soft: 0 })).toThrow('no plain backdrop')
})

describe('whatever the picture', () => {
  test('alpha never grows, colours within stay, and more tolerance takes away no less', () => {
    const any = fc.record({
      size: fc.integer({ min: 2, max: 24 }),
      bytes: fc.array(fc.constantFrom(0, 90, 250), { minLength: 24 * 24, maxLength: 24 * 24 }),
      soft: fc.constantFrom(0, 3),
    })
    fc.assert(
      fc.property(any, ({ size, bytes, soft }) => {
        const before = picture(size, (x, y) => bytes[y * size + x]! / 255)
        const shares: number[] = []
        for (const tolerance of [0.02, 0.2, 1]) {
          try {
            const { pixels, share } = done(before, { tolerance, soft })
            shares.push(share)
            for (let at = 3; at < before.data.length; at += 4)
              expect(pixels.data[at]).toBeLessThanOrEqual(before.data[at]!)
          } catch (error) {
            expect((error as Error).message).toContain('no plain backdrop')
            expect(shares).toEqual([])
          }
        }
        expect(shares).toEqual([...shares].sort((a, b) => a - b))
        expect(shares.at(-1)).toBe(1)
      }),
      { numRuns: 60 },
    )
  })
})
