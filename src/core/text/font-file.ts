/**
 * Font files from outside: what they are, and what they say of themselves (OpenType 1.9; WOFF 2.0). Nothing that they say is taken
 * for true before it is looked at: a header may promise any size.
 */
import * as hb from 'harfbuzzjs'
import type { OwnFamily } from '../document/schema'
import { rangesOf } from './code-ranges'

/** Largest font that is unpacked, bytes. */
export const MOST_UNPACKED_FONT = 40_000_000
/** Tables that no font can be set without. */
const NEEDED = ['cmap', 'head', 'hhea', 'hmtx', 'maxp']
const OUTLINES = ['glyf', 'CFF ', 'CFF2']

export type FontFacts = {
  /** As the file calls its family. */
  family: string
  italic: boolean
  /** The least and the most weight; of a file that does not vary both are the same. */
  weights: [number, number]
  category: OwnFamily['category']
  /** The characters that it draws, as CSS says them. */
  ranges: string
  /** It says of itself that it may not be embedded (OS/2, fsType). */
  isRestricted: boolean
}

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
const tagAt = (bytes: Uint8Array, at: number) => String.fromCharCode(...bytes.subarray(at, at + 4))

/** @throws in words, when a file is none of the kinds of fonts that can be used */
export function kindOfFont(bytes: Uint8Array): 'woff2' | 'opentype' {
  const tag = tagAt(bytes, 0)
  if (tag === 'wOF2') return 'woff2'
  if (tag === 'OTTO' || tag === 'true' || tag === '\0\u0001\0\0') return 'opentype'
  if (tag === 'ttcf') throw new Error('it is a collection of several fonts; take one out of it as TTF or OTF')
  if (tag === 'wOFF')
    throw new Error('it is a WOFF of the first kind; take the WOFF2, TTF or OTF of the same font')
  throw new Error('it is no font: a WOFF2, TTF or OTF file is needed')
}

/** Bytes that a WOFF2 says it is when it is unpacked. @throws in words, when it is none, cut off, or too large */
export function unpackedSize(bytes: Uint8Array): number {
  if (kindOfFont(bytes) !== 'woff2' || bytes.length < 48) throw new Error('it is no WOFF2 font')
  const view = viewOf(bytes)
  if (view.getUint32(8) !== bytes.length) throw new Error('the font is cut off: it is not as long as it says')
  const size = view.getUint32(16)
  if (size > MOST_UNPACKED_FONT)
    throw new Error(
      `it would be ${Math.round(size / 1e6)} MB unpacked; a font may be ${MOST_UNPACKED_FONT / 1e6} MB`,
    )
  return size
}

/** Where each table lies. @throws in words */
function tablesOf(bytes: Uint8Array): Map<string, Uint8Array> {
  const view = viewOf(bytes)
  const tables = new Map<string, Uint8Array>()
  for (let i = 0; i < view.getUint16(4); i++) {
    const at = 12 + i * 16
    const offset = view.getUint32(at + 8)
    const length = view.getUint32(at + 12)
    if (offset + length > bytes.length) throw new RangeError('a table lies outside')
    tables.set(tagAt(bytes, at), bytes.subarray(offset, offset + length))
  }
  return tables
}

/** What cutting a font leaves out: pictures of letters, and how some set them instead of by OpenType's rules. */
const UNCUT = ['SVG ', 'EBDT', 'morx', 'kerx', 'Silf']

/** Whether nothing of an uncompressed OpenType font is lost when it is cut. */
export function canBeCut(bytes: Uint8Array): boolean {
  const tables = tablesOf(bytes)
  return !UNCUT.some((tag) => tables.has(tag)) && (!tables.has('kern') || tables.has('GPOS'))
}

/** @param bytes an uncompressed OpenType font @throws in words */
export function readFont(bytes: Uint8Array): FontFacts {
  if (bytes.length > MOST_UNPACKED_FONT)
    throw new Error(
      `it is ${Math.round(bytes.length / 1e6)} MB; a font may be ${MOST_UNPACKED_FONT / 1e6} MB`,
    )
  let tables: Map<string, Uint8Array>
  try {
    tables = tablesOf(bytes)
    const missing = NEEDED.filter((tag) => !tables.has(tag))
    if (missing.length > 0) throw new Error(`it has no table “${missing.join('”, “')}”`)
    if (!OUTLINES.some((tag) => tables.has(tag)))
      throw new Error('its letters are pictures, not outlines: such fonts cannot be set here')
    return factsOf(new hb.Face(new hb.Blob(bytes.slice())), tables)
  } catch (error) {
    if (error instanceof RangeError) throw new Error('the font is cut off, or damaged')
    throw error
  }
}

function factsOf(face: hb.Face, tables: ReadonlyMap<string, Uint8Array>): FontFacts {
  const codes = face.collectUnicodes()
  if (codes.length === 0) throw new Error('it draws no characters')
  const os2 = tables.has('OS/2') ? viewOf(tables.get('OS/2')!) : undefined
  const axis = face.getAxisInfos().wght
  const weight = Math.min(1000, Math.max(1, os2?.getUint16(4) || 400))
  const selection = os2?.getUint16(62) ?? 0
  const mac = viewOf(tables.get('head')!).getUint16(44)
  return {
    family: familyName(face),
    italic: (selection & 1) !== 0 || (mac & 2) !== 0,
    weights: axis ? [Math.max(1, axis.min), Math.min(1000, axis.max)] : [weight, weight],
    category: categoryOf(os2, tables.get('post')),
    ranges: rangesOf(codes),
    isRestricted: ((os2?.getUint16(8) ?? 0) & 0xf) === 2,
  }
}

/** The typographic family, or the family; without what CSS cannot hold. */
function familyName(face: hb.Face): string {
  for (const id of [16, 1]) {
    const name = face
      .getName(id, 'en')
      .replace(/[\p{C}"\\]/gu, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, 90)
    if (name !== '') return name
  }
  return 'Font'
}

/** What it says of its kind: figures of one width, and its class (IBM font class, or PANOSE). */
function categoryOf(os2: DataView | undefined, post: Uint8Array | undefined): OwnFamily['category'] {
  if (post && viewOf(post).getUint32(12) !== 0) return 'mono'
  if (!os2) return 'sans'
  const family = os2.getInt8(30)
  const [kind, serifs] = [os2.getUint8(32), os2.getUint8(33)]
  if (family === 10 || kind === 3) return 'hand'
  if ((family >= 1 && family <= 5) || family === 7) return 'serif'
  return kind === 2 && serifs >= 2 && serifs <= 10 ? 'serif' : 'sans'
}
