/** Marks of a ruler at any zoom. */

export type RulerMark = {
  /** px on the sheet. */
  at: number
  /** What is written at a long mark: px from the ruler's zero. */
  words: string | undefined
}

/** Screen px between two written marks, at least. */
const ROOM = 56

/** The written marks' step in px: 1, 2 or 5 times a power of ten. */
export function rulerStep(zoom: number): number {
  const least = ROOM / zoom
  const ten = 10 ** Math.floor(Math.log10(least))
  return [1, 2, 5, 10].map((times) => times * ten).find((step) => step >= least - 1e-9)!
}

/**
 * Marks between two places of a sheet (px), five short ones to a written one.
 * @param zoom screen px for one of the sheet's
 * @param zero what the ruler counts from, px on the sheet
 */
export function rulerMarks(from: number, to: number, zoom: number, zero: number): RulerMark[] {
  const step = rulerStep(zoom)
  const short = step / 5
  const marks: RulerMark[] = []
  for (let i = Math.ceil((from - zero) / short); zero + i * short <= to; i++)
    marks.push({
      at: zero + i * short,
      // At the very end there is no room to write.
      words:
        i % 5 === 0 && zero + i * short <= to - 30 / zoom
          ? String(Math.round(i * short * 100) / 100)
          : undefined,
    })
  return marks
}
