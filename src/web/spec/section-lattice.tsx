/** A section's lattice: the view's, or its own. */

import type { Node } from '../../core/document/document'
import { formatPx } from '../../core/lattice/solve'
import type { SectionLattice } from '../../core/properties/values'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { Line } from './line'

export function SectionLatticeLines({ node }: { node: Node }) {
  const editor = useEditor()
  const { layout, view, doc } = editor
  if (!layout) return null
  const { lattice } = editor.resolved(node)
  const own = lattice === undefined || lattice === 'view' ? undefined : lattice
  const used = layout.usedFor(node.id)
  const set = (next: SectionLattice | 'view', label: string) => {
    const edits = [editor.setEdit(node, { lattice: next })]
    // Narrower views keep their own columns unless they are told otherwise.
    if (!own && next !== 'view' && !editor.onlyHere)
      for (const { id } of doc.views.slice(1))
        if (node.overrides[id]?.lattice === undefined)
          edits.push({ op: 'set', node: node.id, view: id, props: { lattice: 'view' } })
    editor.commit(edits, label)
  }
  const chip = (key: 'columns' | 'gutter' | 'margin', word: string) => (
    <>
      <span>{word}</span>
      <NumberChip
        label={`Own ${key}`}
        value={own?.[key]}
        context={key === 'columns' ? { min: 1, max: 48, integer: true } : { min: 0, max: 10_000 }}
        onChange={(value) => own && set({ ...own, [key]: value }, `Lattice of ${node.name}`)}
      />
    </>
  )
  return (
    <>
      <Line node={node} keys={['lattice']}>
        <span>Stands on</span>
        <Choice
          label="Lattice of the section"
          width={250}
          options={[
            { value: false, label: 'the view’s lattice', hint: `${view.lattice.columns} columns` },
            { value: true, label: 'a lattice of its own' },
          ]}
          value={own !== undefined}
          onChoose={(wanted) => {
            if (wanted === (own !== undefined)) return
            const { columns, gutter, container, margin } = view.lattice
            set(wanted ? { columns, gutter, container, margin } : 'view', `Lattice of ${node.name}`)
          }}
        />
        {own && (
          <span className="text-small soft tabular-nums">
            {own.columns} of {formatPx(used.columnWidth)}
          </span>
        )}
      </Line>
      {own && (
        <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
          {chip('columns', 'Columns')}
          {chip('gutter', 'gutter')}
          {own.container === null ? (
            chip('margin', 'margin')
          ) : (
            <>
              <span>container</span>
              <NumberChip
                label="Own container"
                value={own.container}
                context={{ min: 1, max: 100_000, whole: view.width }}
                onChange={(container) => set({ ...own, container }, `Lattice of ${node.name}`)}
              />
            </>
          )}
        </div>
      )}
    </>
  )
}
