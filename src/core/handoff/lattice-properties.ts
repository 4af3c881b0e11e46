/** A lattice as custom properties. */
import type { ViewLattice } from '../document/schema'
import { unit } from '../properties/css-text'

/** Custom properties that say a lattice: on the page for a view's, on a section for its own. */
export function latticeProperties(lattice: ViewLattice): [string, string][] {
  const half = lattice.halfGutters ? ` + ${unit(lattice.gutter / 2)}` : ''
  const wrapped = (text: string) => (half ? `calc(${text}${half})` : text)
  let start = unit(lattice.margin)
  let end = unit(lattice.margin)
  // Container units stand for the page's width, scroll bar left out.
  let container = `(100cqw - ${unit(2 * lattice.margin)})`
  if (lattice.container !== null) {
    container = `min(${unit(lattice.container)}, 100cqw - ${unit(2 * lattice.margin)})`
    if (lattice.place === 'center')
      start = end = `max(${unit(lattice.margin)}, (100% - ${unit(lattice.container)}) / 2)`
    else end = `max(${unit(lattice.margin)}, 100% - ${unit(lattice.container + lattice.margin)})`
  }
  const gutters = (lattice.halfGutters ? lattice.columns : lattice.columns - 1) * lattice.gutter
  return [
    ['--columns', String(lattice.columns)],
    ['--gutter', unit(lattice.gutter)],
    ['--edge-start', wrapped(start)],
    ['--edge-end', wrapped(end)],
    // Gutters may be wider than a narrow window: columns are never less than nothing.
    ['--column', `max(0px, (${container} - ${unit(gutters)}) / ${lattice.columns})`],
  ]
}
