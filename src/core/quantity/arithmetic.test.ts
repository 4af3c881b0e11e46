import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readQuantity } from './arithmetic'

const value = (typed: string, context = {}) => {
  const read = readQuantity(typed, context)
  return read.ok ? read.value : read.reason
}

describe('arithmetic in number fields', () => {
  test.each([
    ['520*3+96+180', 1836],
    ['1512/2', 756],
    ['72*1.25', 90],
    ['2+3*4', 14],
    ['(2+3)*4', 20],
    ['-4+10', 6],
    ['1,5*2', 3],
    [' 7 px ', 7],
    ['10−4', 6],
    ['10,000', 10_000],
    ['10 000', 10_000],
    ['1,234.5*2', 2469],
    ['1\u202f000\u202f000+1', 1_000_001],
    ['0,125*8', 1],
    ['12,50', 12.5],
  ])('%s is %d', (typed, result) => {
    expect(value(typed)).toBe(result)
  })

  test('relative to what the field holds', () => {
    expect(value('+10', { current: 90 })).toBe(100)
    expect(value('*1.5', { current: 90 })).toBe(135)
    expect(value('/2', { current: 90 })).toBe(45)
  })

  test('percent and columns', () => {
    expect(value('50%', { whole: 640 })).toBe(320)
    expect(value('5col', { columns: (n: number) => n * 80 + (n - 1) * 24 })).toBe(496)
    expect(value('50%')).toContain('percentage')
  })

  test.each([
    '',
    'abc',
    '1/0',
    '2+',
    '(1',
    '1e999',
    '1..2',
    '5 5',
    '10 00',
    '1,000,00',
    'alert(1)',
    '__proto__',
  ])('%s is refused with a reason', (typed) => {
    expect(value(typed)).toBeTypeOf('string')
  })

  test('bounds are said with what was found', () => {
    expect(value('3', { min: 8 })).toBe('at least 8, this is 3')
    expect(value('2.5', { integer: true })).toContain('whole number')
  })

  test('never throws, never gives a number that is not finite', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 200, unit: fc.constantFrom(...'0123456789+-*/(). ,%pxcol'.split('')) }),
        (typed) => {
          const read = readQuantity(typed, { current: 10, whole: 100, columns: (n) => n * 10 })
          if (read.ok) expect(Number.isFinite(read.value)).toBe(true)
          else expect(read.reason.length).toBeGreaterThan(0)
        },
      ),
    )
  })

  test('agrees with plain arithmetic', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 999 }),
        fc.integer({ min: 1, max: 999 }),
        fc.integer({ min: 1, max: 999 }),
        (a, b, c) => {
          expect(value(`${a}+${b}*${c}-${a}/${b}`)).toBeCloseTo(a + b * c - a / b, 5)
        },
      ),
    )
  })
})
