import { describe, expect, test } from 'vitest'
import { withView } from '../arrange/views'
import { checkViews } from '../document/check'
import { solveLattice } from '../lattice/solve'
import { latticeFor, latticeKnown } from '../lattice/view-lattice'
import { COMMON_WIDTHS, nameForWidth, starterViews, viewFor } from './starter'

describe('views', () => {
  test.each(COMMON_WIDTHS.map((each) => each.width).concat(200, 777, 10_000))(
    'one of %d px fits in among the others',
    (width) => {
      const next = withView(starterViews(), nameForWidth(width), width, 'added')
      if (typeof next === 'string') {
        expect([1440, 390]).toContain(width)
        return
      }
      expect(next.length).toBe(3)
      expect(() => checkViews(next)).not.toThrow()
    },
  )
  test('the same width twice is refused with a reason', () => {
    expect(withView(starterViews(), 'Desktop', 1440, 'added')).toBe('there is already a view 1440 px wide')
  })
})

describe('a view’s lattice and the solver', () => {
  test.each([1920, 1440, 1280, 834, 390, 320])(
    'what is stored for %d px solves, and is stored again as it was',
    (width) => {
      const view = viewFor('v', 'View', width)
      const solution = solveLattice(latticeKnown(view), view.lattice.halfGutters)
      if (solution.status !== 'solved') throw new Error(solution.reason)
      expect(latticeFor(view.lattice, solution.lattice, view.lattice.container === null)).toEqual(
        view.lattice,
      )
    },
  )
  test('a contained lattice keeps a least margin no larger than its own', () => {
    const view = viewFor('v', 'View', 1440)
    const solution = solveLattice({ width: 1440, container: 1430, columns: 12, gutter: 10 })
    if (solution.status !== 'solved') throw new Error(solution.reason)
    expect(latticeFor(view.lattice, solution.lattice, false)).toMatchObject({ container: 1430, margin: 5 })
  })
})
