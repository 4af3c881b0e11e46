/** What is placed is made of the tokens that a project begins with; one that has others, or took some away, gets values in their place. */
import { carriedWith } from '../arrange/carried'
import { settleBlocks } from '../arrange/clipboard'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { starterProject } from './starter'

let starter: Document | undefined

/**
 * The same blocks as a project can have them. A token of the same name and type is the project's own; colours are so all together or
 * not at all: one project's ink is not made for another's paper.
 */
export function arriving(doc: Document, tree: NodeTree): NodeTree {
  starter ??= Document.fromFile(starterProject('Shelf', 'home'))
  const carried = carriedWith(starter, [tree])
  const colors = carried.tokens.flatMap(([name, { type }]) => (type === 'color' ? [name] : []))
  const isHere = colors.every((name) => doc.tokenTable.lookup(name)?.type === 'color')
  const foreign = new Set(isHere ? [] : colors)
  const [settled] = settleBlocks(doc, { trees: [tree], assets: [], carried }, foreign)
  return settled!
}
