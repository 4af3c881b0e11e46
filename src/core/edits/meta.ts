/** Names, locks and unlocks a block. */
import * as v from 'valibot'
import { IdSchema } from '../properties/values'
import type { MetaEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn } from './need'
import { nameOf, quoted } from './words'

export const meta: EditModule<MetaEdit> = {
  op: 'meta',
  schema: v.strictObject({
    op: v.literal('meta'),
    node: IdSchema,
    name: v.optional(v.pipe(v.string(), v.maxLength(400))),
    locked: v.optional(v.boolean()),
  }),

  apply(draft, edit) {
    const node = blockIn(draft, edit.node)
    if (node.kind === 'page') refuse('a page is renamed through its own edit')
    draft.replace({ ...node, name: edit.name ?? node.name, locked: edit.locked ?? node.locked })
    const inverse: MetaEdit = { op: 'meta', node: node.id }
    if (edit.name !== undefined) inverse.name = node.name
    if (edit.locked !== undefined) inverse.locked = node.locked
    return inverse
  },

  spare(inverse, over) {
    if (over.op !== 'meta' || over.node !== inverse.node) return inverse
    const left = { ...inverse }
    if (over.name !== undefined) delete left.name
    if (over.locked !== undefined) delete left.locked
    return left.name === undefined && left.locked === undefined ? undefined : left
  },

  merge: (first, second) => (first.node === second.node ? { ...first, ...second } : undefined),
  place: ({ node }) => `meta ${node}`,
  blocks: ({ node }) => [node],
  touches: ({ node }) => [node],
  within: ({ node }) => [node],
  needs: () => [],

  words({ node, name, locked }, tree) {
    const parts = name === undefined ? [] : [`is named ${quoted(name)}`]
    if (locked !== undefined) parts.push(locked ? 'is locked' : 'is unlocked')
    return `${nameOf(tree, node)} ${parts.join(' and ')}`
  },
}
