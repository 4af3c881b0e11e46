/** Everything that pages and blocks set, wherever it is set: asked by what looks for uses of a token, a picture, a value. */
import type { Props } from '../properties/table'
import type { Tree } from './tree'

/** `page`: where the block lies; `by`: the page that shows it otherwise, if it is set there. `view` as in the edit `set`. */
export type Place = { node: string; page: string; by?: string; view?: string; props: Props }

/** On all pages that are here. */
export function* placesOf(tree: Tree): Generator<Place> {
  for (const { id: page } of tree.allPages())
    for (const node of tree.walk(page)) {
      yield { node: node.id, page, props: node.props }
      for (const [view, props] of Object.entries(node.overrides)) yield { node: node.id, page, view, props }
    }
  for (const page of tree.pages.values())
    for (const [node, { props, overrides = {} }] of Object.entries(page.changes ?? {})) {
      const at = { node, page: tree.pageOf(node) ?? page.id, by: page.id }
      yield { ...at, props }
      for (const [view, own] of Object.entries(overrides)) yield { ...at, view, props: own }
    }
}

/** Who sets it, by name. */
export const placeName = (tree: Tree, { node, by }: Place): string =>
  by === undefined ? tree.node(node).name : (tree.pages.get(by)?.name ?? by)
