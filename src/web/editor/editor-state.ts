/** What the editor shows and has selected: everything about a tab that is not the document. */
import { nanoid } from 'nanoid'
import type { Node } from '../../core/document/document'
import { originOf, type Resolved, resolve } from '../../core/document/resolve'
import type { PropKey, Props, View } from '../../core/document/schema'
import type { Edit } from '../../core/edits/edit'
import { PageLayout } from '../../core/layout/page'
import { ensureFonts, library, paragraphs } from '../session/fonts'
import type { ProjectSession } from '../session/project-session'

export type Camera = { x: number; y: number; zoom: number }
export const MIN_ZOOM = 0.05
export const MAX_ZOOM = 8

/** Space between two sheets, in the sheets' own px. */
export const SHEET_GAP = 72

export class Editor {
  version = 0
  pageId: string
  selection: string[] = []
  /** The sheet that commands and the spec speak of. */
  viewId: string
  /** Whether a change is made for every view or only for the active one and narrower ones. */
  onlyHere = false
  hiddenViews = new Set<string>()
  /** The text being edited in place. */
  editing: { id: string; view: string } | undefined
  camera: Camera = { x: 60, y: 60, zoom: 0.4 }
  showLattice = true
  panels = { ledger: true, spec: true, shelf: false }
  shelfPart: 'sections' | 'blocks' | 'pictures' = 'sections'
  dialog: 'page' | 'palette' | 'views' | 'shortcuts' | undefined
  announcement = ''
  private readonly layouts = new Map<string, PageLayout>()
  private readonly listeners = new Set<() => void>()
  private seenDocument = -1
  /** Board size in screen px, measured by the board. */
  boardSize = { width: 760, height: 680 }
  private fitted = false

  constructor(readonly session: ProjectSession) {
    this.pageId = this.doc.pagesInOrder()[0]?.id ?? ''
    this.viewId = this.doc.views[0].id
    session.subscribe(() => this.documentChanged())
    this.documentChanged()
  }

  get doc() {
    return this.session.doc
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  changed() {
    this.version++
    for (const listener of this.listeners) listener()
  }

  set(
    part: Partial<
      Pick<
        Editor,
        | 'selection'
        | 'viewId'
        | 'onlyHere'
        | 'editing'
        | 'camera'
        | 'showLattice'
        | 'panels'
        | 'shelfPart'
        | 'dialog'
        | 'announcement'
      >
    >,
  ) {
    Object.assign(this, part)
    this.changed()
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
    return this.doc.views.find((view) => view.id === this.viewId) ?? this.doc.views[0]
  }

  get shownViews(): View[] {
    const page = this.page
    if (!page) return []
    const views = this.doc.viewsOf(page).filter((view) => !this.hiddenViews.has(view.id))
    return views.length > 0 ? views : this.doc.viewsOf(page).slice(0, 1)
  }

  openPage(id: string) {
    this.pageId = id
    this.selection = []
    this.editing = undefined
    this.layouts.clear()
    this.fitted = false
    this.refresh()
    this.fit()
  }

  toggleView(id: string) {
    const next = new Set(this.hiddenViews)
    if (!next.delete(id)) next.add(id)
    this.hiddenViews = next
    if (!this.shownViews.some((view) => view.id === this.viewId)) this.viewId = this.shownViews[0].id
    this.refresh()
    this.fit()
  }

  layoutOf(viewId: string): PageLayout | undefined {
    return this.layouts.get(viewId)
  }

  get layout(): PageLayout | undefined {
    return this.layouts.get(this.view.id)
  }

  private documentChanged() {
    if (this.seenDocument === this.session.documentVersion) {
      this.changed()
      return
    }
    this.seenDocument = this.session.documentVersion
    if (!this.doc.pages.has(this.pageId)) {
      this.pageId = this.doc.pagesInOrder()[0]?.id ?? ''
      this.layouts.clear()
    }
    this.selection = this.selection.filter((id) => this.doc.nodes.has(id))
    if (this.editing && !this.doc.nodes.has(this.editing.id)) this.editing = undefined
    this.refresh()
    ensureFonts(this.doc).then((any) => {
      if (any) this.refresh()
    })
  }

  /** Brings the layouts of the shown sheets up to the document. */
  refresh() {
    const { doc } = this
    if (this.page) {
      for (const view of this.shownViews) {
        const known = this.layouts.get(view.id)
        if (known && known.page === this.pageId) known.update(view.width)
        else
          this.layouts.set(
            view.id,
            new PageLayout(doc, this.pageId, view.id, view.width, paragraphs, () => library.version),
          )
      }
    }
    for (const id of this.layouts.keys())
      if (!this.shownViews.some((view) => view.id === id)) this.layouts.delete(id)
    this.changed()
  }

  /** Left edge of each shown sheet on the board, in the sheets' px. */
  sheetPlaces(): { view: View; left: number; layout: PageLayout }[] {
    let left = 0
    return this.shownViews.flatMap((view) => {
      const layout = this.layouts.get(view.id)
      if (!layout) return []
      const place = { view, left, layout }
      left += view.width + SHEET_GAP / Math.min(1, this.camera.zoom * 2)
      return [place]
    })
  }

  // ——— camera ———

  measured(width: number, height: number) {
    this.boardSize = { width, height }
    if (!this.fitted) this.fit()
    else this.changed()
  }

  fit() {
    this.fitted = true
    const { width, height } = this.boardSize
    const places = this.sheetPlaces()
    if (places.length === 0) return this.changed()
    const total = this.shownViews.reduce((sum, view) => sum + view.width, 0)
    const gaps = (places.length - 1) * (SHEET_GAP / 2)
    // Room for the column header above, the section heights at the left.
    const across = (width - 62 - 30 - gaps) / total
    const down = (height - 64 - 24) / Math.max(400, this.layout?.height ?? 900)
    const zoom = Math.min(1, Math.max(MIN_ZOOM, across, Math.min(across, down)))
    this.camera = { x: 62, y: 62, zoom }
    this.changed()
  }

  zoomTo(zoom: number, at = { x: this.boardSize.width / 2, y: this.boardSize.height / 2 }) {
    const next = Math.min(MAX_ZOOM, Math.max(MIN_ZOOM, zoom))
    const { camera } = this
    const scale = next / camera.zoom
    this.camera = { x: at.x - (at.x - camera.x) * scale, y: at.y - (at.y - camera.y) * scale, zoom: next }
    this.changed()
  }

  /** Real size, with what is selected in the middle. */
  zoomReal() {
    this.zoomTo(1)
    const place = this.sheetPlaces().find((each) => each.view.id === this.viewId)
    const rect = this.selected && place?.layout.rect(this.selected.id)
    if (!rect || !place) return
    const { width, height } = this.boardSize
    // What is wider than the board is shown from its left edge.
    const x =
      rect.width > width - 80
        ? 62 - (place.left + rect.x)
        : width / 2 - (place.left + rect.x + rect.width / 2)
    const y = height / 2 - (rect.y + Math.min(rect.height, height - 160) / 2)
    this.camera = { x: Math.min(62, x), y: Math.min(62, y), zoom: 1 }
    this.changed()
  }

  pan(dx: number, dy: number) {
    this.camera = { ...this.camera, x: this.camera.x + dx, y: this.camera.y + dy }
    this.changed()
  }

  // ——— selection ———

  get selected(): Node | undefined {
    return this.selection.length > 0
      ? this.doc.nodes.get(this.selection[this.selection.length - 1])
      : undefined
  }

  select(id: string | undefined, viewId = this.viewId, add = false) {
    const before = this.viewId
    this.viewId = viewId
    if (id === undefined) this.selection = []
    else if (add)
      this.selection = this.selection.includes(id)
        ? this.selection.filter((each) => each !== id)
        : [...this.selection, id]
    else this.selection = [id]
    // On a narrower sheet a change is meant for it, unless said otherwise.
    if (before !== viewId) this.onlyHere = this.doc.views.findIndex((view) => view.id === viewId) > 0
    this.editing = undefined
    const node = this.selected
    this.announcement = node ? `${node.name} selected on ${this.view.name}` : 'Nothing selected'
    this.changed()
  }

  /** A new section or block goes after this one. */
  resolved(node: Node): Resolved {
    return resolve(this.doc, node, this.view.id)
  }

  origin(node: Node, key: PropKey): string | undefined {
    return originOf(this.doc, node, this.view.id, key)
  }

  // ——— changes ———

  commit(edits: Edit[], label: string, gesture?: string): boolean {
    return this.session.commit(edits, label, gesture)
  }

  /** The edit that sets props where the scope says: for every view, or from the active one on. */
  setEdit(node: Node, props: Partial<Record<PropKey, unknown>>): Edit {
    const widest = this.doc.views[0].id
    const own = this.onlyHere && this.view.id !== widest
    const shared: Partial<Record<PropKey, unknown>> = { ...props }
    if (!own) return { op: 'set', node: node.id, props: shared }
    return { op: 'set', node: node.id, view: this.view.id, props: shared }
  }

  /** Sets props on every selected block. */
  setProps(
    props: Partial<Record<PropKey, unknown>>,
    label: string,
    gesture?: string,
    nodes: Node[] = this.selection.map((id) => this.doc.node(id)),
  ) {
    return this.commit(
      nodes.map((node) => this.setEdit(node, props)),
      label,
      gesture,
    )
  }

  /** Overrides of the active view on a node. */
  overridden(node: Node): PropKey[] {
    return Object.keys(node.overrides[this.view.id] ?? {}) as PropKey[]
  }

  putBack(node: Node, keys: readonly PropKey[]) {
    const own = node.overrides[this.view.id] as Props | undefined
    const props = Object.fromEntries(keys.filter((key) => own?.[key] !== undefined).map((key) => [key, null]))
    if (Object.keys(props).length > 0)
      this.commit([{ op: 'set', node: node.id, view: this.view.id, props }], `Put back on ${this.view.name}`)
  }
}

export const makeId = () => nanoid(10)
