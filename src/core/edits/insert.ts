/** Puts a block, with what is in it, into another or on a page. */
import * as v from 'valibot'
import { checkTrees } from '../document/check'
import { IdSchema } from '../properties/values'
import type { InsertEdit, RemoveEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn } from './need'
import { blocksIn, needsOf, rebound } from './references'
import { nameOf, quoted } from './words'

export const insert: EditModule<InsertEdit, RemoveEdit> = {
  op: 'insert',
  // The tree is checked against the document it goes into.
  schema: v.strictObject({ op: v.literal('insert'), parent: IdSchema, tree: v.unknown() }),

  apply(draft, edit) {
    const parent = blockIn(draft, edit.parent)
    const [tree] = checkTrees([edit.tree], parent.kind, draft.ancestors(parent.id).length + 1, draft)
    if (tree!.kind === 'slot') refuse('a slot comes with its template')
    draft.insertTree(tree!, parent.id)
    return { op: 'remove', node: tree!.id }
  },

  blocks: ({ parent }) => [parent],
  touches: ({ tree }) => [tree.id],
  within: ({ parent }) => [parent],
  needs: ({ tree }) => needsOf(tree),
  rebind: (edit, tokens) => ({ ...edit, tree: rebound(edit.tree, tokens) }),
  puts: ({ tree }) => blocksIn(tree),
  words: ({ parent, tree }, now) => `New ${quoted(tree.name)} in ${nameOf(now, parent)}`,
}
