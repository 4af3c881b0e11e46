/** Making, changing and taking away views: what that does to the others, and what would be lost. */
import type { Document } from '../document/document'
import type { View } from '../document/schema'
import type { Edit } from '../edits/edit'
import { viewEdits } from '../edits/views'
import { viewFor } from '../shelf/starter'
import { clearedEdits } from '../tokens/elsewhere'

/** The name, or with the width behind it where another view has it. */
export function freeName(views: readonly View[], name: string, width: number, own?: string): string {
  const taken = new Set(views.filter(({ id }) => id !== own).map((view) => view.name.toLowerCase()))
  const plain = name.trim().slice(0, 60)
  if (!taken.has(plain.toLowerCase())) return plain
  const wide = `${plain} ${width}`
  if (!taken.has(wide.toLowerCase())) return wide
  let n = 2
  while (taken.has(`${wide} (${n})`.toLowerCase())) n++
  return `${wide} (${n})`
}

/** Views in their order, with breakpoints that fall: each at least its view's width, less than the next wider view's. */
function inOrder(views: readonly View[]): View[] {
  const sorted = [...views].sort((a, b) => b.width - a.width)
  return sorted.map((view, i) => {
    if (i === 0) return view.breakpoint === null ? view : { ...view, breakpoint: null }
    const above = sorted[i - 1]!.width
    const wanted = view.breakpoint ?? Math.round((view.width + above) / 2)
    const breakpoint = Math.max(view.width, Math.min(wanted, above - 1))
    return breakpoint === view.breakpoint ? view : { ...view, breakpoint }
  })
}

/** The project's views with one more. @returns a reason when there cannot be one */
export function withView(views: readonly View[], name: string, width: number, id: string): View[] | string {
  if (views.some((view) => view.width === width)) return `there is already a view ${width} px wide`
  const wider = [...views].reverse().find((view) => view.width > width)
  return inOrder([...views, viewFor(id, freeName(views, name, width), width, wider)])
}

/** The project's views with one of another width: it goes where it then belongs. */
export function withWidth(views: readonly View[], id: string, width: number): View[] | string {
  const same = views.find((view) => view.width === width && view.id !== id)
  if (same) return `“${same.name}” is ${width} px wide already`
  return inOrder(views.map((view) => (view.id === id ? { ...view, width } : view)))
}

/** The project's views with one that holds up to another window width, px. */
export function withBreakpoint(views: readonly View[], id: string, breakpoint: number): View[] | string {
  const at = views.findIndex((view) => view.id === id)
  const { name, width } = views[at]!
  const wider = views[at - 1]
  if (!wider) return `“${name}” is the widest: it holds for all wider windows`
  if (breakpoint < width) return `“${name}” is ${width} px wide: it holds at least up to there`
  if (breakpoint >= wider.width) return `at ${wider.width} px “${wider.name}” begins`
  return views.map((view) => (view.id === id ? { ...view, breakpoint } : view))
}

/** A view like another, a little narrower: what wider views say, and the other says, holds there too. */
export function withCopy(views: readonly View[], id: string, copy: string): View[] | string {
  const from = views.find((view) => view.id === id)!
  const taken = new Set(views.map(({ width }) => width))
  let width = Math.round((from.width * 0.94) / 10) * 10
  while (taken.has(width)) width -= 10
  if (width < 200) return `there is no room for a view narrower than “${from.name}”`
  const name = freeName(views, `${from.name} copy`, width)
  return inOrder([...views, { ...from, id: copy, name, width, breakpoint: null }])
}

export type Lost = {
  /** Blocks with values of their own on the view. */
  blocks: string[]
  /** Pages drawn at it by name. */
  pages: string[]
}

/** What is said for a view alone. */
export function lostWith(doc: Document, id: string): Lost {
  const blocks = [...doc.nodes.values()].filter((node) => Object.keys(node.overrides[id] ?? {}).length > 0)
  const changed = [...doc.changesOnPages()].filter(({ view }) => view === id).map(({ page }) => page.name)
  const drawn = doc.allPages().filter((page) => page.views.includes(id))
  return {
    blocks: blocks.map(({ name }) => name),
    pages: [...new Set([...drawn.map(({ name }) => name), ...changed])],
  }
}

/** The edits that take a view away with everything that is said for it. @returns a reason when it has to stay */
export function removeViewEdits(doc: Document, id: string): Edit[] | string {
  if (doc.views.length === 1) return 'a project needs at least one view'
  const only = doc.allPages().find((page) => page.views.length === 1 && page.views[0] === id)
  if (only) return `“${only.name}” is drawn at this view alone: give it another first`
  const edits: Edit[] = []
  for (const node of doc.nodes.values()) {
    const keys = Object.keys(node.overrides[id] ?? {})
    if (keys.length > 0)
      edits.push({
        op: 'set',
        node: node.id,
        view: id,
        props: Object.fromEntries(keys.map((key) => [key, null])),
      })
  }
  for (const page of doc.pages.values()) {
    for (const [node, { overrides = {} }] of Object.entries(page.changes ?? {})) {
      const keys = Object.keys(overrides[id] ?? {})
      if (keys.length > 0)
        edits.push({
          op: 'change',
          page: page.id,
          node,
          view: id,
          props: Object.fromEntries(keys.map((key) => [key, null])),
        })
    }
    if (page.views.includes(id))
      edits.push({ op: 'page-meta', id: page.id, set: { views: page.views.filter((view) => view !== id) } })
  }
  edits.push(...clearedEdits(doc, { view: id }))
  return [...edits, ...viewEdits(doc.views, inOrder(doc.views.filter((view) => view.id !== id)))]
}

/** The edits that give the project more views, shown on all pages that are drawn at every one of those there are. */
export function moreViewsEdits(doc: Document, views: readonly View[]): Edit[] {
  const added = views.filter(({ id }) => !doc.views.some((view) => view.id === id)).map(({ id }) => id)
  const everywhere = doc
    .allPages()
    .filter((page) => page.views.length > 0 && doc.views.every(({ id }) => page.views.includes(id)))
  return [
    ...viewEdits(doc.views, views),
    ...everywhere.map(
      (page): Edit => ({ op: 'page-meta', id: page.id, set: { views: [...page.views, ...added] } }),
    ),
  ]
}

/** The edits that leave pages at the views that they are drawn at now, when the project gets more. */
export const keptViewsEdits = (doc: Document): Edit[] =>
  doc
    .allPages()
    .filter((page) => page.views.length === 0)
    .map((page) => ({ op: 'page-meta', id: page.id, set: { views: doc.views.map(({ id }) => id) } }))
