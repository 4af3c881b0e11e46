/** Words that stand alone on the last line of a paragraph: they look left over. */
import type { PageLayout } from '../layout/page'
import { type Line, shownText } from './line'
import type { Paragraph } from './paragraph'

/** Fewer letters than this in all are a label, not a paragraph. */
const LEAST = 25

/** The word that stands alone on the last of a paragraph's lines; undefined: none does. */
export function loneWord({ text }: Pick<Paragraph, 'text'>, lines: readonly Line[]): string | undefined {
  if (lines.length < 2 || text.length < LEAST) return undefined
  const last = lines[lines.length - 1]!
  const before = lines[lines.length - 2]!
  // A line that somebody began there is meant so.
  if (text.slice(before.start, last.start).includes('\n')) return undefined
  const word = shownText(text, last).trim()
  return word === '' || /\s/.test(word) ? undefined : word
}

/** Of a text as it is laid out, in the order in which they stand. @param id a block that may have no words at all */
export const loneWords = (layout: PageLayout, id: string): string[] =>
  layout.placed(id).flatMap(({ paragraph, lines }) => loneWord(paragraph, lines) ?? [])
