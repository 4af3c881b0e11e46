/** Words that run from right to left, and lines in which both ways are mixed (UAX #9). */
import bidiFactory, { type EmbeddingLevels } from 'bidi-js'
import { plainText, type Words } from '../words/words'

export type Direction = 'ltr' | 'rtl'

/** Letters of scripts that run from right to left, and controls that turn what follows. */
const LEFTWARD =
  /[\u0590-\u08ff\u200f\u202b\u202e\u2067\ufb1d-\ufdff\ufe70-\ufefc]|[\ud802\ud803\ud83a\ud83b]/
const LETTER = /\p{L}/u

export const holdsLeftward = (text: string): boolean => LEFTWARD.test(text)

/** Which way words run: as is said, else as their first letter does, as HTML's `dir="auto"` finds it. */
export function directionOf(said: Direction | undefined, words: Words | undefined): Direction {
  if (said) return said
  const text = plainText(words)
  if (!holdsLeftward(text)) return 'ltr'
  return holdsLeftward(LETTER.exec(text)?.[0] ?? '') ? 'rtl' : 'ltr'
}

let known: ReturnType<typeof bidiFactory> | undefined
const bidi = () => {
  known ??= bidiFactory()
  return known
}

/** Each character's level: it runs leftward where that is odd. Of a text that all runs to the right there are none. */
export type Levels = EmbeddingLevels

export const levelsOf = (text: string, direction: Direction): Levels | undefined =>
  direction === 'rtl' || holdsLeftward(text) ? bidi().getEmbeddingLevels(text, direction) : undefined

/** A part of a line that runs one way, UTF-16. */
export type Stretch = { start: number; end: number; leftward: boolean }

/** The stretches of a line as they stand from the left (UAX #9, L1 and L2). `end` is behind the last character. */
export function fromLeft(text: string, levels: Levels, start: number, end: number): Stretch[] {
  const stretches: Stretch[] = []
  if (start >= end) return stretches
  for (const at of bidi().getReorderedIndices(text, levels, start, end - 1)) {
    const leftward = levels.levels[at]! % 2 === 1
    const last = stretches.at(-1)
    if (last?.leftward === leftward && at === (leftward ? last.start - 1 : last.end)) {
      if (leftward) last.start = at
      else last.end = at + 1
    } else stretches.push({ start: at, end: at + 1, leftward })
  }
  return stretches
}
