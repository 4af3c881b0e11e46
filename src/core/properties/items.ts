/**
 * Properties that hold several things: items by id, each with an order key, the first on top. An edit sets, or with `null` takes
 * away, single items, and a view has its own value of single items; what somebody else does to another item stays.
 */
import * as v from 'valibot'
import { isOrderKey, MAX_ORDER_KEY } from './order-keys'
import { ColorSchema, finite, IdSchema, positivePx, px, share, TokenRefSchema } from './values'

/** Most items of one list. */
const MOST_ITEMS = 16

/** A fractional key: see `order-keys.ts`. */
export const OrderSchema = v.pipe(
  v.string(),
  v.maxLength(MAX_ORDER_KEY),
  v.check(isOrderKey, 'an order key, such as a0'),
)

/** How what is drawn mixes with what lies below it (Compositing 1 §5.8). */
export const BLENDS = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'soft-light',
  'hard-light',
  'color-dodge',
  'color-burn',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
] as const

/** `hidden`: kept, and not drawn. */
const item = { order: OrderSchema, hidden: v.optional(v.boolean()) }
/** `blend`: with the fills below it. `in`: seen in the border alone, in place of its colours. */
const fill = { ...item, blend: v.optional(v.picklist(BLENDS)), in: v.optional(v.literal('border')) }

const StopsSchema = v.pipe(
  v.array(v.strictObject({ color: ColorSchema, at: share })),
  v.minLength(2),
  v.maxLength(16),
)

const FillSchema = v.variant('kind', [
  v.strictObject({ ...fill, kind: v.literal('color'), color: ColorSchema }),
  v.strictObject({
    ...fill,
    kind: v.literal('gradient'),
    /** Left out: along a line. `radial`: an ellipse to the farthest corner; `conic`: round a point. */
    shape: v.optional(v.picklist(['radial', 'conic'])),
    /** Degrees: of the line, clockwise from upwards; where a conic one begins. */
    angle: finite,
    /** The point that a radial or conic one goes out from, percent of the padding box; left out: its middle. */
    x: v.optional(share),
    y: v.optional(share),
    /** Its own, or a gradient token's. */
    stops: v.union([StopsSchema, TokenRefSchema], 'the colours of a gradient, or a token reference'),
  }),
  v.strictObject({
    ...fill,
    kind: v.literal('picture'),
    asset: IdSchema,
    /** `tile`: over and over, `size` px wide. */
    fit: v.picklist(['cover', 'contain', 'tile']),
    size: v.optional(v.pipe(finite, v.minValue(1), v.maxValue(4000))),
    /** What of it is kept in sight, percent; left out: its middle. */
    x: v.optional(share),
    y: v.optional(share),
  }),
  v.strictObject({
    ...fill,
    kind: v.literal('pattern'),
    shape: v.picklist(['dots', 'lines', 'grid', 'checks', 'waves']),
    color: ColorSchema,
    /** From one to the next, px. */
    size: v.pipe(finite, v.minValue(2), v.maxValue(1000)),
    /** Of a dot, across, or of a line, px; checks have none. */
    weight: v.pipe(finite, v.minValue(0.5), v.maxValue(1000)),
    /** Degrees, of lines. */
    angle: v.optional(finite),
  }),
  v.strictObject({
    ...fill,
    kind: v.literal('noise'),
    /** How much of it is seen, percent. */
    amount: v.pipe(finite, v.minValue(1), v.maxValue(100)),
    /** Of a grain, px. */
    grain: v.pipe(finite, v.minValue(0.5), v.maxValue(20)),
  }),
])
const ShadowSchema = v.strictObject({
  ...item,
  /** Falls into the block, over its fills, rather than behind it. */
  inset: v.optional(v.boolean()),
  x: px,
  y: px,
  blur: positivePx,
  spread: px,
  color: ColorSchema,
})

const listOf = <S extends v.GenericSchema>(schema: S) =>
  v.pipe(
    v.record(IdSchema, schema),
    v.check((items) => Object.keys(items).length <= MOST_ITEMS, `at most ${MOST_ITEMS} of them`),
  )
export const FillsSchema = listOf(FillSchema)
/** A shadow token in its place: as many shadows as that has. */
const ShadowOfTokenSchema = v.strictObject({ ...item, token: TokenRefSchema })
export const ShadowsSchema = listOf(
  v.union([ShadowSchema, ShadowOfTokenSchema], 'a shadow, or a token reference in its place'),
)

/** As the document has it: a gradient's stops may be a token's. */
export type SaidFill = v.InferOutput<typeof FillSchema>
type OwnStops<F> = F extends { kind: 'gradient' }
  ? Omit<F, 'stops'> & { stops: v.InferOutput<typeof StopsSchema> }
  : F
export type Fill = OwnStops<SaidFill>
export type Shadow = v.InferOutput<typeof ShadowSchema>
/** As the document has it: its own, or a token's. */
export type SaidShadow = Shadow | v.InferOutput<typeof ShadowOfTokenSchema>
export type Items<T> = Readonly<Record<string, T>>

type Ordered = { order: string; hidden?: boolean }

export const isInBorder = (fill: { in?: 'border' }) => fill.in === 'border'

/** The items with their ids, the topmost first; equal keys by id. */
export function itemsOf<T extends Ordered>(items: Items<T> | undefined): [id: string, item: T][] {
  if (!items) return []
  return Object.entries(items).sort(([a, one], [b, other]) =>
    one.order === other.order ? (a < b ? -1 : 1) : one.order < other.order ? -1 : 1,
  )
}

/** Those that are drawn, the topmost first. */
export const shownItems = <T extends Ordered>(items: Items<T> | undefined): T[] =>
  itemsOf(items).flatMap(([, item]) => (item.hidden ? [] : [item]))

/** A list with one fill, for who needs no more. */
export const oneFill = (color: string): Items<Fill> => ({ fill: { order: 'a0', kind: 'color', color } })

/** A border on all sides. */
export const allBorders = (width: number, color?: string, style?: 'dashed' | 'dotted') => {
  const side = { width, ...(color === undefined ? {} : { color }), ...(style === undefined ? {} : { style }) }
  return { borderTop: side, borderRight: side, borderBottom: side, borderLeft: side }
}

/** Corners that are alike. */
export const allCorners = <R extends number | string>(radius: R) => ({
  radiusTopLeft: radius,
  radiusTopRight: radius,
  radiusBottomRight: radius,
  radiusBottomLeft: radius,
})
