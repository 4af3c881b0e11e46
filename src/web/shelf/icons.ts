/** The icons that ship with the app: fetched when they are asked for. */
import drawings from 'lucide-static/icon-nodes.json'
import meanings from 'lucide-static/tags.json'
import { iconSet } from '../../core/icons/find'

export const ICONS = iconSet(drawings, meanings)
export { foundIcons, type Icon } from '../../core/icons/find'
export { iconWords } from '../../core/icons/icon'
export { iconItem } from '../../core/icons/on-shelf'
