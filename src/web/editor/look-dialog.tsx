/** Putting a copied look on the selection: which parts of it. */
import { useState } from 'react'
import { LOOK_PARTS, type LookPart, lookFor } from '../../core/arrange/look'
import { CheckSet } from '../parts/check'
import { Dialog } from '../parts/dialog'
import { useEditor } from './use-editor'

const WORDS: Record<LookPart, string> = {
  fill: 'Fill',
  border: 'Edge and corners',
  type: 'Type and ink',
  spacing: 'Padding and gaps',
  effects: 'Shadow, opacity, blending',
}

export function LookDialog() {
  const editor = useEditor()
  const [parts, setParts] = useState<ReadonlySet<LookPart>>(new Set(LOOK_PARTS))
  const close = () => editor.set({ dialog: undefined })
  const put = () => {
    const { look } = editor
    if (!look) return close()
    const edits = editor.selection.map((id) => {
      const node = editor.doc.node(id)
      return editor.setEdit(node, lookFor(look.props, node, parts))
    })
    if (editor.commit(edits, `Look of ${look.name}`)) editor.announce(`Look of ${look.name} put on`)
    close()
  }
  return (
    <Dialog title={`Look of ${editor.look?.name ?? ''}`} onClose={close} width={320}>
      <CheckSet all={LOOK_PARTS} words={WORDS} chosen={parts} set={setParts} />
      <div className="flex justify-end gap-2 pt-2">
        <button type="button" className="plain-button" onClick={close}>
          Do not
        </button>
        <button type="button" className="main-button" data-first onClick={put}>
          Put it on{' '}
          {editor.selection.length === 1 ? editor.selected?.name : `${editor.selection.length} blocks`}
        </button>
      </div>
    </Dialog>
  )
}
