import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { paintedBlocks } from '../paint/layers'
import { alignEdits, distributeEdits } from './align'
import { gauge } from './gauge'
import { blockAt, blocksAt } from './hit'
import { at, box, exactly, lay, set } from './test-page'
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

describe('what is seen of a turned block', () => {
  const turned = (rotate: number) => {
    const block = at('a', 300, 100, 200, 80)
    return lay({ flow: 'free' }, [
      { ...block, props: { ...block.props, rotate } },
      at('b', 700, 150, 60, 60),
      at('c', 1000, 20, 100, 40),
    ])
  }
  test('is its upright bounds', () => {
    const { layout } = turned(90)
    expect(layout.rect('a')).toEqual({ x: 300, y: 100, width: 200, height: 80 })
    const seen = layout.seen('a')!
    expect(seen.x).toBeCloseTo(360)
    expect(seen.y).toBeCloseTo(40)
    expect(seen.width).toBeCloseTo(80)
    expect(seen.height).toBeCloseTo(200)
    expect(layout.seen('b')).toEqual(layout.rect('b'))
  })
  test('is aligned, distributed and measured', () => {
    fc.assert(
      fc.property(fc.integer({ min: -179, max: 180 }), (degrees) => {
        const { layout, run } = turned(degrees)
        run(alignEdits(layout, ['a'], 'left', 'sheet', set))
        expect(layout.seen('a')!.x).toBeCloseTo(0, 1)
        run(alignEdits(layout, ['a'], 'bottom', 'parent', set))
        const { y, height } = layout.seen('a')!
        expect(y + height).toBeCloseTo(400, 1)
        run(distributeEdits(layout, ['a', 'b', 'c'], 'x', 'gaps', set))
        const [a, b, c] = ['a', 'b', 'c'].map((id) => layout.seen(id)!)
        expect(b!.x - a!.x - a!.width).toBeCloseTo(c!.x - b!.x - b!.width, 1)
        const { from } = gauge(layout, 'a', 'b')!
        expect(from).toEqual(a)
      }),
      { numRuns: 40 },
    )
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
  expect(paintedBlocks(layout).map((each) => each.id)).toEqual(['z', 's', 'e', 'c', 'a', 'b', 'd'])
})
