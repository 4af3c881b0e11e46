/** Turns a text into the outlines of its letters. */
import type { Node } from '../../core/document/document'
import { type Editor, makeId } from '../editor/editor-state'
import { lettering } from './fetch-points'

export async function intoOutlines(editor: Editor, node: Node) {
  const { session } = editor
  if (node.locked) return session.showNotice('it is locked')
  try {
    const { outlineEdits } = await lettering()
    const { layout } = editor
    if (!layout || !editor.doc.nodes.has(node.id)) return
    const name = editor.called(node)
    const made = outlineEdits(editor.doc, layout, node, name, makeId)
    if (typeof made === 'string') return session.showNotice(made)
    if (!editor.commit(made.edits, `Turn ${name} into outlines`)) return
    editor.select(made.made)
    const words = 'A shape now, said as its words'
    editor.set({ keyNote: { words, step: session.history.done } })
    editor.announce(words)
  } catch {
    session.showNotice('the text is as it was: what draws its letters cannot be fetched; try again')
  }
}
