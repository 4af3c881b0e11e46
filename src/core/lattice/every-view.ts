/** One lattice asked of every view at once, and the lattices that new pages begin with. */
import type { View, ViewLattice } from '../document/schema'
import { usedLattice } from './used'

export type LatticeAtView = { view: View; lattice: ViewLattice; columnWidth: number; whole: boolean }

/** Reads `12 / 8 / 4`: one number a view, or one for all. A reason when it cannot be read. */
export function readEach(text: string, views: number, least: number, most: number): number[] | string {
  const parts = text.split(/[/,;]/).map((part) => part.trim())
  const numbers = parts.map(Number)
  const wrong = parts.find((part, i) => part === '' || !Number.isFinite(numbers[i]))
  if (wrong !== undefined) return `“${wrong}” is no number`
  if (numbers.length !== 1 && numbers.length !== views)
    return `one number for all, or ${views} with strokes between, widest view first`
  const outside = numbers.find((number) => number < least || number > most)
  if (outside !== undefined) return `${outside} is not between ${least} and ${most}`
  return Array.from({ length: views }, (_, i) => numbers[numbers.length === 1 ? 0 : i]!)
}

/** What columns and gutters (px) come to on each view: the column's width there, and whether it is whole px. */
export function askEveryView(
  views: readonly View[],
  columns: readonly number[],
  gutters: readonly number[],
): LatticeAtView[] {
  return views.map((view, i) => {
    const lattice = { ...view.lattice, columns: Math.round(columns[i]!), gutter: gutters[i]! }
    const { columnWidth } = usedLattice(lattice, view.width)
    return { view, lattice, columnWidth, whole: Math.abs(columnWidth - Math.round(columnWidth)) < 0.005 }
  })
}

export type Preset = {
  id: string
  name: string
  words: string
  columns: number[]
  gutters: number[]
  container: number | null
}

/** By kind of page; columns and gutters from the widest view to the narrowest. */
export const PRESETS: Preset[] = [
  {
    id: 'front',
    name: 'Front page',
    words: 'heroes, cards, pictures',
    columns: [12, 8, 4],
    gutters: [24, 20, 16],
    container: 1224,
  },
  {
    id: 'reading',
    name: 'Reading',
    words: 'one measure of text, notes beside it',
    columns: [8, 6, 4],
    gutters: [32, 24, 16],
    container: 976,
  },
  {
    id: 'catalogue',
    name: 'Catalogue',
    words: 'many small cards',
    columns: [16, 8, 4],
    gutters: [16, 16, 12],
    container: 1328,
  },
  {
    id: 'desk',
    name: 'Tool',
    words: 'edge to edge, panels',
    columns: [12, 8, 4],
    gutters: [16, 16, 12],
    container: null,
  },
  {
    id: 'poster',
    name: 'Poster',
    words: 'few large shapes',
    columns: [6, 4, 2],
    gutters: [40, 32, 20],
    container: 1240,
  },
]

/** A preset on the views there are; views beyond its third take its narrowest. */
export function presetViews(views: readonly View[], preset: Preset): View[] {
  return views.map((view, i) => {
    // With two views the second is a phone: the preset's last.
    const at = views.length === 2 && i === 1 ? 2 : Math.min(i, 2)
    const container = i === 0 ? preset.container : null
    return {
      ...view,
      lattice: { ...view.lattice, columns: preset.columns[at]!, gutter: preset.gutters[at]!, container },
    }
  })
}
