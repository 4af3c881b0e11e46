/** Edits in words. */
import type { Tree } from '../document/tree'
import { PROPERTIES, type PropKey } from '../properties/table'
import { plainText } from '../words/words'

export const quoted = (name: string) => `“${name}”`

/** A block or page by its name. */
export const nameOf = (tree: Tree, id: string) => quoted(tree.nodes.get(id)?.name || 'a block')

/** A property by its name in words. */
export const propWords = (key: string) => PROPERTIES[key as PropKey]?.words ?? key

/** Names where words lie. */
export const placeOf = ({ node, view, page }: { node: string; view?: string; page?: string }) =>
  `${page ?? ''}/${node}/${view ?? ''}`

/** A value as short as it can be said; nothing for what has no short form. */
export function valueWords(value: unknown): string {
  if (value === null || value === undefined) return 'put back'
  if (typeof value === 'number') return String(Math.round(value * 100) / 100)
  if (typeof value === 'string') return value.length > 40 ? `${value.slice(0, 39)}…` : value
  if (typeof value === 'boolean') return value ? 'on' : 'off'
  if (Array.isArray(value)) {
    const isWords = value.length > 0 && value.every((block) => typeof block?.type === 'string')
    const text = isWords ? plainText(value) : ''
    return text ? quoted(valueWords(text)) : 'changed'
  }
  const { kind, px, ratio, percent, span } = value as Record<string, unknown>
  const amount = px ?? ratio ?? (percent === undefined ? span : `${percent} %`)
  return amount === undefined ? String(kind ?? 'changed') : String(amount)
}
