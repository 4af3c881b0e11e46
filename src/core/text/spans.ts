/** From the document's spans to the characters that are shaped: white space collapsed, case applied. */
import type { Resolved } from '../properties/table'
import type { Span } from '../words/words'

export function transformCase(text: string, kind: Resolved['textCase']): string {
  switch (kind) {
    case 'uppercase':
      return text.toUpperCase()
    case 'lowercase':
      return text.toLowerCase()
    case 'capitalize':
      return text.replace(
        /(^|[\s\-–—/(“"'])(\p{L})/gu,
        (_, before: string, letter: string) => before + letter.toUpperCase(),
      )
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
    const { text } = spans[i]
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
    const own = out[out.length - 1]
    let text = ''
    for (const char of span.text.replace(/\r\n?/g, '\n')) {
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
