/**
 * What a token is in some views or themes instead: `$extensions` of the Design Tokens format (2025.10, §5.2.3), which programs that do
 * not know them keep. A view's value holds for narrower ones too, as overrides do; a theme's for that theme alone.
 */

/** The key of ours in `$extensions`. */
export const EXTENSION = 'just-lattice'

type Token = Record<string, unknown>
/** By id of a view, or of a theme, as of `$value`. */
export type Variants = {
  views?: Record<string, unknown>
  themes?: Record<string, unknown>
  /** Of a type style: its size and letter spacing go evenly from what they are at one view's width to what they are at the next. */
  fluid?: true
}
export type Where = { view: string } | { theme: string }

/** Of JSON: neither a list nor nothing. */
export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const own = (values: unknown, key: string): unknown =>
  isObject(values) && Object.hasOwn(values, key) ? values[key] : undefined

export function variantsOf(token: Token): Variants {
  const found = own(token.$extensions, EXTENSION)
  return isObject(found) ? (found as Variants) : {}
}

const listOf = (where: Where) =>
  'view' in where ? (['views', where.view] as const) : (['themes', where.theme] as const)

/** What a token says there itself; undefined: it is there as it is elsewhere. */
export function valueAt(token: Token, where: Where): unknown {
  const [list, id] = listOf(where)
  return own(variantsOf(token)[list], id)
}

export const isFluid = (token: Token): boolean => variantsOf(token).fluid === true

export function withFluid(token: Token, on: boolean): Token {
  const { fluid: _, ...rest } = variantsOf(token)
  return withVariants(token, on ? { ...rest, fluid: true } : rest)
}

/** @param value null: as it is elsewhere */
export function withValueAt(token: Token, where: Where, value: unknown): Token {
  const [list, id] = listOf(where)
  const variants = variantsOf(token)
  const { [id]: _, ...others } = variants[list] ?? {}
  const values = value === null ? others : { ...others, [id]: value }
  const next: Variants = { ...variants, [list]: values }
  for (const key of ['views', 'themes'] as const)
    if (Object.keys(next[key] ?? {}).length === 0) delete next[key]
  return withVariants(token, next)
}

function withVariants(token: Token, next: Variants): Token {
  const { $extensions, ...rest } = token
  const extensions: Record<string, unknown> = { ...(isObject($extensions) ? $extensions : {}) }
  if (Object.keys(next).length > 0) extensions[EXTENSION] = next
  else delete extensions[EXTENSION]
  return Object.keys(extensions).length > 0 ? { ...rest, $extensions: extensions } : rest
}

/** With every value that it has made by `make`: of `$value` and of its variants. */
export function mapValues(token: Token, make: (value: unknown) => unknown): Token {
  let next: Token = { ...token, $value: make(token.$value) }
  for (const where of placesIn(token)) next = withValueAt(next, where, make(valueAt(token, where)))
  return next
}

/** Where a token says something else. */
export function placesIn(token: Token): Where[] {
  const { views, themes } = variantsOf(token)
  const ids = (values: unknown) => (isObject(values) ? Object.keys(values) : [])
  return [...ids(views).map((view) => ({ view })), ...ids(themes).map((theme) => ({ theme }))]
}

/** The value in a theme, else in the narrowest of `views` that says one, else `$value`. @param views widest first */
export function chosenValue(token: Token, views: readonly string[], theme: string | undefined): unknown {
  const variants = variantsOf(token)
  const themed = theme === undefined ? undefined : own(variants.themes, theme)
  if (themed !== undefined) return themed
  let value = token.$value
  for (const view of views) value = own(variants.views, view) ?? value
  return value
}
