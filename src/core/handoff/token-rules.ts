/** Tokens in a style sheet: custom properties, what they are in narrower views and in themes, and what grows with the window. */

import type { Document } from '../document/document'
import { fluidText } from '../document/fluid'
import type { View } from '../document/schema'
import type { Tokens } from '../document/tokens'
import { num, px, rem, shadowText, unit } from '../properties/css-text'
import type { Declarations } from '../properties/declarations'
import { stopsText } from '../properties/fill-layers'
import { lineWidth } from '../properties/look'
import { familyNamed } from '../text/families'
import { fontStack } from './css'
import { cssColor, cssComment, cssString } from './escape'
import { customProperty } from './names'
import { rulesText } from './rules'

/** A length of type as the page has it; in a sum a zero needs its unit. */
const typeLength = (value: number) => (value === 0 ? UNSPACED : rem(value))
const UNSPACED = '0rem'

/** What of type styles grows with the window: by custom property. */
function fluidProperties(doc: Document): Map<string, string> {
  const { tokenTable } = doc
  const texts = new Map<string, string>()
  for (const name of tokenTable.fluid.filter((each) => tokenTable.lookup(each))) {
    texts.set(`${customProperty(name)}-size`, fluidText(doc.knots(name, 'fontSize'), typeLength))
    const spacing = fluidText(doc.knots(name, 'letterSpacing'), typeLength)
    texts.set(`${customProperty(name)}-spacing`, spacing === UNSPACED ? 'normal' : spacing)
  }
  return texts
}

/**
 * The custom properties of tokens, each as `name: value`.
 * @param type writes sizes of type: on the board px, whatever size its reader has set for the app
 * @param there families that come along; left out: all
 */
export function tokenProperties(
  tokens: Tokens,
  type: (value: number) => string = px,
  there?: ReadonlySet<string>,
): string[] {
  const lines: string[] = []
  for (const name of tokens.names()) {
    const token = tokens.lookup(name)
    // One that says nothing usable, as an old store may hold, is not handed off.
    if (!token) continue
    const property = customProperty(name)
    if (token.type === 'typography') {
      const { fontFamily, fontSize, fontWeight, lineHeight, letterSpacing } = token.value
      lines.push(
        `${property}-family: ${fontStack(fontFamily, there)}`,
        `${property}-size: ${type(fontSize)}`,
        `${property}-weight: ${num(fontWeight)}`,
        `${property}-line: ${num(lineHeight)}`,
        `${property}-spacing: ${letterSpacing === 0 ? 'normal' : type(letterSpacing)}`,
      )
    } else if (token.type === 'dimension') lines.push(`${property}: ${unit(token.value)}`)
    else if (token.type === 'fontFamily')
      lines.push(`${property}: ${cssString(familyNamed(token.value)?.family ?? token.value)}`)
    else if (token.type === 'number') lines.push(`${property}: ${num(token.value)}`)
    else if (token.type === 'shadow')
      lines.push(
        `${property}: ${token.value.map((each) => shadowText(each, cssColor(each.color))).join(', ')}`,
      )
    else if (token.type === 'gradient')
      lines.push(
        `${property}: ${stopsText(token.value.map((stop) => ({ ...stop, color: cssColor(stop.color) })))}`,
      )
    else if (token.type === 'border') {
      const { width, style, color } = token.value
      lines.push(
        `${property}-width: ${px(lineWidth(width))}`,
        `${property}-style: ${style}`,
        `${property}-color: ${cssColor(color)}`,
      )
    } else lines.push(`${property}: ${cssColor(token.value)}`)
  }
  return lines
}

/** The custom properties of a site's root. */
export function rootTokens(doc: Document, there: ReadonlySet<string>): string[] {
  const fluid = fluidProperties(doc)
  return tokenProperties(doc.tokenTable, rem, there).map((line) => {
    const property = line.slice(0, line.indexOf(':'))
    return fluid.has(property) ? `${property}: ${fluid.get(property)}` : line
  })
}

/** What tokens are in a view that they are not in the next wider one. */
export function changedInView(
  doc: Document,
  wider: View,
  view: View,
  there: ReadonlySet<string>,
): [string, string][] {
  const fluid = fluidProperties(doc)
  return changedTokens(doc.tokensAt(wider.id), doc.tokensAt(view.id), there).filter(
    ([property]) => !fluid.has(property),
  )
}

/** What tokens are that they are not elsewhere: declarations by custom property. */
function changedTokens(from: Tokens, to: Tokens, there: ReadonlySet<string>): [string, string][] {
  if (from === to) return []
  const before = new Set(tokenProperties(from, rem, there))
  return tokenProperties(to, rem, there)
    .filter((line) => !before.has(line))
    .map((line) => {
      const colon = line.indexOf(': ')
      return [line.slice(0, colon), line.slice(colon + 2)]
    })
}

/**
 * The themes: each under `data-theme` on the root; those of a scheme by themselves, for visitors who prefer it, where the page does
 * not say one.
 * @param isSomeWhite some page has no background of its own
 * @param there families that come along
 */
export function themeRules(
  { tokenTable, themes }: Document,
  isSomeWhite: boolean,
  there: ReadonlySet<string>,
): string[] {
  const schemes = themes.flatMap(({ scheme }) => scheme ?? [])
  const [first, ...others] = themes
  if (!first) return []
  // A page without a background is white, and words are black, in every scheme, as they were drawn.
  const root: Declarations = new Map()
  if (isSomeWhite) root.set('background-color', '#ffffff')
  root.set('color', '#000000')
  if (first.scheme) root.set('color-scheme', [...new Set(schemes)].join(' '))
  const rules = [rulesText([[':root', root]])]
  if (first.scheme) rules.push(`[data-theme="${first.id}"] {\n  color-scheme: ${first.scheme};\n}`)
  const preferred = new Set(first.scheme ? [first.scheme] : [])
  for (const { id, name, scheme } of others) {
    const own: Declarations = new Map(changedTokens(tokenTable, tokenTable.at([], id), there))
    if (scheme) own.set('color-scheme', scheme)
    const note = `/* ${cssComment(name)} */`
    if (scheme && !preferred.has(scheme)) {
      preferred.add(scheme)
      const inner = rulesText([[':root:not([data-theme])', own]], '  ')
      if (inner) rules.push(`${note}\n@media (prefers-color-scheme: ${scheme}) {\n${inner}\n}`)
    }
    const rule = rulesText([[`[data-theme="${id}"]`, own]])
    if (rule) rules.push(`${note}\n${rule}`)
  }
  return rules
}
