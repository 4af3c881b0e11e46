/** Characters as CSS lists them in `unicode-range` (CSS Fonts 4 §4.5). */

/** From a code point to another, both included. */
export type Interval = [number, number]

/** @param ranges `U+20-7E,U+A9`, or nothing */
export function parseRanges(ranges: string): Interval[] {
  if (ranges === '') return []
  return ranges.split(',').map((range) => {
    const [from, to] = range.trim().replace('U+', '').split('-')
    return [Number.parseInt(from!, 16), Number.parseInt(to ?? from!, 16)]
  })
}

/** @param codes in order */
export function rangesOf(codes: Iterable<number>): string {
  const ranges: Interval[] = []
  for (const code of codes) {
    const last = ranges.at(-1)
    if (last && code === last[1] + 1) last[1] = code
    else ranges.push([code, code])
  }
  const hex = (code: number) => code.toString(16).toUpperCase()
  return ranges.map(([from, to]) => `U+${hex(from)}${to > from ? `-${hex(to)}` : ''}`).join(',')
}

/** Every code point of some intervals. */
export function* codesIn(intervals: readonly Interval[]): Generator<number> {
  for (const [from, to] of intervals) for (let code = from; code <= to; code++) yield code
}
