/** Blocking out in words: areas over the columns, drawn while they are typed. */
import { useState } from 'react'
import { areaEdits, readAreas } from '../../core/arrange/areas'
import { sectionOf } from '../../core/arrange/order'
import { formatPx } from '../../core/lattice/solve'
import { spanWidth } from '../../core/lattice/used'
import { Dialog } from '../parts/dialog'
import { NumberChip } from '../parts/number-chip'
import { WordsProblem } from '../parts/words-problem'
import { makeId } from './editor-state'
import { useEditor } from './use-editor'

export function AreasDialog() {
  const editor = useEditor()
  const [text, setText] = useState('aside 4, article rest')
  const [height, setHeight] = useState(320)
  const { layout } = editor
  if (!layout) return null
  const section = editor.selected && sectionOf(editor.doc, editor.selected.id)
  const used = layout.usedFor(section?.id)
  const read = readAreas(text, used.columns)
  const close = () => editor.set({ dialog: undefined })
  const apply = () => {
    if (!Array.isArray(read)) return
    const { edits, made } = areaEdits(editor.doc, layout, read, height, section?.id, makeId)
    if (editor.commit(edits, 'Block out areas')) editor.set({ selection: made })
    close()
  }
  const covered = Array.isArray(read) ? read : []
  return (
    <Dialog title="Areas in words" onClose={close} width={480}>
      <label className="block pb-2">
        <span className="soft">From left to right, with their columns out of {used.columns}</span>
        <input
          className="text-field mt-1 w-full"
          data-first
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && apply()}
        />
      </label>
      <div
        className="grid h-14.5 items-stretch pb-2 tabular-nums"
        style={{ gridTemplateColumns: `repeat(${used.columns}, 1fr)`, columnGap: 4 }}
        aria-hidden="true"
      >
        {Array.from({ length: used.columns }, (_, i) => (
          <span
            key={i}
            className="row-start-1 bg-base-200 pt-0.5 text-center text-micro leading-3 soft"
            style={{ gridColumn: i + 1 }}
          >
            {i + 1}
          </span>
        ))}
        {covered.map(({ name, from, span }) => (
          <span
            key={from}
            className="row-start-1 mt-4 truncate bg-secondary px-1 text-small leading-8.5 font-semibold text-secondary-content"
            style={{ gridColumn: `${from} / span ${span}` }}
          >
            {name}
          </span>
        ))}
      </div>
      {Array.isArray(read) ? (
        <table className="mb-2 w-full tabular-nums">
          <tbody>
            {read.map(({ name, from, span }) => (
              <tr key={from} className="rule-b">
                <td className="py-1">{name}</td>
                <td className="soft">
                  {span === 1 ? `column ${from}` : `columns ${from}–${from + span - 1}`}
                </td>
                <td className="text-right">{formatPx(spanWidth(used, span))} px</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <WordsProblem {...read} />
      )}
      <div className="flex items-center gap-1.5">
        <span>Each</span>
        <NumberChip
          label="Height of the areas"
          value={height}
          unit=" px"
          context={{ min: 1, max: 10_000, whole: editor.view.fold }}
          onChange={setHeight}
        />
        <span className="flex-1">high, {section ? `in ${section.name}` : 'at the end of the page'}</span>
        <button type="button" className="plain-button" onClick={close}>
          Do not
        </button>
        <button type="button" className="main-button" disabled={!Array.isArray(read)} onClick={apply}>
          Block out
        </button>
      </div>
      <p className="pt-2 text-small soft">
        “leave 2” leaves columns free, “rest” takes all that are left. An area grows with what is put into it.
      </p>
    </Dialog>
  )
}
