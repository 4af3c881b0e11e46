/** The numbered header above a sheet: shows the lattice, and says and changes the selected block's columns. */
import { useRef, useState } from 'react'
import { columnAt, coverOf, isOnLattice, sizeOnColumns } from '../../core/arrange/spans'
import { formatPx } from '../../core/lattice/solve'
import { columnLeft } from '../../core/lattice/used'
import { makeId } from '../editor/editor-state'
import { ScopeMark } from '../editor/scope-switch'
import { useBoard } from '../editor/use-editor'
import { BreakageCount } from './breakage-strip'
import { LatticeHandles, latticeWords } from './lattice-handles'
import type { SheetPlace } from './sheet-place'
import { RULER } from './sheet-place'

export function ColumnHeader(place: SheetPlace) {
  const { view, layout, left, top, zoom } = place
  const editor = useBoard()
  const bar = useRef<HTMLDivElement>(null)
  const [drag, setDrag] = useState<
    | {
        start: number
        gesture: string
        grip: 'span' | 'from' | 'to'
        moved: boolean
        cover: { from: number; to: number }
      }
    | undefined
  >()
  // A section on a lattice of its own shows that while something in it is selected.
  const { drag: gesture } = editor
  const pulled = gesture?.kind === 'lattice' && gesture.view === view.id ? gesture : undefined
  const used = pulled?.used ?? layout.usedFor(editor.selected?.id)
  const own = !pulled && used !== layout.used
  const active = editor.view.id === view.id
  const node = editor.selected
  const cover = node && node.kind !== 'section' ? coverOf(layout, node.id) : undefined
  const column = (event: React.PointerEvent) =>
    columnAt(used, (event.clientX - bar.current!.getBoundingClientRect().left) / zoom)
  const put = (from: number, to: number, gesture: string) => {
    if (node)
      editor.commit(
        [editor.setEdit(node, { width: sizeOnColumns(layout, node, from, to) })],
        `Place ${node.name} on columns`,
        gesture,
      )
  }
  const down = (event: React.PointerEvent) => {
    if (!cover || !node || event.button !== 0) return
    event.preventDefault()
    event.stopPropagation()
    if (editor.viewId !== view.id) editor.select(node.id, view.id)
    bar.current!.setPointerCapture(event.pointerId)
    const at = column(event)
    const x = (event.clientX - bar.current!.getBoundingClientRect().left) / zoom
    const near = 8 / zoom
    const leftEdge = columnLeft(used, cover.from)
    const rightEdge = columnLeft(used, cover.to) + used.columnWidth
    const grip = Math.abs(x - leftEdge) < near ? 'from' : Math.abs(x - rightEdge) < near ? 'to' : 'span'
    setDrag({ start: at, gesture: makeId(), grip, moved: false, cover })
  }
  const move = (event: React.PointerEvent) => {
    if (!drag) return
    const at = column(event)
    if (at === drag.start && !drag.moved && drag.grip === 'span') return
    if (!drag.moved) setDrag({ ...drag, moved: true })
    if (drag.grip === 'from') put(Math.min(at, drag.cover.to), drag.cover.to, drag.gesture)
    else if (drag.grip === 'to') put(drag.cover.from, Math.max(at, drag.cover.from), drag.gesture)
    else put(drag.start, at, drag.gesture)
  }
  const up = () => {
    if (!drag || !cover || !node) return
    // A click on a number moves the block there, as wide as it is.
    if (!drag.moved && drag.grip === 'span' && isOnLattice(layout, node)) {
      const width = drag.cover.to - drag.cover.from
      const from = Math.min(drag.start, used.columns - width)
      put(from, from + width, drag.gesture)
    }
    setDrag(undefined)
  }
  const cancel = () => {
    if (drag?.moved) editor.session.giveUp()
    setDrag(undefined)
  }
  const roomy = view.width * zoom > 300
  const scoped = active && view.id !== editor.doc.views[0]!.id
  const numbers = used.columnWidth * zoom >= 11
  return (
    <div
      style={{
        position: 'absolute',
        left,
        top: Math.max(top - 44 - (editor.rulers ? RULER : 0), 0),
        width: view.width * zoom,
        // Stays in sight when the sheet is scrolled under it.
        background: top < 44 ? 'color-mix(in srgb, var(--desk) 94%, transparent)' : undefined,
      }}
    >
      <div
        className="flex items-center text-small leading-5 whitespace-nowrap"
        style={{ maxWidth: Math.max(active ? 230 : 90, view.width * zoom) }}
      >
        <span className="truncate" title={`${view.name} ${view.width} · ${latticeWords(used)}`}>
          <span className={active ? 'font-bold' : 'font-semibold soft'}>
            {view.name}
            {place.theme && `, ${place.theme.name}`}
          </span>{' '}
          <span className="soft">
            {editor.doc.view(view.id).width === view.width ? '' : 'at '}
            {(roomy || !scoped) && view.width}
            {roomy && ` · ${own ? 'section’s own · ' : ''}${latticeWords(used)}`}
            {!roomy && !scoped && ` · ${used.columns} of ${formatPx(used.columnWidth)}`}
          </span>
        </span>
        <ScopeMark view={view} />
        <BreakageCount view={view} />
      </div>
      <div
        ref={bar}
        role="group"
        aria-label={`Columns of ${view.name}`}
        className="relative h-5.5 touch-none"
        style={{ cursor: cover ? 'pointer' : 'default' }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={cancel}
        onLostPointerCapture={() => drag && up()}
        onKeyDown={(event) => event.key === 'Escape' && cancel()}
      >
        <i
          aria-hidden
          className="absolute top-0 h-5.5 w-px bg-primary"
          style={{ left: Math.round(used.left * zoom) }}
        />
        <i
          aria-hidden
          className="absolute top-0 h-5.5 w-px bg-primary"
          style={{ left: Math.round((used.left + used.container) * zoom) - 1 }}
        />
        {Array.from({ length: used.columns }, (_, i) => {
          const number = i + 1
          const filled = cover && number >= cover.from && number <= cover.to
          const x = Math.round(columnLeft(used, number) * zoom)
          const end = Math.round((columnLeft(used, number) + used.columnWidth) * zoom)
          // The gutters inside a span belong to it.
          const joined = filled && number < cover.to ? Math.round(columnLeft(used, number + 1) * zoom) : end
          return (
            <span
              key={number}
              data-column={number}
              className={`absolute top-0.75 h-4 text-center text-tiny leading-4 tabular-nums ${filled ? 'bg-primary font-semibold text-primary-content' : 'bg-base-100 soft'}`}
              style={{ left: x, width: Math.max(1, joined - x) }}
            >
              {numbers ? (
                <span style={{ display: 'inline-block', width: Math.max(1, end - x), float: 'left' }}>
                  {number}
                </span>
              ) : null}
            </span>
          )
        })}
        {!editor.selected && <LatticeHandles {...place} used={used} />}
      </div>
      {pulled && (
        <div className="pointer-events-none absolute top-11.5 left-1/2 z-10 -translate-x-1/2 rounded-field bg-(--gold-wash) px-1.5 text-small font-semibold leading-4.75 whitespace-nowrap text-(--gold-text) tabular-nums">
          {pulled.words}
        </div>
      )}
    </div>
  )
}
