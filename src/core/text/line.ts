/** A line of a paragraph: where it lies, what is seen of it, how it is stretched. */
import { OBJECT } from '../words/words'
import { SOFT_HYPHEN } from './breaks'
import type { GlyphRun } from './shape'

export type Line = {
  /** UTF-16 range in the paragraph's text, without the spaces that hang at its end. */
  start: number
  end: number
  /** px, without hanging spaces. */
  width: number
  /** px from the paragraph's top. */
  top: number
  height: number
  /** px from the line's top to its baseline. */
  baseline: number
  /** Shown at the line's end where it breaks at a soft hyphen. */
  hyphen?: Ending
  /** Shown at the end of the last of the lines that there may be: in the text's own style. */
  ellipsis?: Ending
  /** px that it was before it was cut off for the ellipsis: by that it is aligned. */
  whole?: number
  /** px that every space is wider, where it was set flush on both sides before that. */
  spread?: number
}

/** What stands at the end of a line and is not in the text. `runs` begin at 0, not where the line ends. */
export type Ending = { text: string; width: number; runs: GlyphRun[]; color?: string }

/** The spaces that grow when a line is stretched (CSS Text 3 §7.4.1). */
const SPACES = /[ \u00a0]/g

export const spacesIn = (text: string, start: number, end: number) =>
  text.slice(start, end).match(SPACES)?.length ?? 0

/** What is left of the room, px, shared out among the spaces of a line; of one that ends by itself nothing is. */
export function spreadOf(text: string, line: Line, room: number): number {
  if (text.slice(line.end).trimStart() === '' || /^ *\n/.test(text.slice(line.end, line.end + 40))) return 0
  const spaces = spacesIn(text, line.start, line.end)
  return spaces === 0 ? 0 : Math.max(0, (room - line.width) / spaces)
}

/** What is not seen of a text as a letter. */
const UNSHOWN = new RegExp(`[${SOFT_HYPHEN}${OBJECT}]`, 'g')

/** Words as they read: without soft hyphens, and without what stands for icons. */
export const wordsShown = (text: string) => text.replace(UNSHOWN, '')

/** The characters of a line as they show: soft hyphens only where the line breaks at one. */
export const shownText = (text: string, line: Line): string =>
  wordsShown(text.slice(line.start, line.end)) + (line.hyphen?.text ?? line.ellipsis?.text ?? '')
