/** Where families of the project's own are used, and setting all of that in another. */
import type { Document } from '../document/document'
import { placesOf } from '../document/places'
import { isObject, mapValues } from '../document/token-variants'
import type { Edit } from '../edits/edit'
import { storedToken } from './instead'

/** `texts`: how many set it themselves; `styles`: type styles in it. */
export type FontUses = { texts: number; styles: string[] }

/** By family, a name or an id; those that nobody uses are not in it. */
export function fontUses(doc: Document): Map<string, FontUses> {
  const uses = new Map<string, FontUses>()
  const of = (family: string) => {
    const known = uses.get(family) ?? { texts: 0, styles: [] }
    uses.set(family, known)
    return known
  }
  const texts = new Map<string, Set<string>>()
  for (const { node, props } of placesOf(doc)) {
    const family = props.fontFamily
    if (family === undefined) continue
    const seen = texts.get(family) ?? new Set()
    texts.set(family, seen.add(node))
    of(family).texts = seen.size
  }
  for (const name of doc.tokenTable.names('typography')) {
    const families = new Set<string>()
    mapValues(storedToken(doc.tokens, name)!, (value) => {
      if (isObject(value) && typeof value.fontFamily === 'string') families.add(value.fontFamily)
      return value
    })
    for (const family of families) of(family).styles.push(name)
  }
  return uses
}

/** Takes a family out; what is set in it is set in `instead`. */
export function takeOutFont(doc: Document, id: string, instead: string): Edit[] {
  const texts = [...placesOf(doc)]
    .filter(({ props }) => props.fontFamily === id)
    .map(
      ({ node, view }): Edit => ({
        op: 'set',
        node,
        ...(view === undefined ? {} : { view }),
        props: { fontFamily: instead },
      }),
    )
  const styles = doc.tokenTable.names('typography').flatMap((name): Edit[] => {
    const before = storedToken(doc.tokens, name)!
    const token = mapValues(before, (value) =>
      isObject(value) && value.fontFamily === id ? { ...value, fontFamily: instead } : value,
    )
    return JSON.stringify(token) === JSON.stringify(before) ? [] : [{ op: 'token', name, token }]
  })
  return [...texts, ...styles, { op: 'font', id, font: null }]
}
