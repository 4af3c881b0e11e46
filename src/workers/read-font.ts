/** A font file from outside: what it says of itself, and as it is kept. */
import { type FontFacts, kindOfFont, readFont, unpackedSize } from '../core/text/font-file'

export type ReadFont = { facts: FontFacts; woff2: ArrayBuffer }

/** @param bytes WOFF2, TTF or OTF @throws Error with a reason for the user */
export async function readFontFile(bytes: Uint8Array): Promise<ReadFont> {
  if (kindOfFont(bytes) === 'woff2') {
    unpackedSize(bytes)
    const { default: decompress } = await import('woff2-encoder/decompress')
    const unpacked = await decompress(bytes).catch(() => {
      throw new Error('the font is damaged: it cannot be unpacked')
    })
    return { facts: readFont(unpacked), woff2: bytes.slice().buffer }
  }
  const facts = readFont(bytes)
  const { compress } = await import('woff2-encoder')
  const packed = await compress(bytes).catch(() => {
    throw new Error('the font is damaged: it cannot be packed')
  })
  return { facts, woff2: packed.slice().buffer }
}
