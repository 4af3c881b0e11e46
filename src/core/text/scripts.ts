/** Scripts: a text is shaped in stretches of one script, as Unicode Standard Annex #24 §5 resolves them. */

const COMMON = 0
const LATIN = 1
const GREEK = 2
const CYRILLIC = 3
const HEBREW = 4
export const ARABIC = 5
const HAN = 6
const HIRAGANA = 7
const KATAKANA = 8
const HANGUL = 9

/** ISO 15924 codes, by the numbers `scriptsOf` gives. */
export const SCRIPT_TAGS = ['Zyyy', 'Latn', 'Grek', 'Cyrl', 'Hebr', 'Arab', 'Hani', 'Hira', 'Kana', 'Hang']

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

/** What Hiragana and Katakana have in common goes with what stands before it. */
function eastAsianScriptOf(code: number): number {
  if (code >= 0x3041 && code <= 0x309f) return code >= 0x3099 && code <= 0x309c ? COMMON : HIRAGANA
  if (code >= 0x30a1 && code <= 0x30ff) return code === 0x30fb || code === 0x30fc ? COMMON : KATAKANA
  if ((code >= 0x31f0 && code < 0x3200) || (code >= 0xff66 && code <= 0xff9f)) return KATAKANA
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
  return isHan || code === 0x3005 || code === 0x3007 ? HAN : COMMON
}

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
 * beginning with the first; a closing bracket goes with the one it closes (UAX #24 §5.1).
 */
export function scriptsOf(text: string): Uint8Array {
  const scripts = new Uint8Array(text.length)
  const open: { closing: string; script: number }[] = []
  let current = COMMON
  for (let i = 0; i < text.length; i++) {
    const char = text[i]
    let own = scriptOf(text.charCodeAt(i))
    if (CLOSING.has(char!)) {
      const pair = open.findLastIndex(({ closing }) => closing === char)
      if (pair >= 0) {
        own = open[pair]!.script
        open.length = pair
      }
    }
    if (own !== COMMON) {
      if (current === COMMON) {
        scripts.fill(own, 0, i)
        for (const bracket of open) bracket.script = own
      }
      current = own
    }
    scripts[i] = current
    const closing = PAIRS.get(char!)
    if (closing) open.push({ closing, script: current })
  }
  return scripts
}
