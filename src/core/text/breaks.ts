/** Line break opportunities: UAX #14, tailored to what browsers do. */
import LineBreaker from 'linebreak'

export type Break = {
  /** UTF-16 index at which the next line would start. */
  at: number
  required: boolean
}

/**
 * Since Unicode 15.1 only an opening quotation mark holds on to an opening bracket behind spaces (LB15a); the library
 * knows the older rule, for every quotation mark.
 */
function addAfterQuotes(text: string, from: number, to: number, breaks: Break[]) {
  const part = text.slice(from, to)
  for (const match of part.matchAll(/[”’»›"'] +(?=[([{¿¡‚„])/g)) {
    breaks.push({ at: from + match.index + match[0].length, required: false })
  }
}

/** Opportunities in `text`, rising; the last is the end of the text. */
export function lineBreaks(text: string): Break[] {
  const breaks: Break[] = []
  const breaker = new LineBreaker(text)
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    const before = text[next.position - 1]
    // Chromium does not break after a slash inside a word.
    if (before === '/' && next.position < text.length && !next.required) continue
    addAfterQuotes(text, breaks.at(-1)?.at ?? 0, next.position, breaks)
    breaks.push({ at: next.position, required: next.required === true && next.position < text.length })
  }
  if (breaks.length === 0 || breaks[breaks.length - 1].at < text.length)
    breaks.push({ at: text.length, required: false })
  // The library flags a final newline as required at the end; keep it, it opens an empty line.
  if (text.endsWith('\n')) breaks[breaks.length - 1] = { at: text.length, required: true }
  return breaks
}
