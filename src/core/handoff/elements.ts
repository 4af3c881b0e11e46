/**
 * Which element each block of a page is handed off as: what it says, where HTML's content models allow that (HTML §4), else the
 * nearest that looks the same. The browser's parser takes apart what is not allowed; the board would show something else.
 */
import type { Document, Node } from '../document/document'
import type { Instances } from '../expand/instances'
import { BOX_TAGS, isText, type Kind, TEXT_TAGS } from '../properties/kinds'
import { type Meanings, meaningsOf } from './meaning'

const OF_BOX: ReadonlySet<string> = new Set(BOX_TAGS)
const OF_TEXT: ReadonlySet<string> = new Set(TEXT_TAGS)

/** What lies around a block. */
type Around = { parent: string; inLink: boolean; inEnds: boolean; hasMain: boolean }

/** What a block would be by itself: what it says, else what it is taken for. */
function wanted({ id, kind, props }: Node, meanings: Meanings): string {
  if (kind === 'button') return meanings.get(id) ?? (leads(props.link) ? 'a' : 'button')
  const may = isText(kind) ? OF_TEXT : OF_BOX
  const tag = props.tag ?? meanings.get(id)
  return tag !== undefined && may.has(tag) ? tag : plainOf(kind)
}

const leads = (link: string | undefined) => link !== undefined && link !== '#'

/** What stands for nothing but a block of its kind. */
const PLAIN: Readonly<Record<string, string>> = { section: 'section', text: 'p', button: 'span' }
const plainOf = (kind: Kind) => PLAIN[kind] ?? 'div'

function allowed(node: Node, tag: string, around: Around): string {
  const plain = plainOf(node.kind)
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
    // Without a field it says nothing.
    case 'label':
      return plain
    case 'figcaption':
      return around.parent === 'figure' ? tag : plain
    default:
      return tag
  }
}

/** Whether everything in a list may be an item of it. */
const holdsItems = (instances: Instances, node: Node, meanings: Meanings) =>
  node.children.every((id) => ['li', 'div', 'p', 'span'].includes(wanted(instances.node(id), meanings)))

export type Element = {
  tag: string
  inLink: boolean
  /** Tells a landmark from others of its kind (`aria-label`). */
  label?: string
}

export type PageElements = {
  /** By key. */
  elements: Map<string, Element>
  /** Whether each section of the page stands in its `main`: what is between the header and the footer does. */
  inMain: boolean[]
}

/** What everything on a page is handed off as. @param opens whether a link of the page leads to what a button opens */
export function pageElements(
  doc: Document,
  instances: Instances,
  opens: (link: string) => boolean,
): PageElements {
  const meanings = meaningsOf(doc, instances, opens)
  const sections = instances.node(instances.page).children.map((id) => instances.node(id))
  const isEnd = (node: Node) => ['header', 'footer'].includes(wanted(node, meanings))
  const isLead = (i: number) => sections.slice(0, i + 1).every(isEnd)
  const isTail = (i: number) => sections.slice(i).every(isEnd)
  const inMain = sections.map((_, i) => !isLead(i) && !isTail(i))
  return { elements: elementsOf(instances, inMain.includes(true), meanings), inMain }
}

/** @param hasMain whether what is between the page's ends stands in a `main` already */
function elementsOf(instances: Instances, hasMain: boolean, meanings: Meanings): Map<string, Element> {
  const elements = new Map<string, Element>()
  const landmarks = new Map<string, Node[]>()
  const visit = (node: Node, around: Around) => {
    let tag = allowed(node, wanted(node, meanings), around)
    if (tag === 'ul' && !holdsItems(instances, node, meanings)) tag = 'div'
    elements.set(node.id, { tag, inLink: around.inLink })
    if (isLandmark(tag, around.parent)) landmarks.set(tag, [...(landmarks.get(tag) ?? []), node])
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
  for (const alike of landmarks.values())
    if (alike.length > 1)
      for (const [id, label] of labelsFor(instances, alike)) elements.get(id)!.label = label
  return elements
}

/** A header or footer is one only right on the page (HTML-AAM). */
const isLandmark = (tag: string, parent: string) =>
  tag === 'nav' || tag === 'aside' || ((tag === 'header' || tag === 'footer') && parent === 'body')

/** Names that tell landmarks of one kind apart: their own, else with the section that they are in, else numbered. */
function labelsFor(instances: Instances, nodes: readonly Node[]): Map<string, string> {
  const labels = new Map<string, string>()
  const taken = new Set<string>()
  for (const node of nodes) {
    let section = node
    while (section.parent !== null && section.parent !== instances.page)
      section = instances.node(section.parent)
    const names = section === node ? [node.name] : [node.name, `${node.name}, ${section.name}`]
    let label = names.find((name) => !taken.has(name)) ?? node.name
    for (let n = 2; taken.has(label); n++) label = `${names.at(-1)} ${n}`
    taken.add(label)
    labels.set(node.id, label)
  }
  return labels
}
