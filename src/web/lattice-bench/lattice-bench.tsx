/** The lattice bench: say what is known, the rest is solved and drawn at once. */
import { useEffect, useState } from 'react'
import { withBreakpoint, withWidth } from '../../core/arrange/views'
import type { View, ViewLattice } from '../../core/document/schema'
import type { ViewValues } from '../../core/edits/edit'
import {
  formatPx,
  gutterCount,
  LATTICE_KEYS,
  type LatticeKey,
  type LatticeKnown,
  solveLattice,
} from '../../core/lattice/solve'
import { usedLattice as latticeAt } from '../../core/lattice/used'
import { latticeFor, latticeKnown } from '../../core/lattice/view-lattice'
import { wholeNeighbours } from '../../core/lattice/whole'
import { changeViews } from '../editor/change-views'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Check } from '../parts/check'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { Pick } from '../parts/pick'
import { Help } from '../spec/help'
import { Group } from '../spec/line'
import { EveryView } from './every-view'
import { LatticePicture } from './lattice-picture'
import { PageBackground } from './page-background'

const ROWS: { key: LatticeKey; word: string; unit: string }[] = [
  { key: 'width', word: 'Viewport', unit: ' px' },
  { key: 'container', word: 'Container', unit: ' px' },
  { key: 'margin', word: 'Margin', unit: ' px' },
  { key: 'columns', word: 'Columns', unit: '' },
  { key: 'columnWidth', word: 'Column', unit: ' px' },
  { key: 'gutter', word: 'Gutter', unit: ' px' },
]

/** The container's width where the window has no room for it and its least margins; undefined: it has, or they are asked for. */
function heldContainer(
  { width, container, margin }: LatticeKnown,
  lattice: ViewLattice,
  fluid: boolean,
): number | undefined {
  if (fluid || width === undefined || container === undefined || margin !== undefined) return undefined
  return container > width - 2 * lattice.margin && width > 2 * lattice.margin ? container : undefined
}

export function LatticeBench() {
  const editor = useEditor()
  const { view } = editor
  return (
    <>
      <header className="rule-b flex h-11.5 flex-none items-center gap-2 px-4">
        <h2 className="flex-1 text-large font-bold">Lattice</h2>
        <fieldset className="flex gap-1">
          <legend className="sr-only">View</legend>
          {editor.shownViews.map((each) => (
            <Pick
              key={each.id}
              name="bench-view"
              on={each.id === view.id}
              onPick={() => editor.select(undefined, each.id)}
              className={`py-0.5 ${each.id === view.id ? 'bg-secondary font-bold text-secondary-content' : 'soft hover:bg-base-200'}`}
            >
              {each.name}
            </Pick>
          ))}
        </fieldset>
      </header>
      {/* Each view's own: what is typed for one lands on no other. */}
      <BenchBody key={view.id} view={view} />
    </>
  )
}

function BenchBody({ view }: { view: View }) {
  const editor = useEditor()
  const [known, setKnown] = useState(() => latticeKnown(view))
  const [gesture] = useState(makeId)
  const fluid = view.lattice.container === null
  const solution = solveLattice(known, view.lattice.halfGutters)
  const solved = solution.status === 'solved' ? solution.lattice : undefined

  const asking = editor.latticeQuestion !== undefined
  // Undo, another tab, another view, a lattice left as it was: begin again from what is stored, unless it is what stands here.
  // biome-ignore lint/correctness/useExhaustiveDependencies: compares with what is stored
  useEffect(() => {
    const now = solveLattice(latticeKnown(view), view.lattice.halfGutters)
    const same =
      now.status === 'solved' &&
      solved &&
      LATTICE_KEYS.every((key) => Math.abs(now.lattice[key] - solved[key]) < 0.01)
    if (!same && !asking) setKnown(latticeKnown(view))
  }, [view, asking])

  const apply = (asked: LatticeKnown, changes: Partial<ViewLattice> = {}) => {
    const lattice = { ...view.lattice, ...changes }
    // In a window too narrow for it a container takes what the least margins leave, and is still as wide as that elsewhere.
    const most = heldContainer(asked, lattice, fluid)
    const next = most === undefined ? asked : { ...asked, container: asked.width! - 2 * lattice.margin }
    setKnown(next)
    const result = solveLattice(next, lattice.halfGutters)
    // Not solved: the sheet keeps its last good lattice, the bench says what is wrong.
    if (result.status !== 'solved') return
    const nextFluid =
      changes.container === null || (changes.container === undefined && lattice.container === null)
    const solvedTo = latticeFor(lattice, result.lattice, nextFluid)
    const stored = most === undefined ? solvedTo : { ...solvedTo, container: most, margin: lattice.margin }
    const resized = withWidth(editor.doc.views, view.id, result.lattice.width)
    if (typeof resized === 'string') return editor.session.showNotice(resized)
    const views = resized.map((each) => (each.id === view.id ? { ...each, lattice: stored } : each))
    changeViews(editor, views, `Lattice of ${view.name}`, `bench-${gesture}`)
  }
  const setView = (part: ViewValues, label: string) =>
    editor.commit([{ op: 'views', change: { [view.id]: part } }], label)
  const setLattice = (part: Partial<ViewLattice>) =>
    setView({ lattice: { ...view.lattice, ...part } }, `Lattice of ${view.name}`)

  const blamed = new Set(
    solution.status === 'disagree' ? solution.keys : solution.status === 'invalid' ? [solution.key] : [],
  )
  const missing = new Set(solution.status === 'missing' ? solution.need.flat() : [])
  const row = ({ key, word, unit }: (typeof ROWS)[number], isKnown: boolean) => (
    <div
      key={key}
      className={`flex min-h-7.5 items-center gap-2 ${blamed.has(key) ? 'text-error' : missing.has(key) ? 'text-(--gold-text)' : ''}`}
      data-bench={key}
    >
      <span className="flex-1">{word}</span>
      <NumberChip
        label={word}
        value={known[key] ?? solved?.[key]}
        unit={unit}
        shown={known[key] === undefined && !solved ? '?' : undefined}
        className={isKnown ? 'chip' : 'rounded-field px-2 py-1 font-semibold tabular-nums hover:bg-base-200'}
        context={{ whole: known.width, integer: key === 'columns', max: 100_000 }}
        onChange={(value) => apply({ ...known, [key]: value })}
        onClear={() => apply({ ...known, [key]: undefined })}
      />
      {isKnown ? (
        <button
          type="button"
          className="w-13 text-right text-small soft hover:text-primary"
          aria-label={`Solve for ${word.toLowerCase()}`}
          title="Leave it open: solve for it"
          onClick={() => {
            const { [key]: _, ...rest } = known
            apply(rest)
          }}
        >
          solve
        </button>
      ) : (
        <button
          type="button"
          className="w-13 text-right text-small soft hover:text-primary disabled:opacity-40"
          aria-label={`Keep ${word.toLowerCase()} as it is`}
          title="Keep this value and solve for another"
          disabled={!solved}
          onClick={() => solved && setKnown({ ...known, [key]: solved[key] })}
        >
          keep
        </button>
      )}
    </div>
  )
  const knownRows = ROWS.filter(({ key }) => known[key] !== undefined)
  const solvedRows = ROWS.filter(({ key }) => known[key] === undefined)
  const offers = solved && !solved.whole ? wholeNeighbours(solved, view.lattice.halfGutters) : []
  const sum =
    solved &&
    `${solved.columns} × ${formatPx(solved.columnWidth)} + ${gutterCount(solved.columns, view.lattice.halfGutters)} × ${formatPx(solved.gutter)} = ${formatPx(solved.container)}`
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-8" data-lattice-bench={view.id}>
      <div className="py-3">
        <LatticePicture used={latticeAt(view.lattice, view.width)} />
      </div>
      <Group
        title="Known"
        aside={
          <span className="flex items-center gap-1">
            solve from these <Help topic="lattice" />
          </span>
        }
      >
        {knownRows.map((each) => row(each, true))}
      </Group>
      <Group title="Solved" aside={sum}>
        {solvedRows.map((each) => row(each, false))}
        {solvedRows.length === 0 && solved && (
          <p className="py-1 text-small soft">Everything is given, and it adds up.</p>
        )}
        {solution.status !== 'solved' && (
          <p
            role="alert"
            className={`mt-1 rounded-field px-2 py-1.5 text-small leading-4.25 ${solution.status === 'missing' ? 'bg-(--gold-wash) text-(--gold-text)' : 'border border-error/40 text-error'}`}
          >
            {solution.reason.charAt(0).toUpperCase() + solution.reason.slice(1)}.
            {solution.status === 'disagree' && ' Let one of them be solved.'}
          </p>
        )}
      </Group>
      {offers.length > 0 && (
        <Group title="Whole-pixel neighbours" aside={`column is ${formatPx(solved!.columnWidth)}`}>
          {offers.map((offer) => (
            <div
              key={`${offer.columnWidth}-${offer.gutter}`}
              className="flex min-h-6.5 items-center gap-2 tabular-nums"
            >
              <b className="w-15.5">
                {offer.columns} × {offer.columnWidth}
              </b>
              <span className="flex-1 text-small soft">
                gutter {offer.gutter} · {fluid ? `margin ${offer.margin}` : `container ${offer.container}`}
              </span>
              <button
                type="button"
                className="rounded-field px-1.5 font-bold text-primary hover:bg-secondary"
                aria-label={`Use ${offer.columns} columns of ${offer.columnWidth} with gutter ${offer.gutter}`}
                onClick={() =>
                  apply(
                    fluid
                      ? {
                          width: offer.width,
                          margin: offer.margin,
                          columns: offer.columns,
                          gutter: offer.gutter,
                        }
                      : {
                          width: offer.width,
                          container: offer.container,
                          columns: offer.columns,
                          gutter: offer.gutter,
                        },
                  )
                }
              >
                Use
              </button>
            </div>
          ))}
        </Group>
      )}
      <Group title="Container">
        <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
          <span>Stands</span>
          <Choice
            label="Container"
            width={260}
            options={[
              { value: 'center', label: 'centred', hint: 'keeps its width' },
              { value: 'left', label: 'at the left', hint: 'keeps its width' },
              { value: 'stretch', label: 'stretched', hint: 'keeps its margins' },
            ]}
            value={fluid ? 'stretch' : view.lattice.place}
            onChoose={(place) => {
              const used = latticeAt(view.lattice, view.width)
              if (place === 'stretch') {
                const margin = Math.round(((view.width - used.container) / 2) * 100) / 100
                apply(
                  { width: view.width, margin, columns: used.columns, gutter: used.gutter },
                  { container: null, margin },
                )
              } else
                apply(
                  {
                    width: view.width,
                    container: used.container,
                    columns: used.columns,
                    gutter: used.gutter,
                  },
                  { container: used.container, place: place as 'center' | 'left' },
                )
            }}
          />
          {!fluid && (
            <>
              <span>margin at least</span>
              <NumberChip
                label="Least margin"
                value={view.lattice.margin}
                context={{ min: 0, max: 1000 }}
                onChange={(margin) => setLattice({ margin })}
              />
            </>
          )}
        </div>
        <Check on={view.lattice.halfGutters} set={(halfGutters) => apply(known, { halfGutters })}>
          Half a gutter outside the first and last column
        </Check>
      </Group>
      <EveryView
        key={editor.doc.views.map((each) => `${each.lattice.columns}-${each.lattice.gutter}`).join()}
      />
      <Group title="Rhythm and fold">
        <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
          <span>Baseline every</span>
          <NumberChip
            label="Baseline step"
            value={view.lattice.baseline}
            unit=" px"
            context={{ min: 1, max: 1000 }}
            onChange={(baseline) => setLattice({ baseline })}
          />
          <span>fold at</span>
          <NumberChip
            label="Fold"
            value={view.fold}
            unit=" px"
            context={{ min: 100, max: 10_000 }}
            onChange={(fold) => setView({ fold }, `Fold of ${view.name}`)}
          />
        </div>
        <Check on={editor.showBaseline} set={(showBaseline) => editor.set({ showBaseline })}>
          Baseline shown on the sheets
        </Check>
        <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
          <span>What matters is safe down to</span>
          <NumberChip
            label="Safe width"
            value={view.safe}
            unit=" px"
            context={{ min: 100, max: view.width, whole: view.width }}
            onChange={(safe) => setView({ safe }, `Safe area of ${view.name}`)}
            onClear={() => setView({ safe: null }, `No safe area on ${view.name}`)}
          />
        </div>
        {view.breakpoint !== null && (
          <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
            <span>Holds up to a window of</span>
            <NumberChip
              label="Breakpoint"
              value={view.breakpoint}
              unit=" px"
              context={{ min: 100, max: 10_000 }}
              onChange={(breakpoint) => {
                const views = withBreakpoint(editor.doc.views, view.id, breakpoint)
                if (typeof views === 'string') editor.session.showNotice(views)
                else setView({ breakpoint }, `Breakpoint of ${view.name}`)
              }}
            />
          </div>
        )}
      </Group>
      <PageBackground />
    </div>
  )
}
