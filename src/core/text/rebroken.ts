/** Lines that were filled, broken anew: all of a short text, or those at its end. */
import {
  balanced,
  isFew,
  LAST_SEEN_TO,
  LONG_ENOUGH,
  MOST_BALANCED,
  type Opportunities,
  pretty,
} from './balance'
import type { FoundLines } from './found-lines'
import { downToUnit, UNIT, upToUnit } from './unit'

/** Where a text may break: one entry an opportunity, the last at its end. */
export type Places = {
  text: string
  /** Whether lines are set flush on both sides. */
  isJustified: boolean
  /** Where the next line begins. */
  nexts: ArrayLike<number>
  required: ArrayLike<number>
  /** Where what is seen of a line ends. */
  visible: ArrayLike<number>
  /** How wide the hyphen is that a line ends in there, px. */
  hyphens: ArrayLike<number>
  /** Of each character, from the text's beginning, px. */
  advances: ArrayLike<number>
  /** Where a line that ends at a character would end, as if nothing stood behind it, px from the text's beginning. */
  endAlone: (character: number) => number
  /** Whether a line that begins at a character and ends at an opportunity has room, px, as lines are filled. */
  fits: (start: number, at: number, room: number) => boolean
  /** Of the font of the text's own words, px. */
  size: number
}

/** The last of the lines from one on that belong together: up to a forced break, or the end. */
function endOfPart(found: FoundLines, { required }: Places, first: number): number {
  let last = first
  while (last < found.count - 1 && !(found.indices[last]! >= 0 && required[found.indices[last]!])) last++
  return last
}

/**
 * Lines up to the first forced break about as long as one another; those behind it as they are.
 * @param width px
 * @param most lines that are shown: those alone are seen to, the last of them as the end
 */
export function balanceLines(found: FoundLines, places: Places, width: number, most = found.count) {
  const last = Math.min(endOfPart(found, places, 0), most - 1)
  if (last === 0 || last >= MOST_BALANCED) return
  // Chromium narrows a text of few words instead, line by line, which it does not where a line is forced to end.
  const isAll = found.indices[last] === places.nexts.length - 1
  const few = isFew(found.indices[last]! + 1)
  if (few && (last > 1 || !isAll)) return
  if (!few && sticksOut(found, places, 0, last, width)) return
  replace(found, places, 0, last, width, balanced)
}

/** Each part between forced breaks with an end that is neither one short word nor behind hyphens that pile up. As `balanceLines`. */
export function endPrettily(found: FoundLines, places: Places, width: number, most = found.count) {
  for (let first = 0; first < Math.min(found.count, most); ) {
    const last = Math.min(endOfPart(found, places, first), most - 1)
    // Chromium gives a part up where a word in it is too long.
    const isOpen =
      endsBadly(found, places, first, last, width) && !sticksOut(found, places, first, last, width)
    const more = isOpen
      ? replace(found, places, Math.max(first, last + 1 - LAST_SEEN_TO), last, width, pretty)
      : 0
    first = last + 1 + more
  }
}

/** Whether one of the lines is longer than the room, or cut within a word. */
function sticksOut(
  { starts, ends, indices }: FoundLines,
  { advances }: Places,
  first: number,
  last: number,
  width: number,
): boolean {
  for (let line = first; line <= last; line++)
    if (indices[line]! < 0 || advances[ends[line]!]! - advances[starts[line]!]! >= width + UNIT) return true
  return false
}

function endsBadly(
  { indices, starts, ends }: FoundLines,
  { hyphens, advances }: Places,
  first: number,
  last: number,
  width: number,
): boolean {
  if (last === first) return false
  const isHyphened = (line: number) => line >= first && hyphens[indices[line]!]! > 0
  const isOneWord = indices[last]! - indices[last - 1]! === 1
  const length = upToUnit(advances[ends[last]!]! - advances[starts[last]!]!)
  const isShort = isOneWord && length < downToUnit(width * LONG_ENOUGH)
  return isShort || (isHyphened(last - 1) && isHyphened(last - 2))
}

/** Where what counts of a line ends, in front of an opportunity: a wide space hangs behind a line, and counts in Chromium's scores. */
function scoredEnd({ text, nexts, visible }: Places, at: number): number {
  let end = nexts[at]!
  while (end > visible[at]! && text[end - 1] !== '\u3000') end--
  return end
}

/** Ways may have lines that stick out: such a line is filled, and the next ends where the one behind it was to, if it can (Chromium). */
function refilled(
  chosen: readonly number[],
  count: number,
  fits: (from: number, to: number) => boolean,
): number[] {
  const taken: number[] = []
  for (let from = -1; from < count - 1; from = taken.at(-1)!) {
    let to = chosen[taken.length] ?? count - 1
    while (to > from + 1 && !fits(from, to)) to--
    taken.push(to)
  }
  return taken
}

/** The opportunities of some lines, for who chooses among them. @param before the one behind which the first line begins; −1: none */
function opportunitiesOf(places: Places, before: number, count: number, isBeginning: boolean): Opportunities {
  const { visible, hyphens, advances, isJustified, size } = places
  // Places in whole layout units, as in Chromium: ties are ties.
  const ends = Float64Array.from({ length: count }, (_, i) => {
    const at = i + before + 1
    const end = isFew(count) ? visible[at]! : scoredEnd(places, at)
    return downToUnit(places.endAlone(end)) + upToUnit(hyphens[at]!)
  })
  return {
    isBeginning,
    isJustified,
    count,
    width: (from, to) => ends[to]! - downToUnit(advances[startBehind(places, from + before + 1)]!),
    size,
    isHyphened: (opportunity) => hyphens[opportunity + before + 1]! > 0,
  }
}

/** Where the line behind an opportunity begins; the text's first behind −1. */
const startBehind = ({ nexts }: Places, at: number): number => (at < 0 ? 0 : nexts[at]!)

/** @returns how many lines more there are */
function replace(
  found: FoundLines,
  places: Places,
  first: number,
  last: number,
  width: number,
  best: typeof pretty,
): number {
  const { nexts, visible } = places
  // A word that is cut inside is left.
  if (found.indices.subarray(Math.max(0, first - 1), last + 1).includes(-1)) return 0
  /** The opportunity behind which the first of the lines begins; −1: none. */
  const before = first === 0 ? -1 : found.indices[first - 1]!
  const startOf = (from: number) => startBehind(places, from + before + 1)
  const count = found.indices[last]! - before
  const room = width + UNIT
  const chosen = best(opportunitiesOf(places, before, count, first === 0), room, last - first + 1)
  if (!chosen) return 0
  const taken = refilled(chosen, count, (from, to) => places.fits(startOf(from), to + before + 1, room))
  const rest = found.from(last + 1)
  found.count = first
  taken.forEach((to, i) => {
    const start = startOf(i === 0 ? -1 : taken[i - 1]!)
    const at = to + before + 1
    found.add(start, Math.max(start, visible[at]!), nexts[at]!, at)
  })
  for (const line of rest) found.add(...line)
  return first + taken.length - (last + 1)
}
