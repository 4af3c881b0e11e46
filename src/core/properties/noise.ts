/**
 * Grain as a picture, made here: what `feTurbulence` draws differs from program to program, these pixels do not. A tile that goes on
 * into itself, grey in sixteen steps, as opaque as wanted.
 */
import { dataUrl } from '../blobs/blobs'
import { crc32 } from '../blobs/crc'
import { chance } from '../forms/chance'

/** A tile's side, px. */
export const NOISE_TILE = 128
const LEVELS = 16

/** `amount`: how opaque, percent; `grain`: px. */
export type Noise = { amount: number; grain: number }

/** What a tile goes by among pictures: no id of theirs has a space. */
export const noiseName = ({ amount, grain }: Noise) => `noise ${amount} ${grain}`

export function noiseNamed(name: string): Noise | undefined {
  const [, amount, grain] = /^noise (\S+) (\S+)$/.exec(name) ?? []
  return amount === undefined ? undefined : { amount: Number(amount), grain: Number(grain) }
}

/** Value noise: chance at the points of a lattice as wide as a grain, smooth between them. */
function valueAt(x: number, y: number, count: number): number {
  const step = NOISE_TILE / count
  const [u, v] = [x / step, y / step]
  const [left, top] = [Math.floor(u), Math.floor(v)]
  const smooth = (t: number) => t * t * (3 - 2 * t)
  const [across, down] = [smooth(u - left), smooth(v - top)]
  const at = (dx: number, dy: number) => chance((left + dx) % count, (top + dy) % count)
  const upper = at(0, 0) * (1 - across) + at(1, 0) * across
  const lower = at(0, 1) * (1 - across) + at(1, 1) * across
  return upper * (1 - down) + lower * down
}

const big = (value: number) => [value >>> 24, (value >>> 16) & 255, (value >>> 8) & 255, value & 255]

function chunk(type: string, data: readonly number[]): number[] {
  const body = [...type].map((char) => char.charCodeAt(0)).concat(data)
  return [...big(data.length), ...body, ...big(crc32(Uint8Array.from(body)))]
}

/** Longest stored block. */
const MOST_STORED = 0xffff

/** Bytes as zlib has them, stored as they are (RFC 1950, RFC 1951 §3.2.4). */
function stored(bytes: readonly number[]): number[] {
  let [a, b] = [1, 0]
  for (const byte of bytes) {
    a = (a + byte) % 65521
    b = (b + a) % 65521
  }
  const out = [0x78, 0x01]
  for (let from = 0; from < bytes.length; from += MOST_STORED) {
    const block = bytes.slice(from, from + MOST_STORED)
    const { length } = block
    out.push(
      from + length === bytes.length ? 1 : 0,
      length & 255,
      length >> 8,
      ~length & 255,
      (~length >> 8) & 255,
    )
    for (const byte of block) out.push(byte)
  }
  return [...out, ...big(((b << 16) | a) >>> 0)]
}

/** How light each point of a tile is, 0 to 15. */
function levelsOf({ grain }: Noise): Uint8Array {
  const count = Math.max(1, Math.min(NOISE_TILE, Math.round(NOISE_TILE / Math.max(1, grain))))
  const levels = new Uint8Array(NOISE_TILE * NOISE_TILE)
  for (let y = 0; y < NOISE_TILE; y++)
    for (let x = 0; x < NOISE_TILE; x++)
      levels[y * NOISE_TILE + x] = Math.min(LEVELS - 1, Math.floor(valueAt(x, y, count) * LEVELS))
  return levels
}

/** PNG (ISO 15948) of greys, all as opaque. @param rows of the picture as it is stored @param bits a pixel */
function greyPng(side: number, bits: 4 | 8, amount: number, rows: readonly number[]): Uint8Array {
  const greys = Array.from({ length: 2 ** bits }, (_, i) => Math.round((i * 255) / (2 ** bits - 1)))
  const alpha = Math.round((amount / 100) * 255)
  return Uint8Array.from([
    ...[0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
    ...chunk('IHDR', [...big(side), ...big(side), bits, 3, 0, 0, 0]),
    ...chunk(
      'PLTE',
      greys.flatMap((grey) => [grey, grey, grey]),
    ),
    ...chunk(
      'tRNS',
      greys.map(() => alpha),
    ),
    ...chunk('IDAT', stored(rows)),
    ...chunk('IEND', []),
  ])
}

export function noiseTile(noise: Noise): Uint8Array {
  const levels = levelsOf(noise)
  const rows: number[] = []
  for (let y = 0; y < NOISE_TILE; y++) {
    rows.push(0)
    for (let x = 0; x < NOISE_TILE; x += 2) {
      const at = y * NOISE_TILE + x
      rows.push((levels[at]! << 4) | levels[at + 1]!)
    }
  }
  return greyPng(NOISE_TILE, 4, noise.amount, rows)
}

/** A tile in so many device pixels for one px, between its points as screens draw it: whoever has another way is not asked. */
export function fineNoiseTile(noise: Noise, scale: number): Uint8Array {
  const levels = levelsOf(noise)
  const side = NOISE_TILE * scale
  /** The points before and behind a pixel's middle, and how far it is between them. */
  const between = (pixel: number) => {
    const at = (pixel + 0.5) / scale - 0.5 + NOISE_TILE
    return [Math.floor(at) % NOISE_TILE, (Math.floor(at) + 1) % NOISE_TILE, at - Math.floor(at)] as const
  }
  const across = Array.from({ length: side }, (_, x) => between(x))
  const rows: number[] = []
  for (const [upper, lower, down] of across) {
    rows.push(0)
    for (const [left, right, along] of across) {
      const on = (y: number) =>
        levels[y * NOISE_TILE + left]! * (1 - along) + levels[y * NOISE_TILE + right]! * along
      rows.push(Math.round(((on(upper) * (1 - down) + on(lower) * down) * 255) / (LEVELS - 1)))
    }
  }
  return greyPng(side, 8, noise.amount, rows)
}

const known = new Map<string, string>()

/** A tile as an address that holds it. */
export function noiseUrl(noise: Noise): string {
  const name = noiseName(noise)
  let url = known.get(name)
  if (!url) {
    url = dataUrl('image/png', noiseTile(noise))
    if (known.size > 200) known.clear()
    known.set(name, url)
  }
  return url
}
