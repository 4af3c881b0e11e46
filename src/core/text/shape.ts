/** Shaping with HarfBuzz: from styled text to glyphs and the running advance at every character. */
import * as hb from 'harfbuzzjs'
import type { Resolved } from '../properties/table'
import { type FaceWanted, fileFor, fileForAll } from './families'
import { type Face, FIXED, type FontLibrary } from './fonts'
import { ARABIC, SCRIPT_TAGS } from './scripts'
import { sequencesIn } from './sequences'

export type TextStyle = FaceWanted & {
  /** px */
  size: number
  /** px, added after every character */
  letterSpacing: number
  /** px, added after every space */
  wordSpacing?: number
  /** Of figures, where the font has them; left out: as it draws them by itself. */
  figures?: Resolved['figures']
  /** Tags of features that are switched on; left out: none. */
  features?: Resolved['features']
  /** Of the words; left out: English. */
  lang?: string
}

/** Words as they are shaped: of each UTF-16 unit its script (`scriptsOf`) and, where some run leftward, its level (`levelsOf`). */
export type Shapeable = { text: string; scripts: Uint8Array; levels?: Uint8Array | undefined }

/** What becomes of words: the width before each character, px, and one more; glyphs; where a line may begin without shaping anew. */
export type Shaped = { advances: Float64Array; runs: GlyphRun[]; safety: Uint8Array }

export type GlyphRun = {
  /** UTF-16 range in the paragraph. */
  start: number
  end: number
  face: Face
  size: number
  /**
   * Glyph ids, and where each stands: px from the start of the paragraph laid on one line, counted from its right in what runs leftward;
   * y down from the baseline.
   */
  glyphs: Uint32Array
  x: Float64Array
  y: Float64Array
  /** UTF-16 index of the character each glyph begins. */
  cluster: Uint32Array
}

/** In `safety`: a line that begins here would be shaped differently; this stands inside of a ligature. */
const UNSAFE = 1
export const INSIDE = 2

/** What `letter-spacing` switches off (CSS Text 3 §8.2; Chromium drops contextual alternates too). */
const FIGURES: Record<string, hb.Feature[]> = {
  tabular: [new hb.Feature('tnum', 1)],
  oldstyle: [new hb.Feature('onum', 1)],
  'tabular-oldstyle': [new hb.Feature('tnum', 1), new hb.Feature('onum', 1)],
}
const NO_LIGATURES = [
  new hb.Feature('liga', 0),
  new hb.Feature('clig', 0),
  new hb.Feature('dlig', 0),
  new hb.Feature('hlig', 0),
  new hb.Feature('calt', 0),
]

/** Characters that `letter-spacing` passes by, as in Chromium: controls, soft hyphens, joiners. */
const ZERO_WIDTH = /[\p{Cc}\u00ad\u200b-\u200f\u202a-\u202e\ufeff\ufffc]/u

/** Characters without a look of their own ask for no other font. */
const UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{Cc}]/u

/** Splits text into runs that one font file covers and that are of one script and one level. */
function* runsByFile(
  fonts: FontLibrary,
  { text, scripts, levels }: Shapeable,
  style: TextStyle,
): Generator<{ start: number; end: number; face: Face }> {
  const primary = fonts.primary(style)
  if (!primary) return
  const pick = (code: number): Face => {
    if (UNSEEN.test(String.fromCodePoint(code))) return face ?? primary
    const file = fileFor(style, code)
    return (file && fonts.face(file, style.weight)) ?? primary
  }
  const sequences = sequencesIn(text)
  let start = 0
  let face: Face | undefined
  for (let i = 0; i < text.length; ) {
    const code = text.codePointAt(i)!
    if (sequences[0] && sequences[0].end <= i) sequences.shift()
    const sequence = sequences[0]?.start === i ? sequences[0] : undefined
    const whole = sequence && fileForAll(style, sequence.codes)
    const length = whole ? sequence.end - i : code > 0xffff ? 2 : 1
    // Marks stay with the letter they stand on.
    const mark = code >= 0x300 && code <= 0x36f
    const next = (whole && fonts.face(whole, style.weight)) ?? (mark && face?.has(code) ? face : pick(code))
    const isOther = next !== face || scripts[i] !== scripts[start] || levels?.[i] !== levels?.[start]
    if (face && isOther) {
      yield { start, end: i, face }
      start = i
    }
    face = next
    i += length
  }
  if (face) yield { start, end: text.length, face }
}

const known = new Map<string, hb.Feature[]>()

/** What is said of each feature last holds, as in Chromium: letter spacing, figures, then what is switched on by its tag. */
function featuresOf(
  { figures = 'normal', features = 'normal' }: TextStyle,
  isSpaced: boolean,
): hb.Feature[] | undefined {
  if (!isSpaced && figures === 'normal' && features === 'normal') return undefined
  const key = `${isSpaced} ${figures} ${features}`
  let all = known.get(key)
  if (!all) {
    const own = features === 'normal' ? [] : features.split(' ').map((tag) => new hb.Feature(tag, 1))
    all = [...(isSpaced ? NO_LIGATURES : []), ...(FIGURES[figures] ?? []), ...own]
    known.set(key, all)
  }
  return all
}

const fixed = (px: number) => Math.trunc(Math.fround(px) * FIXED) / FIXED
/** What words are set apart by (CSS Text 3 §8.1). */
const isSpace = (character: string) => character === ' ' || character === '\u00a0'

let buffer: hb.Buffer | undefined

/** Where the glyphs that read as one begin among those of a run, which come from the left, and how many they are. */
function clusterAt(infos: readonly hb.GlyphInfo[], read: number, leftward: boolean) {
  const step = leftward ? -1 : 1
  const begin = leftward ? infos.length - 1 - read : read
  const { cluster, flags } = infos[begin]!
  let count = 1
  while (read + count < infos.length && infos[begin + step * count]!.cluster === cluster) count++
  return {
    cluster,
    flags,
    count,
    first: leftward ? begin - count + 1 : begin,
    next: infos[begin + step * count],
  }
}

/**
 * Shapes words in one style, as if they stood `offset` characters into a paragraph: `advances[offset + i]` is the width of everything
 * before character i of them, px, after what stands there already; `safety[i]` becomes `UNSAFE` or `INSIDE` where a break changes the
 * shapes around it.
 */
export function shapeInto(
  fonts: FontLibrary,
  words: Shapeable,
  style: TextStyle,
  { advances, runs, safety }: Shaped,
  offset = 0,
) {
  buffer ??= new hb.Buffer()
  const { text, scripts, levels } = words
  // Sums of whole 1/65536 px, as the browser's: places do not depend on what stood before them.
  const spacing = fixed(style.letterSpacing)
  const between = fixed(style.wordSpacing ?? 0)
  let total = advances[offset]!
  for (const { start, end, face } of runsByFile(fonts, words, style)) {
    const leftward = ((levels?.[start] ?? 0) & 1) === 1
    // Letters that are joined are not set apart, and what stands with them neither (CSS Text 4 §9.2.1); only spaces are.
    const isSpaced = spacing !== 0 && scripts[start] !== ARABIC
    buffer.clearContents()
    buffer.addText(text.slice(start, end))
    buffer.setDirection(leftward ? hb.Direction.RTL : hb.Direction.LTR)
    buffer.setScript(SCRIPT_TAGS[scripts[start]!]!)
    buffer.setLanguage(style.lang ?? 'en')
    hb.shape(face.shapingAt(style.size), buffer, featuresOf(style, isSpaced))
    const infos = buffer.getGlyphInfos()
    const positions = buffer.getGlyphPositions()
    const { length } = infos
    const run: GlyphRun = {
      start: offset + start,
      end: offset + end,
      face,
      size: style.size,
      glyphs: new Uint32Array(length),
      x: new Float64Array(length),
      y: new Float64Array(length),
      cluster: new Uint32Array(length),
    }
    for (let read = 0; read < length; ) {
      const { cluster, flags, count, first, next } = clusterAt(infos, read, leftward)
      read += count
      const character = start + cluster
      if (flags & hb.GlyphFlag.UNSAFE_TO_BREAK) safety[offset + character] = UNSAFE
      const at = total
      for (let g = first; g < first + count; g++) {
        const { xAdvance, xOffset, yOffset } = positions[g]!
        run.glyphs[g] = infos[g]!.codepoint
        run.x[g] = total + xOffset / FIXED
        run.y[g] = -yOffset / FIXED
        run.cluster[g] = offset + character
        // Marks stand on their letter and take no room.
        if (xAdvance !== 0)
          total += (xAdvance + face.advanceCorrection(style.size, infos[g]!.codepoint)) / FIXED
      }
      const width = total - at
      // A ligature's characters share its width evenly; a soft hyphen that is not used has none.
      const characters = Math.max(1, (next?.cluster ?? end - start) - cluster)
      const space = isSpace(text[character]!)
      if (spacing !== 0 && (isSpaced ? !ZERO_WIDTH.test(text[character]!) : space)) total += spacing
      if (between !== 0 && space) total += between
      if (leftward) for (let g = first; g < first + count; g++) run.x[g] = at + total - run.x[g]!
      for (let k = 1; k < characters; k++) {
        advances[offset + character + k] = at + (width * k) / characters
        safety[offset + character + k] = INSIDE
      }
      advances[offset + character + characters] = total
    }
    runs.push(run)
  }
  advances[offset + text.length] = total
}

/** Words by themselves. */
export function shapeAlone(
  fonts: FontLibrary,
  words: Shapeable,
  style: TextStyle,
): { width: number; runs: GlyphRun[] } {
  const { length } = words.text
  const shaped: Shaped = {
    advances: new Float64Array(length + 1),
    runs: [],
    safety: new Uint8Array(length + 1),
  }
  shapeInto(fonts, words, style, shaped)
  return { width: shaped.advances[length]!, runs: shaped.runs }
}
