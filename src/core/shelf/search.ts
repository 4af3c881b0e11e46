/** Finding what the shelf has: the best match for the name first. */
import type { ShelfItem } from './build'
import { SHELF } from './items'

/** What is looked for by what it is called and by more words. */
export type Named = { name: string; words: string }

/** How well something answers what was typed, 0 the best; undefined: not at all. */
function rankOf({ name, words }: Named, typed: string): number | undefined {
  const called = name.toLowerCase()
  if (called === typed) return 0
  if (called.startsWith(typed)) return 1
  if (called.split(/\s+/).some((word) => word.startsWith(typed))) return 2
  if (called.includes(typed)) return 3
  if (words.split(/\s+/).some((word) => word.startsWith(typed))) return 4
  return words.toLowerCase().includes(typed) ? 5 : undefined
}

/** What answers to what was typed, the best first; equals stand as they stood. */
export function found<T>(all: readonly T[], named: (each: T) => Named, typed: string): T[] {
  const words = typed.trim().toLowerCase()
  return all
    .flatMap((each) => {
      const rank = rankOf(named(each), words)
      return rank === undefined ? [] : [{ each, rank }]
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ each }) => each)
}

/** Items that answer to what was typed. */
export const foundOnShelf = (typed: string): ShelfItem[] =>
  found(SHELF, ({ name, words, category }) => ({ name, words: `${words} ${category}` }), typed)
