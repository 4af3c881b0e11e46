/**
 * Which element each block of a page is handed off as: what it says, where HTML's content models allow that (HTML §4), else the
 * nearest that looks the same. The browser's parser takes apart what is not allowed; the board would show something else.
 */
import type { Node } from '../document/document'
import type { Instances } from '../expand/instances'
import { isText } from '../properties/kinds'

const OF_BOX: ReadonlySet<string> = new Set([
  'header',
  'section',
  'footer',
  'main',
  'nav',
  'aside',
  'article',
  'div',
  'ul',
  'li',
  'figure',
  'blockquote',
  'a',
])
const OF_TEXT: ReadonlySet<string> = new Set([
  'p',
  'h1',
  'h2',
  'h3',
  'h4',
  'span',
  'a',
  'label',
  'small',
  'figcaption',
  'cite',
  'blockquote',
  'div',
  'li',
])

/** What lies around a block. */
type Around = { parent: string; inLink: boolean; inEnds: boolean; hasMain: boolean }

/** What a block would be by itself. */
function wanted(node: Node): string {
  const { kind, props } = node
  if (kind === 'button') return props.link === undefined ? 'button' : 'a'
  if (kind === 'section') return props.tag !== undefined && OF_BOX.has(props.tag) ? props.tag : 'section'
  const allowed = isText(kind) ? OF_TEXT : OF_BOX
  return props.tag !== undefined && allowed.has(props.tag) ? props.tag : isText(kind) ? 'p' : 'div'
}

/** What stands for nothing but a block of its kind. */
const PLAIN: Readonly<Record<string, string>> = { section: 'section', text: 'p', button: 'span' }

function allowed(node: Node, tag: string, around: Around): string {
  const plain = PLAIN[node.kind] ?? 'div'
  if (around.parent === 'ul') return 'li'
  switch (tag) {
    case 'a':
    case 'button':
      return around.inLink ? (isText(node.kind) ? 'span' : plain) : tag
    case 'main':
      return around.hasMain ? plain : tag
    case 'header':
    case 'footer':
      return around.inEnds ? plain : tag
    case 'li':
      return plain
    case 'figcaption':
      return around.parent === 'figure' ? tag : plain
    default:
      return tag
  }
}

/** Whether everything in a list may be an item of it. */
const holdsItems = (instances: Instances, node: Node) =>
  node.children.every((id) => ['li', 'div', 'p', 'span'].includes(wanted(instances.node(id))))

export type Element = { tag: string; inLink: boolean }

/**
 * @param hasMain whether what is between the page's ends stands in a `main` already
 * @returns by key
 */
export function elementsOf(instances: Instances, hasMain: boolean): Map<string, Element> {
  const elements = new Map<string, Element>()
  const visit = (node: Node, around: Around) => {
    let tag = allowed(node, wanted(node), around)
    if (tag === 'ul' && !holdsItems(instances, node)) tag = 'div'
    elements.set(node.id, { tag, inLink: around.inLink })
    const inside: Around = {
      parent: tag,
      inLink: around.inLink || tag === 'a',
      inEnds: around.inEnds || tag === 'header' || tag === 'footer',
      hasMain: around.hasMain || tag === 'main',
    }
    for (const id of node.children) visit(instances.node(id), inside)
  }
  for (const id of instances.node(instances.page).children)
    visit(instances.node(id), { parent: 'body', inLink: false, inEnds: false, hasMain })
  return elements
}
