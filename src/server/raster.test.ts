/** Photographs of every kind are on covers and in our own PNG. */
import sharp from 'sharp'
import { expect, test } from 'vitest'
import { pngOf } from './raster'

const RED = { r: 220, g: 30, b: 20 }
const flat = sharp({ create: { width: 40, height: 20, channels: 3, background: RED } })

/** A picture of 100 × 100 px drawn over white. */
async function drawn(type: string, bytes: Buffer) {
  const address = `data:image/${type};base64,${bytes.toString('base64')}`
  const png = await pngOf(
    `<svg xmlns="http://www.w3.org/2000/svg" width="100" height="100"><rect width="100" height="100" fill="#fff"/><image width="100" height="100" href="${address}"/></svg>`,
    { mode: 'original' },
  )
  return sharp(png).raw().toBuffer()
}
const at = (pixels: Buffer, x: number, y: number) => [
  ...pixels.subarray((y * 100 + x) * 4, (y * 100 + x) * 4 + 3),
]
const isRed = ([r, g, b]: number[]) => r! > 200 && g! < 60 && b! < 60

test.each(['webp', 'png', 'jpeg'] as const)('%s', async (type) => {
  const pixels = await drawn(type, await flat.clone()[type]().toBuffer())
  expect(isRed(at(pixels, 50, 50))).toBe(true)
  expect(isRed(at(pixels, 50, 5))).toBe(false)
})

test('a JPEG that its camera held turned stands upright', async () => {
  const pixels = await drawn('jpeg', await flat.clone().withMetadata({ orientation: 6 }).jpeg().toBuffer())
  expect(isRed(at(pixels, 50, 5))).toBe(true)
  expect(isRed(at(pixels, 5, 50))).toBe(false)
})

test('what is no picture is left out', async () => {
  const pixels = await drawn('webp', Buffer.from('no picture at all'))
  expect(at(pixels, 50, 50)).toEqual([255, 255, 255])
})
