/** Blocks on the clipboard: the open format as text, so that they travel between pages, projects and programs. */

import * as v from 'valibot'
import type { Document } from '../document/document'
import { picturesOf } from '../document/picture-uses'
import type { Asset, NodeTree } from '../document/schema'
import { Arrival, type Carried, CarriedSchema, carriedWith } from './carried'
import { outermost, withNewIds } from './order'

const FORMAT = 'just-lattice-blocks'
/** Longest text that is taken from a clipboard, UTF-16 code units. */
export const MAX_PASTE = 5_000_000

/** `carried`: left out by programs of before. */
export type Blocks = { trees: NodeTree[]; assets: Asset[]; carried?: Carried }

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
    carried: carriedWith(doc, trees),
  })
}

/** Blocks as a project can have them: values in the place of tokens that are none there, or `foreign`. */
export function settleBlocks(
  doc: Document,
  { trees, carried }: Blocks,
  foreign?: ReadonlySet<string>,
): NodeTree[] {
  if (!carried) return trees
  const arrival = new Arrival(doc, carried, foreign)
  const settle = (tree: NodeTree): NodeTree => ({
    ...tree,
    props: arrival.settled(tree.props),
    ...(tree.overrides
      ? {
          overrides: Object.fromEntries(
            Object.entries(tree.overrides).map(([view, props]) => [view, arrival.settled(props)]),
          ),
        }
      : {}),
    ...(tree.children ? { children: tree.children.map(settle) } : {}),
  })
  return trees.map(settle)
}

/** Blocks from a clipboard's text with ids of their own; undefined when it holds none. Checked when they are inserted. */
export function readBlocks(text: string, makeId: () => string): Blocks | undefined {
  if (text.length > MAX_PASTE || !text.startsWith(`{"format":"${FORMAT}"`)) return undefined
  try {
    const { trees, assets, carried } = JSON.parse(text) as Blocks
    if (!Array.isArray(trees) || !Array.isArray(assets)) return undefined
    const along = v.safeParse(CarriedSchema, carried)
    return {
      trees: trees.map((tree) => withNewIds(tree, makeId)),
      assets,
      ...(along.success ? { carried: along.output } : {}),
    }
  } catch {
    // Cut short or broken: then it is text like any other.
    return undefined
  }
}
