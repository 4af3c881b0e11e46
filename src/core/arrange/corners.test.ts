import { expect, test } from 'vitest'
import { allCorners } from '../properties/items'
import type { Resolved } from '../properties/table'
import { CORNERS, cornersPulled } from './corners'

const SIZE = { width: 200, height: 80 }
const [topLeft, topRight, bottomRight] = CORNERS
const from = allCorners(8) as unknown as Resolved

test('pulled inwards by so much across and down, all corners are rounder by that', () => {
  expect(cornersPulled(from, SIZE, topLeft, 10, 10, false)).toEqual(allCorners(18))
  expect(cornersPulled(from, SIZE, topRight, -10, 10, false)).toEqual(allCorners(18))
  expect(cornersPulled(from, SIZE, bottomRight, 10, 10, false)).toEqual(allCorners(0))
})

test('no rounder than a half circle at the shorter side, and whole px', () => {
  expect(cornersPulled(from, SIZE, topLeft, 500, 500, false)).toEqual(allCorners(40))
  expect(cornersPulled(from, SIZE, topLeft, 3.3, 3.3, false)).toEqual(allCorners(11))
  // What says more than it can be is pulled from where it is seen.
  const pill = allCorners(999) as unknown as Resolved
  expect(cornersPulled(pill, SIZE, topLeft, -10, -10, false)).toEqual(allCorners(30))
})

test('alone, the others stay', () =>
  expect(cornersPulled(from, SIZE, topLeft, 10, 10, true)).toEqual({ radiusTopLeft: 18 }))
