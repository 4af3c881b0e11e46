/** The checksums that a zip keeps of its files (PKWARE APPNOTE 6.3, sections 4.3.12, 4.3.16 and 4.4.7). */

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let value = n
  for (let bit = 0; bit < 8; bit++) value = value & 1 ? 0xedb88320 ^ (value >>> 1) : value >>> 1
  return value
})

export function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff
  for (const byte of bytes) crc = TABLE[(crc ^ byte) & 0xff]! ^ (crc >>> 8)
  return (crc ^ 0xffffffff) >>> 0
}

const END = 0x06054b50
const ENTRY = 0x02014b50
const END_SIZE = 22
const ENTRY_SIZE = 46

/** The checksum of a file in a zip, as its central directory says; undefined when it says none. */
export function crcIn(zip: Uint8Array, name: string): number | undefined {
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength)
  let end = zip.length - END_SIZE
  while (end >= 0 && view.getUint32(end, true) !== END) end--
  if (end < 0) return undefined
  let at = view.getUint32(end + 16, true)
  while (at + ENTRY_SIZE <= end && view.getUint32(at, true) === ENTRY) {
    const length = view.getUint16(at + 28, true)
    const own = new TextDecoder().decode(zip.subarray(at + ENTRY_SIZE, at + ENTRY_SIZE + length))
    if (own === name) return view.getUint32(at + 16, true)
    at += ENTRY_SIZE + length + view.getUint16(at + 30, true) + view.getUint16(at + 32, true)
  }
  return undefined
}
