/** A project as a file: the inverse of opening one. */
import { writeArchive } from '../blobs/archive'
import type { Blobs } from '../blobs/blobs'
import type { Document } from './document'
import { namedBlobs } from './named-blobs'

/** The document as the text that a project file holds. */
export const projectJson = (doc: Document) => `${JSON.stringify(doc.toFile(), null, 1)}\n`

/** What a document names, of those given. */
export function namedBy(doc: Document, blobs: Blobs): Map<string, Uint8Array> {
  const named = new Map<string, Uint8Array>()
  for (const { hash } of namedBlobs(doc)) {
    const bytes = blobs.get(hash)
    if (bytes) named.set(hash, bytes)
  }
  return named
}

export const projectArchive = (doc: Document, blobs: Blobs) =>
  writeArchive(projectJson(doc), namedBy(doc, blobs))
