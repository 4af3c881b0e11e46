/** All that is done in a trial, by what it is about. */
import { Draw, randomFrom } from '../random'
import type { Act } from './act'
import { ARRANGING } from './arranging-acts'
import { GOING } from './going-acts'
import { LOOKING } from './looking-acts'
import { PLACING } from './placing-acts'

export const PARTS: Readonly<Record<string, readonly Act[]>> = {
  place: PLACING,
  arrange: ARRANGING,
  look: LOOKING,
  go: GOING,
}
const ALL = new Map(Object.values(PARTS).flatMap((acts) => acts.map((each) => [each.name, each] as const)))

export const [placing] = PLACING as [Act]

/** An act, and the lots that it is done by: of other steps it knows nothing, so that any of them can be left out. */
export type Step = readonly [act: string, seed: number]

/** @throws when there is no act of that name */
export function actOf([name]: Step): Act {
  const found = ALL.get(name)
  if (!found) throw new Error(`there is no act “${name}”`)
  return found
}

export const drawOf = ([, seed]: Step): Draw => new Draw(randomFrom(seed))

/** @param parts out of which */
export function stepsFrom(seed: number, parts: readonly string[], count: number): Step[] {
  const draw = new Draw(randomFrom(seed))
  const acts = parts.flatMap((part) => PARTS[part]!)
  const lots = acts.flatMap(({ name, weight }) => Array<string>(weight).fill(name))
  return Array.from({ length: count }, () => [draw.one(lots), draw.whole(0, 2 ** 31 - 1)])
}
