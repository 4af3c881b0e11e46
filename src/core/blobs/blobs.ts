/** Bytes by their names: the SHA-256 of what they are (FIPS 180-4), in 64 small hexadecimal digits. */
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { base64Of } from './base64'

/** Bytes by hash. */
export type Blobs = ReadonlyMap<string, Uint8Array>
export type BlobName = { hash: string; size: number }

export const HASH = /^[0-9a-f]{64}$/
/** Largest blob, bytes. */
export const MOST_BLOB = 40_000_000
/** Bytes that are sent, and kept, in one piece. */
export const PART = 1_000_000

/** How many pieces a blob is sent in. */
export const partsOf = (size: number) => Math.max(1, Math.ceil(size / PART))

export const hashOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes))
export const nameOf = (bytes: Uint8Array): BlobName => ({ hash: hashOf(bytes), size: bytes.length })

export const dataUrl = (type: string, bytes: Uint8Array) => `data:${type};base64,${base64Of(bytes)}`
