import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { growEdits, nudgeEdits } from './nudge'
import { pinsAt } from './pins'
import { anchorTurned, type Handle, resizeOnColumns, resizeProps, resizeRect, snapResize } from './resize'
import { SNAP_KINDS, snapLines } from './snap'
import { at, box, exactly, lay, set } from './test-page'

const RECT = { x: 100, y: 50, width: 200, height: 80 }
const PLAIN = { ratio: false, centre: false }
const handle = fc
  .tuple(
    fc.constantFrom(-1, 0, 1) as fc.Arbitrary<Handle['across']>,
    fc.constantFrom(-1, 0, 1) as fc.Arbitrary<Handle['down']>,
  )
  .filter(([across, down]) => across !== 0 || down !== 0)
  .map(([across, down]): Handle => ({ across, down }))
const by = fc.integer({ min: -150, max: 150 })
const right = (rect: typeof RECT) => rect.x + rect.width
const bottom = (rect: typeof RECT) => rect.y + rect.height

describe('the rect that a dragged handle gives', () => {
  test('the opposite edges stay', () => {
    fc.assert(
      fc.property(handle, by, by, fc.boolean(), (grip, dx, dy, ratio) => {
        const to = resizeRect(RECT, grip, dx, dy, { ratio, centre: false })
        if (grip.across > 0) expect(to.x).toBe(RECT.x)
        if (grip.across < 0) expect(right(to)).toBeCloseTo(right(RECT))
        if (grip.down > 0) expect(to.y).toBe(RECT.y)
        if (grip.down < 0) expect(bottom(to)).toBeCloseTo(bottom(RECT))
      }),
    )
  })
  test('with Alt the centre stays, with Shift the proportions; never less than nothing', () => {
    fc.assert(
      fc.property(handle, by, by, fc.boolean(), fc.boolean(), (grip, dx, dy, ratio, centre) => {
        const to = resizeRect(RECT, grip, dx, dy, { ratio, centre })
        expect(to.width).toBeGreaterThanOrEqual(0)
        expect(to.height).toBeGreaterThanOrEqual(0)
        if (centre) {
          expect(to.x + to.width / 2).toBeCloseTo(RECT.x + RECT.width / 2)
          expect(to.y + to.height / 2).toBeCloseTo(RECT.y + RECT.height / 2)
        }
        if (ratio) expect(to.width * RECT.height).toBeCloseTo(to.height * RECT.width)
      }),
    )
  })
})

test('what lies opposite to the handle of a turned block, or its centre, stays where it is seen', () => {
  fc.assert(
    fc.property(
      handle,
      by,
      by,
      fc.boolean(),
      fc.boolean(),
      fc.integer({ min: -180, max: 180 }),
      (grip, dx, dy, ratio, centre, degrees) => {
        const manner = { ratio, centre }
        const to = anchorTurned(RECT, resizeRect(RECT, grip, dx, dy, manner), grip, manner, degrees)
        const angle = (degrees * Math.PI) / 180
        const seen = (rect: typeof RECT) => {
          const x = centre ? 0 : (-grip.across * rect.width) / 2
          const y = centre ? 0 : (-grip.down * rect.height) / 2
          return {
            x: rect.x + rect.width / 2 + Math.cos(angle) * x - Math.sin(angle) * y,
            y: rect.y + rect.height / 2 + Math.sin(angle) * x + Math.cos(angle) * y,
          }
        }
        expect(seen(to).x).toBeCloseTo(seen(RECT).x)
        expect(seen(to).y).toBeCloseTo(seen(RECT).y)
        if (degrees === 0) expect(to).toEqual(resizeRect(RECT, grip, dx, dy, manner))
      },
    ),
  )
})

describe('moving edges snap', () => {
  const { layout } = lay({ flow: 'free' }, [at('a', 110, 10), at('b', 700, 90, 60)])
  const lines = snapLines(layout, ['a'], new Set(SNAP_KINDS))
  const rect = layout.rect('a')!
  const snap = (grip: Handle, dx: number, dy: number, manner = PLAIN) =>
    snapResize(rect, grip, dx, dy, manner, lines, 6)

  test('a right edge lands on a column’s right edge, not on the next one’s left', () => {
    // Columns of 80 and gutters of 24 from 108: column 2 ends at 292, column 3 begins at 316.
    const { rect: to, hits } = snap({ across: 1, down: 0 }, 292 - 210 - 4, 0)
    expect(right(to)).toBe(292)
    expect(hits.map((hit) => hit.reason)).toEqual(['column 2, right edge'])
    expect(snap({ across: 1, down: 0 }, 316 - 210 - 3, 0).hits).toEqual([])
  })
  test('a left edge on a left one, the right edge staying', () => {
    const { rect: to, hits } = snap({ across: -1, down: 0 }, 3, 0)
    expect([to.x, right(to)]).toEqual([108, 210])
    expect(hits[0]!.reason).toBe('column 1, left edge')
  })
  test('with proportions kept, the edge that snapped leads', () => {
    const { rect: to } = snap({ across: 1, down: 1 }, 292 - 210 - 4, 20, { ratio: true, centre: false })
    expect(right(to)).toBeCloseTo(292)
    expect(to.width / to.height).toBeCloseTo(rect.width / rect.height)
    expect([to.x, to.y]).toEqual([rect.x, rect.y])
  })
})

describe('the props that say a size', () => {
  test('a lifted block gets exactly the rect, whichever edges it is pinned to', () => {
    const pins = fc.constantFrom(
      { pinLeft: { px: 300 } },
      { pinRight: { px: 300 } },
      { pinCenterX: 20 },
      { pinLeft: { percent: 25 } },
      { pinLeft: { px: 300 }, pinRight: { px: 500 }, width: { kind: 'stretch', weight: 1 } as const },
    )
    fc.assert(
      fc.property(pins, handle, by, by, (across, grip, dx, dy) => {
        const { doc, layout, run, rect } = lay({ flow: 'free' }, [
          box('a', { ...exactly(100, 60), pinTop: { px: 100 }, ...across }),
        ])
        const to = resizeRect(rect('a'), grip, dx, dy, PLAIN)
        run([set(doc.node('a'), resizeProps(layout, 'a', to, grip, PLAIN))])
        const got = rect('a')
        expect(got.x).toBeCloseTo(to.x, 1)
        expect(got.y).toBeCloseTo(to.y, 1)
        expect(got.width).toBeCloseTo(to.width, 1)
        expect(got.height).toBeCloseTo(to.height, 1)
      }),
    )
  })
  test('percent stays percent: of a pin and of a size', () => {
    const { layout } = lay({ flow: 'free' }, [
      box('a', { ...exactly(144, 60), pinLeft: { percent: 10 }, pinTop: { px: 0 } }),
    ])
    expect(pinsAt(layout, 'a', { x: 288 })).toEqual({ pinLeft: { percent: 20 } })
    const row = lay({ flow: 'row' }, [box('b', { width: { kind: 'percent', percent: 50 } })])
    const to = { ...row.rect('b'), width: 360 }
    expect(resizeProps(row.layout, 'b', to, { across: 1, down: 0 }, PLAIN)).toEqual({
      width: { kind: 'percent', percent: 25 },
    })
  })
  test('on a lattice an edge takes whole columns', () => {
    const { layout } = lay({ flow: 'lattice', fullBleed: false }, [
      box('a', { width: { kind: 'columns', span: 3, from: 2 }, height: { kind: 'exact', px: 40 } }),
    ])
    const cover = { from: 2, to: 4 }
    // Column 6 ends at 708: just into the gutter behind it, the edge is still its.
    expect(resizeOnColumns(layout, 'a', 1, 715, cover)?.size).toEqual({ kind: 'columns', span: 5, from: 2 })
    expect(resizeOnColumns(layout, 'a', -1, 100, cover)?.size).toEqual({ kind: 'columns', span: 4, from: 1 })
  })
})

describe('keys', () => {
  test('nudge moves lifted blocks by exactly that, others not', () => {
    const { layout, run, rect } = lay({ flow: 'column' }, [
      box('a', { ...exactly(100, 60), lifted: true, pinRight: { px: 30 }, pinBottom: { px: 10 } }),
      box('b', exactly(50, 50)),
    ])
    const before = [rect('a'), rect('b')]
    run(nudgeEdits(layout, ['a', 'b'], 8, -1, set))
    expect(rect('a')).toEqual({ ...before[0], x: before[0]!.x + 8, y: before[0]!.y - 1 })
    expect(rect('b')).toEqual(before[1])
  })
  test('grow keeps the left and top edges', () => {
    const { layout, run, rect } = lay({ flow: 'free' }, [
      box('a', { ...exactly(100, 60), pinRight: { px: 30 }, pinTop: { px: 10 } }),
    ])
    const before = rect('a')
    run(growEdits(layout, ['a', 's'], 'width', 8, set))
    expect(rect('a')).toEqual({ ...before, width: 108 })
    run(growEdits(layout, ['a'], 'height', -100, set))
    expect(rect('a').height).toBe(0)
  })
})
