/** Words as HTML: paragraphs, lists, and elements for marks that mean something; classes for those that only look. */
import { iconWords } from '../icons/icon-words'
import { num } from '../properties/css-text'
import { CODE_FAMILY } from '../text/families'
import { scriptDeclarations } from '../text/script-box'
import { collapseSpaces } from '../text/spans'
import { INDENT } from '../text/typeset'
import { BULLET, isOneParagraph, partsOf } from '../words/parts'
import {
  type Icon,
  type Item,
  type List,
  type Look,
  looksIn,
  type paragraph,
  type Span,
  type Words,
} from '../words/words'
import { cssString, htmlAttribute, htmlText } from './escape'
import { SYMBOLS_CLASS } from './icon-sheet'
import { ICON_CLASS, ICON_DECLARATIONS, iconHtml } from './inline-icon'
import { madeClass } from './names'
import type { Writing } from './written'

/** Class of links within a text: they can be told from what is around them. */
export const LINK_CLASS = madeClass('link')
/** What `strong` is. */
const STRONG = 700

const inkName = (color: string) => `ink-${color.replace(/[^a-z0-9]+/gi, '-').replace(/^-|-$/g, '')}`
const sizeName = (size: number) => `size-${num(size * 100).replace('.', '-')}`

/** Classes, with what each declares, of a look that no element has of itself. */
function looks(look: Look, write: Writing): [name: string, declaration: string][] {
  const out: [string, string][] = []
  const { weight, italic, size, color } = look
  if (weight !== undefined && weight !== STRONG)
    out.push([`weight-${num(weight)}`, `font-weight: ${num(weight)}`])
  if (italic === false) out.push(['upright', 'font-style: normal'])
  if (size !== undefined) out.push([sizeName(size), `font-size: ${num(size)}em`])
  const ink = color === undefined ? undefined : write.color(color)
  if (color !== undefined && ink !== undefined) out.push([inkName(color), `color: ${ink}`])
  if (look.case !== undefined) out.push([`case-${look.case}`, `text-transform: ${look.case}`])
  return out.map(([name, declaration]) => [madeClass(name), declaration])
}

const declared = (list: readonly (readonly [string, string])[]) =>
  list.map((each) => each.join(': ')).join(';\n  ')

/** Rules that words need, by selector: added to `rules`. @param ownLinks whether links in it are links */
export function rulesForWords(
  words: Words | undefined,
  ownLinks: boolean,
  write: Writing,
  rules: Map<string, string>,
) {
  for (const { look, icon } of looksIn(words)) {
    if (icon) {
      rules.set(`.${ICON_CLASS}`, declared(ICON_DECLARATIONS))
      rules.set(`.${SYMBOLS_CLASS}`, 'display: none')
    }
    for (const [name, declaration] of looks(look, write)) rules.set(`.${name}`, declaration)
    if (look.weight === STRONG) rules.set('strong', `font-weight: ${STRONG}`)
    if (look.script) rules.set(look.script, declared(scriptDeclarations(look.script)))
    if (look.code) rules.set('code', `font-family: ${write.family(CODE_FAMILY)}`)
    if (look.link !== undefined && ownLinks) rules.set(`.${LINK_CLASS}`, 'text-decoration: underline')
  }
  for (const { type } of listsIn(words ?? [])) {
    const style = type === 'bullets' ? cssString(BULLET) : 'decimal'
    rules.set(`.${madeClass(type)}`, `padding-inline-start: ${num(INDENT)}em;\n  list-style: ${style}`)
    // Browsers set numbers of lists in figures of one width.
    if (type === 'numbers') rules.set('li::marker', 'font-variant-numeric: normal')
  }
}

function* listsIn(words: Words): Generator<List> {
  for (const block of words)
    if (block.type !== 'paragraph') {
      yield block
      for (const { content } of block.content) yield* listsIn(content.slice(1))
    }
}

export type WordsContext = {
  write: Writing
  /** Whether links in it are links: not where the whole text is one. */
  ownLinks: boolean
  /** Where a link leads, as the attribute; nothing for one that leads nowhere. */
  href: (link: string) => string
  /** What stands in an icon's SVG. */
  icon: (icon: Icon) => string
  /** Whether a space stands before the first word. */
  apart?: boolean
}

/** The lines of HTML between a text's tags: one for words, one an element for paragraphs and lists. */
export function wordsHtml(words: Words, flowing: boolean, context: WordsContext): string[] {
  if (!flowing || isOneParagraph(words))
    return [inline(partsOf(words, false)[0]!.spans, context, context.apart)]
  return blocks(words, context)
}

function blocks(words: Words, context: WordsContext): string[] {
  return words.flatMap((block) => {
    if (block.type !== 'paragraph') return list(block, context)
    return [`<p>${line(block, context)}</p>`]
  })
}

/** An empty line is a line all the same. */
const line = (block: ReturnType<typeof paragraph>, context: WordsContext) =>
  inline(partsOf([block], false)[0]!.spans, context) || '<br>'

function list({ type, content }: List, context: WordsContext): string[] {
  const tag = type === 'bullets' ? 'ul' : 'ol'
  const items = content.flatMap((item) => itemHtml(item, context))
  return [`<${tag} class="${madeClass(type)}">`, ...items.map((each) => `  ${each}`), `</${tag}>`]
}

function itemHtml({ content: [first, ...lists] }: Item, context: WordsContext): string[] {
  const own = line(first, context)
  if (lists.length === 0) return [`<li>${own}</li>`]
  return [`<li>${own}`, ...lists.flatMap((each) => list(each, context)).map((each) => `  ${each}`), '</li>']
}

/** A stretch as it is handed off. `said`: what its icon, or a row of them that it belongs to, is called, where no words say it. */
type Shown = Span & { said?: string; row?: string }

const isWordless = (spans: readonly Span[]) => spans.every(({ text, icon }) => icon || text.trim() === '')

/** Icons beside words say nothing more; those that a link, or a whole text, is made of are called by their names. */
function named(spans: readonly Span[]): Shown[] {
  const alone = isWordless(spans)
  return grouped(spans, ({ link }) => link).flatMap(({ value, spans: own }) => {
    if (!alone && (value === undefined || !isWordless(own))) return own
    const icons = own.flatMap(({ icon }) => icon ?? [])
    if (icons.length > 1) return own.map((span) => ({ ...span, row: rowWords(icons) }))
    return own.map((span) => (span.icon ? { ...span, said: iconWords(span.icon.name) } : span))
  })
}

/** Five stars are one picture: “5 × star”; of several kinds each is counted. */
function rowWords(icons: readonly Icon[]): string {
  const counts = new Map<string, number>()
  for (const { name } of icons) counts.set(name, (counts.get(name) ?? 0) + 1)
  return [...counts]
    .map(([name, count]) => (count > 1 ? `${count} × ${iconWords(name).toLowerCase()}` : iconWords(name)))
    .join(', ')
}

/** Stretches side by side that are alike in `key`, as one. */
function grouped<T>(spans: readonly Shown[], key: (span: Shown) => T): { value: T; spans: Shown[] }[] {
  const groups: { value: T; spans: Shown[] }[] = []
  for (const span of spans) {
    const value = key(span)
    const last = groups.at(-1)
    if (last && JSON.stringify(last.value) === JSON.stringify(value)) last.spans.push(span)
    else groups.push({ value, spans: [span] })
  }
  return groups
}

const attributes = (names: readonly (readonly [string, string])[]) =>
  names.length > 0 ? ` class="${names.map(([name]) => name).join(' ')}"` : ''

type Wrapping = (inner: string, span: Shown, context: WordsContext) => string

/** What no element stands for. */
function plainLook({ link, weight = STRONG, italic, size, color, case: letters }: Span): Look {
  const own: Look = { case: letters }
  if (weight < 600) own.weight = weight
  if (italic === false) own.italic = false
  return link === undefined ? { ...own, size, color } : own
}

/** From the outermost element in: what it is alike in, and the element. */
const LEVELS: readonly { key: (span: Shown) => unknown; wrap: Wrapping }[] = [
  {
    // A link's line is in the ink and the size of the link.
    key: ({ link, size, color }) => (link === undefined ? undefined : [link, size, color]),
    wrap: (inner, { link, size, color }, { write, href }) =>
      `<a${attributes([[LINK_CLASS, ''], ...looks({ size, color }, write)])}${href(link!)}>${inner}</a>`,
  },
  {
    key: ({ row }) => row,
    wrap: (inner, { row }) => `<span role="img" aria-label="${htmlAttribute(row!)}">${inner}</span>`,
  },
  {
    key: ({ weight = 0 }) => (weight >= 600 ? weight : undefined),
    wrap: (inner, { weight }, { write }) =>
      `<strong${attributes(looks({ weight }, write))}>${inner}</strong>`,
  },
  {
    key: ({ italic }) => italic || undefined,
    wrap: (inner) => `<em>${inner}</em>`,
  },
  {
    key: (span) => {
      const own = plainLook(span)
      return Object.values(own).some((value) => value !== undefined) ? own : undefined
    },
    wrap: (inner, span, { write }) => {
      const names = attributes(looks(plainLook(span), write))
      return names === '' ? inner : `<span${names}>${inner}</span>`
    },
  },
  { key: ({ script }) => script, wrap: (inner, { script }) => `<${script}>${inner}</${script}>` },
  { key: ({ underline }) => underline, wrap: (inner) => `<u>${inner}</u>` },
  { key: ({ strike }) => strike, wrap: (inner) => `<s>${inner}</s>` },
  { key: ({ code }) => code, wrap: (inner) => `<code>${inner}</code>` },
]

const shownSpan = ({ text, icon, said }: Shown, context: WordsContext) =>
  icon ? iconHtml(icon, said, context.icon(icon)) : htmlText(text).replaceAll('\n', '<br>')

function nested(spans: readonly Shown[], level: number, context: WordsContext): string {
  if (level === LEVELS.length) return spans.map((span) => shownSpan(span, context)).join('')
  const { key, wrap } = LEVELS[level]!
  return grouped(spans, key)
    .map(({ value, spans: own }) => {
      const inner = nested(own, level + 1, context)
      return value === undefined ? inner : wrap(inner, own[0]!, context)
    })
    .join('')
}

function inline(spans: readonly Span[], context: WordsContext, apart = false): string {
  // As the core has them: an element left empty would still count for its line's height.
  const shown = collapseSpaces(spans).filter(({ text }) => text !== '')
  const own = named(context.ownLinks ? shown : shown.map(({ link: _, ...span }) => span))
  if (apart && own.length > 0) own[0] = { ...own[0], text: ` ${own[0]!.text}` }
  return nested(own, 0, context)
}
