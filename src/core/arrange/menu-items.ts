/** A menu as one line of words: “Home, Catalogue, Workshops”. */
import type { Document, Node } from '../document/document'
import type { Edit } from '../edits/edit'
import { holdsBlocks } from '../properties/kinds'
import { linkToPage } from '../properties/links'
import type { Props } from '../properties/table'
import { retyped } from '../words/retype'
import { plainText, said } from '../words/words'
import { ordersAt } from './order'

/** Most items that a line makes. */
const MOST = 40

const isItem = ({ kind, props }: Node) => kind === 'text' && (props.link !== undefined || props.tag === 'a')

/** The words of a box that holds links alone, or nothing; undefined: it is no menu and cannot become one. */
export function menuLine(doc: Document, node: Node): string | undefined {
  if (node.kind !== 'box' || !holdsBlocks(node.kind)) return undefined
  const { flow } = node.props
  if (flow !== 'row' && flow !== 'column' && flow !== undefined) return undefined
  const children = node.children.map((id) => doc.node(id))
  if (!children.every(isItem)) return undefined
  return children.map(({ props }) => plainText(props.words)).join(', ')
}

/** The words of a line, one for each item; empty ones are left out. */
export const itemsIn = (line: string): string[] =>
  line
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '')
    .slice(0, MOST)

/** A page of that name is where the item leads. */
function linkFor(doc: Document, words: string): string {
  const page = doc.pagesInOrder().find(({ name }) => name.toLowerCase() === words.toLowerCase())
  return page ? linkToPage(page.id) : '#'
}

/**
 * The edits that make a box's items those of a line: words change in place, what is more is made like the last one, what is less goes.
 */
export function menuEdits(doc: Document, node: Node, line: string, makeId: () => string): Edit[] {
  const wanted = itemsIn(line)
  const there = node.children.map((id) => doc.node(id))
  const edits: Edit[] = []
  wanted.slice(0, there.length).forEach((words, i) => {
    const item = there[i]
    if (plainText(item.props.words) === words) return
    edits.push({ op: 'set', node: item.id, props: { words: retyped(item.props.words ?? said(''), words) } })
  })
  for (const { id } of there.slice(wanted.length)) edits.push({ op: 'remove', node: id })
  const more = wanted.slice(there.length)
  if (more.length === 0) return edits
  const last = there.at(-1)
  const like: Props = last ? { ...last.props } : { type: '{type.label}', color: '{color.ink}', tag: 'a' }
  const orders = ordersAt(doc, node.id, there.length, more.length)
  more.forEach((words, i) => {
    edits.push({
      op: 'insert',
      parent: node.id,
      tree: {
        id: makeId(),
        kind: 'text',
        name: 'Link',
        order: orders[i],
        props: { ...like, words: said(words), link: linkFor(doc, words) },
        ...(last && Object.keys(last.overrides).length > 0 ? { overrides: last.overrides } : {}),
      },
    })
  })
  return edits
}
