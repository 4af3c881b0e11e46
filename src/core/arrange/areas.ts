/** Blocking out: areas on a lattice, typed in words or drawn over columns. All px on a sheet. */

import { generateNKeysBetween } from 'fractional-indexing'
import type { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Edit } from '../edits/edit'
import { isShared } from '../expand/instances'
import { columnLeft, spanWidth, type UsedLattice } from '../lattice/used'
import { Flow } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import { endOfPage } from './budget'
import { orderAt, ordersAt } from './order'
import { columnAt } from './spans'

/** An area's columns, counted from 1. */
export type Area = { name: string; from: number; span: number }
export type AreaProblem = { part: string; reason: string }

const COUNTS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')
const PART = /^(?:(.*?)\s+)?(\S+)$/

/**
 * Reads `aside 4, article 7, leave one`: names with columns, `leave` for columns left free, `rest` for all that are left.
 * @param columns of the lattice
 */
export function readAreas(text: string, columns: number): Area[] | AreaProblem {
  const areas: Area[] = []
  let used = 0
  for (const raw of text.split(/[,;\n]/)) {
    const part = raw.trim()
    if (part === '') continue
    const [, words = '', last = ''] = PART.exec(part) ?? []
    const word = last.toLowerCase()
    const count =
      word === 'rest' ? columns - used : COUNTS.includes(word) ? COUNTS.indexOf(word) + 1 : Number(word)
    if (!Number.isInteger(count))
      return { part, reason: 'write a name and a number of columns, such as “aside 4”' }
    if (count < 1)
      return { part, reason: word === 'rest' ? 'no columns are left for it' : 'at least 1 column' }
    if (used + count > columns)
      return {
        part,
        reason: `needs columns ${used + 1} to ${used + count}, but there are ${columns}: ${used + count - columns} too many`,
      }
    const name = words.trim() || 'area'
    if (name.toLowerCase() !== 'leave')
      areas.push({ name: name[0]!.toUpperCase() + name.slice(1), from: used + 1, span: count })
    used += count
  }
  if (areas.length === 0)
    return { part: '', reason: 'write the areas first, such as “aside 4, article rest”' }
  return areas
}

/** Greys that rise from area to area. */
const GREYS = ['#f1efe9', '#e7e4dc', '#dcd9cf', '#d1cdc2', '#c6c2b6']

function tree(
  id: string,
  name: string,
  order: string,
  grey: number,
  props: Props,
  overrides?: NodeTree['overrides'],
): NodeTree {
  return {
    id,
    kind: 'box',
    name,
    order,
    props: { flow: 'column', rowGap: 16, fills: oneFill(GREYS[grey % GREYS.length]!), ...props },
    ...(overrides ? { overrides } : {}),
  }
}

/** What an area is: as high as drawn until its content needs more. */
const sized = (span: number, from: number, height: number): Props => ({
  width: { kind: 'columns', span, from },
  minHeight: Math.round(height),
})

/** On narrower views that have not all of an area's columns it takes a row of its own. */
function narrower(doc: Document, view: string, last: number): NodeTree['overrides'] {
  const below = doc.views.slice(doc.views.findIndex((each) => each.id === view) + 1)
  const overrides: Record<string, Props> = {}
  let before: number | undefined
  for (const { id, lattice } of below) {
    if (last > lattice.columns && lattice.columns !== before)
      overrides[id] = { width: { kind: 'columns', span: lattice.columns, from: 1 } }
    before = lattice.columns
  }
  return Object.keys(overrides).length > 0 ? overrides : undefined
}

const sectionTree = (
  id: string,
  order: string,
  above: number,
  below: number,
  children: NodeTree[],
): NodeTree => ({
  id,
  kind: 'section',
  name: 'Section',
  order,
  props: { flow: 'lattice', rowGap: 24, paddingTop: above, paddingBottom: below },
  children,
})

/**
 * Typed areas as boxes of `height` px: behind what is in a section on a lattice, else in a section of their own behind it.
 * @param section where; left out: at the end of the page
 */
export function areaEdits(
  doc: Document,
  layout: PageLayout,
  areas: readonly Area[],
  height: number,
  section: string | undefined,
  makeId: () => string,
): { edits: Edit[]; made: string[] } {
  const host = section === undefined || isShared(section) ? undefined : layout.boxes.get(section)
  const inside = host?.flow === Flow.Lattice ? doc.node(host.id) : undefined
  const keys = inside
    ? ordersAt(doc, inside.id, inside.children.length, areas.length)
    : generateNKeysBetween(null, null, areas.length)
  const before = inside?.children.length ?? 0
  const trees = areas.map(({ name, from, span }, i) =>
    tree(
      makeId(),
      name,
      keys[i]!,
      before + i,
      sized(span, from, height),
      narrower(doc, layout.viewId, from + span - 1),
    ),
  )
  const made = trees.map((each) => each.id)
  if (inside) return { edits: trees.map((each) => ({ op: 'insert', parent: inside.id, tree: each })), made }
  const { children } = doc.node(layout.page)
  const index = host ? children.indexOf(host.id) + 1 : endOfPage(doc, layout.page)
  const added = sectionTree(makeId(), orderAt(doc, layout.page, index), 48, 48, trees)
  return { edits: [{ op: 'insert', parent: layout.page, tree: added }], made }
}

/** px within which a drawn edge goes to a level line instead of the baseline. */
const PULL = 12

/** The area drawn from one point to another: whole columns, heights on the baseline or on level lines near by. */
export function drawnArea(
  used: UsedLattice,
  baseline: number,
  start: { x: number; y: number },
  end: { x: number; y: number },
  levels: readonly number[] = [],
): { from: number; to: number; rect: Rect } {
  const a = columnAt(used, start.x)
  const b = columnAt(used, end.x)
  const from = Math.min(a, b)
  const to = Math.max(a, b)
  const step = (y: number) => {
    const line = levels.reduce<number | undefined>(
      (best, each) => (best === undefined || Math.abs(each - y) < Math.abs(best - y) ? each : best),
      undefined,
    )
    return line !== undefined && Math.abs(line - y) <= PULL ? line : Math.round(y / baseline) * baseline
  }
  const top = step(Math.min(start.y, end.y))
  const bottom = Math.max(top + baseline, step(Math.max(start.y, end.y)))
  return {
    from,
    to,
    rect: {
      x: columnLeft(used, from),
      y: top,
      width: spanWidth(used, to - from + 1),
      height: bottom - top,
    },
  }
}

/** How far a section's edge counts as the section, px. */
const NEAR = 4

/** A drawn area as a box of the section it was drawn in: in its lattice in reading order, loose elsewhere; below the last section in one of its own. */
export function drawnAreaEdits(
  doc: Document,
  layout: PageLayout,
  area: { from: number; to: number; rect: Rect },
  makeId: () => string,
): { edits: Edit[]; made: string } {
  const { from, to, rect } = area
  const span = to - from + 1
  const id = makeId()
  const overrides = narrower(doc, layout.viewId, to)
  const section = layout.own.find((each) => rect.y >= each.y - NEAR && rect.y < each.y + each.height - NEAR)
  if (!section) {
    const { children } = doc.node(layout.page)
    const child = tree(id, 'Area 1', 'a0', 0, sized(span, from, rect.height), overrides)
    // It stays where it was drawn: what is above it is the section's padding.
    const above = Math.max(0, Math.round(rect.y - layout.height))
    const added = sectionTree(makeId(), orderAt(doc, layout.page, children.length), above, 0, [child])
    return { edits: [{ op: 'insert', parent: layout.page, tree: added }], made: id }
  }
  const { children } = section.node
  const name = `Area ${children.length + 1}`
  if (section.flow === Flow.Lattice) {
    const next = section.kids.find((kid) => {
      const other = layout.rect(kid.id)!
      const below = other.y >= rect.y + rect.height / 2
      return below || (other.y + other.height > rect.y + rect.height / 2 && other.x > rect.x)
    })
    const index = next ? children.indexOf(next.id) : children.length
    const order = orderAt(doc, section.id, index)
    const added = tree(id, name, order, children.length, sized(span, from, rect.height), overrides)
    return { edits: [{ op: 'insert', parent: section.id, tree: added }], made: id }
  }
  const added = tree(id, name, orderAt(doc, section.id, children.length), children.length, {
    width: { kind: 'columns', span },
    height: { kind: 'exact', px: rect.height },
    lifted: true,
    pinLeft: { px: Math.round((rect.x - section.x - section.borL) * 100) / 100 },
    pinTop: { px: Math.round((rect.y - section.y - section.borT) * 100) / 100 },
  })
  return { edits: [{ op: 'insert', parent: section.id, tree: added }], made: id }
}
