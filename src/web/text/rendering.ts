/** Words as elements while they are typed: what is handed off, with its declarations on it. */
import { DOMParser, DOMSerializer, type Mark, type Node } from 'prosemirror-model'
import type { MarkViewConstructor, NodeViewConstructor } from 'prosemirror-view'
import * as v from 'valibot'
import { fontStack } from '../../core/handoff/css'
import { ICON_DECLARATIONS, iconHtml } from '../../core/handoff/inline-icon'
import { iconWords } from '../../core/icons/icon-words'
import { linkProblem } from '../../core/properties/links'
import { CODE_FAMILY } from '../../core/text/families'
import { type Script, scriptDeclarations } from '../../core/text/script-box'
import { INDENT } from '../../core/text/typeset'
import { schema } from '../../core/words/model'
import { BULLET } from '../../core/words/parts'
import { type Icon, IconSchema } from '../../core/words/words'

const within =
  (tag: string, style: (value: never) => Partial<CSSStyleDeclaration> = () => ({})): MarkViewConstructor =>
  (mark) => {
    const dom = document.createElement(tag)
    Object.assign(dom.style, style(mark.attrs.value as never))
    return { dom }
  }

/** @param ink what a colour, maybe a token's, is */
export const markViews = (
  ink: (color: string) => string | undefined,
): Record<string, MarkViewConstructor> => ({
  // No link: a press in a text that is written puts the caret.
  link: within('span', () => ({ textDecoration: 'underline' })),
  weight: within('span', (weight: number) => ({ fontWeight: String(weight) })),
  italic: within('span', (italic: boolean) => ({ fontStyle: italic ? 'italic' : 'normal' })),
  size: within('span', (size: number) => ({ fontSize: `${size}em` })),
  color: within('span', (color: string) => ({ color: ink(color) ?? 'inherit' })),
  case: within('span', (letters: string) => ({ textTransform: letters })),
  script: (mark) => {
    const dom = document.createElement(mark.attrs.value as Script)
    for (const [name, value] of scriptDeclarations(mark.attrs.value)) dom.style.setProperty(name, value)
    return { dom }
  },
  underline: within('span', () => ({ textDecoration: 'underline' })),
  strike: within('span', () => ({ textDecoration: 'line-through' })),
  code: within('span', () => ({ fontFamily: fontStack(CODE_FAMILY) })),
})

const element =
  (tag: string, style: Partial<CSSStyleDeclaration> = {}): NodeViewConstructor =>
  () => {
    const dom = document.createElement(tag)
    Object.assign(dom.style, style)
    return { dom, contentDOM: dom }
  }

const SVG = 'http://www.w3.org/2000/svg'

const paddingInlineStart = `${INDENT}em`
export const nodeViews: Record<string, NodeViewConstructor> = {
  paragraph: element('p'),
  bullets: element('ul', { paddingInlineStart, listStyle: `"${BULLET}"` }),
  numbers: element('ol', { paddingInlineStart, listStyle: 'decimal' }),
  item: element('li'),
  break: () => ({ dom: document.createElement('br') }),
  icon: (node) => {
    const field = document.createElement('span')
    field.innerHTML = iconHtml(node.attrs as Icon, iconWords(node.attrs.name))
    const { style } = field.firstElementChild as SVGElement
    for (const [name, value] of ICON_DECLARATIONS) style.setProperty(name, value)
    return { dom: field }
  },
}

/** What is copied, for other programs. */
export const serializer = new DOMSerializer(
  {
    paragraph: () => ['p', 0],
    bullets: () => ['ul', 0],
    numbers: () => ['ol', 0],
    item: () => ['li', 0],
    break: () => ['br'],
    icon: ({ attrs: { name, data, line } }: Node) => [
      `${SVG} svg`,
      {
        viewBox: '0 0 100 100',
        width: '1em',
        height: '1em',
        fill: 'none',
        stroke: 'currentColor',
        'data-icon': name,
      },
      [`${SVG} path`, { d: data, 'stroke-width': line }],
    ],
    // A text alone: what the library takes, though its types do not say so.
    text: ((node: Node) => node.text!) as never,
  },
  {
    link: (mark: Mark) => ['a', { href: mark.attrs.value }, 0],
    weight: ({ attrs: { value } }: Mark) => [
      value >= 600 ? 'strong' : 'span',
      { style: `font-weight: ${value}` },
      0,
    ],
    italic: ({ attrs: { value } }: Mark) =>
      value ? ['em', 0] : ['span', { style: 'font-style: normal' }, 0],
    size: (mark: Mark) => ['span', { style: `font-size: ${mark.attrs.value}em` }, 0],
    color: ({ attrs: { value } }: Mark) => [
      'span',
      value.startsWith('{') ? {} : { style: `color: ${value}` },
      0,
    ],
    case: (mark: Mark) => ['span', { style: `text-transform: ${mark.attrs.value}` }, 0],
    script: ({ attrs: { value } }: Mark) => [value, 0],
    underline: () => ['u', 0],
    strike: () => ['s', 0],
    code: () => ['code', 0],
  },
)

/** Weights that people mean by bold. */
const boldness = (value: string) =>
  value === 'bold' || value === 'bolder'
    ? { value: 700 }
    : /^[6-9]00$/.test(value) && { value: Number(value) }

/** An icon that was copied here; a drawing that is none stays behind. */
function iconOf(element: HTMLElement): Icon | false {
  const path = element.querySelector('path')
  const name = element.dataset.icon
  const found = v.safeParse(IconSchema, {
    name,
    data: path?.getAttribute('d'),
    line: Number(path?.getAttribute('stroke-width')),
  })
  return found.success && found.output
}

/** What is pasted, from wherever: paragraphs, lists and marks; how it looked otherwise stays behind. */
export const parser = new DOMParser(schema, [
  { tag: 'p', node: 'paragraph' },
  ...['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'blockquote', 'pre', 'dt', 'dd'].map((tag) => ({
    tag,
    node: 'paragraph',
  })),
  { tag: 'ul', node: 'bullets' },
  { tag: 'ol', node: 'numbers' },
  { tag: 'li', node: 'item' },
  { tag: 'br', node: 'break' },
  { tag: 'svg[data-icon]', node: 'icon', getAttrs: iconOf },
  {
    tag: 'a[href]',
    mark: 'link',
    getAttrs: (link) => {
      const value = link.getAttribute('href')!
      return linkProblem(value) === undefined && { value }
    },
  },
  { tag: 'strong', mark: 'weight', attrs: { value: 700 } },
  // Some programs wrap all that is copied in one that is not bold.
  { tag: 'b', mark: 'weight', getAttrs: (bold) => bold.style.fontWeight !== 'normal' && { value: 700 } },
  { style: 'font-weight', mark: 'weight', getAttrs: boldness },
  { tag: 'em', mark: 'italic', attrs: { value: true } },
  {
    tag: 'i',
    mark: 'italic',
    getAttrs: (slanted) => slanted.style.fontStyle !== 'normal' && { value: true },
  },
  { style: 'font-style=italic', mark: 'italic', attrs: { value: true } },
  { tag: 'sup', mark: 'script', attrs: { value: 'sup' } },
  { tag: 'sub', mark: 'script', attrs: { value: 'sub' } },
  { tag: 'u', mark: 'underline' },
  { tag: 's', mark: 'strike' },
  { tag: 'del', mark: 'strike' },
  { tag: 'code', mark: 'code' },
])
