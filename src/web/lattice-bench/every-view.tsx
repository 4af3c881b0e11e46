/** The bench for all views: one lattice asked of each, and what it comes to there; presets by kind of page. */
import { useState } from 'react'
import {
  askEveryView,
  type LatticeAtView,
  PRESETS,
  presetViews,
  readEach,
} from '../../core/lattice/every-view'
import { formatPx } from '../../core/lattice/solve'
import { changeViews } from '../editor/change-views'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { Group } from '../spec/line'

export function EveryView() {
  const editor = useEditor()
  const { views } = editor.doc
  const [columns, setColumns] = useState(() => views.map((view) => view.lattice.columns).join(' / '))
  const [gutters, setGutters] = useState(() => views.map((view) => view.lattice.gutter).join(' / '))
  const readColumns = readEach(columns, views.length, 1, 48)
  const readGutters = readEach(gutters, views.length, 0, 400)
  const problem =
    typeof readColumns === 'string' ? readColumns : typeof readGutters === 'string' ? readGutters : undefined
  const asked: LatticeAtView[] =
    typeof readColumns === 'string' || typeof readGutters === 'string'
      ? []
      : askEveryView(views, readColumns, readGutters)
  const same = asked.every(
    ({ view, lattice }) => view.lattice.columns === lattice.columns && view.lattice.gutter === lattice.gutter,
  )
  const field = (label: string, value: string, set: (value: string) => void) => (
    <label className="flex min-h-8 items-center gap-2">
      <span className="w-16">{label}</span>
      <input
        className="text-field min-w-0 flex-1 tabular-nums"
        value={value}
        spellCheck={false}
        onChange={(event) => set(event.target.value)}
        onKeyDown={(event) => event.stopPropagation()}
      />
    </label>
  )
  return (
    <Group title="Every view at once" aside="widest first">
      <div className="flex min-h-7.5 items-center gap-1.5">
        <span>Begin as a</span>
        <Choice
          label="Kind of page"
          width={260}
          options={PRESETS.map((preset) => ({ value: preset.id, label: preset.name, hint: preset.words }))}
          value={undefined as string | undefined}
          shown="kind of page …"
          onChoose={(id) => {
            const preset = PRESETS.find((each) => each.id === id)!
            const next = presetViews(views, preset)
            changeViews(editor, next, `${preset.name} lattice`)
            setColumns(next.map((view) => view.lattice.columns).join(' / '))
            setGutters(next.map((view) => view.lattice.gutter).join(' / '))
          }}
        />
      </div>
      {field('Columns', columns, setColumns)}
      {field('Gutters', gutters, setGutters)}
      {problem && (
        <p role="alert" className="py-1 text-small text-error">
          {problem.charAt(0).toUpperCase() + problem.slice(1)}.
        </p>
      )}
      {asked.map(({ view, lattice, columnWidth, whole }) => (
        <div
          key={view.id}
          className="flex min-h-6 items-baseline gap-2 text-small tabular-nums"
          data-asked={view.id}
        >
          <span className="w-16 font-semibold">{view.name}</span>
          <span className="flex-1 soft">
            {lattice.columns} of {formatPx(columnWidth)}
          </span>
          <span className={whole ? 'soft' : 'text-(--gold-text)'}>
            {whole ? 'whole px' : 'parts of a px'}
          </span>
        </div>
      ))}
      {!problem && !same && (
        <button
          type="button"
          className="main-button mt-2"
          onClick={() =>
            changeViews(
              editor,
              asked.map(({ view, lattice }) => ({ ...view, lattice })),
              'Lattice of every view',
            )
          }
        >
          Use on every view
        </button>
      )}
    </Group>
  )
}
