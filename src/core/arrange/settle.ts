/**
 * Settle: loosely placed blocks become nested rows and columns with gaps, paddings and alignment, staying where they are.
 * Blocks are parted at the widest gaps first, so that every box that is made has one gap.
 */
import { generateNKeysBetween } from 'fractional-indexing'
import { Document } from '../document/document'
import { applyEdit } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { Flow } from '../layout/box'
import { PageLayout } from '../layout/page'
import { bounds, difference, type Rect } from '../layout/rect'
import type { Props } from '../properties/table'
import type { ParagraphCache } from '../text/paragraph-cache'

type Item = { id: string; rect: Rect }
type Align = 'start' | 'center' | 'end'
/** A block, or blocks in a row or column, with the room before it that alignment cannot say. */
export type Group =
  | { kind: 'block'; id: string; rect: Rect }
  | { kind: 'row' | 'column'; gap: number; align: Align; parts: Part[]; rect: Rect }
  /** Blocks that overlap: they stay lifted. */
  | { kind: 'free'; items: Item[]; rect: Rect }
export type Part = { group: Group; self: Align | undefined; lead: number }

export type Settled = {
  edits: Edit[]
  /** Blocks that would move by more than 1 px, and by how much. */
  moved: { id: string; by: number }[]
  /** Gaps that are nearly equal and were made so, px as found. */
  evened: number[][]
}

const NEAR = 0.51
const from = (rect: Rect, axis: 'x' | 'y') => rect[axis]
const size = (rect: Rect, axis: 'x' | 'y') => (axis === 'x' ? rect.width : rect.height)

/** Parts items where a straight line crosses none of them. */
function cut(items: Item[], axis: 'x' | 'y'): Item[][] {
  const sorted = [...items].sort((a, b) => from(a.rect, axis) - from(b.rect, axis))
  const groups: Item[][] = []
  let end = Number.NEGATIVE_INFINITY
  for (const item of sorted) {
    if (groups.length === 0 || from(item.rect, axis) < end - 0.01) {
      if (groups.length === 0) groups.push([])
      groups[groups.length - 1]!.push(item)
    } else groups.push([item])
    end = Math.max(end, from(item.rect, axis) + size(item.rect, axis))
  }
  return groups
}

function gapsBetween(groups: Item[][], axis: 'x' | 'y'): number[] {
  const rects = groups.map((group) => bounds(group.map((item) => item.rect)))
  return rects.slice(1).map((rect, i) => from(rect, axis) - from(rects[i]!, axis) - size(rects[i]!, axis))
}

/** Joins groups again wherever the gap is narrower than the widest, give or take `tolerance`. */
function widest(groups: Item[][], axis: 'x' | 'y', tolerance: number): Item[][] {
  const gaps = gapsBetween(groups, axis)
  const most = Math.max(...gaps)
  const joined: Item[][] = [groups[0]!]
  gaps.forEach((gap, i) => {
    if (gap >= most - tolerance) joined.push(groups[i + 1]!)
    else joined[joined.length - 1] = [...joined[joined.length - 1]!, ...groups[i + 1]!]
  })
  return joined
}

/** How a part lies across a box: by an alignment, or by room before it. */
function across(
  part: Rect,
  box: Rect,
  axis: 'x' | 'y',
  filled: boolean,
): { align: Align | undefined; lead: number } {
  const before = from(part, axis) - from(box, axis)
  const after = size(box, axis) - size(part, axis) - before
  if (Math.abs(before) < NEAR) return { align: 'start', lead: 0 }
  // A box is as large as what it holds: only where one block fills it can the others keep to its end or centre.
  if (!filled) return { align: undefined, lead: before }
  if (Math.abs(after) < NEAR) return { align: 'end', lead: 0 }
  if (Math.abs(before - after) < 2 * NEAR) return { align: 'center', lead: 0 }
  return { align: undefined, lead: before }
}

/** The nesting that blocks already have by where they are. `tolerance` px: gaps that differ by less count as equal. */
export function groupBlocks(items: Item[], tolerance: number, evened: number[][] = []): Group {
  if (items.length === 1) return { kind: 'block', id: items[0]!.id, rect: items[0]!.rect }
  const rect = bounds(items.map((item) => item.rect))
  const down = cut(items, 'y')
  const over = cut(items, 'x')
  if (down.length < 2 && over.length < 2) return { kind: 'free', items, rect }
  const axis = down.length > 1 ? 'y' : 'x'
  const groups = widest(axis === 'y' ? down : over, axis, tolerance)
  const gaps = gapsBetween(groups, axis)
  const gap = gaps.reduce((sum, each) => sum + each, 0) / gaps.length
  const uneven = gaps.some((each) => Math.abs(each - gaps[0]!) > NEAR)
  if (uneven) evened.push(gaps.map((each) => Math.round(each * 100) / 100))
  const parts = groups.map((group) => groupBlocks(group, tolerance, evened))
  const cross = axis === 'y' ? 'x' : 'y'
  const filled = parts.some((part) => size(part.rect, cross) > size(rect, cross) - NEAR)
  const lies = parts.map((part) => across(part.rect, rect, cross, filled))
  const count = (align: Align) => lies.filter((each) => each.align === align).length
  const align = (['start', 'center', 'end'] as const).reduce((best, each) =>
    count(each) > count(best) ? each : best,
  )
  return {
    kind: axis === 'y' ? 'column' : 'row',
    gap: uneven ? Math.round(gap) : gap,
    align,
    rect,
    parts: parts.map((group, i) => {
      const { align: own, lead } = lies[i]!
      return { group, self: lead > 0 ? 'start' : own === align ? undefined : own, lead }
    }),
  }
}

const round = (value: number) => Math.round(value * 100) / 100

/**
 * Settles what lies loosely in a box. Nothing is changed here: the edits are tried on a copy, and what would move is told.
 * `tolerance` 0 keeps unequal gaps apart; 2 makes 31, 32, 33 one.
 */
export function settle(
  doc: Document,
  layout: PageLayout,
  id: string,
  tolerance: number,
  makeId: () => string,
  paragraphs: ParagraphCache,
): Settled | string {
  const box = layout.boxes.get(id)
  if (!box || box.lifted.length === 0) return 'select a box with loosely placed blocks in it'
  if (box.kids.length > 0) return 'some blocks in it are in a flow already; lift them or move them out first'
  const around = layout.rect(id)!
  const items = box.lifted.map((kid): Item => ({ id: kid.id, rect: layout.rect(kid.id)! }))
  const evened: number[][] = []
  const root = groupBlocks(items, tolerance, evened)
  if (root.kind === 'free') return 'these blocks overlap so that no row or column is in them'
  const edits = settleEdits(doc, layout, id, root, around, makeId)
  return { edits, moved: whatMoves(doc, layout, items, edits, paragraphs), evened }
}

function settleEdits(
  doc: Document,
  layout: PageLayout,
  id: string,
  root: Group,
  around: Rect,
  makeId: () => string,
): Edit[] {
  const box = layout.boxes.get(id)!
  const edits: Edit[] = []
  const flow = (group: Group): Props =>
    group.kind === 'row' || group.kind === 'column'
      ? { flow: group.kind, rowGap: round(group.gap), align: group.align, justify: 'start' }
      : {}
  const place = (group: Group, parent: string, order: string, self: Align | undefined, lead: Props) => {
    if (group.kind === 'block') {
      // Room before a single block is a box around it, so that the block itself stays as it is.
      if (Object.keys(lead).length > 0) {
        const wrap = makeId()
        edits.push({
          op: 'insert',
          parent,
          tree: boxTree(wrap, order, { flow: 'row', alignSelf: 'start', ...lead }),
        })
        edits.push(...landed(doc, layout, group.id, wrap, generateNKeysBetween(null, null, 1)[0]!, undefined))
      } else edits.push(...landed(doc, layout, group.id, parent, order, self))
      return
    }
    const host = makeId()
    const own: Props = { ...flow(group), ...lead, ...(self ? { alignSelf: self } : {}) }
    if (group.kind === 'free') {
      Object.assign(own, {
        flow: 'free',
        width: { kind: 'exact', px: round(group.rect.width) },
        height: { kind: 'exact', px: round(group.rect.height) },
      })
    }
    edits.push({ op: 'insert', parent, tree: boxTree(host, order, own) })
    fill(group, host)
  }
  const fill = (group: Group, host: string) => {
    if (group.kind === 'block') return
    if (group.kind === 'free') {
      const keys = generateNKeysBetween(null, null, group.items.length)
      group.items.forEach(({ id: child, rect }, i) => {
        edits.push({ op: 'move', node: child, parent: host, order: keys[i]! })
        edits.push({
          op: 'set',
          node: child,
          props: {
            pinLeft: { px: round(rect.x - group.rect.x) },
            pinTop: { px: round(rect.y - group.rect.y) },
            pinRight: null,
            pinBottom: null,
            pinCenterX: null,
            pinCenterY: null,
          },
        })
      })
      return
    }
    const keys = generateNKeysBetween(null, null, group.parts.length)
    const side = group.kind === 'column' ? 'paddingLeft' : 'paddingTop'
    for (const [i, { group: part, self, lead }] of group.parts.entries())
      place(part, host, keys[i]!, self, lead > 0 ? { [side]: round(lead) } : {})
  }
  const inner = { x: around.x + box.borL, y: around.y + box.borT }
  const height =
    box.resolved.height.kind === 'snug' ? { height: { kind: 'exact', px: round(around.height) } } : {}
  edits.push({
    op: 'set',
    node: id,
    props: {
      ...(root.kind === 'block' ? { flow: 'column' } : flow(root)),
      paddingLeft: round(root.rect.x - inner.x),
      paddingTop: round(root.rect.y - inner.y),
      // What is left over is padding too, so that the blocks align among themselves, not in the whole box.
      paddingRight: round(
        Math.max(0, around.width - box.borL - box.borR - (root.rect.x - inner.x) - root.rect.width),
      ),
      paddingBottom: round(
        Math.max(0, around.height - box.borT - box.borB - (root.rect.y - inner.y) - root.rect.height),
      ),
      ...height,
    },
  })
  if (root.kind === 'block')
    edits.push(...landed(doc, layout, root.id, id, doc.node(root.id).order, undefined))
  else fill(root, id)
  return edits
}

const boxTree = (id: string, order: string, props: Props) => ({
  id,
  kind: 'box' as const,
  name: props.flow === 'row' ? 'Row' : props.flow === 'column' ? 'Column' : 'Box',
  order,
  props: { width: { kind: 'snug' as const }, height: { kind: 'snug' as const }, ...props },
})

/** A lifted block put into a flow, as large as it was. */
function landed(
  doc: Document,
  layout: PageLayout,
  id: string,
  parent: string,
  order: string,
  self: Align | undefined,
): Edit[] {
  const box = layout.boxes.get(id)!
  const { width, height } = doc.node(id).props
  const fixed = (side: 'width' | 'height', kind: string | undefined) =>
    kind === undefined || kind === 'exact' || (kind === 'snug' && side === 'height')
      ? {}
      : { [side]: { kind: 'exact', px: round(box[side]) } }
  return [
    { op: 'move', node: id, parent, order },
    {
      op: 'set',
      node: id,
      props: {
        lifted: null,
        pinLeft: null,
        pinRight: null,
        pinTop: null,
        pinBottom: null,
        pinCenterX: null,
        pinCenterY: null,
        alignSelf: self ?? null,
        ...fixed('width', width?.kind ?? 'stretch'),
        ...fixed('height', height?.kind),
      },
    },
  ]
}

/** Tries the edits on a copy and tells which blocks are elsewhere, or of another size, by more than 1 px. */
function whatMoves(
  doc: Document,
  layout: PageLayout,
  items: Item[],
  edits: Edit[],
  paragraphs: ParagraphCache,
): { id: string; by: number }[] {
  const copy = Document.fromFile(structuredClone(doc.toFile()))
  for (const edit of edits) applyEdit(copy, edit)
  const { page, view, used, theme, opened } = layout
  const after = new PageLayout(copy, page, view.id, used.width, paragraphs, undefined, theme, opened)
  return items.flatMap(({ id, rect }) => {
    const now = after.rect(id)
    const by = now ? difference(now, rect) : Number.POSITIVE_INFINITY
    return by > 1 ? [{ id, by: round(by) }] : []
  })
}

/** Whether a box holds blocks that settle could take up. */
export const isLoose = (layout: PageLayout, id: string): boolean => {
  const box = layout.boxes.get(id)
  return box !== undefined && box.flow !== Flow.Text && box.lifted.length > 1 && box.kids.length === 0
}
