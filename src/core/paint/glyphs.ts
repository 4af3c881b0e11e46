/** Glyphs as they are set on the lines of a text. */
import { spacesIn } from '../text/paragraph'
import type { GlyphRun } from '../text/shape'
import type { PlacedLine } from './lines'

/** How far fonts without an italic are slanted (Skia: a quarter to the side). */
export const SLANT = 0.25

export type Part = { start: number; end: number }
const ALL: Part = { start: 0, end: Number.POSITIVE_INFINITY }

/** A glyph on a line; `x` px from where `left` is counted from. */
export type SetGlyph = { run: GlyphRun; index: number; x: number }

function glyphsIn(run: GlyphRun, part: Part, shift: number): SetGlyph[] {
  const list: SetGlyph[] = []
  for (let index = 0; index < run.glyphs.length; index++)
    if (run.cluster[index]! >= part.start && run.cluster[index]! < part.end)
      list.push({ run, index, x: shift + run.x[index]! })
  return list
}

/** The glyphs of one line. @param left of the block's border edge, px */
export class LineGlyphs {
  private readonly shift: number
  constructor(
    private readonly placed: PlacedLine,
    private readonly left: number,
  ) {
    this.shift = left + placed.x - placed.paragraph.advances[placed.line.start]!
  }

  /** What a stretched line's spaces have grown by, up to a character. */
  private grown(at: number): number {
    const { spread, paragraph, line } = this.placed
    return spread === 0 ? 0 : spread * spacesIn(paragraph.text, line.start, at)
  }

  /** Where a character begins. */
  edge(at: number): number {
    return this.shift + this.placed.paragraph.advances[at]! + this.grown(at)
  }

  of(part: Part): SetGlyph[] {
    return this.placed.paragraph.runs
      .filter((run) => run.end > part.start && run.start < part.end)
      .flatMap((run) => glyphsIn(run, part, this.shift))
      .map((set) => ({ ...set, x: set.x + this.grown(set.run.cluster[set.index]!) }))
  }

  /** What stands before the first line of an item. */
  get marker(): SetGlyph[] {
    const { marker } = this.placed
    return marker ? marker.runs.flatMap((run) => glyphsIn(run, ALL, this.left + marker.x)) : []
  }

  /** A hyphen or an ellipsis that the line has got. */
  get ending(): SetGlyph[] {
    const { line, x } = this.placed
    const ending = line.hyphen ?? line.ellipsis
    const at = this.left + x + line.width - (ending?.width ?? 0)
    return ending ? ending.runs.flatMap((run) => glyphsIn(run, ALL, at)) : []
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
