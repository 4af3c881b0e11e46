/**
 * What fits, to the layout unit, as Chromium's shaping line breaker and its min-content have it. Both were found by pages of narrow texts,
 * counted in 64ths of a px.
 */
import { graphemeEnds, SOFT_HYPHEN } from './breaks'
import { holding, type Piece, ShapedText } from './shaped-text'
import { UNIT, upToUnit } from './unit'

/** Places in a text are sums of floating-point numbers: less than this of a layout unit is not a difference. */
const ROUNDING = 1e-4

export class FittingText extends ShapedText {
  private ends: Uint32Array | undefined

  /**
   * What a word adds to the min-content, px: as it was shaped whole, nothing is shaped again for it. Chromium takes the difference of two
   * places in a piece, from its left, each cut to its layout unit, but for what begins one that runs rightwards; a word that goes on in
   * the next adds up.
   */
  protected word(from: number, end: number): number {
    let width = 0
    let start = from
    for (let i = holding(this.pieces, from); start < end; i++) {
      const piece = this.pieces[i]!
      const to = Math.min(end, piece.end)
      if (this.isLeftward(piece)) width += this.fromRight(piece, start) - this.fromRight(piece, to)
      else if (start === piece.start) width += upToUnit(this.advances[to]! - this.advances[start]!)
      else width += this.fromLeft(piece, to) - this.fromLeft(piece, start)
      start = to
    }
    return width
  }

  private isLeftward({ start }: Piece): boolean {
    return ((this.levels?.levels[start] ?? 0) & 1) === 1
  }

  private fromLeft({ start }: Piece, at: number): number {
    return Math.floor((this.advances[at]! - this.advances[start]!) / UNIT + ROUNDING) * UNIT
  }

  private fromRight({ end }: Piece, at: number): number {
    return Math.ceil((this.advances[end]! - this.advances[at]!) / UNIT - ROUNDING) * UNIT
  }

  /** Where words may break anywhere, each grapheme is a line of the min-content; of a ligature's the first is as wide as all (Chromium). */
  protected widestGrapheme(from: number, to: number): number {
    let widest = 0
    let last = from
    for (let at = from + 1; at <= to; at++) {
      if (this.graphemeFrom(at) !== at || (at < to && this.isInside(at))) continue
      widest = Math.max(widest, this.word(last, at))
      last = at
    }
    return widest
  }

  /**
   * Chromium's shaping line breaker looks for the break in the piece as it was shaped whole, the line's beginning as wide as it is by
   * itself; and an end that has to be shaped again must fit behind the last safe place.
   */
  protected partFits(start: number, end: number, room: number): boolean {
    const piece = this.pieces[holding(this.pieces, start)]!
    const first = this.shapesStart(start, end) ? this.safeFrom(start, piece.end) : start
    const edge = this.edgeOf(start, first, room)
    const zero = this.advances[piece.start]!
    if (this.advances[end]! - zero > edge) return false
    if (first < end && this.shapesEnd(end)) {
      const last = this.safeBefore(end, first)
      if (!this.tailFits(last, end, edge)) return false
    }
    return upToUnit(this.partWidth(start, end)) <= room
  }

  /** Whether a line's end fits that is shaped again from its last safe place on: all of it cut up to layout units. */
  private tailFits(last: number, end: number, edge: number): boolean {
    const place = upToUnit(this.advances[last]! - this.zeroOf(last))
    return place + upToUnit(this.shapeAlone(last, end)) <= upToUnit(edge)
  }

  /** Where the piece of a character begins: Chromium has places in it from there. */
  private zeroOf(at: number): number {
    return this.advances[this.pieces[holding(this.pieces, at)]!.start]!
  }

  /** Where the room of a line ends, from its piece's beginning, px: the line's beginning takes what it takes by itself. */
  private edgeOf(start: number, first: number, room: number): number {
    const zero = this.zeroOf(start)
    if (first === start) return upToUnit(this.advances[start]! - zero) + room
    return upToUnit(this.advances[first]! - zero) + room - upToUnit(this.shapeAlone(start, first))
  }

  /**
   * Where Chromium's shaping line breaker cuts a piece between graphemes: at the last one that begins within `room` in the text as it
   * was shaped whole, or, where the end has to be shaped again and is too wide then, at one before. Undefined: none fits.
   */
  protected cutPiece(
    start: number,
    end: number,
    room: number,
    isFirst: boolean,
    again = false,
  ): number | undefined {
    const zero = this.zeroOf(start)
    const first = this.safeFrom(start, this.pieces[holding(this.pieces, start)]!.end)
    const edge = this.edgeOf(start, first, room)
    let candidate = start
    while (candidate < end && this.place(candidate + 1) - zero < edge) candidate++
    let cut = this.graphemeBefore(candidate, start)
    while (cut > start) {
      if (first >= cut && first > start) {
        // Shaped anew as a whole; where that is too wide, Chromium looks once more, for a px less than it came to.
        const less = upToUnit(this.shapeAlone(start, cut)) - 1
        if (again || less + 1 <= room || less >= room || cut === this.graphemeFrom(start + 1)) return cut
        return this.cutPiece(start, end, less, isFirst, true) ?? this.graphemeFrom(start + 1)
      }
      const last = this.safeBefore(cut, first)
      const mayEnd = last === cut || this.tailFits(last, cut, edge)
      if (mayEnd && upToUnit(this.partWidth(start, cut)) <= room) return cut
      cut = this.graphemeBefore(cut - 1, start)
    }
    const next = this.graphemeFrom(Math.max(candidate, start + 1))
    return isFirst ? next : undefined
  }

  /** The last grapheme's end at or before `at`, not behind a soft hyphen; `least` when there is none behind it. */
  private graphemeBefore(at: number, least: number): number {
    this.ends ??= graphemeEnds(this.text)
    let end = at
    while (end > least && (this.ends[end] !== end || this.text[end - 1] === SOFT_HYPHEN)) end--
    return end
  }

  protected graphemeFrom(at: number): number {
    this.ends ??= graphemeEnds(this.text)
    return this.ends[at]!
  }
}
