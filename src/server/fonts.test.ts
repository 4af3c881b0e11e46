/** The font files that ship. */
import { expect, test } from 'vitest'
import { FAMILIES } from '../core/text/families'
import { shippedFile, woff2 } from './fonts'

test('every file named is there to be fetched', async () => {
  const named = FAMILIES.flatMap((family) => [...family.upright, ...family.slanted])
  expect(named.length).toBeGreaterThan(30)
  for (const { id } of named) expect([id, (await woff2(id)).subarray(0, 4).toString()]).toEqual([id, 'wOF2'])
  await expect(woff2('no-such-font')).rejects.toThrow('there is no font file no-such-font')
})

test('so are those of East Asian characters, though nobody has looked them up before', async () => {
  expect((await woff2('noto-sans-jp-119-wght-normal')).subarray(0, 4).toString()).toBe('wOF2')
  expect(await shippedFile('noto-sans-kr-119-wght-normal')).toBeDefined()
  expect(await shippedFile('noto-sans-kr-999-wght-normal')).toBeUndefined()
})
