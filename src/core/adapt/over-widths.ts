/** What breaks at which window widths: the page is laid out at steps, and between two that differ the place is halved in on. */
import type { WidthRange } from '../lattice/shown-width'
import type { PageLayout } from '../layout/page'
import { type Broken, breakagesIn, type Found } from './breakages'

/** `from` to `to`: window widths, px, both included. */
export type Breakage = Broken & { from: number; to: number }

/** px between two widths that are looked at; what begins and ends within is not found. */
const STEP = 16

/**
 * One step a width, so that who runs it can do other things in between. `layout` is left at some width of the range.
 * @param range widths that the page's view is for
 * @param own the width that it is drawn at: what is laid over words there is meant so
 * @returns the widest width at which something breaks first
 */
export function* breakagesAtSteps(
  layout: PageLayout,
  { least, most }: WidthRange,
  own = most,
): Generator<number, Breakage[]> {
  const known = new Map<number, Found>()
  const foundAt = (width: number): Found => {
    layout.update(width)
    return breakagesIn(layout)
  }
  const meant = new Set([...foundAt(own)].flatMap(([key, { kind }]) => (kind === 'over' ? [key] : [])))
  const at = (width: number): Found => {
    let found = known.get(width)
    if (!found) {
      found = new Map([...foundAt(width)].filter(([key]) => !meant.has(key)))
      known.set(width, found)
    }
    return found
  }
  /** The narrowest of the widths above `low` at which `key` is as it is at `high`. */
  const edge = (key: string, low: number, high: number): number => {
    const wanted = at(high).has(key)
    let [from, to] = [low, high]
    while (to - from > 1) {
      const middle = (from + to) >> 1
      if (at(middle).has(key) === wanted) to = middle
      else from = middle
    }
    return to
  }
  const open = new Map<string, Breakage>()
  const done: Breakage[] = []
  for (const [key, each] of at(most)) open.set(key, { ...each, from: most, to: most })
  for (let wide = most; wide > least; ) {
    const narrow = Math.max(least, wide - STEP)
    const [before, now] = [at(wide), at(narrow)]
    for (const [key, each] of now)
      if (!before.has(key)) open.set(key, { ...each, from: narrow, to: edge(key, narrow, wide) - 1 })
    for (const key of before.keys()) {
      const breakage = open.get(key)
      if (now.has(key) || !breakage) continue
      done.push({ ...breakage, from: edge(key, narrow, wide) })
      open.delete(key)
    }
    wide = narrow
    yield narrow
  }
  for (const breakage of open.values()) done.push({ ...breakage, from: least })
  return done.sort((a, b) => b.to - a.to || b.from - a.from)
}

/** As `breakagesAtSteps`, at once. */
export function breakagesOver(layout: PageLayout, range: WidthRange, own?: number): Breakage[] {
  const search = breakagesAtSteps(layout, range, own)
  for (;;) {
    const { done, value } = search.next()
    if (done) return value
  }
}

/** The widths of `breakages` as stretches that do not meet, the widest first, each with what breaks in it. */
export function stretchesOf(
  breakages: readonly Breakage[],
): { from: number; to: number; broken: Breakage[] }[] {
  const stretches: { from: number; to: number; broken: Breakage[] }[] = []
  for (const each of [...breakages].sort((a, b) => b.to - a.to)) {
    const last = stretches.at(-1)
    if (last && each.to >= last.from - 1) {
      last.broken.push(each)
      last.from = Math.min(last.from, each.from)
    } else stretches.push({ from: each.from, to: each.to, broken: [each] })
  }
  return stretches
}
