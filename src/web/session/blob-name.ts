/** Naming bytes without holding up the page. */
import { type BlobName, nameOf } from '../../core/blobs/blobs'

/** By the browser's own SHA-256, beside the page's work; where it has none (pages that are not secure), by ours. */
export async function blobName(bytes: Uint8Array): Promise<BlobName> {
  if (!globalThis.crypto?.subtle) return nameOf(bytes)
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>))
  const hash = [...digest].map((byte) => byte.toString(16).padStart(2, '0')).join('')
  return { hash, size: bytes.length }
}
