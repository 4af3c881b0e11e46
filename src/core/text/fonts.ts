/** Faces made of font files for shaping. */
import * as hb from 'harfbuzzjs'
import { axesIn } from '../properties/axes'
import { type FaceWanted, type FontFile, familiesVersion, fontFile, primaryFile } from './families'
import { hyphenationVersion } from './hyphenation'

/** Features that are on, or that other scripts need (OpenType 1.9, feature tags): none that anybody chooses. */
const BY_THEMSELVES =
  /^(abv[fms]|aalt|akhn|blw[fms]|calt|ccmp|cfar|cjct|clig|curs|dist|dnom|fin[a23]|half|haln|init|isol|kern|liga|ljmo|locl|mark|med[i2]|mkmk|nukt|numr|ordn|pre[fs]|pstf|psts|rclt|rkrf|rlig|rphf|rvrn|s?size|tjmo|tnum|onum|vatu|vert|vjmo|vrt2|rtl[am]|ltr[am])$/

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

/** A loaded file at one weight, and with its other axes where a text has them. */
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
    private readonly loaded: hb.Face,
    weight: number,
    axes: string,
  ) {
    const others = axesIn(axes).map(([tag, value]) => new hb.Variation(tag, value))
    this.upem = loaded.upem
    this.outlines = new hb.Font(loaded)
    this.outlines.setVariations([new hb.Variation('wght', weight), ...others])
    this.shaping = new hb.Font(loaded)
    this.shaping.setVariations([new hb.Variation('wght', besideDefault(loaded, weight)), ...others])
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
    const own = effectiveSize(size)
    const depth = (-this.extents.descender * own) / this.upem
    const ascent = Math.round((this.extents.ascender * own) / this.upem)
    const descent = Math.round(depth)
    const lineGap = Math.round((this.extents.lineGap * own) / this.upem)
    return descent < depth && ascent >= 1
      ? { ascent: ascent - 1, descent: descent + 1, lineGap }
      : { ascent, descent, lineGap }
  }

  has(code: number): boolean {
    return this.outlines.nominalGlyph(code) !== undefined
  }

  /** Tags of the features that are off until they are asked for. */
  get features(): string[] {
    const tags = new Set([
      ...this.loaded.getTableFeatureTags('GSUB'),
      ...this.loaded.getTableFeatureTags('GPOS'),
    ])
    return [...tags].filter((tag) => !BY_THEMSELVES.test(tag)).sort()
  }

  /** What varies beside the weight, by tag. */
  get axes(): { tag: string; min: number; default: number; max: number }[] {
    return Object.entries(this.loaded.getAxisInfos()).flatMap(([tag, axis]) =>
      tag === 'wght' ? [] : [{ ...axis, tag }],
    )
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

/** Faces of one file that are kept: while an axis is pulled each value makes one. */
const MOST_FACES = 64

/** Fonts loaded so far. One per process or worker. */
export class FontLibrary {
  private readonly faces = new Map<string, hb.Face>()
  /** By file, then by weight and axes. */
  private readonly made = new Map<FontFile, Map<number | string, Face>>()
  private arrived = 0

  /** Rises whenever a file or a language's hyphens arrive, or families are others: layouts made before may be stale. */
  get version() {
    return this.arrived + familiesVersion() + hyphenationVersion()
  }

  has(id: string) {
    return this.faces.has(id)
  }

  /** `bytes`: an uncompressed OpenType or TrueType font. */
  add(id: string, bytes: Uint8Array) {
    if (!fontFile(id)) throw new Error(`there is no font file ${id}`)
    if (this.faces.has(id)) return
    const copy = bytes.slice().buffer
    this.faces.set(id, new hb.Face(new hb.Blob(copy)))
    this.arrived++
  }

  face(file: FontFile, { weight, axes = 'normal' }: Pick<FaceWanted, 'weight' | 'axes'>): Face | undefined {
    const clamped = Math.min(file.weights[1], Math.max(file.weights[0], weight))
    const key = axes === 'normal' ? clamped : `${clamped} ${axes}`
    const known = this.made.get(file)?.get(key)
    if (known) return known
    const loaded = this.faces.get(file.id)
    if (!loaded) return undefined
    const face = new Face(`${file.id}@${key}`, file, loaded, clamped, axes)
    const faces = this.made.get(file) ?? new Map<number | string, Face>()
    this.made.set(file, faces)
    if (faces.size >= MOST_FACES) faces.delete(faces.keys().next().value!)
    faces.set(key, face)
    return face
  }

  /** The face whose metrics set the line box. */
  primary(wanted: FaceWanted): Face | undefined {
    return this.face(primaryFile(wanted), wanted)
  }
}
