/** An icon as something to place. */

import type { Node } from '../document/document'
import type { Edit } from '../edits/edit'
import type { ShelfItem } from '../shelf/build'
import { type Drawing, type IconLook, iconForm, iconProps } from './icon'
import { iconWords } from './icon-words'
import { iconInButton } from './in-button'

/** Another icon in the place of a shape: its size, line and colours stay. */
export const iconInstead = (shape: Node, name: string, drawing: Drawing): Edit[] => [
  { op: 'set', node: shape.id, props: { form: iconForm(drawing) } },
  { op: 'meta', node: shape.id, name: iconWords(name) },
]

export const iconItem = (name: string, drawing: Drawing, look: IconLook): ShelfItem => ({
  id: `icon-${name}`,
  shelf: 'icons',
  category: 'Icons',
  name: iconWords(name),
  words: 'icon',
  build: (b) => b.make('shape', iconWords(name), iconProps(drawing, look)),
  inButton: (button, words, makeId) => iconInButton(button, name, drawing, words, makeId),
})
