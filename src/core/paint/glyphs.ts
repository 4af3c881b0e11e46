/** Glyphs as they are set on the lines of a text. */
import { fromLeft, type Stretch } from '../text/bidi'
import { spacesIn } from '../text/line'
import type { GlyphRun } from '../text/shape'
import type { PlacedLine } from './lines'

/** How far fonts without an italic are slanted (Skia: a quarter to the side). */
export const SLANT = 0.25

export type Part = { start: number; end: number }
const ALL: Part = { start: 0, end: Number.POSITIVE_INFINITY }

/** A glyph on a line; `x` px from where `left` is counted from. */
export type SetGlyph = { run: GlyphRun; index: number; x: number }

/** A stretch of a line that runs one way, and where it lies. */
type PlacedStretch = Stretch & { left: number; right: number }

/** @param at px that a glyph lies at that is set so far from the paragraph's beginning */
function glyphsIn(run: GlyphRun, part: Part, at: (x: number, cluster: number) => number): SetGlyph[] {
  const list: SetGlyph[] = []
  for (let index = 0; index < run.glyphs.length; index++) {
    const cluster = run.cluster[index]!
    if (cluster >= part.start && cluster < part.end) list.push({ run, index, x: at(run.x[index]!, cluster) })
  }
  return list
}

/** The glyphs of one line. @param left of the block's border edge, px */
export class LineGlyphs {
  private readonly stretches: readonly PlacedStretch[]
  constructor(
    private readonly placed: PlacedLine,
    private readonly left: number,
  ) {
    this.stretches = this.placedStretches()
  }

  private placedStretches(): PlacedStretch[] {
    const { paragraph, line, x } = this.placed
    const { start, end } = line
    const { levels, text, advances } = paragraph
    const all = levels ? fromLeft(text, levels, start, end) : [{ start, end, leftward: false }]
    const widthOf = (each: Part) =>
      advances[each.end]! - advances[each.start]! + this.grown(each.start, each.end)
    let at = this.left + x
    // What begins at the right lies there; what shaping its ends anew has taken off is taken off where it ends.
    if (paragraph.direction === 'rtl')
      at += line.width + this.grown(start, end) - all.reduce((sum, each) => sum + widthOf(each), 0)
    return all.map((stretch) => {
      const left = at
      at += widthOf(stretch)
      return { ...stretch, left, right: at }
    })
  }

  /** What a stretched line's spaces have grown by, from a character up to another. */
  private grown(from: number, to: number): number {
    const { spread, paragraph } = this.placed
    return spread === 0 ? 0 : spread * spacesIn(paragraph.text, from, to)
  }

  /** Where a character of a stretch begins; `along`: px from the paragraph's beginning. */
  private at(stretch: PlacedStretch, along: number, character: number): number {
    const { start, leftward, left, right } = stretch
    const far = along - this.placed.paragraph.advances[start]! + this.grown(start, character)
    return leftward ? right - far : left + far
  }

  /** The stretches that a part lies in, from the left: mostly one. */
  private in(part: Part): (Part & { stretch: PlacedStretch })[] {
    return this.stretches.flatMap((stretch) => {
      const own = { start: Math.max(part.start, stretch.start), end: Math.min(part.end, stretch.end) }
      return own.start < own.end ? [{ ...own, stretch }] : []
    })
  }

  /** From where to where a part lies, px: as often as it is torn by what runs the other way. */
  extents(part: Part): [number, number][] {
    const { advances } = this.placed.paragraph
    return this.in(part).map(({ start, end, stretch }) => {
      const ends = [this.at(stretch, advances[start]!, start), this.at(stretch, advances[end]!, end)] as const
      return [Math.min(...ends), Math.max(...ends)]
    })
  }

  of(part: Part): SetGlyph[] {
    return this.in(part).flatMap((own) =>
      this.placed.paragraph.runs
        .filter((run) => run.end > own.start && run.start < own.end)
        .flatMap((run) => glyphsIn(run, own, (x, cluster) => this.at(own.stretch, x, cluster))),
    )
  }

  /** What stands before the first line of an item. */
  get marker(): SetGlyph[] {
    const { marker } = this.placed
    return marker ? marker.runs.flatMap((run) => glyphsIn(run, ALL, (x) => this.left + marker.x + x)) : []
  }

  /** A hyphen or an ellipsis that the line has got. */
  get ending(): SetGlyph[] {
    const { line, x, paragraph } = this.placed
    const ending = line.hyphen ?? line.ellipsis
    if (!ending) return []
    const at = this.left + x + (paragraph.direction === 'rtl' ? 0 : line.width - ending.width)
    return ending.runs.flatMap((run) => glyphsIn(run, ALL, (x) => at + x))
  }

  /** The part of each piece of one style that is on the line. */
  get pieces() {
    const { line, paragraph } = this.placed
    return paragraph.pieces.flatMap((piece) => {
      const part = { start: Math.max(piece.start, line.start), end: Math.min(piece.end, line.end) }
      return part.start < part.end ? [{ piece, part }] : []
    })
  }
}
