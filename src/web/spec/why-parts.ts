/** Why the height of a block is in parts of a px, as it is said. */
import { fractionIn, fractionWords } from '../../core/layout/fraction'
import type { Editor } from '../editor/editor-state'

/** Undefined: it is whole, or the block is not laid out. */
export function whyParts(editor: Editor, id: string): string | undefined {
  const box = editor.layout?.boxes.get(id)
  const found = box && fractionIn(box)
  return found && fractionWords(found, editor.called(found.node))
}
