import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { ViewLattice } from '../document/schema'
import { type LatticeHandle, pullLattice } from './drag'
import { rulerMarks, rulerStep } from './ruler'
import { usedLattice } from './used'

const LATTICE: ViewLattice = {
  ...{ columns: 12, gutter: 24, container: 1224, margin: 24 },
  ...{ halfGutters: false, place: 'center', baseline: 8 },
}

describe('a lattice pulled on the sheet', () => {
  test('a centred container grows on both sides, a fluid one by its margins, a left one by its own edge', () => {
    expect(pullLattice(LATTICE, 1440, 'right', 20).container).toBe(1264)
    expect(pullLattice(LATTICE, 1440, 'left', 20).container).toBe(1184)
    const fluid = { ...LATTICE, container: null, margin: 108 }
    expect(pullLattice(fluid, 1440, 'left', -8)).toMatchObject({ container: null, margin: 100 })
    const left = { ...LATTICE, place: 'left' as const, margin: 40 }
    expect(pullLattice(left, 1440, 'right', 10)).toMatchObject({ container: 1234, margin: 40 })
    expect(pullLattice(left, 1440, 'left', 10)).toMatchObject({ container: 1224, margin: 50 })
  })
  test('the edge follows the pointer, whole px, and what comes out is always a lattice', () => {
    const any = fc.record({
      container: fc.constantFrom(null, 1224, 960),
      place: fc.constantFrom('center' as const, 'left' as const),
      margin: fc.integer({ min: 0, max: 200 }),
      columns: fc.constantFrom(4, 12),
    })
    const handle = fc.constantFrom<LatticeHandle>('left', 'right', 'gutter')
    fc.assert(
      fc.property(any, handle, fc.integer({ min: -900, max: 900 }), (own, grip, dx) => {
        const after = pullLattice({ ...LATTICE, ...own }, 1440, grip, dx)
        const used = usedLattice(after, 1440)
        expect(after.columns).toBe(own.columns)
        expect(used.columnWidth).toBeGreaterThan(0)
        expect(used.left).toBeGreaterThanOrEqual(0)
        for (const value of [after.gutter, after.margin, after.container ?? 0])
          expect(Number.isInteger(value)).toBe(true)
      }),
    )
  })
})

describe('a ruler', () => {
  test('writes at 1, 2 or 5 times a power of ten, never closer than there is room for', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 8, noNaN: true }), (zoom) => {
        const step = rulerStep(zoom)
        expect(step * zoom).toBeGreaterThanOrEqual(55.9)
        expect(['1', '2', '5']).toContain(
          String(Math.round(step / 10 ** Math.floor(Math.log10(step) + 1e-9))),
        )
      }),
    )
  })
  test('counts from its zero, and leaves the end free', () => {
    const marks = rulerMarks(0, 400, 1, 50).filter((mark) => mark.words !== undefined)
    expect(marks.map(({ at, words }) => `${at}:${words}`)).toEqual(['50:0', '150:100', '250:200', '350:300'])
    expect(
      rulerMarks(0, 310, 1, 0)
        .filter((mark) => mark.words !== undefined)
        .at(-1)?.words,
    ).toBe('200')
  })
})
