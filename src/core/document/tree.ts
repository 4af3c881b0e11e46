/** What can be asked of a project's tree, in the document as it is or in a next version of it. */

import type { Kind } from '../properties/kinds'
import { byOrder } from '../properties/order-keys'
import type { Props } from '../properties/table'
import { FLUID, type FluidPart, type Knots, knotsOf, valueAtWidth } from './fluid'
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
import { FORMAT, VERSION } from './schema'
import type { Tokens, TokenTree, Typography } from './tokens'

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
  /** Of an instance that a page shows of its template: the block there. An ordinary block has none, and stands for itself. */
  readonly source?: string
}

/** What it says of itself is its node's. */
export type Page = Omit<PageFile, 'sections' | 'props'>

export abstract class Tree {
  abstract readonly name: string
  /** Said of the whole project where no page says otherwise. */
  abstract readonly about: About
  /** Widest first. */
  abstract readonly views: View[]
  abstract readonly nodes: ReadonlyMap<string, Node>
  abstract readonly pages: ReadonlyMap<string, Page>
  abstract readonly assets: ReadonlyMap<string, Asset>
  abstract readonly tokens: TokenTree
  abstract readonly tokenTable: Tokens
  /** The first is the one that tokens' own values are of; none: a project of one world. */
  abstract readonly themes: readonly Theme[]
  /** Families of the project's own. */
  abstract readonly fonts: readonly OwnFamily[]
  abstract readonly looks: readonly KeptLook[]
  /** Pages of which only the outline is here: nothing is known of what is on them. */
  abstract readonly absent: ReadonlySet<string>

  /** @throws when there is no such node. */
  node(id: string): Node {
    const node = this.nodes.get(id)
    if (!node) throw new Error(`there is no block ${id}`)
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

  /** Pages and templates. */
  allPages(): Page[] {
    return [...this.pages.values()].sort(byOrder)
  }

  /** The pages of the site. */
  pagesInOrder(): Page[] {
    return this.allPages().filter((page) => !page.isTemplate)
  }

  templates(): Page[] {
    return this.allPages().filter((page) => page.isTemplate)
  }

  /** What pages show otherwise of their templates: where, and each set of values, with the view that it is for. */
  *changesOnPages(): Generator<{ page: Page; view: string | undefined; props: Props }> {
    for (const page of this.pages.values())
      for (const { props, overrides = {} } of Object.values(page.changes ?? {})) {
        yield { page, view: undefined, props }
        for (const [view, own] of Object.entries(overrides)) yield { page, view, props: own }
      }
  }

  /** The templates that a page stands on, the nearest first. */
  templatesOf(id: string): Page[] {
    const chain: Page[] = []
    let page = this.pages.get(id)
    while (page?.template && chain.length < this.pages.size) {
      page = this.pages.get(page.template)
      if (page) chain.push(page)
    }
    return chain
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

  /** The tokens as they are in a view, and in a theme, left out: the first; at a window width, px, left out: the view's own. */
  tokensAt(view: string, theme?: string, width?: number): Tokens {
    const { tokenTable } = this
    const there = tokenTable.varies
      ? tokenTable.at(
          this.cascade(view).map(({ id }) => id),
          theme,
        )
      : tokenTable
    if (width === undefined || there.fluid.length === 0) return there
    const sized = (name: string): [string, Typography] => {
      const style = { ...(there.lookup(name)!.value as Typography) }
      for (const part of FLUID) style[part] = valueAtWidth(this.knots(name, part), width)
      return [name, style]
    }
    return there.withStyles(`at ${width}`, () => there.fluid.filter((name) => there.lookup(name)).map(sized))
  }

  /** What a style that grows with the window is at each view's width. */
  knots(name: string, part: FluidPart): Knots {
    return knotsOf(this.views, part, (view) => this.tokensAt(view).lookup(name)!.value as Typography)
  }

  /** The view that applies at a window width, as max-width media queries choose it. */
  viewAt(width: number): View {
    let chosen = this.views[0]
    for (const view of this.views) if (view.breakpoint !== null && width <= view.breakpoint) chosen = view
    return chosen!
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
    const { props, children } = this.node(id)
    return {
      ...page,
      ...(Object.keys(props).length > 0 ? { props } : {}),
      sections: children.map((child) => this.tree(child)),
    }
  }

  /** The project without what is on its pages. */
  frame(): Omit<ProjectFile, 'pages'> & { pages: Page[] } {
    return {
      format: FORMAT,
      version: VERSION,
      name: this.name,
      ...(Object.keys(this.about).length > 0 ? { about: this.about } : {}),
      tokens: this.tokens,
      ...(this.themes.length > 0 ? { themes: [...this.themes] } : {}),
      views: this.views,
      ...(this.fonts.length > 0 ? { fonts: [...this.fonts] } : {}),
      ...(this.looks.length > 0 ? { looks: [...this.looks] } : {}),
      assets: [...this.assets.values()].sort((a, b) => (a.id < b.id ? -1 : 1)),
      pages: this.allPages(),
    }
  }

  /** The whole project in the open format. Two equal documents give equal files. */
  toFile(wanted?: ReadonlySet<string>): ProjectFile {
    const { pages, ...rest } = this.frame()
    const written = wanted ? pages.filter(({ id }) => wanted.has(id)) : pages
    return { ...rest, pages: written.map((page) => this.pageFile(page.id)) }
  }
}

/** What a next version is made from. */
export type Base = Tree & {
  /** A point in its changes. */
  readonly tick: number
  /** The slot that is given `n` slots from now. */
  slotAfter(n: number): number
}
