/** Fonts for who lays samples out: whoever has files says how they are read. */
import type { Document } from '../document/document'
import { FontLibrary } from '../text/fonts'
import { learnTexts } from '../text/learn'
import { fontsOf } from '../text/needed'

/** Uncompressed, by a font file's id. */
type ReadFont = (id: string) => Promise<Uint8Array>

let read: ReadFont = () => Promise.reject(new Error('nobody has said how font files are read'))

export function readFontsWith(reader: ReadFont) {
  read = reader
}

export const openType: ReadFont = (id) => read(id)

const library = new FontLibrary()

/** Loads what a document needs. */
export async function loadFonts(doc: Document): Promise<FontLibrary> {
  await learnTexts(doc)
  for (const id of fontsOf(doc)) if (!library.has(id)) library.add(id, await read(id))
  return library
}
