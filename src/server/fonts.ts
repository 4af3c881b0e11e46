/** Font files from the installed packages: as they ship (WOFF2), and uncompressed for shaping. */
import { readFile } from 'node:fs/promises'
import decompress from 'woff2-encoder/decompress'
import type { Blobs } from '../core/blobs/blobs'
import type { Document } from '../core/document/document'
import { readEastAsianTable } from '../core/text/east-asian'
import { type FontFile, fontFile } from '../core/text/families'
import { unpackedSize } from '../core/text/font-file'
import { FontLibrary } from '../core/text/fonts'
import { learnTexts } from '../core/text/learn'
import { fontsOf } from '../core/text/needed'

const packages = new URL('../../node_modules/@fontsource-variable/', import.meta.url)
const shipped = new URL('../../fonts/shipped/', import.meta.url)
const uncompressed = new Map<string, Promise<Uint8Array>>()

/** A file that ships, by its id; whoever asks for an East Asian one has met its characters. */
export async function shippedFile(id: string): Promise<FontFile | undefined> {
  if (!fontFile(id)) await readEastAsianTable()
  const file = fontFile(id)
  return file?.hash ? undefined : file
}

/** @throws when no such font file is shipped */
export async function woff2(id: string): Promise<Buffer> {
  const file = await shippedFile(id)
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

/** A file of a project's own. @throws when its bytes did not come along, or are no font */
async function ownOpenType({ family, hash }: FontFile, blobs: Blobs): Promise<Uint8Array> {
  const packed = blobs.get(hash!)
  if (!packed)
    throw new Error(`the font “${family}” did not come along; use the .lattice file, which holds it`)
  unpackedSize(packed)
  return decompress(packed)
}

const NO_BLOBS: Blobs = new Map()

/** Those that ship, for as long as the process runs. */
const library = new FontLibrary()
/** Where a project's own are among them they are let go with the document. */
const withOwn = new WeakMap<Document, FontLibrary>()

function libraryFor(doc: Document): FontLibrary {
  if (doc.fonts.length === 0) return library
  const known = withOwn.get(doc) ?? new FontLibrary()
  withOwn.set(doc, known)
  return known
}

/** Loads what a document's texts are set with. @param blobs hold its own fonts @throws when one of them is not there, or no font */
export async function loadFonts(doc: Document, blobs: Blobs = NO_BLOBS): Promise<FontLibrary> {
  const fonts = libraryFor(doc)
  await learnTexts(doc)
  for (const id of fontsOf(doc)) {
    if (fonts.has(id)) continue
    const file = fontFile(id)!
    fonts.add(id, await (file.hash ? ownOpenType(file, blobs) : openType(id)))
  }
  return fonts
}
