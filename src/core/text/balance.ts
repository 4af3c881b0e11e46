/**
 * `text-wrap: balance` and `pretty` (CSS Text 4 §6.4.3) as Chromium does them: of all ways to break a text into lines the one in which the
 * squares of what is left of each add up to least, after the paragraphs of TeX (Knuth and Plass 1981). Found by some thousands of texts in
 * it: only up to the first forced break, with what is held against a line that ends in a hyphen, or has no more than the last word or a
 * part of it. Balanced are texts of six lines at most, into as many or fewer; a pretty one keeps all but its last four as they are, and
 * these, too, unless the last has one short word, or hyphens end the two before it.
 */

import { UNIT } from './unit'

/** Lines of a text that are balanced, at most. */
export const MOST_BALANCED = 6
/** Lines at the end that are seen to where a text is to be pretty, and the share of the room from which on the last is long enough. */
export const LAST_SEEN_TO = 4
export const LONG_ENOUGH = 1 / 3

/** What is held against a break behind which there is no more than the last word or a part of it, px². */
const ALONE = 10_000
/** What is held against a hyphen at a line's end, of the text's size times the room; and where lines are justified, which hides what is left. */
const HYPHEN = 2
const HYPHEN_JUSTIFIED = 0.5
/** How often as much as against a hyphen is held against each line, unless lines are justified. */
const PER_LINE = 2
/** How often as much more is held against the break in front of a last line that may leave as much as it likes. */
const LAST_LINE = 4
/** What is held against a line that sticks out: so much that in single precision no other differs from another any more. */
const OVERFULL = 1e12
/** In place of the opportunity behind which a line begins: the text's beginning; none was found. */
const BEGINNING = -1
const NONE = -2
/** Opportunities with which there are no scores yet: such a text is as narrow as its lines let it be. */
const FEW = 3
export const isFew = (opportunities: number): boolean => opportunities <= FEW

export type Opportunities = {
  /** Whether lines are set flush on both sides. */
  isJustified: boolean
  /** Whether the first of the lines is the text's. */
  isBeginning: boolean
  /** How many there are to break, the last at the end. */
  count: number
  /** Of what stands between an opportunity's line start (−1: the text's) and another's end, px. */
  width: (from: number, to: number) => number
  /** Of the font of the text's own words, px, whatever the size that its hyphens are drawn in. */
  size: number
  /** Whether a line that ends there ends in a hyphen. */
  isHyphened: (at: number) => boolean
}

/** The opportunity behind which the last word begins: the last but the end that makes no hyphen; −1: there is one word. */
function lastWordBehind({ count, isHyphened }: Opportunities): number {
  let at = count - 2
  while (at >= 0 && isHyphened(at)) at--
  return at
}

/** Of the ways to break a few words in two the one whose longer line is shortest, as a window that is made narrower finds it. */
function narrowest({ count, width }: Opportunities, room: number): number[] | undefined {
  let best: number | undefined
  let least = room
  for (let at = count - 2; at >= 0; at--) {
    const longer = Math.max(width(-1, at), width(at, count - 1))
    if (longer >= least) continue
    least = longer
    best = at
  }
  return best === undefined ? undefined : [best, count - 1]
}

/**
 * @param room px
 * @param lines as many as they are, and may be at most
 * @returns the opportunities to take, the last of them the end; undefined: it is left as it is
 */
export function balanced(opportunities: Opportunities, room: number, lines: number): number[] | undefined {
  if (isFew(opportunities.count)) return narrowest(opportunities, room)
  return bestOf(opportunities, room, true, lines)
}

/** As `balanced`: of the last lines of a text that do not end well. Where more lines would be better still, it is left as it is. */
export function pretty(opportunities: Opportunities, room: number, lines: number): number[] | undefined {
  if (isFew(opportunities.count)) return undefined
  const best = bestOf(opportunities, room, false, opportunities.count)
  return best && best.length <= lines ? best : undefined
}

/**
 * The best way, where that is in so many lines or fewer: by opportunity the least score of a way that ends there, and the opportunity in
 * front of its last line. In single precision, as Chromium adds up: where several ways are as good as one another, that decides.
 *
 * @param room px
 * @param isLastCounted whether what the last line leaves is held against it
 */
function bestOf(
  opportunities: Opportunities,
  room: number,
  isLastCounted: boolean,
  most: number,
): number[] | undefined {
  const { count, width, isBeginning } = opportunities
  const { breaks, line } = penaltiesOf(opportunities, room)
  const scores = new Float32Array(count)
  const before = new Int32Array(count).fill(NONE)
  /** The first from which a line still reaches. */
  let active = BEGINNING
  for (let to = 0; to < count; to++) {
    const isFree = to === count - 1 && !isLastCounted
    let best = Number.POSITIVE_INFINITY
    /** What the line that was looked at last leaves, squared: no shorter one leaves less. */
    let hope = 0
    for (let from = active; from < to; from++) {
      const so = from === BEGINNING ? 0 : scores[from]!
      if (Math.fround(so + hope) >= best) continue
      // A text's first line has a layout unit less.
      const less = from === BEGINNING && isBeginning ? UNIT : 0
      const left = Math.fround(room - width(from, to) - less)
      if (left < 0) {
        active = from + 1
        if (Math.fround(so + OVERFULL) > best) continue
        best = Math.fround(so + OVERFULL)
        before[to] = from
        continue
      }
      hope = isFree ? 0 : Math.fround(left * left)
      const more = isFree && from !== BEGINNING ? Math.fround(LAST_LINE * breaks[from]!) : 0
      const score = Math.fround(Math.fround(so + hope) + more)
      if (score > best) continue
      best = score
      before[to] = from
    }
    scores[to] = Math.fround(best + breaks[to]!) + line
  }
  return wayTo(count - 1, before, most)
}

/** The opportunities taken on the way to the last, if there is one, in so many lines or fewer. */
function wayTo(last: number, before: Int32Array, most: number): number[] | undefined {
  const taken: number[] = []
  for (let at = last; at !== BEGINNING; at = before[at]!) {
    if (at === NONE) return undefined
    taken.unshift(at)
  }
  return taken.length <= most ? taken : undefined
}

/** What is held against a break at each opportunity, and against each line. */
function penaltiesOf(opportunities: Opportunities, room: number): { breaks: Float32Array; line: number } {
  const { count, isJustified, isHyphened, size } = opportunities
  const hyphen = Math.fround((isJustified ? HYPHEN_JUSTIFIED : HYPHEN) * size * room)
  const lastWord = lastWordBehind(opportunities)
  const breaks = new Float32Array(count)
  for (let at = 0; at < count - 1; at++)
    breaks[at] = (isHyphened(at) ? hyphen : 0) + (at >= lastWord ? ALONE : 0)
  return { breaks, line: isJustified ? 0 : Math.fround(PER_LINE * hyphen) }
}
