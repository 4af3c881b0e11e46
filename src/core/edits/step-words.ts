/** What a step of the history did to values: “38 → 44”, and whether it did anything. */
import { deepEqual } from '../properties/plain-equal'
import type { PropKey } from '../properties/table'
import { saidWords, valueWords } from '../properties/value-words'
import type { Change } from './merge'

/** Most values that are said of a step. */
const MOST = 3

type Turned = { key: PropKey; from: unknown; to: unknown }

/** The values that changes of properties turned into others; undefined where something else was done too. */
function turned(changes: readonly Pick<Change, 'edit' | 'inverse'>[]): Turned[] | undefined {
  const first = new Map<string, Turned>()
  for (const { edit, inverse } of changes) {
    if (edit.op !== 'set' || inverse?.op !== 'set') return undefined
    for (const [key, to] of Object.entries(edit.props)) {
      const place = `${edit.node} ${edit.view ?? ''} ${key}`
      const known = first.get(place)
      if (known) known.to = to
      else first.set(place, { key: key as PropKey, from: inverse.props[key as PropKey], to })
    }
  }
  return [...first.values()].filter(({ from, to }) => !deepEqual(from ?? null, to ?? null))
}

/** Whether a step's changes come to nothing: a drag that ended where it began. */
export const isIdle = (changes: readonly Pick<Change, 'edit' | 'inverse'>[]) => turned(changes)?.length === 0

/** The values of a step, once each; undefined where it is not about values. */
export function stepValues(changes: readonly Pick<Change, 'edit' | 'inverse'>[]): string | undefined {
  const all = turned(changes)
  if (!all || all.length === 0) return undefined
  const said = new Set(
    all.map(({ key, from, to }) =>
      from === undefined || from === null || typeof to === 'boolean'
        ? saidWords(key, to)
        : `${valueWords(key, from)} → ${valueWords(key, to ?? null)}`,
    ),
  )
  const list = [...said]
  return list.slice(0, MOST).join(', ') + (list.length > MOST ? ' …' : '')
}
