/** A lattice pulled on the sheet itself: by the container's edges, by a gutter. Lengths px. */
import type { ViewLattice } from '../document/schema'
import { usedLattice } from './used'

export type LatticeHandle = 'left' | 'right' | 'gutter'

/**
 * The lattice after a handle was pulled by `dx` to the right, in whole px. A centred container grows on both sides; a fluid one has
 * its margins changed. The column count stays, and no column becomes narrower than `LEAST`.
 * @param width of the view
 */
export function pullLattice(
  before: ViewLattice,
  width: number,
  handle: LatticeHandle,
  dx: number,
): ViewLattice {
  const was = usedLattice(before, width)
  let after: ViewLattice
  if (handle === 'gutter') after = { ...before, gutter: Math.max(0, Math.round(before.gutter + dx)) }
  else {
    const out = handle === 'left' ? -dx : dx
    if (before.container === null) after = { ...before, margin: clamp(before.margin - out, width) }
    else if (before.place === 'center') {
      const container = Math.min(width, Math.max(1, Math.round(was.container + 2 * out)))
      after = { ...before, container, margin: Math.min(before.margin, Math.floor((width - container) / 2)) }
    } else if (handle === 'right')
      after = {
        ...before,
        container: Math.min(width - before.margin, Math.max(1, Math.round(was.container + dx))),
      }
    else after = { ...before, margin: clamp(before.margin + dx, width) }
  }
  return usedLattice(after, width).columnWidth >= LEAST ? after : before
}

const LEAST = 4
const clamp = (margin: number, width: number) =>
  Math.min(Math.floor(width / 2), Math.max(0, Math.round(margin)))
