/** Between a view's stored lattice and the solver's quantities. */
import type { View, ViewLattice } from '../document/schema'
import type { LatticeKnown, SolvedLattice } from './solve'
import { usedLattice } from './used'

/** What a view's stored lattice says by itself. */
export function latticeKnown(view: View): LatticeKnown {
  const { lattice } = view
  const known: LatticeKnown = { width: view.width, columns: lattice.columns, gutter: lattice.gutter }
  if (lattice.container === null) known.margin = lattice.margin
  else known.container = usedLattice(lattice, view.width).container
  return known
}

/** The stored lattice for a solution. A contained lattice keeps a least margin for windows too narrow for it. */
export function latticeFor(before: ViewLattice, solved: SolvedLattice, fluid: boolean): ViewLattice {
  const { columns, gutter, container, margin } = solved
  const least = Math.min(before.container === null ? 24 : before.margin, margin)
  return { ...before, columns, gutter, container: fluid ? null : container, margin: fluid ? margin : least }
}
