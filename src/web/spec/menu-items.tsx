/** A menu's items in one line: typed, they are made, renamed and taken away. */
import type { SetEdit } from '../../core/arrange/align'
import { itemsIn, menuEdits, menuLine } from '../../core/arrange/menu-items'
import type { Node } from '../../core/document/document'
import { makeId } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { useEditor } from '../editor/use-editor'
import { useTyped } from './typed'

export function MenuItems({ node }: { node: Node }) {
  const editor = useEditor()
  const line = menuLine(editor.doc, node, editor.view.id)
  return line === undefined ? null : <ItemsField node={node} line={line} />
}

function ItemsField({ node, line }: { node: Node; line: string }) {
  const editor = useEditor()
  const { field, problem } = useTyped(line, (typed) => {
    const count = itemsIn(typed).length
    const label = `${count} ${count === 1 ? 'item' : 'items'} in ${editor.called(node)}`
    const set: SetEdit = (each, props) => editor.setEdit(each, props)
    const edits = menuEdits(editor.doc, node, typed, editor.view.id, set, makeId)
    if (editor.scopedView !== undefined && edits.some(({ op }) => op !== 'set'))
      return `${editor.view.name} alone can say other words; items come and go on every view.`
    if (editor.commit(edits, label)) editor.announce(label)
    goHome(editor)
    return undefined
  })
  return (
    <label className="flex min-h-7.5 flex-wrap items-center gap-1.5">
      <span>Items</span>
      <input
        data-menu-items
        className="text-field min-w-0 flex-1"
        placeholder="Home, Catalogue, Workshops"
        title="Links with commas between them. One that is called as a page leads there."
        {...field}
      />
      {problem && (
        <span role="alert" className="w-full text-small text-error">
          {problem}
        </span>
      )}
    </label>
  )
}
