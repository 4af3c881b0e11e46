/** A document's next version, made beside it: whatever goes wrong while it is made, the document is as it was. */
import { looksOfBefore } from '../properties/earlier'
import { inOrder, keyAmong } from '../properties/order-keys'
import { differing, ofKind } from '../properties/table'
import type { PageBody } from './outline'
import { Overlay } from './overlay'
import { freePath, safePath } from './paths'
import type {
  About,
  Asset,
  KeptLook,
  NodeTree,
  OwnFamily,
  PageFile,
  ProjectFile,
  Theme,
  View,
} from './schema'
import { Tokens, type TokenTree } from './tokens'
import { type Base, type Node, type Page, Tree } from './tree'

/** Shared by all nodes without: most blocks hold nothing and are the same in every view. */
const NO_CHILDREN: Node['children'] = []
const NO_SLOTS: Node['childSlots'] = []
const NO_OVERRIDES: Node['overrides'] = {}
const NO_THEMES: readonly Theme[] = []
const NO_FONTS: readonly OwnFamily[] = []
const NO_LOOKS: readonly KeptLook[] = []

/** As of today. Before, a block also took properties that its kind, or a view, does not have: they said nothing, and go. */
function ownProps(tree: NodeTree, views: readonly View[]): Pick<Node, 'props' | 'overrides'> {
  const { kind } = tree
  const { props, overrides } = looksOfBefore(tree, views)
  if (!overrides) return { props: ofKind(kind, props), overrides: NO_OVERRIDES }
  const own = Object.entries(overrides).map(([view, each]) => [view, differing(ofKind(kind, each))] as const)
  return {
    props: ofKind(kind, props),
    overrides: Object.fromEntries(own.filter(([, each]) => Object.keys(each).length > 0)),
  }
}

export class Draft extends Tree {
  name: string
  about: About
  views: View[]
  readonly nodes: Overlay<Node>
  readonly pages: Overlay<Page>
  readonly assets: Overlay<Asset>
  themes: readonly Theme[]
  fonts: readonly OwnFamily[]
  looks: readonly KeptLook[]
  private tokenTree: TokenTree
  private tokenIndex: Tokens
  absent: ReadonlySet<string>
  /** Where the document stood when this was begun. */
  readonly tick: number
  /** Slots taken from the document's store so far, and those given back to it. */
  slotsTaken = 0
  readonly slotsFreed: number[] = []
  /** One more than the largest slot taken. */
  slotsEnd = 0

  constructor(readonly base: Base) {
    super()
    this.name = base.name
    this.about = base.about
    this.views = base.views
    this.nodes = new Overlay(base.nodes)
    this.pages = new Overlay(base.pages)
    this.assets = new Overlay(base.assets)
    this.themes = base.themes
    this.fonts = base.fonts
    this.looks = base.looks
    this.tokenTree = base.tokens
    this.tokenIndex = base.tokenTable
    this.absent = base.absent
    this.tick = base.tick
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

  /** Everything as in `file`, whatever there was. @param absent pages without what is on them */
  become(file: ProjectFile, absent: ReadonlySet<string> = new Set()) {
    for (const id of [...this.pages.keys()]) this.removePage(id)
    for (const id of [...this.assets.keys()]) this.assets.delete(id)
    this.name = file.name
    this.about = file.about ?? {}
    this.views = file.views
    this.tokens = file.tokens
    this.themes = file.themes ?? NO_THEMES
    this.fonts = file.fonts ?? NO_FONTS
    this.looks = file.looks ?? NO_LOOKS
    for (const asset of file.assets) this.assets.set(asset.id, asset)
    const paths = new Set<string>()
    for (const page of inOrder(file.pages)) {
      const safe = safePath(page.path)
      const path = paths.has(safe) ? freePath(this.pages.values(), safe) : safe
      paths.add(path)
      this.placePage({ ...page, path })
    }
    this.absent = absent
  }

  /** What is on a page that was absent. Its outline stays as it is. */
  fill(id: string, { sections, ...more }: PageBody) {
    const page = this.pages.get(id)
    if (!page || !this.absent.has(id)) return
    this.removePage(id)
    this.addPage({ ...page, ...more, sections })
  }

  addPage(page: PageFile) {
    this.placePage({ ...page, order: keyAmong(this.allPages(), page.order, page.id) })
  }

  /** @param page its key is its own */
  private placePage({ sections, props = {}, ...own }: PageFile) {
    this.pages.set(own.id, own)
    const tree = { ...own, kind: 'page', props, children: sections } as const
    this.addTree(tree, null, this.takeSlot())
  }

  /** Puts a tree into the store without linking its root into the parent's list. */
  private addTree(tree: NodeTree, parent: string | null, slot: number) {
    const children = tree.children?.length ? inOrder(tree.children) : []
    const childSlots = children.length > 0 ? children.map(() => this.takeSlot()) : NO_SLOTS
    this.nodes.set(tree.id, {
      id: tree.id,
      kind: tree.kind,
      name: tree.name,
      order: tree.order,
      locked: tree.locked ?? false,
      parent,
      slot,
      ...ownProps(tree, this.views),
      children: children.length > 0 ? children.map((child) => child.id) : NO_CHILDREN,
      childSlots,
    })
    children.forEach((child, i) => {
      this.addTree(child, tree.id, childSlots[i]!)
    })
  }

  /** @param tree its key, where that is taken, becomes one next to it */
  insertTree(tree: NodeTree, parent: string) {
    const order = keyAmong(this.childrenOf(parent), tree.order, tree.id)
    this.addTree({ ...tree, order }, parent, this.takeSlot())
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
    if (this.absent.has(id)) this.absent = new Set([...this.absent].filter((other) => other !== id))
  }

  /** Puts a node among the children of `parent`, at `order` or, where that is taken, next to it. */
  moveTree(id: string, parent: string, wanted: string) {
    const node = this.node(id)
    if (node.parent) this.unlink(id, node.parent)
    const order = keyAmong(this.childrenOf(parent), wanted, id)
    this.nodes.set(id, { ...this.node(id), parent, order })
    this.link(id, parent)
  }

  replace(node: Node) {
    this.nodes.set(node.id, node)
  }

  replacePage(page: Page) {
    const others = this.allPages().filter((other) => other.id !== page.id)
    const order = keyAmong(others, page.order, page.id)
    this.pages.set(page.id, { ...page, order })
    this.replace({ ...this.node(page.id), name: page.name, order })
  }

  private drop(node: Node) {
    for (const child of node.children) this.drop(this.node(child))
    this.nodes.delete(node.id)
    this.slotsFreed.push(node.slot)
  }

  private takeSlot(): number {
    const slot = this.base.slotAfter(this.slotsTaken++)
    this.slotsEnd = Math.max(this.slotsEnd, slot + 1)
    return slot
  }

  private childrenOf(parent: string): Node[] {
    return this.node(parent).children.map((child) => this.node(child))
  }

  private link(id: string, parent: string) {
    const me = this.node(id)
    const children = this.childrenOf(parent)
    const at = children.findIndex((child) => child.order > me.order)
    children.splice(at < 0 ? children.length : at, 0, me)
    this.setChildren(this.node(parent), children)
  }

  private unlink(id: string, parent: string) {
    this.setChildren(
      this.node(parent),
      this.childrenOf(parent).filter((child) => child.id !== id),
    )
  }

  private setChildren(host: Node, children: Node[]) {
    this.nodes.set(host.id, {
      ...host,
      children: children.map((child) => child.id),
      childSlots: children.map((child) => child.slot),
    })
  }
}
