/**
 * What blocks that say no element of their own are taken for, by where they are and what they hold: a first band with a menu for the
 * page's header, a row of links for its menu, large words for headings. Only what lays out the same either way is guessed.
 */
import type { Document, Node } from '../document/document'
import { resolve } from '../document/resolve'
import type { Instances } from '../expand/instances'
import { isText } from '../properties/kinds'
import { isLinkText } from '../properties/links'
import { isHeadingStyle } from '../properties/type'
import { isOneParagraph } from '../words/parts'
import { plainText } from '../words/words'

/** From here on words look like a heading, px. */
const LARGE = 24
/** More than this is no heading, however large: a quote, or a line of an introduction. */
const LONG = 120

export type Meanings = ReadonlyMap<string, string>

/** Elements by key, of blocks that say none. @param opens whether a link of the page leads to what a button opens */
export function meaningsOf(
  doc: Document,
  instances: Instances,
  opens: (link: string) => boolean = () => false,
): Meanings {
  return new Guess(doc, instances, opens).all()
}

class Guess {
  private readonly found = new Map<string, string>()
  private readonly view: string
  private hasTitle = false

  constructor(
    private readonly doc: Document,
    private readonly instances: Instances,
    private readonly opens: (link: string) => boolean,
  ) {
    this.view = doc.views[0]!.id
  }

  all(): Meanings {
    const sections = this.kids(this.instances.node(this.instances.page)).filter(
      ({ kind }) => kind === 'section',
    )
    this.hasTitle = sections.some((section) => this.any(section, ({ props }) => props.tag === 'h1'))
    sections.forEach((section, i) => {
      const tag = section.props.tag ?? this.band(section, i, sections.length)
      this.say(section, tag)
      const ends = tag === 'header' || tag === 'footer'
      for (const kid of this.kids(section)) this.visit(kid, ends, 2)
    })
    return this.found
  }

  private say(node: Node, tag: string | undefined) {
    if (node.props.tag === undefined && tag !== undefined) this.found.set(node.id, tag)
  }

  private band(section: Node, index: number, count: number): string | undefined {
    if (count < 2 || (index > 0 && index < count - 1)) return undefined
    const end = index === 0 ? 'header' : 'footer'
    if (new RegExp(`^${end}`, 'i').test(section.name)) return end
    const holdsMenu = this.any(section, (node) => this.isMenu(node)) || this.isMenu(section)
    const holdsProse = this.any(section, (node) => isText(node.kind) && this.words(node).length > LONG)
    return holdsMenu && !holdsProse ? end : undefined
  }

  /** @param level of the next heading */
  private visit(node: Node, ends: boolean, level: number) {
    if (node.kind === 'button')
      return this.say(node, this.opens(node.props.link ?? '') ? 'button' : undefined)
    if (isText(node.kind)) return this.say(node, this.wording(node, ends, level))
    this.say(node, this.boxing(node))
    const kids = this.kids(node)
    // What stands in a card of its own below a heading is a step lower.
    const inCard = node.props.tag === 'article' || this.found.get(node.id) === 'article'
    for (const kid of kids) this.visit(kid, ends, inCard ? Math.min(6, level + 1) : level)
  }

  private boxing(node: Node): string | undefined {
    if (node.kind !== 'box' || node.props.link !== undefined) return undefined
    if (this.isMenu(node)) return 'nav'
    if (/^(aside|sidebar|side note)/i.test(node.name)) return 'aside'
    const kids = this.kids(node)
    const isCard =
      kids.some(({ kind }) => kind === 'picture') && kids.some((kid) => isText(kid.kind) && this.isLarge(kid))
    const beside = node.parent === null ? [] : this.kids(this.instances.node(node.parent))
    const alike = beside.filter(
      (other) => other.kind === 'box' && this.kids(other).some(({ kind }) => kind === 'picture'),
    )
    return isCard && alike.length > 1 ? 'article' : undefined
  }

  private wording(node: Node, ends: boolean, level: number): string | undefined {
    if (node.kind !== 'text' || node.props.link !== undefined) return undefined
    const said = [node.props, ...Object.values(node.overrides)].flatMap(({ words }) => (words ? [words] : []))
    if (ends || said.length === 0 || !said.every(isOneParagraph)) return undefined
    if (!this.isLarge(node) || this.words(node).length > LONG) return undefined
    if (this.hasTitle || level > 2) return `h${level}`
    this.hasTitle = true
    return 'h1'
  }

  /** Words set as a heading: in a style that is called one, or large. */
  private isLarge(node: Node): boolean {
    const { type } = node.props
    if (type !== undefined && node.props.fontSize === undefined) return isHeadingStyle(type)
    return resolve(this.doc, node, this.view).fontSize >= LARGE
  }

  /** Two links or more, and nothing else. */
  private isMenu(node: Node): boolean {
    const kids = this.kids(node)
    return kids.length > 1 && kids.every(({ kind, props }) => isLinkText(kind, props))
  }

  private words = ({ props }: Node) => plainText(props.words)
  private kids = (node: Node) => node.children.map((id) => this.instances.node(id))

  private any(node: Node, is: (node: Node) => boolean): boolean {
    return this.kids(node).some((kid) => is(kid) || this.any(kid, is))
  }
}
