/** The page budget: bands typed in words, their sum, their offsets. Lengths in px. */

import type { Document } from '../document/document'
import type { Edit } from '../edits/edit'
import { formatPx } from '../lattice/solve'
import type { PageLayout } from '../layout/page'
import { oneFill } from '../properties/items'
import { readQuantity } from '../quantity/arithmetic'
import type { SetEdit } from './align'
import { ordersAt } from './order'

export type Band = { name: string; height: number }
export type Budget = { bands: Band[]; total: number; offsets: number[] }

/** A wrong budget: what, and where in the text. */
export type BudgetProblem = { reason: string; part: string }

const MOST_BANDS = 60

/** A count, a name that may hold spaces and digits, and a height: the last word, or a sum with spaces around its signs. */
const BAND = /^(?:(\d+)\s*[×x*]\s*)?(.*?)\s*([^\s+*/×-]+(?:\s*[+*/×-]\s*[^\s+*/×-]+)*)$/i

/**
 * Reads `header 96, 3 × section 520, footer 180`. A height may be a sum, `rest` for what is left of the first screen (`fold` px),
 * or a share of it in percent.
 */
export function readBudget(text: string, fold: number): Budget | BudgetProblem {
  const bands: Band[] = []
  for (const raw of text.split(/[,;\n]/)) {
    const part = raw.trim()
    if (part === '') continue
    const [, times = '1', words, height] = BAND.exec(part) ?? []
    if (height === undefined) return { part, reason: 'write a name and a height, such as “header 96”' }
    const count = Number(times)
    if (count < 1 || bands.length + count > MOST_BANDS) return { part, reason: `at most ${MOST_BANDS} bands` }
    const used = bands.reduce((sum, band) => sum + band.height, 0)
    let px: number
    if (height.toLowerCase() === 'rest') px = Math.max(0, fold - used) / count
    else {
      const read = readQuantity(height.replaceAll('×', '*'), { whole: fold, min: 0, max: 100_000 })
      if (!read.ok) return { part, reason: read.reason }
      px = read.value
    }
    const name = words!.trim() === '' ? 'section' : words!.trim()
    const label = name[0]!.toUpperCase() + name.slice(1)
    for (let i = 0; i < count; i++)
      bands.push({ name: count > 1 ? `${label} ${i + 1}` : label, height: Math.round(px * 100) / 100 })
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

/** The budget that a page's sections make now, in the words that `readBudget` reads; '' for an empty page. */
export const budgetOf = (layout: PageLayout): string =>
  layout.own.map((box) => `${box.node.name.replace(/[,;\n]/g, ' ')} ${formatPx(box.height)}`).join(', ')

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

/**
 * The sections that a sheet shows get the bands' heights in turn; bands too many are added behind, sections too many removed. A
 * cushion stays a cushion and stays last.
 */
export function budgetEdits(
  doc: Document,
  layout: PageLayout,
  bands: readonly Band[],
  set: SetEdit,
  makeId: () => string,
): Edit[] {
  const height = (band: Band) => ({ kind: 'exact', px: band.height }) as const
  const last = (list: readonly { name: string }[]) => {
    const end = list.at(-1)
    return end !== undefined && isCushion(end.name)
  }
  const all = layout.own.map((box) => box.node)
  const shown = last(all) ? all.slice(0, -1) : all
  const cushion = last(all) ? all.at(-1) : undefined
  const wanted = last(bands) ? bands.slice(0, -1) : bands
  const edits: Edit[] = wanted
    .slice(0, shown.length)
    .map((band, i) => set(shown[i]!, { height: height(band) }))
  const added = [...wanted.slice(shown.length), ...(last(bands) && !cushion ? bands.slice(-1) : [])]
  if (cushion) {
    if (last(bands)) edits.push(set(cushion, { height: height(bands.at(-1)!) }))
    else edits.push({ op: 'remove', node: cushion.id })
  }
  const keys = ordersAt(doc, layout.page, endOfPage(doc, layout.page), added.length)
  added.forEach((band, i) => {
    const tag = /^(header|footer)\b/i.exec(band.name)?.[1]?.toLowerCase() as 'header' | 'footer' | undefined
    edits.push({
      op: 'insert',
      parent: layout.page,
      tree: {
        id: makeId(),
        kind: 'section',
        name: band.name,
        order: keys[i]!,
        props: {
          flow: 'lattice',
          tag: tag ?? 'section',
          height: height(band),
          ...(isCushion(band.name) ? {} : { fills: oneFill(GREYS[i % GREYS.length]!) }),
        },
      },
    })
  })
  for (const { id } of shown.slice(wanted.length)) edits.push({ op: 'remove', node: id })
  return edits
}
