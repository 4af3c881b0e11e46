/** Moving blocks among their siblings and into other boxes: from a wish to edits. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import type { NodeTree } from '../document/schema'
import { treeWithIds } from '../document/tree-links'
import type { Edit } from '../edits/edit'
import { mayHoldKind } from '../properties/kinds'

/** Keys between two siblings, by position: 0 is before the first. `without` are left out of the count. */
export function ordersAt(
  doc: Document,
  parent: string,
  index: number,
  count: number,
  without: readonly string[] = [],
): string[] {
  const siblings = doc
    .node(parent)
    .children.filter((id) => !without.includes(id))
    .map((id) => doc.node(id))
  const at = Math.max(0, Math.min(index, siblings.length))
  return generateNKeysBetween(siblings[at - 1]?.order ?? null, siblings[at]?.order ?? null, count)
}

/** One such key. */
export const orderAt = (doc: Document, parent: string, index: number, without?: string): string =>
  ordersAt(doc, parent, index, 1, without === undefined ? [] : [without])[0]!

/** The blocks of a selection that lie in none of its others, without those. */
export const outermost = (doc: Document, ids: readonly string[]): string[] =>
  ids.filter((id) => !doc.ancestors(id).some((node) => ids.includes(node.id)))

/** The same tree with ids of its own; what in it leads to another part of it leads to the copy's. */
export function withNewIds(tree: NodeTree, makeId: () => string): NodeTree {
  const ids = new Map<string, string>()
  const renamed = (each: NodeTree): NodeTree => {
    const id = makeId()
    ids.set(each.id, id)
    return { ...each, id, ...(each.children ? { children: each.children.map(renamed) } : {}) }
  }
  return treeWithIds(renamed(tree), ids)
}

/** The section that a block lies in, or the block itself. */
export const sectionOf = (doc: Document, id: string): Node | undefined =>
  [doc.node(id), ...doc.ancestors(id)].find((node) => node.kind === 'section')

/** Whether `parent` may hold `id`: sections lie on pages, everything else in sections and boxes, nothing in itself. */
export function mayHold(doc: Document, parent: string, id: string): boolean {
  const host = doc.node(parent)
  const node = doc.node(id)
  return mayHoldKind(host.kind, node.kind) && !doc.isInside(parent, id)
}

/** A copy of a block right after it. */
export function duplicateEdits(
  doc: Document,
  id: string,
  makeId: () => string,
): { edits: Edit[]; copy: string } | undefined {
  const node = doc.node(id)
  if (!node.parent) return undefined
  const tree = withNewIds(doc.tree(id), makeId)
  tree.order = orderAt(doc, node.parent, doc.node(node.parent).children.indexOf(id) + 1)
  return { edits: [{ op: 'insert', parent: node.parent, tree }], copy: tree.id }
}
