/** Puts a guide, a gauge or a tracing on a page, changes it, or takes it away. */

import * as v from 'valibot'
import { AidSchema, MAX_AIDS } from '../document/schema'
import { IdSchema } from '../properties/values'
import type { AidEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { pageIn } from './need'
import { nameOf } from './words'

export const aid: EditModule<AidEdit> = {
  op: 'aid',
  schema: v.strictObject({
    op: v.literal('aid'),
    page: IdSchema,
    id: IdSchema,
    aid: v.nullable(AidSchema),
  }),

  apply(draft, { page: pageId, id, aid }) {
    const page = pageIn(draft, pageId)
    const { aids = [], ...rest } = page
    const before = aids.find((each) => each.id === id) ?? null
    if (aid) {
      if (aid.id !== id) refuse('the aid has another id than the edit')
      if (!before && aids.length >= MAX_AIDS) refuse(`a page has at most ${MAX_AIDS} guides and other aids`)
      if (aid.kind === 'tracing' && !draft.assets.has(aid.asset)) refuse(`there is no picture ${aid.asset}`)
    }
    const next = [...aids.filter((each) => each !== before), ...(aid ? [aid] : [])]
    next.sort((a, b) => (a.id < b.id ? -1 : 1))
    draft.replacePage(next.length > 0 ? { ...rest, aids: next } : rest)
    return { op: 'aid', page: pageId, id, aid: before }
  },

  spare: (inverse, over) =>
    over.op === 'aid' && over.page === inverse.page && over.id === inverse.id ? undefined : inverse,
  merge: (first, second) => (first.page === second.page && first.id === second.id ? second : undefined),
  blocks: ({ page }) => [page],
  touches: ({ page }) => [page],
  within: ({ page }) => [page],
  needs: () => [],
  words: ({ page, aid }, tree) =>
    aid
      ? `A ${aid.kind} on ${nameOf(tree, page)}`
      : `Take a guide, gauge or tracing off ${nameOf(tree, page)}`,
}
