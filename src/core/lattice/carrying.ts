/** Which blocks of a page are carried to a view, and what width they come to there: the rule of `carried.ts` on the document. */
import type { Document, Node } from '../document/document'
import { cascaded, originOf } from '../document/resolve'
import type { Instances } from '../expand/instances'
import { defaultsOf, type Props } from '../properties/table'
import type { Size } from '../properties/values'
import { type Carried, carriedWidth, carryRow, type Placed, READABLE } from './carried'
import { placeItems } from './cells'
import { latticeOf } from './section-lattice'
import { spanWidth, usedLattice } from './used'

type Columns = Extract<Size, { kind: 'columns' }>

/** A columns size fitted into a lattice of `columns`; `from` 0: automatic. The handoff writes the same numbers. */
export function placeColumns(width: { span: number; from?: number }, columns: number): Placed {
  if (width.from === undefined) return { from: 0, span: Math.min(width.span, columns) }
  const from = Math.min(width.from, columns)
  return { from, span: Math.min(width.span, columns - from + 1) }
}

const NONE: ReadonlyMap<string, Size> = new Map()
const WHOLE: Size = { kind: 'percent', percent: 100 }

/** What is known of a page as it is: made anew, or told to `forget`, when it has changed. */
export class Carrying {
  /** By view, then by host. */
  private carried = new Map<string, Map<string, ReadonlyMap<string, Size>>>()
  private counts = new Map<string, Map<string, number>>()

  constructor(
    private readonly doc: Document,
    private readonly instances: Instances,
  ) {}

  forget() {
    this.carried = new Map()
    this.counts = new Map()
  }

  /** The width that a view gives a block which has none of its own there; undefined: it has, or keeps that of the wider view. */
  widthOf(node: Node, view: string): Size | undefined {
    if (node.parent === null || view === this.doc.views[0]!.id) return undefined
    return this.carriedIn(node.parent, view).get(node.id)
  }

  /** What a view makes of a block's values: as set, and carried. */
  setIn(node: Node, view: string, set: Props): Props {
    if (set.width?.kind !== 'columns') return set
    const width = this.widthOf(node, view)
    return width ? { ...set, width } : set
  }

  /** Columns of a lattice, or of the one that a box stands on. */
  columnsIn(host: Node, view: string): number {
    const counts = known(this.counts, view, () => new Map<string, number>())
    return known(counts, host.id, () => this.count(host, view))
  }

  private count(host: Node, view: string): number {
    const set = this.set(host, view)
    const parent = host.parent === null ? undefined : this.instances.find(host.parent)
    if (parent && host.kind === 'box' && flowIn(host, set) === 'lattice') {
      const nested = flowIn(parent, this.set(parent, view)) === 'lattice' && !set.lifted && !set.folded
      if (nested) return this.placedIn(host, set, parent, view).span
      if (set.columns !== undefined) return set.columns
    }
    return latticeOf(this.doc, this.instances, host, view).columns
  }

  /** Where a block of a lattice stands in it, in a view. */
  private placedIn(node: Node, set: Props, parent: Node, view: string): Placed {
    const width = this.setIn(node, view, set).width
    return width?.kind === 'columns'
      ? placeColumns(width, this.columnsIn(parent, view))
      : { from: 0, span: 1 }
  }

  private set = (node: Node, view: string): Props => cascaded(this.doc, node, view)

  private carriedIn(host: string, view: string): ReadonlyMap<string, Size> {
    const carried = known(this.carried, view, () => new Map<string, ReadonlyMap<string, Size>>())
    return known(carried, host, () => {
      const node = this.instances.find(host)
      return node ? this.carry(node, view) : NONE
    })
  }

  private carry(host: Node, view: string): ReadonlyMap<string, Size> {
    if (host.kind === 'page') return NONE
    /** Blocks to carry, by the view that says their columns. */
    const said = new Map<string, Node[]>()
    for (const key of host.children) {
      const node = this.instances.node(key)
      if (this.set(node, view).width?.kind !== 'columns') continue
      const origin = originOf(this.doc, node, view, 'width') || this.doc.views[0]!.id
      if (origin === view) continue
      known(said, origin, (): Node[] => []).push(node)
    }
    if (said.size === 0) return NONE
    const now = this.columnsIn(host, view)
    const onLattice = flowIn(host, this.set(host, view)) === 'lattice'
    const widths = new Map<string, Size>()
    for (const [origin, nodes] of said) {
      const before = this.columnsIn(host, origin)
      if (before === now) continue
      const placed = onLattice ? this.carryRows(host, origin, view, before, now) : undefined
      for (const node of nodes) {
        const set = this.set(node, view)
        const { span } = set.width as Columns
        const alone = carriedWidth(Math.min(span, before), before, now)
        if (onLattice && !set.lifted && !set.folded)
          widths.set(node.id, columnsSize(placed?.get(node.id) ?? { from: 0, span: alone }))
        else widths.set(node.id, alone === now && now < before ? WHOLE : { kind: 'columns', span: alone })
      }
    }
    return widths
  }

  /** Where everything in a host's rows on one view would stand on another. */
  private carryRows(host: Node, origin: string, view: string, before: number, now: number) {
    const shown = host.children
      .map((key) => ({ node: this.instances.node(key), set: this.set(this.instances.node(key), origin) }))
      .filter(({ set }) => !set.hidden && !set.lifted && !set.folded)
      .sort((a, b) => (a.set.order ?? 0) - (b.set.order ?? 0))
    const readable = this.readable(host, view)
    const cells = shown.map(({ node, set }): Carried & { id: string } => ({
      ...this.placedIn(node, set, host, origin),
      id: node.id,
      row: 0,
      column: 0,
      least: node.kind === 'picture' ? 1 : Math.min(readable, now),
      square: isSquare(this.doc, set),
    }))
    placeItems(cells, before, this.set(host, origin).dense === true)
    const placed = new Map<string, Placed>()
    const rows = new Map<number, typeof cells>()
    for (const cell of cells) known(rows, cell.row, (): typeof cells => []).push(cell)
    for (const row of rows.values()) {
      row.sort((a, b) => a.column - b.column)
      for (const [i, place] of carryRow(row, before, now).entries()) placed.set(row[i]!.id, place)
    }
    return placed
  }

  /** How many of a host's columns words need, at the view's own width. */
  private readable(host: Node, view: string): number {
    const used = usedLattice(latticeOf(this.doc, this.instances, host, view), this.doc.view(view).width)
    let span = 1
    while (span < used.columns && spanWidth(used, span) < READABLE) span++
    return span
  }
}

function known<K, V>(map: Map<K, V>, key: K, find: () => V): V {
  let value = map.get(key)
  if (value === undefined) {
    value = find()
    map.set(key, value)
  }
  return value
}

const flowIn = ({ kind }: Node, set: Props) => set.flow ?? defaultsOf(kind).flow

const columnsSize = ({ from, span }: Placed): Size =>
  from === 0 ? { kind: 'columns', span } : { kind: 'columns', span, from }

function isSquare(doc: Document, set: Props): boolean {
  const asset = set.asset === undefined ? undefined : doc.assets.get(set.asset)
  const ratio = set.ratio ?? (asset ? asset.width / asset.height : 0)
  return ratio >= 0.8 && ratio <= 1.25
}

/** What says where the blocks of a lattice's rows stand. */
const PLACES = [
  'width',
  'hidden',
  'lifted',
  'folded',
  'order',
  'ratio',
  'asset',
  'flow',
  'dense',
  'columns',
  'lattice',
] as const

/** Whether, from one version of a block to the next, what stands beside it, or in it, may be carried otherwise. */
export function carriesOthers(before: Node, now: Node): boolean {
  const differ = (a: Props = {}, b: Props = {}) => a !== b && PLACES.some((key) => a[key] !== b[key])
  if (differ(before.props, now.props)) return true
  if (before.overrides === now.overrides) return false
  const views = new Set([...Object.keys(before.overrides), ...Object.keys(now.overrides)])
  return [...views].some((view) => differ(before.overrides[view], now.overrides[view]))
}
