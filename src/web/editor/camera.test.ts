import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  bringing,
  type Camera,
  centredAt,
  firstSight,
  fitRect,
  fitSheets,
  forWriting,
  MAX_ZOOM,
  MIN_ZOOM,
  ROOM_LEFT,
  ROOM_TOP,
  zoomedAt,
} from './camera'

const board = { width: 740, height: 700 }
const camera: fc.Arbitrary<Camera> = fc.record({
  x: fc.integer({ min: -5000, max: 5000 }),
  y: fc.integer({ min: -5000, max: 5000 }),
  zoom: fc.double({ min: MIN_ZOOM, max: MAX_ZOOM, noNaN: true }),
})

describe('the camera', () => {
  test('a page is opened at a size that can be read: all sheets, or the one that is worked on', () => {
    const active = { left: 0, width: 1440 }
    const small = firstSight(board, [1440, 390], 2000, active)
    expect(small.zoom).toBeGreaterThan(fitSheets(board, [1440, 390], 2000).zoom * 1.2)
    expect(small.x + 1440 * small.zoom).toBeLessThan(board.width)
    const large = { width: 1500, height: 900 }
    expect(firstSight(large, [1440, 390], 2000, active)).toEqual(fitSheets(large, [1440, 390], 2000))
    const phone = firstSight(board, [1440, 390], 2000, { left: 1512, width: 390 })
    expect(phone).toMatchObject({ zoom: 1, x: ROOM_LEFT - 1512 })
  })

  test('words are written where they can be read, and seen', () => {
    const rect = fc.record({
      x: fc.integer({ min: 0, max: 1800 }),
      y: fc.integer({ min: 0, max: 5000 }),
      width: fc.integer({ min: 1, max: 1400 }),
      height: fc.integer({ min: 1, max: 600 }),
    })
    fc.assert(
      fc.property(camera, rect, fc.integer({ min: 6, max: 120 }), (before, at, size) => {
        const after = forWriting(before, board, at, size)
        if (after === before) expect(before.zoom * Math.min(16, size)).toBeGreaterThanOrEqual(11)
        if (after === before) return
        expect(after.zoom * Math.min(16, size)).toBeGreaterThanOrEqual(Math.min(12, size) - 0.01)
        const left = after.x + at.x * after.zoom
        expect(left + at.width * after.zoom).toBeGreaterThan(0)
        expect(left).toBeLessThan(board.width)
      }),
    )
  })

  test('zooming keeps the point under the pointer', () => {
    fc.assert(
      fc.property(camera, fc.double({ min: 0.01, max: 20, noNaN: true }), (before, wanted) => {
        const at = { x: 300, y: 200 }
        const after = zoomedAt(before, wanted, at)
        expect(after.zoom).toBeGreaterThanOrEqual(MIN_ZOOM)
        expect(after.zoom).toBeLessThanOrEqual(MAX_ZOOM)
        expect((at.x - after.x) / after.zoom).toBeCloseTo((at.x - before.x) / before.zoom, 4)
        expect((at.y - after.y) / after.zoom).toBeCloseTo((at.y - before.y) / before.zoom, 4)
      }),
    )
  })
  test('fitted sheets lie wholly across the board, a fitted rect wholly on it', () => {
    const { x, zoom } = fitSheets(board, [1440, 390], 5000)
    expect(x).toBe(ROOM_LEFT)
    expect(x + (1440 + 390) * zoom).toBeLessThan(board.width)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6000 }), fc.integer({ min: 1, max: 6000 }), (width, height) => {
        const rect = { x: 900, y: 400, width, height }
        const fit = fitRect(board, rect)
        expect(fit.x + rect.x * fit.zoom).toBeGreaterThanOrEqual(ROOM_LEFT - 0.001)
        expect(fit.y + rect.y * fit.zoom).toBeGreaterThanOrEqual(ROOM_TOP - 0.001)
        expect(fit.x + (rect.x + width) * fit.zoom).toBeLessThanOrEqual(board.width)
        expect(fit.y + (rect.y + height) * fit.zoom).toBeLessThanOrEqual(board.height)
      }),
    )
  })
  test('at real size a block is in the middle, a wide one begins at the left', () => {
    const narrow = centredAt(board, { x: 900, y: 1400, width: 100, height: 50 }, 1)
    expect(narrow.x + 950).toBe(board.width / 2)
    const wide = centredAt(board, { x: 900, y: 1400, width: 1200, height: 50 }, 1)
    expect(wide.x + 900).toBe(ROOM_LEFT)
  })
  test('brings a rect into sight, and leaves what is in sight where it is', () => {
    const board = { width: 740, height: 700 }
    const rect = fc.record({
      x: fc.integer({ min: -2000, max: 4000 }),
      y: fc.integer({ min: -2000, max: 9000 }),
      width: fc.integer({ min: 1, max: 2000 }),
      height: fc.integer({ min: 1, max: 4000 }),
    })
    fc.assert(
      fc.property(camera, rect, (before, wanted) => {
        const after = bringing(before, board, wanted)
        expect(after.zoom).toBe(before.zoom)
        expect(bringing(after, board, wanted)).toEqual(after)
        const left = after.x + wanted.x * after.zoom
        const top = after.y + wanted.y * after.zoom
        expect(left).toBeLessThan(board.width)
        expect(top).toBeLessThan(board.height)
        expect(left + wanted.width * after.zoom).toBeGreaterThan(0)
        expect(top + wanted.height * after.zoom).toBeGreaterThan(0)
      }),
    )
  })
})
