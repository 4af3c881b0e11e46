/** Words that stand alone on the last line of a paragraph: they look left over. */
import type { PageLayout } from '../layout/page'
import { shownText } from './paragraph'

/** Fewer letters than this in all are a label, not a paragraph. */
const LEAST = 25

/** Of a text as it is laid out, in the order in which they stand. @param id a block that may have no words at all */
export function loneWords(layout: PageLayout, id: string): string[] {
  return layout.placed(id).flatMap(({ paragraph, lines }) => {
    if (lines.length < 2 || paragraph.text.length < LEAST) return []
    const last = lines[lines.length - 1]
    const before = lines[lines.length - 2]
    // A line that somebody began there is meant so.
    if (paragraph.text.slice(before.start, last.start).includes('\n')) return []
    const word = shownText(paragraph.text, last).trim()
    return word === '' || /\s/.test(word) ? [] : [word]
  })
}
