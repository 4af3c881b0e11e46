/** A paragraph's words, shaped whole once, and how wide any part of them would be as a line of its own. */
import type { Resolved } from '../properties/table'
import type { Icon, Span } from '../words/words'
import { type Direction, type Levels, levelsOf } from './bidi'
import { CODE_FAMILY } from './families'
import type { FontLibrary } from './fonts'
import { iconSide } from './icon-box'
import { isDecorated, type SeenEnds, seenEnds } from './line-ends'
import { raiseOf, SCRIPT_SIZE } from './script-box'
import { scriptsOf } from './scripts'
import { AROUND, type GlyphRun, INSIDE, type Shapeable, shapeAlone, shapeInto, type TextStyle } from './shape'
import { collapseSpaces, isPlain, transformCase } from './spans'
import { downToUnit, upToUnit } from './unit'

export type PieceStyle = TextStyle & {
  color?: string
  link?: string
  underline?: boolean
  strike?: boolean
  /** How far its baseline lies above the line's, px. */
  raise?: number
  /** Stands there instead of a letter, in a piece of its own. */
  icon?: Icon
  /** Of the elements around it, whose boxes count on the line too. */
  around?: readonly Boxed[]
}
/** What an element's box on a line is made of. */
export type Boxed = Pick<TextStyle, 'family' | 'size' | 'weight' | 'italic' | 'axes'> & { raise?: number }
/** A stretch of the paragraph in one style; line feeds, which nothing is shaped across, stand alone. */
export type Piece = {
  start: number
  end: number
  style: PieceStyle
  /** Stands in the text's own box, not in an element of its own. */
  plain: boolean
}

/** Characters that are looked through for a place that is safe to break: where a font has none, a long word would be shaped anew for each line. */
const REACH = 256

export class ShapedText {
  readonly text: string
  readonly pieces: Piece[]
  readonly runs: GlyphRun[] = []
  protected readonly scripts: Uint8Array
  /** Where some of it runs from right to left. */
  readonly levels: Levels | undefined
  /** Width before each character, px; one longer than the text. */
  readonly advances: Float64Array
  private readonly seen: SeenEnds
  /** `UNSAFE` where a break changes the shapes around it: contextual letters, kerning across a space. `INSIDE` of a ligature. */
  private readonly safety: Uint8Array
  /** Widths of lines that had to be shaped by themselves. */
  private readonly reshaped = new Map<number, number>()
  /** Where lines end whose end was shaped by itself. */
  private readonly endsAlone = new Map<number, number>()

  constructor(
    protected readonly fonts: FontLibrary,
    style: Resolved,
    spans: readonly Span[],
    alone: boolean,
    readonly direction: Direction,
  ) {
    const { text, pieces } = piecesOf(style, spans)
    this.text = text
    this.seen = seenEnds(style, alone)
    this.advances = new Float64Array(text.length + 1)
    this.safety = new Uint8Array(text.length + 1)
    this.scripts = scriptsOf(text)
    this.levels = levelsOf(text, direction)
    this.pieces = this.levels ? pieces.flatMap((piece) => oneWay(piece, this.levels!.levels)) : pieces
    this.shape()
  }

  private part(start: number, end: number): Shapeable {
    const { text, scripts } = this
    const words = { text: text.slice(start, end), scripts: scripts.subarray(start, end) }
    if (!this.levels) return words
    return {
      ...words,
      levels: this.levels.levels.subarray(start, end),
      before: text.slice(Math.max(0, start - AROUND), start),
      after: text.slice(end, end + AROUND),
    }
  }

  /** Pieces of one font are shaped together, so that kerning and ligatures reach across links and colours. */
  private shape() {
    const { pieces, text, advances, runs, safety } = this
    for (let first = 0; first < pieces.length; ) {
      let next = first + 1
      while (next < pieces.length && shapedTogether(text, pieces[next - 1]!, pieces[next]!)) next++
      const { start, style } = pieces[first]!
      const { end } = pieces[next - 1]!
      if (style.icon) advances[end] = advances[start]! + iconSide(style.size)
      else shapeInto(this.fonts, this.part(start, end), style, { advances, runs, safety }, start)
      first = next
    }
  }

  /**
   * Width of a part of one piece, were it a line's, px. Only what stands between its ends and the next places that are safe to break
   * is shaped again, as in Chromium.
   */
  protected partWidth(start: number, end: number): number {
    const { advances } = this
    const ends = this.shapesEnd(end)
    const begins = this.shapesStart(start, end)
    if (!begins && !ends) return advances[end]! - advances[start]!
    const key = start * (this.text.length + 1) + end
    let width = this.reshaped.get(key)
    if (width === undefined) {
      const first = begins ? this.safeFrom(start, end) : start
      const last = ends ? this.safeBefore(end, start) : end
      width =
        first >= last
          ? this.shapeAlone(start, end)
          : this.shapeAlone(start, first) + advances[last]! - advances[first]! + this.shapeAlone(last, end)
      this.reshaped.set(key, width)
    }
    return width
  }

  protected isUnsafe(at: number): boolean {
    return this.safety[at] !== 0
  }

  /** Whether a place lies inside of a ligature. */
  protected isInside(at: number): boolean {
    return this.safety[at] === INSIDE
  }

  /** Where Chromium has a character, px: one inside of a ligature, where that begins. */
  protected place(at: number): number {
    let base = at
    while (this.safety[base] === INSIDE) base--
    return this.advances[base]!
  }

  /** The first place at or behind `at`, up to `most`, where a break changes nothing; the last at or before, down to `least`. */
  protected safeFrom(at: number, most: number): number {
    const end = Math.min(most, at + REACH)
    let first = at
    while (first < end && this.isUnsafe(first)) first++
    return first
  }
  protected safeBefore(at: number, least: number): number {
    const end = Math.max(least, at - REACH)
    let last = at
    while (last > end && this.isUnsafe(last)) last--
    return last
  }

  /** Whether a part's beginning is shaped again. A piece that stands on the line as a whole is as it was shaped. */
  protected shapesStart(start: number, end: number): boolean {
    if (!this.isUnsafe(start)) return false
    const piece = this.pieces[holding(this.pieces, start)]!
    return start > piece.start || this.text.slice(end, piece.end).trim() !== ''
  }

  /**
   * Whether a line that ends at `end` has its end shaped again; before spaces Chromium does only where it is seen where the line ends.
   */
  protected shapesEnd(end: number): boolean {
    if (!this.isUnsafe(end)) return false
    const piece = this.pieces[holding(this.pieces, end - 1)]!
    if (piece.end === end || this.text.slice(end, piece.end).trim() === '') return false
    if (this.text[end] !== ' ' || this.seen === 'all') return true
    return (this.seen === 'own' && piece.plain) || isDecorated(piece.style)
  }

  /** Width of a part of one piece, shaped as if nothing stood around it, px. */
  protected shapeAlone(start: number, end: number): number {
    if (start === end) return 0
    const piece = this.pieces[holding(this.pieces, start)]!
    return shapeAlone(this.fonts, this.part(start, end), piece.style).width
  }

  /** Where a line that ends at `end` would end, from the text's beginning, px: its end shaped as if nothing stood behind it. */
  endAlone(end: number): number {
    if (end === 0 || !this.isUnsafe(end)) return this.advances[end]!
    let place = this.endsAlone.get(end)
    if (place === undefined) {
      const { start } = this.pieces[holding(this.pieces, end - 1)]!
      const last = this.safeBefore(end, start)
      place = downToUnit(this.advances[last]!) + upToUnit(this.shapeAlone(last, end))
      this.endsAlone.set(end, place)
    }
    return place
  }

  /** As `partWidth`, over every piece of the line; all but the last take whole layout units, as in Chromium. */
  protected lineWidth(start: number, end: number): number {
    if (this.pieces.length === 1 || start >= end) return this.partWidth(start, end)
    const last = this.lastPart(start, end)
    return last.before + this.partWidth(last.from, end)
  }

  /** Where the last piece's part of a line begins, and how wide what stands before it is, px. */
  protected lastPart(start: number, end: number): { from: number; before: number } {
    let before = 0
    let from = start
    for (let i = holding(this.pieces, start); this.pieces[i]!.end < end; i++) {
      before += upToUnit(this.partWidth(from, this.pieces[i]!.end))
      from = this.pieces[i]!.end
    }
    return { from, before }
  }
}

/** Index of the stretch that holds a character; stretches lie one behind the other without gaps. */
export function holding(stretches: readonly { end: number }[], at: number): number {
  let low = 0
  let high = stretches.length - 1
  while (low < high) {
    const middle = (low + high) >> 1
    if (stretches[middle]!.end <= at) low = middle + 1
    else high = middle
  }
  return low
}

function shapedTogether(text: string, { start, style: a }: Piece, { start: next, style: b }: Piece): boolean {
  return (
    text[start] !== '\n' &&
    text[next] !== '\n' &&
    !a.icon &&
    !b.icon &&
    a.family === b.family &&
    a.size === b.size &&
    a.raise === b.raise &&
    a.weight === b.weight &&
    a.italic === b.italic
  )
}

/** A piece in parts that run one way each: Chromium makes items of them. */
function oneWay(piece: Piece, levels: Levels['levels']): Piece[] {
  const parts: Piece[] = []
  let { start } = piece
  for (let at = start + 1; at <= piece.end; at++)
    if (at === piece.end || levels[at] !== levels[start]) {
      parts.push({ ...piece, start, end: at })
      start = at
    }
  return parts
}

/** What a text's own words are set in. */
export const baseStyle = (style: Resolved): PieceStyle => ({
  family: style.fontFamily,
  size: style.fontSize,
  weight: style.fontWeight!,
  italic: style.italic!,
  letterSpacing: style.letterSpacing!,
  wordSpacing: style.wordSpacing,
  figures: style.figures,
  features: style.features,
  axes: style.axes,
  lang: style.lang,
})

/** A length in em as Chromium computes it, cut to single precision, px: sizes are cut to 1/100 px later. */
const emOf = (em: number, size: number) => Math.fround(Math.fround(size) * em)

/** The elements that the words of a span stand in when they are handed off, from the outermost in, but for the last. */
function elementsAround(base: Boxed, span: Span): readonly Boxed[] | undefined {
  const boxes: Boxed[] = []
  let box = base
  const within = (own: Partial<Boxed>) => {
    box = { ...box, ...own }
    boxes.push(box)
  }
  const { size: share, weight, italic, script } = span
  const size = share === undefined ? base.size : emOf(share, base.size)
  const isLink = span.link !== undefined
  const isStrong = weight !== undefined && weight >= 600
  if (isLink) within({ size })
  if (isStrong) within({ weight })
  if (italic) within({ italic })
  if ((share !== undefined && !isLink) || italic === false || (weight !== undefined && !isStrong))
    within({ size, italic: italic ?? box.italic, weight: weight ?? box.weight })
  if (script) {
    const own = emOf(SCRIPT_SIZE, size)
    within({ size: own, raise: raiseOf(script, own) })
  }
  if (!span.code) boxes.pop()
  return boxes.length > 0 ? boxes : undefined
}

function pieceStyle(style: Resolved, span: Span): PieceStyle {
  const base = baseStyle(style)
  const own = span.size === undefined ? base.size : emOf(span.size, base.size)
  const size = span.script ? emOf(SCRIPT_SIZE, own) : own
  return {
    family: span.code ? CODE_FAMILY : base.family,
    size,
    weight: span.weight ?? base.weight,
    italic: span.italic ?? base.italic,
    letterSpacing: base.letterSpacing,
    wordSpacing: base.wordSpacing,
    figures: base.figures,
    features: base.features,
    axes: base.axes,
    lang: base.lang,
    color: span.color,
    link: span.link,
    underline: span.underline,
    strike: span.strike,
    icon: span.icon,
    raise: raiseOf(span.script, size),
    around: elementsAround(base, span),
  }
}

function piecesOf(style: Resolved, spans: readonly Span[]): { text: string; pieces: Piece[] } {
  const pieces: Piece[] = []
  let text = ''
  for (const span of collapseSpaces(spans)) {
    const own = pieceStyle(style, span)
    const plain = isPlain(span)
    const cased = transformCase(span.text, span.case ?? style.textCase, text.at(-1), style.lang)
    for (const part of cased.split(/(\n)/)) {
      if (part === '') continue
      const last = pieces.at(-1)
      // Plain spans side by side are one text.
      if (last?.plain && plain && part !== '\n' && text[last.start] !== '\n') last.end += part.length
      else pieces.push({ start: text.length, end: text.length + part.length, style: own, plain })
      text += part
    }
  }
  return { text, pieces }
}
