/** Values that are nearly a token, or just what one is: colours within a just visible difference, distances within 3 px. */
import { differenceOf } from '../color/steps'
import type { Document } from '../document/document'
import { placesOf } from '../document/places'
import type { Edit, PropChanges } from '../edits/edit'
import { PROPERTIES, type PropKey } from '../properties/table'
import { editAt } from './instead'
import type { TokenUse } from './uses'

/** `off`: CIEDE2000 for a colour, px for a length. */
export type Near = { value: string | number; token: string; off: number; uses: TokenUse[] }

const COLOR_REACH = 2
const LENGTH_REACH = 3
/** Distances: what a scale of spaces is for. */
export const SPACES = /^padding|^(row|column)Gap$|^spaceBefore$/

/** Hex colours in a value, wherever in it. */
export function* hexesIn(value: unknown): Generator<string> {
  if (typeof value === 'string' && /^#[0-9a-f]{6}([0-9a-f]{2})?$/i.test(value)) yield value
  else if (typeof value === 'object' && value !== null)
    for (const each of Object.values(value)) yield* hexesIn(each)
}

type Hit = { token: string; off: number }

function nearest<T>(
  known: readonly { name: string; value: T }[],
  off: (value: T) => number,
  reach: number,
): Hit | undefined {
  let best: Hit | undefined
  for (const { name, value } of known) {
    const distance = off(value)
    if (distance <= reach && (!best || distance < best.off)) best = { token: name, off: distance }
  }
  return best
}

/** The most used first. */
export function nearTokens(doc: Document): Near[] {
  const tokens = doc.tokenTable
  const valued = (type: 'color' | 'dimension') =>
    tokens.names(type).map((name) => ({ name, value: tokens.lookup(name)!.value }))
  const colors = valued('color') as { name: string; value: string }[]
  const spaces = valued('dimension') as { name: string; value: number }[]
  const found = new Map<string, Near>()
  /** What each value is nearest to: the same are many. */
  const hits = new Map<string, Hit | undefined>()
  const note = (value: string | number, look: () => Hit | undefined, use: TokenUse) => {
    const hit = hits.has(`${value}`) ? hits.get(`${value}`) : look()
    hits.set(`${value}`, hit)
    if (!hit) return
    const near = found.get(`${value}`) ?? { value, ...hit, uses: [] }
    near.uses.push(use)
    found.set(`${value}`, near)
  }
  for (const { props, ...at } of placesOf(doc))
    for (const [key, value] of Object.entries(props) as [PropKey, unknown][]) {
      const use = { ...at, key }
      if (PROPERTIES[key].token === 'color')
        for (const hex of new Set(hexesIn(value)))
          note(hex, () => nearest(colors, (each) => differenceOf(each, hex), COLOR_REACH), use)
      else if (SPACES.test(key) && typeof value === 'number' && value > 0)
        note(value, () => nearest(spaces, (each) => Math.abs(each - value), LENGTH_REACH), use)
    }
  return [...found.values()].sort((a, b) => b.uses.length - a.uses.length || a.off - b.off)
}

const keyOf = ({ node, by, view }: Omit<TokenUse, 'key' | 'page'>, key: string) =>
  JSON.stringify([node, by, view, key])

/** @param tokens by the value that each is for */
function bound(value: unknown, tokens: ReadonlyMap<unknown, string>): unknown {
  const token = tokens.get(value)
  if (token !== undefined) return `{${token}}`
  if (Array.isArray(value)) return value.map((each) => bound(each, tokens))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, bound(each, tokens)]))
}

/** Makes every use of values the tokens that they are nearly. */
export function bindEdits(doc: Document, nears: readonly Near[]): Edit[] {
  const wanted = new Map<string, Map<unknown, string>>()
  for (const { value, token, uses } of nears)
    for (const use of uses) {
      const at = keyOf(use, use.key)
      wanted.set(at, (wanted.get(at) ?? new Map()).set(value, token))
    }
  const edits: Edit[] = []
  for (const place of placesOf(doc)) {
    const changes: PropChanges = {}
    for (const [key, value] of Object.entries(place.props) as [PropKey, unknown][]) {
      const tokens = wanted.get(keyOf(place, key))
      if (tokens) changes[key] = bound(value, tokens)
    }
    if (Object.keys(changes).length > 0) edits.push(editAt(place, changes))
  }
  return edits
}
