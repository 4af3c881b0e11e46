/** The layouts of the open page, one a sheet, kept and brought up to the document. */
import type { Document } from '../../core/document/document'
import type { View } from '../../core/document/schema'
import { PageLayout } from '../../core/layout/page'
import { library, paragraphs } from '../session/fonts'

/** Blocks from which on a page is opened sheet by sheet. */
const LARGE = 3000

export class PageLayouts {
  private readonly byView = new Map<string, PageLayout>()
  constructor(private readonly doc: Document) {}

  of(view: string): PageLayout | undefined {
    return this.byView.get(view)
  }

  /** A view at its own width, whatever its sheet is shown at, and whether it is shown. */
  own(page: string, { id, width }: View): PageLayout {
    const known = this.byView.get(id)
    if (known?.page === page && known.used.width === width && known.opened === undefined) return known
    return new PageLayout(this.doc, page, id, width, paragraphs, () => library.version)
  }

  clear() {
    this.byView.clear()
  }

  /**
   * Lays out what is new or changed on a page's sheets and forgets sheets not among them. A large page is opened with the active
   * sheet alone. @param theme whose colours they have @param opened what lies open over a view though it is behind a button
   * @returns whether every sheet is there
   */
  update(
    page: string,
    views: readonly View[],
    active: View,
    theme: string | undefined,
    opened: (view: View) => string | undefined,
  ): boolean {
    const { byView, doc } = this
    const opening = byView.size === 0 && doc.nodes.size > LARGE && views.length > 1
    for (const view of opening ? [active] : views) {
      const known = byView.get(view.id)
      const open = opened(view)
      const isSame = known?.page === page && known.theme === theme && known.opened === open
      if (isSame) known.update(view.width)
      else
        byView.set(
          view.id,
          new PageLayout(doc, page, view.id, view.width, paragraphs, () => library.version, theme, open),
        )
    }
    for (const id of byView.keys()) if (!views.some((view) => view.id === id)) byView.delete(id)
    return !opening
  }
}
