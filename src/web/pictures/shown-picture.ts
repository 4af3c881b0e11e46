/** The picture that the selected block shows. */
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import type { Editor } from '../editor/editor-state'

/** Of several selected ones, of the first. */
export function shownPicture(editor: Editor): { node: Node; asset: Asset } | undefined {
  const [id] = editor.selection
  const node = id === undefined ? undefined : editor.doc.nodes.get(id)
  const shown = node && editor.resolved(node).asset
  const asset = shown ? editor.doc.assets.get(shown) : undefined
  return node && asset && { node, asset }
}
