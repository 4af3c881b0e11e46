/** An icon as something to place. */
import type { ShelfItem } from '../shelf/build'
import { type Drawing, type IconLook, iconProps, iconWords } from './icon'
import { iconInButton } from './in-button'

export const iconItem = (name: string, drawing: Drawing, look: IconLook): ShelfItem => ({
  id: `icon-${name}`,
  shelf: 'icons',
  category: 'Icons',
  name: iconWords(name),
  words: 'icon',
  build: (b) => b.make('shape', iconWords(name), iconProps(drawing, look)),
  inButton: (button, words, makeId) => iconInButton(button, name, drawing, words, makeId),
})
