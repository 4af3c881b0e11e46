/** The links of blocks. */

import { blockLinked, linkToBlock } from '../properties/links'
import type { Props } from '../properties/table'
import { withMarks } from '../words/words'
import type { NodeTree } from './schema'

function propsWith(props: Props, change: (link: string) => string): Props {
  const { link, words } = props
  const said =
    words &&
    withMarks(words, (mark) =>
      mark.type === 'link' ? { type: 'link', attrs: { value: change(mark.attrs.value) } } : mark,
    )
  if (link === undefined && said === words) return props
  const next = { ...props }
  if (link !== undefined) next.link = change(link)
  if (said) next.words = said
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

/** The same blocks with links to other blocks led to the ids that those have now. @param ids now, by what they were */
export const treeWithIds = (tree: NodeTree, ids: ReadonlyMap<string, string>): NodeTree =>
  treeWithLinks(tree, (link) => {
    const id = ids.get(blockLinked(link) ?? '')
    return id === undefined ? link : linkToBlock(id)
  })
