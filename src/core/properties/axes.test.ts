import fc from 'fast-check'
import * as v from 'valibot'
import { expect, test } from 'vitest'
import { AxesSchema, axesIn, axesText, withAxis } from './axes'

const isTaken = (text: string) => v.safeParse(AxesSchema, text).success

test('axes are said by tag, each once, without the weight', () => {
  for (const text of ['normal', 'wdth 75', 'SOFT 40, wdth 62.5', 'slnt -10']) expect(isTaken(text)).toBe(true)
  for (const text of [
    '',
    'wdth',
    'wdth 75;',
    'wdth 75,SOFT 40',
    'width 75',
    'wght 700',
    'SOFT 1, wght 700',
    'wdth 75, wdth 80',
    'wdth 1e5',
    'wdth 123456',
    'wdth 75"} body{',
    Array.from({ length: 17 }, (_, i) => `AX${String(i).padStart(2, '0')} 1`).join(', '),
  ])
    expect(isTaken(text), text).toBe(false)
})

test('they are handed off as CSS says them', () => {
  expect(axesText('normal')).toBeUndefined()
  expect(axesText('SOFT 40, wdth 62.5')).toBe('"SOFT" 40, "wdth" 62.5')
})

test('one put somewhere leaves the others, and taken back leaves nothing of itself', () => {
  expect(withAxis('normal', 'wdth', 75)).toBe('wdth 75')
  expect(withAxis('wdth 75', 'SOFT', 40)).toBe('SOFT 40, wdth 75')
  expect(withAxis('wdth 75', 'wdth', undefined)).toBeNull()
  const tags = fc.constantFrom('wdth', 'SOFT', 'slnt', 'opsz')
  const values = fc.double({ min: -1000, max: 1000, noNaN: true })
  fc.assert(
    fc.property(fc.array(fc.tuple(tags, values)), tags, values, (before, tag, value) => {
      const axes = before.reduce((all, [each, at]) => withAxis(all, each, at) ?? 'normal', 'normal')
      const after = withAxis(axes, tag, value)!
      expect(isTaken(after)).toBe(true)
      expect(new Map(axesIn(after)).get(tag)).toBeCloseTo(value, 3)
      const without = axesIn(axes).filter(([each]) => each !== tag)
      expect(axesIn(withAxis(after, tag, undefined) ?? 'normal')).toEqual(without)
    }),
  )
})
