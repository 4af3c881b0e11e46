/** A project file: a zip with `project.json` and, under `blobs/`, every blob that it names. */
import { unzipSync, zipSync } from 'fflate'
import { type Blobs, HASH, MOST_BLOB } from './blobs'
import { crc32, crcIn } from './crc'

/** Bytes of everything in a project file, unpacked. */
export const MOST_UNPACKED = 400_000_000
/** Bytes of `project.json`. */
export const MOST_JSON = 64_000_000

export type Archive = { json: Uint8Array; blobs: Blobs }

export const isArchive = (bytes: Uint8Array) =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5)

const JSON_NAME = 'project.json'
const BLOB_NAME = /^blobs\/([0-9a-f]{64})$/

/**
 * What is in a project file. Nothing is unpacked that is none of its parts, or larger than it may be.
 * @throws Error with the reason
 */
export function readArchive(bytes: Uint8Array): Archive {
  let unpacked = 0
  let reason: string | undefined
  const files = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      const most = name === JSON_NAME ? MOST_JSON : BLOB_NAME.test(name) ? MOST_BLOB : 0
      if (most === 0 || reason) return false
      unpacked += originalSize
      if (originalSize > most) reason = `${name} is larger than ${most / 1_000_000} MB`
      else if (unpacked > MOST_UNPACKED)
        reason = `holds more than ${MOST_UNPACKED / 1_000_000} MB when it is unpacked`
      return !reason
    },
  })
  if (reason) throw new Error(reason)
  const json = files[JSON_NAME]
  if (!json) throw new Error(`is a zip without a ${JSON_NAME}`)
  // Blobs are checked by their names.
  if (crc32(json) !== crcIn(bytes, JSON_NAME))
    throw new Error(`is damaged: ${JSON_NAME} is not what was packed`)
  const blobs = new Map<string, Uint8Array>()
  for (const [name, content] of Object.entries(files)) {
    const hash = BLOB_NAME.exec(name)?.[1]
    if (hash) blobs.set(hash, content)
  }
  return { json, blobs }
}

/** Kept as they are: pictures are packed already. */
const STORED = { level: 0 } as const

/** The same project gives the same bytes. @param blobs those that `json` names */
export function writeArchive(json: string, blobs: Blobs): Uint8Array<ArrayBuffer> {
  const sorted = [...blobs].filter(([hash]) => HASH.test(hash)).sort(([a], [b]) => (a < b ? -1 : 1))
  return zipSync(
    {
      [JSON_NAME]: [new TextEncoder().encode(json), { level: 6 }],
      ...Object.fromEntries(sorted.map(([hash, bytes]) => [`blobs/${hash}`, [bytes, STORED] as const])),
    },
    { mtime: new Date('2026-01-01T00:00:00Z') },
  ) as Uint8Array<ArrayBuffer>
}
