/**
 * The document in memory: a flat store of nodes with parent links. Node objects are replaced, never changed, so
 * that identity says whether a node changed; the maps around them are changed in place by edits.
 */
import type { Aid, Asset, Kind, NodeTree, PageFile, ProjectFile, Props, View } from './schema'
import { FORMAT, VERSION } from './schema'
import { Tokens, type TokenTree } from './tokens'

export type Node = {
  readonly id: string
  readonly kind: Kind
  readonly name: string
  readonly order: string
  readonly locked: boolean
  readonly parent: string | null
  /** A number of its own in the document, small and kept while it lives: where others keep what they know of it. */
  readonly slot: number
  readonly props: Props
  readonly overrides: Readonly<Record<string, Props>>
  /** Ids in sibling order. */
  readonly children: readonly string[]
  /** The children's slots, in the same order: who walks all of a tree need not look up every id. */
  readonly childSlots: readonly number[]
}

export type Page = { id: string; name: string; path: string; order: string; views: string[]; aids?: Aid[] }

/** Sibling order: code units of the key, then the id, so that every replica agrees. */
export const byOrder = (a: { order: string; id: string }, b: { order: string; id: string }) =>
  a.order < b.order ? -1 : a.order > b.order ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0

/** Shared by all nodes without: most blocks hold nothing and are the same in every view. */
const NO_CHILDREN: Node['children'] = []
const NO_SLOTS: Node['childSlots'] = []
const NO_OVERRIDES: Node['overrides'] = {}

/** Longest list of changes that is kept. */
const JOURNAL = 20_000

export class Document {
  name = ''
  views: View[] = []
  readonly nodes = new Map<string, Node>()
  readonly pages = new Map<string, Page>()
  readonly assets = new Map<string, Asset>()
  /** Ids of nodes put into the store, oldest first: what a kept layout has to look at again. */
  private journal: string[] = []
  private journalStart = 0
  private readonly bySlot: (Node | undefined)[] = []
  /** Slots that nodes gave back, and how many were ever given. */
  private readonly freeSlots: number[] = []
  private slots = 0
  private tokenTree: TokenTree = {}
  private tokenIndex = new Tokens({})

  static fromFile(file: ProjectFile): Document {
    const doc = new Document()
    doc.name = file.name
    doc.views = file.views
    doc.tokens = file.tokens
    for (const asset of file.assets) doc.assets.set(asset.id, asset)
    for (const page of file.pages) doc.addPage(page)
    return doc
  }

  get tokens(): TokenTree {
    return this.tokenTree
  }
  set tokens(tree: TokenTree) {
    this.tokenTree = tree
    this.tokenIndex = new Tokens(tree)
  }
  get tokenTable(): Tokens {
    return this.tokenIndex
  }

  addPage(page: PageFile) {
    const { sections, ...own } = page
    this.pages.set(page.id, own)
    const children = [...sections].sort(byOrder)
    const slot = this.takeSlot()
    const childSlots = children.map(() => this.takeSlot())
    this.put({
      id: page.id,
      kind: 'page',
      name: page.name,
      order: page.order,
      locked: false,
      parent: null,
      slot,
      props: {},
      overrides: NO_OVERRIDES,
      children: children.map((section) => section.id),
      childSlots,
    })
    children.forEach((section, i) => {
      this.addTree(section, page.id, childSlots[i])
    })
  }

  /** Puts a tree into the store without linking its root into the parent's list. */
  private addTree(tree: NodeTree, parent: string, slot: number) {
    const children = tree.children ? [...tree.children].sort(byOrder) : []
    const childSlots = children.length > 0 ? children.map(() => this.takeSlot()) : NO_SLOTS
    this.put({
      id: tree.id,
      kind: tree.kind,
      name: tree.name,
      order: tree.order,
      locked: tree.locked ?? false,
      parent,
      slot,
      props: tree.props,
      overrides: tree.overrides ?? NO_OVERRIDES,
      children: children.length > 0 ? children.map((child) => child.id) : NO_CHILDREN,
      childSlots,
    })
    children.forEach((child, i) => {
      this.addTree(child, tree.id, childSlots[i])
    })
  }

  insertTree(tree: NodeTree, parent: string) {
    this.addTree(tree, parent, this.takeSlot())
    this.link(tree.id, parent)
  }

  removeTree(id: string) {
    const node = this.node(id)
    if (node.parent) this.unlink(id, node.parent)
    this.drop(node)
  }

  removePage(id: string) {
    this.drop(this.node(id))
    this.pages.delete(id)
  }

  private drop(node: Node) {
    for (const child of node.children) this.drop(this.node(child))
    this.nodes.delete(node.id)
    this.bySlot[node.slot] = undefined
    this.freeSlots.push(node.slot)
  }

  private takeSlot(): number {
    return this.freeSlots.pop() ?? this.slots++
  }

  replace(node: Node) {
    this.put(node)
  }

  private put(node: Node) {
    this.nodes.set(node.id, node)
    this.bySlot[node.slot] = node
    this.journal.push(node.id)
    if (this.journal.length > JOURNAL) {
      this.journalStart += this.journal.length
      this.journal = []
    }
  }

  /** A point in the document's changes, to ask `touchedSince` about later. */
  get tick(): number {
    return this.journalStart + this.journal.length
  }

  /** Ids of nodes changed since `tick`, some perhaps gone; undefined when that is too long ago to say. */
  touchedSince(tick: number): ReadonlySet<string> | undefined {
    return tick < this.journalStart ? undefined : new Set(this.journal.slice(tick - this.journalStart))
  }

  link(id: string, parent: string) {
    const host = this.node(parent)
    const children = [...host.children.filter((child) => child !== id), id].map((child) => this.node(child))
    this.setChildren(host, children.sort(byOrder))
  }

  unlink(id: string, parent: string) {
    const host = this.node(parent)
    this.setChildren(
      host,
      host.children.filter((child) => child !== id).map((child) => this.node(child)),
    )
  }

  private setChildren(host: Node, children: Node[]) {
    this.put({
      ...host,
      children: children.map((child) => child.id),
      childSlots: children.map((child) => child.slot),
    })
  }

  /** @throws when there is no such node. */
  node(id: string): Node {
    const node = this.nodes.get(id)
    if (!node) throw new Error(`there is no block ${id}`)
    return node
  }

  /** As `node`, by slot. */
  at(slot: number): Node {
    const node = this.bySlot[slot]
    if (!node) throw new Error(`there is no block at slot ${slot}`)
    return node
  }

  /** The page that a node belongs to. */
  pageOf(id: string): string {
    let node = this.node(id)
    while (node.parent) node = this.node(node.parent)
    return node.id
  }

  /** From the node's parent up to the page. */
  ancestors(id: string): Node[] {
    const path: Node[] = []
    for (let parent = this.node(id).parent; parent; parent = this.node(parent).parent)
      path.push(this.node(parent))
    return path
  }

  isInside(id: string, ancestor: string): boolean {
    return id === ancestor || this.ancestors(id).some((node) => node.id === ancestor)
  }

  /** The node and everything in it, parents first. */
  *walk(id: string): Generator<Node> {
    const node = this.node(id)
    yield node
    for (const child of node.children) yield* this.walk(child)
  }

  pagesInOrder(): Page[] {
    return [...this.pages.values()].sort(byOrder)
  }

  view(id: string): View {
    const view = this.views.find((candidate) => candidate.id === id)
    if (!view) throw new Error(`there is no view ${id}`)
    return view
  }

  /** The views from the widest down to `id`: whose overrides cascade into it. */
  cascade(id: string): View[] {
    const at = this.views.findIndex((view) => view.id === id)
    return this.views.slice(0, at + 1)
  }

  /** The view that applies at a window width, as max-width media queries choose it. */
  viewAt(width: number): View {
    let chosen = this.views[0]
    for (const view of this.views) if (view.breakpoint !== null && width <= view.breakpoint) chosen = view
    return chosen
  }

  viewsOf(page: Page): View[] {
    return page.views.length === 0 ? this.views : this.views.filter((view) => page.views.includes(view.id))
  }

  tree(id: string): NodeTree {
    const node = this.node(id)
    const tree: NodeTree = {
      id: node.id,
      kind: node.kind,
      name: node.name,
      order: node.order,
      props: node.props,
    }
    if (node.locked) tree.locked = true
    if (Object.keys(node.overrides).length > 0) tree.overrides = { ...node.overrides }
    if (node.children.length > 0) tree.children = node.children.map((child) => this.tree(child))
    return tree
  }

  pageFile(id: string): PageFile {
    const page = this.pages.get(id)
    if (!page) throw new Error(`there is no page ${id}`)
    return { ...page, sections: this.node(id).children.map((child) => this.tree(child)) }
  }

  /** The whole project in the open format. Two equal documents give equal files. */
  toFile(): ProjectFile {
    return {
      format: FORMAT,
      version: VERSION,
      name: this.name,
      tokens: this.tokens,
      views: this.views,
      assets: [...this.assets.values()].sort((a, b) => (a.id < b.id ? -1 : 1)),
      pages: this.pagesInOrder().map((page) => this.pageFile(page.id)),
    }
  }
}
