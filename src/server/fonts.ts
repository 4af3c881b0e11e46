/** Font files from the installed packages: as they ship (WOFF2), and uncompressed for shaping. */
import { readFile } from 'node:fs/promises'
import decompress from 'woff2-encoder/decompress'
import type { Document } from '../core/document/document'
import { FontLibrary, fontFile } from '../core/text/fonts'
import { fontsOf } from '../core/text/needed'

const packages = new URL('../../node_modules/@fontsource-variable/', import.meta.url)
const shipped = new URL('../../fonts/shipped/', import.meta.url)
const uncompressed = new Map<string, Promise<Uint8Array>>()

/** @throws when there is no such font file */
export async function woff2(id: string): Promise<Buffer> {
  const file = fontFile(id)
  if (!file) throw new Error(`there is no font file ${id}`)
  return readFile(
    file.isShipped ? new URL(`${id}.woff2`, shipped) : new URL(`${file.slug}/files/${id}.woff2`, packages),
  )
}

/** The licence of a font file's family. */
export function licenceOf(id: string): URL {
  const { slug, isShipped } = fontFile(id)!
  return isShipped ? new URL(`${slug}-LICENSE.txt`, shipped) : new URL(`${slug}/LICENSE`, packages)
}

export function openType(id: string): Promise<Uint8Array> {
  let bytes = uncompressed.get(id)
  if (!bytes) {
    bytes = woff2(id).then((file) => decompress(file))
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
