import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Form, pathOfForm } from './form'
import { boundsOf, pathData, pathFrom, pointsAlong } from './path'
import {
  allAnchors,
  curveFrom,
  handlePulled,
  inserted,
  isSmooth,
  movedBy,
  nearestAnchor,
  nearestEdge,
  type Outlines,
  outlinesOf,
  pathOfOutlines,
  pointOn,
  smoothed,
} from './points'
import { broken, canRound, closed, continued, cornerRounded, joined, removed } from './reshape'

const of = (form: Form) => outlinesOf(pathOfForm(form))
const read = (data: string) => outlinesOf(pathFrom(data)!)
const data = (outlines: Outlines) => pathData(pathOfOutlines(outlines))
const SQUARE = 'M0 0L100 0L100 100L0 100Z'

const forms = fc.oneof(
  fc.record({
    form: fc.constant('polygon' as const),
    sides: fc.integer({ min: 3, max: 9 }),
    round: fc.constantFrom(0, 40),
  }),
  fc.record({
    form: fc.constant('blob' as const),
    seed: fc.nat(500),
    points: fc.integer({ min: 3, max: 9 }),
    swing: fc.constant(40),
  }),
  fc.constant<Form>({ form: 'arc', from: 10, sweep: 200, hole: 40 }),
  fc.constant<Form>({ form: 'line', slope: 'rising' }),
)
const share = fc.double({ min: 0.02, max: 0.98, noNaN: true })

describe('points of an outline', () => {
  test('what is read of any form is drawn as that form', () => {
    fc.assert(
      fc.property(forms, (form) => {
        const back = pathOfOutlines(of(form))
        for (const [one, other] of [...pointsAlong(pathOfForm(form))].map((p, i) => [
          p,
          [...pointsAlong(back)][i],
        ]))
          if (other) expect(Math.hypot(one![0] - other[0], one![1] - other[1])).toBeLessThan(1e-6)
        expect(data(outlinesOf(back))).toBe(data(of(form)))
      }),
      { numRuns: 60 },
    )
  })
  test('a point put on the way changes nothing that is seen', () => {
    fc.assert(
      fc.property(forms, fc.nat(), share, share, (form, which, t, along) => {
        const before = of(form)
        const refs = allAnchors(before).filter((ref) => curveFrom(before, ref))
        const ref = refs[which % refs.length]!
        const [after, made] = inserted(before, { ...ref, t })
        expect(after[ref.outline]!.anchors.length).toBe(before[ref.outline]!.anchors.length + 1)
        const curve = curveFrom(before, ref)!
        const [x, y] = pointOn(curve, along)
        // On one of its two halves.
        const [one, two] = [curveFrom(after, ref)!, curveFrom(after, made)!]
        const [a, b] = along < t ? pointOn(one, along / t) : pointOn(two, (along - t) / (1 - t))
        const isStraight = !before[ref.outline]!.anchors[ref.anchor]!.out
        if (!isStraight) expect(Math.hypot(a - x, b - y)).toBeLessThan(1e-6)
        const [left, right] = [boundsOf(pathOfOutlines(before)), boundsOf(pathOfOutlines(after))]
        for (const side of ['left', 'top', 'right', 'bottom'] as const)
          expect(right[side]).toBeCloseTo(left[side], 6)
      }),
      { numRuns: 120 },
    )
  })
  test('the nearest place of an outline is found', () => {
    const circle = of({ form: 'ellipse' })
    const place = nearestEdge(circle, [50 + 60 * Math.SQRT1_2, 50 - 60 * Math.SQRT1_2], 12)!
    const [x, y] = pointOn(curveFrom(circle, place)!, place.t)
    expect(Math.hypot(x - 50, y - 50)).toBeCloseTo(50, 1)
    expect(nearestEdge(circle, [50, 50], 12)).toBeUndefined()
    expect(nearestAnchor(circle, [51, 1], 3)).toEqual({ outline: 0, anchor: 0 })
    expect(nearestAnchor(circle, [70, 20], 3)).toBeUndefined()
  })
  test('moved, a point takes its handles along; the others stay', () => {
    const circle = of({ form: 'ellipse' })
    const moved = movedBy(circle, [{ outline: 0, anchor: 0 }], [10, -5])
    const [before, after] = [circle[0]!.anchors[0], moved[0]!.anchors[0]]
    expect(after!.out).toEqual([before!.out![0] + 10, before!.out![1] - 5])
    expect(moved[0]!.anchors.slice(1)).toEqual(circle[0]!.anchors.slice(1))
  })
  test('a pulled handle turns the other one where the curve has no bend, unless it is pulled alone', () => {
    const circle = of({ form: 'ellipse' })
    const ref = { outline: 0, anchor: 0 }
    const { at, into } = circle[0]!.anchors[0]!
    const pulled = handlePulled(circle, ref, 'out', [at[0] + 20, at[1] + 20])[0]!.anchors[0]!
    expect(isSmooth(pulled)).toBe(true)
    expect(Math.hypot(pulled.into![0] - at[0], pulled.into![1] - at[1])).toBeCloseTo(
      Math.abs(into![0] - at[0]),
      6,
    )
    const alone = handlePulled(circle, ref, 'out', [at[0] + 20, at[1] + 20], true)[0]!.anchors[0]!
    expect(alone.into).toEqual(into)
    expect(isSmooth(alone)).toBe(false)
  })
  test('corners become curves without a bend', () => {
    const square = read(SQUARE)
    const soft = smoothed(square, allAnchors(square))
    expect(soft[0]!.anchors.every(isSmooth)).toBe(true)
    expect(soft[0]!.anchors.map(({ at }) => at)).toEqual(square[0]!.anchors.map(({ at }) => at))
  })
})

describe('an outline reshaped', () => {
  test('points are taken away, what has one left goes', () => {
    const square = read(SQUARE)
    expect(data(removed(square, [{ outline: 0, anchor: 1 }])!)).toBe('M0 0L100 100L0 100Z')
    expect(removed(read('M0 0L10 10'), [{ outline: 0, anchor: 0 }])).toBeUndefined()
    expect(removed(square, allAnchors(square))).toBeUndefined()
  })
  test('broken at a point and joined there, it is as it was', () => {
    fc.assert(
      fc.property(forms, fc.nat(), (form, which) => {
        const whole = of(form)
        const refs = allAnchors(whole)
        const ref = refs[which % refs.length]
        const [open] = broken(whole, ref!)
        if (open === whole) return
        expect(open[0]!.closed).toBe(false)
        const ends: [number, number] = [0, open[0]!.anchors.length - 1]
        const again = joined(open, { outline: 0, anchor: ends[1] }, { outline: 0, anchor: ends[0] })!
        expect(again[0]!.closed).toBe(true)
        expect(again[0]!.anchors.length).toBe(whole[0]!.anchors.length)
        const [a, b] = [boundsOf(pathOfOutlines(whole)), boundsOf(pathOfOutlines(again))]
        for (const side of ['left', 'top', 'right', 'bottom'] as const)
          expect(b[side]).toBeCloseTo(a[side], 6)
      }),
      { numRuns: 60 },
    )
  })
  test('an open outline is two behind a point in it; their ends make one again', () => {
    const [two] = broken(read('M0 0L50 0L100 50L100 100'), { outline: 0, anchor: 1 })
    expect(data(two)).toBe('M0 0L50 0M50 0L100 50L100 100')
    expect(data(joined(two, { outline: 0, anchor: 1 }, { outline: 1, anchor: 0 })!)).toBe(
      'M0 0L50 0L100 50L100 100',
    )
    // From their other ends: turned round as it needs.
    expect(data(joined(two, { outline: 0, anchor: 0 }, { outline: 1, anchor: 2 })!)).toBe(
      'M50 0L0 0L100 100L100 50L50 0',
    )
  })
  test('goes on from either end, and is closed', () => {
    const line = read('M0 0L50 0')
    const [on, end] = continued(line, { outline: 0, anchor: 1 }, [50, 50])
    expect(end).toEqual({ outline: 0, anchor: 2 })
    expect(data(continued(on, { outline: 0, anchor: 0 }, [0, 50])[0])).toBe('M0 50L0 0L50 0L50 50')
    expect(data(closed(on, 0))).toBe('M0 0L50 0L50 50Z')
    expect(data(closed(read('M0 0L50 0L50 50L0 0'), 0))).toBe('M0 0L50 0L50 50Z')
  })
  test('a round corner is a part of a circle that touches both sides', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 160 }), fc.integer({ min: 2, max: 12 }), (degrees, radius) => {
        const angle = (degrees * Math.PI) / 180
        const tip: [number, number] = [200 * Math.cos(angle), 200 * Math.sin(angle)]
        const corner = [
          { anchors: [{ at: [200, 0] as const }, { at: [0, 0] as const }, { at: tip }], closed: false },
        ]
        const [round, ref] = cornerRounded(corner, { outline: 0, anchor: 1 }, radius)
        const centre = [radius / Math.tan(angle / 2), radius]
        for (let t = 0; t <= 1; t += 0.1) {
          const [x, y] = pointOn(curveFrom(round, ref)!, t)
          expect(Math.abs(Math.hypot(x - centre[0]!, y - centre[1]!) - radius)).toBeLessThan(radius * 0.01)
        }
      }),
      { numRuns: 60 },
    )
  })
  test('one that does not fit is as round as it can be; ends and curves without a bend are no corners', () => {
    const square = read(SQUARE)
    const [round] = cornerRounded(square, { outline: 0, anchor: 0 }, 5000)
    expect(Math.max(...round[0]!.anchors.map(({ at }) => Math.max(...at)))).toBeLessThanOrEqual(100)
    expect(boundsOf(pathOfOutlines(round)).left).toBeCloseTo(0, 6)
    expect(canRound(read('M0 0L50 0L50 50'), { outline: 0, anchor: 0 })).toBe(false)
    expect(canRound(of({ form: 'ellipse' }), { outline: 0, anchor: 0 })).toBe(false)
    expect(canRound(square, { outline: 0, anchor: 2 })).toBe(true)
  })
})
