/** The instances of a page: its own blocks, and those of the templates that it stands on. */
import { backgroundOf } from '../document/background'
import type { Document, Node } from '../document/document'
import type { Change } from '../document/schema'
import { deepEqual } from '../properties/plain-equal'
import type { Props } from '../properties/table'

/** How an instance of a template's block is found on a page. */
export const instanceKey = (page: string, node: string) => `${page}/${node}`
/** Whether a key is of something that a page shows of its template. */
export const isShared = (key: string) => key.includes('/')

type Derived = { node: Node; from: Node; change: Change | undefined }

/** Props with what a page changes; what it changes for all views it changes for those, too, that had a value of their own. */
function changed(node: Node, change: Change): Pick<Node, 'props' | 'overrides'> {
  const without = (own: Props) =>
    Object.fromEntries(Object.entries(own).filter(([key]) => !(key in change.props)))
  const views = new Set([...Object.keys(node.overrides), ...Object.keys(change.overrides ?? {})])
  return {
    props: { ...node.props, ...change.props },
    overrides: Object.fromEntries(
      [...views].map((view) => [
        view,
        { ...without(node.overrides[view] ?? {}), ...change.overrides?.[view] },
      ]),
    ),
  }
}

export class Instances {
  /** By key; empty for a page that stands on nothing. */
  private derived = new Map<string, Derived>()
  private root: Node | undefined
  /** Blocks of templates that are shown, and the templates. */
  private sources = new Set<string>()
  private readonly bySlot: (Node | undefined)[] = []
  private readonly slots = new Map<string, number>()
  private tick: number

  constructor(
    private readonly doc: Document,
    readonly page: string,
  ) {
    this.tick = doc.tick
    this.unfold()
  }

  /** @returns undefined when nothing of this key is shown */
  find(key: string): Node | undefined {
    if (key === this.page && this.root) return this.root
    return this.derived.get(key)?.node ?? this.doc.nodes.get(key)
  }

  /** @throws when nothing of this key is shown */
  node(key: string): Node {
    const node = this.find(key)
    if (!node) throw new Error(`there is no ${key} on ${this.page}`)
    return node
  }

  /** As `node`, by slot: below 0 those that come from a template. */
  at(slot: number): Node {
    const node = slot < 0 ? this.bySlot[-1 - slot] : this.doc.at(slot)
    if (!node) throw new Error(`there is no block at slot ${slot}`)
    return node
  }

  /**
   * Brings the instances up to the document.
   * @returns keys of those that changed since the last time, some perhaps gone; undefined when that is too long ago to say
   */
  update(): ReadonlySet<string> | undefined {
    const touched = this.doc.touchedSince(this.tick)
    this.tick = this.doc.tick
    if (!touched) {
      this.unfold()
      return undefined
    }
    const { sources } = this
    const concerned =
      touched.has(this.page) || (sources.size > 0 && [...touched].some((id) => sources.has(id)))
    if (!concerned) return touched
    const changed = this.unfold()
    return new Set([...touched, ...changed])
  }

  /** @returns keys of what is not as it was */
  private unfold(): Set<string> {
    const { doc, page } = this
    const before = this.derived
    const rootBefore = this.root
    this.derived = new Map()
    this.sources = new Set()
    const own = doc.nodes.get(page)
    const templates = own ? doc.templatesOf(page) : []
    this.root = own && templates.length > 0 ? this.frame(own, templates, before) : undefined
    const changed = new Set<string>()
    for (const [key, { node }] of this.derived) if (before.get(key)?.node !== node) changed.add(key)
    for (const key of before.keys()) if (!this.derived.has(key)) changed.add(key)
    if (this.root !== rootBefore) changed.add(page)
    return changed
  }

  /** The page with its templates' sections around its own. */
  private frame(own: Node, templates: readonly { id: string }[], before: Map<string, Derived>): Node {
    const { doc, page } = this
    let inner = own.children.map((id) => doc.node(id))
    for (const { id } of templates) {
      const template = doc.node(id)
      this.sources.add(id)
      let filled = false
      const sections = template.children.flatMap((child) => {
        const node = doc.node(child)
        if (node.kind !== 'slot') return [this.derive(node, page, before)]
        filled = true
        return inner
      })
      inner = filled ? sections : [...sections, ...inner]
    }
    const children = inner.map(({ id }) => id)
    const background = backgroundOf(doc, page)
    const props = background === own.props.background ? own.props : { ...own.props, background }
    const last = this.root
    const same =
      last?.kind === own.kind &&
      last.name === own.name &&
      sameList(last.children, children) &&
      deepEqual(last.props, props)
    return same ? last : { ...own, props, children, childSlots: inner.map(({ slot }) => slot) }
  }

  private derive(from: Node, parent: string, before: Map<string, Derived>): Node {
    const key = instanceKey(this.page, from.id)
    this.sources.add(from.id)
    const change = this.doc.pages.get(this.page)?.changes?.[from.id]
    const kids = from.children.map((id) => this.derive(this.doc.node(id), key, before))
    const last = before.get(key)
    const isSame =
      last?.from === from &&
      last.change === change &&
      last.node.parent === parent &&
      sameList(
        last.node.children,
        kids.map(({ id }) => id),
      )
    const slot = this.slotOf(key)
    const node: Node = isSame
      ? last.node
      : {
          ...from,
          ...(change ? changed(from, change) : {}),
          id: key,
          parent,
          slot,
          source: from.id,
          children: kids.map(({ id }) => id),
          childSlots: kids.map((kid) => kid.slot),
        }
    this.derived.set(key, { node, from, change })
    this.bySlot[-1 - slot] = node
    return node
  }

  private slotOf(key: string): number {
    let slot = this.slots.get(key)
    if (slot === undefined) {
      slot = -1 - this.slots.size
      this.slots.set(key, slot)
    }
    return slot
  }
}

const sameList = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((each, i) => each === b[i])
