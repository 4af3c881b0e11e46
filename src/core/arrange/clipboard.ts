/** Blocks on the clipboard: the open format as text, so that they travel between pages, projects and programs. */

import type { Document } from '../document/document'
import { picturesOf } from '../document/picture-uses'
import type { Asset, NodeTree } from '../document/schema'
import { outermost, withNewIds } from './order'

const FORMAT = 'just-lattice-blocks'
/** Longest text that is taken from a clipboard, UTF-16 code units. */
export const MAX_PASTE = 5_000_000

export type Blocks = { trees: NodeTree[]; assets: Asset[] }

function* treesIn(tree: NodeTree): Generator<NodeTree> {
  yield tree
  for (const child of tree.children ?? []) yield* treesIn(child)
}

const assetsOf = (tree: NodeTree) => [tree.props, ...Object.values(tree.overrides ?? {})].flatMap(picturesOf)

/** Blocks with the pictures they use. What lies in another of the blocks goes along with it. */
export function copyBlocks(doc: Document, ids: readonly string[]): string {
  const trees = outermost(doc, ids).map((id) => doc.tree(id))
  const used = new Set(trees.flatMap((tree) => [...treesIn(tree)].flatMap(assetsOf)))
  return JSON.stringify({
    format: FORMAT,
    trees,
    assets: [...used].flatMap((id) => doc.assets.get(id) ?? []),
  })
}

/** Blocks from a clipboard's text with ids of their own; undefined when it holds none. Checked when they are inserted. */
export function readBlocks(text: string, makeId: () => string): Blocks | undefined {
  if (text.length > MAX_PASTE || !text.startsWith(`{"format":"${FORMAT}"`)) return undefined
  try {
    const { trees, assets } = JSON.parse(text) as Blocks
    if (!Array.isArray(trees) || !Array.isArray(assets)) return undefined
    return { trees: trees.map((tree) => withNewIds(tree, makeId)), assets }
  } catch {
    // Cut short or broken: then it is text like any other.
    return undefined
  }
}
