/**
 * `text-wrap: balance` (CSS Text 4 §6.4.3) as Chromium does it: of all ways to break a text into lines the one in which the squares of
 * what is left of each add up to least, after the paragraphs of TeX (Knuth and Plass 1981). Found by some thousands of texts in it: only
 * up to the first forced break, in six lines at most, with what is held against a line that ends in a hyphen, or has no more than the last
 * word or a part of it.
 */

/** Lines of a text that are balanced, at most. */
export const MOST_BALANCED = 6
/** What is held against the last word in a line of its own, px². */
const ALONE = 10_000
/** What is held against a hyphen at a line's end, of the font's size times the room. */
const HYPHEN = 2
/** Opportunities with which there are no scores yet: such a text is as narrow as its lines let it be. */
const FEW = 3
export const isFew = (opportunities: number): boolean => opportunities <= FEW

export type Opportunities = {
  /** How many there are to break, the last at the end. */
  count: number
  /** Of what stands between an opportunity's line start (−1: the text's) and another's end, px. */
  width: (from: number, to: number) => number
  /** Whether a line that ends there ends in a hyphen. */
  isHyphen: (at: number) => boolean
}

/** The opportunity behind which the last word begins: the last but the end that makes no hyphen; −1: there is one word. */
function lastWordBehind({ count, isHyphen }: Opportunities): number {
  let at = count - 2
  while (at >= 0 && isHyphen(at)) at--
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
 * @param size of the font, px
 * @returns the opportunities to take, the last of them the end; undefined: something does not fit however it is broken
 */
export function balanced(opportunities: Opportunities, room: number, size: number): number[] | undefined {
  const { count, width, isHyphen } = opportunities
  if (isFew(count)) return narrowest(opportunities, room)
  const scores = new Float64Array(count).fill(Number.POSITIVE_INFINITY)
  const before = new Int32Array(count).fill(-1)
  const lastWord = lastWordBehind(opportunities)
  /** The first from which a line still reaches. */
  let active = -1
  for (let to = 0; to < count; to++) {
    const held = isHyphen(to) ? HYPHEN * size * room : 0
    for (let from = active; from < to; from++) {
      const left = room - width(from, to)
      if (left < 0) {
        active = from + 1
        continue
      }
      const score = (from < 0 ? 0 : scores[from]) + left * left + held + (from >= lastWord ? ALONE : 0)
      if (score <= scores[to]) {
        scores[to] = score
        before[to] = from
      }
    }
    if (!Number.isFinite(scores[to]) && active > to - 1) return undefined
  }
  if (!Number.isFinite(scores[count - 1])) return undefined
  const taken: number[] = []
  for (let at = count - 1; at >= 0; at = before[at]) taken.unshift(at)
  return taken
}
