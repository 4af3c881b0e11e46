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

/** What is held against a line with nothing but the last word or a part of it, px². */
const ALONE = 10_000
/** As much, where that is the last line; and whether what that leaves counts. */
type Held = { alone: number; last: boolean }
const BALANCE: Held = { alone: ALONE, last: true }
const PRETTY: Held = { alone: 50_000, last: false }
/** What is held against a hyphen at a line's end, of the font's size times the room; and where lines are set in the middle or at the end. */
const HYPHEN = 2
const HYPHEN_ALIGNED = 0.5
/** How often as much more against the one in front of a last line that is not counted. */
const LAST_HYPHEN = 4
/** Opportunities with which there are no scores yet: such a text is as narrow as its lines let it be. */
const FEW = 3
export const isFew = (opportunities: number): boolean => opportunities <= FEW

export type Opportunities = {
  /** Whether lines are set in the middle or at the end. */
  isAligned: boolean
  /** Whether the first of the lines is the text's. */
  isBeginning: boolean
  /** How many there are to break, the last at the end. */
  count: number
  /** Of what stands between an opportunity's line start (−1: the text's) and another's end, px. */
  width: (from: number, to: number) => number
  /** Of the hyphen's font that a line ends in there, px; 0: it ends in none. */
  hyphenSize: (at: number) => number
}

/** The opportunity behind which the last word begins: the last but the end that makes no hyphen; −1: there is one word. */
function lastWordBehind({ count, hyphenSize }: Opportunities): number {
  let at = count - 2
  while (at >= 0 && hyphenSize(at) > 0) at--
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
  return bestOf(opportunities, room, BALANCE, lines)
}

/** As `balanced`: of the last lines of a text that do not end well. Where more lines would be better still, it is left as it is. */
export function pretty(opportunities: Opportunities, room: number, lines: number): number[] | undefined {
  if (isFew(opportunities.count)) return undefined
  const best = bestOf(opportunities, room, PRETTY, opportunities.count)
  return best && best.length <= lines ? best : undefined
}

/**
 * The best way into so many lines or fewer. By opportunity and number of lines that end there: the least score, and the opportunity in
 * front of the last of them.
 */
function bestOf(opportunities: Opportunities, room: number, held: Held, most: number): number[] | undefined {
  const { count, width } = opportunities
  // As if a text's first line had a layout unit less: of ways as good as one another Chromium takes the one that begins with a shorter one.
  const less = opportunities.isBeginning ? UNIT : 0
  const scores = new Float64Array(count * most).fill(Number.POSITIVE_INFINITY)
  const before = new Int32Array(count * most).fill(-1)
  const scoreOf = lineScores(opportunities, room, held)
  /** The first from which a line still reaches. */
  let active = -1
  for (let to = 0; to < count; to++)
    for (let from = active; from < to; from++) {
      const left = room - width(from, to)
      if (left < 0) {
        active = from + 1
        continue
      }
      const own = scoreOf(from, to, from < 0 ? left - less : left)
      // The first line has none before it; others go on from any number of lines.
      for (let line = from < 0 ? 0 : 1; line < (from < 0 ? 1 : most); line++) {
        const score = own + (from < 0 ? 0 : scores[from * most + line - 1]!)
        const at = to * most + line
        if (score > scores[at]!) continue
        scores[at] = score
        before[at] = from
      }
    }
  const end = (count - 1) * most
  let line = 0
  for (let each = 1; each < most; each++) if (scores[end + each]! < scores[end + line]!) line = each
  if (!Number.isFinite(scores[end + line]!)) return undefined
  const taken: number[] = []
  for (let at = count - 1; at >= 0; line--) {
    taken.unshift(at)
    at = before[at * most + line]!
  }
  return taken
}

/** What is held against a line between two opportunities that leaves so much of the room. */
function lineScores(opportunities: Opportunities, room: number, { alone, last }: Held) {
  const { count, hyphenSize, isAligned } = opportunities
  const hyphen = isAligned ? HYPHEN_ALIGNED : HYPHEN
  const lastWord = lastWordBehind(opportunities)
  const hyphenAt = (at: number) => (at < 0 ? 0 : hyphen * hyphenSize(at) * room)
  return (from: number, to: number, left: number): number => {
    const isLast = to === count - 1
    const ofRoom = last || !isLast ? left * left : LAST_HYPHEN * hyphenAt(from)
    const ofWord = from < lastWord ? 0 : isLast ? alone : ALONE
    return ofRoom + hyphenAt(to) + ofWord
  }
}
