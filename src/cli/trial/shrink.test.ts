import { expect, test } from 'vitest'
import { actOf, PARTS, type Step, stepsFrom } from './acts'
import { differenceOf } from './difference'
import { shrunk } from './shrink'

const parts = Object.keys(PARTS)
const never = () => false

test('what leads to a fault is left, in its order, and nothing else', async () => {
  const steps = stepsFrom(7, parts, 40)
  const [first, second] = [steps[11]!, steps[30]!]
  let tried = 0
  const fails = async (some: readonly Step[]) => {
    tried++
    return some.includes(first) && some.indexOf(second) > some.indexOf(first)
  }
  expect(await shrunk(steps, fails, never)).toEqual([first, second])
  expect(tried).toBeLessThan(120)
})

test('out of time, it is as short as it has got', async () => {
  const steps = stepsFrom(8, parts, 16)
  let tries = 2
  const left = await shrunk(
    steps,
    async () => true,
    () => tries-- <= 0,
  )
  expect(left.length).toBeLessThan(16)
  expect(left.length).toBeGreaterThan(0)
})

test('the same seed gives the same steps, and every act has a chance', () => {
  expect(stepsFrom(9, parts, 30)).toEqual(stepsFrom(9, parts, 30))
  const names = new Set(stepsFrom(10, parts, 5000).map(([name]) => name))
  for (const { name } of Object.values(PARTS).flat()) expect(names).toContain(name)
  expect(() => actOf(['nothing', 1])).toThrow('there is no act “nothing”')
})

test('where two projects differ is said with what is there', () => {
  expect(differenceOf({ a: [{ b: 1 }] }, { a: [{ b: 2 }] })).toBe('/a/0/b: 1, now 2')
  expect(differenceOf({ a: 1 }, {})).toBe('/a: 1, now nothing')
})
