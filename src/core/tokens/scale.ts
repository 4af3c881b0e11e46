/** A modular scale: whole px, each `ratio` times the one before, and always larger. @param base px */
export function scaleOf(base: number, ratio: number, count: number): number[] {
  const lengths: number[] = []
  for (let i = 0; i < count; i++)
    lengths.push(Math.max(Math.round(base * ratio ** i), (lengths.at(-1) ?? 0) + 1))
  return lengths
}
