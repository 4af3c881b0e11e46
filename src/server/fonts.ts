/** Font files from the installed packages: as they ship (WOFF2), and uncompressed for shaping. */
import { readFile } from 'node:fs/promises'
import { decompress } from 'wawoff2'
import type { Document } from '../core/document/document'
import { FontLibrary, fontFile } from '../core/text/fonts'
import { fontsOf } from '../core/text/needed'

const packages = new URL('../../node_modules/@fontsource-variable/', import.meta.url)
const uncompressed = new Map<string, Promise<Uint8Array>>()

/** @throws when there is no such font file */
export async function woff2(id: string): Promise<Buffer> {
  const file = fontFile(id)
  if (!file) throw new Error(`there is no font file ${id}`)
  return readFile(new URL(`${file.slug}/files/${id}.woff2`, packages))
}

let queue: Promise<unknown> = Promise.resolve()

export function openType(id: string): Promise<Uint8Array> {
  let bytes = uncompressed.get(id)
  if (!bytes) {
    // The decompressor reuses its output buffer: one call at a time, each result copied.
    const next = queue.then(async () => (await decompress(await woff2(id))).slice())
    queue = next.catch(() => undefined)
    bytes = next
    uncompressed.set(id, bytes)
  }
  return bytes
}

export const library = new FontLibrary()

/** Loads what a document needs into the process's library. */
export async function loadFonts(doc: Document): Promise<FontLibrary> {
  for (const id of fontsOf(doc)) if (!library.has(id)) library.add(id, await openType(id))
  return library
}
