/** The font files that ship. */
import { expect, test } from 'vitest'
import { FAMILIES } from '../core/text/families'
import { woff2 } from './fonts'

test('every file named is there to be fetched', async () => {
  const named = FAMILIES.flatMap((family) => [...family.upright, ...family.slanted])
  expect(named.length).toBeGreaterThan(30)
  for (const { id } of named) expect([id, (await woff2(id)).subarray(0, 4).toString()]).toEqual([id, 'wOF2'])
  await expect(woff2('no-such-font')).rejects.toThrow('there is no font file no-such-font')
})
