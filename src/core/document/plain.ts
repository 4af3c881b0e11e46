/** What comes from outside is plain data before it is anything else: names that objects inherit are never keys, depth is bounded. */
import { isInherited } from '../properties/inherited'
import { FormatError } from './format-error'

/** Deepest nesting of objects and lists in anything from outside: more than any document needs, less than any walk minds. */
export const MAX_NESTING = 500

type Place = { value: object; path: Path; depth: number }
/** Written out only for an error. */
type Path = { parent: Path; key: string | number } | undefined

function written(path: Path): string {
  if (!path) return ''
  const before = written(path.parent)
  return typeof path.key === 'number' ? `${before}[${path.key}]` : before ? `${before}.${path.key}` : path.key
}

/** Checks parsed JSON for depth and for inherited names as keys, without recursion. @throws FormatError with the place */
export function checkPlain(value: unknown) {
  if (typeof value !== 'object' || value === null) return
  const open: Place[] = [{ value, path: undefined, depth: 1 }]
  for (let place = open.pop(); place; place = open.pop()) {
    const { value, path, depth } = place
    if (depth > MAX_NESTING) throw new FormatError('', `nests deeper than ${MAX_NESTING} levels`)
    const list = Array.isArray(value)
    for (const key of Object.keys(value)) {
      const here: Path = { parent: path, key: list ? Number(key) : key }
      if (!list && isInherited(key)) throw new FormatError(written(here), `“${key}” cannot be a name here`)
      const child = (value as Record<string, unknown>)[key]
      if (typeof child === 'object' && child !== null)
        open.push({ value: child, path: here, depth: depth + 1 })
    }
  }
}
