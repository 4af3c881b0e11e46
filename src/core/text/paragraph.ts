/** A paragraph: styled spans, shaped once, wrapped at any width. */
import type { Resolved } from '../properties/table'
import type { LineHeight } from '../properties/values'
import type { Span } from '../words/words'
import type { Direction } from './bidi'
import { isLeadingHyphen, lineBreaks, SOFT_HYPHEN } from './breaks'
import { FittingText } from './fitting-text'
import type { FontLibrary } from './fonts'
import { FoundLines } from './found-lines'
import { iconExtent } from './icon-box'
import { type Ending, type Line, spacesIn, spreadOf } from './line'
import { type Extent, extentOf, unite } from './line-box'
import { balanceLines, endPrettily } from './rebroken'
import { raised } from './script-box'
import { shapeAlone } from './shape'
import { type Boxed, baseStyle, holding, type Piece, type PieceStyle } from './shaped-text'
import { UNIT, upToUnit } from './unit'

/** The hyphen shown at a soft one, and what stands in where a font has none (CSS Text 3 §5.4.1). */
const HYPHEN = '\u2010'
const ELLIPSIS = '\u2026'

/** @param kept whether lines break where that is asked for, and at the end, alone */
const breaksIn = (text: string, kept: boolean) =>
  kept ? lineBreaks(text).filter(({ at, required }) => required || at === text.length) : lineBreaks(text)

/** What is not seen of a line where it ends (CSS Text 3 §4.1.3). */
const HANGS = new Set([' ', '\n', '\u3000'])

/** Of the paragraph that was broken last. */
const found = new FoundLines()

/** A line of no height. */
const FLAT: LineHeight = { ratio: 0 }

export class Paragraph extends FittingText {
  /** Widest unbreakable stretch, px. */
  readonly minContent: number
  /** Widest line when only forced breaks break, px. */
  readonly maxContent: number
  /** For each opportunity to break, where the next line would begin. */
  readonly nexts: Uint32Array
  /** For each opportunity, whether it is taken in any case. */
  readonly required: Uint8Array
  /** For each opportunity, where the visible text before it ends. */
  readonly visible: Uint32Array
  /** For each opportunity, the hyphen's width when the line breaks there, px. */
  readonly hyphens: Float64Array
  /** For each opportunity, where the line before it ends, px from the text's beginning. */
  private readonly lineEnds: Float64Array
  /** For each opportunity, the next from it on that is taken in any case or makes a hyphen; how many there are. */
  private readonly stops: Uint32Array
  /** Opportunities that the min-content does not know. */
  private readonly glued: ReadonlySet<number>
  private readonly strut: Extent
  /** What each stretch adds to the lines it is on. */
  private readonly extents: { start: number; end: number; extent: Extent }[]
  /** Every line is as high as the strut, with its baseline. */
  readonly uniform: boolean
  /** Of the text's own words, px. */
  readonly size: number
  private readonly anywhere: boolean
  private readonly wrapping: Resolved['textWrap']
  /** How many lines of it are shown; undefined: all. */
  readonly mostLines: number | undefined
  private readonly base: PieceStyle
  readonly isJustified: boolean

  /** @param alone whether it stands in the text's own box, not in a paragraph or item of its own */
  constructor(
    fonts: FontLibrary,
    style: Resolved,
    spans: readonly Span[],
    alone = true,
    direction: Direction = 'ltr',
  ) {
    super(fonts, style, spans, alone, direction)
    const { text } = this
    this.size = style.fontSize
    this.anywhere = style.overflowWrap === 'anywhere' && style.textWrap !== 'nowrap'
    this.wrapping = style.textWrap
    this.mostLines = alone ? style.maxLines : undefined
    this.base = baseStyle(style)
    this.isJustified = style.textAlign === 'justify'
    const height = style.lineHeight!
    this.strut = this.extent(height, this.base)
    this.extents = this.pieces.flatMap((piece) => this.extentsOf(piece, height))
    this.uniform = this.extents.every(
      ({ extent }) => extent.ascent === this.strut.ascent && extent.descent === this.strut.descent,
    )
    const breaks = text === '' ? [] : breaksIn(text, style.textWrap === 'nowrap')
    this.nexts = Uint32Array.from(breaks, (each) => each.at)
    this.required = Uint8Array.from(breaks, (each) => (each.required ? 1 : 0))
    // There Chromium looks for breaks piece by piece and knows nothing of what stands before.
    const heads = new Set(
      this.pieces.map(({ start }) => (isLeadingHyphen(text, start, start + 1) ? start + 1 : 0)),
    )
    this.glued = new Set(breaks.flatMap(({ at, glued }, i) => (glued || heads.has(at) ? [i] : [])))
    this.visible = new Uint32Array(breaks.length)
    this.hyphens = new Float64Array(breaks.length)
    this.lineEnds = new Float64Array(breaks.length)
    this.stops = new Uint32Array(breaks.length)
    this.prepareBreaks()
    const { min, max } = this.contributions()
    this.minContent = upToUnit(min)
    this.maxContent = upToUnit(max)
  }

  private extent(height: LineHeight, box: Boxed): Extent {
    const { size, raise } = box
    const own = extentOf(this.fonts.primary(box), size, raise === undefined ? height : FLAT)
    return raised(own, raise)
  }

  /** With `line-height: normal` the fonts that stand in for missing characters have a say too. */
  private extentsOf(piece: Piece, height: LineHeight): { start: number; end: number; extent: Extent }[] {
    const { start, end, style } = piece
    const inner = this.extent(height, style)
    const around = (style.around ?? []).reduce(
      (extent, box) => unite(extent, this.extent(height, box)),
      inner,
    )
    const drawn = style.icon ? unite(around, raised(iconExtent(style.size), style.raise)) : around
    // Smaller than its line, it makes none of another kind.
    const own = style.raise === undefined ? drawn : unite(this.strut, drawn)
    const runs =
      height === 'normal' && style.raise === undefined
        ? this.runs.filter((run) => run.start < end && run.end > start)
        : []
    if (runs.length === 0) return [{ start, end, extent: own }]
    return runs.map((run) => ({
      start: Math.max(start, run.start),
      end: Math.min(end, run.end),
      extent: unite(own, extentOf(run.face, run.size, height)),
    }))
  }

  private prepareBreaks() {
    const { text } = this
    let from = 0
    this.nexts.forEach((next, i) => {
      let end = next
      while (end > from && HANGS.has(text[end - 1]!)) end--
      this.visible[i] = end
      if (text[next - 1] === SOFT_HYPHEN && next < text.length)
        this.hyphens[i] = this.hyphenAt(next - 1).width
      this.lineEnds[i] = this.advances[end]!
      from = next
    })
    let stop = this.nexts.length
    for (let i = stop - 1; i >= 0; i--) {
      if (this.required[i] !== 0 || this.hyphens[i] !== 0) stop = i
      this.stops[i] = stop
    }
  }

  /** The hyphen that shows when the line breaks behind character `at`, set like the text around it. */
  private hyphenAt(at: number): Ending {
    const { style } = this.pieces[holding(this.pieces, at)]!
    return { ...this.ending(HYPHEN, '-', at, { ...style, letterSpacing: 0 }), color: style.color }
  }

  /** @param instead where the font has no such sign @param at the character whose script it goes with */
  private ending(sign: string, instead: string, at: number, style: PieceStyle): Ending {
    const face = this.fonts.primary(style)
    const text = face?.has(sign.codePointAt(0)!) ? sign : instead
    const scripts = new Uint8Array(text.length).fill(this.scripts[at] ?? 0)
    return { text, ...shapeAlone(this.fonts, { text, scripts }, style) }
  }

  /** A line behind which more is cut off, as Chromium ends it: at the last character that leaves room for the ellipsis, or the first. */
  cutOff(line: Line, width: number): Line {
    const { text, advances } = this
    const ellipsis = this.ending(ELLIPSIS, '...', line.start, this.base)
    const room = width - ellipsis.width
    const spread = this.isJustified ? spreadOf(text, line, width) : 0
    const until = (at: number) =>
      advances[at]! - advances[line.start]! + (spread > 0 ? spread * spacesIn(text, line.start, at) : 0)
    let { end } = line
    if (until(end) > room) {
      end = Math.min(line.end, this.graphemeFrom(line.start + 1))
      for (let next = this.graphemeFrom(end + 1); next < line.end; next = this.graphemeFrom(end + 1)) {
        if (until(next) > room) break
        end = next
      }
    }
    const { hyphen: _, ...rest } = line
    return { ...rest, end, width: until(end) + ellipsis.width, ellipsis, whole: line.width, spread }
  }

  /** Min-content and max-content (CSS Sizing 3 §5.1), px. */
  private contributions(): { min: number; max: number } {
    const { nexts, required, visible } = this
    let from = 0
    let min = 0
    let max = 0
    let lineStart = 0
    nexts.forEach((next, i) => {
      if (this.glued.has(i)) return
      const end = visible[i]
      min = Math.max(
        min,
        this.anywhere ? this.widestGrapheme(from, end!) : this.word(from, end!) + this.hyphens[i]!,
      )
      if (required[i] !== 0 || i === nexts.length - 1) {
        max = Math.max(max, this.lineWidth(lineStart, end!))
        lineStart = next
      }
      from = next
    })
    return { min, max }
  }

  private lineBox(start: number, at: number): Extent {
    let extent = this.strut
    if (!this.uniform) {
      for (let i = holding(this.extents, start); i < this.extents.length && this.extents[i]!.start < at; i++)
        extent = unite(extent, this.extents[i]!.extent)
    }
    return extent
  }

  private overflows(start: number, end: number, room: number): boolean {
    const width = this.advances[end]! - this.advances[start]!
    // Shaping a line's ends by themselves changes its width by less than a letter.
    if (Math.abs(room - width) > this.size) return width > room
    const { from, before } = this.lastPart(start, end)
    return !this.partFits(from, end, room - before)
  }

  /** Whether a line that begins at a character and ends at an opportunity has room. */
  fits(start: number, at: number, room: number): boolean {
    const end = this.visible[at]!
    if (end > start && this.overflows(start, end, room)) return false
    return this.hyphens[at] === 0 || this.fitsWithHyphen(start, end, this.hyphens[at]!, room)
  }

  /** Chromium looks for a break in the whole room first, and only where the hyphen sticks out then, in what that leaves. */
  private fitsWithHyphen(start: number, end: number, hyphen: number, room: number): boolean {
    const width = upToUnit(hyphen)
    if (!this.overflows(start, end, room - width)) return true
    return upToUnit(this.lineWidth(start, end)) + width <= room
  }

  /** Breaks, into `found`. */
  private breakLines(width: number) {
    this.breakGreedily(width)
    if (this.wrapping === 'balance') balanceLines(found, this, width, this.mostLines)
    else if (this.wrapping === 'pretty') endPrettily(found, this, width, this.mostLines)
  }

  private breakGreedily(width: number) {
    const { nexts, required, visible, hyphens, advances, lineEnds, stops } = this
    found.count = 0
    // Widths are whole layout units in the browser; less than one more does not count.
    const room = Math.floor(width / UNIT + 1e-6) * UNIT + UNIT
    let start = 0
    let last = -1
    // The first opportunity of the line: taken, whatever its width, when none fits.
    let first = -1
    for (let i = 0; i < nexts.length; ) {
      // Most words end well before the edge: whatever is shaped again at the line's ends, they fit.
      if (nexts[i]! > start + 1) {
        const sure = advances[start]! + room - this.size
        const stop = stops[i]!
        const from = i
        while (i < stop && lineEnds[i]! < sure) i++
        if (i > from) {
          if (first < 0) first = from
          last = i - 1
        }
      }
      if (i === nexts.length) break
      if (isLeadingHyphen(this.text, start, nexts[i]!)) {
        i++
        continue
      }
      const full = visible[i]! > start && this.overflows(start, visible[i]!, room)
      if (full && last < 0 && !this.anywhere) last = first
      if (!full || last < 0) {
        const cut = full && this.anywhere ? this.cutInside(start, visible[i]!, room) : visible[i]
        if (cut! < visible[i]!) {
          found.add(start, cut!, cut!, -1)
          start = cut!
          first = -1
          while (i > 0 && nexts[i - 1]! > cut!) i--
          continue
        }
        if (first < 0) first = i
        if (full || hyphens[i] === 0 || this.fitsWithHyphen(start, visible[i]!, hyphens[i]!, room)) last = i
        if (required[i] === 0) {
          i++
          continue
        }
        last = i
      }
      found.add(start, Math.max(start, visible[last]!), nexts[last]!, last)
      start = nexts[last]!
      i = last + 1
      last = -1
      first = -1
    }
    if (last < 0) last = first
    if (last >= 0) found.add(start, Math.max(start, visible[last]!), nexts[last]!, last)
  }

  /** `overflow-wrap: anywhere`: the piece that no longer fits is cut; one of which nothing fits is left to the next line. */
  private cutInside(start: number, end: number, room: number): number {
    let rest = room
    let from = start
    for (let i = holding(this.pieces, start); this.pieces[i]!.end < end; i++) {
      const width = upToUnit(this.partWidth(from, this.pieces[i]!.end))
      if (width > rest) break
      rest -= width
      from = this.pieces[i]!.end
    }
    const cut = this.cutPiece(
      from,
      Math.min(end, this.pieces[holding(this.pieces, from)]!.end),
      rest,
      from === start,
    )
    if (cut === undefined) return from > start ? from : this.graphemeFrom(start + 1)
    if (this.text[cut] !== SOFT_HYPHEN) return cut
    // In front of a soft hyphen Chromium makes room for its hyphen, then breaks before it all the same; or behind it, where a single letter
    // before it is too wide for the room only when it is shaped by itself.
    const left = room - this.hyphenAt(cut).width
    if (cut === this.graphemeFrom(start + 1)) return this.cutPiece(start, cut + 1, left, true) ?? cut
    return this.cutInside(start, cut, left)
  }

  /** Height at a width, px, without making lines. */
  height(width: number): number {
    this.breakLines(width)
    const each = this.strut.ascent + this.strut.descent
    if (this.uniform) return found.count * each
    let total = 0
    for (let i = 0; i < found.count; i++) {
      const { ascent, descent } = this.lineBox(found.starts[i]!, found.nexts[i]!)
      total += ascent + descent
    }
    return total
  }

  lines(width: number): Line[] {
    this.breakLines(width)
    const lines: Line[] = []
    let top = 0
    for (let i = 0; i < found.count; i++) {
      const start = found.starts[i]!
      const end = found.ends[i]!
      const next = found.nexts[i]!
      const index = found.indices[i]!
      const { ascent, descent } = this.lineBox(start, next)
      const line: Line = {
        start,
        end,
        width: this.lineWidth(start, end),
        top,
        height: ascent + descent,
        baseline: ascent,
      }
      if (index >= 0 && this.hyphens[index]! > 0) {
        line.width += this.hyphens[index]!
        line.hyphen = this.hyphenAt(next - 1)
      }
      lines.push(line)
      top += ascent + descent
    }
    return lines
  }

  /** Baseline of the first line from the paragraph's top, px. */
  firstBaseline(width: number): number {
    if (this.text === '') return 0
    if (this.uniform) return this.strut.ascent
    return this.lines(width)[0]?.baseline ?? this.strut.ascent
  }
}
