/** Where tokens are used: in blocks' values, in what pages show otherwise of a template, and in other tokens. */
import type { Document } from '../document/document'
import { type Place, placesOf } from '../document/places'
import { variantsOf } from '../document/token-variants'
import { eachToken, tokensIn } from '../document/tokens'
import type { PropKey } from '../properties/table'

export type TokenUse = Omit<Place, 'props'> & { key: PropKey }

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
    if (other !== name && [...tokensIn([token.$value, variantsOf(token)])].includes(name)) found.push(other)
  })
  return found
}
