/** What the editor has selected, and how it changes it: with a scope, in words, as edits of the project. */

import { nanoid } from 'nanoid'
import type { SetEdit } from '../../core/arrange/align'
import { behindButtonEdits, inFrontEdits } from '../../core/arrange/behind-button'
import { type Insertion, insertEdits, stepOn } from '../../core/arrange/insertion'
import { liftEdits } from '../../core/arrange/lift'
import { outermost, sectionOf } from '../../core/arrange/order'
import { shownChildren } from '../../core/arrange/view-order'
import { called } from '../../core/document/called'
import type { Node } from '../../core/document/document'
import { cascaded, originOf, resolved, withOverrides } from '../../core/document/resolve'
import type { Asset } from '../../core/document/schema'
import type { Edit } from '../../core/edits/edit'
import { isShared } from '../../core/expand/instances'
import { formatPx } from '../../core/lattice/solve'
import { hasProperty, mayDiffer, type PropKey, type Props, type Resolved } from '../../core/properties/table'
import { BoardCamera } from './board-camera'
import { ROOM_TOP } from './camera'

/** Where blocks are to go; `words` as they are said. */
type Goal = Pick<Insertion, 'parent' | 'index' | 'next'> & { words?: string }

const NO_PANELS = { ledger: false, spec: false, shelf: false }

export class Editor extends BoardCamera {
  // ——— selection ———

  select(id: string | undefined, viewId = this.viewId, add = false) {
    const before = this.viewId
    this.viewId = viewId
    this.elsewhere = []
    this.shared = id !== undefined && isShared(id) ? id : undefined
    if (id === undefined || this.shared) this.selection = []
    else if (add)
      this.selection = this.selection.includes(id)
        ? this.selection.filter((each) => each !== id)
        : [...this.selection, id]
    else this.selection = [id]
    // On a narrower sheet a change is meant for it, unless said otherwise.
    if (before !== viewId) this.onlyHere = this.doc.views.findIndex((view) => view.id === viewId) > 0
    this.editing = undefined
    this.followWriting()
    this.framing = undefined
    this.openSelected()
    this.points = undefined
    this.followSelection()
    const node = this.selected ?? this.sharedNode
    const many = this.selection.length
    this.announcement =
      many > 1
        ? `${many} blocks selected`
        : node
          ? `${this.called(node)} selected on ${this.view.name}${this.placeWords(node)}`
          : 'Nothing selected'
    this.changed()
  }

  /** Where a block lies on the active sheet, and how large it is. */
  private placeWords(node: Node): string {
    const rect = this.layout?.rect(node.id)
    if (!rect) return ''
    const [x, y, width, height] = [rect.x, rect.y, rect.width, rect.height].map(formatPx)
    return `, ${width} by ${height} at ${x}, ${y}`
  }

  /** Everything from what is selected to a block among `row`; without one, among those beside it. */
  selectTo(id: string, viewId = this.viewId, row?: readonly string[]) {
    const anchor = this.selection[0]
    const { parent } = this.doc.node(id)
    const beside = row ?? (parent === null ? [] : shownChildren(this.doc, parent, viewId))
    const [from, to] = [beside.indexOf(anchor ?? ''), beside.indexOf(id)].sort((a, b) => a - b)
    if (anchor === undefined || from! < 0) return this.select(id, viewId, true)
    // Nothing together with what lies in it; and the first stays the one that a range begins with.
    const taken = outermost(this.doc, beside.slice(from, to! + 1))
    this.select(anchor, viewId)
    this.set({
      selection: taken.sort(
        (a, b) => Number(b === anchor) - Number(a === anchor) || beside.indexOf(a) - beside.indexOf(b),
      ),
    })
    this.announce(`${this.selection.length} blocks selected`)
  }

  /** Selects the section after (or before) the one that the selection lies in, and brings it to the board's top. */
  goSection(step: 1 | -1) {
    const sections = this.layout?.root.kids ?? []
    const own = this.selected && sectionOf(this.doc, this.selected.id)
    const now = sections.findIndex((section) => section.id === (this.shared ?? own?.id))
    const next = sections[now < 0 ? (step > 0 ? 0 : sections.length - 1) : now + step]
    if (!next) return
    this.select(next.id)
    this.camera = { ...this.camera, y: ROOM_TOP - next.y * this.camera.zoom }
    this.changed('board')
  }

  /** The picture that a block shows on a sheet, if it shows one that is there. */
  shownAsset(node: Node, viewId = this.viewId): Asset | undefined {
    const id = this.layoutOf(viewId)?.boxes.get(node.id)?.resolved.asset
    return id === undefined ? undefined : this.doc.assets.get(id)
  }

  /** Begins to slide a picture inside its box. */
  frame(node: Node, viewId = this.viewId) {
    if (!this.shownAsset(node, viewId))
      return this.session.showNotice('there is no picture in it yet; choose one in the spec')
    if (node.locked) return this.session.showNotice('it is locked')
    this.set({ framing: { id: node.id, view: viewId }, viewId })
    this.announce(`Sliding ${this.called(node)} in its box`)
  }

  /** The tokens as they are on the active sheet. */
  get tokens() {
    return this.layout?.tokens ?? this.doc.tokensAt(this.view.id)
  }

  /** Everything a block is in the active view, carried where the view does not say. */
  resolved(node: Node): Resolved {
    const set = cascaded(this.doc, node, this.view.id)
    const { layout } = this
    const carried = layout ? layout.carrying.setIn(node, this.view.id, set) : set
    return resolved(this.tokens, node, carried)
  }

  /** What a block is called wherever it is said. */
  called(node: Node): string {
    return called(node, {
      find: (id) => this.instances?.find(id) ?? this.doc.nodes.get(id),
      asset: (id) => this.doc.assets.get(id),
    })
  }

  origin(node: Node, key: PropKey): string | undefined {
    return originOf(this.doc, node, this.view.id, key)
  }

  // ——— changes ———

  commit(edits: Edit[], label: string, gesture?: string): boolean {
    return this.session.commit(edits, label, gesture ?? this.openGesture)
  }

  undo() {
    const what = this.session.canUndo
    this.session.undo()
    this.announce(what ? `Undone: ${what}` : 'There is nothing to undo')
  }

  redo() {
    const what = this.session.canRedo
    this.session.redo()
    this.announce(what ? `Done again: ${what}` : 'There is nothing to do again')
  }

  /** Opens a panel or folds it away. In a narrow window it lies over the board, and the others make room. */
  showPanel(name: keyof Editor['panels'], open: boolean) {
    const others = open && this.panelsBeside ? NO_PANELS : this.panels
    this.set({ panels: { ...others, [name]: open } })
  }

  /** @param narrow whether the window has no room for panels beside the board */
  fitPanels(narrow: boolean) {
    const { panelsBeside: beside } = this
    if (narrow === (beside !== undefined)) return
    if (beside) this.set({ panels: beside, panelsBeside: undefined })
    else this.set({ panels: NO_PANELS, panelsBeside: this.panels })
    this.fitWhenMeasured()
  }

  /** Nothing but the sheets, or everything as it was before. */
  hideTools(hidden: boolean) {
    const { toolsBefore: before } = this
    if (hidden === (before !== undefined)) return
    if (!hidden) this.set({ ...before, toolsBefore: undefined, keyNote: undefined })
    else
      this.set({
        toolsBefore: { panels: this.panels, showLattice: this.showLattice },
        panels: NO_PANELS,
        showLattice: false,
        keyNote: { words: 'Escape, 0 or the pointer at an edge brings the tools back' },
      })
  }

  /** The view that changes are made for alone; undefined: they are made for all. */
  get scopedView(): string | undefined {
    return this.onlyHere && this.view.id !== this.doc.views[0]!.id ? this.view.id : undefined
  }

  /** @param only changes are made for the active view alone */
  setScope(only: boolean) {
    this.set({ onlyHere: only })
    this.announce(only ? `Changes apply to ${this.view.name} alone` : 'Changes apply to every view')
  }

  /** What a block is in the active view before what that view sets itself. */
  underView(node: Node): Props {
    return withOverrides(
      node,
      this.doc
        .cascade(this.view.id)
        .slice(0, -1)
        .map(({ id }) => id),
    )
  }

  /** The edit that sets props where the scope says: for every view, or from the active one on. */
  readonly setEdit: SetEdit = (node, props) => {
    const view = this.scopedView
    return { op: 'set', node: node.id, props: { ...props }, ...(view === undefined ? {} : { view }) }
  }

  get selectedNodes(): Node[] {
    return this.selection.map((id) => this.doc.node(id))
  }

  /** What a change in the spec is for: what is selected, and with it what is alike on other pages. A key is about what is selected alone. */
  get meant(): readonly string[] {
    return [...this.selection, ...this.elsewhere]
  }

  /** Sets props on every block that is meant, on each those that its kind has. */
  setProps(
    props: Partial<Record<PropKey, unknown>>,
    label: string,
    gesture?: string,
    nodes: Node[] = this.meantNodes,
  ) {
    return this.commit(this.propEdits(props, nodes), label, gesture)
  }

  get meantNodes(): Node[] {
    return this.meant.map((id) => this.doc.node(id))
  }

  /** What sets properties of blocks, of each those that its kind has. */
  propEdits(props: Partial<Record<PropKey, unknown>>, nodes: readonly Node[]): Edit[] {
    return nodes.flatMap((node) => {
      const own = Object.entries(props).filter(([key]) => hasProperty(node.kind, key))
      return own.length > 0 ? [this.setEdit(node, Object.fromEntries(own))] : []
    })
  }

  /** Moves a block one step among its siblings: for every view, or as the active one alone shows them. */
  moveBy(node: Node, by: -1 | 1): boolean {
    const { layout, doc, scopedView } = this
    if (!layout) return false
    const edits = stepOn(layout, doc, node.id, by, this.setEdit, scopedView)
    return this.commitMove(edits, this.called(node), by < 0 ? 'up' : 'down')
  }

  /** Moves blocks to where they were let go, with the same scope. @param view of the sheet that they were let go on */
  move(ids: readonly string[], to: Goal, view = this.viewId): boolean {
    const layout = this.layoutOf(view)
    if (!layout) return false
    const edits = insertEdits(layout, this.doc, ids, to, this.setEdit, this.scopedView)
    const what = ids.length === 1 ? this.called(this.doc.node(ids[0]!)) : `${ids.length} blocks`
    return this.commitMove(edits, what, to.words ?? '')
  }

  private commitMove(edits: Edit[], what: string, to: string): boolean {
    const where = this.scopedView === undefined ? '' : ` on ${this.view.name} alone`
    if (edits.length === 0 || !this.commit(edits, `Move ${what}${where}`)) return false
    this.announce(`${what} moved ${to}${where}`.trim())
    return true
  }

  /** Takes a block out of its flow where it is: on every view, or on the active one alone. */
  lift(node: Node, gesture?: string): boolean {
    const { page } = this
    const layouts = page ? this.doc.viewsOf(page).map((view) => this.layouts.own(page.id, view)) : []
    return this.commit(liftEdits(this.doc, layouts, node.id, this.scopedView), `Lift ${node.name}`, gesture)
  }

  /** Puts a box behind a button, or takes it out, where the scope says. */
  standBehindButton(node: Node, behind: boolean): boolean {
    const { doc, scopedView: scope, page } = this
    const view = doc.view(scope ?? doc.views[0]!.id)
    if (!page) return false
    const layout = this.layouts.own(page.id, view)
    const edits = behind
      ? behindButtonEdits(doc, layout, node, scope, makeId).edits
      : inFrontEdits(doc, layout, node, scope)
    const where = scope === undefined ? '' : ` on ${view.name}`
    const words = `${this.called(node)} ${behind ? 'behind a button' : 'in front'}${where}`
    if (!this.commit(edits, words)) return false
    this.announce(behind ? `${words}. It is open while it is selected.` : words)
    return true
  }

  /** Changes what the page shows of a block of its template, for every view or from the active one on. */
  change(node: Node, props: Partial<Record<PropKey, unknown>>, label: string) {
    const keys = Object.keys(props) as PropKey[]
    const view = keys.every(mayDiffer) ? this.scopedView : undefined
    const edit: Edit = { op: 'change', page: this.pageId, node: node.source!, props }
    return this.commit([view === undefined ? edit : { ...edit, view }], label)
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
