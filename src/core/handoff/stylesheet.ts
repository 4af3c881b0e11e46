/** The stylesheet of a whole site: tokens, lattice, one class a block, media queries for the views. */
import type { Document, Node, Page } from '../document/document'
import { isText } from '../document/kinds'
import { cascaded, resolve } from '../document/resolve'
import type { Span, View } from '../document/schema'
import { flowOf } from '../layout/style'
import { declaredOrder, type FontFile, filesNeeded, fontFile } from '../text/fonts'
import { transformCase } from '../text/spans'
import { fontStack, INITIAL, num, px, unit } from './css'
import { columnsOf, type Declarations, declarationsOf, type Place } from './declarations'
import { cssColor, cssComment, cssString } from './escape'
import { latticeProperties } from './lattice-properties'
import { ClassNames, customProperty } from './names'

export type StyledSite = {
  css: string
  /** Class of every block. */
  classes: Map<string, string>
  fonts: FontFile[]
  assets: Set<string>
}

type Rule = { className: string; base: Declarations; changes: Map<string, Declarations> }

/** Declarations of every block of a page in a view, parents first. */
function eachBlock(
  doc: Document,
  page: string,
  view: string,
  visit: (node: Node, declarations: Declarations) => void,
) {
  const walk = (node: Node, place: Place) => {
    visit(node, declarationsOf(place, node))
    if (node.children.length === 0) return
    const resolved = resolve(doc, node, view)
    const parent = {
      node,
      resolved,
      flow: flowOf(node.kind, resolved.flow),
      columns: columnsOf(place, node, resolved),
    }
    for (const child of node.children) walk(doc.node(child), { doc, view, parent })
  }
  for (const section of doc.node(page).children) walk(doc.node(section), { doc, view, parent: undefined })
}

function difference(wide: Declarations, narrow: Declarations): Declarations {
  const changes: Declarations = new Map()
  // What goes comes first: a shorthand that is put back must not undo what is set after it.
  // A hidden block keeps its other declarations; they do no harm.
  if (narrow.get('display') !== 'none') {
    for (const property of wide.keys())
      if (!narrow.has(property)) changes.set(property, INITIAL[property] ?? 'unset')
  }
  for (const [property, value] of narrow) if (wide.get(property) !== value) changes.set(property, value)
  return changes
}

const inkClass = (color: string) => `ink-${color.replace(/[^a-z0-9]+/gi, '-').replace(/^-|-$/g, '')}`

const sizeClass = (size: number) => `size-${num(size * 100).replace('.', '-')}`

/** Classes that spans of a different weight, size or colour wear. */
export function spanClasses(span: Omit<Span, 'text'>): string[] {
  const classes: string[] = []
  if (span.weight !== undefined) classes.push(`weight-${num(span.weight)}`)
  if (span.size !== undefined) classes.push(sizeClass(span.size))
  if (span.italic === false) classes.push('upright')
  if (span.color) classes.push(inkClass(span.color))
  return classes
}

export function styleSite(doc: Document, pages: Page[], fontPath = 'fonts/'): StyledSite {
  const names = new ClassNames()
  const classes = new Map<string, string>()
  const rules = new Map<string, Rule>()
  const fontIds = new Set<string>()
  const assets = new Set<string>()
  const spans = new Map<string, string>()
  const reorders = new Set<string>()
  for (const page of pages) {
    const byView = doc.views.map((view) => {
      const own = new Map<string, Declarations>()
      eachBlock(doc, page.id, view.id, (node, declarations) => {
        own.set(node.id, declarations)
        collect(doc, node, view, fontIds, assets, spans)
        if (node.kind === 'section' && declarations.has('order')) reorders.add(page.id)
      })
      return own
    })
    for (const id of byView[0].keys()) {
      const node = doc.node(id)
      const base = byView[0].get(id)!
      const changes = new Map<string, Declarations>()
      let wide = base
      let shown = base
      doc.views.forEach((view, i) => {
        if (i === 0) return
        const narrow = byView[i].get(id)!
        // Shown again below a view that hides it: compare with what it last looked like.
        const change = difference(
          wide.get('display') === 'none' ? new Map([...shown, ['display', 'none']]) : wide,
          narrow,
        )
        if (change.size > 0) changes.set(view.id, change)
        wide = narrow
        if (narrow.get('display') !== 'none') shown = narrow
      })
      const signature = JSON.stringify([[...base], [...changes].map(([view, change]) => [view, [...change]])])
      const className = names.pick(node.name, signature, node.kind)
      classes.set(id, className)
      if (!rules.has(className)) rules.set(className, { className, base, changes })
    }
  }
  const fonts = declaredOrder([...fontIds].map((id) => fontFile(id)!))
  const parts = [
    fonts.map((file) => fontFace(file, fontPath)).join('\n'),
    rootRule(doc),
    RESET,
    [...rules.values()]
      .map((rule) => ruleText(`.${rule.className}`, rule.base))
      .filter(Boolean)
      .join('\n\n'),
    [...spans].map(([name, declaration]) => `.${name} {\n  ${declaration};\n}`).join('\n\n'),
    ...doc.views.slice(1).map((view) => mediaText(view, [...rules.values()])),
  ]
  if (reorders.size > 0)
    parts.push('body {\n  display: flex;\n  flex-direction: column;\n}\n\nmain {\n  display: contents;\n}')
  return { css: `${parts.filter(Boolean).join('\n\n')}\n`, classes, fonts, assets }
}

function collect(
  doc: Document,
  node: Node,
  view: View,
  fontIds: Set<string>,
  assets: Set<string>,
  spans: Map<string, string>,
) {
  if (!isText(node.kind)) {
    const raw = cascaded(doc, node, view.id)
    if (raw.asset) assets.add(raw.asset)
    return
  }
  const resolved = resolve(doc, node, view.id)
  const raw = cascaded(doc, node, view.id)
  raw.spans?.forEach((span) => {
    filesNeeded(
      resolved.fontFamily,
      span.italic ?? resolved.italic!,
      transformCase(span.text, resolved.textCase),
      fontIds,
    )
    if (span.weight !== undefined) spans.set(`weight-${num(span.weight)}`, `font-weight: ${num(span.weight)}`)
    if (span.italic === false) spans.set('upright', 'font-style: normal')
    if (span.size !== undefined) spans.set(sizeClass(span.size), `font-size: ${num(span.size)}em`)
    if (span.color)
      spans.set(
        inkClass(span.color),
        `color: ${span.color.startsWith('{') ? `var(${customProperty(span.color)})` : cssColor(span.color)}`,
      )
  })
}

function fontFace(file: FontFile, path: string): string {
  return `@font-face {
  font-family: ${cssString(file.family)};
  font-style: ${file.italic ? 'italic' : 'normal'};
  font-weight: ${file.weights[0]} ${file.weights[1]};
  font-display: swap;
  src: url("${path}${file.id}.woff2") format("woff2");
  unicode-range: ${file.ranges};
}`
}

const viewProperties = ({ lattice }: View): [string, string][] => [
  ...latticeProperties(lattice),
  ['--baseline', unit(lattice.baseline)],
]

function rootRule(doc: Document): string {
  const lines: string[] = []
  for (const name of doc.tokenTable.names()) {
    const token = doc.tokenTable.lookup(name)
    // One that says nothing usable, as an old store may hold, is not handed off.
    if (!token) continue
    const property = customProperty(name)
    if (token.type === 'typography') {
      const { fontFamily, fontSize, fontWeight, lineHeight, letterSpacing } = token.value
      lines.push(
        `${property}-family: ${fontStack(fontFamily)}`,
        `${property}-size: ${px(fontSize)}`,
        `${property}-weight: ${num(fontWeight)}`,
        `${property}-line: ${num(lineHeight)}`,
        `${property}-spacing: ${letterSpacing === 0 ? 'normal' : px(letterSpacing)}`,
      )
    } else if (token.type === 'dimension') lines.push(`${property}: ${unit(token.value)}`)
    else if (token.type === 'fontFamily') lines.push(`${property}: ${cssString(token.value)}`)
    else if (token.type === 'number') lines.push(`${property}: ${num(token.value)}`)
    else lines.push(`${property}: ${cssColor(token.value)}`)
  }
  for (const [property, value] of viewProperties(doc.views[0])) lines.push(`${property}: ${value}`)
  return `:root {\n${lines.map((line) => `  ${line};`).join('\n')}\n}`
}

const RESET = `*,
*::before,
*::after {
  box-sizing: border-box;
  margin: 0;
  padding: 0;
  border: 0 solid;
}

html {
  text-rendering: geometricPrecision;
  -webkit-text-size-adjust: none;
  text-size-adjust: none;
}

body {
  /* 100cqw is the page's width without its scroll bar. */
  container-type: inline-size;
}

img {
  display: block;
  width: auto;
  height: auto;
  min-width: 0;
  min-height: 0;
}

a,
button {
  color: inherit;
  text-decoration: none;
}

button {
  appearance: none;
  background: none;
  font: inherit;
  letter-spacing: inherit;
  text-align: inherit;
  text-rendering: inherit;
  text-transform: inherit;
  cursor: pointer;
}

ul {
  list-style: none;
}`

function ruleText(selector: string, declarations: Declarations, indent = ''): string {
  if (declarations.size === 0) return ''
  const lines = [...declarations].map(([property, value]) => `${indent}  ${property}: ${value};`)
  return `${indent}${selector} {\n${lines.join('\n')}\n${indent}}`
}

function mediaText(view: View, rules: Rule[]): string {
  const inner = [
    `  :root {\n${viewProperties(view)
      .map(([property, value]) => `    ${property}: ${value};`)
      .join('\n')}\n  }`,
    ...rules.flatMap((rule) => {
      const change = rule.changes.get(view.id)
      return change ? [ruleText(`.${rule.className}`, change, '  ')] : []
    }),
  ]
  return `/* ${cssComment(view.name)} */\n@media (max-width: ${px(view.breakpoint!)}) {\n${inner.join('\n\n')}\n}`
}
