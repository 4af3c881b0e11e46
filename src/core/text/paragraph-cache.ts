import type { Resolved } from '../properties/table'
import type { FontLibrary } from './fonts'
import { Paragraph } from './paragraph'
import { isBordered } from './shaped-text'

/** Everything but the words that a paragraph depends on. */
function styleKey(style: Resolved): string {
  const height = style.lineHeight!
  const line = height === 'normal' ? 'n' : 'px' in height ? `p${height.px}` : `r${height.ratio}`
  return `${style.fontFamily}|${style.fontSize}|${style.fontWeight}|${style.italic}|${line}|${style.letterSpacing}|${style.textCase}|${style.overflowWrap}|${style.textAlign}|${style.color}|${isBordered(style)}`
}

/** Shaped paragraphs by content and style, so that an edit elsewhere never shapes again. */
export class ParagraphCache {
  private readonly entries = new Map<string, Paragraph>()
  /** By the very words a block holds: found without spelling them out. */
  private known = new WeakMap<object, Map<string, Paragraph>>()
  private version = -1
  constructor(
    private readonly fonts: FontLibrary,
    private readonly most = 50_000,
  ) {}

  get(style: Resolved): Paragraph {
    if (this.version !== this.fonts.version) {
      this.entries.clear()
      this.known = new WeakMap()
      this.version = this.fonts.version
    }
    const look = styleKey(style)
    const words = style.spans ?? NONE
    let own = this.known.get(words)
    const same = own?.get(look)
    if (same) return same
    if (!own) {
      own = new Map()
      this.known.set(words, own)
    }
    const key = `${look}|${JSON.stringify(words)}`
    let paragraph = this.entries.get(key)
    if (!paragraph) {
      paragraph = new Paragraph(this.fonts, style)
      if (this.entries.size >= this.most) this.entries.clear()
      this.entries.set(key, paragraph)
    }
    own.set(look, paragraph)
    return paragraph
  }
}

const NONE: readonly never[] = []
