/** What breaks on a page, and at which window widths: it is laid out at steps, and between two that differ the place is halved in on. */
import type { WidthRange } from '../lattice/shown-width'
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'

export type BreakageKind =
  /** A word is wider than its block. */
  | 'cut'
  /** It lies beyond the page's right edge: the page scrolls sideways. */
  | 'sideways'
  /** It is wider than what it stands in, and lies over what is beside that. */
  | 'out'
  /** Every line of several is a single word. */
  | 'crumbled'

/** `from` to `to`: window widths, px, both included. */
export type Breakage = { node: string; name: string; kind: BreakageKind; from: number; to: number }

/** px between two widths that are looked at; what begins and ends within is not found. */
const STEP = 16
/** Less is rounding, px. */
const SEEN = 0.5
/** Lines from which on single words are a column of words. */
const COLUMN = 3

type Found = ReadonlyMap<string, Omit<Breakage, 'from' | 'to'>>

/** Everything that breaks as the page is laid out now. */
export function breakagesIn(layout: PageLayout): Found {
  const found = new Map<string, Omit<Breakage, 'from' | 'to'>>()
  const width = layout.root.width
  const add = ({ node }: LayoutBox, kind: BreakageKind) =>
    found.set(`${kind} ${node.id}`, { node: node.id, name: node.name, kind })
  const visit = (box: LayoutBox, left: number, isHeld: boolean) => {
    for (const kids of [box.kids, box.lifted])
      for (const kid of kids) {
        const x = left + kid.x
        const isOut = !isHeld && x + kid.width > width + SEEN
        if (isOut) add(kid, 'sideways')
        else if (!isHeld && sticksOut(kid, box)) add(kid, 'out')
        if (kid.typeset) breaksInWords(kid, add)
        // What is clipped, or in what sticks out already, is not said again.
        visit(kid, x, isHeld || isOut || kid.clip)
      }
  }
  visit(layout.root, 0, false)
  return found
}

/** Whether what flows in a block ends beyond the room that the block has for it. */
const sticksOut = (kid: LayoutBox, box: LayoutBox) =>
  kid.pins === null && box.parent !== null && kid.x + kid.width > box.width - box.padR - box.borR + SEEN

function breaksInWords(box: LayoutBox, add: (box: LayoutBox, kind: BreakageKind) => void) {
  const { typeset } = box
  if (box.flow !== Flow.Text || !typeset) return
  const room = box.width - box.padX
  if (typeset.minContent > room + SEEN) return add(box, 'cut')
  const crumbled = typeset.placed(Math.max(0, room)).some(({ paragraph, lines }) => {
    if (lines.length < COLUMN) return false
    return lines.every(({ start, end }) => !paragraph.text.slice(start, end).trim().includes(' '))
  })
  if (crumbled) add(box, 'crumbled')
}

/**
 * What breaks at which widths, the widest at which something does first. `layout` is left at the narrowest.
 * @param range widths that its view is for
 */
export function breakagesOver(layout: PageLayout, { least, most }: WidthRange): Breakage[] {
  const known = new Map<number, Found>()
  const at = (width: number): Found => {
    let found = known.get(width)
    if (!found) {
      layout.update(width)
      found = breakagesIn(layout)
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
  }
  for (const breakage of open.values()) done.push({ ...breakage, from: least })
  return done.sort((a, b) => b.to - a.to || b.from - a.from)
}
