/** Building trees: what shelf items and the demo are written with. */

import { generateNKeysBetween } from 'fractional-indexing'
import { BUTTON_LOOK, menuButtonWords, panelProps } from '../arrange/panel-look'
import type { Node } from '../document/document'
import type { NodeTree, View } from '../document/schema'
import { treeWithIds } from '../document/tree-links'
import type { Edit } from '../edits/edit'
import { allBorders, allCorners, oneFill } from '../properties/items'
import type { Kind } from '../properties/kinds'
import { linkToBlock } from '../properties/links'
import type { Props } from '../properties/table'
import { type Span, said } from '../words/words'

export type Draft = {
  kind: Kind
  name: string
  props: Props
  /** By view id. */
  overrides: Record<string, Props>
  children: Draft[]
  /** What others of the same tree lead to it by: `#key`. */
  key?: string
}

/** For a page that has its title already: what would be another one is a heading below it. */
export const belowTitle = (draft: Draft): Draft => ({
  ...draft,
  props: draft.props.tag === 'h1' ? { ...draft.props, tag: 'h2' } : draft.props,
  children: draft.children.map(belowTitle),
})

export const hasTitle = ({ props, children }: Draft): boolean => props.tag === 'h1' || children.some(hasTitle)

/** Views up to this width get one block below the other. */
export const NARROW = 640

/** Says props once for all views, and again where narrow views differ. */
export class Builder {
  constructor(readonly views: View[]) {}

  private get narrow(): View | undefined {
    return this.views.slice(1).find((view) => view.width <= NARROW)
  }

  /** `narrow` goes to the widest narrow view and cascades on from there. */
  make(kind: Kind, name: string, props: Props, narrow: Props = {}, children: Draft[] = []): Draft {
    const overrides: Record<string, Props> = {}
    if (this.narrow && Object.keys(narrow).length > 0) overrides[this.narrow.id] = narrow
    return { kind, name, props, overrides, children }
  }

  /** Puts a block on columns given for a lattice of 12; narrower views carry it on. */
  on(draft: Draft, from: number, span: number): Draft {
    const first = Math.min(this.columns, Math.round(((from - 1) * this.columns) / 12) + 1)
    const width = Math.max(1, Math.min(this.columns - first + 1, this.share(span)))
    return { ...draft, props: { ...draft.props, width: { kind: 'columns', span: width, from: first } } }
  }

  /** A span without a start: placed one after the other. `narrowHalf`: in pairs on a phone. */
  flowing(draft: Draft, span: number, narrowHalf = false): Draft {
    const { overrides } = draft
    const phone = this.narrow
    const half = phone && {
      width: { kind: 'columns' as const, span: Math.max(1, Math.floor(phone.lattice.columns / 2)) },
    }
    return {
      ...draft,
      props: { ...draft.props, width: { kind: 'columns', span: this.share(span) } },
      overrides:
        narrowHalf && phone ? { ...overrides, [phone.id]: { ...overrides[phone.id], ...half } } : overrides,
    }
  }

  private get columns(): number {
    return this.views[0]!.lattice.columns
  }

  private share(span: number): number {
    return Math.max(1, Math.round((span * this.columns) / 12))
  }

  text(name: string, text: string | Span[], props: Props = {}, narrow: Props = {}): Draft {
    return this.make(
      'text',
      name,
      { color: '{color.ink}', type: '{type.body}', ...props, words: said(text) },
      narrow,
    )
  }

  button(name: string, label: string, props: Props = {}, narrow: Props = {}): Draft {
    const look: Props = {
      type: '{type.label}',
      color: '{color.paper}',
      fills: oneFill('{color.pine}'),
      ...allCorners(4),
      link: '#',
    }
    return this.make('button', name, { ...look, ...props, words: said(label) }, narrow)
  }

  quiet(name: string, label: string, props: Props = {}): Draft {
    return this.button(name, label, {
      fills: undefined,
      color: '{color.ink}',
      ...allBorders(1, '{color.ink}'),
      ...props,
    })
  }

  /** A menu that narrow views have behind a button, and the button. @param top of it, open, in the window, px */
  menu(name: string, props: Props, links: Draft[], ground: Props['fills'], top: number): [Draft, Draft] {
    const menu = this.row(
      name,
      { tag: 'nav', width: { kind: 'snug' }, ...props },
      links,
      panelProps(ground, top, this.narrow?.lattice.margin ?? 0),
    )
    const button = this.make('button', `${name} button`, {
      ...BUTTON_LOOK,
      type: '{type.label}',
      color: '{color.ink}',
      words: menuButtonWords(),
      link: linkToBlock(name),
      hidden: true,
    })
    const shown = this.narrow ? { [this.narrow.id]: { hidden: false } } : {}
    return [
      { ...menu, key: name },
      { ...button, overrides: shown },
    ]
  }

  row(name: string, props: Props, children: Draft[], narrow: Props = {}): Draft {
    return this.make('box', name, { flow: 'row', align: 'center', ...props }, narrow, children)
  }

  column(name: string, props: Props, children: Draft[], narrow: Props = {}): Draft {
    return this.make('box', name, { flow: 'column', ...props }, narrow, children)
  }

  picture(name: string, props: Props = {}, narrow: Props = {}): Draft {
    return this.make('picture', name, { alt: '', ...props }, narrow)
  }

  section(name: string, props: Props, children: Draft[], narrow: Props = {}): Draft {
    return this.make('section', name, props, narrow, children)
  }
}

/** What the shelf offers: a thing to place. */
export type ShelfItem = {
  id: string
  shelf: 'sections' | 'blocks' | 'icons'
  category: string
  name: string
  /** More words it is found by. */
  words: string
  build: (b: Builder) => Draft
  /**
   * Puts it beside a button's words instead, where it can lie there. @param words their size and height, px
   * @returns the edits, and the id of what stands in the button's place then
   */
  inButton?: (
    button: Node,
    words: { fontSize: number; height: number },
    makeId: () => string,
  ) => { edits: Edit[]; row: string }
}

const clean = (props: Props): Props =>
  Object.fromEntries(Object.entries(props).filter(([, value]) => value !== undefined)) as Props

/** Gives a draft ids and order keys. `order`: the root's key among its new siblings. */
export function plant(draft: Draft, makeId: () => string, order: string): NodeTree {
  const ids = new Map<string, string>()
  return treeWithIds(planted(draft, makeId, order, ids), ids)
}

/** @param ids those of what has a key are put here */
function planted(draft: Draft, makeId: () => string, order: string, ids: Map<string, string>): NodeTree {
  const tree: NodeTree = {
    id: makeId(),
    kind: draft.kind,
    name: draft.name,
    order,
    props: clean(draft.props),
  }
  if (draft.key !== undefined) ids.set(draft.key, tree.id)
  if (Object.keys(draft.overrides).length > 0) tree.overrides = draft.overrides
  if (draft.children.length > 0) {
    const keys = generateNKeysBetween(null, null, draft.children.length)
    tree.children = draft.children.map((child, i) => planted(child, makeId, keys[i]!, ids))
  }
  return tree
}
