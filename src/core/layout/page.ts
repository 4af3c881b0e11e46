/** One page at one view and window width, laid out; kept, so that after an edit only what can change is done again. */
import type { Document, Node } from '../document/document'
import { DEFAULT_LANG, langOf } from '../document/language'
import { resolved, withOverrides } from '../document/resolve'
import type { View } from '../document/schema'
import type { Tokens } from '../document/tokens'
import { Instances } from '../expand/instances'
import { Carrying, carriesOthers } from '../lattice/carrying'
import { type UsedLattice, usedLattice } from '../lattice/used'
import { isText } from '../properties/kinds'
import type { Props } from '../properties/table'
import { differInPaintOnly } from '../properties/table'
import { shownText } from '../text/line'
import type { ParagraphCache } from '../text/paragraph-cache'
import type { SetAt } from '../text/typeset'
import { layoutBox } from './algorithms'
import { Flow, LayoutBox, NO_BOXES } from './box'
import { BoxTable } from './box-table'
import { placePinned } from './lifted'
import { type Rect, seenRect } from './rect'
import { applyStyle, type Surroundings } from './style'

export class PageLayout {
  /** What the page shows: its own blocks, and its templates'. */
  readonly instances: Instances
  /** What this view makes of blocks that wider ones place. */
  readonly carrying: Carrying
  readonly boxes: BoxTable
  root: LayoutBox
  /** `opened`, where it is behind a button: over everything, its parent the page. */
  panel: LayoutBox | null = null
  used: UsedLattice
  view: View
  /** Rises with every update that may have changed a box. */
  version = 0
  /** As they are in this view and theme. */
  tokens: Tokens
  private views: unknown
  private fontVersion = -1
  /** Of the page's words. */
  private lang = DEFAULT_LANG
  private cascade: string[] = []
  /** Boxes whose style follows the window's width. */
  private readonly followers = new Set<LayoutBox>()
  /** No box is known yet. */
  private first = true
  /** Set by `sync`. */
  private placeChanged = false

  constructor(
    private readonly doc: Document,
    readonly page: string,
    readonly viewId: string,
    private width: number,
    private readonly paragraphs: ParagraphCache,
    private readonly fontsVersion: () => number = () => 0,
    /** Whose colours it has; left out: the first. */
    readonly theme?: string,
    /** The block behind a button that lies open over the window; left out: none. */
    readonly opened?: string,
  ) {
    this.tokens = doc.tokensAt(viewId, theme, width)
    this.instances = new Instances(doc, page)
    this.carrying = new Carrying(doc, this.instances)
    this.boxes = new BoxTable(this.instances)
    this.view = doc.view(viewId)
    this.used = usedLattice(this.view.lattice, width)
    this.root = new LayoutBox(this.instances.node(page))
    this.update()
  }

  /** What the view sets for a block, or carries to it. */
  private setOf(node: Node): Props {
    const set = withOverrides(node, this.cascade)
    return this.cascade.length > 1 ? this.carrying.setIn(node, this.viewId, set) : set
  }

  private readonly resolve = (node: Node) => {
    const out = resolved(this.tokens, node, this.setOf(node))
    // What says no language is in the page's.
    if (out.lang === undefined && this.lang !== DEFAULT_LANG) out.lang = this.lang
    return out
  }

  /** Brings the layout up to the document and to a window width; cheap where nothing changed. */
  update(width = this.width) {
    const { doc } = this
    const tokens = doc.tokensAt(this.viewId, this.theme, width)
    if (!this.first && tokens !== this.tokens && tokens.differInPaintOnly(this.tokens)) this.recolor(tokens)
    const lang = langOf(doc, this.page)
    const restyle =
      this.views !== doc.views ||
      this.tokens !== tokens ||
      this.fontVersion !== this.fontsVersion() ||
      this.lang !== lang
    const changed = this.instances.update()
    const touched = restyle || this.first ? undefined : changed
    const resized = width !== this.width
    if (restyle) {
      this.views = doc.views
      this.tokens = tokens
      this.lang = lang
      this.fontVersion = this.fontsVersion()
      this.view = doc.view(this.viewId)
      this.cascade = doc.cascade(this.viewId).map((view) => view.id)
    }
    if (restyle || resized) {
      this.width = width
      this.used = usedLattice(this.view.lattice, width)
    }
    if (!restyle && !resized && touched?.size === 0) return
    this.version++
    this.carrying.forget()
    const around = this.surroundings(null)
    if (touched) {
      if (resized) this.follow(around)
      for (const id of touched) this.resync(id)
    } else
      this.sync(
        null,
        this.instances.node(this.page),
        this.first ? undefined : this.root,
        around,
        restyle,
        true,
      )
    this.first = false
    this.root.width = width
    this.root.height = layoutBox(this.root, width, Number.NaN, false)
    this.placePanel()
  }

  private placePanel() {
    const { panel } = this
    if (panel && !this.instances.find(panel.id)) this.drop(panel)
    if (panel && this.boxes.get(panel.id) !== panel) this.panel = null
    // It is pinned to the window, of which the page's beginning is seen.
    if (this.panel && !this.panel.hidden) placePinned(this.panel, this.width, this.view.fold)
  }

  /** What a block's box lies in: what is in the document around it, or for what is open over the window the page. */
  private hostOf(node: Node, parent: LayoutBox): LayoutBox {
    return node.id === this.opened && this.setOf(node).folded === true ? this.root : parent
  }

  /** What is laid out stays; what is drawn is asked for again. */
  private recolor(tokens: Tokens) {
    this.tokens = tokens
    for (const box of this.boxes) box.resolveWith(this.resolve)
    this.version++
  }

  /** Restyles what follows the window directly; everything else is found by its new width. */
  private follow(around: Surroundings) {
    const restyle = (box: LayoutBox, on: Surroundings) => {
      applyStyle(box, this.setOf(box.node), on)
      box.invalidate()
    }
    // Hidden blocks stand in nobody's lists: that one was removed is found here.
    for (const box of this.followers) if (this.boxes.get(box.id) !== box) this.followers.delete(box)
    // Sections first: what stands on a section's own lattice follows that.
    const isSection = (box: LayoutBox) => this.around(box) === this.root
    for (const box of this.followers) if (isSection(box)) restyle(box, around)
    for (const box of this.followers) if (!isSection(box)) restyle(box, this.surroundings(this.around(box)))
  }

  /** What the style of boxes in `parent` is taken in: the lattice of its section. */
  private surroundings(parent: LayoutBox | null): Surroundings {
    const { doc, tokens, view, cascade, opened } = this
    return { doc, tokens, view, used: this.usedFor(parent?.id), cascade, opened }
  }

  /** The lattice that a block stands on: its section's own, or the view's. */
  usedFor(id: string | undefined): UsedLattice {
    let box = id === undefined ? undefined : this.boxes.get(id)
    for (
      let parent = box && this.around(box);
      box && parent && parent !== this.root;
      parent = this.around(box)
    )
      box = parent
    return box?.lattice ?? this.used
  }

  /** The box of what a block lies in in the document. */
  private around(box: LayoutBox): LayoutBox | null {
    return box === this.panel ? (this.boxes.get(box.node.parent!) ?? null) : box.parent
  }

  private resync(id: string) {
    const node = this.instances.find(id)
    const box = this.boxes.get(id)
    // Gone, of another page, or new: new ones come with their parent.
    if (!node || !box) return
    const parent = this.around(box)
    if (parent?.flow === Flow.Lattice && this.cascade.length > 1 && carriesOthers(box.node, node)) {
      this.sync(parent.parent, parent.node, parent, this.surroundings(parent.parent), true, false)
      return
    }
    const host = parent && this.hostOf(node, parent)
    this.sync(host, node, box, this.surroundings(parent), false, false)
    if (this.placeChanged && parent)
      this.arrange(
        parent,
        parent.node.childSlots.map((slot) => this.boxes.of(this.instances.at(slot))!),
      )
  }

  /** Whether only what is drawn changed from one version of a block to the next. */
  private differsInPaintOnly(before: Node, now: Node): boolean {
    if (before.kind !== now.kind || before.children !== now.children) return false
    if (!differInPaintOnly(before.props, now.props)) return false
    return this.cascade.every((view) =>
      differInPaintOnly(before.overrides[view] ?? NONE, now.overrides[view] ?? NONE),
    )
  }

  /**
   * Matches boxes to `node` and, where they are new, changed or `all` are asked for, to what is in it. `placeChanged` says then whether the
   * box's place among its siblings may have changed.
   * @param known the box that stood for the node so far
   */
  private sync(
    parent: LayoutBox | null,
    node: Node,
    known: LayoutBox | undefined,
    around: Surroundings,
    restyle: boolean,
    all: boolean,
  ): LayoutBox {
    let box = known
    if (!box || box.parent !== parent) {
      if (box) this.drop(box)
      box = parent ? new LayoutBox(node) : this.root
      box.parent = parent
      this.boxes.put(box)
      if (parent === this.root && node.id === this.opened) this.panel = box
    }
    const fresh = box !== known
    let regroup = fresh
    let placeChanged = fresh
    let inherited = restyle
    if (fresh || restyle || box.node !== node) {
      const { flow, columns, align, colGap, hidden, order, lattice } = box
      const out = box.pins !== null
      regroup ||= box.node.children !== node.children
      // A row is carried as a whole.
      inherited ||= this.cascade.length > 1 && (regroup || carriesOthers(box.node, node))
      const repaint = !fresh && !restyle && this.differsInPaintOnly(box.node, node)
      box.node = node
      applyStyle(box, this.setOf(node), around)
      if (box.followsWindow) this.followers.add(box)
      else this.followers.delete(box)
      box.resolveWith(this.resolve)
      const ends = box.typeset?.seenEnds
      if (isText(node.kind)) box.typeset = this.paragraphs.get(box.resolved, node.kind)
      // What is drawn of a text's box can show where its lines end, which is laid out otherwise.
      if (!repaint || ends !== box.typeset?.seenEnds) box.invalidate()
      placeChanged ||= hidden !== box.hidden || order !== box.order || out !== (box.pins !== null)
      regroup ||= flow !== box.flow
      // What children are depends on the parent's flow, columns and alignment.
      inherited ||=
        flow !== box.flow ||
        columns !== box.columns ||
        align !== box.align ||
        colGap !== box.colGap ||
        !sameLattice(lattice, box.lattice)
    }
    const { childSlots } = node
    if (childSlots.length > 0) {
      const within = box.lattice ? { ...around, used: box.lattice } : around
      // As long as they will be: a list that grows leaves room behind it.
      const boxes = new Array<LayoutBox>(childSlots.length)
      for (let i = 0; i < childSlots.length; i++) {
        const child = this.instances.at(childSlots[i]!)
        let childBox = this.first ? undefined : this.boxes.of(child)
        const host = this.hostOf(child, box)
        if (all || inherited || !childBox || childBox.parent !== host || childBox.node !== child) {
          childBox = this.sync(host, child, childBox, within, inherited, all)
          regroup ||= this.placeChanged
        }
        boxes[i] = childBox
      }
      if (regroup) this.arrange(box, boxes)
    } else if (regroup) this.arrange(box, NO_BOXES)
    this.placeChanged = placeChanged
    return box
  }

  /** @param children every child's box, in document order */
  private arrange(box: LayoutBox, children: readonly LayoutBox[]) {
    for (const old of box.kids) if (!this.isChild(old, box)) this.drop(old)
    for (const old of box.lifted) if (!this.isChild(old, box)) this.drop(old)
    let kids = children
    let lifted = NO_BOXES
    if (children.some((child) => child.hidden || child.pins !== null)) {
      kids = children.filter((child) => !child.hidden && child.pins === null)
      lifted = children.filter((child) => !child.hidden && child.pins !== null && child.parent === box)
    }
    // Array.sort is stable: equal orders keep the document's.
    if (kids.some((child) => child.order !== 0)) kids = [...kids].sort((a, b) => a.order - b.order)
    box.kids = kids
    box.lifted = lifted
    box.invalidate()
  }

  private isChild(box: LayoutBox, parent: LayoutBox): boolean {
    return box.parent === parent && this.instances.find(box.id)?.parent === parent.id
  }

  private drop(box: LayoutBox) {
    this.boxes.drop(box)
    this.followers.delete(box)
    for (const kid of [...box.kids, ...box.lifted]) this.drop(kid)
  }

  get height(): number {
    return this.root.height
  }

  /** The page's own sections that are shown, without those of its template. */
  get own(): readonly LayoutBox[] {
    return this.root.kids.filter(({ node }) => node.source === undefined)
  }

  /** Border box from the page's top left, px; undefined when the block is hidden or not on this page. */
  rect(id: string): Rect | undefined {
    const box = this.boxes.get(id)
    if (!box) return undefined
    let x = 0
    let y = 0
    for (let at: LayoutBox = box; at.parent; at = at.parent) {
      if (at.hidden) return undefined
      x += at.x
      y += at.y
    }
    return { x, y, width: box.width, height: box.height }
  }

  /** What a lifted block is pinned to: the padding box round it, or the window for what is open over that; px on the sheet. */
  roomOf(box: LayoutBox): Rect | undefined {
    if (box === this.panel) return { x: 0, y: 0, width: this.width, height: this.view.fold }
    const { parent } = box
    const around = parent && this.rect(parent.id)
    if (!around) return undefined
    const { borL, borT, borR, borB } = parent
    const width = around.width - borL - borR
    return { x: around.x + borL, y: around.y + borT, width, height: around.height - borT - borB }
  }

  /** As `rect`, but of a block that is turned, or lies in one, the upright bounds of what is seen. */
  seen(id: string): Rect | undefined {
    const rect = this.rect(id)
    const box = rect && this.boxes.get(id)
    for (let at = box; at?.parent; at = at.parent) if (at.turn !== 0) return seenRect(box!)
    return rect
  }

  /** A text's paragraphs with their lines; empty for anything else. */
  placed(id: string): SetAt[] {
    const box = this.boxes.get(id)
    return box?.typeset ? box.typeset.placed(Math.max(0, box.width - box.padX)) : []
  }

  lineTexts(id: string): string[] {
    return this.placed(id).flatMap(({ paragraph, lines }) =>
      lines.map((line) => shownText(paragraph.text, line)),
    )
  }

  /** Every visible block, parents first. */
  *visible(box: LayoutBox = this.root): Generator<LayoutBox> {
    const over = box === this.root && this.panel && !this.panel.hidden ? [this.panel] : NO_BOXES
    for (const kids of [box.kids, box.lifted, over])
      for (const kid of kids) {
        yield kid
        yield* this.visible(kid)
      }
  }
}

const NONE: Props = {}

function sameLattice(a: UsedLattice | null, b: UsedLattice | null): boolean {
  if (a === null || b === null) return a === b
  return (Object.keys(a) as (keyof UsedLattice)[]).every((key) => a[key] === b[key])
}
