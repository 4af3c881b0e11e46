/** Families that go well together: one for headings, one for everything else. */
import type { Document } from '../document/document'
import { isObject, mapValues } from '../document/token-variants'
import type { Edit } from '../edits/edit'
import { isHeadingStyle } from '../properties/type'
import { storedToken } from './instead'

export type Pairing = { mood: string; heading: string; body: string }

export const PAIRINGS: readonly Pairing[] = [
  { mood: 'warm and printed', heading: 'Fraunces', body: 'Hanken Grotesk' },
  { mood: 'bookish', heading: 'Newsreader', body: 'Source Serif 4' },
  { mood: 'classical', heading: 'Playfair Display', body: 'Lora' },
  { mood: 'fashion', heading: 'Bodoni Moda', body: 'Instrument Sans' },
  { mood: 'calm and plain', heading: 'Work Sans', body: 'Work Sans' },
  { mood: 'friendly', heading: 'Gabarito', body: 'Figtree' },
  { mood: 'technical', heading: 'Space Grotesk', body: 'DM Sans' },
  { mood: 'loud', heading: 'Big Shoulders Display', body: 'Archivo' },
  { mood: 'round and wide', heading: 'Unbounded', body: 'Plus Jakarta Sans' },
  { mood: 'newspaper', heading: 'Oswald', body: 'Crimson Pro' },
  { mood: 'odd and lively', heading: 'Syne', body: 'Manrope' },
  { mood: 'workshop', heading: 'Rokkitt', body: 'Bitter' },
]

/** Sets every type style of a project in a pair; sizes and weights stay. */
export function pairingEdits(doc: Document, { heading, body }: Pairing): Edit[] {
  return doc.tokenTable.names('typography').flatMap((name): Edit[] => {
    const fontFamily = isHeadingStyle(name) ? heading : body
    const before = storedToken(doc.tokens, name)!
    const token = mapValues(before, (value) => (isObject(value) ? { ...value, fontFamily } : value))
    return JSON.stringify(token) === JSON.stringify(before) ? [] : [{ op: 'token', name, token }]
  })
}
