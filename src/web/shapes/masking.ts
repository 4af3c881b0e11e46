/** Masks: blocks seen through a shape or the letters of a text, and let out again. */
import { maskEdits, unmaskEdits } from '../../core/arrange/mask'
import { type Editor, makeId } from '../editor/editor-state'
import { inkLine } from './ink'

export function maskSelected(editor: Editor) {
  const { layout, doc, selection } = editor
  const made =
    layout && maskEdits(doc, layout, selection, (node, props) => editor.setEdit(node, props), makeId)
  if (made === undefined) return
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (!editor.commit(made.edits, 'Mask blocks')) return
  editor.select(made.made)
  editor.announce('Masked: points move the mask, and what is seen through it by itself')
}

export function unmaskSelected(editor: Editor) {
  const { layout, doc, selected } = editor
  if (!layout || !selected) return
  const line = { stroke: inkLine(editor.tokens.names('color')) }
  const made = unmaskEdits(doc, layout, selected, line, (node, props) => editor.setEdit(node, props), makeId)
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (!editor.commit(made.edits, 'Let out of the mask')) return
  editor.select(made.made[0])
  editor.set({ selection: made.made })
  editor.announce(`${made.made.length - 1} let out, and the mask as a shape`)
}
