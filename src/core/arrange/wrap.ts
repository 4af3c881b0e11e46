/** Putting blocks into a new box, and taking a box away from around them. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import type { View } from '../document/schema'
import { applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import type { UsedLattice } from '../lattice/used'
import type { PageLayout } from '../layout/page'
import { difference, type Rect } from '../layout/rect'
import type { Props, Resolved } from '../properties/table'
import type { ParagraphCache } from '../text/paragraph-cache'
import { pageThen } from '../tokens/page-then'
import { orderAt, ordersAt } from './order'

const NAMES = { row: 'Row', column: 'Column', lattice: 'Lattice' } as const
export type WrapFlow = keyof typeof NAMES

/** The blocks in their common parent's order, or why they cannot be wrapped. */
function siblings(doc: Document, ids: readonly string[]): { parent: string; nodes: Node[] } | string {
  if (ids.length === 0) return 'select the blocks first'
  const parent = doc.node(ids[0]!).parent
  if (!parent || doc.node(parent).kind === 'page') return 'sections cannot be put into a box'
  if (ids.some((id) => doc.node(id).parent !== parent)) return 'the blocks must lie in the same box'
  return {
    parent,
    nodes: doc
      .node(parent)
      .children.filter((id) => ids.includes(id))
      .map((id) => doc.node(id)),
  }
}

export type Seen = {
  page: string
  theme?: string | undefined
  /** What lies open though it is behind a button. */
  opened?: string | undefined
  paragraphs: ParagraphCache
}

/** A way in which the new box could hold its blocks. */
type Way = Pick<Props, 'flow' | 'width' | 'minWidth' | 'wrap' | 'rowGap' | 'columnGap' | 'align' | 'justify'>

const STRETCH = { kind: 'stretch', weight: 1 } as const
const SNUG = { kind: 'snug' } as const

/** The distances and alignment that the blocks have among one another now. */
function spacingOf(parent: Resolved, gutter: number, flow: WrapFlow): Way {
  const across = parent.columnGap ?? (parent.flow === 'lattice' ? gutter : parent.rowGap)
  const gaps: Way = { rowGap: parent.rowGap, align: parent.align }
  // Of a lattice in a lattice the gutter is that around it.
  const justify = parent.flow === flow ? { justify: parent.justify } : {}
  return flow === 'lattice' ? gaps : { ...gaps, columnGap: across, ...justify }
}

/**
 * As it is asked for, then as the blocks lie already.
 * @param isWidest the flow that is asked for is that of the widest view; one under another on a narrower one, they stay so
 * @param apart px between the blocks as they are seen, where one distance is between all of them
 */
function waysOf(
  parent: Resolved,
  used: UsedLattice,
  asked: WrapFlow,
  isWidest: boolean,
  apart: number | undefined,
): Way[] {
  const isOnLattice = parent.flow === 'lattice'
  const flow = !isWidest && parent.flow === 'column' && asked === 'row' ? 'column' : asked
  const whole = { kind: 'columns', span: used.columns, from: 1 } as const
  const widths: Props['width'][] = isOnLattice
    ? [whole, SNUG]
    : flow === 'row'
      ? [SNUG, STRETCH]
      : [STRETCH, SNUG]
  // What lies side by side on a lattice may only be held as it lies by one; a column that was asked for is a column.
  const flows: WrapFlow[] = isOnLattice && flow === 'row' ? ['row', 'lattice'] : [flow]
  // What does not fit beside each other stands under each other, as in the row that they lie in, or not.
  const first = parent.flow !== 'row' || parent.wrap === true
  return flows.flatMap((each) =>
    widths.flatMap((width): Way[] => {
      const way: Way = { flow: each, width, ...spacingOf(parent, used.gutter, each) }
      if (each !== 'row') return [way]
      const ways: Way[] = [first, !first].map((wrap) => ({ ...way, wrap }))
      // As narrow as the row was, whatever in it would be wider.
      if (width === STRETCH) ways.push({ ...way, wrap: false, minWidth: 0 })
      // Spread over the row, some of them keep the distance that this gives them.
      const isSpread = apart !== undefined && parent.justify !== undefined && /space/.test(parent.justify)
      return isSpread ? [...ways, { ...way, wrap: first, justify: 'start', columnGap: apart }] : ways
    }),
  )
}

/** Values of `way` that `base` does not have. */
const differing = (base: Way, way: Way): Props =>
  Object.fromEntries(
    Object.entries(way).filter(
      ([key, value]) => JSON.stringify(value) !== JSON.stringify(base[key as keyof Way]),
    ),
  )

/** A view of the page on a copy, on which edits are tried one after the other: only what they touch is laid out again. */
class Rehearsal {
  private readonly copy: Document
  readonly layout: PageLayout
  private readonly before: ReadonlyMap<string, Rect>

  constructor(doc: Document, { page, theme, opened, paragraphs }: Seen, view: View) {
    const { doc: copy, layout } = pageThen(doc, [], { page, view: view.id, theme, opened }, paragraphs)
    this.copy = copy
    this.layout = layout
    this.before = new Map([...layout.visible()].map(({ id }) => [id, layout.rect(id)!]))
  }

  rect = (id: string) => this.before.get(id)

  /** How far anything that is there now moves by edits, px. */
  moved(edits: readonly Edit[]): number {
    const back = applyAll(this.copy, edits)
    this.layout.update()
    let most = 0
    for (const [id, was] of this.before) {
      const is = this.layout.rect(id)
      most = Math.max(most, is ? difference(was, is) : Number.POSITIVE_INFINITY)
    }
    applyAll(this.copy, back)
    this.layout.update()
    return most
  }
}

/** px that nobody sees. */
const STILL = 0.5

/**
 * Wraps blocks that lie in the same box, so that nothing moves on any view, if a box can hold them as they lie; else as a box of that flow
 * does by itself. The new box takes the place of the first; a block that alone stood on columns hands its columns over and fills the box.
 * @param seen the page that they are on, and what its texts were set with
 * @returns the edits and the new box's id, or a reason fit to be shown
 */
export function wrapEdits(
  doc: Document,
  seen: Seen,
  ids: readonly string[],
  flow: WrapFlow,
  makeId: () => string,
): { edits: Edit[]; box: string } | string {
  const found = siblings(doc, ids)
  if (typeof found === 'string') return found
  const { parent, nodes } = found
  const box = makeId()
  if (nodes.length === 1 && nodes[0]!.props.width?.kind === 'columns')
    return { edits: aroundOne(doc, parent, nodes[0]!, flow, box), box }
  const stays = wrappedAsIs(doc, seen, parent, nodes, flow, box)
  return { edits: stays ?? wrapped(doc, parent, nodes, box, byItself(flow)), box }
}

const byItself = (flow: WrapFlow): Way => ({
  flow,
  rowGap: flow === 'lattice' ? 24 : 16,
  width: flow === 'row' ? SNUG : STRETCH,
  ...(flow === 'row' ? { wrap: true } : {}),
})

/** A box that holds them as they lie: on each view, or as nearly as one can there. @returns undefined: on the widest none can */
function wrappedAsIs(
  doc: Document,
  seen: Seen,
  parent: string,
  nodes: readonly Node[],
  flow: WrapFlow,
  box: string,
): Edit[] | undefined {
  const views = doc.viewsOf(doc.pages.get(seen.page)!)
  let base: Way | undefined
  let last: Way | undefined
  const overrides: Record<string, Props> = {}
  for (const view of views) {
    const trying = new Rehearsal(doc, seen, view)
    const around = trying.layout.boxes.get(parent)
    // Hidden there, nothing of it moves.
    if (!around) continue
    const apart = distanceIn(nodes.flatMap(({ id }) => trying.rect(id) ?? []))
    const ways = waysOf(around.resolved, trying.layout.usedFor(parent), flow, !base, apart)
    const way = stillest([...(last ? [last] : []), ...ways], (each) => {
      const said = base ? { ...overrides, [view.id]: differing(base, each) } : {}
      return trying.moved(wrapped(doc, parent, nodes, box, base ?? each, said))
    })
    if (!base && way.px >= STILL) return undefined
    base ??= way.way
    last = way.way
    const own = differing(base, way.way)
    if (Object.keys(own).length > 0) overrides[view.id] = own
  }
  return base && wrapped(doc, parent, nodes, box, base, overrides)
}

/** The one distance across between boxes in a row, px; undefined: there are several. */
function distanceIn(boxes: readonly Rect[]): number | undefined {
  const sorted = [...boxes].sort((a, b) => a.x - b.x)
  const gaps = sorted.slice(1).map(({ x }, i) => x - sorted[i]!.x - sorted[i]!.width)
  const [first] = gaps
  if (first === undefined || first < 0 || gaps.some((gap) => Math.abs(gap - first) > STILL)) return undefined
  return Math.round(first * 1000) / 1000
}

/** The first way in which nothing moves, or the one in which things move least. */
function stillest(ways: readonly Way[], movedIn: (way: Way) => number): { way: Way; px: number } {
  let best: { way: Way; px: number } | undefined
  for (const way of ways) {
    const px = movedIn(way)
    if (!best || px < best.px) best = { way, px }
    if (px < STILL) break
  }
  return best!
}

function wrapped(
  doc: Document,
  parent: string,
  nodes: readonly Node[],
  box: string,
  props: Way,
  overrides: Record<string, Props> = {},
): Edit[] {
  const index = doc.node(parent).children.indexOf(nodes[0]!.id)
  const name = NAMES[props.flow as WrapFlow]
  const tree = {
    id: box,
    kind: 'box' as const,
    name,
    order: orderAt(doc, parent, index),
    props,
    ...(Object.keys(overrides).length > 0 ? { overrides } : {}),
  }
  const keys = generateNKeysBetween(null, null, nodes.length)
  return [
    { op: 'insert', parent, tree },
    ...nodes.map((node, i): Edit => ({ op: 'move', node: node.id, parent: box, order: keys[i]! })),
  ]
}

/** A box on the columns of the one block in it, which fills it. */
function aroundOne(doc: Document, parent: string, node: Node, flow: WrapFlow, box: string): Edit[] {
  const own: Way = { ...byItself(flow), width: node.props.width }
  const edits = wrapped(doc, parent, [node], box, own)
  edits.push({ op: 'set', node: node.id, props: { width: STRETCH } })
  for (const [view, override] of Object.entries(node.overrides)) {
    if (override.width === undefined) continue
    edits.push(
      { op: 'set', node: node.id, view, props: { width: null } },
      { op: 'set', node: box, view, props: { width: override.width } },
    )
  }
  return edits
}

/**
 * Takes a box away; what lay in it takes its place.
 * @returns the edits and the freed blocks' ids, or a reason fit to be shown
 */
export function unwrapEdits(doc: Document, id: string): { edits: Edit[]; freed: string[] } | string {
  const node = doc.node(id)
  if (node.kind !== 'box' || !node.parent) return 'select a box to take away'
  const around = doc.node(node.parent)
  const index = around.children.indexOf(id)
  const keys = ordersAt(doc, around.id, index + 1, node.children.length)
  const edits: Edit[] = node.children.map((child, i) => ({
    op: 'move',
    node: child,
    parent: around.id,
    order: keys[i]!,
  }))
  return { edits: [...edits, { op: 'remove', node: id }], freed: [...node.children] }
}
