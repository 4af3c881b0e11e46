/** The shipped font families, their files, and the faces made of them for shaping. */
import * as hb from 'harfbuzzjs'
import { DEFAULT_FAMILY } from '../properties/type'
import { CATALOGUE } from './catalogue'
import { sequencesIn } from './sequences'

export type FontFile = {
  /** File name without ending: `fraunces-latin-wght-italic`. */
  id: string
  family: string
  slug: string
  italic: boolean
  weights: [number, number]
  /** CSS `unicode-range`. */
  ranges: string
  /** Lies with the program; else in its family's package. */
  isShipped?: boolean
  /** Place among the files of its family and style; the first that has a character draws it. */
  rank: number
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
const claimed = new Map<string, Interval[]>()
const holes = new Map<string, Interval[]>()

function parseRanges(ranges: string): Interval[] {
  if (ranges === '') return []
  return ranges.split(',').map((range) => {
    const [from, to] = range.trim().replace('U+', '').split('-')
    return [Number.parseInt(from, 16), Number.parseInt(to ?? from, 16)]
  })
}

const ALL: Family[] = CATALOGUE.map((entry) => {
  const weights: [number, number] = [entry.weights[0], entry.weights[1]]
  const make = (style: 'normal' | 'italic') =>
    entry.subsets.map((subset, rank) => {
      const file: FontFile = {
        id: `${entry.slug}-${subset.name}-wght-${style}`,
        family: entry.family,
        slug: entry.slug,
        italic: style === 'italic',
        weights,
        ranges: subset.ranges,
        rank,
        ...('shipped' in entry ? { isShipped: true } : {}),
      }
      files.set(file.id, file)
      claimed.set(file.id, parseRanges(subset.ranges))
      holes.set(file.id, parseRanges(style === 'italic' ? subset.italicHoles : subset.uprightHoles))
      return file
    })
  return { ...entry, weights, upright: make('normal'), slanted: entry.italic ? make('italic') : [] }
})

/** Families to set text in: not those that only stand in for missing characters. */
export const FAMILIES = ALL.filter(({ category }) => category !== 'symbols')

const BY_NAME = new Map(ALL.map((family) => [family.family, family]))

export const fontFile = (id: string) => files.get(id)

/** In the order to declare them in: where ranges overlap, the `@font-face` declared last wins (CSS Fonts 4 §4.5). */
export const declaredOrder = (list: FontFile[]): FontFile[] =>
  list.sort((a, b) =>
    a.slug !== b.slug ? (a.slug < b.slug ? -1 : 1) : Number(a.italic) - Number(b.italic) || b.rank - a.rank,
  )
export const familyNamed = (name: string) => BY_NAME.get(name)

/** Families tried after the one asked for; the handoff writes the same list into `font-family`. */
export const FALLBACK = [DEFAULT_FAMILY, 'Literata', 'Lattice Symbols', 'Noto Emoji']

/** What code within a text is set in. */
export const CODE_FAMILY = 'JetBrains Mono'

export function familyChain(name: string): Family[] {
  const names = [name, ...FALLBACK.filter((fallback) => fallback !== name)]
  return names.flatMap((each) => BY_NAME.get(each) ?? [])
}

const within = (intervals: Interval[], code: number) =>
  intervals.some(([from, to]) => code >= from && code <= to)

/** What HarfBuzz makes a character of that a font has not: spaces of its space, a hyphen that does not break of one that does. */
function madeOf(code: number): number {
  if ((code >= 0x2000 && code <= 0x200a) || code === 0x202f || code === 0x205f) return 0x20
  return code === 0x2011 ? 0x2010 : code
}

/** Whether a file claims a character and has a glyph for it; the same whether it is loaded or not. */
function covers(file: FontFile, code: number): boolean {
  const missing = holes.get(file.id)!
  return within(claimed.get(file.id)!, code) && (!within(missing, code) || !within(missing, madeOf(code)))
}

/** The files of a family in a style; a family without italics gives its upright (the browser slants it). */
const filesOf = (family: Family, italic: boolean) =>
  italic && family.slanted.length > 0 ? family.slanted : family.upright

/** Files found before, by family and style, then by character. */
const found = new Map<string, Map<number, FontFile | undefined>>()

/** The file that draws a character of a text in `family`, looking through its chain; undefined when none has it. */
export function fileFor(family: string, italic: boolean, code: number): FontFile | undefined {
  const key = italic ? `${family} italic` : family
  let known = found.get(key)
  if (!known) {
    known = new Map()
    found.set(key, known)
  }
  if (known.has(code)) return known.get(code)
  const file = familyChain(family)
    .flatMap((each) => filesOf(each, italic))
    .find((each) => covers(each, code))
  known.set(code, file)
  return file
}

/** The file that draws all of some characters, as one; undefined when none has them all. */
export function fileForAll(family: string, italic: boolean, codes: readonly number[]): FontFile | undefined {
  if (codes.length === 1) return fileFor(family, italic, codes[0])
  return familyChain(family)
    .flatMap((each) => filesOf(each, italic))
    .find((file) => codes.every((code) => covers(file, code)))
}

/** Every file that a text in a family and style may need. */
export function filesNeeded(family: string, italic: boolean, text: string, into: Set<string>) {
  into.add(filesOf(familyChain(family)[0], italic)[0].id)
  for (const { codes } of sequencesIn(text)) {
    const file = fileForAll(family, italic, codes)
    if (file) into.add(file.id)
  }
  for (const char of text) {
    const code = char.codePointAt(0)!
    if (code < 0x20) continue
    const file = fileFor(family, italic, code)
    if (file) into.add(file.id)
  }
}

/** px */
export type FaceMetrics = { ascent: number; descent: number; lineGap: number }

/** Shaped positions are 16.16 fixed-point px, as in Chromium: kerning that varies with the weight is not whole font units. */
export const FIXED = 65536

/** Chromium keeps font sizes to 1/100 px, cut, in single precision. */
const effectiveSize = (size: number) => Math.fround(Math.floor(Math.fround(Math.fround(size) * 100)) / 100)

/**
 * The weight to shape at. HarfBuzz passes by kerning that varies with the weight where it is at its default and 0, and takes such
 * places for safe to break; Chromium's does not. The smallest step beside the default, which changes no glyph, makes it see them.
 */
function besideDefault(loaded: hb.Face, weight: number): number {
  const axis = loaded.getAxisInfos().wght
  if (axis?.default !== weight) return weight
  const [end, sign] = axis.max > weight ? [axis.max, 1] : [axis.min, -1]
  // Axes are normalised to steps of 1/16384 (OpenType 1.9, avar).
  return weight + (sign * Math.abs(end - weight)) / 16384
}

/** A loaded file at one weight. */
export class Face {
  readonly upem: number
  private readonly shaping: hb.Font
  private size = 0
  /** By size, then by glyph: see `advanceCorrection`. */
  private readonly corrections = new Map<number, Map<number, number>>()
  /** Draws in font units. */
  private readonly outlines: hb.Font
  private readonly extents: { ascender: number; descender: number; lineGap: number }
  private readonly paths = new Map<number, string>()
  constructor(
    readonly id: string,
    readonly file: FontFile,
    loaded: hb.Face,
    weight: number,
  ) {
    this.upem = loaded.upem
    this.outlines = new hb.Font(loaded)
    this.outlines.setVariations([new hb.Variation('wght', weight)])
    this.shaping = new hb.Font(loaded)
    this.shaping.setVariations([new hb.Variation('wght', besideDefault(loaded, weight))])
    this.extents = this.outlines.hExtents()
  }

  /** A font that shapes at `size` px; positions are px times `FIXED`. */
  shapingAt(size: number): hb.Font {
    if (this.size !== size) {
      this.size = size
      const scale = Math.trunc(effectiveSize(size) * FIXED)
      this.shaping.setScale(scale, scale)
    }
    return this.shaping
  }

  /**
   * What a glyph's advance differs by from what `shapingAt` gives, in px times `FIXED`. Chromium's glyph advances (not its kerning)
   * are scaled as FreeType does (`FT_MulDiv` with a scale of 16.16 that is rounded first, of a size cut to 1/64 px): some
   * thousandths of a px in a line.
   */
  advanceCorrection(size: number, glyph: number): number {
    let corrections = this.corrections.get(size)
    if (!corrections) {
      corrections = new Map()
      this.corrections.set(size, corrections)
    }
    let correction = corrections.get(glyph)
    if (correction === undefined) {
      const scale = Math.round((Math.trunc(effectiveSize(size) * 64) * FIXED) / this.upem)
      const linear = Math.round((this.outlines.glyphHAdvance(glyph) * scale) / 64)
      correction = linear - this.shapingAt(size).glyphHAdvance(glyph)
      corrections.set(glyph, correction)
    }
    return correction
  }

  /**
   * Ascent, descent and line gap at a size, whole px. Rounded as Chromium does with subpixel positioning: a descent that
   * rounding cut short takes a px from the ascent.
   */
  metrics(size: number): FaceMetrics {
    const depth = (-this.extents.descender * size) / this.upem
    const ascent = Math.round((this.extents.ascender * size) / this.upem)
    const descent = Math.round(depth)
    const lineGap = Math.round((this.extents.lineGap * size) / this.upem)
    return descent < depth && ascent >= 1
      ? { ascent: ascent - 1, descent: descent + 1, lineGap }
      : { ascent, descent, lineGap }
  }

  has(code: number): boolean {
    return this.outlines.nominalGlyph(code) !== undefined
  }

  /** SVG path of a glyph in font units, y up. */
  path(glyph: number): string {
    let path = this.paths.get(glyph)
    if (path === undefined) {
      path = this.outlines.glyphToPath(glyph)
      this.paths.set(glyph, path)
    }
    return path
  }
}

/** Fonts loaded so far. One per process or worker. */
export class FontLibrary {
  private readonly faces = new Map<string, hb.Face>()
  /** By file, then by weight. */
  private readonly weighted = new Map<FontFile, Map<number, Face>>()
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
    const known = this.weighted.get(file)?.get(clamped)
    if (known) return known
    const loaded = this.faces.get(file.id)
    if (!loaded) return undefined
    const face = new Face(`${file.id}@${clamped}`, file, loaded, clamped)
    const weights = this.weighted.get(file)
    if (weights) weights.set(clamped, face)
    else this.weighted.set(file, new Map([[clamped, face]]))
    return face
  }

  /** The face whose metrics set the line box for a family and style. */
  primary(family: string, italic: boolean, weight: number): Face | undefined {
    return this.face(filesOf(familyChain(family)[0], italic)[0], weight)
  }
}
