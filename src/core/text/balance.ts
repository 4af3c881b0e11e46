/**
 * `text-wrap: balance` (CSS Text 4 §6.4.3) as Chromium does it: of all ways to break a text into lines the one in which the squares of
 * what is left of each add up to least, after the paragraphs of TeX (Knuth and Plass 1981). Found by some thousands of texts in it: only
 * up to the first forced break, in six lines at most, and a word alone on the last line is held against it where there are more than three.
 */

/** Lines of a text that are balanced, at most. */
export const MOST_BALANCED = 6
/** What is held against a word alone on the last line, and against a line that ends in a hyphen: of the room's square. */
const HELD = 1 / 6
/** Words among which one may stand alone at the end. */
const FEW = 3

/**
 * @param count of opportunities to break, the last at the end
 * @param width of what stands between an opportunity's line start (−1: the text's) and another's end, px
 * @param room px
 * @param isHyphen whether a line that ends there ends in a hyphen
 * @returns the opportunities to take, the last of them the end; undefined: something does not fit however it is broken
 */
export function balanced(
  count: number,
  room: number,
  width: (from: number, to: number) => number,
  isHyphen: (at: number) => boolean,
): number[] | undefined {
  const scores = new Float64Array(count).fill(Number.POSITIVE_INFINITY)
  const before = new Int32Array(count).fill(-1)
  /** The first from which a line still reaches. */
  let active = -1
  for (let to = 0; to < count; to++) {
    const isEnd = to === count - 1
    for (let from = active; from < to; from++) {
      const left = room - width(from, to)
      if (left < 0) {
        active = from + 1
        continue
      }
      const isAlone = isEnd && from === to - 1 && count > FEW
      const held = room * room * HELD * (Number(isAlone) + Number(isHyphen(to)))
      const score = (from < 0 ? 0 : scores[from]) + left * left + held
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
