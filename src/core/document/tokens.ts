/** Design tokens in the W3C Design Tokens format: read, followed from one to another, and told what is wrong with them. */
import { deepEqual } from '../properties/plain-equal'
import { type BorderValue, compositeOf, type ShadowValue, type StopValue } from './composite-tokens'
import { hexOfColor, pixels } from './token-values'
import { chosenValue, isFluid, isObject, placesIn, type Where } from './token-variants'

/** Groups nest, a token has `$value`, `$type` is inherited from the group, `{group.name}` refers to another token. */
export type TokenTree = Record<string, unknown>

export type Typography = {
  fontFamily: string
  fontSize: number
  fontWeight: number
  lineHeight: number
  letterSpacing: number
}

export type ResolvedToken =
  | { type: 'color'; value: string }
  | { type: 'dimension'; value: number }
  | { type: 'number'; value: number }
  | { type: 'fontFamily'; value: string }
  | { type: 'typography'; value: Typography }
  | { type: 'shadow'; value: ShadowValue[] }
  | { type: 'gradient'; value: StopValue[] }
  | { type: 'border'; value: BorderValue }

export class TokenError extends Error {
  override name = 'TokenError'
}

/** Deepest groups, longest way from one token to another, and most tokens of a project. */
export const MAX_TOKEN_DEPTH = 20
const MAX_TOKEN_WAY = 50
const MAX_TOKENS = 5000
/** Tables that are kept for widths, views and themes. */
const MOST_KEPT = 64
/** Most views and themes that tokens name. */
const MAX_PLACES = 32

/** Visits every token with its dotted name, in document order. */
export function eachToken(
  tree: TokenTree,
  visit: (name: string, token: Record<string, unknown>, type?: string) => void,
) {
  const walk = (group: Record<string, unknown>, path: string[], inherited?: string) => {
    const type = typeof group.$type === 'string' ? group.$type : inherited
    if ('$value' in group) {
      visit(path.join('.'), group, type)
      return
    }
    if (path.length > MAX_TOKEN_DEPTH)
      throw new TokenError(`tokens.${path.join('.')}: groups nest deeper than ${MAX_TOKEN_DEPTH} levels`)
    for (const [key, child] of Object.entries(group)) {
      if (!key.startsWith('$') && isObject(child)) walk(child, [...path, key], type)
    }
  }
  walk(tree, [])
}

/** A colour of which nothing is seen. */
const isClear = (value: unknown) => /^#[0-9a-f]{6}00$/i.test(String(value))

/** What of a token boxes and the ends of lines depend on: of a colour whether anything is seen of it. */
function laidOut({ type, value }: ResolvedToken): unknown {
  if (type === 'color') return isClear(value)
  if (type === 'shadow' || type === 'gradient') return type
  return type === 'border' ? [value.width, value.style] : value
}

/** All tokens of a project with aliases followed. Build once per token tree. */
export class Tokens {
  private readonly raw = new Map<string, { token: Record<string, unknown>; type?: string }>()
  private readonly resolved = new Map<string, ResolvedToken>()
  /** As they are in views and themes, by these. */
  private readonly elsewhere = new Map<string, Tokens>()
  /** Whether any is something else in a view or a theme: mostly none is. */
  readonly varies: boolean
  /** Type styles that grow with the window, by name. */
  readonly fluid: readonly string[]

  /** @param views whose values hold, widest first */
  constructor(
    readonly tree: TokenTree,
    private readonly views: readonly string[] = [],
    private readonly theme?: string,
  ) {
    const isBase = views.length === 0 && theme === undefined
    const fluid: string[] = []
    let varies = false
    eachToken(tree, (name, token, type) => {
      if (isBase && placesIn(token).length > 0) varies = true
      if (type === 'typography' && isFluid(token)) fluid.push(name)
      this.raw.set(name, {
        token: isBase ? token : { ...token, $value: chosenValue(token, views, theme) },
        type,
      })
    })
    this.varies = varies
    this.fluid = fluid
  }

  /** Others of this tree, made once: the styles of a window's width, the values of a view and a theme. */
  private kept(key: string, make: () => Tokens): Tokens {
    let found = this.elsewhere.get(key)
    if (!found) {
      found = make()
      if (this.elsewhere.size >= MOST_KEPT) this.elsewhere.clear()
      this.elsewhere.set(key, found)
    }
    return found
  }

  /** With some type styles being something else. @param key says what, among those made of these tokens */
  withStyles(key: string, styles: () => Iterable<[name: string, style: Typography]>): Tokens {
    return this.kept(key, () => {
      const made = new Tokens(this.tree, this.views, this.theme)
      for (const [name, value] of styles()) made.resolved.set(name, { type: 'typography', value })
      return made
    })
  }

  /** @param views those of a cascade, widest first */
  at(views: readonly string[], theme?: string): Tokens {
    if (!this.varies) return this
    return this.kept(`${views.join(' ')}|${theme ?? ''}`, () => new Tokens(this.tree, views, theme))
  }

  /** Whether nothing but what is painted with some tokens differs, and no colour is seen through whole on one side alone. */
  differInPaintOnly(other: Tokens): boolean {
    if (this.raw.size !== other.raw.size) return false
    for (const name of this.raw.keys()) {
      const [a, b] = [this.lookup(name), other.lookup(name)]
      if (a === b) continue
      if (!a || !b || a.type !== b.type) return false
      if (!deepEqual(laidOut(a), laidOut(b))) return false
    }
    return true
  }

  names(type?: ResolvedToken['type']): string[] {
    return [...this.raw.keys()].filter((name) => !type || this.lookup(name)?.type === type)
  }

  /** `reference` is `{group.name}` or `group.name`; undefined when it names nothing usable. */
  lookup(reference: string): ResolvedToken | undefined {
    const name = reference.replace(/^\{|\}$/g, '')
    const known = this.resolved.get(name)
    if (known) return known
    try {
      const token = this.read(name, [])
      this.resolved.set(name, token)
      return token
    } catch (error) {
      if (error instanceof TokenError) return undefined
      throw error
    }
  }

  /** Like `lookup`, but says why it fails. @throws TokenError naming the token and the reason. */
  read(name: string, trail: string[]): ResolvedToken {
    const entry = this.raw.get(name)
    if (!entry) throw new TokenError(`tokens.${name}: there is no such token`)
    if (trail.includes(name))
      throw new TokenError(`tokens.${name}: refers to itself (${[...trail, name].join(' → ')})`)
    if (trail.length > MAX_TOKEN_WAY)
      throw new TokenError(`tokens.${trail[0]}: refers on through more than ${MAX_TOKEN_WAY} others`)
    const value = entry.token.$value
    if (typeof value === 'string' && /^\{.+\}$/.test(value))
      return this.read(value.slice(1, -1), [...trail, name])
    const inner = (part: unknown): unknown => {
      if (typeof part !== 'string' || !/^\{.+\}$/.test(part)) return part
      const found = this.read(part.slice(1, -1), [...trail, name])
      return found.value
    }
    const fail = (expected: string): never => {
      throw new TokenError(`tokens.${name}: expected ${expected}`)
    }
    switch (entry.type) {
      case 'color':
        return { type: 'color', value: hexOfColor(value) ?? fail('a colour in sRGB') }
      case 'dimension':
        return { type: 'dimension', value: pixels(value) ?? fail('{"value": number, "unit": "px"}') }
      case 'number':
        return { type: 'number', value: typeof value === 'number' ? value : fail('a number') }
      case 'fontFamily':
        return { type: 'fontFamily', value: typeof value === 'string' ? value : fail('a family name') }
      case 'typography': {
        if (!isObject(value))
          return fail('an object with fontFamily, fontSize, fontWeight, lineHeight, letterSpacing')
        const family = inner(value.fontFamily)
        return {
          type: 'typography',
          value: {
            fontFamily: typeof family === 'string' ? family : fail('fontFamily to be a name'),
            fontSize: pixels(inner(value.fontSize)) ?? fail('fontSize in px'),
            fontWeight:
              typeof value.fontWeight === 'number' ? value.fontWeight : fail('fontWeight to be a number'),
            lineHeight:
              typeof value.lineHeight === 'number' ? value.lineHeight : fail('lineHeight to be a ratio'),
            letterSpacing: pixels(inner(value.letterSpacing)) ?? 0,
          },
        }
      }
      case 'shadow':
      case 'gradient':
      case 'border':
        return compositeOf(entry.type, value, inner, fail)
      default:
        return fail(
          `$type color, dimension, number, fontFamily, typography, shadow, gradient or border, found ${JSON.stringify(entry.type)}`,
        )
    }
  }

  /** The first thing wrong with any token, or undefined. */
  problem(): string | undefined {
    for (const name of this.raw.keys()) {
      try {
        this.read(name, [])
      } catch (error) {
        if (error instanceof TokenError) return error.message
        throw error
      }
    }
    return undefined
  }
}

/** The views and themes in which tokens say something else. A colour follows the theme, everything else the view. @throws TokenError */
function variedPlaces(tree: TokenTree): Where[] {
  const places = new Map<string, Where>()
  eachToken(tree, (name, token, type) => {
    for (const where of placesIn(token)) {
      if ('view' in where && type === 'color')
        throw new TokenError(`tokens.${name}: a colour may differ by theme, not by view`)
      if ('theme' in where && type !== 'color')
        throw new TokenError(`tokens.${name}: only a colour may differ by theme`)
      places.set(JSON.stringify(where), where)
    }
  })
  return [...places.values()]
}

/** What is wrong with a tree of tokens from outside, or undefined. */
export function problemOf(tree: TokenTree): string | undefined {
  try {
    const tokens = new Tokens(tree)
    if (tokens.names().length > MAX_TOKENS) return `tokens: a project has at most ${MAX_TOKENS} tokens`
    const places = variedPlaces(tree)
    if (places.length > MAX_PLACES)
      return `tokens: values of their own in at most ${MAX_PLACES} views and themes`
    for (const where of [undefined, ...places]) {
      const there = !where ? tokens : 'view' in where ? tokens.at([where.view]) : tokens.at([], where.theme)
      const problem = there.problem()
      if (problem) return problem
    }
    return undefined
  } catch (error) {
    if (error instanceof TokenError) return error.message
    throw error
  }
}

/** A colour token's `$value` from `#rrggbb`. */
export function colorValue(hex: string) {
  const channel = (at: number) =>
    Math.round((Number.parseInt(hex.slice(at, at + 2), 16) / 255) * 10_000) / 10_000
  return {
    colorSpace: 'srgb',
    components: [channel(1), channel(3), channel(5)],
    alpha: hex.length > 7 ? channel(7) : 1,
    hex: hex.slice(0, 7),
  }
}

/** A length token's `$value`. */
export const dimensionValue = (px: number) => ({ value: px, unit: 'px' })

/** A type style's `$value`. */
export const typographyValue = ({
  fontFamily,
  fontSize,
  fontWeight,
  lineHeight,
  letterSpacing,
}: Typography) => ({
  fontFamily,
  fontSize: dimensionValue(fontSize),
  fontWeight,
  lineHeight,
  letterSpacing: dimensionValue(letterSpacing),
})

const REFERENCE = /^\{([^{}]+)\}$/

/** The token that a value is: `{color.pine}` → `color.pine`. */
export const tokenIn = (value: unknown): string | undefined =>
  typeof value === 'string' ? REFERENCE.exec(value)?.[1] : undefined

/** Every token that a value refers to, wherever in it. */
export function* tokensIn(value: unknown): Generator<string> {
  const own = tokenIn(value)
  if (own !== undefined) yield own
  else if (typeof value === 'object' && value !== null)
    for (const each of Object.values(value)) yield* tokensIn(each)
}

/** A token's name in its group: `color.pine` → `pine`. */
export const shortName = (name: string) => name.slice(name.indexOf('.') + 1)
