/** The links of blocks. */
import type { Props } from '../properties/table'
import type { NodeTree } from './schema'

function propsWith(props: Props, change: (link: string) => string): Props {
  const { link, spans } = props
  if (link === undefined && !spans?.some((span) => span.link !== undefined)) return props
  const next = { ...props }
  if (link !== undefined) next.link = change(link)
  if (spans) {
    next.spans = spans.map((span) => (span.link === undefined ? span : { ...span, link: change(span.link) }))
  }
  return next
}

/** The same blocks with every link through `change`. */
export function treeWithLinks(tree: NodeTree, change: (link: string) => string): NodeTree {
  const next = { ...tree, props: propsWith(tree.props, change) }
  if (tree.overrides) {
    next.overrides = Object.fromEntries(
      Object.entries(tree.overrides).map(([view, props]) => [view, propsWith(props, change)]),
    )
  }
  if (tree.children) next.children = tree.children.map((child) => treeWithLinks(child, change))
  return next
}
