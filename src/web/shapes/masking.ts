/** Masks: blocks seen through a shape or the letters of a text, and let out again. */
import { maskEdits, unmaskEdits } from '../../core/arrange/mask'
import type { Node } from '../../core/document/document'
import type { Edit, PropChanges } from '../../core/edits/edit'
import type { PageLayout } from '../../core/layout/page'
import { type Editor, makeId } from '../editor/editor-state'
import { inkLine } from './ink'

/** What lies in what is the same on every view, so where it lies is, too. */
const set = (node: Node, props: PropChanges): Edit => ({ op: 'set', node: node.id, props })

/** The sheet that leads: places are those of all views. Undefined: changes are meant for one alone, which is said. */
function leading(editor: Editor): PageLayout | undefined {
  if (editor.scopedView !== undefined) {
    editor.session.showNotice(`a mask is the same on every view: switch “Only ${editor.view.name}” off first`)
    return undefined
  }
  return editor.layoutOf(editor.shownViews[0]!.id)
}

export function maskSelected(editor: Editor) {
  const layout = leading(editor)
  if (!layout) return
  const made = maskEdits(editor.doc, layout, editor.selection, set, makeId)
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (!editor.commit(made.edits, 'Mask blocks')) return
  editor.select(made.made)
  editor.announce('Masked: points move the mask, and what is seen through it by itself')
}

export function unmaskSelected(editor: Editor) {
  const { doc, selected } = editor
  const layout = leading(editor)
  if (!layout || !selected) return
  const line = { stroke: inkLine(editor.tokens.names('color')) }
  const made = unmaskEdits(doc, layout, selected, line, set, makeId)
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (!editor.commit(made.edits, 'Let out of the mask')) return
  editor.select(made.made[0])
  editor.set({ selection: made.made })
  editor.announce(`${made.made.length - 1} let out, and the mask as a shape`)
}
