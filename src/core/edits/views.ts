/** Adds, changes and takes away views, each by its id: what one person does to one view leaves the others alone. */

import * as v from 'valibot'
import { check, checkViews } from '../document/check'
import { MAX_VIEWS, type View, ViewSchema } from '../document/schema'
import type { Tree } from '../document/tree'
import { IdSchema } from '../properties/values'
import type { ViewsEdit, ViewValues } from './edit'
import { type EditModule, refuse } from './edit-module'
import { plainlySet, quoted } from './words'

const Values = v.strictObject({
  ...v.partial(v.omit(ViewSchema, ['id'])).entries,
  safe: v.nullish(ViewSchema.entries.safe.wrapped),
})

function changed(view: View | undefined, id: string, values: ViewValues): View {
  const { safe, ...rest } = { ...view, ...values }
  return check(ViewSchema, { ...rest, ...(safe == null ? {} : { safe }), id }, `views.${id}`)
}

/** The old values of what is about to change: what puts it back. */
function valuesBefore(view: View, values: ViewValues): ViewValues {
  const keys = Object.keys(values) as (keyof ViewValues)[]
  return Object.fromEntries(keys.map((key) => [key, view[key] ?? null]))
}

/** @throws EditError when something is still said for the view */
function checkUnused(tree: Tree, view: View) {
  for (const node of tree.nodes.values()) {
    if (Object.hasOwn(node.overrides, view.id))
      refuse(`“${view.name}” still has values of its own on “${node.name}”; put them back first`)
  }
  for (const { page, view: own } of tree.changesOnPages())
    if (own === view.id)
      refuse(`“${page.name}” still shows its template otherwise on “${view.name}”; put that back first`)
  for (const page of tree.pages.values()) {
    if (page.views.includes(view.id)) refuse(`the page “${page.name}” is still drawn at “${view.name}”`)
  }
}

/** With the entries that `keep` leaves something of; undefined when it leaves nothing. */
function filtered(
  edit: ViewsEdit,
  keep: (id: string, values: ViewValues | null) => ViewValues | null | undefined,
): ViewsEdit | undefined {
  const change: ViewsEdit['change'] = {}
  for (const [id, values] of Object.entries(edit.change)) {
    const kept = keep(id, values)
    if (kept !== undefined) change[id] = kept
  }
  return Object.keys(change).length > 0 ? { op: 'views', change } : undefined
}

export const views: EditModule<ViewsEdit> = {
  op: 'views',
  schema: v.strictObject({ op: v.literal('views'), change: v.record(IdSchema, v.nullable(Values)) }),

  apply(draft, edit) {
    const next = new Map(draft.views.map((view) => [view.id, view]))
    const inverse: ViewsEdit = { op: 'views', change: {} }
    for (const [id, values] of Object.entries(edit.change)) {
      const before = next.get(id)
      if (values === null) {
        if (!before) return refuse(`there is no view ${id} any more`)
        checkUnused(draft, before)
        next.delete(id)
        const { id: _, ...all } = before
        inverse.change[id] = all
      } else {
        next.set(id, changed(before, id, values))
        inverse.change[id] = before ? valuesBefore(before, values) : null
      }
    }
    if (next.size === 0) refuse('a project needs at least one view')
    if (next.size > MAX_VIEWS) refuse(`a project has at most ${MAX_VIEWS} views`)
    const sorted = [...next.values()].sort((a, b) => b.width - a.width)
    checkViews(sorted)
    draft.views = sorted
    return inverse
  },

  // Somebody else took the view away already.
  rebase: (edit, _over, { gone }) =>
    filtered(edit, (id, values) => (values === null && gone('view', id) ? undefined : values)),

  spare(inverse, over) {
    if (over.op !== 'views') return inverse
    return filtered(inverse, (id, values) => {
      if (!Object.hasOwn(over.change, id)) return values
      const theirs = over.change[id]
      if (values === null || theirs === null) return undefined
      const left = Object.entries(values).filter(([key]) => !Object.hasOwn(theirs!, key))
      return left.length > 0 ? Object.fromEntries(left) : undefined
    })
  },

  merge(first, second) {
    const change = { ...first.change }
    for (const [id, values] of Object.entries(second.change)) {
      const before = change[id]
      // Taken away and put there anew, or the other way round, is not one change of values.
      if (values === null || before === null) {
        if (Object.hasOwn(change, id)) return undefined
        change[id] = values
      } else change[id] = { ...before, ...values }
    }
    return { op: 'views', change }
  },

  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: () => [],
  puts: ({ change }) => Object.keys(change).map((id) => ({ what: 'view' as const, id })),
  takesShared: ({ change }) => Object.values(change).includes(null),

  words: ({ change }, tree) =>
    Object.entries(change)
      .map(([id, values]) => {
        const view = tree.views.find((each) => each.id === id)
        if (values === null) return `Remove the view ${quoted(view?.name ?? id)}`
        if (!view) return `New view ${quoted(values.name ?? id)}`
        return `View ${quoted(view.name)}: ${plainlySet(values)}`
      })
      .join('; '),
}

const equal = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** What makes `after` of `before`: no edit when they are the same, else one that says only what differs. */
export function viewEdits(before: readonly View[], after: readonly View[]): ViewsEdit[] {
  const change: ViewsEdit['change'] = {}
  for (const { id } of before) if (!after.some((view) => view.id === id)) change[id] = null
  for (const { id, ...values } of after) {
    const old = before.find((view) => view.id === id)
    if (!old) {
      change[id] = values
      continue
    }
    const keys = [...new Set([...Object.keys(values), ...Object.keys(old)])] as (keyof typeof values)[]
    const different = keys.filter((key) => (key as string) !== 'id' && !equal(values[key], old[key]))
    if (different.length > 0)
      change[id] = Object.fromEntries(different.map((key) => [key, values[key] ?? null]))
  }
  return Object.keys(change).length > 0 ? [{ op: 'views', change }] : []
}
