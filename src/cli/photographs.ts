/** Photographs drawn by rule, with light, detail and grain, as cameras give them: what checks put on pages beside drawings. */
import sharp from 'sharp'
import { nameOf } from '../core/blobs/blobs'
import type { Asset } from '../core/document/schema'
import { randomFrom } from './random'

/** `clear`: how much of it lets through what is behind, 0 to 1; only PNG and WebP can. */
export type Sitting = {
  id: string
  name: string
  type: 'image/jpeg' | 'image/png' | 'image/webp'
  width: number
  height: number
  seed: number
  clear?: number
}
export type Photographed = { asset: Asset; bytes: Uint8Array }

/** Sizes that cameras and telephones give, cut to what is quick to draw; odd ones, too. */
const SITTINGS: readonly Sitting[] = [
  { id: 'photo-field', name: 'Field.jpg', type: 'image/jpeg', width: 1200, height: 800, seed: 11 },
  { id: 'photo-tall', name: 'Path.webp', type: 'image/webp', width: 613, height: 921, seed: 12 },
  { id: 'photo-cut', name: 'Leaf.png', type: 'image/png', width: 480, height: 360, seed: 13, clear: 0.4 },
]

type Light = { x: number; y: number; reach: number; ink: readonly number[] }

/** RGBA, row by row. */
function pixels({ width, height, seed, clear = 0 }: Sitting): Buffer {
  const random = randomFrom(seed)
  const between = (low: number, high: number) => low + random() * (high - low)
  const lights: Light[] = Array.from({ length: 9 }, () => ({
    x: random(),
    y: random(),
    reach: between(0.05, 0.5),
    ink: [between(20, 235), between(40, 220), between(20, 200)],
  }))
  const [stalks, lean] = [between(18, 40), between(-0.6, 0.6)]
  const data = Buffer.alloc(width * height * 4)
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const [x, y] = [column / width, row / height]
      let [weight, red, green, blue] = [0.05, 2, 3, 2]
      for (const { x: cx, y: cy, reach, ink } of lights) {
        const near = Math.exp(-((x - cx) ** 2 + (y - cy) ** 2) / reach ** 2)
        weight += near
        red += near * ink[0]!
        green += near * ink[1]!
        blue += near * ink[2]!
      }
      const detail = 18 * Math.sin((x + lean * y) * stalks * 6.283) * y + (random() - 0.5) * 22
      const edge = Math.hypot(x - 0.5, y - 0.5)
      const at = (row * width + column) * 4
      data[at] = Math.max(0, Math.min(255, red / weight + detail))
      data[at + 1] = Math.max(0, Math.min(255, green / weight + detail))
      data[at + 2] = Math.max(0, Math.min(255, blue / weight + detail))
      data[at + 3] = 255 * Math.max(0, Math.min(1, 1 - clear * 6 * Math.max(0, edge - 0.3)))
    }
  return data
}

export async function photograph(sitting: Sitting): Promise<Photographed> {
  const { id, name, type, width, height } = sitting
  const raw = sharp(pixels(sitting), { raw: { width, height, channels: 4 } })
  const file =
    type === 'image/png'
      ? raw.png()
      : type === 'image/webp'
        ? raw.webp({ quality: 82 })
        : raw.removeAlpha().jpeg({ quality: 82 })
  const bytes = new Uint8Array(await file.toBuffer())
  return { asset: { id, name, type, width, height, ...nameOf(bytes) }, bytes }
}

let drawn: Promise<Photographed[]> | undefined

/** A JPEG, a WebP and a PNG with edges that are seen through; drawn once a process. */
export async function photographs() {
  drawn ??= Promise.all(SITTINGS.map(photograph))
  const all = await drawn
  return {
    assets: all.map(({ asset }) => asset),
    blobs: new Map(all.map(({ asset, bytes }) => [asset.hash, bytes] as const)),
  }
}
