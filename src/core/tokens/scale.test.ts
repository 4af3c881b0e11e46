import { expect, test } from 'vitest'
import { bodyStyle, scaleOf, typeScale } from './scale'

test('a scale is whole, and always rises', () => {
  expect(scaleOf(8, 1.5, 5)).toEqual([8, 12, 18, 27, 41])
  expect(scaleOf(1, 1.05, 4)).toEqual([1, 2, 3, 4])
})

test('sizes of type go up and down from the base in their order, equal ones together', () => {
  expect(typeScale([64, 16, 40, 14, 40, 20], 16, 1.5)).toEqual([54, 16, 36, 10.5, 36, 24])
  expect(typeScale([12, 80], 20, 2)).toEqual([20, 40])
  expect(typeScale([1, 2, 3, 16], 16, 4)).toEqual([1, 1, 4, 16])
})

test('running text is what is called so, else what is about as large', () => {
  const styles = [
    { name: 'type.title', fontSize: 20 },
    { name: 'type.lead', fontSize: 17 },
    { name: 'type.small', fontSize: 13 },
  ]
  expect(bodyStyle(styles).name).toBe('type.lead')
  expect(bodyStyle([...styles, { name: 'type.body', fontSize: 22 }]).name).toBe('type.body')
})
