/** The whole handoff as files: HTML, CSS, pictures, font files to add, and tokens. */
import type { Blobs } from '../blobs/blobs'
import type { Document, Node, Page } from '../document/document'
import { isLeftwardLanguage, langOf } from '../document/language'
import { cascaded, resolve } from '../document/resolve'
import { Instances } from '../expand/instances'
import { formSvg, isTipped } from '../forms/form-svg'
import { isShown } from '../layout/style'
import { px } from '../properties/css-text'
import { isText } from '../properties/kinds'
import { noiseNamed, noiseTile } from '../properties/noise'
import type { Props } from '../properties/table'
import { directionOf } from '../text/bidi'
import { filesNeeded, learnFamilies } from '../text/families'
import { hyphenated } from '../text/hyphenation'
import { writeTokensFile } from '../tokens/tokens-file'
import { holdsLinks, holdsParagraphs, isOneParagraph } from '../words/parts'
import { type Icon, looksIn, type Words } from '../words/words'
import { Anchors } from './anchors'
import { type Element, pageElements } from './elements'
import { htmlAttribute, htmlText } from './escape'
import { IconSheet } from './icon-sheet'
import { madeClass, pageFileName, rootOf } from './names'
import { isPanel } from './panels'
import { pictureFiles, renditionPath } from './pictures'
import type { Renditions } from './renditions'
import { isReordered, ORDERED_CLASS, type StyledSite, styleSite } from './stylesheet'
import { picturesByView, versionsOf } from './versions'
import { wordsHtml } from './words'
import { writingFor } from './written'

export type SiteFiles = {
  /** Text files by path. */
  text: Map<string, string>
  /** Pictures by path. */
  pictures: Map<string, Uint8Array>
  /** Pictures that are another, made smaller: by path. */
  renditions: Map<string, Rendition>
  /** Shipped font files to be put at `fonts/<id>.woff2`. */
  fonts: string[]
  /** The project's own by path. */
  ownFonts: Map<string, Uint8Array>
}

/** WebP of a picture of the project, so many px wide. */
export type Rendition = { asset: string; width: number }

export type SiteOptions = {
  /** Sizes of photographs beside their own. */
  renditions?: Renditions
  /** Write `data-node="id"` on every element. */
  mark?: boolean
  /** Show pages in this theme whatever the visitor prefers; an id. */
  theme?: string
}

/** Sections that a visitor mostly sees without scrolling: a header and what follows it. */
const FIRST_SECTIONS = 2
/** Fonts fetched ahead; more would be in the way of everything else. */
const MOST_PRELOADED = 3

class PageWriter {
  private readonly lines: string[] = []
  /** Lines with tips so far: what marks them has an id. */
  private tipped = 0
  private readonly instances: Instances
  private readonly icons: IconSheet
  private elements: ReadonlyMap<string, Element> = new Map()
  /** Whether what is written is of the first sections. */
  private isFirst = true
  constructor(
    private readonly doc: Document,
    private readonly page: Page,
    private readonly site: Pick<StyledSite, 'classes' | 'marks' | 'fontOf'>,
    private readonly pictures: Map<string, string>,
    private readonly anchors: Anchors,
    private readonly options: SiteOptions,
  ) {
    this.instances = new Instances(doc, page.id)
    this.icons = new IconSheet(this.said(this.instances.node(page.id)))
  }

  /** Everything that is said below a block, in every view. */
  private *said(node: Node): Generator<Words> {
    if (isText(node.kind)) {
      const { words } = cascaded(this.doc, node, this.doc.views[0]!.id)
      for (const version of versionsOf(this.doc, node)) yield version?.words ?? words ?? []
    }
    for (const id of node.children) yield* this.said(this.instances.node(id))
  }

  write(): string {
    const root = rootOf(this.page.path)
    const { theme } = this.options
    const mark = this.site.marks.get(this.page.id)
    const lang = langOf(this.doc, this.page.id)
    const said = (name: string, value: string | undefined) =>
      value === undefined ? '' : ` ${name}="${htmlAttribute(value)}"`
    this.lines.push(
      '<!DOCTYPE html>',
      `<html${said('lang', lang)}${said('dir', isLeftwardLanguage(lang) ? 'ltr' : undefined)}${said('data-page', mark)}${said('data-theme', theme)}>`,
      '  <head>',
      ...this.head(root).map((line) => `    ${line}`),
      '  </head>',
      isReordered(this.instances) ? `  <body class="${ORDERED_CLASS}">` : '  <body>',
    )
    const sections = this.instances.node(this.page.id).children.map((id) => this.instances.node(id))
    const { elements, inMain } = pageElements(
      this.doc,
      this.instances,
      (link) => this.anchors.opens(this.page.id, link) !== undefined,
    )
    this.elements = elements
    let open = false
    sections.forEach((section, i) => {
      if (inMain[i] && !open) this.lines.push('    <main>')
      if (!inMain[i] && open) this.lines.push('    </main>')
      open = inMain[i]!
      this.isFirst = i < FIRST_SECTIONS
      this.block(section, open ? 3 : 2)
    })
    if (open) this.lines.push('    </main>')
    this.lines.push(...this.icons.lines().map((line) => `    ${line}`), '  </body>', '</html>')
    return `${this.lines.join('\n')}\n`
  }

  private head(root: string): string[] {
    const { doc, page } = this
    const title = htmlText(`${page.name} · ${doc.name}`)
    const lines = [
      '<meta charset="utf-8">',
      `<meta http-equiv="Content-Security-Policy" content="${POLICY}">`,
      '<meta name="viewport" content="width=device-width, initial-scale=1">',
      `<title>${title}</title>`,
    ]
    const picture = (id: string | undefined) => (id ? this.pictures.get(id) : undefined)
    const icon = picture(doc.about.icon)
    const preview = picture(page.preview)
    if (page.description) lines.push(`<meta name="description" content="${htmlAttribute(page.description)}">`)
    // What previews of links read (the Open Graph protocol).
    if (preview) {
      lines.push(`<meta property="og:title" content="${htmlAttribute(page.name)}">`)
      if (page.description)
        lines.push(`<meta property="og:description" content="${htmlAttribute(page.description)}">`)
      lines.push(`<meta property="og:image" content="${root}${preview}">`)
    }
    if (icon) lines.push(`<link rel="icon" href="${root}${icon}">`)
    for (const file of this.firstFonts())
      lines.push(
        `<link rel="preload" href="${root}fonts/${file}.woff2" as="font" type="font/woff2" crossorigin>`,
      )
    lines.push(`<link rel="stylesheet" href="${root}styles.css">`)
    return lines
  }

  /** Files of the fonts that the first screen is set in: the first of each family and style. */
  private firstFonts(): string[] {
    const files = new Set<string>()
    const [view] = this.doc.views
    const visit = (node: Node) => {
      const resolved = resolve(this.doc, node, view!.id)
      if (!isShown(resolved)) return
      if (isText(node.kind)) {
        const { fontFamily: family, italic, fontWeight: weight } = resolved
        filesNeeded({ family, italic: italic!, weight: weight! }, '', files)
      }
      for (const id of node.children) visit(this.instances.node(id))
    }
    for (const section of this.first) visit(section)
    return [...files].slice(0, MOST_PRELOADED).map((id) => this.site.fontOf(id).id)
  }

  /** The sections that are seen first. */
  private get first(): Node[] {
    const { children } = this.instances.node(this.page.id)
    return children.slice(0, FIRST_SECTIONS).map((id) => this.instances.node(id))
  }

  private attributes(node: Node, version = 0): string {
    const mark = this.options.mark ? ` data-node="${htmlAttribute(node.id)}"` : ''
    const label = this.elements.get(node.id)?.label
    const said = label === undefined ? '' : ` aria-label="${htmlAttribute(label)}"`
    const lang = node.props.lang === undefined ? '' : ` lang="${htmlAttribute(node.props.lang)}"`
    const anchor = version === 0 ? this.anchors.idOf(this.page.id, node.id) : undefined
    const id = anchor === undefined ? '' : ` id="${htmlAttribute(anchor)}"`
    const panel = isPanel(this.doc, node) ? ' popover' : ''
    return `${id} class="${this.site.classes.get(node.id)?.[version]}"${panel}${lang}${said}${mark}`
  }

  /** ` href="…"`; of what leads nowhere nothing: a placeholder for a link (HTML §4.6.1). */
  private href(link: string | undefined): string {
    const address = link === undefined ? undefined : this.anchors.address(this.page, link)
    return address === undefined ? '' : ` href="${address}"`
  }

  /** What a button is, and opens. */
  private pressed(link: string | undefined): string {
    const opens = this.anchors.opens(this.page.id, link)
    return ` type="button"${opens === undefined ? '' : ` popovertarget="${htmlAttribute(opens)}"`}`
  }

  private block(node: Node, depth: number) {
    const pad = '  '.repeat(depth)
    const props = cascaded(this.doc, node, this.doc.views[0]!.id)
    if (node.kind === 'picture') return this.picture(node, props, pad)
    if (node.kind === 'shape') return this.shape(node, props, pad)
    if (isText(node.kind)) return this.text(node, props, pad)
    const { tag } = this.elements.get(node.id)!
    const attributes = this.attributes(node)
    const href = tag === 'a' ? this.href(props.link) : ''
    if (node.children.length === 0) {
      this.lines.push(`${pad}<${tag}${attributes}${href}></${tag}>`)
      return
    }
    this.lines.push(`${pad}<${tag}${attributes}${href}>`)
    for (const child of node.children) this.block(this.instances.node(child), depth + 1)
    this.lines.push(`${pad}</${tag}>`)
  }

  private picture(node: Node, props: Props, pad: string) {
    const image = (id: string | undefined) => {
      const asset = id ? this.doc.assets.get(id) : undefined
      if (!id || !asset) return { address: PLACEHOLDER, size: '' }
      const address = `${rootOf(this.page.path)}${this.pictures.get(id)}`
      return { address, size: ` width="${asset.width}" height="${asset.height}"` }
    }
    const { address, size } = image(props.asset)
    // Seen after scrolling: fetched when it is nearly there.
    const later = this.isFirst ? '' : ' loading="lazy"'
    const img = `<img${this.attributes(node)} src="${address}" alt="${htmlAttribute(props.alt ?? '')}"${size}${later} decoding="async">`
    const sources = picturesByView(this.doc, node).flatMap(({ breakpoint, asset }) => {
      const { address, size } = image(asset)
      const media = ` media="(max-width: ${px(breakpoint)})"`
      return [...this.smaller(node, asset, media), `<source${media} srcset="${address}"${size}>`]
    })
    sources.push(...this.smaller(node, props.asset, ''))
    if (sources.length === 0) this.lines.push(pad + img)
    else
      this.lines.push(
        `${pad}<picture>`,
        ...[...sources, img].map((line) => `${pad}  ${line}`),
        `${pad}</picture>`,
      )
  }

  /** A photograph in several sizes, for whoever reads WebP. */
  private smaller(node: Node, id: string | undefined, media: string): string[] {
    const { renditions } = this.options
    const widths = (id && renditions?.widths.get(id)) || []
    const sizes = renditions?.sizes.get(this.page.id)?.get(node.id)
    const path = id && this.pictures.get(id)
    const asset = id && this.doc.assets.get(id)
    if (!path || !asset || !sizes || widths.length === 0) return []
    const each = widths.map((width) => `${rootOf(this.page.path)}${renditionPath(path, width)} ${width}w`)
    const size = ` width="${asset.width}" height="${asset.height}"`
    return [
      `<source${media} type="image/webp" srcset="${each.join(', ')}" sizes="${htmlAttribute(sizes)}"${size}>`,
    ]
  }

  /** Drawn in its box, whatever its size; the line along it is as wide everywhere. Its colours come from its class. */
  private shape(node: Node, { alt, form }: Props, pad: string) {
    if (isTipped(form)) this.tipped++
    const { attributes, content } = formSvg(form ?? { form: 'ellipse' }, madeClass(`line-${this.tipped}`))
    const own = attributes.map(([name, value]) => ` ${name}="${value}"`).join('')
    const said = alt ? ` role="img" aria-label="${htmlAttribute(alt)}"` : ' aria-hidden="true"'
    const { tag } = this.elements.get(node.id)!
    this.lines.push(
      `${pad}<${tag}${this.attributes(node)}>`,
      `${pad}  <svg${said}${own}>`,
      ...content.map((each) => `${pad}    ${each}`),
      `${pad}  </svg>`,
      `${pad}</${tag}>`,
    )
  }

  /**
   * Whether a space, which is not shown, has to stand before a text's first word: out of the flow, Chromium takes the word to go on from
   * the text before it on the page, and leaves it without its capital letter.
   */
  private isSetApart(node: Node): boolean {
    const parent = node.parent === null ? undefined : this.instances.find(node.parent)
    const out =
      sets(node).some(({ lifted }) => lifted) || (parent && sets(parent).some(({ flow }) => flow === 'free'))
    const capitals = ({ textCase, words }: Props) =>
      textCase === 'capitalize' || [...looksIn(words)].some(({ look }) => look.case === 'capitalize')
    return out === true && sets(node).some(capitals)
  }

  /** Which way words run, said where it is not the page's, or could be taken for another. */
  private direction({ direction, lang }: Props, words: Words | undefined): string {
    const runs = directionOf(direction, words)
    return runs === 'rtl' || (lang !== undefined && isLeftwardLanguage(lang)) ? ` dir="${runs}"` : ''
  }

  private text(node: Node, props: Props, pad: string) {
    const { tag, inLink } = this.elements.get(node.id)!
    let extra = ''
    if (tag === 'a') extra = this.href(props.link)
    if (tag === 'button') extra = this.pressed(props.link)
    const flowing = holdsParagraphs(node.kind, props.tag)
    const context = {
      write: writingFor(this.doc.tokenTable),
      ownLinks: holdsLinks(node.kind, node.props.tag) && !inLink,
      href: (link: string) => this.href(link),
      icon: (icon: Icon) => this.icons.drawing(icon),
      apart: this.isSetApart(node),
    }
    versionsOf(this.doc, node).forEach((version, i) => {
      const said = version?.words ?? props.words
      const words =
        said && props.hyphens === 'auto'
          ? hyphenated(said, props.lang ?? langOf(this.doc, this.page.id))
          : said
      const lines = words ? wordsHtml(words, flowing, context) : ['']
      const isOne = !words || !flowing || isOneParagraph(words)
      // Paragraphs lie in no paragraph.
      const own = tag === 'p' && !isOne ? 'div' : tag
      const open = `<${own}${this.attributes(node, i)}${this.direction(props, words)}${extra}>`
      if (isOne) this.lines.push(`${pad}${open}${lines[0]}</${own}>`)
      else this.lines.push(`${pad}${open}`, ...lines.map((line) => `${pad}  ${line}`), `${pad}</${own}>`)
    })
  }
}

/** What a block is set to in any view. */
const sets = ({ props, overrides }: Node): Props[] => [props, ...Object.values(overrides)]

/** The page runs no script and asks nobody but its own folder for anything; whoever builds on it may open what they need. */
const POLICY =
  "default-src 'none'; style-src 'self'; img-src 'self' data:; font-src 'self'; base-uri 'none'; form-action 'none'"
/** A grey field for a picture that has not been chosen. */
export const PLACEHOLDER =
  'data:image/svg+xml,%3Csvg xmlns=%22http://www.w3.org/2000/svg%22 width=%22300%22 height=%22200%22%3E%3Crect width=%22300%22 height=%22200%22 fill=%22%23d8d4ca%22/%3E%3C/svg%3E'

/** Builds every file of the site. Pure; fonts are named, not read. @param blobs the project's pictures and fonts */
export function buildSite(doc: Document, blobs: Blobs, options: SiteOptions = {}): SiteFiles {
  learnFamilies(doc.fonts)
  const pages = doc.pagesInOrder()
  const pictures = pictureFiles(doc, pages)
  const site = styleSite(doc, pages, (id) => pictures.get(id))
  const anchors = new Anchors(doc, pages)
  const text = new Map<string, string>()
  for (const page of pages)
    text.set(pageFileName(page.path), new PageWriter(doc, page, site, pictures, anchors, options).write())
  text.set('styles.css', site.css)
  text.set('tokens.json', writeTokensFile(doc))
  const bytes = new Map<string, Uint8Array>()
  const renditions = new Map<string, Rendition>()
  for (const [id, path] of pictures) {
    for (const width of options.renditions?.widths.get(id) ?? [])
      renditions.set(renditionPath(path, width), { asset: id, width })
    const noise = noiseNamed(id)
    const blob = noise ? noiseTile(noise) : blobs.get(doc.assets.get(id)!.hash)
    if (blob) bytes.set(path, blob)
  }
  const ownFonts = new Map<string, Uint8Array>()
  for (const { id, hash } of site.fonts) {
    const blob = hash && blobs.get(hash)
    if (blob) ownFonts.set(`fonts/${id}.woff2`, blob)
  }
  const fonts = site.fonts.filter(({ hash }) => !hash).map(({ id }) => id)
  return { text, pictures: bytes, renditions, fonts, ownFonts }
}
