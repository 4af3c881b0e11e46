/** A font file from outside: what it says of itself, and as it is kept: whole, and in parts where it is large. */
import { codesIn, parseRanges } from '../core/text/code-ranges'
import { FontCutter, type Subsetter } from '../core/text/font-cutter'
import { canBeCut, type FontFacts, kindOfFont, readFont, unpackedSize } from '../core/text/font-file'
import { partsOf } from '../core/text/font-parts'
import { drawsEastAsian } from '../core/text/scripts'

/** WOFF2, and the characters that it draws. */
export type PackedFont = { ranges: string; woff2: ArrayBuffer }
/** `parts`: empty where it is better left whole. */
export type ReadFont = { facts: FontFacts; whole: PackedFont; parts: PackedFont[] }

/** What is fetched when a large font comes. */
export type CutterSource = () => Promise<BufferSource>

async function pack(openType: Uint8Array): Promise<ArrayBuffer> {
  const { compress } = await import('woff2-encoder')
  const packed = await compress(openType).catch(() => {
    throw new Error('the font is damaged: it cannot be packed')
  })
  return packed.slice().buffer
}

async function unpack(bytes: Uint8Array): Promise<Uint8Array> {
  unpackedSize(bytes)
  const { default: decompress } = await import('woff2-encoder/decompress')
  return decompress(bytes).catch(() => {
    throw new Error('the font is damaged: it cannot be unpacked')
  })
}

/**
 * @param bytes WOFF2, TTF or OTF
 * @param cutter harfbuzz-subset.wasm
 * @param said how many parts are made, and of how many
 * @throws Error with a reason for the user
 */
export async function readFontFile(
  bytes: Uint8Array,
  cutter: CutterSource,
  said?: (made: number, of: number) => void,
): Promise<ReadFont> {
  const isPacked = kindOfFont(bytes) === 'woff2'
  const openType = isPacked ? await unpack(bytes) : bytes
  const facts = readFont(openType)
  const parts = await partsIn(openType, facts.ranges, cutter, said)
  const woff2 = isPacked ? bytes.slice().buffer : await pack(openType)
  return { facts, whole: { ranges: facts.ranges, woff2 }, parts }
}

async function partsIn(
  openType: Uint8Array,
  ranges: string,
  cutter: CutterSource,
  said?: (made: number, of: number) => void,
): Promise<PackedFont[]> {
  const drawn = parseRanges(ranges)
  // Most fonts need not know how East Asian ones are parted.
  if (!drawsEastAsian(drawn) || !canBeCut(openType)) return []
  const { EAST_ASIAN } = await import('../core/text/catalogue-east')
  const wanted = partsOf([...codesIn(drawn)], EAST_ASIAN)
  if (wanted.length === 0) return []
  const { instance } = await WebAssembly.instantiate(await cutter())
  const font = new FontCutter(instance.exports as unknown as Subsetter, openType)
  const parts: PackedFont[] = []
  for (const part of wanted) {
    said?.(parts.length, wanted.length)
    parts.push({ ranges: part.ranges, woff2: await pack(font.cut(part.codes)) })
  }
  return parts
}
