/** Finding blocks: by name or words over all pages, and those that look alike on one. */

import type { Document, Node, Page } from '../document/document'
import { resolve } from '../document/resolve'
import { shownItems } from '../properties/items'
import { plainText } from '../words/words'

export type Found = { page: Page; node: Node; words: string }

/** Blocks whose name or text holds `text`, in any case, in the order of the pages. Nothing is found for nothing. */
export function findBlocks(doc: Document, text: string): Found[] {
  const wanted = text.trim().toLowerCase()
  if (wanted === '') return []
  return doc.allPages().flatMap((page) =>
    [...doc.walk(page.id)].flatMap((node) => {
      if (node.kind === 'page') return []
      const words = plainText(node.props.words)
      const hit = node.name.toLowerCase().includes(wanted) || words.toLowerCase().includes(wanted)
      return hit ? [{ page, node, words }] : []
    }),
  )
}

/** Blocks of a page of the same kind that are filled, set and rounded alike in a view; `id` comes last. */
export function blocksAlike(doc: Document, page: string, view: string, id: string): string[] {
  const look = (node: Node) => {
    const resolved = resolve(doc, node, view)
    const { radiusTopLeft, fontFamily, fontSize, fontWeight, color, flow } = resolved
    // Whatever the items are called.
    const fills = shownItems(resolved.fills).map(({ order, ...fill }) => fill)
    return JSON.stringify([node.kind, fills, radiusTopLeft, fontFamily, fontSize, fontWeight, color, flow])
  }
  const wanted = look(doc.node(id))
  const others = [...doc.walk(page)].filter(
    (node) => node.kind !== 'page' && node.id !== id && look(node) === wanted,
  )
  return [...others.map((node) => node.id), id]
}
