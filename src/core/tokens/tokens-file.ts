/** Tokens files (W3C Design Tokens): a project's, and from outside what taking one in would change, or why it cannot be taken. */
import type { Document } from '../document/document'
import { isObject, variantsOf } from '../document/token-variants'
import { eachToken, problemOf, type TokenTree } from '../document/tokens'
import type { Edit } from '../edits/edit'
import { storedToken } from './instead'

/** Longest file, characters. */
export const MAX_TOKENS_FILE = 2_000_000

export type ReadTokens = { edits: Edit[]; added: string[]; changed: string[] }

function treeIn(text: string): TokenTree | string {
  if (text.length > MAX_TOKENS_FILE) return 'it is larger than 2 MB'
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch (error) {
    return `it is not JSON (${(error as Error).message})`
  }
  return isObject(read) ? read : 'it is JSON, but no object with tokens in it'
}

/** Families of the project's own go by their names in a file, by their ids in the project. */
function renamed(value: unknown, names: ReadonlyMap<string, string>, isFamily = false): unknown {
  if (isFamily && typeof value === 'string') return names.get(value) ?? value
  if (Array.isArray(value)) return value.map((each) => renamed(each, names))
  if (!isObject(value)) return value
  const here = value.$type === 'fontFamily'
  const entries = Object.entries(value).map(([key, each]) => [
    key,
    renamed(each, names, key === 'fontFamily' || (here && key === '$value')),
  ])
  return Object.fromEntries(entries)
}

/** A project's tokens as a file of the format. */
export function writeTokensFile(doc: Document): string {
  const names = new Map(doc.fonts.map(({ id, family }) => [id, family]))
  return `${JSON.stringify(renamed(doc.tokens, names), null, 2)}\n`
}

const saysOf = (token: Record<string, unknown>) => JSON.stringify([token.$value, variantsOf(token)])

/** Tokens of the file are set, others stay. @returns a reason fit to be shown when it cannot be taken */
export function readTokensFile(doc: Document, text: string): ReadTokens | string {
  const read = treeIn(text)
  if (typeof read === 'string') return read
  const ids = new Map(doc.fonts.map(({ id, family }) => [family, id]))
  const tree = renamed(read, ids) as TokenTree
  const problem = problemOf(tree)
  if (problem) return problem
  const found: ReadTokens = { edits: [], added: [], changed: [] }
  let count = 0
  eachToken(tree, (name, token, type) => {
    count++
    const next = type === undefined ? token : { $type: type, ...token }
    const before = storedToken(doc.tokens, name)
    if (before && saysOf(before) === saysOf(next)) return
    found.edits.push({ op: 'token', name, token: next })
    found[before ? 'changed' : 'added'].push(name)
  })
  return count === 0 ? 'there are no tokens in it' : found
}
