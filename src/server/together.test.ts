/** Work that is done together: in order, nothing twice, and nobody suffers for another. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type Outcome, Together } from './together'

const rest = () => new Promise((resolve) => setImmediate(resolve))

test('what arrives while a group is being done is the next group, in the order in which it came', async () => {
  const groups: number[][] = []
  const together = new Together<number, number>(async (jobs) => {
    groups.push([...jobs])
    for (let i = 0; i < 5; i++) await rest()
    return jobs.map((job) => ({ value: job * 10 }))
  }, 4)
  const first = together.add(1)
  await rest()
  await rest()
  const others = [2, 3, 4, 5, 6].map((job) => together.add(job))
  expect(await Promise.all([first, ...others])).toEqual([10, 20, 30, 40, 50, 60])
  expect(groups).toEqual([[1], [2, 3, 4, 5], [6]])
})

test('each job has its own outcome; one that goes again is before what came later', async () => {
  const seen: string[] = []
  const together = new Together<string, string>(async (jobs) => {
    seen.push(jobs.join(''))
    return jobs.map((job, i): Outcome<string> => {
      if (job === 'x') return { error: new Error('not x') }
      return i > 0 && job === 'b' ? { again: true } : { value: job }
    })
  }, 3)
  const asked = ['a', 'b', 'x', 'c'].map((job) => together.add(job).catch((error: Error) => error.message))
  expect(await Promise.all(asked)).toEqual(['a', 'b', 'not x', 'c'])
  expect(seen).toEqual(['abx', 'bc'])
})

test('a group that fails as a whole fails for all in it, and the next goes on', async () => {
  let broken = true
  const together = new Together<number, number>(async (jobs) => {
    if (broken) throw new Error('broken')
    return jobs.map((value) => ({ value }))
  }, 8)
  await expect(Promise.all([together.add(1), together.add(2)])).rejects.toThrow('broken')
  broken = false
  expect(await together.add(3)).toBe(3)
})

test('whatever comes when, every job is done once and answered with its own', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.nat(3), { maxLength: 40 }),
      fc.integer({ min: 1, max: 5 }),
      async (waits, most) => {
        const done: number[] = []
        const together = new Together<number, number>(async (jobs) => {
          expect(jobs.length).toBeLessThanOrEqual(most)
          await rest()
          done.push(...jobs)
          return jobs.map((value) => ({ value }))
        }, most)
        const answers: Promise<number>[] = []
        for (const [job, wait] of waits.entries()) {
          for (let i = 0; i < wait; i++) await rest()
          answers.push(together.add(job))
        }
        expect(await Promise.all(answers)).toEqual(waits.map((_, job) => job))
        expect(done).toEqual(waits.map((_, job) => job))
      },
    ),
    { numRuns: 50 },
  )
})
