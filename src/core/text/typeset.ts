/** A text as it is set: its paragraphs, one under the other. Mostly there is one. */
import type { Resolved } from '../properties/table'
import { isOneParagraph, partsOf } from '../words/parts'
import { type Words, withMarks } from '../words/words'
import { type Direction, directionOf } from './bidi'
import type { FontLibrary } from './fonts'
import { hyphenated } from './hyphenation'
import { type Line, wordsShown } from './line'
import { type SeenEnds, seenEnds } from './line-ends'
import { type Marker, markerIn } from './marker'
import { Paragraph } from './paragraph'
import { downToUnit } from './unit'

/** How far the items of a list stand in, in the text's size (em). */
export const INDENT = 1.5

/** px: `indent` from where the text's lines begin, `gap` above. */
export type Set = { paragraph: Paragraph; indent: number; gap: number; marker?: Marker }
/** `top`, px from the text's. */
export type SetAt = Set & { top: number; lines: readonly Line[] }

export class Typeset {
  readonly sets: readonly Set[]
  readonly seenEnds: SeenEnds
  /** Which way its lines run. */
  readonly direction: Direction
  /** px */
  readonly minContent: number
  readonly maxContent: number

  /** @param holds whether it holds paragraphs, and links: without, words are set as if they had none */
  constructor(
    fonts: FontLibrary,
    style: Resolved,
    words: Words,
    holds: { flowing: boolean; links: boolean },
  ) {
    const parted = style.hyphens === 'auto' ? hyphenated(words, style.lang) : words
    const shown = holds.links
      ? parted
      : withMarks(parted, (mark) => (mark.type === 'link' ? undefined : mark))
    const parts = partsOf(shown, holds.flowing)
    const alone = !holds.flowing || isOneParagraph(shown)
    this.seenEnds = seenEnds(style, alone)
    const step = downToUnit(style.fontSize * INDENT)
    const gap = downToUnit(style.fontSize * style.paragraphGap!)
    this.direction = directionOf(style.direction, words)
    this.sets = parts.map(({ spans, depth, marker, apart }) => ({
      // Empty among others, it is a line all the same: `<br>` stands in it.
      paragraph: new Paragraph(
        fonts,
        style,
        parts.length > 1 && spans.every(({ text }) => text === '') ? [{ text: '\n' }] : spans,
        alone,
        this.direction,
      ),
      indent: depth * step,
      gap: apart ? gap : 0,
      marker: marker === undefined ? undefined : markerIn(fonts, style, marker),
    }))
    this.minContent = Math.max(...this.sets.map(({ paragraph, indent }) => paragraph.minContent + indent))
    this.maxContent = Math.max(...this.sets.map(({ paragraph, indent }) => paragraph.maxContent + indent))
  }

  get isEmpty(): boolean {
    return this.sets.length === 1 && this.sets[0]!.paragraph.text === ''
  }

  /** How many lines are shown; undefined: all. */
  private get mostLines(): number | undefined {
    return this.sets[0]!.paragraph.mostLines
  }

  /** The characters that are set. */
  get text(): string {
    return this.sets.map(({ paragraph }) => paragraph.text).join('\n')
  }

  /** What is read out: no soft hyphens, and nothing for icons. */
  get said(): string {
    return wordsShown(this.text).trim()
  }

  /** Height at a width, px; mostly without making lines. */
  height(width: number): number {
    if (this.mostLines !== undefined) return bottomOf(this.placed(width))
    if (this.sets.length === 1) return this.heightOf(this.sets[0]!, width)
    return this.sets.reduce((sum, set) => sum + set.gap + this.heightOf(set, width), 0)
  }

  private heightOf({ paragraph, indent }: Set, width: number): number {
    return paragraph.height(Math.max(0, width - indent))
  }

  /** Every paragraph with its lines, as many as there may be. */
  placed(width: number): SetAt[] {
    const placed: SetAt[] = []
    let left = this.mostLines ?? Number.POSITIVE_INFINITY
    for (const [i, set] of this.sets.entries()) {
      const room = Math.max(0, width - set.indent)
      const all = set.paragraph.lines(room)
      const lines = all.slice(0, left)
      left -= lines.length
      const isCut = lines.length < all.length || (left === 0 && i < this.sets.length - 1)
      if (isCut) lines[lines.length - 1] = set.paragraph.cutOff(lines[lines.length - 1]!, room)
      placed.push({ ...set, top: bottomOf(placed) + set.gap, lines })
      if (left === 0) break
    }
    return placed
  }

  /** Baseline of the first line from the text's top, px. */
  firstBaseline(width: number): number {
    const { paragraph, indent } = this.sets[0]!
    return paragraph.firstBaseline(Math.max(0, width - indent))
  }
}

/** Where the last line ends, px from the text's top. */
function bottomOf(placed: readonly SetAt[]): number {
  const last = placed.at(-1)
  const line = last?.lines.at(-1)
  return last ? last.top + (line ? line.top + line.height : 0) : 0
}
