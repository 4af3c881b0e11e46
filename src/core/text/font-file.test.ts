/** Fonts from outside: what is read of them, and what is refused. */
import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, test } from 'vitest'
import { OwnFamilySchema } from '../document/schema'
import { openType } from '../samples/fonts'
import { kindOfFont, readFont, unpackedSize } from './font-file'

const upright = await openType('source-serif-4-latin-wght-normal')
const slanted = await openType('source-serif-4-latin-wght-italic')
const mono = await openType('jetbrains-mono-latin-wght-normal')

test('what a file says of itself: family, weights, style, kind, characters', () => {
  expect(readFont(upright)).toMatchObject({
    family: 'Source Serif 4',
    italic: false,
    weights: [200, 900],
    category: 'serif',
    isRestricted: false,
  })
  expect(readFont(slanted)).toMatchObject({ family: 'Source Serif 4', italic: true })
  expect(readFont(mono)).toMatchObject({ category: 'mono' })
  expect(readFont(upright).ranges).toContain('U+20-7E')
  const { family, category, weights, ranges } = readFont(upright)
  const files = [{ weights, ranges, size: 1, hash: '0'.repeat(64) }]
  expect(v.safeParse(OwnFamilySchema, { id: 'a', family, category, files }).success).toBe(true)
})

const head = (tag: string, length = 60) => {
  const bytes = new Uint8Array(length)
  bytes.set([...tag].map((letter) => letter.charCodeAt(0)))
  return bytes
}
/** A WOFF2's first bytes: how long it says that it is, packed and unpacked. */
function packed(length: number, unpacked: number): Uint8Array {
  const bytes = head('wOF2')
  const view = new DataView(bytes.buffer)
  view.setUint32(8, length)
  view.setUint32(16, unpacked)
  return bytes
}

describe('refused, in words', () => {
  test('what is no font, several in one, or of a kind that is not taken', () => {
    expect(() => kindOfFont(head('%PDF'))).toThrow('it is no font')
    expect(() => kindOfFont(new Uint8Array())).toThrow('it is no font')
    expect(() => kindOfFont(head('ttcf'))).toThrow('a collection')
    expect(() => kindOfFont(head('wOFF'))).toThrow('of the first kind')
  })

  test('one that would unpack to more than is held, before anything is unpacked', () => {
    expect(unpackedSize(packed(60, 5_000_000))).toBe(5_000_000)
    expect(() => unpackedSize(packed(60, 4_000_000_000))).toThrow('4000 MB unpacked')
    expect(() => unpackedSize(packed(61, 5_000))).toThrow('cut off')
    expect(() => unpackedSize(head('wOF2', 20))).toThrow('no WOFF2')
  })

  test('one without what letters are drawn by', () => {
    const without = upright.slice()
    // The directory calls a table something else.
    for (let at = 12; at < 400; at += 16)
      if (String.fromCharCode(...without.subarray(at, at + 4)) === 'glyf')
        without.set([120, 120, 120, 120], at)
    expect(() => readFont(without)).toThrow('not outlines')
  })
})

test('however a file is cut off or changed, it is read or refused, and nothing else happens', () => {
  const changed = fc.tuple(
    fc.nat(upright.length),
    fc.array(fc.tuple(fc.oneof(fc.nat(600), fc.nat(upright.length - 1)), fc.nat(255)), { maxLength: 12 }),
  )
  fc.assert(
    fc.property(changed, fc.boolean(), ([length, bytes], isCut) => {
      const broken = upright.slice(0, isCut ? length : undefined)
      for (const [at, byte] of bytes) if (at < broken.length) broken[at] = byte
      try {
        const { weights, ranges } = readFont(broken)
        expect(weights[0]).toBeLessThanOrEqual(weights[1])
        expect(ranges).toMatch(/^U\+/)
      } catch (error) {
        expect(error).toBeInstanceOf(Error)
        expect((error as Error).name).toBe('Error')
      }
    }),
    { numRuns: 150 },
  )
})
