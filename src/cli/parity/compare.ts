/** Two pictures of a page, pixel by pixel. */
import pixelmatch from 'pixelmatch'
import sharp from 'sharp'

export type Pixels = { width: number; height: number; data: Uint8Array }

/** On white. @throws when it is no picture */
export async function pixelsOf(png: Uint8Array): Promise<Pixels> {
  const { data, info } = await sharp(png, { limitInputPixels: false })
    .flatten({ background: '#fff' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  return { width: info.width, height: info.height, data }
}

export const pngOf = ({ width, height, data }: Pixels): Promise<Uint8Array> =>
  sharp(data, { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer()

/** As large as `width` × `height`, white where there was nothing. */
function framed({ data, ...size }: Pixels, width: number, height: number): Uint8Array {
  const out = new Uint8Array(width * height * 4).fill(255)
  const across = Math.min(width, size.width) * 4
  for (let y = 0; y < Math.min(height, size.height); y++)
    out.set(data.subarray(y * size.width * 4, y * size.width * 4 + across), y * width * 4)
  return out
}

/** Whether everything within so many device pixels is of one colour. */
function isFlat(data: Uint8Array, width: number, x: number, y: number, reach: number): boolean {
  const at = (y * width + x) * 4
  for (let dy = -reach; dy <= reach; dy++)
    for (let dx = -reach; dx <= reach; dx++) {
      const other = at + (dy * width + dx) * 4
      for (let c = 0; c < 3; c++) if (Math.abs(data[other + c]! - data[at + c]!) > 1) return false
    }
  return true
}

/** The largest difference of a channel in the middle of flat areas, 0 to 255; edges are for `share`. */
function flatDifference(a: Uint8Array, b: Uint8Array, width: number, height: number, scale: number): number {
  let most = 0
  const reach = 2 * scale
  for (let y = reach; y < height - reach; y += 2)
    for (let x = reach; x < width - reach; x += 2) {
      const at = (y * width + x) * 4
      let difference = 0
      for (let c = 0; c < 3; c++) difference = Math.max(difference, Math.abs(a[at + c]! - b[at + c]!))
      if (difference > most && isFlat(a, width, x, y, reach) && isFlat(b, width, x, y, reach))
        most = difference
    }
  return most
}

/** `share`: of the pixels that differ to the eye, smoothed edges left out (pixelmatch, YIQ), 0 to 1. */
export type Compared = { share: number; flat: number; picture: Pixels }

/** @param scale device pixels for one CSS px: flat is what is of one colour within two px */
export function compare(one: Pixels, other: Pixels, scale = 1): Compared {
  const width = Math.max(one.width, other.width)
  const height = Math.max(one.height, other.height)
  const [a, b] = [framed(one, width, height), framed(other, width, height)]
  const picture = new Uint8Array(width * height * 4)
  if (Buffer.compare(a, b) === 0) return { share: 0, flat: 0, picture: { width, height, data: a } }
  const count = pixelmatch(a, b, picture, width, height, { threshold: 0.1 })
  return {
    share: count / (width * height),
    flat: flatDifference(a, b, width, height, scale),
    picture: { width, height, data: picture },
  }
}
