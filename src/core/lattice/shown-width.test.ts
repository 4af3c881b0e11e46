/** Which widths a view answers for: together a page's views leave out none. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { View } from '../document/schema'
import { COMMON_WIDTHS, starterProject } from '../shelf/starter'
import { pulledTo, rangeOf, stopsOf } from './shown-width'

const [some] = starterProject('Test', 'home').views
const view = (id: string, width: number, breakpoint: number | null): View => ({
  ...some!,
  id,
  name: id,
  width,
  breakpoint,
})
const VIEWS = [view('Desktop', 1440, null), view('Tablet', 834, 1000), view('Mobile', 390, 600)]

describe('the widths of a view', () => {
  test('from the next breakpoint to its own; the widest has no end, the narrowest goes down to 320', () => {
    expect(rangeOf(VIEWS, 'Desktop')).toEqual({ least: 1001, most: 2560 })
    expect(rangeOf(VIEWS, 'Tablet')).toEqual({ least: 601, most: 1000 })
    expect(rangeOf(VIEWS, 'Mobile')).toEqual({ least: 320, most: 600 })
    expect(rangeOf([view('Watch', 280, null)], 'Watch')).toEqual({ least: 280, most: 2560 })
  })

  test('together they are every width, each once, and each is in its own', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 330, max: 2400 }), { minLength: 1, maxLength: 6 }),
        (widths) => {
          const sorted = [...widths].sort((a, b) => b - a)
          const views = sorted.map((width, i) =>
            view(`v${i}`, width, i === 0 ? null : Math.floor((width + sorted[i - 1]!) / 2)),
          )
          const ranges = views.map(({ id }) => rangeOf(views, id))
          const doc = Document.fromFile({ ...starterProject('Test', 'home'), views })
          for (const [i, { width }] of views.entries()) {
            expect(ranges[i]!.least).toBeLessThanOrEqual(width)
            expect(ranges[i]!.most).toBeGreaterThanOrEqual(width)
            if (i > 0) expect(ranges[i]!.most + 1).toBe(ranges[i - 1]!.least)
            // As the handed-off page chooses.
            for (const at of [ranges[i]!.least, ranges[i]!.most]) expect(doc.viewAt(at).id).toBe(views[i]!.id)
          }
        },
      ),
    )
  })

  test('it stops at its own width, at the ends, at common ones', () => {
    const stops = stopsOf(VIEWS, 'Tablet', COMMON_WIDTHS)
    expect(stops.map(({ width }) => width)).toEqual([601, 834, 1000])
    expect(stops[1]!.words).toBe('Tablet’s own width')
    expect(stops[0]!.words).toBe('narrower, Mobile takes over')
    expect(stopsOf(VIEWS, 'Desktop', COMMON_WIDTHS).map(({ width }) => width)).toEqual([
      1001, 1024, 1280, 1366, 1440, 1512, 1920, 2560,
    ])
  })

  test('pulled, it catches on what is near, and never leaves the range', () => {
    const range = rangeOf(VIEWS, 'Desktop')
    const stops = stopsOf(VIEWS, 'Desktop', COMMON_WIDTHS)
    expect(pulledTo(1284.2, range, stops, 6)).toBe(1280)
    expect(pulledTo(1300.4, range, stops, 6)).toBe(1300)
    expect(pulledTo(200, range, stops, 6)).toBe(1001)
    expect(pulledTo(9000, range, stops, 6)).toBe(2560)
  })
})
