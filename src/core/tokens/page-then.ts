/** The open page as it would be with some edits: on a copy, nothing is changed. */
import { Document } from '../document/document'
import { applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { PageLayout } from '../layout/page'
import type { ParagraphCache } from '../text/paragraph-cache'

/** @throws EditError when an edit does not fit */
export function pageThen(
  doc: Document,
  edits: readonly Edit[],
  at: { page: string; view: string; theme: string | undefined; opened?: string | undefined },
  paragraphs: ParagraphCache,
): { doc: Document; layout: PageLayout } {
  const shown = new Set([at.page, ...doc.templatesOf(at.page).map(({ id }) => id)])
  const copy = Document.fromFile(structuredClone(doc.toFile(shown)))
  applyAll(copy, [...edits])
  const { page, view, theme, opened } = at
  const { width } = copy.view(view)
  return { doc: copy, layout: new PageLayout(copy, page, view, width, paragraphs, undefined, theme, opened) }
}
