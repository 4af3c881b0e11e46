/** From edges seen in a picture to the lattices that they likely stand on. */
export type Proposal = {
  columns: number
  gutter: number
  /** px from the left edge to the first column, and the columns' whole width. */
  left: number
  container: number
  columnWidth: number
  /** Edges that lie on a column's edge, and of how many within the container. */
  explained: number
  of: number
}

/** px that an edge may lie off a column's edge. */
const SLACK = 1.5
const MOST_COLUMNS = 16
/** Longest edges that are tried as the container's. */
const TRIED = 14
const GUTTERS = { min: 4, max: 96 }

const round = (value: number) => Math.round(value * 100) / 100

/** Distances between neighbouring edges that may be gutters, the likeliest first. */
function gutters(edges: readonly number[]): number[] {
  const counts = new Map<number, number>()
  for (let i = 0; i < edges.length; i++)
    for (let k = i + 1; k < edges.length && edges[k]! - edges[i]! <= GUTTERS.max; k++) {
      const gap = Math.round((edges[k]! - edges[i]!) * 2) / 2
      if (gap >= GUTTERS.min) counts.set(gap, (counts.get(gap) ?? 0) + 1)
    }
  return [...counts].sort((a, b) => b[1] - a[1]).map(([gap]) => gap)
}

/**
 * The likeliest lattices, best first: those on which most edges stand, and least by chance. Many narrow columns explain anything, so
 * each edge counts for as much as it is surprising to meet a column's edge there.
 * @param edges px from the sheet's left, with their length as weight
 * @param width of the sheet, px
 */
export function proposeLattices(
  edges: readonly { at: number; run: number }[],
  width: number,
  most = 3,
): Proposal[] {
  const xs = [...new Set(edges.map((edge) => edge.at))].sort((a, b) => a - b)
  const longest = [...edges].sort((a, b) => b.run - a.run).slice(0, TRIED)
  const gaps = gutters(xs).slice(0, 8)
  const found: (Proposal & { score: number })[] = []
  for (const { at: left } of longest)
    for (const { at: right } of longest) {
      const container = right - left
      if (container < width * 0.4) continue
      const inside = xs.filter((x) => x >= left - SLACK && x <= right + SLACK)
      if (inside.length < 4) continue
      const symmetric = Math.abs(left - (width - right)) <= 2 * SLACK
      for (let columns = 2; columns <= MOST_COLUMNS; columns++)
        for (const gutter of gaps) {
          const columnWidth = (container - (columns - 1) * gutter) / columns
          if (columnWidth < gutter || columnWidth < 12) continue
          const explained = inside.filter((x) =>
            onColumnEdge(x, { left, columns, columnWidth, gutter }),
          ).length
          const chance = Math.min(0.9, (columns * 4 * SLACK) / container)
          const surprise = explained * Math.log(1 / chance) + (inside.length - explained) * Math.log(0.15)
          const whole = Math.abs(columnWidth - Math.round(columnWidth)) < 0.05 ? 0.5 : 0
          const score = surprise + (symmetric ? 3 : 0) + whole
          found.push({
            columns,
            gutter,
            left,
            container,
            columnWidth: round(columnWidth),
            explained,
            of: inside.length,
            score,
          })
        }
    }
  found.sort((a, b) => b.score - a.score)
  const kept: Proposal[] = []
  for (const { score, ...proposal } of found) {
    if (score <= 0 || kept.length >= most) break
    if (!kept.some((other) => other.columns === proposal.columns)) kept.push(proposal)
  }
  return kept
}

function onColumnEdge(
  x: number,
  {
    left,
    columns,
    columnWidth,
    gutter,
  }: { left: number; columns: number; columnWidth: number; gutter: number },
): boolean {
  const step = columnWidth + gutter
  const nearest = Math.min(columns - 1, Math.max(0, Math.round((x - left) / step)))
  const before = Math.min(columns - 1, Math.max(0, Math.round((x - left + gutter) / step) - 1))
  return (
    Math.abs(left + nearest * step - x) <= SLACK || Math.abs(left + before * step + columnWidth - x) <= SLACK
  )
}
