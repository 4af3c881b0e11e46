/**
 * How a large font is parted into files, so that a page loads those that it draws with: the alphabets stay together, for their letters
 * are kerned, marked and joined; East Asian characters, which are not, go by how they are found together in texts.
 */
import { codesIn, type Interval, parseRanges, rangesOf } from './code-ranges'
import { madeOf, SYNTHESISED } from './families'
import { isEastAsian } from './scripts'

/** So many East Asian characters are worth files of their own. */
const MANY = 500
/** Characters of a file of those that no table has. */
const CHUNK = 256
/** A slice of fewer goes with those that no table has. */
const FEW = 16

/** A file of a shipped family: characters that are found together in texts of its language. */
export type Slice = { slug: string; ranges: string }

/** The characters of one file, in order, and as CSS says them. */
export type FontPart = { codes: number[]; ranges: string }

/**
 * @param codes the characters of a font, in order
 * @param slices of several languages; that language is taken which has characters most like the font's
 * @returns empty: it is better left whole
 */
export function partsOf(codes: readonly number[], slices: readonly Slice[]): FontPart[] {
  const [alphabets, eastAsian]: [number[], number[]] = [[], []]
  for (const code of codes) (isEastAsian(code) ? eastAsian : alphabets).push(code)
  // The file that has the space sets the height of lines; it has to be told.
  if (eastAsian.length < MANY || !alphabets.includes(0x20)) return []
  const first = { codes: alphabets, ranges: rangesOf(withSynthesised(alphabets)) }
  return [first, ...sliced(eastAsian, slices).map((part) => ({ codes: part, ranges: rangesOf(part) }))]
}

/** With what is made of other characters where a font has it not: who is not asked for it cannot make it. */
function withSynthesised(codes: readonly number[]): number[] {
  const all = new Set(codes)
  for (const code of SYNTHESISED) if (all.has(madeOf(code))) all.add(code)
  return [...all].sort((a, b) => a - b)
}

function sliced(codes: readonly number[], slices: readonly Slice[]): number[][] {
  const wanted = new Set(codes)
  let best: number[][] = []
  let likest = 0
  for (const slug of new Set(slices.map((slice) => slice.slug))) {
    const own = slices.filter((slice) => slice.slug === slug).map(({ ranges }) => parseRanges(ranges))
    const parts = byIntervals(wanted, own).filter((part) => part.length >= FEW)
    const both = parts.flat().length
    const all = new Set(own.flatMap((intervals) => [...codesIn(intervals)])).size
    // Of all characters that either has, how many both have (Jaccard's index).
    const likeness = both / (all + wanted.size - both)
    if (likeness > likest) [best, likest] = [parts, likeness]
  }
  const taken = new Set(best.flat())
  const rest = codes.filter((code) => !taken.has(code))
  for (let i = 0; i < rest.length; i += CHUNK) best.push(rest.slice(i, i + CHUNK))
  return best
}

/** Each character is in the first of some lists that has it. */
function byIntervals(wanted: ReadonlySet<number>, lists: readonly Interval[][]): number[][] {
  const left = new Set(wanted)
  return lists.map((intervals) =>
    [...codesIn(intervals)].filter((code) => left.delete(code)).sort((a, b) => a - b),
  )
}
