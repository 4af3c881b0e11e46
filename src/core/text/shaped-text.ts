/** A paragraph's words, shaped whole once, and how wide any part of them would be as a line of its own. */
import type { Resolved } from '../document/resolve'
import type { FontLibrary } from './fonts'
import { type GlyphRun, shapeInto, type TextStyle } from './shape'
import { scriptsOf } from './scripts'
import { collapseSpaces, transformCase } from './spans'

export type PieceStyle = TextStyle & { color?: string; link?: string }
/** A stretch of the paragraph in one style. */
export type Piece = { text: string; start: number; end: number; style: PieceStyle }

/** Chromium's layout unit, 1/64 px: a line may be fuller than its box by rounding alone. */
export const UNIT = 1 / 64

export const upToUnit = (px: number) => Math.ceil(px / UNIT - 1e-9) * UNIT

export class ShapedText {
  readonly text: string
  readonly pieces: Piece[]
  readonly runs: GlyphRun[] = []
  protected readonly scripts: Uint8Array
  /** Width before each character, px; one longer than the text. */
  readonly advances: Float64Array
  /** Centred or set right, where a line ends is seen. */
  private readonly accurateEnd: boolean
  /** Where a break changes the shapes around it: contextual letters, kerning across a space. */
  protected readonly unsafe: Uint8Array
  /** Widths of lines that had to be shaped by themselves. */
  private readonly reshaped = new Map<number, number>()

  constructor(
    protected readonly fonts: FontLibrary,
    style: Resolved,
  ) {
    this.pieces = piecesOf(style)
    const text = this.pieces.map((piece) => piece.text).join('')
    this.text = text
    this.accurateEnd = style.textAlign === 'center' || style.textAlign === 'right'
    this.advances = new Float64Array(text.length + 1)
    this.unsafe = new Uint8Array(text.length + 1)
    this.scripts = scriptsOf(text)
    for (const { start, end, style: own } of this.pieces) {
      const scripts = this.scripts.subarray(start, end)
      shapeInto(fonts, text.slice(start, end), scripts, own, start, this.advances, this.runs, this.unsafe)
    }
  }

  /**
   * Width of a part in one style from `start` to `end`, were it broken at `at` (behind its spaces), px. Only what stands between a
   * break and the next place that is safe to break is shaped again, as in Chromium; and a line's end before spaces only
   * where its exact place matters.
   */
  protected partWidth(start: number, end: number, at: number): number {
    const { unsafe, advances } = this
    const endMatters = this.accurateEnd || end === at
    if (!unsafe[start] && !(endMatters && unsafe[at])) return advances[end] - advances[start]
    const key = 2 * (start * (this.text.length + 1) + at) + (end === at ? 1 : 0)
    let width = this.reshaped.get(key)
    if (width === undefined) {
      let first = start
      while (unsafe[first] && first < at) first++
      let last = at
      if (endMatters) while (unsafe[last] && last > start) last--
      if (first >= last) width = this.shapeAlone(start, end, at)
      else {
        width = this.shapeAlone(start, first, first) + advances[Math.min(end, last)] - advances[first]
        if (end > last) width += this.shapeAlone(last, end, at)
      }
      this.reshaped.set(key, width)
    }
    return width
  }

  /** Part of one piece, shaped as if nothing stood around it. */
  protected shapeAlone(start: number, end: number, at: number): number {
    if (start === end) return 0
    const piece = this.pieces[holding(this.pieces, start)]
    const to = Math.min(at, piece.end)
    const own = this.text.slice(start, to)
    const scripts = this.scripts.subarray(start, to)
    const advances = new Float64Array(own.length + 1)
    shapeInto(this.fonts, own, scripts, piece.style, 0, advances, [], new Uint8Array(own.length + 1))
    return advances[end - start]
  }

  /** As `partWidth`, over every piece of the line; all but the last take whole layout units, as in Chromium. */
  protected lineWidth(start: number, end: number, at: number): number {
    if (this.pieces.length === 1 || start >= end) return this.partWidth(start, end, at)
    let width = 0
    let from = start
    for (let i = holding(this.pieces, start); this.pieces[i].end < end; i++) {
      width += upToUnit(this.partWidth(from, this.pieces[i].end, this.pieces[i].end))
      from = this.pieces[i].end
    }
    return width + this.partWidth(from, end, at)
  }
}

/** Index of the stretch that holds a character; stretches lie one behind the other without gaps. */
export function holding(stretches: readonly { end: number }[], at: number): number {
  let low = 0
  let high = stretches.length - 1
  while (low < high) {
    const middle = (low + high) >> 1
    if (stretches[middle].end <= at) low = middle + 1
    else high = middle
  }
  return low
}

function piecesOf(style: Resolved): Piece[] {
  const pieces: Piece[] = []
  let at = 0
  for (const span of collapseSpaces(style.spans ?? [])) {
    const text = transformCase(span.text, style.textCase)
    if (text === '') continue
    pieces.push({
      text,
      start: at,
      end: at + text.length,
      style: {
        family: style.fontFamily,
        size: style.fontSize * (span.size ?? 1),
        weight: span.weight ?? style.fontWeight!,
        italic: span.italic ?? style.italic!,
        letterSpacing: style.letterSpacing!,
        color: span.color ?? style.color,
        link: span.link,
      },
    })
    at += text.length
  }
  return pieces
}
