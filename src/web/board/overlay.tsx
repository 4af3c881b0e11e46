/** What is drawn over the sheets in screen px: lattice lines, section heights, the fold, the selection. */
import { Fragment } from 'react'
import { columnWords, coverOf, isOnLattice } from '../../core/arrange/spans'
import { formatPx } from '../../core/lattice/solve'
import { columnLeft, type UsedLattice } from '../../core/lattice/used'
import { Flow } from '../../core/layout/box'
import type { PageLayout } from '../../core/layout/page'
import type { Rect } from '../../core/layout/rect'
import { useBoard } from '../editor/use-editor'
import { Notches } from './notches'
import { RULER, type SheetPlace } from './sheet-place'
import { SizeTag } from './size-tag'

/** The stretches of 0 … `length` that lie outside of `holes`, then those in them. */
function cut(length: number, holes: readonly [number, number][]): [outside: string, inside: string] {
  let outside = ''
  let inside = ''
  let at = 0
  for (const [from, to] of holes) {
    if (from > at) outside += `M0 ${at}V${from}`
    if (to > at) inside += `M0 ${Math.max(at, from)}V${to}`
    at = Math.max(at, to)
  }
  if (length > at) outside += `M0 ${at}V${length}`
  return [outside, inside]
}

/** A stretch of a sheet on one lattice, px on the sheet. */
type Stretch = { used: UsedLattice; from: number; to: number }

/** The sheet top down, cut where a section stands on a lattice of its own. */
function stretches(layout: PageLayout, bottom: number, used: UsedLattice): Stretch[] {
  const out: Stretch[] = []
  let at = 0
  for (const { y, height, lattice } of layout.root.kids) {
    if (!lattice) continue
    if (y > at) out.push({ used, from: at, to: y })
    out.push({ used: lattice, from: y, to: y + height })
    at = y + height
  }
  if (bottom > at) out.push({ used, from: at, to: bottom })
  return out
}

/** The columns' edges, for what of the sheet is on the board. Over pictures they step back, so that those can be judged. */
export function LatticeLines({ view, layout, left, top, zoom, tall }: SheetPlace) {
  const { boardSize, drag } = useBoard()
  const pulled = drag?.kind === 'lattice' && drag.view === view.id ? drag.used : undefined
  return stretches(layout, tall, pulled ?? layout.used).map(({ used, from: begin, to }) => {
    const from = Math.max(begin * zoom, -top)
    const height = Math.min(to * zoom, boardSize.height - top) - from
    if (height <= 0) return null
    const pictures = picturesIn(layout, from / zoom, (from + height) / zoom)
    const xs: number[] = []
    for (let i = 1; i <= used.columns; i++) {
      const x = columnLeft(used, i)
      xs.push(x, x + used.columnWidth)
    }
    return (
      <svg
        key={begin}
        aria-hidden="true"
        className="pointer-events-none absolute overflow-visible"
        style={{ left, top: top + from }}
        width={view.width * zoom}
        height={height}
      >
        <g stroke="var(--sheet-pine)" fill="none">
          {xs.map((x, i) => {
            const holes = pictures
              .filter((rect) => rect.x <= x && rect.x + rect.width >= x)
              .map((rect): [number, number] => [
                Math.max(0, Math.round(rect.y * zoom - from)),
                Math.min(height, Math.round((rect.y + rect.height) * zoom - from)),
              ])
              .sort((a, b) => a[0] - b[0])
            const [outside, inside] = cut(height, holes)
            return (
              <g key={i} transform={`translate(${Math.round(x * zoom) + 0.5} 0)`}>
                <path d={outside} strokeOpacity="0.28" />
                {inside && <path d={inside} strokeOpacity="0.07" />}
              </g>
            )
          })}
        </g>
      </svg>
    )
  })
}

/** Where pictures lie between two heights, px on the sheet. */
function picturesIn(layout: PageLayout, top: number, bottom: number): Rect[] {
  return layout.root.kids
    .filter((section) => section.y < bottom && section.y + section.height > top)
    .flatMap((section) => [section, ...layout.visible(section)])
    .filter((box) => box.flow === Flow.Picture)
    .flatMap((box) => layout.rect(box.id) ?? [])
}

/** Screen px between two lines of the baseline rhythm, at least. */
const RHYTHM = 5

/** The baseline rhythm, for what of the sheet is on the board. */
export function BaselineLines({ view, left, top, zoom, tall }: SheetPlace) {
  const { boardSize } = useBoard()
  const step = view.lattice.baseline
  if (step * zoom < RHYTHM) return null
  const first = Math.max(1, Math.ceil(-top / zoom / step))
  const last = Math.floor(Math.min(tall, (boardSize.height - top) / zoom) / step)
  let lines = ''
  for (let i = first; i <= last; i++) lines += `M0 ${Math.round(i * step * zoom) + 0.5}h${view.width * zoom}`
  return (
    <svg
      aria-hidden="true"
      data-baseline={view.id}
      className="pointer-events-none absolute overflow-visible"
      style={{ left, top }}
      width={1}
      height={1}
    >
      <path d={lines} stroke="var(--sheet-pine)" strokeOpacity="0.16" fill="none" />
    </svg>
  )
}

/** The narrowest window that what matters must survive, on wider sheets. */
export function SafeArea({ view, left, top, zoom, tall }: SheetPlace) {
  if (view.safe === undefined || view.safe >= view.width) return null
  const from = ((view.width - view.safe) / 2) * zoom
  return (
    <div
      aria-hidden="true"
      data-safe={view.safe}
      className="pointer-events-none absolute border-x border-dashed border-(--sheet-gold)"
      style={{ left: left + from, top, width: view.safe * zoom, height: tall * zoom }}
    >
      <div className="absolute bottom-1 left-1 rounded-field bg-(--gold-wash) px-1.5 text-tiny font-semibold leading-4.5 text-(--gold-text)">
        safe {view.safe}
      </div>
    </div>
  )
}

/** Screen px that the words on an empty area need. */
const LABEL = { width: 110, height: 26 }

/** What an empty area comes to, written on it: nobody counts columns. */
export function EmptyAreas({ view, layout, left, top, zoom }: SheetPlace) {
  const { boardSize, editing } = useBoard()
  if (editing) return null
  const areas = layout.root.kids
    .filter(
      (section) => top + section.y * zoom < boardSize.height && top + (section.y + section.height) * zoom > 0,
    )
    .flatMap((section) => [...section.kids, ...section.lifted])
    .filter((box) => box.node.kind === 'box' && box.node.children.length === 0)
  return areas.map((box) => {
    const rect = layout.rect(box.id)
    const cover = coverOf(layout, box.id)
    if (!rect) return null
    // Of what sticks out of the sheet, the part on it.
    const from = Math.max(0, rect.x)
    const width = Math.min(view.width, rect.x + rect.width) - from
    if (width * zoom < LABEL.width || rect.height * zoom < LABEL.height) return null
    return (
      <div
        key={box.id}
        data-area-words={box.id}
        className="pointer-events-none absolute flex items-center justify-center overflow-hidden text-center text-small leading-4 text-[#3a3d38] tabular-nums"
        style={{
          left: left + from * zoom,
          top: top + rect.y * zoom,
          width: width * zoom,
          height: rect.height * zoom,
        }}
      >
        <span>
          <b>{box.node.name}</b>
          <br />
          {cover?.exact && `${columnWords(cover, layout.usedFor(box.id))} · `}
          <span className="whitespace-nowrap">
            {formatPx(rect.width)} × {formatPx(rect.height)}
          </span>
        </span>
      </div>
    )
  })
}

/** Sections' heights along a sheet's left edge. */
export function SectionHeights({ layout, left, top, zoom }: Omit<SheetPlace, 'view'>) {
  const editor = useBoard()
  const selected = new Set(
    editor.selection.flatMap((id) => [id, ...editor.doc.ancestors(id).map((node) => node.id)]),
  )
  return (
    <div
      className="pointer-events-none absolute"
      style={{ left: left - 8 - (editor.rulers ? RULER : 0), top }}
      aria-hidden="true"
    >
      {layout.root.kids.map((section) => {
        const y = Math.round(section.y * zoom)
        const height = Math.round((section.y + section.height) * zoom) - y
        if (y + height < -top || y > editor.boardSize.height - top) return null
        const on = selected.has(section.id)
        return (
          <div key={section.id} className="absolute" style={{ top: y, height }}>
            <div
              className="absolute top-px bottom-px left-0 w-1.25 border border-r-0"
              style={{
                borderColor: on ? 'var(--color-primary)' : 'var(--faint)',
                height: Math.max(0, height - 2),
              }}
            />
            {height >= 14 && section.node.source !== undefined && (
              <div
                className="absolute right-1 -translate-y-1/2 px-0.5 text-right text-small tabular-nums soft"
                style={{ top: (height - 2) / 2 }}
              >
                {formatPx(section.height)}
              </div>
            )}
            {height >= 14 && section.node.source === undefined && (
              <div
                data-section-handle={section.id}
                title="Drag to move the section"
                className={`pointer-events-auto absolute right-1 -translate-y-1/2 cursor-grab rounded-field px-0.5 text-right text-small tabular-nums hover:bg-base-300 ${on ? 'font-bold' : 'soft'}`}
                style={{ top: height / 2, right: 4 }}
              >
                {formatPx(section.height)}
              </div>
            )}
          </div>
        )
      })}
    </div>
  )
}

/** The fold: a line over the sheet, said in the strip that the ruler runs in, where it covers nothing of the page. */
export function Fold({ view, left, top, zoom }: Omit<SheetPlace, 'layout'>) {
  const y = Math.round(top + view.fold * zoom)
  return (
    <div
      className="pointer-events-none absolute"
      style={{ left: left - RULER, top: y, width: view.width * zoom + RULER + 6 }}
      aria-hidden="true"
    >
      <div className="border-t border-dashed" style={{ borderColor: 'var(--sheet-gold)' }} />
      <div
        data-fold={view.id}
        className="absolute top-0 left-0 -translate-y-1/2 rotate-180 rounded-field bg-(--gold-wash) px-1.5 text-center text-tiny font-semibold whitespace-nowrap text-(--gold-text) [writing-mode:vertical-rl]"
        style={{ width: RULER, lineHeight: `${RULER}px` }}
      >
        fold {view.fold}
      </div>
    </div>
  )
}

/** An outline round every selected block on this sheet; the active sheet's also has notches and the size. */
export function Selection({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  const active = editor.view.id === view.id
  // What is slid in its box, and what is pulled by its points, has marks of its own.
  if (editor.framing?.view === view.id || editor.points?.view === view.id) return null
  return (
    <>
      {editor.selection.map((id) => {
        const rect = layout.rect(id)
        if (!rect) return null
        const node = editor.doc.node(id)
        const x = Math.round(left + rect.x * zoom)
        const y = Math.round(top + rect.y * zoom)
        const width = Math.round(left + (rect.x + rect.width) * zoom) - x
        const height = Math.round(top + (rect.y + rect.height) * zoom) - y
        // Of thousands selected, those on the board are outlined.
        const { boardSize } = editor
        if (!editor.drag && (x > boardSize.width || y > boardSize.height || x + width < 0 || y + height < 0))
          return null
        const cover = isOnLattice(layout, node) ? coverOf(layout, id) : undefined
        const columns = cover?.exact
          ? `${cover.from === cover.to ? `column ${cover.from}` : `columns ${cover.from}–${cover.to}`} · `
          : ''
        const only = editor.selection.length === 1
        const turn = layout.boxes.get(id)?.resolved.rotate ?? 0
        return (
          <Fragment key={id}>
            <div
              className="pointer-events-none absolute"
              data-selected={id}
              style={{
                left: x,
                top: y,
                width,
                height,
                outline: `${active ? 1.5 : 1}px solid var(--sheet-pine)`,
                boxShadow: '0 0 0 2.5px rgb(255 255 255 / 55%)',
                rotate: turn ? `${turn}deg` : undefined,
              }}
            >
              {active && only && editor.editing === undefined && (
                <Notches node={node} layout={layout} width={width} height={height} />
              )}
            </div>
            {only && !editor.gauge && (
              <SizeTag
                id={id}
                rect={rect}
                columns={columns}
                view={view}
                layout={layout}
                left={left}
                top={top}
                zoom={zoom}
              />
            )}
          </Fragment>
        )
      })}
    </>
  )
}
