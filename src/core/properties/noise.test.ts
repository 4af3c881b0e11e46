import { PNG } from 'pngjs'
import { expect, test } from 'vitest'
import { fineNoiseTile, NOISE_TILE, noiseName, noiseNamed, noiseTile } from './noise'

const pixels = (noise: { amount: number; grain: number }) => PNG.sync.read(Buffer.from(noiseTile(noise)))

test('a tile is a PNG that others read, grey, as opaque as wanted', () => {
  const { width, height, data } = pixels({ amount: 40, grain: 1 })
  expect([width, height]).toEqual([NOISE_TILE, NOISE_TILE])
  const greys = new Set<number>()
  for (let at = 0; at < data.length; at += 4) {
    expect(data[at]).toBe(data[at + 2])
    expect(data[at + 3]).toBe(102)
    greys.add(data[at]!)
  }
  expect(greys.size).toBe(16)
})

test('it goes on into itself: its seam is no rougher than its middle', () => {
  const { data } = pixels({ amount: 100, grain: 8 })
  const step = (x: number) => {
    let sum = 0
    for (let y = 0; y < NOISE_TILE; y++)
      sum += Math.abs(data[(y * NOISE_TILE + x) * 4]! - data[(y * NOISE_TILE + ((x + 1) % NOISE_TILE)) * 4]!)
    return sum / NOISE_TILE
  }
  const inside = Math.max(...Array.from({ length: NOISE_TILE - 1 }, (_, x) => step(x)))
  expect(step(NOISE_TILE - 1)).toBeLessThanOrEqual(inside)
})

test('a finer one is the same grain, smooth between its points, as opaque', () => {
  const noise = { amount: 40, grain: 1 }
  const coarse = pixels(noise).data
  const { width, data } = PNG.sync.read(Buffer.from(fineNoiseTile(noise, 3)))
  expect(width).toBe(NOISE_TILE * 3)
  for (let y = 0; y < NOISE_TILE; y += 7)
    for (let x = 0; x < NOISE_TILE; x++) {
      const at = ((y * 3 + 1) * width + x * 3 + 1) * 4
      expect(data[at]).toBe(coarse[(y * NOISE_TILE + x) * 4])
      expect(data[at + 3]).toBe(102)
      // A third of the way to the next point, over the seam, too.
      const next = coarse[(y * NOISE_TILE + ((x + 1) % NOISE_TILE)) * 4]!
      expect(data[at + 4]! - (data[at]! * 2 + next) / 3).toBeCloseTo(0, -1)
    }
})

test('its name says what it is', () => {
  expect(noiseNamed(noiseName({ amount: 12.5, grain: 2 }))).toEqual({ amount: 12.5, grain: 2 })
  expect(noiseNamed('picture')).toBeUndefined()
})
