/** Snapping with a reason: what an edge can land on, and what it did land on. All px on a sheet. */
import type { Guide } from '../document/schema'
import { formatPx } from '../lattice/solve'
import { columnLeft, type UsedLattice } from '../lattice/used'
import type { PageLayout } from '../layout/page'
import { contentRect, type Rect } from '../layout/rect'

export const SNAP_KINDS = [
  'guides',
  'tracing',
  'columns',
  'gutters',
  'container',
  'siblings',
  'parent',
  'gaps',
  'baseline',
  'sections',
  'centre',
  'thirds',
] as const
export type SnapKind = (typeof SNAP_KINDS)[number]

/** Which edge of the moving block a line is for: a column's left edge takes left edges, its right edge right ones. */
export type Side = 'start' | 'middle' | 'end'
export type SnapLine = {
  axis: 'x' | 'y'
  at: number
  /** Edges that may land on it. */
  sides: readonly Side[]
  kind: SnapKind
  /** “column 5, left edge”. */
  reason: string
}
export type Snapped = {
  rect: Rect
  /** What was hit, at most one an axis. */
  hits: SnapLine[]
}

const START: readonly Side[] = ['start']
const END: readonly Side[] = ['end']
const EDGES: readonly Side[] = ['start', 'end']
const MIDDLE: readonly Side[] = ['middle']
export const ANY_SIDE: readonly Side[] = ['start', 'middle', 'end']

export function latticeLines(used: UsedLattice, on: ReadonlySet<SnapKind>): SnapLine[] {
  const lines: SnapLine[] = []
  if (on.has('columns'))
    for (let i = 1; i <= used.columns; i++) {
      const left = columnLeft(used, i)
      const right = left + used.columnWidth
      lines.push(
        { axis: 'x', at: left, sides: START, kind: 'columns', reason: `column ${i}, left edge` },
        { axis: 'x', at: right, sides: END, kind: 'columns', reason: `column ${i}, right edge` },
      )
    }
  if (on.has('container'))
    lines.push(
      { axis: 'x', at: used.left, sides: START, kind: 'container', reason: 'container, left edge' },
      {
        axis: 'x',
        at: used.left + used.container,
        sides: END,
        kind: 'container',
        reason: 'container, right edge',
      },
    )
  if (on.has('centre'))
    lines.push({ axis: 'x', at: used.width / 2, sides: MIDDLE, kind: 'centre', reason: 'page centre' })
  if (on.has('thirds'))
    for (const third of [1, 2])
      lines.push({
        axis: 'x',
        at: (used.width * third) / 3,
        sides: ANY_SIDE,
        kind: 'thirds',
        reason: third === 1 ? 'a third of the page' : 'two thirds of the page',
      })
  // Last: where a gutter's middle is the page's centre too, the centre says more.
  if (on.has('gutters'))
    for (let i = 1; i < used.columns; i++)
      lines.push({
        axis: 'x',
        at: columnLeft(used, i) + used.columnWidth + used.gutter / 2,
        sides: MIDDLE,
        kind: 'gutters',
        reason: `middle of gutter ${i}`,
      })
  return lines
}

/** Guides as lines that every edge may land on. */
export const guideLines = (guides: readonly Guide[]): SnapLine[] =>
  guides.map(({ axis, at }) => ({
    axis,
    at,
    sides: ANY_SIDE,
    kind: 'guides',
    reason: `guide ${formatPx(at)}`,
  }))

export function rectLines(rect: Rect, name: string, kind: SnapKind): SnapLine[] {
  const line = (axis: 'x' | 'y', at: number, sides: readonly Side[], word: string): SnapLine => ({
    axis,
    at,
    sides,
    kind,
    reason: `${name}, ${word}`,
  })
  return [
    line('x', rect.x, EDGES, 'left edge'),
    line('x', rect.x + rect.width, EDGES, 'right edge'),
    line('x', rect.x + rect.width / 2, MIDDLE, 'centre'),
    line('y', rect.y, EDGES, 'top edge'),
    line('y', rect.y + rect.height, EDGES, 'bottom edge'),
    line('y', rect.y + rect.height / 2, MIDDLE, 'middle'),
  ]
}

/** Lines at which the gap to one neighbour equals the gap between two others. */
function gapLines(siblings: Rect[], axis: 'x' | 'y'): SnapLine[] {
  const from = (rect: Rect) => (axis === 'x' ? rect.x : rect.y)
  const size = (rect: Rect) => (axis === 'x' ? rect.width : rect.height)
  const sorted = [...siblings].sort((a, b) => from(a) - from(b))
  const lines: SnapLine[] = []
  for (let i = 1; i < sorted.length; i++) {
    const gap = from(sorted[i]!) - from(sorted[i - 1]!) - size(sorted[i - 1]!)
    if (gap <= 0) continue
    const words = `gap ${Math.round(gap * 100) / 100} = ${Math.round(gap * 100) / 100}`
    lines.push(
      { axis, at: from(sorted[i]!) + size(sorted[i]!) + gap, sides: START, kind: 'gaps', reason: words },
      { axis, at: from(sorted[i - 1]!) - gap, sides: END, kind: 'gaps', reason: words },
    )
  }
  return lines
}

export const sectionLines = (layout: PageLayout): SnapLine[] =>
  layout.root.kids.flatMap(({ y, height, node }): SnapLine[] => [
    { axis: 'y', at: y, sides: START, kind: 'sections', reason: `${node.name}, top` },
    { axis: 'y', at: y + height, sides: END, kind: 'sections', reason: `${node.name}, bottom` },
  ])

/** Every line that moving blocks can land on; siblings and parent are those of the last. `guides`, `traced`: those of the layout's view. */
export function snapLines(
  layout: PageLayout,
  ids: readonly string[],
  on: ReadonlySet<SnapKind>,
  guides: readonly Guide[] = [],
  traced: readonly SnapLine[] = [],
): SnapLine[] {
  const box = layout.boxes.get(ids[ids.length - 1]!)
  const lines = latticeLines(layout.usedFor(box?.id), on)
  if (on.has('guides')) lines.unshift(...guideLines(guides))
  if (on.has('tracing')) lines.push(...traced)
  const parent = box?.parent
  const around = parent && parent !== layout.root ? layout.rect(parent.id) : undefined
  const siblings = parent
    ? [...parent.kids, ...parent.lifted]
        .filter((each) => !ids.includes(each.id))
        .flatMap((each) => {
          const rect = layout.seen(each.id)
          return rect ? [{ rect, name: each.node.name }] : []
        })
    : []
  if (on.has('siblings'))
    for (const { rect, name } of siblings) lines.push(...rectLines(rect, name, 'siblings'))
  if (on.has('parent') && parent && around) {
    lines.push(...rectLines(contentRect(parent, around), `inside ${parent.node.name}`, 'parent'))
  }
  if (on.has('gaps')) {
    const rects = siblings.map((each) => each.rect)
    lines.push(...gapLines(rects, 'x'), ...gapLines(rects, 'y'))
  }
  if (on.has('sections')) lines.push(...sectionLines(layout))
  return lines
}

/** The line nearest to one of some edges, within `reach`, and how far that edge is from it. */
export function nearest(
  lines: readonly SnapLine[],
  axis: 'x' | 'y',
  edges: readonly (readonly [Side, number])[],
  reach: number,
): { line: SnapLine; shift: number } | undefined {
  let best: { line: SnapLine; shift: number } | undefined
  for (const line of lines) {
    if (line.axis !== axis) continue
    for (const [side, at] of edges) {
      if (!line.sides.includes(side)) continue
      const shift = line.at - at
      if (Math.abs(shift) <= reach && (!best || Math.abs(shift) < Math.abs(best.shift)))
        best = { line, shift }
    }
  }
  return best
}

/** The baseline step nearest to one of some edges, within `reach`; `baseline` px, 0: none. */
export function onBaseline(
  edges: readonly (readonly [Side, number])[],
  baseline: number,
  reach: number,
): { line: SnapLine; shift: number } | undefined {
  if (baseline <= 0) return undefined
  const lines = edges.map(([side, at]): SnapLine => {
    const step = Math.round(at / baseline)
    return {
      axis: 'y',
      at: step * baseline,
      sides: [side],
      kind: 'baseline',
      reason: `baseline step ${step}`,
    }
  })
  return nearest(lines, 'y', edges, Math.min(reach, baseline / 2))
}

const edgesOf = (from: number, size: number): (readonly [Side, number])[] => [
  ['start', from],
  ['middle', from + size / 2],
  ['end', from + size],
]

/**
 * Moves a rect onto the nearest line within `reach` px, each axis by itself. `baseline` px: a rhythm that top edges also land on
 * when nothing nearer is there; 0: none.
 */
export function snapRect(rect: Rect, lines: readonly SnapLine[], reach: number, baseline = 0): Snapped {
  const out = { ...rect }
  const hits: SnapLine[] = []
  const x = nearest(lines, 'x', edgesOf(rect.x, rect.width), reach)
  if (x) {
    out.x += x.shift
    hits.push(x.line)
  }
  const y =
    nearest(lines, 'y', edgesOf(rect.y, rect.height), reach) ??
    onBaseline([['start', rect.y]], baseline, reach)
  if (y) {
    out.y += y.shift
    hits.push(y.line)
  }
  return { rect: out, hits }
}
