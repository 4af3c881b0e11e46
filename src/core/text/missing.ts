/** Characters that no shipped font has: visitors see what their own system has for them, or a box. */
import type { Resolved } from '../properties/table'
import { looksIn } from '../words/words'
import { CODE_FAMILY, fileFor } from './fonts'

const UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{Cc}\p{White_Space}]/u

/** Values do not change once they are resolved, and are asked of with every layout. */
const known = new WeakMap<Resolved, readonly string[]>()

/** Each once, in the order in which they stand. */
export function missingCharacters(resolved: Resolved): readonly string[] {
  let missing = known.get(resolved)
  if (!missing) {
    missing = missingIn(resolved)
    known.set(resolved, missing)
  }
  return missing
}

function missingIn({ words, fontFamily, italic }: Resolved): string[] {
  const missing = new Set<string>()
  for (const { text, look } of looksIn(words))
    for (const char of text) {
      // Latin letters are in every family.
      if (char < '\u0180' || UNSEEN.test(char)) continue
      const family = look.code ? CODE_FAMILY : fontFamily
      if (!fileFor(family, look.italic ?? italic!, char.codePointAt(0)!)) missing.add(char)
    }
  return [...missing]
}

/** `漢 (U+6F22)` */
export const characterName = (char: string) =>
  `${char} (U+${char.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')})`
