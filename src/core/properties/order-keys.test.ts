/** Order keys: what is asked for is given where it can be; ties and what is no key are mended at the same place. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { byOrder, inOrder, isOrderKey, keyAmong } from './order-keys'

const key = fc.oneof(
  fc.constantFrom('a0', 'a1', 'a1V', 'Zz', 'b00'),
  fc.constantFrom('a00', '', 'hero', '~', 'a'),
  fc.string(),
)
const siblings = fc.uniqueArray(fc.record({ id: fc.string({ minLength: 1, maxLength: 3 }), order: key }), {
  selector: (each) => each.id,
  maxLength: 12,
})

test('keys that the ordering library refuses are no keys', () => {
  for (const bad of ['a00', '', 'hero', '~', 'a', 'A', 'z'.repeat(2000), 'A00000000000000000000000000'])
    expect(isOrderKey(bad), bad).toBe(false)
  for (const good of ['a0', 'a1V', 'Zz', 'b00', 'zzzzzzzzzzzzzzzzzzzzzzzzzzz'])
    expect(isOrderKey(good), good).toBe(true)
})

test('in order: same order as before, every key a key of its own, those that stand unchanged', () => {
  fc.assert(
    fc.property(siblings, (list) => {
      const mended = inOrder(list)
      expect(mended.map((each) => each.id)).toEqual([...list].sort(byOrder).map((each) => each.id))
      for (let i = 0; i < mended.length; i++) {
        expect(isOrderKey(mended[i]!.order)).toBe(true)
        if (i > 0) expect(mended[i]!.order > mended[i - 1]!.order).toBe(true)
      }
      expect(inOrder(mended)).toEqual(mended)
    }),
  )
})

test('among others: the key that was asked for, or one at the same place', () => {
  fc.assert(
    fc.property(siblings, key, fc.string({ minLength: 1, maxLength: 3 }), (list, wanted, id) => {
      const others = inOrder(list.filter((each) => each.id !== id))
      const given = keyAmong(others, wanted, id)
      expect(isOrderKey(given)).toBe(true)
      if (isOrderKey(wanted) && others.every((each) => each.order !== wanted)) expect(given).toBe(wanted)
      const place = (order: string) =>
        [...others, { id, order }].sort(byOrder).findIndex((each) => each.id === id)
      expect(place(given)).toBe(place(wanted))
      expect(others.some((each) => each.order === given)).toBe(false)
    }),
  )
})
