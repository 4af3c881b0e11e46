/** Icons by name and by what they mean. */
import { found } from '../shelf/search'
import type { Drawing } from './icon'
import { iconWords } from './icon-words'

export type Icon = { name: string; drawing: Drawing; words: string }

type Meanings = Readonly<Record<string, readonly string[]>>

/** @param drawings by name, as the set's data has them @param meanings more words for each name */
export const iconSet = (drawings: Readonly<Record<string, unknown>>, meanings: Meanings): Icon[] =>
  Object.entries(drawings).map(([name, drawing]) => ({
    name,
    drawing: drawing as Drawing,
    words: (meanings[name] ?? []).join(' '),
  }))

/** What pages need most, shown before the others. */
const COMMON =
  'search menu x check plus minus chevron-down chevron-up chevron-left chevron-right arrow-left arrow-right arrow-up arrow-down ' +
  'arrow-up-right external-link house user users heart star bookmark shopping-cart shopping-bag mail phone map-pin calendar clock ' +
  'bell download upload share-2 play pause settings sliders-horizontal filter eye lock image camera file-text folder trash-2 pencil ' +
  'copy info circle-help circle-check triangle-alert globe sun moon leaf sprout'
const FIRST = new Map(COMMON.split(' ').map((name, i) => [name, i]))

const order = ({ name }: Icon) => FIRST.get(name) ?? FIRST.size
const length = ({ name }: Icon) => name.split('-').length

/** Where nothing was typed all of them, the common ones first; of those that answer alike, the plainest first. */
export function foundIcons(icons: readonly Icon[], typed: string): Icon[] {
  if (typed.trim() === '') return icons.toSorted((a, b) => order(a) - order(b))
  const plainest = icons.toSorted((a, b) => length(a) - length(b))
  return found(plainest, ({ name, words }) => ({ name: iconWords(name), words }), typed)
}
