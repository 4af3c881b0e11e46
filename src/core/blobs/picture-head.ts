/** What the first bytes of a picture file say of it, before anything of it is unpacked. */
import type { PictureType } from './picture-type'

export type PictureSize = { width: number; height: number }

/** Longest side, px, and most pixels in all. */
export const MOST_SIDE = 20_000
export const MOST_PIXELS = 120_000_000

const u16 = (bytes: Uint8Array, at: number) => (bytes[at]! << 8) | bytes[at + 1]!
const u32 = (bytes: Uint8Array, at: number) => u16(bytes, at) * 65_536 + u16(bytes, at + 2)
const little = (bytes: Uint8Array, at: number, count: number) => {
  let value = 0
  for (let i = count - 1; i >= 0; i--) value = value * 256 + (bytes[at + i] ?? 0)
  return value
}
const tag = (bytes: Uint8Array, at: number) => String.fromCharCode(...bytes.subarray(at, at + 4))

/** The marker segments of a JPEG up to its first scan: [marker, where its content begins] (ITU T.81 annex B). */
function* segments(bytes: Uint8Array): Generator<[marker: number, at: number]> {
  let at = 2
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1]!
    // Fill bytes, and markers that stand alone.
    if (marker === 0xff) at++
    else if (marker === 0x01 || (marker >= 0xd0 && marker <= 0xd8)) at += 2
    else {
      yield [marker, at + 4]
      if (marker === 0xda) return
      at += 2 + u16(bytes, at + 2)
    }
  }
}

/** Start of frame of any coding; C4, C8 and CC are others. */
const isFrame = (marker: number) => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)

function jpegSize(bytes: Uint8Array): PictureSize | undefined {
  for (const [marker, at] of segments(bytes))
    if (isFrame(marker)) return { height: u16(bytes, at + 1), width: u16(bytes, at + 3) }
  return undefined
}

/** RFC 9649 §2.5 to §2.7. */
function webpSize(bytes: Uint8Array): PictureSize | undefined {
  const kind = tag(bytes, 12)
  if (kind === 'VP8X') return { width: little(bytes, 24, 3) + 1, height: little(bytes, 27, 3) + 1 }
  if (kind === 'VP8 ') return { width: little(bytes, 26, 2) & 0x3fff, height: little(bytes, 28, 2) & 0x3fff }
  if (kind !== 'VP8L') return undefined
  const bits = little(bytes, 21, 4)
  return { width: (bits % 16_384) + 1, height: (Math.floor(bits / 16_384) % 16_384) + 1 }
}

/** @returns undefined for an SVG picture, and where it is not said */
export function sizeInHead(bytes: Uint8Array, type: PictureType): PictureSize | undefined {
  if (type === 'image/png') return { width: u32(bytes, 16), height: u32(bytes, 20) }
  if (type === 'image/jpeg') return jpegSize(bytes)
  if (type === 'image/webp') return webpSize(bytes)
  return undefined
}

/** Bytes behind the end of a picture that cameras leave there. */
const BEHIND = 65_536

/** Whether a file goes on to its end: browsers draw what there is of one that was cut off. */
export function isWhole(bytes: Uint8Array, type: PictureType): boolean {
  if (type === 'image/webp') return bytes.length >= little(bytes, 4, 4) + 8
  const end =
    type === 'image/png' ? [0x49, 0x45, 0x4e, 0x44] : type === 'image/jpeg' ? [0xff, 0xd9] : undefined
  if (!end) return true
  const first = Math.max(0, bytes.length - BEHIND)
  for (let at = bytes.length - end.length; at >= first; at--)
    if (end.every((byte, i) => bytes[at + i] === byte)) return true
  return false
}

/** Why a picture is too large to be unpacked; undefined: it is not. */
export function sizeProblem({ width, height }: PictureSize): string | undefined {
  if (Math.max(width, height) <= MOST_SIDE && width * height <= MOST_PIXELS) return undefined
  return `is ${width} × ${height} px; at most ${MOST_SIDE.toLocaleString('en')} a side and ${MOST_PIXELS / 1e6} million in all`
}
