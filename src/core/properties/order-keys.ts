/**
 * Order keys: fractional indices in base 62. Siblings stand in the order of their keys; in a document no two siblings have
 * the same one, so that there is always room between them. Who asks for a key that is taken stands next to its owner, in the
 * order of their ids, so that every replica that applies the same edits gets the same order.
 */
import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing'

type Ordered = { order: string; id: string }

/** Longest order key, in characters. */
export const MAX_ORDER_KEY = 1000

/** Sibling order: code units of the key, then the id, so that every replica agrees. */
export const byOrder = (a: Ordered, b: Ordered) =>
  a.order < b.order ? -1 : a.order > b.order ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0

/** Whether a key can be put beside, in front of and behind others. */
export function isOrderKey(key: string): boolean {
  if (key.length > MAX_ORDER_KEY || !/^[0-9A-Za-z]+$/.test(key)) return false
  try {
    generateKeyBetween(key, null)
    generateKeyBetween(null, key)
    return true
  } catch {
    return false
  }
}

/**
 * The key that `id` gets when it asks for `wanted`: that one, or, when it is taken or no key, one at the same place.
 * @param siblings the others, in order
 */
export function keyAmong(siblings: readonly Ordered[], wanted: string, id: string): string {
  const me = { order: wanted, id }
  let at = siblings.length
  while (at > 0 && byOrder(siblings[at - 1]!, me) > 0) at--
  const before = siblings[at - 1]?.order
  const after = siblings[at]?.order
  if (before !== wanted && after !== wanted && isOrderKey(wanted)) return wanted
  return generateKeyBetween(before ?? null, after ?? null)
}

/** Siblings in order, each with a key of its own: ties and what is no key get new ones at the same place. */
export function inOrder<T extends Ordered>(siblings: readonly T[]): T[] {
  const sorted = [...siblings].sort(byOrder)
  let last: string | null = null
  for (let i = 0; i < sorted.length; ) {
    const { order } = sorted[i]!
    if (isOrderKey(order) && (last === null || order > last)) {
      last = order
      i++
      continue
    }
    const floor: string | null = last
    let end = i + 1
    const stands = ({ order }: T) => isOrderKey(order) && (floor === null || order > floor)
    while (end < sorted.length && !stands(sorted[end]!)) end++
    const keys = generateNKeysBetween(floor, sorted[end]?.order ?? null, end - i)
    for (const key of keys) {
      sorted[i] = { ...sorted[i]!, order: key }
      i++
    }
    last = keys[keys.length - 1]!
  }
  return sorted
}
