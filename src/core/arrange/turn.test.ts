import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { paintOrder } from '../layout/drawing'
import { blockAt, blocksAt } from './hit'
import { box, exactly, lay } from './test-page'
import { turnTo } from './turn'

describe('turning by a handle', () => {
  const centre = { x: 100, y: 100 }
  test('follows the pointer round the centre, clockwise positive', () => {
    expect(turnTo(0, centre, { x: 200, y: 100 }, { x: 100, y: 200 }, 1)).toBe(90)
    expect(turnTo(170, centre, { x: 200, y: 100 }, { x: 100, y: 200 }, 1)).toBe(-100)
    expect(turnTo(0, centre, { x: 200, y: 100 }, { x: 197, y: 122 }, 15)).toBe(15)
  })
  test('is always within half a turn and a multiple of the step', () => {
    const point = fc.record({
      x: fc.integer({ min: -500, max: 500 }),
      y: fc.integer({ min: -500, max: 500 }),
    })
    fc.assert(
      fc.property(
        fc.integer({ min: -360, max: 360 }),
        point,
        point,
        fc.constantFrom(1, 15),
        (before, from, to, step) => {
          const angle = turnTo(before, centre, from, to, step)
          expect(angle).toBeGreaterThan(-180)
          expect(angle).toBeLessThanOrEqual(180)
          expect(Math.abs(angle % step)).toBe(0)
        },
      ),
    )
  })
})

describe('a turned block', () => {
  const { layout } = lay({ flow: 'free' }, [
    box('a', { ...exactly(200, 20), pinLeft: { px: 100 }, pinTop: { px: 100 }, rotate: 90 }, [
      box('b', { ...exactly(40, 20) }),
    ]),
  ])
  test('is laid out as if it were not', () => {
    expect(layout.rect('a')).toEqual({ x: 100, y: 100, width: 200, height: 20 })
  })
  test('is hit where it is drawn, with what lies in it', () => {
    expect(blockAt(layout, 110, 110)).toBe('s')
    expect(blockAt(layout, 200, 200)).toBe('a')
    // Its left end points up.
    expect(blocksAt(layout, 200, 20)).toEqual(['b', 'a', 's'])
  })
})

test('what CSS raises is drawn behind its plain siblings, in document order with lifted ones', () => {
  const { layout } = lay({ flow: 'column' }, [
    box('a', { ...exactly(50, 50), opacity: 0.5 }),
    box('b', { ...exactly(50, 50), lifted: true, pinLeft: { px: 0 } }),
    box('c', exactly(50, 50)),
    box('d', { ...exactly(50, 50), rotate: 5 }),
    box('e', { ...exactly(50, 50), lifted: true, pinLeft: { px: 0 }, z: -1 }),
  ])
  expect(paintOrder(layout.boxes.get('s')!).map((each) => each.id)).toEqual(['e', 'c', 'a', 'b', 'd'])
})
