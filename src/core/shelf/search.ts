/** Finding what the shelf has: the best match for the name first. */
import type { ShelfItem } from './build'
import { SHELF } from './items'

/** How well an item answers what was typed, 0 the best; undefined: not at all. */
function rankOf({ name, words, category }: ShelfItem, typed: string): number | undefined {
  const called = name.toLowerCase()
  if (called === typed) return 0
  if (called.startsWith(typed)) return 1
  if (called.split(/\s+/).some((word) => word.startsWith(typed))) return 2
  if (called.includes(typed)) return 3
  if (words.split(/\s+/).some((word) => word.startsWith(typed))) return 4
  return `${words} ${category}`.toLowerCase().includes(typed) ? 5 : undefined
}

/** Items that answer to what was typed; equals stand as on the shelf. */
export function foundOnShelf(typed: string): ShelfItem[] {
  const words = typed.trim().toLowerCase()
  return SHELF.flatMap((item) => {
    const rank = rankOf(item, words)
    return rank === undefined ? [] : [{ item, rank }]
  })
    .sort((a, b) => a.rank - b.rank)
    .map(({ item }) => item)
}
