import fc from 'fast-check'
import sharp, { type Sharp } from 'sharp'
import { describe, expect, test } from 'vitest'
import { isWhole, sizeInHead, sizeProblem } from './picture-head'
import { typeOfPicture } from './picture-type'

const side = fc.integer({ min: 1, max: 400 })
const kinds = {
  png: (of: Sharp) => of.png(),
  jpeg: (of: Sharp) => of.jpeg(),
  progressive: (of: Sharp) => of.jpeg({ progressive: true }),
  webp: (of: Sharp) => of.webp(),
  lossless: (of: Sharp) => of.webp({ lossless: true }),
  transparent: (of: Sharp) => of.ensureAlpha(0.5).webp(),
}
type Name = keyof typeof kinds
const names = Object.keys(kinds) as Name[]
const drawn = async (name: Name, width: number, height: number) => {
  const background = { r: 90, g: 140, b: 60 }
  return new Uint8Array(
    await kinds[name](sharp({ create: { width, height, channels: 3, background } })).toBuffer(),
  )
}

describe('the head of a picture file', () => {
  test.each(names)('%s: says its size, and whether the file goes on to its end', (name) =>
    fc.assert(
      fc.asyncProperty(
        side,
        side,
        fc.double({ min: 0.1, max: 0.95, noNaN: true }),
        async (width, height, part) => {
          const bytes = await drawn(name, width, height)
          const type = typeOfPicture(bytes)!
          expect(sizeInHead(bytes, type)).toEqual({ width, height })
          expect(isWhole(bytes, type)).toBe(true)
          expect(isWhole(bytes.subarray(0, Math.floor(bytes.length * part)), type)).toBe(false)
        },
      ),
      { numRuns: 12 },
    ),
  )
  test('with a colour profile and a preview in front, too', async () => {
    const picture = sharp({ create: { width: 64, height: 48, channels: 3, background: '#777777' } })
    const bytes = new Uint8Array(await picture.withMetadata({ orientation: 6 }).jpeg().toBuffer())
    expect(sizeInHead(bytes, 'image/jpeg')).toEqual({ width: 64, height: 48 })
  })
  test('whatever the bytes, nothing is thrown', () =>
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 64 }), (bytes) => {
        for (const type of ['image/png', 'image/jpeg', 'image/webp', 'image/svg+xml'] as const) {
          sizeInHead(bytes, type)
          isWhole(bytes, type)
        }
      }),
    ))
})

test('what is too large to be unpacked is said with what may be', () => {
  expect(sizeProblem({ width: 12_000, height: 10_000 })).toBeUndefined()
  expect(sizeProblem({ width: 20_001, height: 10 })).toBe(
    'is 20001 × 10 px; at most 20,000 a side and 120 million in all',
  )
  expect(sizeProblem({ width: 19_000, height: 19_000 })).toContain('19000 × 19000')
})
