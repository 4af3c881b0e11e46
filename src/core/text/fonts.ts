/** The shipped font families, their files, and the faces made of them for shaping. */
import * as hb from 'harfbuzzjs'
import { DEFAULT_FAMILY } from '../document/resolve'
import { CATALOGUE } from './catalogue'

export type FontFile = {
  /** File name without ending: `fraunces-latin-wght-italic`. */
  id: string
  family: string
  slug: string
  italic: boolean
  weights: [number, number]
  /** CSS `unicode-range`. */
  ranges: string
}

export type Family = {
  family: string
  slug: string
  category: string
  weights: [number, number]
  italic: boolean
  /** Files by style, in the order in which a character is looked for. */
  upright: FontFile[]
  slanted: FontFile[]
}

type Interval = [number, number]

const files = new Map<string, FontFile>()
const intervals = new Map<string, Interval[]>()

function parseRanges(ranges: string): Interval[] {
  return ranges.split(',').map((range) => {
    const [from, to] = range.trim().replace('U+', '').split('-')
    return [Number.parseInt(from, 16), Number.parseInt(to ?? from, 16)]
  })
}

export const FAMILIES: Family[] = CATALOGUE.map((entry) => {
  const weights: [number, number] = [entry.weights[0], entry.weights[1]]
  const make = (style: 'normal' | 'italic') =>
    entry.subsets.map((subset) => {
      const file: FontFile = {
        id: `${entry.slug}-${subset.name}-wght-${style}`,
        family: entry.family,
        slug: entry.slug,
        italic: style === 'italic',
        weights,
        ranges: subset.ranges,
      }
      files.set(file.id, file)
      intervals.set(file.id, parseRanges(subset.ranges))
      return file
    })
  return { ...entry, weights, upright: make('normal'), slanted: entry.italic ? make('italic') : [] }
})

const BY_NAME = new Map(FAMILIES.map((family) => [family.family, family]))

export const fontFile = (id: string) => files.get(id)
export const familyNamed = (name: string) => BY_NAME.get(name)

/** Families tried after the one asked for; the handoff writes the same list into `font-family`. */
export const FALLBACK = [DEFAULT_FAMILY, 'Literata']

export function familyChain(name: string): Family[] {
  const names = [name, ...FALLBACK.filter((fallback) => fallback !== name)]
  return names.flatMap((each) => BY_NAME.get(each) ?? [])
}

const covers = (file: FontFile, code: number) =>
  intervals.get(file.id)!.some(([from, to]) => code >= from && code <= to)

/** The files of a family in a style; a family without italics gives its upright (the browser slants it). */
const filesOf = (family: Family, italic: boolean) =>
  italic && family.slanted.length > 0 ? family.slanted : family.upright

/** The file whose `unicode-range` claims a character, looking through the chain; undefined when none does. */
export function fileFor(
  chain: Family[],
  italic: boolean,
  code: number,
  missing?: (file: FontFile) => boolean,
): FontFile | undefined {
  for (const family of chain) {
    for (const file of filesOf(family, italic)) if (covers(file, code) && !missing?.(file)) return file
  }
  return undefined
}

/** Every file that a text in a family and style may need. */
export function filesNeeded(family: string, italic: boolean, text: string, into: Set<string>) {
  const chain = familyChain(family)
  into.add(filesOf(chain[0], italic)[0].id)
  for (const char of text) {
    const code = char.codePointAt(0)!
    if (code < 0x20) continue
    for (const each of chain) {
      const file = filesOf(each, italic).find((candidate) => covers(candidate, code))
      if (file) {
        into.add(file.id)
        break
      }
    }
  }
}

export type FaceMetrics = { ascent: number; descent: number }

/** A loaded file at one weight. */
export class Face {
  readonly upem: number
  private readonly extents: { ascender: number; descender: number }
  private readonly paths = new Map<number, string>()
  constructor(
    readonly id: string,
    readonly file: FontFile,
    readonly font: hb.Font,
    upem: number,
  ) {
    this.upem = upem
    this.extents = font.hExtents()
  }

  /**
   * Ascent and descent at a size, whole px. Rounded as Chromium does with subpixel positioning: a descent that
   * rounding cut short takes a px from the ascent.
   */
  metrics(size: number): FaceMetrics {
    const depth = (-this.extents.descender * size) / this.upem
    const ascent = Math.round((this.extents.ascender * size) / this.upem)
    const descent = Math.round(depth)
    return descent < depth && ascent >= 1 ? { ascent: ascent - 1, descent: descent + 1 } : { ascent, descent }
  }

  has(code: number): boolean {
    return this.font.nominalGlyph(code) !== undefined
  }

  /** SVG path of a glyph in font units, y up. */
  path(glyph: number): string {
    let path = this.paths.get(glyph)
    if (path === undefined) {
      path = this.font.glyphToPath(glyph)
      this.paths.set(glyph, path)
    }
    return path
  }
}

/** Fonts loaded so far. One per process or worker. */
export class FontLibrary {
  private readonly faces = new Map<string, hb.Face>()
  private readonly weighted = new Map<string, Face>()
  /** Rises whenever a file arrives: layouts made before may be stale. */
  version = 0

  has(id: string) {
    return this.faces.has(id)
  }

  /** `bytes`: an uncompressed OpenType or TrueType font. */
  add(id: string, bytes: Uint8Array) {
    if (!files.has(id)) throw new Error(`there is no font file ${id}`)
    if (this.faces.has(id)) return
    const copy = bytes.slice().buffer
    this.faces.set(id, new hb.Face(new hb.Blob(copy)))
    this.version++
  }

  face(file: FontFile, weight: number): Face | undefined {
    const clamped = Math.min(file.weights[1], Math.max(file.weights[0], weight))
    const key = `${file.id}@${clamped}`
    const known = this.weighted.get(key)
    if (known) return known
    const raw = this.faces.get(file.id)
    if (!raw) return undefined
    const font = new hb.Font(raw)
    font.setVariations([new hb.Variation('wght', clamped)])
    const face = new Face(key, file, font, raw.upem)
    this.weighted.set(key, face)
    return face
  }

  /** The face whose metrics set the line box for a family and style. */
  primary(family: string, italic: boolean, weight: number): Face | undefined {
    return this.face(filesOf(familyChain(family)[0], italic)[0], weight)
  }
}
