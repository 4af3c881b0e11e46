/** A paragraph: styled spans, shaped once, wrapped at any width. */
import type { Resolved } from '../document/resolve'
import type { Span } from '../document/schema'
import { type Break, lineBreaks } from './breaks'
import type { FontLibrary } from './fonts'
import { type GlyphRun, shapeInto, type TextStyle } from './shape'

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
}

export type PieceStyle = TextStyle & { color?: string; link?: string }
export type Piece = { start: number; end: number; style: PieceStyle }

/** Chromium's layout unit, 1/64 px: a line may be fuller than its box by rounding alone. */
const UNIT = 1 / 64

export function transformCase(text: string, kind: Resolved['textCase']): string {
  switch (kind) {
    case 'uppercase':
      return text.toUpperCase()
    case 'lowercase':
      return text.toLowerCase()
    case 'capitalize':
      return text.replace(
        /(^|[\s\-–—/(“"'])(\p{L})/gu,
        (_, before: string, letter: string) => before + letter.toUpperCase(),
      )
    default:
      return text
  }
}

/** White space collapsed as `white-space: normal` does, line feeds kept as forced breaks (`<br>`). */
export function collapseSpaces(spans: readonly Span[]): Span[] {
  let previous = '\n'
  const out: Span[] = []
  for (const span of spans) {
    let text = ''
    for (const char of span.text.replace(/\r\n?/g, '\n')) {
      const space = char === ' ' || char === '\t' || char === '\f'
      if (space && (previous === ' ' || previous === '\n')) continue
      if (char === '\n' && text.endsWith(' ')) text = text.slice(0, -1)
      previous = space ? ' ' : char
      text += previous
    }
    out.push(text === span.text ? span : { ...span, text })
  }
  return out
}

export class Paragraph {
  readonly text: string
  readonly pieces: Piece[]
  readonly runs: GlyphRun[] = []
  /** Width before each character, px; one longer than the text. */
  readonly advances: Float64Array
  readonly lineHeight: number
  /** Widest unbreakable stretch, px. */
  readonly minContent: number
  /** Widest line when only forced breaks break, px. */
  readonly maxContent: number
  private readonly breaks: Break[]
  /** For each opportunity, where the visible text before it ends. */
  private readonly visible: Uint32Array
  private readonly metrics: { ascent: number; descent: number }[]
  private readonly strut: { ascent: number; descent: number }
  private readonly uniform: boolean
  private readonly size: number
  /** Where a break changes the shapes around it: contextual letters, kerning across a space. */
  private readonly unsafe: Uint8Array
  /** Widths of lines that had to be shaped by themselves. */
  private readonly reshaped = new Map<number, number>()

  constructor(
    private readonly fonts: FontLibrary,
    style: Resolved,
  ) {
    const spans = collapseSpaces(style.spans ?? [])
    this.pieces = []
    let text = ''
    for (const span of spans) {
      const own = transformCase(span.text, style.textCase)
      if (own === '') continue
      this.pieces.push({
        start: text.length,
        end: text.length + own.length,
        style: {
          family: style.fontFamily,
          size: style.fontSize,
          weight: span.weight ?? style.fontWeight!,
          italic: span.italic ?? style.italic!,
          letterSpacing: style.letterSpacing!,
          color: span.color ?? style.color,
          link: span.link,
        },
      })
      text += own
    }
    this.text = text
    const height = style.lineHeight!
    this.lineHeight = 'px' in height ? height.px : height.ratio * style.fontSize
    this.advances = new Float64Array(text.length + 1)
    this.unsafe = new Uint8Array(text.length + 1)
    this.size = style.fontSize
    for (const piece of this.pieces) {
      shapeInto(
        fonts,
        text.slice(piece.start, piece.end),
        piece.style,
        piece.start,
        this.advances,
        this.runs,
        this.unsafe,
      )
    }
    this.strut = this.leading(fonts, style.fontFamily, style.italic!, style.fontWeight!, style.fontSize)
    this.metrics = this.pieces.map(({ style: own }) =>
      this.leading(fonts, own.family, own.italic, own.weight, own.size),
    )
    this.uniform = this.metrics.every(
      (m) => m.ascent === this.strut.ascent && m.descent === this.strut.descent,
    )
    this.breaks = text === '' ? [] : lineBreaks(text)
    this.visible = new Uint32Array(this.breaks.length)
    let from = 0
    let min = 0
    let max = 0
    let lineStart = 0
    this.breaks.forEach((each, i) => {
      let end = each.at
      while (end > from && (text[end - 1] === ' ' || text[end - 1] === '\n')) end--
      this.visible[i] = end
      min = Math.max(min, this.advances[end] - this.advances[from])
      if (each.required || i === this.breaks.length - 1) {
        max = Math.max(max, this.advances[end] - this.advances[lineStart])
        lineStart = each.at
      }
      from = each.at
    })
    this.minContent = Math.ceil(min / UNIT - 1e-9) * UNIT
    this.maxContent = Math.ceil(max / UNIT - 1e-9) * UNIT
  }

  /** Ascent and descent of one inline box with its half-leading (CSS Inline 3, §5; the floor is Chromium's). */
  private leading(fonts: FontLibrary, family: string, italic: boolean, weight: number, size: number) {
    const face = fonts.primary(family, italic, weight)
    const { ascent, descent } = face?.metrics(size) ?? {
      ascent: Math.round(size * 0.9),
      descent: Math.round(size * 0.25),
    }
    const above = Math.floor((this.lineHeight - ascent - descent) / 2)
    return { ascent: ascent + above, descent: this.lineHeight - ascent - above }
  }

  private lineBox(start: number, end: number) {
    let { ascent, descent } = this.strut
    if (!this.uniform) {
      this.pieces.forEach((piece, i) => {
        if (piece.start < end && piece.end > start) {
          ascent = Math.max(ascent, this.metrics[i].ascent)
          descent = Math.max(descent, this.metrics[i].descent)
        }
      })
    }
    return { height: ascent + descent, baseline: ascent }
  }

  /** Width of the line from `start` to `end`, were it broken at `at` (behind its spaces), px. */
  private lineWidth(start: number, end: number, at: number): number {
    if (!this.unsafe[start] && !this.unsafe[at]) return this.advances[end] - this.advances[start]
    const key = start * (this.text.length + 1) + at
    let width = this.reshaped.get(key)
    if (width === undefined) {
      width = this.shapeAlone(start, end, at)
      this.reshaped.set(key, width)
    }
    return width
  }

  private shapeAlone(start: number, end: number, at: number): number {
    const advances = new Float64Array(at - start + 1)
    for (const piece of this.pieces) {
      const from = Math.max(piece.start, start)
      const to = Math.min(piece.end, at)
      if (from >= to) continue
      shapeInto(
        this.fonts,
        this.text.slice(from, to),
        piece.style,
        from - start,
        advances,
        [],
        new Uint8Array(at - start + 1),
      )
    }
    return advances[end - start]
  }

  private overflows(start: number, index: number, room: number): boolean {
    const end = this.visible[index]
    const width = this.advances[end] - this.advances[start]
    // Shaping by itself changes little: only a line near the limit is worth it.
    if (Math.abs(width - room) > this.size) return width > room
    return this.lineWidth(start, end, this.breaks[index].at) > room
  }

  private eachLine(width: number, visit: (start: number, end: number) => void) {
    const { breaks, visible } = this
    const room = width + UNIT
    let start = 0
    let last = -1
    for (let i = 0; i < breaks.length; i++) {
      if (last >= 0 && this.overflows(start, i, room) && visible[i] > start) {
        visit(start, visible[last])
        start = breaks[last].at
        last = -1
      }
      last = i
      if (breaks[i].required) {
        visit(start, Math.max(start, visible[i]))
        start = breaks[i].at
        last = -1
      }
    }
    if (last >= 0) visit(start, Math.max(start, visible[last]))
  }

  /** Height at a width, px, without making lines. */
  height(width: number): number {
    let total = 0
    if (this.uniform)
      this.eachLine(width, () => {
        total += this.lineHeight
      })
    else
      this.eachLine(width, (start, end) => {
        total += this.lineBox(start, end).height
      })
    return total
  }

  lines(width: number): Line[] {
    const lines: Line[] = []
    let top = 0
    this.eachLine(width, (start, end) => {
      const { height, baseline } = this.lineBox(start, end)
      lines.push({ start, end, width: this.advances[end] - this.advances[start], top, height, baseline })
      top += height
    })
    return lines
  }

  /** Baseline of the first line from the paragraph's top, px. */
  firstBaseline(width: number): number {
    if (this.breaks.length === 0) return 0
    if (this.uniform) return this.strut.ascent
    return this.lines(width)[0]?.baseline ?? this.strut.ascent
  }
}

/** Shaped paragraphs by content and style, so that an edit elsewhere never shapes again. */
export class ParagraphCache {
  private readonly entries = new Map<string, Paragraph>()
  private version = -1
  constructor(
    private readonly fonts: FontLibrary,
    private readonly most = 50_000,
  ) {}

  get(style: Resolved): Paragraph {
    if (this.version !== this.fonts.version) {
      this.entries.clear()
      this.version = this.fonts.version
    }
    const key = JSON.stringify([
      style.spans,
      style.fontFamily,
      style.fontSize,
      style.fontWeight,
      style.italic,
      style.lineHeight,
      style.letterSpacing,
      style.textCase,
      style.color,
    ])
    let paragraph = this.entries.get(key)
    if (!paragraph) {
      paragraph = new Paragraph(this.fonts, style)
      if (this.entries.size >= this.most) this.entries.clear()
      this.entries.set(key, paragraph)
    }
    return paragraph
  }
}
