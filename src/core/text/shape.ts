/** Shaping with HarfBuzz: from styled text to glyphs and the running advance at every character. */
import * as hb from 'harfbuzzjs'
import type { Resolved } from '../properties/table'
import { claims, type FaceWanted, fileFor, fileForAll, fileHaving, has } from './families'
import { type Face, FIXED, type FontLibrary } from './fonts'
import { ARABIC, HANGUL, SCRIPT_TAGS } from './scripts'
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

/**
 * Words as they are shaped: of each UTF-16 unit its script (`scriptsOf`) and, where some run leftward, its level (`levelsOf`); what stands
 * around them, to which letters are joined though it is not shaped with them.
 */
export type Shapeable = {
  text: string
  scripts: Uint8Array
  levels?: Uint8Array | undefined
  before?: string
  after?: string
}

/** UTF-16 units of what stands around words that matter: HarfBuzz looks at five characters. */
export const AROUND = 10

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
/** What Chromium’s HarfBuzz never does among Hangul, and this one does. */
const NO_ALTERNATES = [new hb.Feature('calt', 0)]
const NO_LIGATURES = [
  new hb.Feature('liga', 0),
  new hb.Feature('clig', 0),
  new hb.Feature('dlig', 0),
  new hb.Feature('hlig', 0),
  ...NO_ALTERNATES,
]

/** Characters that `letter-spacing` passes by, as in Chromium: controls, soft hyphens, joiners. */
const ZERO_WIDTH = /[\p{Cc}\u00ad\u200b-\u200f\u202a-\u202e\ufeff\ufffc]/u

/** Characters without a look of their own ask for no other font. */
const UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{Cc}]/u

/** Whether a character runs leftward, 1, or rightward, 0: words of several levels that run one way are shaped as one. */
const wayAt = ({ levels }: Shapeable, at: number): number => (levels?.[at] ?? 0) & 1

/** Whether two characters are shaped apart whatever draws them. */
const areApart = (words: Shapeable, a: number, b: number): boolean =>
  words.scripts[a] !== words.scripts[b] || wayAt(words, a) !== wayAt(words, b)

/** The file that draws a character of a text: Chromium tries those alone that are asked for something in its stretch of one script. */
function fileWithin(words: Shapeable, style: TextStyle, code: number, at: number) {
  const { text } = words
  const file = fileFor(style, code)
  if (!file || has(file, code)) return file
  let start = at
  while (start > 0 && !areApart(words, start - 1, at)) start--
  for (let i = start; i < text.length && !areApart(words, i, at); i++)
    if (claims(file, text.codePointAt(i)!)) return file
  return fileHaving(style, code)
}

/** Splits text into runs that one font file covers and that are of one script and run one way. */
function* runsByFile(
  fonts: FontLibrary,
  words: Shapeable,
  style: TextStyle,
): Generator<{ start: number; end: number; face: Face }> {
  const { text, scripts } = words
  const primary = fonts.primary(style)
  if (!primary) return
  // A soft hyphen is the first file's, so that nothing is kerned across it in others; Arabic letters are joined across it.
  const pick = (code: number, at: number): Face => {
    if (UNSEEN.test(String.fromCodePoint(code)))
      return code === 0xad && scripts[at] !== ARABIC ? primary : (face ?? primary)
    const file = fileWithin(words, style, code, at)
    return (file && fonts.face(file, style)) ?? primary
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
    const next = (whole && fonts.face(whole, style)) ?? (mark && face?.has(code) ? face : pick(code, i))
    if (face && (next !== face || areApart(words, i, start))) {
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
  isHangul: boolean,
): hb.Feature[] | undefined {
  if (!isSpaced && !isHangul && figures === 'normal' && features === 'normal') return undefined
  const key = `${isSpaced} ${isHangul} ${figures} ${features}`
  let all = known.get(key)
  if (!all) {
    const own = features === 'normal' ? [] : features.split(' ').map((tag) => new hb.Feature(tag, 1))
    all = [
      ...(isSpaced ? NO_LIGATURES : []),
      ...(FIGURES[figures] ?? []),
      ...own,
      ...(isHangul ? NO_ALTERNATES : []),
    ]
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

/** @returns how many characters stand before those that are shaped */
function addWithin(into: hb.Buffer, words: Shapeable, start: number, end: number): number {
  const { text, scripts, before = '', after = '' } = words
  // Other letters are not joined.
  if (scripts[start] !== ARABIC) {
    into.addText(text.slice(start, end))
    return 0
  }
  const lead = (before + text.slice(0, start)).slice(-AROUND)
  const trail = (text.slice(end) + after).slice(0, AROUND)
  into.addText(lead + text.slice(start, end) + trail, lead.length, end - start)
  return lead.length
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
  const { text, scripts } = words
  // Sums of whole 1/65536 px, as the browser's: places do not depend on what stood before them.
  const spacing = fixed(style.letterSpacing)
  const between = fixed(style.wordSpacing ?? 0)
  let total = advances[offset]!
  for (const { start, end, face } of runsByFile(fonts, words, style)) {
    const leftward = wayAt(words, start) === 1
    // Letters that are joined are not set apart, and what stands with them neither (CSS Text 4 §9.2.1); only spaces are.
    const isSpaced = spacing !== 0 && scripts[start] !== ARABIC
    buffer.clearContents()
    const lead = addWithin(buffer, words, start, end)
    buffer.setDirection(leftward ? hb.Direction.RTL : hb.Direction.LTR)
    buffer.setScript(SCRIPT_TAGS[scripts[start]!]!)
    buffer.setLanguage(style.lang ?? 'en')
    hb.shape(face.shapingAt(style.size), buffer, featuresOf(style, isSpaced, scripts[start] === HANGUL))
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
      const character = start + cluster - lead
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
      const characters = Math.max(1, (next?.cluster ?? lead + end - start) - cluster)
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
