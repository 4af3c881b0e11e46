/** The icons that ship with the app: fetched when they are asked for. */
import drawings from 'lucide-static/icon-nodes.json'
import meanings from 'lucide-static/tags.json'
import { foundIcons, iconSet } from '../../core/icons/find'
import { iconInWords } from '../../core/icons/icon'
import { iconWords } from '../../core/icons/icon-words'
import { iconInstead, iconItem } from '../../core/icons/on-shelf'

const set = iconSet(drawings, meanings)

export const icons = {
  /** All of them where nothing was typed. */
  find: (typed: string) => foundIcons(set, typed),
  item: iconItem,
  instead: iconInstead,
  words: iconWords,
  inWords: iconInWords,
}
export type Icons = typeof icons
