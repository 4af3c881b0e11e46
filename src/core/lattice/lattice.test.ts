import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { gutterCount, LATTICE_KEYS, type LatticeKnown, solveLattice } from './solve'
import { columnLeft, columnsOf, spanWidth, usedLattice } from './used'
import { wholeNeighbours } from './whole'

const solved = (known: LatticeKnown, half = false) => {
  const solution = solveLattice(known, half)
  if (solution.status !== 'solved') throw new Error(solution.reason)
  return solution.lattice
}

describe('the solver', () => {
  test('worked examples', () => {
    expect(solved({ width: 1512, container: 1224, columns: 12, gutter: 24 })).toMatchObject({
      columnWidth: 80,
      margin: 144,
      whole: true,
    })
    expect(solved({ width: 1366, margin: 93, columns: 12, gutter: 20 })).toMatchObject({
      container: 1180,
      columnWidth: 80,
    })
    const fractional = solved({ width: 1440, margin: 64, columns: 12, gutter: 24 })
    expect(fractional.columnWidth).toBeCloseTo(87.33, 2)
    expect(fractional.whole).toBe(false)
  })

  test('says which values disagree and by how many px', () => {
    const solution = solveLattice({ width: 1440, container: 1224, margin: 100, columns: 12, gutter: 24 })
    expect(solution).toMatchObject({ status: 'disagree', by: -16 })
    expect(solution.status === 'disagree' && solution.keys).toEqual(['width', 'container', 'margin'])
    expect(
      solveLattice({ container: 1224, columns: 12, columnWidth: 81, gutter: 24, width: 1440 }),
    ).toMatchObject({ status: 'disagree', by: 12 })
  })

  test('says what is missing', () => {
    const solution = solveLattice({ width: 1440, columns: 12 })
    expect(solution.status).toBe('missing')
    expect(solution.status === 'missing' && solution.reason).toMatch(
      /container or margin.*column width or gutter/,
    )
  })

  test.each([
    [{ columns: 0 }, 'columns'],
    [{ width: -1 }, 'width'],
    [{ gutter: Number.NaN }, 'gutter'],
    [{ columns: 2.5 }, 'columns'],
    [{ width: Number.POSITIVE_INFINITY }, 'width'],
    [{ width: 1440, container: 300, columns: 12, gutter: 40 }, 'gutter'],
    [{ width: 1000, container: 1200, columns: 12, gutter: 20 }, 'container'],
    [{ width: 100, margin: 60, columns: 2, gutter: 2 }, 'margin'],
  ] as [LatticeKnown, string][])('%o is refused at the field', (known, key) => {
    const solution = solveLattice({ ...known })
    expect(solution.status).toBe('invalid')
    expect(solution.status === 'invalid' && solution.key).toBe(key)
  })

  test('whatever subset is given, the relations add up', () => {
    const lattice = fc.record({
      columns: fc.integer({ min: 2, max: 24 }),
      columnWidth: fc.integer({ min: 8, max: 200 }),
      gutter: fc.integer({ min: 1, max: 60 }),
      margin: fc.integer({ min: 0, max: 300 }),
      half: fc.boolean(),
    })
    fc.assert(
      fc.property(
        lattice,
        fc.uniqueArray(fc.constantFrom(...LATTICE_KEYS), { minLength: 3, maxLength: 6 }),
        ({ half, ...whole }, keys) => {
          const container =
            whole.columns * whole.columnWidth + gutterCount(whole.columns, half) * whole.gutter
          const truth: Record<string, number> = { ...whole, container, width: container + 2 * whole.margin }
          const solution = solveLattice(Object.fromEntries(keys.map((key) => [key, truth[key]])), half)
          if (solution.status === 'missing') return
          if (solution.status !== 'solved') throw new Error(`${keys}: ${solution.reason}`)
          for (const key of LATTICE_KEYS) expect(solution.lattice[key]).toBeCloseTo(truth[key]!, 3)
        },
      ),
    )
  })
})

describe('whole-pixel neighbours', () => {
  test('best first, all whole, all adding up', () => {
    const asked = solved({ width: 1440, margin: 64, columns: 12, gutter: 24 })
    const offers = wholeNeighbours(asked)
    expect(offers.length).toBeGreaterThan(2)
    expect(offers[0]).toMatchObject({ columnWidth: 87, gutter: 24, container: 1308, margin: 66 })
    for (const offer of offers) {
      expect(offer.columns * offer.columnWidth + (offer.columns - 1) * offer.gutter).toBe(offer.container)
      expect(offer.container + 2 * offer.margin).toBe(1440)
      for (const key of LATTICE_KEYS) expect(Number.isInteger(offer[key])).toBe(true)
    }
    expect([...offers].sort((a, b) => a.cost - b.cost)).toEqual(offers)
  })
})

describe('the lattice in use', () => {
  const contained = {
    columns: 12,
    gutter: 24,
    container: 1224,
    margin: 24,
    halfGutters: false,
    place: 'center',
    baseline: 8,
  } as const
  test('contained, centred, and at the left', () => {
    expect(usedLattice(contained, 1512)).toMatchObject({
      left: 144,
      right: 144,
      container: 1224,
      columnWidth: 80,
    })
    expect(usedLattice({ ...contained, place: 'left' }, 1512)).toMatchObject({
      left: 24,
      right: 264,
      container: 1224,
    })
  })
  test('the least margin holds in a narrow window', () => {
    expect(usedLattice(contained, 1000)).toMatchObject({ left: 24, container: 952 })
  })
  test('half gutters lie inside the container', () => {
    const used = usedLattice({ ...contained, halfGutters: true }, 1512)
    expect(used.columnWidth).toBe(78)
    expect(columnLeft(used, 1)).toBe(144 + 12)
    expect(columnLeft(used, 12) + used.columnWidth + 12).toBeCloseTo(144 + 1224, 6)
  })
  test('a span is found again from its px, never off by one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 700, max: 2000 }),
        (from, wanted, width) => {
          const used = usedLattice(contained, width)
          const span = Math.min(wanted, 13 - from)
          expect(columnsOf(used, columnLeft(used, from), spanWidth(used, span))).toEqual({
            from,
            span,
            exact: true,
          })
        },
      ),
    )
  })
})
