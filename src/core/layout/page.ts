/** One page at one view and window width, laid out; kept, so that after an edit only what can change is done again. */
import type { Document, Node } from '../document/document'
import { isText } from '../document/kinds'
import { resolve } from '../document/resolve'
import type { View } from '../document/schema'
import { type UsedLattice, usedLattice } from '../lattice/used'
import type { Line, ParagraphCache } from '../text/paragraph'
import { LayoutBox } from './box'
import { layoutBox } from './place'
import { applyStyle, isLifted, type Surroundings } from './style'

export type Rect = { x: number; y: number; width: number; height: number }

export class PageLayout {
  readonly boxes = new Map<string, LayoutBox>()
  root: LayoutBox
  used: UsedLattice
  view: View
  private tokens: unknown
  private views: unknown
  private fontVersion = -1

  constructor(
    private readonly doc: Document,
    readonly page: string,
    readonly viewId: string,
    private width: number,
    private readonly paragraphs: ParagraphCache,
    private readonly fontsVersion: () => number = () => 0,
  ) {
    this.view = doc.view(viewId)
    this.used = usedLattice(this.view.lattice, width)
    this.root = new LayoutBox(page, doc.node(page))
    this.update()
  }

  /** Brings the layout up to the document; cheap where nothing changed. */
  update(width = this.width) {
    const { doc } = this
    const view = doc.view(this.viewId)
    const restyle =
      this.views !== doc.views ||
      this.tokens !== doc.tokens ||
      width !== this.width ||
      this.fontVersion !== this.fontsVersion()
    if (restyle) {
      this.views = doc.views
      this.tokens = doc.tokens
      this.fontVersion = this.fontsVersion()
      this.view = view
      this.width = width
      this.used = usedLattice(view.lattice, width)
    }
    const around: Surroundings = { doc, view, used: this.used }
    this.sync(null, doc.node(this.page), around, restyle)
    this.root.width = width
    this.root.height = layoutBox(this.root, width, Number.NaN, false)
  }

  /** Matches boxes to nodes below `node`; returns whether anything changed. */
  private sync(parent: LayoutBox | null, node: Node, around: Surroundings, restyle: boolean): boolean {
    let box = this.boxes.get(node.id)
    let changed = restyle
    if (!box || box.parent !== parent) {
      if (box) this.drop(box)
      box = parent ? new LayoutBox(node.id, node) : this.root
      box.parent = parent
      this.boxes.set(node.id, box)
      changed = true
    }
    const own = changed || box.node !== node
    if (own) {
      const flowBefore = box.flow
      const columnsBefore = box.columns
      const alignBefore = box.align
      const gapBefore = box.colGap
      box.node = node
      applyStyle(box, resolve(this.doc, node, this.viewId), around)
      if (isText(node.kind)) box.paragraph = this.paragraphs.get(box.resolved)
      box.invalidate()
      changed = true
      // What children are depends on the parent's flow, columns and alignment.
      if (
        flowBefore !== box.flow ||
        columnsBefore !== box.columns ||
        alignBefore !== box.align ||
        gapBefore !== box.colGap
      )
        restyle = true
    }
    let arrange = own
    for (const id of node.children) {
      const child = this.doc.node(id)
      const before = this.boxes.get(id)?.node
      if (this.sync(box, child, around, restyle)) changed = true
      if (before !== child) arrange = true
    }
    if (arrange) this.arrange(box, node)
    return changed
  }

  private arrange(box: LayoutBox, node: Node) {
    for (const old of [...box.kids, ...box.lifted]) if (!node.children.includes(old.id)) this.drop(old)
    box.kids = []
    box.lifted = []
    for (const id of node.children) {
      const child = this.boxes.get(id)!
      if (child.resolved.hidden) continue
      if (isLifted(child.resolved, box.flow)) box.lifted.push(child)
      else box.kids.push(child)
    }
    if (box.kids.some((kid) => kid.resolved.order !== 0)) {
      box.kids = box.kids
        .map((kid, i) => ({ kid, i }))
        .sort((a, b) => a.kid.resolved.order! - b.kid.resolved.order! || a.i - b.i)
        .map(({ kid }) => kid)
    }
    box.invalidate()
  }

  private drop(box: LayoutBox) {
    if (this.boxes.get(box.id) === box) this.boxes.delete(box.id)
    for (const kid of [...box.kids, ...box.lifted]) this.drop(kid)
  }

  get height(): number {
    return this.root.height
  }

  /** Border box from the page's top left, px; undefined when the block is hidden or not on this page. */
  rect(id: string): Rect | undefined {
    const box = this.boxes.get(id)
    if (!box) return undefined
    let x = 0
    let y = 0
    for (let at: LayoutBox = box; at.parent; at = at.parent) {
      if (at.resolved.hidden) return undefined
      x += at.x
      y += at.y
    }
    return { x, y, width: box.width, height: box.height }
  }

  /** A text's lines; empty for anything else. */
  lines(id: string): Line[] {
    const box = this.boxes.get(id)
    return box?.paragraph ? box.paragraph.lines(Math.max(0, box.width - box.padX)) : []
  }

  lineTexts(id: string): string[] {
    const text = this.boxes.get(id)?.paragraph?.text ?? ''
    return this.lines(id).map((line) => text.slice(line.start, line.end))
  }

  /** Every visible block, parents first. */
  *visible(box: LayoutBox = this.root): Generator<LayoutBox> {
    for (const kid of box.kids) {
      yield kid
      yield* this.visible(kid)
    }
    for (const kid of box.lifted) {
      yield kid
      yield* this.visible(kid)
    }
  }
}
