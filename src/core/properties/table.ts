/** The table of all properties, and what follows from it: the schemas, the defaults, which kind has which. */
import * as v from 'valibot'
import { CONTENT } from './content'
import { FLOW } from './flow'
import type { Fill, Items, Shadow } from './items'
import { KINDS, type Kind } from './kinds'
import { type Border, LOOK } from './look'
import type { LookPart, Property } from './property'
import { SHAPE } from './shape'
import { SIZE } from './size'
import { TYPE } from './type'
import type { Size } from './values'

/** In groups, for who lists them. */
export const GROUPS = { flow: FLOW, size: SIZE, look: LOOK, shape: SHAPE, type: TYPE, content: CONTENT }

const TABLE = { ...FLOW, ...SIZE, ...LOOK, ...SHAPE, ...TYPE, ...CONTENT }
type Table = typeof TABLE

export type PropKey = keyof Table
/** What a block, or a view for it, sets. */
export type Props = { [K in PropKey]?: v.InferOutput<Table[K]['schema']> }

export const PROPERTIES: Readonly<Record<PropKey, Property>> = TABLE as never
export const KEYS = Object.keys(TABLE) as readonly PropKey[]

const entriesOf = (keys: readonly PropKey[]) =>
  Object.fromEntries(keys.map((key) => [key, v.optional(PROPERTIES[key].schema)]))

/** Properties that a kind has. */
const OF_KIND = new Map(
  KINDS.map((kind) => [kind, new Set(KEYS.filter((key) => PROPERTIES[key].kinds.includes(kind)))]),
)
export const hasProperty = (kind: Kind, key: string): key is PropKey => OF_KIND.get(kind)!.has(key as PropKey)

/** Every property there is, of whatever kind: what the JSON Schema says of a block. */
export const PropsSchema = v.strictObject(entriesOf(KEYS)) as unknown as v.GenericSchema<unknown, Props>

/** With the properties of `kind` alone what a block of that kind may set. */
export function ofKind(kind: Kind, props: Props): Props {
  const foreign = Object.keys(props).filter((key) => !hasProperty(kind, key))
  if (foreign.length === 0) return props
  const own = { ...props }
  for (const key of foreign) delete own[key as PropKey]
  return own
}

const NEVER = new Set(KEYS.filter((key) => PROPERTIES[key].perView === 'never'))
export const mayDiffer = (key: PropKey) => !NEVER.has(key)

/** An override without what no view can have for itself. */
export function differing(override: Props): Props {
  let own = override
  for (const key of NEVER) {
    if (own[key] === undefined) continue
    if (own === override) own = { ...override }
    delete own[key]
  }
  return own
}

/** Properties whose values are items by id. */
export const LISTS = KEYS.filter((key) => PROPERTIES[key].items)

/** `over` on top of `under`: lists item by item. */
export function mergedProps(under: Props, over: Props): Props {
  const merged: Props = { ...under, ...over }
  for (const key of LISTS)
    if (under[key] && over[key])
      Object.assign(merged, { [key]: { ...(under[key] as object), ...(over[key] as object) } })
  return merged
}

const PAINT = new Set<string>(KEYS.filter((key) => PROPERTIES[key].changes === 'paint'))
/** Whether, of two sets of props, only what is drawn differs: no box can be another size. */
export function differInPaintOnly(a: Props, b: Props): boolean {
  for (const key in a) if (a[key as PropKey] !== b[key as PropKey] && !PAINT.has(key)) return false
  for (const key in b) if (!(key in a) && !PAINT.has(key)) return false
  return true
}

function defaults(kind: Kind): Props {
  const props: Record<string, unknown> = {}
  for (const key of KEYS) {
    const { initial, initialOf } = PROPERTIES[key]
    const value = initialOf?.[kind] ?? initial
    if (value !== undefined) props[key] = value
  }
  // Copied once more: what is made key by key is slow to copy from then on.
  return Object.freeze({ ...props }) as Props
}

const DEFAULTS = new Map(KINDS.map((kind) => [kind, defaults(kind)]))
/** What properties are when neither the node nor an override sets them; also of those that a kind has not, for who lays out. */
export const defaultsOf = (kind: Kind): Props => DEFAULTS.get(kind)!

/** What a page says of itself. */
export const PagePropsSchema = v.strictObject(
  entriesOf([...OF_KIND.get('page')!] as PropKey[]),
) as unknown as v.GenericSchema<unknown, Props>

/** What of a block is its look. */
export const LookSchema = v.strictObject(
  entriesOf(KEYS.filter((key) => PROPERTIES[key].part)),
) as unknown as v.GenericSchema<unknown, Props>

/** What a page may change of what it shows of its template. */
export const CHANGEABLE = ['words', 'hidden', 'link', 'asset', 'alt'] as const satisfies readonly PropKey[]
export const ChangeSchema = v.strictObject(entriesOf(CHANGEABLE)) as unknown as v.GenericSchema<
  unknown,
  Props
>

export const keysOf = (part: LookPart): readonly PropKey[] =>
  KEYS.filter((key) => PROPERTIES[key].part === part)

type BorderKey = 'borderTop' | 'borderRight' | 'borderBottom' | 'borderLeft'

/** Props with numbers and hex colours only: what layout and painting read. */
export type Resolved = Omit<Props, 'fills' | 'shadows' | BorderKey> & {
  fills?: Items<Fill>
  shadows?: Items<Shadow>
} & { [K in BorderKey]?: Border } & {
  rowGap: number
  spaceBefore: number
  columnGap: number | undefined
  paddingTop: number
  paddingRight: number
  paddingBottom: number
  paddingLeft: number
  minWidth: number | undefined
  maxWidth: number | undefined
  minHeight: number | undefined
  maxHeight: number | undefined
  radiusTopLeft: number
  radiusTopRight: number
  radiusBottomRight: number
  radiusBottomLeft: number
  fontSize: number
  fontFamily: string
  width: Size
  height: Size
}
