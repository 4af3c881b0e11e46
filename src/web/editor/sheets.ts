/** What a tab shows of a project: the open page, its sheets with their layouts, and the camera over them. */

import { tracedHeight } from '../../core/arrange/trace'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import type { Theme, View } from '../../core/document/schema'
import { isPanel } from '../../core/handoff/panels'
import { stillOther } from '../../core/lattice/shown-width'
import type { PageLayout } from '../../core/layout/page'
import { ensureFonts } from '../session/fonts'
import type { ProjectSession } from '../session/project-session'
import { BreakageSearch } from './breakage-search'
import { SHEET_GAP } from './camera'
import { PageLayouts } from './page-layouts'
import type { SavedView } from './saved-view'
import { EditorState } from './state'

/** A sheet where it lies on the board. `theme`: the one it is drawn in, where there are several; `isTwin`: the same in another before it. */
export type SheetOnBoard = {
  /** Of its own on the board. */
  id: string
  view: View
  left: number
  layout: PageLayout
  tall: number
  theme: Theme | undefined
  isTwin: boolean
}

/** How long the pointer rests in a gesture until the panels follow, ms. */
const REST = 120

/** What only the board shows. */
const BOARD_ONLY = new Set(['camera', 'drag', 'gauge'])

export abstract class Sheets extends EditorState {
  /** Rises with every change. */
  version = 0
  /** Rises with every change that shows beside the board. */
  panelVersion = 0
  private rest: ReturnType<typeof setTimeout> | undefined
  protected readonly layouts: PageLayouts
  readonly breakages = new BreakageSearch(this)
  private readonly listeners = new Set<() => void>()
  private seenDocument = -1
  /** Board size in screen px, measured by the board. */
  boardSize = { width: 760, height: 680 }
  /** Whether the sheets lie as they are to be seen; else they do once the board's size is known. */
  protected fitted = false
  /** Fits the sheets into the board. */
  abstract fit(): void
  /** What is seen of a page that is opened. */
  protected abstract fitFirst(): void
  /** Goes closer where words would be too small to be written, and back when they are. */
  protected abstract followWriting(): void

  constructor(
    readonly session: ProjectSession,
    saved?: SavedView,
  ) {
    super()
    this.layouts = new PageLayouts(session.doc)
    this.pageId = this.firstPage()
    this.viewId = this.doc.views[0]!.id
    if (saved && this.doc.pages.has(saved.page) && !this.doc.absent.has(saved.page)) this.restoreView(saved)
    session.subscribe(() => this.documentChanged())
    this.documentChanged()
  }

  /** How the desk stands now, to be found so again. */
  savedView(): SavedView {
    const { pageId: page, viewId: view, camera, showLattice, showBaseline, showAids, rulers, follows } = this
    const lists = {
      hidden: [...this.hiddenViews],
      themes: [...this.shownThemes],
      snapping: [...this.snapping],
    }
    return {
      page,
      view,
      camera,
      showLattice,
      showBaseline,
      showAids,
      rulers,
      follows,
      step: this.step,
      ...lists,
      zeros: Object.fromEntries(this.zeros),
    }
  }

  private restoreView({ page, view, hidden, themes, snapping, zeros, ...same }: SavedView) {
    Object.assign(this, same)
    this.pageId = page
    if (this.doc.views.some((each) => each.id === view)) this.viewId = view
    this.hiddenViews = new Set(hidden)
    this.shownThemes = themes
    this.snapping = new Set(snapping)
    this.zeros = new Map(Object.entries(zeros))
    this.fitted = true
  }

  get doc() {
    return this.session.doc
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** @param where `board`: only the camera or a gesture moved */
  changed(where: 'everywhere' | 'board' = 'everywhere') {
    this.version++
    clearTimeout(this.rest)
    if (where === 'everywhere' && !this.drag) this.panelVersion++
    else if (this.drag) this.rest = setTimeout(() => this.panelsFollow(), REST)
    for (const listener of this.listeners) listener()
  }

  private panelsFollow() {
    this.panelVersion++
    for (const listener of this.listeners) listener()
  }

  set(part: Partial<EditorState>) {
    const ended = 'drag' in part && part.drag === undefined && this.drag !== undefined
    if ('selection' in part) this.elsewhere = []
    Object.assign(this, part)
    if (this.selection.length > 0) this.shared = undefined
    if ('selection' in part || 'shared' in part) this.openSelected()
    if ('editing' in part) this.followWriting()
    this.changed(!ended && Object.keys(part).every((key) => BOARD_ONLY.has(key)) ? 'board' : 'everywhere')
  }

  announce(text: string) {
    this.announcement = text
    this.changed()
  }

  // ——— page, views, layouts ———

  get page() {
    return this.doc.pages.get(this.pageId)
  }

  get view(): View {
    return this.doc.views.find((view) => view.id === this.viewId) ?? this.doc.views[0]!
  }

  get shownViews(): View[] {
    const page = this.page
    if (!page) return []
    const views = this.doc.viewsOf(page).filter((view) => !this.hiddenViews.has(view.id))
    const shown = views.length > 0 ? views : this.doc.viewsOf(page).slice(0, 1)
    if (this.shownWidths.size === 0) return shown
    return shown.map((view) => ({ ...view, width: this.shownWidths.get(view.id) ?? view.width }))
  }

  /** The first that is here, or the first. */
  private firstPage(): string {
    const pages = this.doc.pagesInOrder()
    return (pages.find(({ id }) => !this.doc.absent.has(id)) ?? pages[0])?.id ?? ''
  }

  /** Opens a page, as soon as it is here. */
  openPage(id: string) {
    if (this.doc.absent.has(id)) {
      this.announce(`Opening ${this.doc.pages.get(id)?.name} …`)
      this.set({ opening: id })
      this.session.pages.need(id).then(
        () => this.opening === id && this.doc.pages.has(id) && this.openPage(id),
        (error: Error) => {
          this.set({ opening: undefined })
          this.session.showNotice(`the page cannot be opened: ${error.message}`)
        },
      )
      return
    }
    this.opening = undefined
    this.pageId = id
    this.selection = []
    this.elsewhere = []
    this.shared = undefined
    this.editing = undefined
    this.shownWidths = new Map()
    this.breaking = undefined
    this.framing = undefined
    this.points = undefined
    this.layouts.clear()
    this.fitted = false
    this.refresh()
    this.fitFirst()
  }

  toggleView(id: string) {
    const next = new Set(this.hiddenViews)
    if (!next.delete(id)) next.add(id)
    this.hiddenViews = next
    if (!this.shownViews.some((view) => view.id === this.viewId)) this.viewId = this.shownViews[0]!.id
    this.refresh()
    this.fit()
  }

  layoutOf(viewId: string): PageLayout | undefined {
    return this.layouts.of(viewId)
  }

  /** What the open page shows. */
  get instances() {
    return this.layout?.instances
  }

  get layout(): PageLayout | undefined {
    return this.layouts.of(this.view.id)
  }

  private documentChanged() {
    if (this.seenDocument === this.session.documentVersion) {
      this.changed()
      return
    }
    this.seenDocument = this.session.documentVersion
    if (!this.doc.pages.has(this.pageId)) {
      // Deleted by somebody: one that is here, or the first as soon as it is.
      const next = this.firstPage()
      this.pageId = this.doc.absent.has(next) ? '' : next
      this.layouts.clear()
      if (this.pageId === '' && next !== '' && this.opening === undefined) this.openPage(next)
    }
    this.selection = this.selection.filter((id) => this.doc.nodes.has(id))
    this.elsewhere = this.elsewhere.filter((id) => this.doc.nodes.has(id))
    if (this.editing && !this.doc.nodes.has(this.editing.id)) this.editing = undefined
    if (this.framing && !this.doc.nodes.has(this.framing.id)) this.framing = undefined
    if (this.points?.id && !this.doc.nodes.has(this.points.id)) this.points = undefined
    if (this.shownWidths.size > 0) this.shownWidths = stillOther(this.shownWidths, this.doc.views)
    this.refresh()
    if (this.shared && !this.sharedNode) this.shared = undefined
    ensureFonts(this.doc).then((any) => {
      if (any) this.refresh()
    })
  }

  /** Brings the layouts of the shown sheets up to the document. */
  refresh(where: 'everywhere' | 'board' = 'everywhere') {
    this.breakages.follow()
    const all = this.page
      ? this.layouts.update(this.pageId, this.shownViews, this.view, this.onlyTheme, this.openedOn)
      : true
    if (!all) setTimeout(() => this.refresh())
    this.changed(where)
  }

  /** What lies open on a view since it, or something in it, is selected: closed it would not be seen. */
  private readonly openedOn = ({ id: view }: View): string | undefined => {
    let opened: string | undefined
    const { doc, instances } = this
    const find = (key: string) => instances?.find(key) ?? doc.nodes.get(key)
    const first = this.shared ?? this.selected?.id
    for (let node = first && find(first); node; node = node.parent ? find(node.parent) : undefined)
      if (isPanel(doc, node) && cascaded(doc, node, view).folded === true) opened = node.id
    return opened
  }

  /** Brings out what was selected behind a button, and closes what was. */
  protected openSelected() {
    if (this.shownViews.some((view) => this.layouts.of(view.id)?.opened !== this.openedOn(view)))
      this.refresh()
  }

  /** The themes of which sheets are shown. */
  get themesShown(): Theme[] {
    return this.doc.themes.filter(({ id }) => this.shownThemes.includes(id))
  }

  /** The one theme that everything is shown in; undefined: the first, perhaps beside others. */
  private get onlyTheme(): string | undefined {
    const [only, ...others] = this.themesShown
    return others.length > 0 || only === this.doc.themes[0] ? undefined : only?.id
  }

  showThemes(ids: readonly string[]) {
    this.shownThemes = ids
    this.refresh()
    this.fit()
  }

  /**
   * Each shown sheet on the board: its left edge and how tall it is drawn, in the sheets' px. In several themes they stand side by
   * side, of one layout.
   */
  sheetPlaces(): SheetOnBoard[] {
    let left = 0
    const themes = this.themesShown.length > 1 ? this.themesShown : [undefined]
    return this.shownViews.flatMap((view) => {
      const layout = this.layouts.of(view.id)
      if (!layout) return []
      const tall = Math.max(layout.height, view.fold, tracedHeight(this.doc, this.pageId, view.id))
      return themes.map((theme, i) => {
        const place = { id: `${view.id} ${theme?.id ?? ''}`, view, left, layout, tall, theme, isTwin: i > 0 }
        left += view.width + SHEET_GAP / Math.min(1, this.camera.zoom * 2)
        return place
      })
    })
  }

  /** What of a sheet lies on the board: top and bottom, px on the sheet; undefined when it is well out of sight. */
  inSight(left: number, width: number): [number, number] | undefined {
    const { camera, boardSize } = this
    const from = camera.x + left * camera.zoom
    if (from > boardSize.width * 1.5 || from + width * camera.zoom < -boardSize.width / 2) return undefined
    return [-camera.y / camera.zoom, (boardSize.height - camera.y) / camera.zoom]
  }

  zeroOf(view: string): { x: number; y: number } {
    return this.zeros.get(view) ?? { x: 0, y: 0 }
  }

  setZero(view: string, zero: { x: number; y: number }) {
    this.set({ zeros: new Map([...this.zeros, [view, zero]]) })
  }

  // ——— what is selected on them ———

  get selected(): Node | undefined {
    return this.selection.length > 0
      ? this.doc.nodes.get(this.selection[this.selection.length - 1]!)
      : undefined
  }

  /** What is selected of the page's template, as the page shows it. */
  get sharedNode(): Node | undefined {
    return this.shared === undefined ? undefined : this.instances?.find(this.shared)
  }
}
