import { expect, test } from 'vitest'
import { SIGNS, signsFor } from './signs'

test('found by name, by other words for it, and by itself', () => {
  expect(signsFor('copyright').map(({ sign }) => sign)).toEqual(['©'])
  expect(signsFor('arrow ri').map(({ sign }) => sign)).toEqual(['→'])
  expect(signsFor('1/2').map(({ sign }) => sign)).toEqual(['½'])
  expect(signsFor('€').map(({ name }) => name)).toEqual(['euro'])
  expect(signsFor('')).toHaveLength(SIGNS.length)
  expect(signsFor('no such thing')).toEqual([])
})

test('each is one character, once, with a name of its own', () => {
  for (const { sign } of SIGNS) expect([...sign]).toHaveLength(1)
  expect(new Set(SIGNS.map(({ sign }) => sign)).size).toBe(SIGNS.length)
  expect(new Set(SIGNS.map(({ name }) => name)).size).toBe(SIGNS.length)
})
