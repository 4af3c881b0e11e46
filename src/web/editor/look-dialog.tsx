/** Putting a copied look on the selection: which parts of it. */
import { useState } from 'react'
import { lookFor } from '../../core/arrange/look'
import { LOOK_PARTS, type LookPart } from '../../core/properties/property'
import { CheckSet } from '../parts/check'
import { Dialog } from '../parts/dialog'
import { useEditor } from './use-editor'

const WORDS: Record<LookPart, string> = {
  fill: 'Fill',
  border: 'Border and corners',
  type: 'Type and ink',
  spacing: 'Padding and gaps',
  effects: 'Shadows, opacity, blending',
}

export function LookDialog() {
  const editor = useEditor()
  const [parts, setParts] = useState<ReadonlySet<LookPart>>(new Set(LOOK_PARTS))
  const close = () => editor.set({ dialog: undefined })
  const put = () => {
    const { look } = editor
    if (!look) return close()
    const edits = editor.meant.map((id) => {
      const node = editor.doc.node(id)
      const view = editor.scopedView
      const own = view === undefined ? node.props : node.overrides[view]
      const under = view === undefined ? {} : editor.underView(node)
      return editor.setEdit(node, lookFor(look.props, node, parts, own, under))
    })
    if (editor.commit(edits, `Look of ${look.name}`)) editor.announce(`Look of ${look.name} put on`)
    close()
  }
  return (
    <Dialog title={`Look of ${editor.look?.name ?? ''}`} onClose={close} width={320}>
      <CheckSet all={LOOK_PARTS} words={WORDS} chosen={parts} set={setParts} />
      <div className="flex justify-end gap-2 pt-2">
        <button type="button" className="plain-button" onClick={close}>
          Cancel
        </button>
        <button type="button" className="main-button" data-first onClick={put}>
          Put it on{' '}
          {editor.selection.length === 1 ? editor.selected?.name : `${editor.selection.length} blocks`}
        </button>
      </div>
    </Dialog>
  )
}
