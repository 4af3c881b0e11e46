/** Where two projects differ, in words. */
import { isDeepStrictEqual } from 'node:util'

/** The first place. */
export function differenceOf(one: unknown, other: unknown, path = ''): string {
  const isPair = typeof one === 'object' && typeof other === 'object' && one !== null && other !== null
  if (!isPair) return `${path}: ${said(one)}, now ${said(other)}`
  const [a, b] = [one as Record<string, unknown>, other as Record<string, unknown>]
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)]))
    if (!isDeepStrictEqual(a[key], b[key])) return differenceOf(a[key], b[key], `${path}/${key}`)
  return `${path}: the order of its keys`
}
const said = (value: unknown) => (JSON.stringify(value) ?? 'nothing').slice(0, 200)
