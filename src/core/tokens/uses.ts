/** Where tokens are used: in blocks' values, in what pages show otherwise of a template, and in other tokens. */
import type { Document } from '../document/document'
import { eachToken } from '../document/tokens'
import type { PropKey, Props } from '../properties/table'

/** `page`: where the block lies; `by`: the page that shows it otherwise, if the use is in that. `view` as in `set`. */
export type TokenUse = { node: string; page: string; by?: string; view?: string; key: PropKey }

const REFERENCE = /^\{([^{}]+)\}$/

/** The token that a value is: `{color.pine}` → `color.pine`. */
export const tokenIn = (value: unknown): string | undefined =>
  typeof value === 'string' ? REFERENCE.exec(value)?.[1] : undefined

/** Every token that a value refers to, wherever in it. */
export function* tokensIn(value: unknown): Generator<string> {
  const own = tokenIn(value)
  if (own !== undefined) yield own
  else if (typeof value === 'object' && value !== null)
    for (const each of Object.values(value)) yield* tokensIn(each)
}

export type Place = Omit<TokenUse, 'key'> & { props: Props }

/** Everything that blocks set, on all pages that are here. */
export function* placesOf(doc: Document): Generator<Place> {
  for (const { id: page } of doc.allPages())
    for (const node of doc.walk(page)) {
      if (node.kind === 'page') continue
      yield { node: node.id, page, props: node.props }
      for (const [view, props] of Object.entries(node.overrides)) yield { node: node.id, page, view, props }
    }
  for (const page of doc.pages.values())
    for (const [node, { props, overrides = {} }] of Object.entries(page.changes ?? {})) {
      const at = { node, page: doc.pageOf(node) ?? page.id, by: page.id }
      yield { ...at, props }
      for (const [view, own] of Object.entries(overrides)) yield { ...at, view, props: own }
    }
}

/** By token; one that is not used is not in it. A property that names a token twice is one use. */
export function tokenUses(doc: Document): Map<string, TokenUse[]> {
  const uses = new Map<string, TokenUse[]>()
  for (const { props, ...at } of placesOf(doc))
    for (const [key, value] of Object.entries(props) as [PropKey, unknown][])
      for (const name of new Set(tokensIn(value))) {
        const list = uses.get(name) ?? []
        list.push({ ...at, key })
        uses.set(name, list)
      }
  return uses
}

/** Tokens that refer to a token, by name. */
export function tokensOn(doc: Document, name: string): string[] {
  const found: string[] = []
  eachToken(doc.tokens, (other, token) => {
    if (other !== name && [...tokensIn(token.$value)].includes(name)) found.push(other)
  })
  return found
}
