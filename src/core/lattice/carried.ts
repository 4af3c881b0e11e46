/**
 * Carried spans: the columns of a block on a view that says none for it. The rule by which a row of a wider view's lattice comes to
 * stand on fewer columns (or more); what it says is written in `docs/format.md`.
 */
import type { Cell } from './cells'

/** px a block of words has to be wide to be read: some twenty letters. */
export const READABLE = 160

/** Below this many columns a lattice is a phone's: what is no small block takes all of it. */
const FEW = 5

/** In columns of a host; `from` counts from 1, 0: placed automatically. */
export type Placed = { from: number; span: number }

export type Carried = Cell & {
  /** What the narrower view makes of it at the least, columns. */
  least: number
  /** About as high as wide. */
  square: boolean
}

/** Whether a share of the columns is small enough to stand in pairs where columns are few. */
const inPairs = ({ span, square }: Carried, before: number) =>
  4 * span < before || (square && 3 * span <= before)

/** Carries a block that stands by itself, outside a lattice. `before` and `now`: columns there were and are. */
export function carriedWidth(span: number, before: number, now: number): number {
  if (now < before && now < FEW && 4 * span >= before) return now
  return Math.max(1, Math.min(now, Math.round((span * now) / before)))
}

/**
 * Carries one row. Few columns: each block takes them all, small ones half. More: blocks of one width stay so, and fill their row
 * with as many as can be read; others keep the places of their edges, or, where they could not be read, take a row each.
 * @param row from left to right, placed in `before` columns
 */
export function carryRow(row: readonly Carried[], before: number, now: number): Placed[] {
  if (now < before && now < FEW)
    return row.map((cell) => ({ from: 0, span: inPairs(cell, before) ? Math.ceil(now / 2) : now }))
  const { span } = row[0]!
  if (before % span === 0 && row.every((cell) => cell.span === span)) return carryEqual(row, before, now)
  return carryEdges(row, before, now)
}

/** A number of columns that divides the row: of fewer columns the share rounded up, of more rounded down. */
function dividing(share: number, least: number, columns: number): number {
  let found = columns
  for (let span = columns; span >= 1; span--)
    if (columns % span === 0 && span >= least) {
      if (span >= share) found = span
    }
  return found
}

function carryEqual(row: readonly Carried[], before: number, now: number): Placed[] {
  const share = (row[0]!.span * now) / before
  const least = Math.max(...row.map((cell) => cell.least))
  // Of more columns than there were a row would be cut into more rows by rounding up.
  const span = now < before ? dividing(share, least, now) : Math.max(1, Math.floor(share))
  return row.map((cell) => {
    if (cell.from === 0 || span * row.length > now) return { from: 0, span }
    const middle = ((cell.column + cell.span / 2) * now) / before
    return { from: Math.min(now - span, Math.max(0, Math.round(middle - span / 2))) + 1, span }
  })
}

function carryEdges(row: readonly Carried[], before: number, now: number): Placed[] {
  const edge = (column: number) => Math.round((column * now) / before)
  const starts = row.map(({ column }) => edge(column))
  const spans = row.map((cell, i) => Math.max(1, cell.least, edge(cell.column + cell.span) - starts[i]!))
  // What was raised to be read is taken from the widest.
  for (let over = sum(spans) - now; over > 0; over--) {
    const widest = indexOfMost(spans.map((span, i) => span - Math.max(1, row[i]!.least)))
    if (spans[widest]! <= Math.max(1, row[widest]!.least)) return row.map(() => ({ from: 0, span: now }))
    spans[widest]!--
  }
  let cursor = 0
  return row.map((cell, i) => {
    const room = now - sum(spans.slice(i))
    const start = Math.min(room, Math.max(cursor, starts[i]!))
    cursor = start + spans[i]!
    return { from: cell.from === 0 ? 0 : start + 1, span: spans[i]! }
  })
}

const sum = (numbers: readonly number[]) => numbers.reduce((all, each) => all + each, 0)
const indexOfMost = (numbers: readonly number[]) => numbers.indexOf(Math.max(...numbers))
