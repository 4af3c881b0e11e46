/** Scripts: a text is shaped in stretches of one script, as Unicode Standard Annex #24 §5 resolves them. */
import type { Interval } from './code-ranges'

const COMMON = 0
const LATIN = 1
const GREEK = 2
const CYRILLIC = 3
const HEBREW = 4
export const ARABIC = 5
const HAN = 6
const HIRAGANA = 7
const KATAKANA = 8
export const HANGUL = 9
/** What East Asian scripts have in common, and no others: their points, brackets, marks of sound. */
const EAST = 10

/** ISO 15924 codes, by the numbers `scriptsOf` gives. */
export const SCRIPT_TAGS = ['Zyyy', 'Latn', 'Grek', 'Cyrl', 'Hebr', 'Arab', 'Hani', 'Hira', 'Kana', 'Hang']

/** Where Chinese, Japanese and Korean characters lie, and signs of theirs. */
const EAST_ASIAN_BLOCKS: Interval[] = [
  [0x1100, 0x11ff],
  [0x2e80, 0xa4cf],
  [0xa960, 0xa97f],
  [0xac00, 0xd7ff],
  [0xf900, 0xfaff],
  [0xfe30, 0xfe4f],
  [0xff00, 0xffef],
  [0x20000, 0x2ffff],
]

/** Whether any character of some intervals is East Asian. */
export const drawsEastAsian = (intervals: readonly Interval[]): boolean =>
  EAST_ASIAN_BLOCKS.some(([least, most]) => intervals.some(([from, to]) => from <= most && to >= least))

export const isEastAsian = (code: number): boolean =>
  code >= 0x1100 && EAST_ASIAN_BLOCKS.some(([least, most]) => code >= least && code <= most)

/** Whether a text has an East Asian character. */
export function holdsEastAsian(text: string): boolean {
  for (const character of text) if (isEastAsian(character.codePointAt(0)!)) return true
  return false
}

const PAIRS = new Map([
  ['(', ')'],
  ['[', ']'],
  ['{', '}'],
])
const CLOSING = new Set(PAIRS.values())

function scriptOf(code: number): number {
  if (code < 0x2c0 || (code >= 0x1e00 && code < 0x1f00)) {
    const letter =
      (code >= 0x41 && code <= 0x5a) || (code >= 0x61 && code <= 0x7a) || code === 0xaa || code === 0xba
    return letter || (code >= 0xc0 && code !== 0xd7 && code !== 0xf7) ? LATIN : COMMON
  }
  if (
    (code >= 0x370 && code < 0x400 && code !== 0x37e && code !== 0x387) ||
    (code >= 0x1f00 && code < 0x2000)
  )
    return GREEK
  if (code >= 0x400 && code < 0x530) return CYRILLIC
  if ((code >= 0x1100 && code < 0xfb00) || code >= 0xff00) return eastAsianScriptOf(code)
  return code >= 0x590 ? leftwardScriptOf(code) : COMMON
}

function eastAsianScriptOf(code: number): number {
  if (code >= 0x3041 && code <= 0x309f) return code >= 0x3099 && code <= 0x309c ? EAST : HIRAGANA
  if (code >= 0x30a0 && code <= 0x30ff)
    return code === 0x30a0 || code === 0x30fb || code === 0x30fc ? EAST : KATAKANA
  if ((code >= 0x31f0 && code < 0x3200) || (code >= 0xff66 && code <= 0xff9d && code !== 0xff70))
    return KATAKANA
  if (
    (code >= 0x1100 && code < 0x1200) ||
    (code >= 0xac00 && code < 0xd7b0) ||
    (code >= 0x3131 && code <= 0x318e)
  )
    return HANGUL
  const isHan =
    (code >= 0x2e80 && code < 0x2fe0) ||
    (code >= 0x3400 && code < 0xa000) ||
    (code >= 0xf900 && code < 0xfb00)
  if (isHan || code === 0x3005 || code === 0x3007) return HAN
  return isEast(code) ? EAST : COMMON
}

/** Common, but with several script extensions, all of them East Asian: what has one, or is merely wide, is common to Chromium. */
const isEast = (code: number) =>
  (code >= 0x3001 && code <= 0x3003) ||
  (code >= 0x3008 && code <= 0x301f && code !== 0x3012) ||
  (code >= 0x3030 && code <= 0x3037 && code !== 0x3036) ||
  code === 0x303c ||
  code === 0x303d ||
  code === 0xfe45 ||
  code === 0xfe46 ||
  (code >= 0xff61 && code <= 0xff65) ||
  code === 0xff70 ||
  code === 0xff9e ||
  code === 0xff9f

/** Points and signs over letters go with what stands before them. */
function leftwardScriptOf(code: number): number {
  if ((code >= 0x5d0 && code < 0x600) || (code >= 0xfb1d && code < 0xfb50)) return HEBREW
  const isShared = code === 0x60c || code === 0x61b || code === 0x61f || code === 0x640
  if (code >= 0x600 && code < 0x700) return isShared || (code >= 0x64b && code <= 0x655) ? COMMON : ARABIC
  if ((code >= 0x750 && code < 0x780) || (code >= 0x870 && code < 0x900)) return ARABIC
  return (code >= 0xfb50 && code < 0xfe00) || (code >= 0xfe70 && code < 0xfeff) ? ARABIC : COMMON
}

/**
 * The script of each UTF-16 unit. What is common to all (spaces, digits, punctuation) goes with the letters before it, or at the
 * beginning with the first; a closing bracket goes with the one it closes (UAX #24 §5.1). What is common to East Asian scripts goes with
 * letters of those before it, else with such behind it, and is Han beside others.
 */
export function scriptsOf(text: string): Uint8Array {
  const scripts = new Uint8Array(text.length)
  const open: Bracket[] = []
  let current = COMMON
  /** Where a stretch begins that any East Asian letters may still make theirs. */
  let undecided = -1
  for (let i = 0; i < text.length; i++) {
    const char = text[i]!
    let own = closed(open, char) ?? scriptOf(text.charCodeAt(i))
    const isShared = own === EAST
    if (isShared) own = current >= HAN ? current : HAN
    if (own !== COMMON) {
      const from = current === COMMON ? 0 : undecided >= 0 && !isShared && own >= HAN ? undecided : i
      scripts.fill(own, from, i)
      for (const bracket of open) if (bracket.at >= from) bracket.script = own
      if (!isShared) undecided = -1
      else if (current < HAN) undecided = from
      current = own
    }
    scripts[i] = current
    const closing = PAIRS.get(char)
    if (closing) open.push({ closing, at: i, script: current })
  }
  return scripts
}

type Bracket = { closing: string; at: number; script: number }

/** The script of the bracket that one closes, if it does; what was opened within is forgotten. */
function closed(open: Bracket[], char: string): number | undefined {
  if (!CLOSING.has(char)) return undefined
  const pair = open.findLastIndex(({ closing }) => closing === char)
  if (pair < 0) return undefined
  const { script } = open[pair]!
  open.length = pair
  return script
}
