/** What an edit names and must be there. */
import type { Node, Page, Tree } from '../document/tree'
import { refuse } from './edit-module'

/** @throws EditError */
export const blockIn = (tree: Tree, id: string): Node =>
  tree.nodes.get(id) ?? refuse(`there is no block ${id} any more`)

/** @throws EditError */
export const pageIn = (tree: Tree, id: string): Page =>
  tree.pages.get(id) ?? refuse(`there is no page ${id} any more`)
