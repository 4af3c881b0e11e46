import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, test } from 'vitest'
import { type Form, FormSchema, pathIn, pathOfForm } from './form'
import { boundsOf, fitted, pathData, pathFrom, pointsAlong } from './path'

const FORMS: Form[] = [
  { form: 'ellipse' },
  { form: 'polygon', sides: 3 },
  { form: 'polygon', sides: 6, round: 60 },
  { form: 'star', points: 5, depth: 50 },
  { form: 'star', points: 12, depth: 20, round: 100 },
  { form: 'arc', from: -30, sweep: 250, hole: 60 },
  { form: 'arc', from: 0, sweep: 360, hole: 40 },
  { form: 'arch' },
  { form: 'wave', crests: 3, depth: 30 },
  { form: 'blob', seed: 7, points: 6, swing: 40 },
  { form: 'line', slope: 'rising' },
]

describe('forms', () => {
  test.each(FORMS)('%j lies in its box, and is a path that reads back', (form) => {
    expect(v.safeParse(FormSchema, form).success).toBe(true)
    const path = pathOfForm(form)
    const { left, top, right, bottom } = boundsOf(path)
    for (const low of [left, top]) expect(low).toBeGreaterThanOrEqual(-0.1)
    for (const high of [right, bottom]) expect(high).toBeLessThanOrEqual(100.1)
    const data = pathData(path)
    expect(pathData(pathFrom(data)!)).toBe(data)
  })
  test('those that have room for it fill their box', () => {
    for (const form of FORMS.filter(({ form }) =>
      ['ellipse', 'polygon', 'star', 'arch', 'blob'].includes(form),
    )) {
      const { left, top, right, bottom } = boundsOf(pathOfForm(form))
      for (const [edge, want] of [
        [left, 0],
        [top, 0],
        [right, 100],
        [bottom, 100],
      ])
        expect(edge).toBeCloseTo(want!, 0)
    }
  })
  test('every point of a circle is as far from the middle', () => {
    for (const [x, y] of pointsAlong(pathOfForm({ form: 'ellipse' })))
      expect(Math.hypot(x - 50, y - 50)).toBeCloseTo(50, 1)
  })
  test('in a box of px', () => {
    const { left, top, right, bottom } = boundsOf(pathIn({ form: 'ellipse' }, 10, 20, 300, 40))
    expect([left, top, right, bottom].map(Math.round)).toEqual([10, 20, 310, 60])
  })
  test('a seed is one blob, another seed another', () => {
    const of = (seed: number) => pathData(pathOfForm({ form: 'blob', seed, points: 6, swing: 40 }))
    expect(of(3)).toBe(of(3))
    expect(of(3)).not.toBe(of(4))
  })
})

describe('paths', () => {
  test('what is no path of ours is refused', () => {
    for (const data of [
      '',
      'M0',
      'm0 0 l1 1',
      'M0 0 A1 1 0 0 0 1 1',
      'L1 1',
      'M0 0 L',
      'M1 2<script>',
      'Z',
      'M0 0 C1 2 3',
    ])
      expect(pathFrom(data), data).toBeUndefined()
    expect(v.safeParse(FormSchema, { form: 'path', data: 'url(x)' }).success).toBe(false)
  })
  test('fitted to bounds, it has them', () => {
    const point = fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -500, max: 500 }))
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 9 }), (points) => {
        const [from, ...rest] = points
        const path = [{ from: from!, steps: rest.map((to) => ({ to })), closed: true }]
        const before = boundsOf(path)
        if (before.right === before.left || before.bottom === before.top) return
        const { left, top, right, bottom } = boundsOf(
          fitted(path, { left: 5, top: 6, right: 70, bottom: 80 }),
        )
        for (const [edge, want] of [
          [left, 5],
          [top, 6],
          [right, 70],
          [bottom, 80],
        ])
          expect(edge).toBeCloseTo(want!, 6)
      }),
    )
  })
})
