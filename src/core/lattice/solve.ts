/**
 * The lattice solver. Six quantities, two relations:
 *
 *     container = columns·columnWidth + gutters·gutter     gutters = columns − 1, or columns with half gutters
 *     viewport  = container + 2·margin
 *
 * Any subset that determines the rest is enough; a subset that contradicts itself is told by how much.
 */
export type LatticeKey = 'width' | 'container' | 'margin' | 'columns' | 'columnWidth' | 'gutter'
export type LatticeKnown = Partial<Record<LatticeKey, number>>

export type SolvedLattice = {
  width: number
  container: number
  margin: number
  columns: number
  columnWidth: number
  gutter: number
  /** Every length is a whole number of px. */
  whole: boolean
}

export type LatticeSolution =
  | { status: 'solved'; lattice: SolvedLattice }
  | { status: 'missing'; need: LatticeKey[][]; reason: string }
  | { status: 'disagree'; keys: LatticeKey[]; by: number; reason: string }
  | { status: 'invalid'; key: LatticeKey; reason: string }

export const LATTICE_KEYS: LatticeKey[] = ['width', 'container', 'margin', 'columns', 'columnWidth', 'gutter']

export const LATTICE_WORDS: Record<LatticeKey, string> = {
  width: 'viewport width',
  container: 'container',
  margin: 'margin',
  columns: 'columns',
  columnWidth: 'column width',
  gutter: 'gutter',
}

const EPSILON = 1e-6
/** Two decimals at the most, without trailing zeros. */
export const formatPx = (value: number) => String(Math.round(value * 100) / 100)
const isWhole = (value: number) => Math.abs(value - Math.round(value)) < EPSILON

function invalid(known: LatticeKnown): LatticeSolution | undefined {
  for (const key of LATTICE_KEYS) {
    const value = known[key]
    if (value === undefined) continue
    const bad = (reason: string): LatticeSolution => ({
      status: 'invalid',
      key,
      reason: `${LATTICE_WORDS[key]}: ${reason}`,
    })
    if (!Number.isFinite(value)) return bad('a finite number is needed')
    if (key === 'columns' && (!Number.isInteger(value) || value < 1))
      return bad('a whole number of at least 1 is needed')
    if (key === 'columns' && value > 48) return bad('at most 48')
    if (value < 0) return bad('may not be negative')
    if (value === 0 && (key === 'width' || key === 'container' || key === 'columnWidth'))
      return bad('must be more than 0')
    if (value > 100_000) return bad('at most 100,000 px')
  }
  return undefined
}

/** Number of gutters that add to the container's width. */
export const gutterCount = (columns: number, halfGutters: boolean) => (halfGutters ? columns : columns - 1)

/** Solves for whatever is not known. Lengths in px. Never throws. */
export function solveLattice(known: LatticeKnown, halfGutters = false): LatticeSolution {
  const wrong = invalid(known)
  if (wrong) return wrong
  const found: LatticeKnown = {}
  for (const key of LATTICE_KEYS) if (known[key] !== undefined) found[key] = known[key]

  // Propagate until nothing new follows; the two relations share only the container.
  for (let changed = true; changed; ) {
    changed = false
    const put = (key: LatticeKey, value: number) => {
      if (found[key] === undefined && Number.isFinite(value)) {
        found[key] = value
        changed = true
      }
    }
    const { width, container, margin, columns, columnWidth, gutter } = found
    if (width !== undefined && margin !== undefined) put('container', width - 2 * margin)
    if (width !== undefined && container !== undefined) put('margin', (width - container) / 2)
    if (container !== undefined && margin !== undefined) put('width', container + 2 * margin)
    if (columns !== undefined) {
      const gutters = gutterCount(columns, halfGutters)
      if (columnWidth !== undefined && gutter !== undefined)
        put('container', columns * columnWidth + gutters * gutter)
      if (container !== undefined && gutter !== undefined)
        put('columnWidth', (container - gutters * gutter) / columns)
      if (container !== undefined && columnWidth !== undefined) {
        put('gutter', gutters === 0 ? 0 : (container - columns * columnWidth) / gutters)
      }
    } else if (container !== undefined && columnWidth !== undefined && gutter !== undefined) {
      const count = halfGutters
        ? container / (columnWidth + gutter)
        : (container + gutter) / (columnWidth + gutter)
      put('columns', isWhole(count) ? Math.round(count) : Math.max(1, Math.floor(count)))
    }
  }

  const clash = disagreement(found, known, halfGutters)
  if (clash) return clash
  const missing = LATTICE_KEYS.filter((key) => found[key] === undefined)
  if (missing.length > 0) return { status: 'missing', ...whatIsMissing(found, missing) }

  const solved = found as Record<LatticeKey, number>
  const impossible = outOfRange(solved, known)
  if (impossible) return impossible
  const clean = Object.fromEntries(
    LATTICE_KEYS.map((key) => [key, Math.round(solved[key] * 1e6) / 1e6]),
  ) as Record<LatticeKey, number>
  return { status: 'solved', lattice: { ...clean, whole: LATTICE_KEYS.every((key) => isWhole(clean[key])) } }
}

function disagreement(
  found: LatticeKnown,
  known: LatticeKnown,
  halfGutters: boolean,
): LatticeSolution | undefined {
  const { width, container, margin, columns, columnWidth, gutter } = found
  const given = (keys: LatticeKey[]) => keys.filter((key) => known[key] !== undefined)
  if (columns !== undefined && columnWidth !== undefined && gutter !== undefined && container !== undefined) {
    const gutters = gutterCount(columns, halfGutters)
    const needs = columns * columnWidth + gutters * gutter
    if (Math.abs(needs - container) > EPSILON * 100) {
      const keys = given([
        'container',
        'columns',
        'columnWidth',
        'gutter',
        ...(known.container === undefined ? (['width', 'margin'] as LatticeKey[]) : []),
      ])
      return {
        status: 'disagree',
        keys,
        by: needs - container,
        reason:
          `${columns} × ${formatPx(columnWidth)} + ${gutters} × ${formatPx(gutter)} = ${formatPx(needs)}, ` +
          `but the container is ${formatPx(container)}: ${formatPx(Math.abs(needs - container))} px too ` +
          `${needs > container ? 'wide' : 'narrow'}`,
      }
    }
  }
  if (width !== undefined && container !== undefined && margin !== undefined) {
    const needs = container + 2 * margin
    if (Math.abs(needs - width) > EPSILON * 100) {
      return {
        status: 'disagree',
        keys: given(['width', 'container', 'margin']),
        by: needs - width,
        reason:
          `${formatPx(container)} + 2 × ${formatPx(margin)} = ${formatPx(needs)}, but the viewport is ` +
          `${formatPx(width)}: ${formatPx(Math.abs(needs - width))} px too ${needs > width ? 'wide' : 'narrow'}`,
      }
    }
  }
  return undefined
}

function whatIsMissing(found: LatticeKnown, missing: LatticeKey[]): { need: LatticeKey[][]; reason: string } {
  const need: LatticeKey[][] = []
  const horizontal = missing.filter((key) => key === 'columns' || key === 'columnWidth' || key === 'gutter')
  if (found.container === undefined) {
    need.push(
      found.width === undefined && found.margin === undefined
        ? ['container', 'width', 'margin']
        : ['container', found.width === undefined ? 'width' : 'margin'],
    )
  } else if (found.width === undefined) {
    need.push(['width', 'margin'])
  }
  if (horizontal.length > 0 && (found.container !== undefined || horizontal.length > 1)) need.push(horizontal)
  const groups = need.filter((group) => group.length > 0)
  const words = groups.map((group) => group.map((key) => LATTICE_WORDS[key]).join(' or '))
  return { need: groups, reason: `still needed: ${words.join('; and ')}` }
}

function outOfRange(solved: Record<LatticeKey, number>, known: LatticeKnown): LatticeSolution | undefined {
  const blame = (candidates: LatticeKey[]): LatticeKey =>
    candidates.find((key) => known[key] !== undefined) ?? candidates[0]!
  if (solved.container <= 0) {
    return {
      status: 'invalid',
      key: blame(['margin', 'width', 'container']),
      reason: 'the margins leave no container',
    }
  }
  if (solved.columnWidth <= 0) {
    return {
      status: 'invalid',
      key: blame(['gutter', 'columns', 'container']),
      reason: `the gutters leave no room: ${solved.columns} columns would be ${formatPx(solved.columnWidth)} px wide`,
    }
  }
  if (solved.gutter < 0) {
    return {
      status: 'invalid',
      key: blame(['columnWidth', 'columns', 'container']),
      reason: `the columns are wider than the container by ${formatPx(-solved.gutter * Math.max(1, solved.columns - 1))} px`,
    }
  }
  if (solved.margin < 0) {
    return {
      status: 'invalid',
      key: blame(['container', 'width', 'margin']),
      reason: `the container is ${formatPx(-solved.margin * 2)} px wider than the viewport`,
    }
  }
  return undefined
}
