/** Texts that were shaped before. */

import type { Kind } from '../properties/kinds'
import type { Resolved } from '../properties/table'
import { holdsLinks, holdsParagraphs } from '../words/parts'
import { said } from '../words/words'
import type { FontLibrary } from './fonts'
import { seenEnds } from './line-ends'
import { Typeset } from './typeset'

/** Everything but the words that a text is set by, in one order; not what it is drawn in. Every text is asked for with each layout. */
function settingOf(style: Resolved, flowing: boolean, links: boolean): readonly unknown[] {
  const height = style.lineHeight!
  const isNormal = height === 'normal'
  return [
    style.fontFamily,
    style.fontSize,
    style.fontWeight,
    style.italic,
    isNormal || !('px' in height) ? undefined : height.px,
    isNormal || !('ratio' in height) ? undefined : height.ratio,
    style.letterSpacing,
    style.wordSpacing,
    style.textCase,
    style.overflowWrap,
    style.textAlign,
    style.paragraphGap,
    style.figures,
    style.features,
    style.axes,
    style.lang,
    style.direction,
    style.hyphens,
    style.textWrap,
    style.maxLines,
    seenEnds(style, true),
    flowing,
    links,
  ]
}

const sameSetting = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false
  return true
}

/** Of the same words: more than there are views and themes of, a size that is pulled leaves many behind. */
const MOST_SETTINGS = 32
/** A text as it is set in one way. */
type Known = { setting: readonly unknown[]; typeset: Typeset }

/** Shaped texts by content and style, so that an edit elsewhere never shapes again. */
export class ParagraphCache {
  private readonly entries = new Map<string, Typeset>()
  /** By the very words a block holds: found without spelling them out. */
  private known = new WeakMap<object, Known[]>()
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
    const setting = settingOf(style, flowing, links)
    const words = style.words ?? NONE
    let own = this.known.get(words)
    if (own) {
      for (const each of own) if (sameSetting(each.setting, setting)) return each.typeset
    } else {
      own = []
      this.known.set(words, own)
    }
    const key = `${setting.join('|')}|${JSON.stringify(words)}`
    let text = this.entries.get(key)
    if (!text) {
      text = new Typeset(this.fonts, style, words, { flowing, links })
      if (this.entries.size >= this.most) this.entries.clear()
      this.entries.set(key, text)
    }
    if (own.length >= MOST_SETTINGS) own.length = 0
    own.push({ setting, typeset: text })
    return text
  }
}

const NONE = said('')
