import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type Framing, framingOf, slidTo } from './framing'
import { exactly, lay } from './test-page'

const boxWith = (props: object) => {
  const { layout } = lay({ flow: 'free' }, [
    {
      id: 'p',
      kind: 'picture',
      name: 'p',
      order: 'a0',
      props: { ...exactly(400, 200), pinLeft: { px: 0 }, pinTop: { px: 0 }, ...props },
    },
  ])
  return layout.boxes.get('p')!
}

test('cover fills the frame, contain lies in it, padding is not the frame’s', () => {
  const square = { width: 100, height: 100 }
  expect(framingOf(boxWith({}), square).picture).toEqual({ x: 0, y: -100, width: 400, height: 400 })
  expect(framingOf(boxWith({ fit: 'contain' }), square).picture).toEqual({
    x: 100,
    y: 0,
    width: 200,
    height: 200,
  })
  expect(framingOf(boxWith({ fit: 'fill' }), square).picture).toEqual({ x: 0, y: 0, width: 400, height: 200 })
  expect(framingOf(boxWith({ focusY: 0 }), square).picture.y).toBe(0)
  const padded = framingOf(boxWith({ paddingLeft: 40, paddingTop: 20 }), square)
  expect(padded.frame).toEqual({ x: 40, y: 20, width: 360, height: 180 })
})

test('slid as far as is asked for, the picture lies there, and never leaves the frame', () => {
  const size = fc.integer({ min: 10, max: 2000 })
  const way = fc.integer({ min: -3000, max: 3000 })
  fc.assert(
    fc.property(size, size, way, way, fc.constantFrom('cover', 'contain'), (width, height, dx, dy, fit) => {
      const box = boxWith({ fit })
      const before = framingOf(box, { width, height })
      const after: Framing = framingOf(boxWith({ fit, ...slidTo(before, dx, dy) }), { width, height })
      for (const [at, side, by] of [
        ['x', 'width', dx],
        ['y', 'height', dy],
      ] as const) {
        const slack = before.frame[side] - before.picture[side]
        const [low, high] = [Math.min(0, slack), Math.max(0, slack)]
        const wanted = Math.min(high, Math.max(low, before.picture[at] + by))
        // The share is said in hundredths of a percent.
        if (Math.abs(slack) >= 0.5)
          expect(Math.abs(after.picture[at] - wanted)).toBeLessThanOrEqual(Math.abs(slack) / 10_000 + 1e-6)
      }
    }),
    { numRuns: 60 },
  )
})
