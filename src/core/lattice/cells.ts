/** Which cells a lattice's items take (CSS Grid 2 §8.5). */

/** What stands in a lattice; `from` counts from 1, 0: placed automatically. */
export type Cell = { readonly span: number; readonly from: number; row: number; column: number }

/** Column and row of every child, both from 0. Returns the number of rows. */
export function placeItems(items: readonly Cell[], columns: number, dense: boolean): number {
  const taken: Uint8Array[] = []
  const free = (row: number, column: number, span: number) => {
    const line = taken[row]
    if (!line) return true
    for (let c = column; c < column + span; c++) if (line[c]) return false
    return true
  }
  let cursorRow = 0
  let cursorColumn = 0
  for (const item of items) {
    const span = Math.min(item.span, columns)
    let row = dense ? 0 : cursorRow
    let column = dense ? 0 : cursorColumn
    if (item.from > 0) {
      const fixed = Math.min(item.from - 1, columns - span)
      if (!dense && fixed < cursorColumn) row++
      column = fixed
      while (!free(row, column, span)) row++
    } else {
      for (;;) {
        if (column + span > columns) {
          row++
          column = 0
        } else if (free(row, column, span)) break
        else column++
      }
    }
    while (taken.length <= row) taken.push(new Uint8Array(columns))
    taken[row]!.fill(1, column, column + span)
    item.row = row
    item.column = column
    cursorRow = row
    cursorColumn = column
  }
  return taken.length
}
