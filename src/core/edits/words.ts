/** Edits in words. */
import type { Tree } from '../document/tree'
import type { PropKey } from '../properties/table'
import { cut, saidWords } from '../properties/value-words'

export const quoted = (name: string) => `“${name}”`

/** A block or page by its name. */
export const nameOf = (tree: Tree, id: string) => quoted(tree.nodes.get(id)?.name || 'a block')

/** Names where words lie. */
export const placeOf = ({ node, view, page }: { node: string; view?: string; page?: string }) =>
  `${page ?? ''}/${node}/${view ?? ''}`

/** What is set of a block's properties, in words. */
export const setWords = (props: Readonly<Record<string, unknown>>): string[] =>
  Object.entries(props).map(([key, value]) => saidWords(key as PropKey, value))

/** What is set of something else. */
export const plainlySet = (values: Readonly<Record<string, unknown>>): string =>
  Object.entries(values)
    .map(([key, value]) => `${key} ${plainWords(value)}`)
    .join(', ')

function plainWords(value: unknown): string {
  if (value === null || value === undefined) return 'put back'
  if (typeof value === 'number') return String(Math.round(value * 100) / 100)
  if (typeof value === 'boolean') return value ? 'on' : 'off'
  return typeof value === 'string' ? cut(value, 40) : 'changed'
}
