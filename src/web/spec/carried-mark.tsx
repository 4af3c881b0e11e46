import type { Node } from '../../core/document/document'
import { useEditor } from '../editor/use-editor'

/** Says that a block's columns come from a wider view by rule: nobody chose them here. */
export function CarriedMark({ node }: { node: Node }) {
  const editor = useEditor()
  if (!editor.layout?.carrying.widthOf(node, editor.view.id)) return null
  const from = editor.doc.views.find(({ id }) => id === editor.origin(node, 'width')) ?? editor.doc.views[0]
  return (
    <span
      data-carried
      className="rounded-field bg-base-200 px-1 text-small leading-4.5 soft"
      title={`${from!.name} says the columns; here they follow by rule: its share of ${editor.view.name}’s columns, and never narrower than can be read. Change them to choose others.`}
    >
      carried from {from!.name}
    </span>
  )
}
