/** What is drawn over the sheets in screen px: lattice lines, section heights, the fold, the selection. */

import { coverOf, isOnLattice } from '../../core/arrange/spans'
import type { View } from '../../core/document/schema'
import { formatPx } from '../../core/lattice/solve'
import { columnLeft } from '../../core/lattice/used'
import { Flow } from '../../core/layout/box'
import type { PageLayout } from '../../core/layout/page'
import { useEditor } from '../editor/use-editor'
import { Notches } from './notches'

type Props = { view: View; layout: PageLayout; left: number; top: number; zoom: number }

export function LatticeLines({ view, layout, left, top, zoom }: Props) {
  const { used } = layout
  const height = Math.max(layout.height, view.fold) * zoom
  const lines: number[] = []
  for (let i = 1; i <= used.columns; i++)
    lines.push(columnLeft(used, i), columnLeft(used, i) + used.columnWidth)
  // Over pictures the lattice steps back, so that they can be judged.
  const pictures = [...layout.visible()]
    .filter((box) => box.flow === Flow.Picture)
    .flatMap((box) => layout.rect(box.id) ?? [])
  const mask = `lattice-${view.id}`
  return (
    <svg
      aria-hidden="true"
      className="pointer-events-none absolute overflow-visible"
      style={{ left, top }}
      width={view.width * zoom}
      height={height}
    >
      <defs>
        <mask id={mask}>
          <rect width="100%" height="100%" fill="white" />
          {pictures.map((rect, i) => (
            <rect
              key={i}
              x={rect.x * zoom}
              y={rect.y * zoom}
              width={rect.width * zoom}
              height={rect.height * zoom}
              fill="#444"
            />
          ))}
        </mask>
      </defs>
      <g mask={`url(#${mask})`} stroke="var(--sheet-pine)" strokeOpacity="0.28">
        {lines.map((x, i) => (
          <line key={i} x1={Math.round(x * zoom) + 0.5} x2={Math.round(x * zoom) + 0.5} y1={0} y2={height} />
        ))}
      </g>
    </svg>
  )
}

/** Sections' heights along a sheet's left edge. */
export function SectionHeights({ layout, left, top, zoom }: Omit<Props, 'view'>) {
  const editor = useEditor()
  const selected = new Set(
    editor.selection.flatMap((id) => [id, ...editor.doc.ancestors(id).map((node) => node.id)]),
  )
  return (
    <div className="pointer-events-none absolute" style={{ left: left - 8, top }} aria-hidden="true">
      {layout.root.kids.map((section) => {
        const y = Math.round(section.y * zoom)
        const height = Math.round((section.y + section.height) * zoom) - y
        const on = selected.has(section.id)
        return (
          <div key={section.id} className="absolute" style={{ top: y, height }}>
            <div
              className="absolute top-px bottom-px left-0 w-[5px] border border-r-0"
              style={{
                borderColor: on ? 'var(--color-primary)' : 'var(--faint)',
                height: Math.max(0, height - 2),
              }}
            />
            {height >= 14 && (
              <div
                className={`absolute right-1 -translate-y-1/2 text-right text-[12px] tabular-nums ${on ? 'font-bold' : 'soft'}`}
                style={{ top: height / 2, right: 6 }}
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

export function Fold({ view, left, top, zoom }: Omit<Props, 'layout'>) {
  const y = Math.round(top + view.fold * zoom)
  return (
    <div
      className="pointer-events-none absolute"
      style={{ left: left - 6, top: y, width: view.width * zoom + 12 }}
      aria-hidden="true"
    >
      <div className="border-t border-dashed" style={{ borderColor: 'var(--sheet-gold)' }} />
      <div className="absolute -top-[9px] right-0 rounded-[3px] bg-(--gold-wash) px-1.5 text-[11px] font-semibold leading-[18px] text-(--gold-text)">
        fold {view.fold}
      </div>
    </div>
  )
}

/** An outline round every selected block on this sheet; the active sheet's also has notches and the size. */
export function Selection({ view, layout, left, top, zoom }: Props) {
  const editor = useEditor()
  const active = editor.view.id === view.id
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
        const cover = isOnLattice(layout, node) ? coverOf(layout, id) : undefined
        const columns = cover?.exact
          ? `${cover.from === cover.to ? `column ${cover.from}` : `columns ${cover.from}–${cover.to}`} · `
          : ''
        const only = editor.selection.length === 1
        return (
          <div
            key={id}
            className="pointer-events-none absolute"
            data-selected={id}
            style={{
              left: x,
              top: y,
              width,
              height,
              outline: `${active ? 1.5 : 1}px solid var(--sheet-pine)`,
              boxShadow: '0 0 0 2.5px rgb(255 255 255 / 55%)',
            }}
          >
            {active && only && editor.editing === undefined && (
              <Notches node={node} layout={layout} width={width} height={height} />
            )}
            {only && (
              <div
                className="absolute left-0 whitespace-nowrap rounded-[3px] px-1.5 text-[12px] font-semibold leading-[19px] text-white tabular-nums"
                style={{ top: height + 7, background: 'var(--sheet-pine)' }}
                data-size-tag={view.id}
              >
                {columns}
                {formatPx(rect.width)} × {formatPx(rect.height)}
              </div>
            )}
          </div>
        )
      })}
    </>
  )
}
