/** Takes a block away, with what is in it. */
import * as v from 'valibot'
import { IdSchema } from '../properties/values'
import type { InsertEdit, RemoveEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn } from './need'
import { nameOf } from './words'

export const remove: EditModule<RemoveEdit, InsertEdit> = {
  op: 'remove',
  schema: v.strictObject({ op: v.literal('remove'), node: IdSchema }),

  apply(draft, { node: id }) {
    const node = blockIn(draft, id)
    if (!node.parent) return refuse('a page is removed through its own edit')
    if (node.kind === 'slot') refuse('the slot stays: pages have their own sections there')
    const tree = draft.tree(id)
    draft.removeTree(id)
    return { op: 'insert', parent: node.parent, tree }
  },

  // Somebody else took it away, or what it was in: that is what was wanted.
  rebase: (edit, _over, { gone }) => (gone('block', edit.node) ? undefined : edit),

  blocks: ({ node }) => [node],
  touches: () => [],
  within: ({ node }) => [node],
  needs: () => [],
  takes: ({ node }) => node,
  words: ({ node }, tree) => `Remove ${nameOf(tree, node)}`,
}
