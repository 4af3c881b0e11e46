/** The cascade: a node's props in one view, with overrides from wider views, type styles and tokens applied. */

import type { Items, SaidFill, SaidShadow } from '../properties/items'
import { KINDS } from '../properties/kinds'
import type { Border } from '../properties/look'
import {
  defaultsOf,
  KEYS,
  LISTS,
  mayDiffer,
  mergedProps,
  PROPERTIES,
  type PropKey,
  type Props,
  type Resolved,
} from '../properties/table'
import type { Size } from '../properties/values'
import { looksIn, type Mark, type Words, withMarks } from '../words/words'
import type { Document, Node } from './document'
import { borderIn, drawnBorder, followedFills, followedShadows } from './looks'
import type { ResolvedToken, Tokens } from './tokens'

/** Props as set, with the overrides of `views`, widest first; tokens not yet followed. */
export function withOverrides(
  { props, overrides }: Pick<Node, 'props' | 'overrides'>,
  views: readonly string[],
): Props {
  let set = props
  for (const view of views) {
    const override = overrides[view]
    if (override) set = mergedProps(set, override)
  }
  return set
}

/** Props as set, cascaded into `view`, tokens not yet followed. */
export const cascaded = (doc: Document, node: Node, view: string): Props =>
  withOverrides(
    node,
    doc.cascade(view).map(({ id }) => id),
  )

/** Which view sets `key` for `view`: its id, '' for the node's own props, undefined when it is the default. */
export function originOf(doc: Document, node: Node, view: string, key: PropKey): string | undefined {
  let origin = node.props[key] === undefined ? undefined : ''
  if (!mayDiffer(key)) return origin
  for (const { id } of doc.cascade(view)) if (node.overrides[id]?.[key] !== undefined) origin = id
  return origin
}

/** A length that may be a reference, px; undefined when it refers to nothing that is one. */
export function lengthIn(tokens: Tokens, value: number | string | undefined): number | undefined {
  if (typeof value !== 'string') return value
  const token = tokens.lookup(value)
  return token?.type === 'dimension' || token?.type === 'number' ? token.value : undefined
}

/** A colour that may be a reference, as hex digits; undefined when it refers to nothing that is one. */
export function colorIn(tokens: Tokens, value: string | undefined): string | undefined {
  if (!value?.startsWith('{')) return value
  const token = tokens.lookup(value)
  return token?.type === 'color' ? token.value : undefined
}

function sizeIn(tokens: Tokens, value: Size): Size {
  if (value.kind !== 'exact' || typeof value.px === 'number') return value
  return { kind: 'exact', px: lengthIn(tokens, value.px) ?? 0 }
}

const COLORED: ReadonlySet<string> = new Set(KEYS.filter((key) => PROPERTIES[key].token === 'color'))
const LENGTHS: ReadonlySet<string> = new Set(KEYS.filter((key) => PROPERTIES[key].token === 'length'))

const BORDERS: ReadonlySet<string> = new Set(['borderTop', 'borderRight', 'borderBottom', 'borderLeft'])

/** A list with the tokens that stand for whole items. */
function followed(tokens: Tokens, key: string, value: unknown): unknown {
  if (key === 'shadows') return followedShadows(tokens, value as Items<SaidShadow>)
  return key === 'fills' ? followedFills(tokens, value as Items<SaidFill>) : value
}

/** A value with every colour in it as hex digits. @param none what one is that refers to nothing */
function withColors(tokens: Tokens, value: unknown, none: string | undefined): unknown {
  if (typeof value !== 'object' || value === null) return value
  if (Array.isArray(value)) return value.map((each) => withColors(tokens, each, none))
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) =>
      key === 'color' && typeof each === 'string'
        ? [key, colorIn(tokens, each) ?? none]
        : [key, withColors(tokens, each, none)],
    ),
  )
}

/** A colour of words that refers to nothing is none; one that is a token's stays its: themes have others. */
const colored = (tokens: Tokens, mark: Mark): Mark | undefined =>
  mark.type === 'color' && colorIn(tokens, mark.attrs.value) === undefined ? undefined : mark

/** Whether a colour in words is a reference, by the very words: mostly none is. */
const referring = new WeakMap<Words, boolean>()
function anyRefers(words: Words): boolean {
  const [first] = words
  // Most words are one stretch without marks: seen faster than looked up.
  if (words.length === 1 && first?.type === 'paragraph' && first.content?.length === 1) {
    const [inline] = first.content
    if (inline?.type === 'text' && !inline.marks) return false
  }
  let found = referring.get(words)
  if (found === undefined) {
    found = [...looksIn(words)].some(({ look }) => look.color !== undefined && refers(look.color))
    referring.set(words, found)
  }
  return found
}

/** Whether any colour in a value is a reference: mostly none is. */
const refers = (value: unknown): boolean =>
  typeof value === 'object' && value !== null
    ? Object.values(value).some(refers)
    : typeof value === 'string' && value.startsWith('{')

/** Everything `node` is in `view`. */
export const resolve = (doc: Document, node: Node, view: string): Resolved =>
  resolved(doc.tokensAt(view), node, cascaded(doc, node, view))

type Typography = Extract<ResolvedToken, { type: 'typography' }>['value']
const styles = new WeakMap<Typography, Props>()
/** A type style as a block would say it; one object each, as most texts have one. */
function valuesOf(style: Typography): Props {
  let values = styles.get(style)
  if (!values) {
    const { lineHeight, ...rest } = style
    values = { ...rest, lineHeight: { ratio: lineHeight } }
    styles.set(style, values)
  }
  return values
}

/** What stands behind what a block says, by its kind: as prototypes, as fifty values cost thirty times as much to copy for each block. */
const BEHIND = new Map(KINDS.map((kind) => [kind, { ...defaultsOf(kind) }]))

/** What `base` is but for `values`. */
export const resolvedWith = (base: Resolved, values: Partial<Resolved>): Resolved =>
  Object.assign(Object.create(base), values)

/** Everything `node` is with `set`: the type style, tokens followed; its own keys are what is said, the defaults stand behind. */
export function resolved(tokens: Tokens, { kind }: Node, set: Props): Resolved {
  const defaults = defaultsOf(kind)
  const out: Record<string, unknown> = Object.create(BEHIND.get(kind)!)
  if (set.type) {
    const token = tokens.lookup(set.type)
    if (token?.type === 'typography') Object.assign(out, valuesOf(token.value))
  }
  for (const key in set) {
    const value = set[key as PropKey]
    if (value === undefined) continue
    out[key] = value
    if (typeof value === 'string') {
      if (!value.startsWith('{')) continue
      if (LENGTHS.has(key)) out[key] = lengthIn(tokens, value) ?? defaults[key as PropKey]
      else if (BORDERS.has(key)) out[key] = borderIn(tokens, value)
      else if (COLORED.has(key)) out[key] = colorIn(tokens, value)
    } else if (typeof value === 'object' && COLORED.has(key) && refers(value)) {
      // A line without a colour has that of the words; an item of a list that refers to nothing is not seen.
      const none = LISTS.includes(key as PropKey) ? '#00000000' : undefined
      out[key] = withColors(tokens, followed(tokens, key, value), none)
    }
    if (BORDERS.has(key)) out[key] = drawnBorder(out[key] as Border | undefined)
  }
  if (set.words && anyRefers(set.words)) out.words = withMarks(set.words, (mark) => colored(tokens, mark))
  if (set.width) out.width = sizeIn(tokens, set.width)
  if (set.height) out.height = sizeIn(tokens, set.height)
  return out as Resolved
}
