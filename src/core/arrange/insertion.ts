/** Where a dragged block would go: from a point on a sheet to a parent, a turn in its flow, and the mark to draw. */
import type { Document } from '../document/document'
import type { Edit } from '../edits/edit'
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { type Kind, mayHoldKind } from '../properties/kinds'
import type { SetEdit } from './align'
import { ordersAt } from './order'
import { placesAlong, shownChildren, viewOrderEdits } from './view-order'

export type Insertion = {
  parent: string
  /** Among the parent's children without the dragged blocks. */
  index: number
  /** The block it would stand before, as the view shows them; undefined: last. */
  next: string | undefined
  /** A thin rect between two blocks, or the outline of an empty box. */
  mark: Rect
  empty: boolean
  /** “before Badge in Row”. */
  words: string
}

const HOLDS = (box: LayoutBox) =>
  box.flow === Flow.Row || box.flow === Flow.Column || box.flow === Flow.Lattice || box.flow === Flow.Stack

/** Near its edge a box is passed by: the block goes beside it. An empty one takes blocks in its middle only. */
const edgeZone = (box: LayoutBox, size: number) =>
  box.kids.length === 0 && box.lifted.length === 0 ? size / 4 : Math.min(6, size / 10)

/** The deepest box under a point that may hold the block. */
function hostAt(
  doc: Document,
  layout: PageLayout,
  ids: readonly string[],
  kinds: readonly Kind[],
  x: number,
  y: number,
): LayoutBox | undefined {
  if (kinds.every((kind) => kind === 'section')) return layout.root
  const mayTake = (host: LayoutBox) =>
    kinds.every((kind) => mayHoldKind(host.node.kind, kind)) && !ids.some((id) => doc.isInside(host.id, id))
  let host: LayoutBox | undefined
  const search = (box: LayoutBox, left: number, top: number) => {
    for (const kid of [...box.kids, ...box.lifted]) {
      const kx = left + kid.x
      const ky = top + kid.y
      if (x < kx || y < ky || x >= kx + kid.width || y >= ky + kid.height) continue
      if (ids.includes(kid.id) || kid.node.source !== undefined) continue
      const dx = edgeZone(kid, kid.width)
      const dy = edgeZone(kid, kid.height)
      const within = x >= kx + dx && x < kx + kid.width - dx && y >= ky + dy && y < ky + kid.height - dy
      const takes = kid.node.kind === 'section' || within
      if (takes && HOLDS(kid) && !kid.node.locked && mayTake(kid)) host = kid
      search(kid, kx, ky)
    }
  }
  search(layout.root, 0, 0)
  return host
}

/** Whether a point comes before a kid in reading order of its parent's flow. */
function before(host: LayoutBox, rect: Rect, x: number, y: number): boolean {
  const middleX = rect.x + rect.width / 2
  const middleY = rect.y + rect.height / 2
  if (host.flow === Flow.Column || host.flow === Flow.Stack) return y < middleY
  if (y < rect.y) return true
  return y < rect.y + rect.height && x < middleX
}

function mark(host: LayoutBox, around: Rect, previous: Rect | undefined, next: Rect | undefined): Rect {
  const column = host.flow === Flow.Column || host.flow === Flow.Stack
  if (column) {
    const y =
      previous && next
        ? (previous.y + previous.height + next.y) / 2
        : next
          ? next.y
          : previous!.y + previous!.height
    return { x: around.x, y, width: around.width, height: 0 }
  }
  // Between two of the same line, else at the near edge of the one there is.
  const sameLine = previous && next && next.y < previous.y + previous.height
  const beside = (next && !sameLine ? next : (previous ?? next))!
  const x = sameLine
    ? (previous.x + previous.width + next.x) / 2
    : next && beside === next
      ? next.x
      : previous!.x + previous!.width
  return { x, y: beside.y, width: 0, height: beside.height }
}

/**
 * Where blocks would go if they were let go at a point; undefined where nothing can hold them.
 * @param only the parent that they stay in
 * @param kinds of what comes new, where nothing is dragged that is there
 */
export function insertionAt(
  doc: Document,
  layout: PageLayout,
  ids: readonly string[],
  x: number,
  y: number,
  only?: string,
  kinds: readonly Kind[] = ids.map((id) => doc.node(id).kind),
): Insertion | undefined {
  const host = only === undefined ? hostAt(doc, layout, ids, kinds, x, y) : layout.boxes.get(only)
  if (!host) return undefined
  const around =
    host === layout.root
      ? { x: 0, y: 0, width: layout.root.width, height: layout.height }
      : layout.rect(host.id)
  if (!around) return undefined
  const parent = host === layout.root ? layout.page : host.id
  const name = host === layout.root ? 'the page' : host.node.name
  const kids = host.kids
    .filter((kid) => !ids.includes(kid.id) && kid.node.source === undefined)
    .flatMap((kid) => {
      const rect = layout.rect(kid.id)
      return rect ? [{ kid, rect }] : []
    })
  if (kids.length === 0)
    return { parent, index: 0, next: undefined, mark: around, empty: true, words: `into ${name}` }
  let at = kids.findIndex(({ rect }) => before(host, rect, x, y))
  if (at < 0) at = kids.length
  const next = kids[at]
  const previous = kids[at - 1]!
  const children = doc.node(parent).children.filter((each) => !ids.includes(each))
  const index = next ? children.indexOf(next.kid.id) : children.indexOf(previous.kid.id) + 1
  return {
    parent,
    index,
    next: next?.kid.id,
    mark: mark(host, around, previous?.rect, next?.rect),
    empty: false,
    words: next ? `before ${next.kid.node.name} in ${name}` : `last in ${name}`,
  }
}

/**
 * The edits that put blocks where an insertion says, one behind the other; empty when they are there already.
 * @param view the only one to show them there: they stay where they are in the document
 * @param set what gives them other columns, where their lattice has places
 */
export function insertEdits(
  layout: PageLayout,
  doc: Document,
  ids: readonly string[],
  { parent, index, next }: Pick<Insertion, 'parent' | 'index' | 'next'>,
  set: SetEdit,
  view?: string,
): Edit[] {
  const host = parent === layout.page ? layout.root : layout.boxes.get(parent)
  const shown = shownChildren(doc, parent, layout.viewId)
  const wanted = shown.filter((id) => !ids.includes(id))
  wanted.splice(next === undefined ? wanted.length : wanted.indexOf(next), 0, ...ids)
  const places = host ? placesAlong(host, wanted, set) : []
  if (view !== undefined) {
    const edits = viewOrderEdits(doc, wanted, view)
    return edits.length > 0 ? [...edits, ...places] : []
  }
  const { children } = doc.node(parent)
  const there = children.filter((id) => !ids.includes(id))
  const inOrder = [...there.slice(0, index), ...ids, ...there.slice(index)]
  if (inOrder.length === children.length && inOrder.every((id, i) => id === children[i])) return []
  const keys = ordersAt(doc, parent, index, ids.length, ids)
  const moves = ids.map((node, i): Edit => ({ op: 'move', node, parent, order: keys[i]! }))
  return [...moves, ...places]
}

/**
 * One step among the siblings as a layout shows them: −1 towards the front, 1 towards the back. Empty at the ends.
 * @param view the only one to show them so; undefined: they are moved in the document
 */
export function stepOn(
  layout: PageLayout,
  doc: Document,
  id: string,
  step: -1 | 1,
  set: SetEdit,
  view?: string,
): Edit[] {
  const { parent } = doc.node(id)
  if (parent === null) return []
  const beside = view === undefined ? doc.node(parent).children : shownChildren(doc, parent, view)
  const index = beside.indexOf(id) + step
  if (index < 0 || index >= beside.length) return []
  const next = beside.filter((each) => each !== id)[index]
  return insertEdits(layout, doc, [id], { parent, index, next }, set, view)
}
