/** A font file as it ships or as the project holds it, and unpacked for shaping. */
import decompress from 'woff2-encoder/decompress'

export type FontBytes = { woff2: ArrayBuffer; openType: ArrayBuffer }

/** @throws when it cannot be had */
export async function fontBytes(address: string): Promise<FontBytes> {
  const response = await fetch(address)
  if (!response.ok) throw new Error(`the font at ${address} did not load`)
  const woff2 = await response.arrayBuffer()
  const unpacked = await decompress(new Uint8Array(woff2))
  return { woff2, openType: unpacked.slice().buffer }
}
