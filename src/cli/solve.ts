/** `lattice solve`: a lattice from whatever is known, as JSON. */
import { type LatticeKey, type LatticeKnown, solveLattice } from '../core/lattice/solve'
import { numberOption, Refusal, readArgs } from './refusal'

const OPTIONS: Record<string, LatticeKey> = {
  width: 'width',
  container: 'container',
  margin: 'margin',
  columns: 'columns',
  'column-width': 'columnWidth',
  gutter: 'gutter',
}

export async function solve(args: string[]): Promise<number> {
  const options = Object.fromEntries(Object.keys(OPTIONS).map((name) => [name, { type: 'string' as const }]))
  const { values } = readArgs(args, { ...options, 'half-gutters': { type: 'boolean' } })
  const known: LatticeKnown = {}
  for (const [name, key] of Object.entries(OPTIONS)) {
    const value = numberOption(name, (values as Record<string, string | undefined>)[name])
    if (value !== undefined) known[key] = value
  }
  const solution = solveLattice(known, (values as Record<string, unknown>)['half-gutters'] === true)
  if (solution.status !== 'solved') throw new Refusal(solution.reason)
  const { width, container, margin, columns, columnWidth, gutter, whole } = solution.lattice
  console.log(JSON.stringify({ width, container, margin, columns, columnWidth, gutter, whole }))
  return 0
}
