/** Reference pictures of the active sheet: add, fade, place, scale, look for edges, hide. */
import { ArrowDownToLine, ArrowUpToLine, Eye, EyeOff, X } from 'lucide-react'
import { useEffect, useReducer, useState } from 'react'
import { addGuideEdits } from '../../core/arrange/guides'
import { tracedLines, tracingsOn } from '../../core/arrange/trace'
import type { Tracing, View } from '../../core/document/schema'
import { type Proposal, proposeLattices } from '../../core/lattice/propose'
import { formatPx } from '../../core/lattice/solve'
import { changeViews } from '../editor/change-views'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { eachOf, PictureButton } from '../parts/file-button'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'
import { onEdges, searchEdges } from '../session/trace-worker'
import { readPicture } from './read-picture'

const ICON = { size: 14, strokeWidth: 1.75, 'aria-hidden': true } as const
/** Longest edges that guides are laid at. */
const MOST_GUIDES = 16

export function TracingList() {
  const editor = useEditor()
  const tracings = tracingsOn(editor.page?.aids, editor.viewId)
  return (
    <Popover
      label={`Tracing on ${editor.view.name}: ${tracings.length}`}
      className="plain-button soft"
      button={tracings.length > 0 ? `Tracing ${tracings.length}` : 'Tracing'}
      width={318}
    >
      {(close) => <TracingPanel tracings={tracings} close={close} />}
    </Popover>
  )
}

function TracingPanel({ tracings, close }: { tracings: Tracing[]; close: () => void }) {
  const editor = useEditor()
  const take = async (file: File) => {
    const asset = await readPicture(file, makeId(), editor.session.pictures)
    const id = makeId()
    const scale = Math.round((editor.view.width / asset.width) * 1e5) / 1e5
    const place = { x: 0, y: 0, scale, opacity: 0.5 }
    const aid = { kind: 'tracing' as const, id, view: editor.viewId, asset: asset.id, ...place }
    editor.commit(
      [
        { op: 'asset', id: asset.id, asset },
        { op: 'aid', page: editor.pageId, id, aid },
      ],
      `Trace ${asset.name}`,
    )
  }
  return (
    <div className="p-1.5" data-tracing-panel>
      <p className="pb-1 text-small font-bold">Tracing on {editor.view.name}</p>
      {tracings.length === 0 && (
        <p className="pb-2 text-small leading-4 soft">
          A reference picture under the sheet: faded, locked, never handed off. Guides and blocks snap to its
          edges, and its lattice is read off it.
        </p>
      )}
      {tracings.map((tracing) => (
        <OneTracing key={tracing.id} tracing={tracing} close={close} />
      ))}
      <PictureButton label="Reference picture" takeAll={eachOf(take)}>
        {tracings.length === 0 ? 'Put a picture under the sheet' : 'Another picture'}
      </PictureButton>
    </div>
  )
}

function OneTracing({ tracing, close }: { tracing: Tracing; close: () => void }) {
  const editor = useEditor()
  const asset = editor.doc.assets.get(tracing.asset)
  const set = (change: Partial<Tracing> | null, label: string) =>
    editor.commit(
      [{ op: 'aid', page: editor.pageId, id: tracing.id, aid: change && { ...tracing, ...change } }],
      label,
    )
  const place = { min: -100_000, max: 100_000, whole: editor.view.width }
  if (!asset) return null
  return (
    <div className="rule-b mb-2 pb-2">
      <div className="flex items-center gap-1">
        <b className="min-w-0 flex-1 truncate">{asset.name}</b>
        <button
          type="button"
          className="icon-button"
          aria-label={tracing.over ? 'Put it under the blocks' : 'Put it over the blocks'}
          title={tracing.over ? 'Put it under the blocks' : 'Put it over the blocks'}
          onClick={() => set({ over: tracing.over ? undefined : true }, 'Move the tracing')}
        >
          {tracing.over ? <ArrowDownToLine {...ICON} /> : <ArrowUpToLine {...ICON} />}
        </button>
        <button
          type="button"
          className="icon-button"
          aria-pressed={tracing.hidden === true}
          aria-label={tracing.hidden ? 'Show the tracing' : 'Hide the tracing'}
          title={tracing.hidden ? 'Show' : 'Hide'}
          onClick={() => set({ hidden: tracing.hidden ? undefined : true }, 'Hide or show the tracing')}
        >
          {tracing.hidden ? <EyeOff {...ICON} /> : <Eye {...ICON} />}
        </button>
        <button
          type="button"
          className="icon-button"
          aria-label="Take the tracing away"
          title="Take away"
          onClick={() => set(null, 'Take the tracing away')}
        >
          <X {...ICON} />
        </button>
      </div>
      <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
        <span>At</span>
        <NumberChip
          label="From the left"
          value={tracing.x}
          context={place}
          onChange={(x) => set({ x }, 'Move the tracing')}
        />
        <NumberChip
          label="From the top"
          value={tracing.y}
          context={place}
          onChange={(y) => set({ y }, 'Move the tracing')}
        />
        <span>seen</span>
        <NumberChip
          label="Opacity of the tracing"
          value={Math.round(tracing.opacity * 100)}
          unit=" %"
          context={{ min: 5, max: 100 }}
          onChange={(value) => set({ opacity: value / 100 }, 'Fade the tracing')}
        />
      </div>
      <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
        <span>Wide</span>
        <NumberChip
          label="Width of the tracing"
          value={Math.round(asset.width * tracing.scale * 100) / 100}
          unit=" px"
          context={{ min: 1, max: 100_000, whole: editor.view.width }}
          onChange={(width) =>
            set({ scale: Math.round((width / asset.width) * 1e5) / 1e5 }, 'Scale the tracing')
          }
        />
        <button
          type="button"
          className="chip"
          onClick={() => {
            close()
            editor.set({ scaling: { id: tracing.id, points: [] } })
          }}
        >
          scale by two points
        </button>
      </div>
      <Edges tracing={tracing} />
    </div>
  )
}

/** What was found in the picture, and what to do with it. */
function Edges({ tracing }: { tracing: Tracing }) {
  const editor = useEditor()
  const [, again] = useReducer((count: number) => count + 1, 0)
  const [wanted, setWanted] = useState(true)
  const asset = editor.doc.assets.get(tracing.asset)!
  useEffect(() => onEdges(again), [])
  const search = wanted ? searchEdges(asset) : undefined
  if (!search)
    return (
      <button type="button" className="chip" onClick={() => setWanted(true)}>
        look for edges
      </button>
    )
  if (search.problem)
    return (
      <p role="alert" className="text-small text-error">
        No edges: {search.problem}.
      </p>
    )
  if (!search.edges)
    return (
      <div className="flex items-center gap-2">
        <progress
          className="progress progress-primary flex-1"
          value={search.progress}
          max={1}
          aria-label="Looking for edges"
        />
        <button
          type="button"
          className="chip"
          onClick={() => {
            setWanted(false)
            search.cancel()
          }}
        >
          stop
        </button>
      </div>
    )
  const lines = tracedLines(tracing, search.edges)
  const { x, y } = search.edges
  const proposals = proposeLattices(
    x.map(({ at, run }) => ({ at: tracing.x + at * tracing.scale, run })),
    editor.view.width,
  )
  const longest = [
    ...x.map((edge, i) => ({ run: edge.run, line: lines[i]! })),
    ...y.map((edge, i) => ({ run: edge.run, line: lines[x.length + i]! })),
  ]
    .sort((a, b) => b.run - a.run)
    .slice(0, MOST_GUIDES)
  return (
    <>
      <div className="flex min-h-7.5 items-center gap-1.5" data-edges={`${x.length} ${y.length}`}>
        <span className="flex-1">
          {x.length + y.length === 0
            ? 'No straight edges found'
            : `${x.length} upright and ${y.length} level edges`}
        </span>
        {longest.length > 0 && editor.layout && (
          <button
            type="button"
            className="chip"
            onClick={() =>
              editor.commit(
                addGuideEdits(
                  editor.doc,
                  editor.layout!,
                  longest.map(({ line }) => line),
                  makeId,
                ),
                'Guides at the edges',
              )
            }
          >
            guides there
          </button>
        )}
      </div>
      {proposals.map((proposal) => (
        <Proposed key={proposal.columns} proposal={proposal} />
      ))}
    </>
  )
}

function Proposed({ proposal }: { proposal: Proposal }) {
  const editor = useEditor()
  const { view, doc } = editor
  const { columns, gutter, left, container, columnWidth, explained, of } = proposal
  const use = () => {
    const centred = Math.abs(left - (view.width - left - container)) <= 3
    const lattice: View['lattice'] = {
      ...view.lattice,
      ...{ columns, gutter, halfGutters: false },
      container: Math.round(container * 100) / 100,
      place: centred ? 'center' : 'left',
      margin: centred ? Math.min(view.lattice.margin, left) : left,
    }
    changeViews(
      editor,
      doc.views.map((each) => (each.id === view.id ? { ...each, lattice } : each)),
      `Lattice of ${view.name}`,
    )
  }
  return (
    <div className="flex min-h-7 items-center gap-1.5 text-small tabular-nums" data-proposal={columns}>
      <span className="min-w-0 flex-1">
        <b>
          {columns} of {formatPx(columnWidth)}
        </b>
        , gutter {formatPx(gutter)}
        <span className="soft">
          {' '}
          · {explained} of {of} edges
        </span>
      </span>
      <button
        type="button"
        className="chip"
        aria-label={`Use ${columns} columns with gutter ${gutter}`}
        onClick={use}
      >
        use
      </button>
    </div>
  )
}
