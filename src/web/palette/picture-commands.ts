/** Commands for the picture that is selected. */
import { isPhotograph } from '../../core/blobs/picture-type'
import { shownPicture } from '../pictures/shown-picture'
import type { Command } from './command'

export const PICTURES: Command[] = [
  {
    id: 'cut-picture',
    name: 'Cut a part out of the picture, or turn it …',
    group: 'Block',
    when: (editor) => shownPicture(editor) !== undefined,
    run: (editor) => editor.set({ dialog: 'cut' }),
  },
  {
    id: 'picture-backdrop',
    name: 'Take the picture’s backdrop away …',
    group: 'Block',
    when: (editor) => {
      const shown = shownPicture(editor)
      return shown !== undefined && isPhotograph(shown.asset)
    },
    run: (editor) => editor.set({ dialog: 'backdrop' }),
  },
]
