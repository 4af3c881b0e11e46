/** Parts of pictures: where they lie, and that there is picture everywhere in them. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import {
  type Crop,
  fitted,
  isWithin,
  matrixOf,
  mirrored,
  ofRatio,
  pulled,
  quarterTurned,
  turnedSize,
  turnedTo,
  wholePart,
} from './crop'

const size = { width: 400, height: 200 }
const part = (change: Partial<Crop> = {}): Crop => ({
  x: 50,
  y: 40,
  width: 100,
  height: 80,
  turn: 0,
  ...change,
})
const through = (crop: Crop, x: number, y: number, of = size) => {
  const [a, b, c, d, e, f] = matrixOf(of, crop)
  return [a * x + c * y + e, b * x + d * y + f].map((value) => Math.round(value * 1e6) / 1e6)
}

test('the whole is itself, and a part begins at its corner', () => {
  expect(matrixOf(size, wholePart(size))).toEqual([1, 0, 0, 1, 0, 0])
  expect(through(part(), 50, 40)).toEqual([0, 0])
})

test('a quarter turn clockwise lays it on its side: what was at the top left is at the top right', () => {
  expect(turnedSize(size, 90)).toEqual({ width: 200, height: 400 })
  const whole = quarterTurned(size, wholePart(size))
  expect(whole).toMatchObject({ x: 0, y: 0, width: 200, height: 400 })
  expect(through(whole, 0, 0)).toEqual([200, 0])
  expect(through(whole, 0, 200)).toEqual([0, 0])
})

test('in a mirror the left is the right, and twice it is as before', () => {
  const seen = mirrored(size, part())
  // The same place of the picture, at the other side.
  expect(through(seen, 50, 40)).toEqual([100, 0])
  expect(through(seen, 150, 120)).toEqual([0, 80])
  expect(mirrored(size, seen)).toEqual(part())
})

test('typed by degrees a part stays as wide and high, however far it is turned', () => {
  const small = part({ x: 170, y: 90, width: 60, height: 20 })
  for (const turn of [10, 44, 46, 60, 135]) {
    const next = turnedTo(size, small, turn)
    expect([next.width, next.height]).toEqual([60, 20])
  }
  expect(quarterTurned(size, small)).toMatchObject({ turn: 90, width: 20, height: 60 })
})

test('a handle is pulled: what lies across from it stays, a shape is kept, and it stops where the picture ends', () => {
  expect(pulled(size, part(), [1, 1], 20, 10, undefined)).toEqual(part({ width: 120, height: 90 }))
  expect(pulled(size, part(), [0, 0.5], -20, 99, undefined)).toEqual(part({ x: 30, width: 120 }))
  const kept = pulled(size, part(), [1, 1], 25, 0, 1.25)
  expect(kept.width / kept.height).toBeCloseTo(1.25)
  expect([kept.x, kept.y]).toEqual([50, 40])
  const far = pulled(size, part(), [1, 0.5], 4000, 0, undefined)
  expect(far.x + far.width).toBeCloseTo(400, 1)
  expect([far.y, far.height]).toEqual([40, 80])
})

test('a part of another shape keeps its middle and, where it fits, its area', () => {
  const square = ofRatio(size, part(), 1)
  expect(square.width).toBeCloseTo(square.height)
  expect(square.width * square.height).toBeCloseTo(8000)
  expect(square.x + square.width / 2).toBeCloseTo(100)
})

const anySize = fc.record({
  width: fc.integer({ min: 1, max: 4000 }),
  height: fc.integer({ min: 1, max: 4000 }),
})
const anyPart = fc.record({
  x: fc.double({ min: -2000, max: 6000, noNaN: true }),
  y: fc.double({ min: -2000, max: 6000, noNaN: true }),
  width: fc.double({ min: 1, max: 5000, noNaN: true }),
  height: fc.double({ min: 1, max: 5000, noNaN: true }),
  turn: fc.oneof(fc.constantFrom(0, 90, -90, 180), fc.double({ min: -180, max: 180, noNaN: true })),
})

test('whatever is asked for, there is picture everywhere in the part that is given, of the same shape', () => {
  fc.assert(
    fc.property(anySize, anyPart, (of, asked) => {
      // A part that no picture can hold, for it is turned and the picture hardly a px wide, is left out.
      fc.pre(Math.min(of.width, of.height) >= 20)
      const given = fitted(of, asked)
      if (given.width > 1 && given.height > 1) {
        expect(isWithin(of, given)).toBe(true)
        expect(fitted(of, given)).toEqual(given)
        expect(given.width / given.height / (asked.width / asked.height)).toBeCloseTo(1, 6)
      }
      for (const next of [turnedTo(of, given, 17), mirrored(of, given), ofRatio(of, given, 1.5)])
        if (next.width > 1 && next.height > 1) expect(isWithin(of, next)).toBe(true)
    }),
    { numRuns: 300 },
  )
})

test('turned there and back, a part that fits both ways shows the same place', () => {
  fc.assert(
    fc.property(fc.double({ min: -40, max: 40, noNaN: true }), (turn) => {
      const small = part({ x: 180, y: 90, width: 40, height: 20 })
      const back = turnedTo(size, turnedTo(size, small, turn), 0)
      for (const key of ['x', 'y', 'width', 'height'] as const) expect(back[key]).toBeCloseTo(small[key], 6)
    }),
  )
})
