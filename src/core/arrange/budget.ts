/** The page budget: bands typed in words, their sum, their offsets. Lengths in px. */

import type { Document, Node } from '../document/document'
import type { NodeTree, View } from '../document/schema'
import type { Edit } from '../edits/edit'
import { formatPx } from '../lattice/solve'
import type { PageLayout } from '../layout/page'
import { oneFill } from '../properties/items'
import { deepEqual } from '../properties/plain-equal'
import type { Props } from '../properties/table'
import type { ScreenHeight, Size } from '../properties/values'
import { readQuantity } from '../quantity/arithmetic'
import type { SetEdit } from './align'
import { ordersAt } from './order'

/** `screen`: said as a share of the first screen, or what is left of it, and so in every window. */
export type Band = { name: string; height: number; screen?: ScreenHeight }
export type Budget = { bands: Band[]; total: number; offsets: number[] }

/** A wrong budget: what, and where in the text. */
export type BudgetProblem = { reason: string; part: string }

const MOST_BANDS = 60

/** A comma between digits is part of a number: `hero 1,200`. */
const PARTS = /(?<!\d),|,(?!\d{3}(?!\d))|[;\n]/

/** A count, a name that may hold spaces and digits, and a height: the last word, or a sum with spaces around its signs. */
const BAND = /^(?:(\d+)\s*[×x*]\s*)?(.*?)\s*([^\s+*/×-]+(?:\s*[+*/×-]\s*[^\s+*/×-]+)*)$/i

/**
 * Reads `header 96, 3 × section 520, footer 180`. A height may be a sum, `rest` for what is left of the first screen (`fold` px),
 * or a share of it in percent.
 */
export function readBudget(text: string, fold: number): Budget | BudgetProblem {
  const bands: Band[] = []
  for (const raw of text.split(PARTS)) {
    const part = raw.trim()
    if (part === '') continue
    const [, times = '1', words, height] = BAND.exec(part) ?? []
    if (height === undefined) return { part, reason: 'write a name and a height, such as “header 96”' }
    const count = Number(times)
    if (count < 1 || bands.length + count > MOST_BANDS) return { part, reason: `at most ${MOST_BANDS} bands` }
    const used = bands.reduce((sum, band) => sum + band.height, 0)
    const screen = screenOf(height, used, count)
    let px: number
    if (screen && 'less' in screen) px = Math.max(0, fold - used) / count
    else {
      const read = readQuantity(height.replaceAll('×', '*'), { whole: fold, min: 0, max: 100_000 })
      if (!read.ok) return { part, reason: read.reason }
      px = read.value
    }
    const name = words!.trim() === '' ? 'section' : words!.trim()
    const label = name[0]!.toUpperCase() + name.slice(1)
    for (let i = 0; i < count; i++)
      bands.push({
        name: count > 1 ? `${label} ${i + 1}` : label,
        height: Math.round(px * 100) / 100,
        ...(screen && { screen }),
      })
  }
  const cushion = bands.findIndex((band) => isCushion(band.name))
  if (cushion >= 0 && cushion < bands.length - 1)
    return { part: bands[cushion]!.name, reason: 'the cushion is what stays free at the end; write it last' }
  if (bands.length === 0)
    return { part: '', reason: 'write the bands first, such as “header 96, 3 × section 520, footer 180”' }
  let total = 0
  const offsets = bands.map((band) => {
    const at = total
    total += band.height
    return at
  })
  return { bands, total, offsets }
}

/** A height that is said by the first screen. @param used px above it */
function screenOf(height: string, used: number, count: number): ScreenHeight | undefined {
  if (height.toLowerCase() === 'rest') return restOfScreen(used, count)
  const [, percent] = /^(\d{1,3}(?:\.\d+)?)\s*%$/.exec(height) ?? []
  return percent === undefined ? undefined : { kind: 'svh', percent: Number(percent), grows: true }
}

const round = (value: number) => Math.round(value * 100) / 100

/** What is left of the first screen, which a section may outgrow. @param used px above it @param among how many it is shared */
export const restOfScreen = (used: number, among = 1): ScreenHeight => ({
  kind: 'svh',
  percent: round(100 / among),
  less: round(used / among),
  grows: true,
})

/** The budget that a page's sections make now, in the words that `readBudget` reads; '' for an empty page. */
export const budgetOf = (layout: PageLayout): string =>
  layout.own.map((box) => `${wordsOf(box.node.name)} ${formatPx(box.height)}`).join(', ')

/** A section's name as a budget can say it. */
const wordsOf = (name: string) =>
  name
    .replace(/[,;\n]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()

/** What new bands are filled with in turn. */
const GREYS = ['#e9e6de', '#f4f2ec', '#ece9e2']

/** Whether a band is the room kept free at the end of the page. */
const isCushion = (name: string) => /^cushion\b/i.test(name)

/** Where a page ends for what is added to it: before its cushion. */
export function endOfPage(doc: Document, page: string): number {
  const { children } = doc.node(page)
  const last = children.at(-1)
  return last !== undefined && isCushion(doc.node(last).name) ? children.length - 1 : children.length
}

/** Where a section goes that nobody gave a place: behind the others, above a footer and a cushion. */
export function aboveFooter(doc: Document, page: string): number {
  const { children } = doc.node(page)
  const isEnd = (id: string) => {
    const { name, props } = doc.node(id)
    return isCushion(name) || props.tag === 'footer' || /^footer\b/i.test(name)
  }
  let index = children.length
  while (index > 0 && isEnd(children[index - 1]!)) index--
  return index
}

/** A band, and the section that it is already; and the sections that no band is any more. */
export type Plan = { bands: { band: Band; node?: Node }[]; gone: Node[] }

/** Whether a section gets another name from its band. */
export const isRenamed = ({ name }: Node, band: Band) => !sameName(wordsOf(name), band.name)

const sameName = (one: string, other: string) => one.toLowerCase() === other.toLowerCase()

/**
 * Which sections of a sheet the bands are: those of their names; of the others one that stands where a band of another name does
 * is that one, renamed.
 */
export function budgetPlan(layout: PageLayout, bands: readonly Band[]): Plan {
  const shown = layout.own.map(({ node }) => node)
  const named = shown.map(({ name }) => wordsOf(name))
  const taken = new Set<number>()
  const found = bands.map(({ name }) => {
    const at = named.findIndex((each, i) => !taken.has(i) && sameName(each, name))
    if (at >= 0) taken.add(at)
    return at
  })
  let before = -1
  const plan = bands.map((band, i) => {
    let at = found[i]!
    // A cushion is never another section renamed, nor the other way round.
    const next = before + 1
    const isAlike = next < shown.length && isCushion(shown[next]!.name) === isCushion(band.name)
    if (at < 0 && !taken.has(next) && isAlike) {
      at = next
      taken.add(at)
    }
    if (at >= 0) before = at
    return { band, node: shown[at] }
  })
  return { bands: plan, gone: shown.filter((_, i) => !taken.has(i)) }
}

/** The longest run of bands whose sections stand in that order already: they stay, others are moved between them. */
function staying(doc: Document, page: string, nodes: readonly (Node | undefined)[]): Set<string> {
  const { children } = doc.node(page)
  /** By the band that a run ends with. */
  const runs: { at: number; ids: string[] }[] = []
  let longest: string[] = []
  for (const node of nodes) {
    if (!node) continue
    const at = children.indexOf(node.id)
    const best = runs.filter((run) => run.at < at).sort((a, b) => b.ids.length - a.ids.length)[0]
    const ids = [...(best?.ids ?? []), node.id]
    runs.push({ at, ids })
    if (ids.length > longest.length) longest = ids
  }
  return new Set(longest)
}

/**
 * The bands' sections get their heights, names and order, new ones are put between them, and those that no band is are removed.
 * @param set a value on the view that is worked on
 */
export function budgetEdits(
  doc: Document,
  layout: PageLayout,
  bands: readonly Band[],
  set: SetEdit,
  makeId: () => string,
): Edit[] {
  const { bands: plan, gone } = budgetPlan(layout, bands)
  const stay = staying(
    doc,
    layout.page,
    plan.map(({ node }) => node),
  )
  const keys = placesBetween(
    doc,
    layout.page,
    plan.map(({ node }) => (node && stay.has(node.id) ? node : undefined)),
  )
  const edits: Edit[] = plan.flatMap(({ band, node }, i) => {
    const narrower = screensBelow(doc, layout.view, plan.slice(0, i), band)
    if (!node) {
      const tree = sectionOf(band, makeId(), keys[i]!, i)
      if (narrower.size > 0) tree.overrides = Object.fromEntries(narrower)
      return [{ op: 'insert', parent: layout.page, tree } as const]
    }
    return [
      ...(isAlready(layout, node, band) ? [] : heightEdits(node, band, set, narrower)),
      ...(isRenamed(node, band) ? [{ op: 'meta', node: node.id, name: band.name } as const] : []),
      ...(stay.has(node.id)
        ? []
        : [{ op: 'move', node: node.id, parent: layout.page, order: keys[i]! } as const]),
    ]
  })
  return [...edits, ...gone.map(({ id }): Edit => ({ op: 'remove', node: id }))]
}

/** Whether a section is as high as a band says: one that follows the window goes on doing so until another height is typed. */
function isAlready(layout: PageLayout, { id, props }: Node, { height, screen }: Band): boolean {
  if (screen && !deepEqual(props.height, screen)) return false
  return Math.abs(layout.boxes.get(id)!.height - height) < 0.005
}

function heightEdits(node: Node, band: Band, set: SetEdit, narrower: ReadonlyMap<string, Props>): Edit[] {
  const edit = set(node, { height: heightOf(band) })
  // What is said of one view alone is said of no other.
  if (edit.op !== 'set' || edit.view !== undefined) return [edit]
  return [edit, ...[...narrower].map(([view, props]): Edit => ({ op: 'set', node: node.id, view, props }))]
}

const heightOf = ({ height, screen }: Band): Size => screen ?? { kind: 'exact', px: height }

/** On narrower views the bands above may be of other heights, and leave another rest. @returns what is other there, by view */
function screensBelow(doc: Document, view: View, above: Plan['bands'], { screen }: Band): Map<string, Props> {
  const out = new Map<string, Props>()
  if (screen?.less === undefined) return out
  const among = Math.round(100 / screen.percent)
  for (const { id } of doc.views.slice(doc.views.indexOf(view) + 1)) {
    const used = above.reduce((sum, { band, node }) => sum + (ownHeight(doc, node, id) ?? band.height), 0)
    const rest = restOfScreen(used, among)
    if (rest.less !== screen.less) out.set(id, { height: rest })
  }
  return out
}

/** An exact height that a section has on a narrower view of its own, px. */
function ownHeight(doc: Document, node: Node | undefined, view: string): number | undefined {
  const own = doc.cascade(view).flatMap(({ id }) => node?.overrides[id]?.height ?? [])
  const last = own.at(-1)
  return last?.kind === 'exact' && typeof last.px === 'number' ? last.px : undefined
}

/** An order key for each place where no section stays: between those that stay before and behind it. */
function placesBetween(doc: Document, page: string, staying: readonly (Node | undefined)[]): string[] {
  const { children } = doc.node(page)
  const keys: string[] = []
  for (let from = 0; from < staying.length; ) {
    let to = from
    while (to < staying.length && !staying[to]) to++
    const before = from > 0 ? children.indexOf(staying[from - 1]!.id) + 1 : 0
    const index = to === staying.length && from === 0 ? endOfPage(doc, page) : before
    keys.push(...ordersAt(doc, page, index, to - from))
    // The one that stays has its own.
    if (to < staying.length) keys.push(staying[to]!.order)
    from = to + 1
  }
  return keys
}

function sectionOf(band: Band, id: string, order: string, index: number): NodeTree {
  const tag = /^(header|footer)\b/i.exec(band.name)?.[1]?.toLowerCase() as 'header' | 'footer' | undefined
  return {
    id,
    kind: 'section',
    name: band.name,
    order,
    props: {
      flow: 'lattice',
      tag: tag ?? 'section',
      height: heightOf(band),
      ...(isCushion(band.name) ? {} : { fills: oneFill(GREYS[index % GREYS.length]!) }),
    },
  }
}
