/** Chinese, Japanese and Korean characters: their files are looked up in a table that is read when one of them is met. */
import type { Document } from '../document/document'
import { plainText } from '../words/words'
import { learnEastAsianFiles } from './families'
import { holdsEastAsian } from './scripts'

let learning: Promise<void> | undefined

/** Makes all of their files known. @throws when the table cannot be had */
export function readEastAsianTable(): Promise<void> {
  learning ??= import('./catalogue-east').then(
    ({ EAST_ASIAN: files }) => learnEastAsianFiles(files),
    (error) => {
      learning = undefined
      throw error
    },
  )
  return learning
}

/**
 * Makes the files known that a document's East Asian characters are drawn with; until then none has them.
 * @param since a `tick` of the document: only what changed after it is looked at; left out: everything
 * @returns whether they are new
 * @throws when they cannot be had
 */
export async function learnEastAsian(doc: Document, since?: number): Promise<boolean> {
  const areNew = !learning
  if (areNew && !isInEastAsian(doc, since)) return false
  await readEastAsianTable()
  return areNew
}

function isInEastAsian(doc: Document, since: number | undefined): boolean {
  const touched = since === undefined ? undefined : doc.touchedSince(since)
  const nodes = touched ? [...touched].flatMap((id) => doc.nodes.get(id) ?? []) : doc.nodes.values()
  for (const node of nodes) {
    const changes = node.kind === 'page' ? Object.values(doc.pages.get(node.id)?.changes ?? {}) : []
    for (const { props, overrides = {} } of [node, ...changes])
      for (const { words } of [props, ...Object.values(overrides)])
        if (words && holdsEastAsian(plainText(words))) return true
  }
  return false
}
