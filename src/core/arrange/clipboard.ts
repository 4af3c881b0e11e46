/** Blocks on the clipboard: the open format as text, so that they travel between pages, projects and programs. */
import type { Document } from '../document/document'
import type { Asset, NodeTree } from '../document/schema'

const FORMAT = 'just-lattice-blocks'
/** Longest text that is taken from a clipboard, UTF-16 code units. */
export const MAX_PASTE = 5_000_000

export type Blocks = { trees: NodeTree[]; assets: Asset[] }

function* treesIn(tree: NodeTree): Generator<NodeTree> {
  yield tree
  for (const child of tree.children ?? []) yield* treesIn(child)
}

const assetsOf = (tree: NodeTree) =>
  [tree.props, ...Object.values(tree.overrides ?? {})].flatMap((props) => props.asset ?? [])

/** Blocks with the pictures they use. What lies in another of the blocks goes along with it. */
export function copyBlocks(doc: Document, ids: readonly string[]): string {
  const roots = ids.filter((id) => !doc.ancestors(id).some((node) => ids.includes(node.id)))
  const trees = roots.map((id) => doc.tree(id))
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
    const renew = (tree: NodeTree): NodeTree => ({
      ...tree,
      id: makeId(),
      ...(tree.children ? { children: tree.children.map(renew) } : {}),
    })
    return Array.isArray(trees) && Array.isArray(assets) ? { trees: trees.map(renew), assets } : undefined
  } catch {
    // Cut short or broken: then it is text like any other.
    return undefined
  }
}
