/** A font file as it ships, and unpacked for shaping. */
import decompress from 'woff2-encoder/decompress'

export type FontBytes = { woff2: ArrayBuffer; openType: ArrayBuffer }

/** @throws when it cannot be had */
export async function fontBytes(id: string): Promise<FontBytes> {
  const response = await fetch(`/fonts/${id}.woff2`)
  if (!response.ok) throw new Error(`the font ${id} did not load`)
  const woff2 = await response.arrayBuffer()
  const unpacked = await decompress(new Uint8Array(woff2))
  return { woff2, openType: unpacked.slice().buffer }
}
