import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Props } from '../properties/table'
import { type PinName, pinnedIn, togglePin } from './pins'
import { box, exactly, lay, set } from './test-page'

const NAMES: PinName[] = ['pinLeft', 'pinRight', 'pinTop', 'pinBottom', 'pinCenterX', 'pinCenterY']
const pin = fc.oneof(
  fc.integer({ min: -40, max: 200 }).map((px) => ({ px })),
  fc.integer({ min: 0, max: 40 }).map((percent) => ({ percent })),
)
const pins: fc.Arbitrary<Props> = fc
  .tuple(
    fc.oneof(
      pin.map((pinLeft): Props => ({ pinLeft })),
      pin.map((pinRight): Props => ({ pinRight })),
      fc
        .tuple(pin, pin)
        .map(([pinLeft, pinRight]): Props => ({ pinLeft, pinRight, width: { kind: 'stretch', weight: 1 } })),
      fc.integer({ min: -80, max: 80 }).map((pinCenterX): Props => ({ pinCenterX })),
    ),
    fc.oneof(
      pin.map((pinTop): Props => ({ pinTop })),
      pin.map((pinBottom): Props => ({ pinBottom })),
      fc.integer({ min: -80, max: 80 }).map((pinCenterY): Props => ({ pinCenterY })),
    ),
  )
  .map(([across, down]) => ({ ...across, ...down }))

const one = (props: Props) =>
  lay({ flow: 'free' }, [
    box(
      'p',
      {
        flow: 'free',
        ...exactly(700, 300),
        pinLeft: { px: 50 },
        pinTop: { px: 40 },
        borderLeft: { width: 3 },
        borderTop: { width: 5 },
      },
      [box('a', { ...exactly(160, 70), ...props })],
    ),
  ])

describe('pins', () => {
  test('a block wider than its parent, held by its middle, keeps to its start (CSS 2 §10.3.7)', () => {
    const { doc, layout, run, rect } = one({
      pinLeft: { px: 0 },
      pinRight: { px: -1 },
      width: { kind: 'stretch', weight: 1 },
    })
    expect(rect('a')).toMatchObject({ x: 53, width: 698 })
    run([set(doc.node('a'), togglePin(layout, 'a', 'pinCenterX'))])
    expect(doc.node('a').props.pinCenterX).toBe(0)
    expect(rect('a')).toMatchObject({ x: 53, width: 698 })
  })
  test('put in or taken out, the block stays where it is and as large', () => {
    fc.assert(
      fc.property(
        pins,
        fc.array(fc.constantFrom(...NAMES), { minLength: 1, maxLength: 6 }),
        (props, presses) => {
          const { doc, layout, run, rect } = one(props)
          const before = rect('a')
          for (const name of presses) {
            run([set(doc.node('a'), togglePin(layout, 'a', name))])
            const now = rect('a')
            for (const key of ['x', 'y', 'width', 'height'] as const)
              expect(now[key]).toBeCloseTo(before[key], 1)
            const own = doc.node('a').props
            // Each axis is held by something.
            expect(own.pinLeft ?? own.pinRight ?? own.pinCenterX).toBeDefined()
            expect(own.pinTop ?? own.pinBottom ?? own.pinCenterY).toBeDefined()
          }
        },
      ),
    )
  })
  test('the picture of a larger or smaller parent shows what the layout would do', () => {
    fc.assert(
      fc.property(
        pins,
        fc.integer({ min: 400, max: 1200 }),
        fc.integer({ min: 200, max: 600 }),
        (props, width, height) => {
          const { doc, layout, run } = one(props)
          const a = layout.boxes.get('a')!
          const x = pinnedIn(a, 'width', { start: a.x - 3, room: 697 }, width - 3)
          const y = pinnedIn(a, 'height', { start: a.y - 5, room: 295 }, height - 5)
          run([set(doc.node('p'), exactly(width, height))])
          const now = layout.boxes.get('a')!
          expect(x.start).toBeCloseTo(now.x - 3, 6)
          expect(x.size).toBeCloseTo(now.width, 6)
          expect(y.start).toBeCloseTo(now.y - 5, 6)
          expect(y.size).toBeCloseTo(now.height, 6)
        },
      ),
    )
  })
})
