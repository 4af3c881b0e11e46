/** Line break opportunities: UAX #14, tailored to what Chromium does. */
import LineBreaker from 'linebreak'
import { OBJECT } from '../words/words'

/** Where a word may be parted: seen only where a line ends there (U+00AD). */
export const SOFT_HYPHEN = '\u00ad'

export type Break = {
  /** UTF-16 index at which the next line would start. */
  at: number
  required: boolean
  /** Not counted in the min-content: Chromium holds what glues, quotes or opens to what stands for a letter behind it there, and there alone. */
  glued?: true
}

const OPENING = '(<[{'
/** Between two characters of ASCII Chromium asks a table instead of UAX #14: what may break behind these… */
const BEFORE_OPENING = new Set('!"#%&)*+,.:;=>\\]|}~')
/** …behind a hyphen, but for digits after anything that is no letter or digit (a minus sign)… */
const AFTER_HYPHEN = /["#%&'(*+\-<=>@A-Z[\\^_`a-z{|~]/
/** …and behind a question mark. */
const AFTER_QUESTION = /[#$%&(*+\-0-9<=>@A-Z[\\^_`a-z{|~]/
const DIGIT = /[0-9]/
const WORD = /[0-9A-Za-z]/

const isAscii = (char: string) => char > ' ' && char < '\x7f'
const isSpace = (char: string) => char === ' ' || char === '\t' || char === '\n' || char === ''

/** Whether a line may break between two characters of ASCII; `earlier` stands before both. */
function breaksInAscii(earlier: string, before: string, after: string): boolean {
  if (before === '-') return DIGIT.test(after) ? WORD.test(earlier) : AFTER_HYPHEN.test(after)
  if (before === '?') return AFTER_QUESTION.test(after)
  return BEFORE_OPENING.has(before) && OPENING.includes(after)
}

/** Classes PR and PO: signs in front of numbers, and behind them. */
const IN_FRONT = /[+\\$£¤¥±\u20a0-\u20cf№−∓\uff04\uffe1\uffe5\uffe6]/
const BEHIND = /[%¢°‰′″℃℉\uff05\uffe0]/
/** Classes IS and SY. */
const IN_NUMBERS = /[,.:;/\u060c]/
/** Class NU: wide ones are not of it. */
const isDigit = (char: string) => /\p{Nd}/u.test(char) && !/[\uff10-\uff19]/.test(char)
const isOfNumbers = (char: string) => IN_FRONT.test(char) || BEHIND.test(char)
const OPENS = /[([{¿¡„‚]/
const CLOSES =
  /[)\]}\u3001\u3002\u3009\u300b\u300d\u300f\u3011\u3015\u3017\u3019\u301b\uff09\uff0c\uff0e\uff3d\uff5d\uff60\uff61\uff63\uff64]/
/** As wide as an East Asian character. */
const OPENS_WIDE =
  /[\u3008\u300a\u300c\u300e\u3010\u3014\u3016\u3018\u301a\u301d\uff08\uff3b\uff5b\uff5f\uff62]/
/** Class CJ. */
const SMALL_KANA =
  /[\u3041\u3043\u3045\u3047\u3049\u3063\u3083\u3085\u3087\u308e\u3095\u3096\u30a1\u30a3\u30a5\u30a7\u30a9\u30c3\u30e3\u30e5\u30e7\u30ee\u30f5\u30f6\u30fc\u31f0-\u31ff\uff67-\uff70]/
/** What holds on to whatever comes behind it. */
const KEEPS = /[\p{Ps}\p{Pi}\u00a0\u2011\u202f\u2060\ufeff]/u
/** Class QU, and the openings of Spanish. */
const QUOTES = /["'“”‘’«»‹›¿¡]/
/** What is one word or syllable for itself. */
const WHOLE =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Emoji_Presentation}\u2764]/u
/** As wide as an East Asian character (UAX #11). */
const WIDE =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Emoji_Presentation}\u3001-\u303f\u30fb\u30fc\uff01-\uff60\uffe0-\uffe6]/u
/** What begins no line though it is as wide: iteration marks and dots of class NS, and what exclaims. */
const STAYS = /[々〻〜ゝゞ・ヽヾ！，．：；？]/
const OF_LETTERS = /[\p{L}\p{No}\p{S}_@#&*§¶†‡•·]/u
/** Class AL or HL. */
const isLetter = (char: string) =>
  OF_LETTERS.test(char) && !WHOLE.test(char) && !SMALL_KANA.test(char) && !isOfNumbers(char)
const HEBREW = /[\u05d0-\u05f2\ufb1d-\ufb4f]/
/** Chromium breaks behind a soft hyphen there as behind any (LB21a of other hyphens). */
const PARTED_HEBREW = /[\u05d0-\u05f2\ufb1d-\ufb4f](?=\u00ad)/g
const HYPHENS = /[-\u05be\u2010\u2012\u2013]/

/** The whole character that ends at `at`, and the one that begins there. */
const endingAt = (text: string, at: number) =>
  text.slice(/[\udc00-\udfff]/.test(text[at - 1] ?? '') ? at - 2 : at - 1, at)
const beginningAt = (text: string, at: number) =>
  at < text.length ? String.fromCodePoint(text.codePointAt(at)!) : ''

/** LB19a: a quote that opens holds only to what is behind it, and one that closes to what is before, among wide characters. */
function breaksAtQuote(text: string, at: number): boolean {
  const after = beginningAt(text, at)
  if (/\p{Pi}/u.test(after)) {
    const before = endingAt(text, at)
    return WIDE.test(before) && !KEEPS.test(before) && WIDE.test(beginningAt(text, at + 1))
  }
  if (!/\p{Pf}/u.test(text[at - 1]!)) return false
  return WIDE.test(endingAt(text, at - 1)) && WIDE.test(after) && !CLOSES.test(after) && !STAYS.test(after)
}

/** Since Unicode 16 UAX #14 differs from the library's older tables in these. Undefined: it does not. */
function breaksSinceLibrary(text: string, at: number): boolean | undefined {
  const before = text[at - 1]
  const after = text[at]
  const earlier = text[at - 2] ?? ''
  // LB20a: not after a hyphen that begins a word.
  if (HYPHENS.test(before!) && (isSpace(earlier) || earlier === '\u00a0') && isLetter(after!)) return false
  if (breaksAtQuote(text, at)) return true
  // LB21a: behind a hyphen in a Hebrew word before anything but a Hebrew letter it does not.
  if (HYPHENS.test(before!) && HEBREW.test(earlier)) return HEBREW.test(after!)
  if (before === '-' && earlier === '-' && isLetter(after!)) return false
  // LB1: small kana are like others where a language does not say otherwise.
  if (SMALL_KANA.test(after!)) return !KEEPS.test(before!) && !QUOTES.test(before!) && !IN_FRONT.test(before!)
  if (SMALL_KANA.test(before!) && BEHIND.test(after!)) return false
  // LB30: wide brackets hold on to no letters and numbers before them.
  if (OPENS_WIDE.test(after!) && (isLetter(before!) || isDigit(before!))) return true
  return breaksAtSign(text, at)
}

/** LB25: a sign holds on to a bracket, or to what stands before it, only when a number is there. Undefined: there is no sign. */
function breaksAtSign(text: string, at: number): boolean | undefined {
  const before = text[at - 1]!
  const after = text[at]!
  // Between two characters of Latin-1 Chromium asks its table.
  const isInTable = before < '\u0100' && after < '\u0100'
  if (isOfNumbers(before) && (OPENS.test(after) || OPENS_WIDE.test(after)))
    return isInTable || !isDigit(text[at + 1] ?? '')
  if (!isOfNumbers(after)) return undefined
  const isBehindNumber = !isInTable && isDigit(text[at - 2] ?? '')
  if (CLOSES.test(before)) return !isBehindNumber
  return isBehindNumber && IN_NUMBERS.test(before) ? false : undefined
}

/** Cut off from what it stood behind, a hyphen at a line's start begins a word (or is a minus sign): no break behind it. */
export function isLeadingHyphen(text: string, start: number, at: number): boolean {
  if (at !== start + 1 || !HYPHENS.test(text[start]!)) return false
  const after = text[at] ?? ''
  return text[start] === '-' && isAscii(after) ? DIGIT.test(after) : isLetter(after) || isDigit(after)
}

/** Opportunities in `text`, rising; the last is the end of the text. */
export function lineBreaks(text: string): Break[] {
  const breaks: Break[] = []
  const breaker = new LineBreaker(text.replace(PARTED_HEBREW, 'a'))
  let next = breaker.nextBreak()
  for (let at = 1; at < text.length; at++) {
    while (next && next.position < at) next = breaker.nextBreak()
    const before = text[at - 1]
    const after = text[at]
    if (before === '\n') {
      breaks.push({ at, required: true })
      continue
    }
    if (isSpace(after!)) continue
    let opportunity: boolean
    if (isSpace(before!)) opportunity = true
    // Before and behind what stands for a letter, whatever is beside it (CSS Text 3 §5.1; Chromium also at joiners and glue).
    else if (before === OBJECT || after === OBJECT) opportunity = after !== '\u3000'
    else if (isAscii(before!) && isAscii(after!))
      opportunity = breaksInAscii(text[at - 2] ?? '', before!, after!)
    else opportunity = breaksSinceLibrary(text, at) ?? next?.position === at
    const glued = after === OBJECT && !isSpace(before!) && next?.position !== at
    if (opportunity) breaks.push(glued ? { at, required: false, glued } : { at, required: false })
  }
  // A line feed at the very end opens an empty line.
  breaks.push({ at: text.length, required: text.endsWith('\n') })
  return breaks
}

const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' })

const LOW_SURROGATE = /[\udc00-\udfff]/

/** Characters segmented at a time: the segmenter takes the longer for each the longer the text is. */
const WINDOW = 256

/** For each index, the end of the grapheme that the character before it belongs to (UAX #29); one longer than the text. */
export function graphemeEnds(text: string): Uint32Array {
  const ends = new Uint32Array(text.length + 1)
  let size = WINDOW
  for (let from = 0; from < text.length; ) {
    let to = Math.min(text.length, from + size)
    // Not between the halves of a character.
    if (to < text.length && LOW_SURROGATE.test(text[to]!)) to++
    const window = text.slice(from, to)
    const whole = to === text.length
    let next = from
    for (const { index, segment } of graphemes.segment(window)) {
      const start = from + index
      const end = start + segment.length
      // The last one of a window may go on behind it.
      if (!whole && end === to) break
      ends.fill(end, start + 1, end + 1)
      next = end
    }
    size = next === from ? 2 * size : WINDOW
    from = next
  }
  return ends
}
