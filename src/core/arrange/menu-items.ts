/** A menu as one line of words: “Home, Catalogue, Workshops”. */
import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import type { Edit } from '../edits/edit'
import { isLinkText, linkToPage } from '../properties/links'
import type { Props } from '../properties/table'
import { retyped } from '../words/retype'
import { plainText, said, type Words } from '../words/words'
import type { SetEdit } from './align'
import { ordersAt } from './order'

/** Most items that a line makes. */
const MOST = 40

const wordsIn = (doc: Document, node: Node, view: string): Words =>
  cascaded(doc, node, view).words ?? said('')

/** The words of a box that holds links alone, or nothing, as a view has them; undefined: it is no menu and cannot become one. */
export function menuLine(doc: Document, node: Node, view: string): string | undefined {
  if (node.kind !== 'box') return undefined
  const { flow } = node.props
  if (flow === 'lattice' || flow === 'free') return undefined
  const children = node.children.map((id) => doc.node(id))
  if (!children.every(({ kind, props }) => isLinkText(kind, props))) return undefined
  return children.map((each) => plainText(wordsIn(doc, each, view))).join(', ')
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
 * @param view the active one
 * @param set what sets words: for every view, or for the active one alone; items are made and go on all
 */
export function menuEdits(
  doc: Document,
  node: Node,
  line: string,
  view: string,
  set: SetEdit,
  makeId: () => string,
): Edit[] {
  const wanted = itemsIn(line)
  const there = node.children.map((id) => doc.node(id))
  const edits: Edit[] = []
  wanted.slice(0, there.length).forEach((words, i) => {
    const before = wordsIn(doc, there[i]!, view)
    if (plainText(before) !== words) edits.push(set(there[i]!, { words: retyped(before, words) }))
  })
  for (const { id } of there.slice(wanted.length)) edits.push({ op: 'remove', node: id })
  return [...edits, ...newItems(doc, node, wanted.slice(there.length), makeId)]
}

function newItems(doc: Document, node: Node, more: readonly string[], makeId: () => string): Edit[] {
  const last = node.children.length > 0 ? doc.node(node.children.at(-1)!) : undefined
  const like: Props = last?.props ?? { type: '{type.label}', color: '{color.ink}', tag: 'a' }
  // Words that the last one has on some view are its own.
  const overrides = Object.entries(last?.overrides ?? {}).map(([id, { words: _, ...rest }]) => [id, rest])
  const orders = ordersAt(doc, node.id, node.children.length, more.length)
  return more.map((words, i) => ({
    op: 'insert',
    parent: node.id,
    tree: {
      id: makeId(),
      kind: 'text',
      name: 'Link',
      order: orders[i]!,
      props: { ...like, words: said(words), link: linkFor(doc, words) },
      ...(overrides.length > 0 ? { overrides: Object.fromEntries(overrides) } : {}),
    },
  }))
}
