/** A view's lattice at one window width: where its columns really are. */
import type { ViewLattice } from '../document/schema'
import { gutterCount } from './solve'

export type UsedLattice = {
  /** Window width, px. */
  width: number
  /** From the window's left edge to the container, px. */
  left: number
  right: number
  container: number
  columns: number
  columnWidth: number
  gutter: number
  /** From the container's edge to the first column: half a gutter, or 0. */
  inset: number
}

/** Resolves `lattice` at window width `width` (px), as the CSS of the handoff does. */
export function usedLattice(lattice: ViewLattice, width: number): UsedLattice {
  const spare = lattice.container === null ? 0 : width - lattice.container
  let left = lattice.margin
  let right = lattice.margin
  if (lattice.container !== null) {
    if (lattice.place === 'center') left = right = Math.max(lattice.margin, spare / 2)
    else right = Math.max(lattice.margin, spare - lattice.margin)
  }
  const container = Math.max(0, width - left - right)
  const inset = lattice.halfGutters ? lattice.gutter / 2 : 0
  const gutters = gutterCount(lattice.columns, lattice.halfGutters)
  const columnWidth = Math.max(0, (container - gutters * lattice.gutter) / lattice.columns)
  return {
    width,
    left,
    right,
    container,
    columns: lattice.columns,
    columnWidth,
    gutter: lattice.gutter,
    inset,
  }
}

/** Left edge of column `index` (counted from 1) from the window's left edge, px. */
export const columnLeft = (used: UsedLattice, index: number) =>
  used.left + used.inset + (index - 1) * (used.columnWidth + used.gutter)

/** Width of `span` columns with the gutters between them, px. */
export const spanWidth = (used: UsedLattice, span: number) =>
  span * used.columnWidth + Math.max(0, span - 1) * used.gutter

/** The columns that an extent covers, by outer edges: a left edge counts from a column's left edge, a right from a right. */
export function columnsOf(
  used: UsedLattice,
  x: number,
  width: number,
): { from: number; span: number; exact: boolean } {
  const step = used.columnWidth + used.gutter || 1
  const origin = used.left + used.inset
  const clamp = (value: number) => Math.min(used.columns, Math.max(1, value))
  const from = clamp(Math.round((x - origin) / step) + 1)
  const to = Math.max(from, clamp(Math.round((x + width - origin + used.gutter) / step)))
  const exact =
    Math.abs(columnLeft(used, from) - x) < 0.5 &&
    Math.abs(columnLeft(used, to) + used.columnWidth - x - width) < 0.5
  return { from, span: to - from + 1, exact }
}
