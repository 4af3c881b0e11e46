import type { Editor } from '../editor/editor-state'

export type Command = {
  id: string
  name: string
  /** More words it is found by. */
  words?: string
  group: 'Block' | 'Arrange' | 'Page' | 'Board' | 'Project'
  /** `Mod` is Ctrl, or ⌘ on a Mac. */
  keys?: string
  /** Keys that are said with it, but are the browser's to hear. */
  shows?: string
  /** It is done as long as its key is held, by whoever hears that. */
  isHeld?: true
  /** Left out: always. */
  when?: (editor: Editor) => boolean
  run: (editor: Editor) => void
}

export const hasBlock = (editor: Editor) => editor.selection.length > 0
