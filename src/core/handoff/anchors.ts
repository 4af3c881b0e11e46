/** Where links lead: pages, and parts of them. A block that some link leads to has an id (HTML §3.2.6), one that nothing leads to has none. */
import type { Document, Node, Page } from '../document/document'
import { Instances } from '../expand/instances'
import { isText } from '../properties/kinds'
import { linkFrom, linkProblem, pageLinked } from '../properties/links'
import { looksIn, plainText } from '../words/words'
import { htmlAddress } from './escape'
import { isMade, pageFileName, rootOf, slug } from './names'
import { isPanel } from './panels'

type Target = { page: string; part: string }

/** Every link that a block says, in any view. */
export function linksOf({ props, overrides }: Pick<Node, 'props' | 'overrides'>): string[] {
  return [props, ...Object.values(overrides)].flatMap(({ link, words }) => [
    ...(link === undefined ? [] : [link]),
    ...[...looksIn(words)].flatMap(({ look }) => (look.link === undefined ? [] : [look.link])),
  ])
}

/** In reading order. */
function* blocksOf(instances: Instances, node = instances.node(instances.page)): Generator<Node> {
  for (const id of node.children) {
    const child = instances.node(id)
    yield child
    yield* blocksOf(instances, child)
  }
}

const partIn = (rest: string) => {
  try {
    return decodeURIComponent(rest.slice(1))
  } catch {
    return rest.slice(1)
  }
}

/** The ids of a site's blocks, and addresses that lead to them. */
export class Anchors {
  /** By page: ids by block. */
  private readonly ids = new Map<string, Map<string, string>>()
  private readonly shown = new Map<string, readonly Node[]>()

  constructor(
    private readonly doc: Document,
    pages: readonly Page[],
  ) {
    for (const { id } of pages) this.shown.set(id, [...blocksOf(new Instances(doc, id))])
    for (const { id } of pages)
      for (const node of this.shown.get(id)!)
        for (const link of linksOf(node)) {
          const target = this.target(id, link)
          if (target && target.part !== '') this.name(target)
        }
  }

  /** The id of what a page shows, if something leads there. */
  idOf(page: string, key: string): string | undefined {
    return this.ids.get(page)?.get(key)
  }

  /** @param from the page that it stands on @returns the address as it stands in an attribute; undefined: it leads nowhere */
  address(from: Page, link: string): string | undefined {
    if (linkProblem(link) !== undefined || link === '#' || link === '') return undefined
    const target = this.target(from.id, link)
    if (!target) return pageLinked(link) ? undefined : htmlAddress(link)
    if (this.opens(from.id, link) !== undefined) return undefined
    const page = this.doc.pages.get(target.page)!
    const block = this.find(target)
    const id = block && this.idOf(page.id, block.id)
    const isHere = page.id === from.id
    // A part that is not there: the page that it would be on is, or nothing.
    const part = id !== undefined ? `#${id}` : target.part.toLowerCase() === 'top' ? '#top' : ''
    if (isHere && part !== '') return htmlAddress(part)
    if (link.startsWith('#')) return undefined
    return htmlAddress(`${rootOf(from.path)}${pageFileName(page.path)}${part}`)
  }

  /** The id of the block behind a button that a link on a page opens; undefined: it leads to none. */
  opens(page: string, link: string | undefined): string | undefined {
    const target = link === undefined ? undefined : this.target(page, link)
    const block = target?.page === page && target.part !== '' ? this.find(target) : undefined
    const isMeant = block && (block.source ?? block.id) === target?.part
    return isMeant && isPanel(this.doc, block) ? this.idOf(page, block.id) : undefined
  }

  /** What a link within the site leads to; undefined for one that leads out of it, or to a page that is gone. */
  private target(from: string, link: string): Target | undefined {
    if (link.startsWith('#')) return { page: from, part: partIn(link) }
    const linked = pageLinked(link) ?? pageLinked(linkFrom(this.doc.pages.values(), link))
    if (!linked || !this.doc.pages.has(linked.page)) return undefined
    return { page: linked.page, part: partIn(linked.rest) }
  }

  /** The block that a part is: by its id, a section or else any block by its name, words by what they say. */
  private find({ page, part }: Target): Node | undefined {
    const blocks = this.shown.get(page) ?? []
    const wanted = slug(part, '')
    if (wanted === '') return undefined
    const isNamed = ({ name }: Node) => slug(name, '') === wanted
    return (
      blocks.find(({ id, source }) => id === part || source === part) ??
      blocks.find((node) => node.kind === 'section' && isNamed(node)) ??
      blocks.find(isNamed) ??
      blocks.find(({ kind, props }) => isText(kind) && slug(plainText(props.words), '') === wanted)
    )
  }

  private name(target: Target) {
    const block = this.find(target)
    if (!block) return
    const own = this.ids.get(target.page) ?? new Map<string, string>()
    this.ids.set(target.page, own)
    if (own.has(block.id)) return
    const named = slug(isText(block.kind) ? plainText(block.props.words) : block.name, block.kind).slice(
      0,
      60,
    )
    const base = isMade(named) ? `${block.kind}-${named}` : named
    const taken = new Set(own.values())
    let id = base
    for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
    own.set(block.id, id)
  }
}
