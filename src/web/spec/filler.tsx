/** Words to judge a page by before the real ones are there: by field and kind, or as many as the block has room for. */
import { useState } from 'react'
import type { Node } from '../../core/document/document'
import { resolvedWith } from '../../core/document/resolve'
import { isText } from '../../core/properties/kinds'
import { FIELDS, FILLS, type Field, type Fill, filler, fillerUntil } from '../../core/words/filler'
import { said } from '../../core/words/words'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Pick } from '../parts/pick'
import { Popover } from '../parts/popover'
import { paragraphs } from '../session/fonts'

/** Of the last time; every text that is filled is another. */
let lastField: Field = 'garden'
let number = 0

/** Whether words are higher than their block has room for. */
function overfills(editor: Editor, node: Node, text: string): boolean {
  const box = editor.layout?.boxes.get(node.id)
  if (!box) return true
  const set = paragraphs.get(resolvedWith(box.resolved, { words: said(text) }), node.kind)
  return set.height(Math.max(0, box.width - box.padX)) > box.height - box.padY
}

function fill(editor: Editor, how: Fill | 'room', field: Field) {
  const nodes = editor.selectedNodes.filter(({ kind }) => isText(kind))
  const edits = nodes.map((node) => {
    number++
    const text =
      how === 'room'
        ? fillerUntil(field, number, (words) => overfills(editor, node, words))
        : filler(how, field, number)
    return editor.setEdit(node, { words: said(text) })
  })
  editor.commit(edits, nodes.length === 1 ? `Filler in ${nodes[0]!.name}` : `Filler in ${nodes.length} texts`)
}

export function FillerButton({ node }: { node: Node }) {
  const editor = useEditor()
  const [field, setField] = useState(lastField)
  const hasRoom = editor.resolved(node).height.kind !== 'snug'
  return (
    <Popover label="Filler words" className="chip" button="filler …" width={250}>
      {() => (
        <div className="grid gap-2 p-1">
          <div className="flex flex-wrap gap-0.5" role="radiogroup" aria-label="Field">
            {FIELDS.map((each) => (
              <Pick
                key={each}
                name="filler-field"
                on={each === field}
                onPick={() => {
                  lastField = each
                  setField(each)
                }}
                className={each === field ? 'bg-base-300 font-semibold' : ''}
              >
                {each}
              </Pick>
            ))}
          </div>
          <div className="flex flex-wrap gap-1">
            {[...FILLS, ...(hasRoom ? (['room'] as const) : [])].map((each) => (
              <button
                key={each}
                type="button"
                data-option
                className="chip"
                onClick={() => fill(editor, each, field)}
              >
                {each === 'room' ? 'as it has room for' : `a ${each}`}
              </button>
            ))}
          </div>
        </div>
      )}
    </Popover>
  )
}
