/** What tokens are in a view or a theme alone: set, taken back, listed. */
import type { Document } from '../document/document'
import { valueAt, type Where, withValueAt } from '../document/token-variants'
import { eachToken } from '../document/tokens'
import type { Edit } from '../edits/edit'
import { storedToken } from './instead'

/** What a token is, `where` undefined: everywhere that does not say otherwise. @param value null: as elsewhere */
export function setEdit(doc: Document, name: string, where: Where | undefined, value: unknown): Edit {
  const token = storedToken(doc.tokens, name)!
  return { op: 'token', name, token: where ? withValueAt(token, where, value) : { ...token, $value: value } }
}

/** Tokens that say something else in a view or a theme, by name. */
export function differingAt(doc: Document, where: Where): string[] {
  const names: string[] = []
  eachToken(doc.tokens, (name, token) => {
    if (valueAt(token, where) !== undefined) names.push(name)
  })
  return names
}

/** The edits that take everything back that tokens say in a view or a theme. */
export const clearedEdits = (doc: Document, where: Where): Edit[] =>
  differingAt(doc, where).map((name) => setEdit(doc, name, where, null))
