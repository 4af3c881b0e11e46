/** Characters that are drawn as one: emoji with what varies and joins them, keycaps, flags (UTS #51 §1.4). */

const JOINING = /[\u200d\ufe0f\u20e3\u{1f1e6}-\u{1f1ff}\u{1f3fb}-\u{1f3ff}]/u
const IGNORED = /\p{Default_Ignorable_Code_Point}/u
const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' })

/** `codes` are those that a font has to have all of. */
export type Sequence = { start: number; end: number; codes: number[] }

/** The sequences of a text, in order. Most texts have none. */
export function sequencesIn(text: string): Sequence[] {
  if (!JOINING.test(text)) return []
  const found: Sequence[] = []
  for (const { index, segment } of graphemes.segment(text)) {
    if (segment.length < 2 || !JOINING.test(segment)) continue
    const codes = [...segment].filter((char) => !IGNORED.test(char)).map((char) => char.codePointAt(0)!)
    if (codes.length > 0) found.push({ start: index, end: index + segment.length, codes })
  }
  return found
}
