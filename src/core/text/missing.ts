/** Characters that no shipped font has: visitors see what their own system has for them, or a box. */
import type { LayoutBox } from '../layout/box'
import type { Resolved } from '../properties/table'
import { looksIn } from '../words/words'
import { CODE_FAMILY, fileFor } from './families'
import type { Typeset } from './typeset'

const UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{Cc}\p{White_Space}]/u

/** A text that is set stays as it is, and is asked of with every layout. */
const known = new WeakMap<Typeset, readonly string[]>()

/** As below, of a block with words; others have none. */
export function missingIn(box: LayoutBox): readonly string[] {
  const { typeset } = box
  if (!typeset) return []
  const missing = known.get(typeset) ?? missingCharacters(box.resolved)
  known.set(typeset, missing)
  return missing
}

/** Each once, in the order in which they stand. */
export function missingCharacters({ words, fontFamily, italic, fontWeight }: Resolved): string[] {
  const missing = new Set<string>()
  for (const { text, look } of looksIn(words))
    for (const char of text) {
      // Latin letters are in every family.
      if (char < '\u0180' || UNSEEN.test(char)) continue
      const family = look.code ? CODE_FAMILY : fontFamily
      const wanted = { family, italic: look.italic ?? italic!, weight: look.weight ?? fontWeight! }
      if (!fileFor(wanted, char.codePointAt(0)!)) missing.add(char)
    }
  return [...missing]
}

/** `漢 (U+6F22)` */
export const characterName = (char: string) =>
  `${char} (U+${char.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')})`
