/** Moves a block to another place among its siblings, or into another block. */
import * as v from 'valibot'
import { MAX_DEPTH } from '../document/schema'
import type { Tree } from '../document/tree'
import { OrderSchema } from '../properties/items'
import { mayHoldKind } from '../properties/kinds'
import { IdSchema } from '../properties/values'
import type { MoveEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn } from './need'
import { nameOf } from './words'

const height = (tree: Tree, id: string): number =>
  1 + Math.max(0, ...tree.node(id).children.map((child) => height(tree, child)))

export const move: EditModule<MoveEdit> = {
  op: 'move',
  schema: v.strictObject({ op: v.literal('move'), node: IdSchema, parent: IdSchema, order: OrderSchema }),

  apply(draft, edit) {
    const node = blockIn(draft, edit.node)
    const parent = blockIn(draft, edit.parent)
    if (!node.parent) return refuse('a page cannot be moved into another')
    if (draft.isInside(parent.id, node.id)) refuse(`“${node.name}” cannot be moved into itself`)
    if (!mayHoldKind(parent.kind, node.kind)) refuse(`a ${parent.kind} cannot hold a ${node.kind}`)
    if (draft.ancestors(parent.id).length + height(draft, node.id) > MAX_DEPTH)
      refuse(`blocks nest deeper than ${MAX_DEPTH} levels`)
    if (node.kind === 'slot' && parent.id !== node.parent) refuse('the slot stays in its template')
    draft.moveTree(node.id, parent.id, edit.order)
    return { op: 'move', node: node.id, parent: node.parent, order: node.order }
  },

  spare: (inverse, over) => (over.op === 'move' && over.node === inverse.node ? undefined : inverse),
  merge: (first, second) => (first.node === second.node ? second : undefined),
  blocks: ({ node, parent }) => [node, parent],
  touches: ({ node }) => [node],
  within: ({ node, parent }) => [node, parent],
  needs: () => [],
  words: ({ node, parent }, tree) => `Move ${nameOf(tree, node)} in ${nameOf(tree, parent)}`,
}
