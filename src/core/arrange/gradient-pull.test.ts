import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  alongAt,
  centrePulled,
  filledArea,
  type Gradient,
  gradientHandles,
  stopAdded,
  stopPulled,
  wayPulled,
} from './gradient-pull'

const SIZE = { width: 400, height: 200 }
const gradient = (more: Partial<Gradient> = {}): Gradient => ({
  kind: 'gradient',
  order: 'a0',
  angle: 90,
  stops: [
    { color: '#000000', at: 0 },
    { color: '#ffffff', at: 100 },
  ],
  ...more,
})
test('a fill lies over the padding box, in a border over all of the block', () => {
  const box = { width: 400, height: 200, borL: 8, borT: 6, borR: 4, borB: 2 }
  expect(filledArea(gradient(), box)).toEqual({ x: 8, y: 6, width: 388, height: 192 })
  expect(filledArea(gradient({ in: 'border' }), box)).toEqual({ x: 0, y: 0, ...SIZE })
})

const size = fc.record({
  width: fc.integer({ min: 20, max: 2000 }),
  height: fc.integer({ min: 20, max: 2000 }),
})
const some = fc
  .record({
    shape: fc.constantFrom(undefined, 'radial' as const, 'conic' as const),
    angle: fc.integer({ min: 0, max: 359 }),
    x: fc.integer({ min: 0, max: 100 }),
    y: fc.integer({ min: 0, max: 100 }),
    at: fc.integer({ min: 1, max: 99 }),
  })
  .map(({ shape, angle, x, y, at }) =>
    gradient({
      angle,
      ...(shape && { shape, x, y }),
      stops: [0, at, 100].map((each) => ({ color: '#123456', at: each })),
    }),
  )

describe('where a gradient can be taken hold of', () => {
  test('along a line: its ends and its colours', () => {
    const { from, to, way, centre, along } = gradientHandles(gradient(), SIZE)
    for (const [is, px] of [
      [from.x, 0],
      [from.y, 100],
      [to.x, 400],
      [to.y, 100],
    ])
      expect(is).toBeCloseTo(px!)
    expect(way).toEqual(to)
    expect(centre).toBeUndefined()
    expect(along).toEqual([from, to])
  })
  test('out of a point: as far as the ellipse through the farthest corner', () => {
    const { from, to } = gradientHandles(gradient({ shape: 'radial', x: 75, y: 50 }), SIZE)
    expect(from).toEqual({ x: 300, y: 100 })
    expect(to.x).toBeCloseTo(300 - 300 * Math.SQRT2)
  })
  test('a colour let go where it is stays there, in every shape', () =>
    fc.assert(
      fc.property(some, size, (each, room) => {
        const { along } = gradientHandles(each, room)
        expect(Math.abs(alongAt(each, room, along[1]!) - each.stops[1]!.at)).toBeLessThan(0.11)
      }),
    ))
  test('its way let go where it is stays, in every shape', () =>
    fc.assert(
      fc.property(some, size, (each, room) => {
        const { way } = gradientHandles(each, room)
        if (way) expect(wayPulled(each, room, way, 1).angle).toBe(each.angle)
      }),
    ))
})

describe('pulled', () => {
  test('the way follows the point, in steps where asked', () => {
    expect(wayPulled(gradient(), SIZE, { x: 200, y: 0 }, 1).angle).toBe(0)
    expect(wayPulled(gradient(), SIZE, { x: 290, y: 190 }, 1).angle).toBe(135)
    expect(wayPulled(gradient(), SIZE, { x: 210, y: 0 }, 15).angle).toBe(0)
    expect(wayPulled(gradient(), SIZE, { x: 198, y: 0 }, 15).angle).toBe(0)
  })
  test('the centre stays in the block', () => {
    const pulled = centrePulled(gradient({ shape: 'radial' }), SIZE, { x: 100, y: 900 })
    expect([pulled.x, pulled.y]).toEqual([25, 100])
  })
  test('a colour goes no farther than those beside it', () => {
    const three = gradient({ stops: [10, 50, 80].map((at) => ({ color: '#000000', at })) })
    expect(stopPulled(three, SIZE, 1, { x: 240, y: 7 }).stops[1]!.at).toBe(60)
    expect(stopPulled(three, SIZE, 1, { x: 4000, y: 0 }).stops[1]!.at).toBe(80)
    expect(stopPulled(three, SIZE, 1, { x: -10, y: 0 }).stops[1]!.at).toBe(10)
    expect(stopPulled(three, SIZE, 2, { x: 4000, y: 0 }).stops[2]!.at).toBe(100)
  })
  test('one more takes the nearer colour, in its place; and no more than there may be', () => {
    const more = stopAdded(gradient(), SIZE, { x: 300, y: 20 })!
    expect(more.stops).toEqual([
      { color: '#000000', at: 0 },
      { color: '#ffffff', at: 75 },
      { color: '#ffffff', at: 100 },
    ])
    const full = gradient({ stops: Array.from({ length: 16 }, (_, i) => ({ color: '#000000', at: i })) })
    expect(stopAdded(full, SIZE, { x: 0, y: 0 })).toBeUndefined()
  })
})
