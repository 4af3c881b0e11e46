/** From the document's spans to the characters that are shaped: white space collapsed, case applied. */
import type { Resolved } from '../properties/table'
import { OBJECT, type Span } from '../words/words'

const words = new Intl.Segmenter('en', { granularity: 'word' })
/** Chromium begins a word behind these, other than UAX #29. */
const POINTS = /[.:]/g
const NO_BREAK_SPACE = /\u00a0/g
/** Letters that are two, of which one is a capital at the beginning of a word. */
const TITLE: Readonly<Record<string, string>> = {
  ǆ: 'ǅ',
  Ǆ: 'ǅ',
  ǉ: 'ǈ',
  Ǉ: 'ǈ',
  ǌ: 'ǋ',
  Ǌ: 'ǋ',
  ǳ: 'ǲ',
  Ǳ: 'ǲ',
}

/** A letter as it begins a word; one that would become two stays. */
function title(letter: string): string {
  const upper = TITLE[letter] ?? letter.toUpperCase()
  return upper.length === letter.length ? upper : letter
}

/** Every word with a capital, words by UAX #29, as Chromium has them. @param before the character in front of the text */
function capitalized(text: string, before: string): string {
  let out = ''
  const plain = (before + text).replace(NO_BREAK_SPACE, ' ').replace(POINTS, '!')
  for (const { segment, index } of words.segment(plain)) {
    const from = index - before.length
    if (from + segment.length <= 0) continue
    const own = text.slice(Math.max(0, from), from + segment.length)
    const first = String.fromCodePoint(own.codePointAt(0)!)
    out += from < 0 ? own : title(first) + own.slice(first.length)
  }
  return out
}

/** Languages whose letters have capitals, or small ones, of their own (Unicode, SpecialCasing; CLDR for Greek and Armenian). */
const OWN_CASES = /^(tr|az|lt|el|hy)(-|$)/i
const casesOf = (lang: string | undefined): string | undefined => OWN_CASES.exec(lang ?? '')?.[1]

/** @param before the character in front of the text: whether it goes on with a word @param lang of the words; left out: English */
export function transformCase(
  text: string,
  kind: Resolved['textCase'],
  before = '',
  lang: string | undefined = undefined,
): string {
  const locale = casesOf(lang)
  switch (kind) {
    case 'uppercase':
      return locale ? text.toLocaleUpperCase(locale) : text.toUpperCase()
    case 'lowercase':
      return locale ? text.toLocaleLowerCase(locale) : text.toLowerCase()
    case 'capitalize':
      return capitalized(text, before)
    default:
      return text
  }
}

/** Whether nothing sets a span off from the text around it: it needs no element of its own. */
export const isPlain = ({ text: _, ...look }: Span): boolean =>
  Object.values(look).every((value) => value === undefined)

/** Drops the space that hangs before a line feed or the end. */
function dropLastSpace(spans: Span[]) {
  for (let i = spans.length - 1; i >= 0; i--) {
    const { text } = spans[i]!
    if (text === '') continue
    if (text.endsWith(' ')) spans[i] = { ...spans[i], text: text.slice(0, -1) }
    return
  }
}

/**
 * White space collapsed as `white-space: normal` does (CSS Text 3 §4.1), line feeds kept as forced breaks (`<br>`). As many spans
 * as before; some may be empty then.
 */
export function collapseSpaces(spans: readonly Span[]): Span[] {
  let previous = '\n'
  const out: Span[] = []
  for (const span of spans) {
    out.push({ ...span, text: '' })
    const own = out[out.length - 1]!
    let text = ''
    for (const char of span.text.replace(/\r\n?/g, '\n')) {
      // What stands for an icon stands for nothing where there is none.
      if (char === OBJECT && !span.icon) continue
      const space = char === ' ' || char === '\t' || char === '\f'
      if (space && (previous === ' ' || previous === '\n')) continue
      if (char === '\n' && previous === ' ') {
        if (text === '') dropLastSpace(out)
        else text = text.slice(0, -1)
      }
      previous = space ? ' ' : char
      text += previous
    }
    own.text = text
  }
  dropLastSpace(out)
  return out
}
