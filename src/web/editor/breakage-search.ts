/** What breaks at which widths on the open page, looked for in a worker whenever nothing has changed for a moment. */
import type { Breakage } from '../../core/adapt/over-widths'
import type { Document } from '../../core/document/document'
import { rangeOf } from '../../core/lattice/shown-width'
import { whenIdle } from '../parts/when-idle'
import { askLayout } from '../session/layout-worker'

/** What is looked through: the page that is open. */
type Desk = {
  readonly doc: Document
  readonly pageId: string
  readonly viewId: string
  readonly session: { readonly documentVersion: number }
  changed(where: 'board'): void
}

export class BreakageSearch {
  private found = new Map<string, { of: string; answer: Breakage[] | Error }>()
  private page = ''
  private of = ''
  private through = ''
  private stop: AbortController | undefined

  constructor(private readonly desk: Desk) {}

  /** On a view, as last known. */
  on(view: string): readonly Breakage[] {
    const answer = this.found.get(view)?.answer
    return Array.isArray(answer) ? answer : []
  }

  /** On a view as it is now; undefined: being looked for. */
  now(view: string): readonly Breakage[] | Error | undefined {
    const found = this.found.get(view)
    return found?.of === this.key() ? found.answer : undefined
  }

  /** Whether all views have been looked through as the page is now. */
  get isThrough(): boolean {
    return this.through === this.key()
  }

  private key(): string {
    return `${this.desk.pageId} ${this.desk.session.documentVersion}`
  }

  /** Looks again if the page is another or has changed. */
  follow() {
    const key = this.key()
    if (key === this.of) return
    this.of = key
    if (this.page !== this.desk.pageId) this.found = new Map()
    this.page = this.desk.pageId
    this.stop?.abort()
    const stop = new AbortController()
    this.stop = stop
    const leave = whenIdle(() => void this.look(key, stop.signal))
    stop.signal.addEventListener('abort', leave)
  }

  private async look(key: string, signal: AbortSignal) {
    const { doc, pageId: page } = this.desk
    const open = doc.pages.get(page)
    if (!open) return
    const file = doc.toFile(new Set([page, ...doc.templatesOf(page).map(({ id }) => id)]))
    // The active view first: it is looked at.
    const views = [...doc.viewsOf(open)].sort((a) => (a.id === this.desk.viewId ? -1 : 1))
    for (const { id: view, width: own } of views) {
      const range = rangeOf(doc.views, view)
      const answer = await askLayout({ ask: 'breakages', file, page, view, range, own }, signal).catch(
        (error: Error) => error,
      )
      if (signal.aborted) return
      this.found.set(view, { of: key, answer })
      this.desk.changed('board')
    }
    this.through = key
    this.desk.changed('board')
  }
}
