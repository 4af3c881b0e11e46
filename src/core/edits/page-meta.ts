/** A page's name, path, place among the others, and the views it is drawn at. */

import * as v from 'valibot'
import { templateProblem } from '../document/check'
import { PageOwnSchema } from '../document/schema'
import type { Page, Tree } from '../document/tree'
import { OrderSchema } from '../properties/items'
import { IdSchema } from '../properties/values'
import type { PageMetaEdit, PageValues } from './edit'
import { type EditModule, refuse } from './edit-module'
import { pageIn } from './need'
import { nameOf, plainlySet } from './words'

/** @throws EditError when a path is another page's, a view is not there, or it cannot stand on its template */
export function checkPlace(tree: Tree, page: Omit<Page, 'sections'>) {
  const problem = templateProblem(tree.pages, page, page.template)
  if (problem) refuse(problem)
  for (const other of tree.pages.values()) {
    if (other.id !== page.id && other.path === page.path)
      refuse(`${page.path} is already the path of “${other.name}”`)
  }
  for (const view of page.views)
    if (!tree.views.some((known) => known.id === view)) refuse(`there is no view ${view}`)
}

/** What a page may have none of: `null` takes it away. */
const GIVEN_BACK = ['template', 'description', 'lang', 'preview'] as const

export const pageMeta: EditModule<PageMetaEdit> = {
  op: 'page-meta',
  schema: v.strictObject({
    op: v.literal('page-meta'),
    id: IdSchema,
    set: v.strictObject({
      ...v.partial(
        v.omit(PageOwnSchema, ['id', 'sections', 'aids', 'order', 'isTemplate', 'changes', ...GIVEN_BACK]),
      ).entries,
      template: v.optional(v.nullable(IdSchema)),
      description: v.optional(v.nullable(PageOwnSchema.entries.description.wrapped)),
      lang: v.optional(v.nullable(PageOwnSchema.entries.lang.wrapped)),
      preview: v.optional(v.nullable(IdSchema)),
      order: v.optional(OrderSchema),
    }),
  }),

  apply(draft, edit) {
    const page = pageIn(draft, edit.id)
    const next = { ...page, ...edit.set } as Page
    for (const key of GIVEN_BACK) if (edit.set[key] === null) delete next[key]
    if (next.preview !== undefined && next.preview !== page.preview && !draft.assets.has(next.preview))
      refuse(`there is no picture ${next.preview}`)
    checkPlace(draft, next)
    const keys = Object.keys(edit.set) as (keyof PageValues)[]
    draft.replacePage(next)
    return {
      op: 'page-meta',
      id: page.id,
      set: Object.fromEntries(keys.map((key) => [key, page[key] ?? null])),
    }
  },

  spare(inverse, over) {
    if (over.op !== 'page-meta' || over.id !== inverse.id) return inverse
    const left = Object.entries(inverse.set).filter(([key]) => !Object.hasOwn(over.set, key))
    return left.length > 0 ? { ...inverse, set: Object.fromEntries(left) } : undefined
  },

  merge: (first, second) =>
    first.id === second.id ? { ...first, set: { ...first.set, ...second.set } } : undefined,
  blocks: ({ id }) => [id],
  touches: ({ id }) => [id],
  within: () => [],
  needs: () => [],
  words: ({ id, set }, tree) => `Page ${nameOf(tree, id)}: ${plainlySet(set)}`,
}
