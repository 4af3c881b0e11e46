/** Makes a page, or takes one away with everything on it. */

import * as v from 'valibot'
import { check, checkTrees } from '../document/check'
import { freePath } from '../document/paths'
import { PageOwnSchema } from '../document/schema'
import { IdSchema } from '../properties/values'
import type { PageEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { pageIn } from './need'
import { checkPlace } from './page-meta'
import { blocksIn, needsOf, rebound } from './references'
import { nameOf, quoted } from './words'

export const page: EditModule<PageEdit> = {
  op: 'page',
  schema: v.strictObject({ op: v.literal('page'), id: IdSchema, page: v.nullable(PageOwnSchema) }),

  apply(draft, { id, page }) {
    if (page === null) {
      const { name } = pageIn(draft, id)
      const user = draft.allPages().find((other) => other.template === id)
      if (user) refuse(`“${user.name}” stands on ${quoted(name)}`)
      const before = draft.pageFile(id)
      draft.removePage(id)
      return { op: 'page', id, page: before }
    }
    const { sections: given = [], ...own } = check(PageOwnSchema, page, 'page')
    if (own.id !== id) refuse('the page has another id than the edit')
    if (draft.nodes.has(id)) refuse(`the id ${id} is already taken`)
    checkPlace(draft, own)
    const sections = checkTrees(given, 'page', 1, draft)
    if (sections.filter(({ kind }) => kind === 'slot').length > (own.isTemplate ? 1 : 0))
      refuse('a template has one slot, a page none')
    draft.addPage({ ...own, sections })
    return { op: 'page', id, page: null }
  },

  rebase(edit, over, { now, gone }) {
    if (edit.page === null) return gone('block', edit.id) ? undefined : edit
    // Two people make a page of one name: both stay.
    if (over.op !== 'page' && over.op !== 'page-meta') return edit
    const path = freePath(now.pages.values(), edit.page.path)
    return path === edit.page.path ? edit : { ...edit, page: { ...edit.page, path } }
  },

  blocks: ({ id }) => [id],
  touches: ({ id }) => [id],
  within: () => [],
  needs: ({ page }) => needsOf(page),
  rebind: (edit, tokens) => ({ ...edit, page: rebound(edit.page, tokens) }),
  puts: ({ id, page }) => (page ? [{ what: 'block' as const, id }, ...page.sections.flatMap(blocksIn)] : []),
  takes: ({ id, page }) => (page === null ? id : undefined),
  words: ({ id, page }, tree) => (page ? `New page ${quoted(page.name)}` : `Delete page ${nameOf(tree, id)}`),
}
