/** What has to be known before a document's texts are set: what languages and scripts bring along, read when they are met. */
import type { Document } from '../document/document'
import { learnEastAsian } from './east-asian'
import { learnHyphenation } from './hyphenation'

/**
 * Comes before its fonts are looked up: which files they are may be a part of it.
 * @param since a `tick` of the document: only what changed after it is looked at; left out: everything
 * @returns what is new: files that draw characters, rules that words are parted by
 * @throws when some of it cannot be had; what can is known all the same
 */
export async function learnTexts(doc: Document, since?: number): Promise<{ files: boolean; rules: boolean }> {
  const [files, rules] = await Promise.all([learnEastAsian(doc, since), learnHyphenation(doc, since)])
  return { files, rules }
}
