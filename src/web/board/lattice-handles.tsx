/** With nothing selected the lattice itself is pulled in the column header: the container by its edges, the gutters by the first of them. */
import { useState } from 'react'
import { type LatticeHandle, pullLattice } from '../../core/lattice/drag'
import { formatPx } from '../../core/lattice/solve'
import { columnLeft, type UsedLattice, usedLattice } from '../../core/lattice/used'
import { changeViews } from '../editor/change-views'
import { makeId } from '../editor/editor-state'
import { useBoard } from '../editor/use-editor'
import { followPointer } from '../parts/follow-pointer'
import type { SheetPlace } from './sheet-place'

export function latticeWords(used: UsedLattice): string {
  return `container ${formatPx(used.container)} · ${used.columns} ${used.columns === 1 ? 'column' : 'columns'} of ${formatPx(used.columnWidth)}, gutter ${formatPx(used.gutter)}`
}

/** Screen px around an edge in which it is taken hold of. */
const HOLD = 24

const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, ArrowDown: -1, ArrowUp: 1 }

export function LatticeHandles({ view, zoom, used }: SheetPlace & { used: UsedLattice }) {
  const editor = useBoard()
  // Keys pressed one after the other are one step.
  const [gesture, setGesture] = useState(makeId)
  const take = (after: typeof view.lattice, step?: string) => {
    if (after === view.lattice) return
    const views = editor.doc.views.map((each) => (each.id === view.id ? { ...each, lattice: after } : each))
    changeViews(editor, views, `Lattice of ${view.name}`, step)
  }
  const start = (handle: LatticeHandle) => (event: React.PointerEvent) => {
    if (event.button !== 0 || editor.drag) return
    event.preventDefault()
    event.stopPropagation()
    let after = view.lattice
    const stop = () => editor.set({ drag: undefined })
    followPointer(event.pointerId, {
      move: (now) => {
        after = pullLattice(view.lattice, view.width, handle, (now.clientX - event.clientX) / zoom)
        const next = usedLattice(after, view.width)
        editor.set({ drag: { kind: 'lattice', view: view.id, used: next, words: latticeWords(next) } })
      },
      end: () => {
        stop()
        take(after)
      },
      cancel: stop,
    })
  }
  const press = (handle: LatticeHandle) => (event: React.KeyboardEvent) => {
    const way = KEYS[event.key]
    if (way === undefined || event.altKey || event.ctrlKey || event.metaKey) return
    event.preventDefault()
    event.stopPropagation()
    const after = pullLattice(view.lattice, view.width, handle, way * (event.shiftKey ? editor.step : 1))
    take(after, `handle-${gesture}`)
    editor.announce(latticeWords(usedLattice(after, view.width)))
  }
  const gap = columnLeft(used, 1) + used.columnWidth + used.gutter / 2
  const handles: [LatticeHandle, number, string, number][] = [
    ['left', used.left, 'Left edge of the container', used.left],
    ['right', used.left + used.container, 'Right edge of the container', used.left + used.container],
  ]
  if (used.columns > 1) handles.push(['gutter', gap, 'Gutters', used.gutter])
  return handles.map(([handle, at, words, value]) => (
    <div
      key={handle}
      role="slider"
      tabIndex={0}
      aria-label={`${words}, ${view.name}`}
      aria-valuemin={0}
      aria-valuemax={view.width}
      aria-valuenow={Math.round(value * 100) / 100}
      aria-valuetext={`${formatPx(value)} px`}
      data-lattice-handle={handle}
      title={`${words}: drag, or ← →`}
      className="absolute -top-px h-6 cursor-ew-resize rounded-xs hover:bg-accent/40"
      style={{ left: at * zoom - HOLD / 2, width: HOLD }}
      onPointerDown={start(handle)}
      onKeyDown={press(handle)}
      onFocus={() => setGesture(makeId())}
    />
  ))
}
