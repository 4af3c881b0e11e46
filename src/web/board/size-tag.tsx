/** The size of what is selected, written beside it where it covers least of the page. */
import { useLayoutEffect, useMemo, useRef } from 'react'
import { besides, type Side } from '../../core/arrange/beside'
import { formatPx } from '../../core/lattice/solve'
import type { Rect } from '../../core/layout/rect'
import { useBoard } from '../editor/use-editor'
import { RULER, type SheetPlace } from './sheet-place'

/** Screen px. */
const HIGH = 19
const GAP = 7
/** The column header and the ruler, which stay at the board's top. */
const TOP = 44 + RULER

type Props = Omit<SheetPlace, 'tall' | 'theme'> & { id: string; rect: Rect; columns: string }

/** @param columns what it takes of the lattice, in words, or '' */
export function SizeTag({ id, rect, columns, view, layout, left, top, zoom }: Props) {
  const editor = useBoard()
  const turn = layout.boxes.get(id)?.resolved.rotate ?? 0
  // The tag stays upright beside what is seen of a turned block.
  const seen = turn === 0 ? rect : layout.seen(id)!
  const words = `${columns}${formatPx(rect.width)} × ${formatPx(rect.height)}${turn === 0 ? '' : ` · ${formatPx(turn)}°`}`
  // About as wide as its words.
  const wide = 12 + 6 * words.length
  const before = useRef<Side>(undefined)
  const { boardSize } = editor
  const { x, y, width, height } = seen
  const { version } = layout
  // Not in every frame of a pan.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the layout changed
  const found = useMemo(
    () =>
      besides(
        layout,
        { x, y, width, height },
        { width: wide / zoom, height: HIGH / zoom },
        GAP / zoom,
        view.width,
      ),
    [layout, version, x, y, width, height, wide, zoom, view.width],
  )
  const onBoard = ({ x, y }: Rect) =>
    left + x * zoom >= 0 &&
    left + x * zoom + wide <= boardSize.width &&
    top + y * zoom >= TOP &&
    top + y * zoom + HIGH <= boardSize.height
  const on = found.filter(({ rect }) => onBoard(rect))
  // What is pulled keeps it at its side: nothing jumps.
  const held = editor.drag && on.find(({ side }) => side === before.current)
  // Wholly off the sheet there is no place beside it: then where it would be below.
  const { side, rect: place } = held ?? on[0] ?? found[0] ?? { side: 'below', rect: { x, y: y + height } }
  useLayoutEffect(() => {
    before.current = side
  })
  return (
    <div
      className="pointer-events-none absolute whitespace-nowrap rounded-field px-1.5 text-small font-semibold leading-4.75 text-white tabular-nums"
      style={{
        // Of what is larger than the board it stays in sight.
        left: Math.round(Math.max(0, Math.min(left + place.x * zoom, boardSize.width - wide))),
        top: Math.round(Math.max(TOP, Math.min(top + place.y * zoom, boardSize.height - HIGH - GAP))),
        background: 'var(--sheet-pine)',
      }}
      data-size-tag={view.id}
    >
      {words}
    </div>
  )
}
