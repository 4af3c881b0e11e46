/** Texts that were shaped before. */

import type { Kind } from '../properties/kinds'
import type { Resolved } from '../properties/table'
import { holdsLinks, holdsParagraphs } from '../words/parts'
import { said } from '../words/words'
import type { FontLibrary } from './fonts'
import { seenEnds } from './line-ends'
import { Typeset } from './typeset'

/** Everything but the words that a text is set by; not what it is drawn in. */
function styleKey(style: Resolved): string {
  const height = style.lineHeight!
  const line = height === 'normal' ? 'n' : 'px' in height ? `p${height.px}` : `r${height.ratio}`
  return `${style.fontFamily}|${style.fontSize}|${style.fontWeight}|${style.italic}|${line}|${style.letterSpacing}|${style.wordSpacing}|${style.textCase}|${style.overflowWrap}|${style.textAlign}|${style.paragraphGap}|${style.figures}|${style.features}|${style.axes}|${style.lang}|${style.direction}|${style.hyphens}|${style.textWrap}|${style.maxLines}|${seenEnds(style, true)}`
}

/** Shaped texts by content and style, so that an edit elsewhere never shapes again. */
export class ParagraphCache {
  private readonly entries = new Map<string, Typeset>()
  /** By the very words a block holds: found without spelling them out. */
  private known = new WeakMap<object, Map<string, Typeset>>()
  private version = -1
  constructor(
    private readonly fonts: FontLibrary,
    private readonly most = 50_000,
  ) {}

  /** @param kind of the block: with its element it says whether there are paragraphs and lists in it, and links */
  get(style: Resolved, kind: Kind): Typeset {
    if (this.version !== this.fonts.version) {
      this.entries.clear()
      this.known = new WeakMap()
      this.version = this.fonts.version
    }
    const flowing = holdsParagraphs(kind, style.tag)
    const links = holdsLinks(kind, style.tag)
    const look = `${styleKey(style)}|${flowing}|${links}`
    const words = style.words ?? NONE
    let own = this.known.get(words)
    const same = own?.get(look)
    if (same) return same
    if (!own) {
      own = new Map()
      this.known.set(words, own)
    }
    const key = `${look}|${JSON.stringify(words)}`
    let text = this.entries.get(key)
    if (!text) {
      text = new Typeset(this.fonts, style, words, { flowing, links })
      if (this.entries.size >= this.most) this.entries.clear()
      this.entries.set(key, text)
    }
    own.set(look, text)
    return text
  }
}

const NONE = said('')
