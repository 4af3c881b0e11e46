/** What a block is called: the name that somebody gave it; until then its kind, and what is in it. */
import { HEADINGS } from '../properties/kinds'
import { isHeadingStyle } from '../properties/type'
import { holdsLeftward } from '../text/bidi'
import { plainText } from '../words/words'
import type { Node } from './document'

/** Names that blocks begin with, and that say nothing of what they hold. */
const GENERIC = new Set([
  'Section',
  'Box',
  'Row',
  'Column',
  'Lattice',
  'Card',
  'Area',
  'Text',
  'Heading',
  'Paragraph',
  'Small text',
  'Link',
  'Button',
  'Quiet button',
  'Picture',
  'Card title',
  'Card text',
  'Card link',
  'Card picture',
])

/** Longest words said of a block. */
const MOST = 22

type Lookup = {
  find: (id: string) => Node | undefined
  asset: (id: string) => { name: string } | undefined
}

export function called(node: Node, lookup: Lookup): string {
  if (!GENERIC.has(node.name)) return node.name
  const content = contentOf(node, lookup)
  return content === undefined || content === node.name ? node.name : `${node.name} ${apart(content)}`
}

/** Words from right to left beside others, so that neither turn the other's round (UAX #9, isolates). */
const apart = (content: string) => (holdsLeftward(content) ? `\u2068${content}\u2069` : content)

function contentOf(node: Node, lookup: Lookup): string | undefined {
  const { words, asset } = node.props
  if (words) return short(plainText(words))
  if (asset !== undefined) return short(lookup.asset(asset)?.name.replace(/\.[a-z]{2,5}$/i, '') ?? '')
  if (node.kind !== 'section' && node.name !== 'Card' && node.name !== 'Column') return undefined
  return titleIn(node, lookup, 3)
}

/** The first heading, else nothing: of a band of pictures there is little to say. */
function titleIn(node: Node, lookup: Lookup, deep: number): string | undefined {
  for (const id of node.children) {
    const child = lookup.find(id)
    if (!child) continue
    const { words, type, tag } = child.props
    const isTitle = isHeadingStyle(type) || HEADINGS.some((heading) => heading === tag)
    if (words && isTitle) return short(plainText(words))
    const inside = deep > 0 ? titleIn(child, lookup, deep - 1) : undefined
    if (inside) return inside
  }
  return undefined
}

/** As many whole words as are said; undefined for none. */
function short(text: string): string | undefined {
  const line = text.replace(/\s+/g, ' ').trim()
  if (line === '') return undefined
  if (line.length <= MOST) return line
  const cut = line.slice(0, MOST + 1).lastIndexOf(' ')
  return `${line.slice(0, cut > 4 ? cut : MOST)} …`
}
