/** What values in an edit refer to: tokens, wherever they are named in them. */
import type { NodeTree } from '../document/schema'
import { tokensIn } from '../document/tokens'
import type { Thing } from './edit-module'

/** The tokens that a value, or what is in it, refers to, each once. */
export function needsOf(value: unknown): Thing[] {
  return [...new Set(tokensIn(value))].map((id) => ({ what: 'token', id }))
}

/** The same value with other tokens in the place of some. @param tokens by name */
export function rebound<T>(value: T, tokens: ReadonlyMap<string, string>): T {
  if (typeof value === 'string') {
    const other = /^\{.*\}$/.test(value) ? tokens.get(value.slice(1, -1)) : undefined
    return (other === undefined ? value : `{${other}}`) as T
  }
  if (Array.isArray(value)) return value.map((each) => rebound(each, tokens)) as T
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, rebound(each, tokens)])) as T
}

/** A block and all that is in it. */
export const blocksIn = (tree: NodeTree): Thing[] => [
  { what: 'block', id: tree.id },
  ...(tree.children ?? []).flatMap(blocksIn),
]
