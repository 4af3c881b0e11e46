/** Lattices near a given one in which every length is a whole number of px. */
import { gutterCount, type SolvedLattice } from './solve'

export type WholeOffer = SolvedLattice & {
  /** Weighted distance from what was asked, px; 0 is the same. */
  cost: number
}

/**
 * Offers whole-pixel neighbours, best first. The viewport and the number of columns are kept; a change of gutter
 * costs more than one of column or margin, because the gutter is what practitioners choose by hand.
 */
export function wholeNeighbours(asked: SolvedLattice, halfGutters = false, most = 5): WholeOffer[] {
  const offers: WholeOffer[] = []
  const { width, columns } = asked
  const gutters = gutterCount(columns, halfGutters)
  const from = Math.max(0, Math.floor(asked.gutter - 12))
  const to = Math.ceil(asked.gutter + 12)
  for (let gutter = from; gutter <= (gutters === 0 ? from : to); gutter++) {
    const near = Math.round(asked.columnWidth)
    for (let columnWidth = Math.max(1, near - 8); columnWidth <= near + 8; columnWidth++) {
      const usedGutter = gutters === 0 ? Math.round(asked.gutter) : gutter
      const container = columns * columnWidth + gutters * usedGutter
      const margin = (width - container) / 2
      if (margin < 0 || !Number.isInteger(margin) || !Number.isInteger(width)) continue
      const cost =
        Math.abs(container - asked.container) +
        3 * Math.abs(usedGutter - asked.gutter) +
        (usedGutter % 4 === 0 ? 0 : 2)
      if (cost < 1e-9) continue
      offers.push({ width, container, margin, columns, columnWidth, gutter: usedGutter, whole: true, cost })
    }
  }
  offers.sort((a, b) => a.cost - b.cost || a.gutter - b.gutter || a.columnWidth - b.columnWidth)
  return offers.slice(0, most)
}
