/** What a block is when it is gone into: its words written, its picture slid, its points pulled, its items typed. One way for Enter, here and in the ledger, and a double press. */
import { menuLine } from '../../core/arrange/menu-items'
import type { Node } from '../../core/document/document'
import { isText } from '../../core/properties/kinds'
import { shapePoints } from '../shapes/fetch-points'
import { askForPicture } from '../shelf/take-pictures'
import { focusItems } from '../spec/focus-words'
import type { Editor } from './editor-state'

const isMenu = (editor: Editor, node: Node, view: string) => menuLine(editor.doc, node, view) !== undefined

export const canOpen = (editor: Editor, node: Node, view = editor.viewId): boolean =>
  isText(node.kind) || node.kind === 'picture' || node.kind === 'shape' || isMenu(editor, node, view)

/** @returns whether there is anything to go into */
export function openBlock(editor: Editor, node: Node, view = editor.viewId): boolean {
  if (isText(node.kind)) editor.set({ editing: { id: node.id, view } })
  else if (node.kind === 'picture') {
    if (editor.shownAsset(node, view)) editor.frame(node, view)
    else askForPicture(editor, node)
  } else if (node.kind === 'shape')
    void shapePoints().then(({ openPoints }) => openPoints(editor, node, view))
  else if (isMenu(editor, node, view)) focusItems()
  else return false
  return true
}
