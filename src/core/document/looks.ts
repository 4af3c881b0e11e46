/** Parts of a look that a token may stand for whole: a border, a shadow in a list, the stops of a gradient. */
import type { Fill, Items, SaidFill, SaidShadow, Shadow } from '../properties/items'
import { type Border, lineWidth } from '../properties/look'
import type { Tokens } from './tokens'

/** A border that may be a reference, as wide as it is drawn; undefined when it refers to nothing that is one. */
export function borderIn(tokens: Tokens, value: Border | string | undefined): Border | undefined {
  const token = typeof value === 'string' ? tokens.lookup(value) : undefined
  const border = typeof value !== 'string' ? value : token?.type === 'border' ? token.value : undefined
  return drawnBorder(border)
}

/** A border as wide as it is drawn. */
export const drawnBorder = (border: Border | undefined): Border | undefined =>
  border === undefined || Number.isInteger(border.width)
    ? border
    : { ...border, width: lineWidth(border.width) }

/** As many shadows as a token has, in its place. */
function shadowsIn(tokens: Tokens, [id, item]: [string, SaidShadow]): [string, Shadow][] {
  if (!('token' in item)) return [[id, item]]
  const { token: reference, ...rest } = item
  const token = tokens.lookup(reference)
  // Of one order they stand by their ids.
  return token?.type === 'shadow'
    ? token.value.map((shadow, i) => [`${id} ${String(i).padStart(2, '0')}`, { ...rest, ...shadow }])
    : []
}

/** The list with every token followed; the same list where there is none. */
export function followedShadows(tokens: Tokens, items: Items<SaidShadow>): Items<Shadow> {
  const entries = Object.entries(items)
  return entries.some(([, item]) => 'token' in item)
    ? Object.fromEntries(entries.flatMap((entry) => shadowsIn(tokens, entry)))
    : (items as Items<Shadow>)
}

const NOTHING = [0, 100].map((at) => ({ color: '#00000000', at }))

/** A fill whose stops are its own: those of a token that is none are not seen. */
export function ownStops(tokens: Tokens, fill: SaidFill): Fill {
  if (fill.kind !== 'gradient' || typeof fill.stops !== 'string') return fill as Fill
  const token = tokens.lookup(fill.stops)
  return { ...fill, stops: token?.type === 'gradient' ? token.value : NOTHING }
}

export function followedFills(tokens: Tokens, items: Items<SaidFill>): Items<Fill> {
  const entries = Object.entries(items)
  return entries.some(([, fill]) => fill.kind === 'gradient' && typeof fill.stops === 'string')
    ? Object.fromEntries(entries.map(([id, fill]) => [id, ownStops(tokens, fill)]))
    : (items as Items<Fill>)
}
