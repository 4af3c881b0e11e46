/** How a block looks: what is drawn of its box. */
import * as v from 'valibot'
import { type Limited, mostLines } from '../words/parts'
import { num, px as pxText, shadowText } from './css-text'
import {
  type Cast,
  CastSchema,
  type Cut,
  CutSchema,
  type Filters,
  FiltersSchema,
  filtersText,
  maskText,
} from './effects'
import { layersOf } from './fill-layers'
import {
  BLENDS,
  FillsSchema,
  type Items,
  isInBorder,
  type SaidFill,
  type SaidShadow,
  ShadowsSchema,
  shownItems,
} from './items'
import { ALL, BOXED, property, unless, type Values, WORDS } from './property'
import { ColorSchema, finite, LengthSchema, positivePx, px, TokenRefSchema } from './values'

const paint = { perView: 'style', changes: 'paint', kinds: BOXED } as const
const any = { ...paint, kinds: ALL } as const

/** Those in the border first: what lies below them is not seen there either way, and a ground is cut like the lowest image. */
function fillsIn({ raw }: Values): SaidFill[] {
  const shown = shownItems(raw.fills as Items<SaidFill> | undefined)
  return [...shown.filter(isInBorder), ...shown.filter((fill) => !isInBorder(fill))]
}

/**
 * The lowest fill, where it is a colour: CSS has one, below all images and cut like the lowest of them (CSS Backgrounds 3 §2.2, §2.10).
 */
function groundIn(values: Values): Extract<SaidFill, { kind: 'color' }> | undefined {
  const fills = fillsIn(values)
  const last = fills.at(-1)
  const above = fills.at(-2)
  return last?.kind === 'color' && !isInBorder(last) && !(above && isInBorder(above)) ? last : undefined
}

function groundOf(values: Values): string | undefined {
  const ground = groundIn(values)
  return ground && values.write.color(ground.color)
}

/** The layers over the ground, each with how it mixes with what is below. */
const layersIn = (values: Values) => {
  const fills = fillsIn(values)
  const images = groundIn(values) ? fills.slice(0, -1) : fills
  const clip = areInWords(values) ? 'text' : 'border-box'
  return images.flatMap((fill) =>
    layersOf(fill, values).map((layer) => ({
      ...layer,
      blend: fill.blend ?? 'normal',
      // Backgrounds 4 §2.4
      clip: isInBorder(fill) ? 'border-area' : clip,
      origin: isInBorder(fill) ? 'border-box' : 'padding-box',
    })),
  )
}

/** One value a layer, unless all are as CSS has them by themselves. */
const listed =
  (of: (layer: ReturnType<typeof layersIn>[number]) => string | undefined, initial: string) =>
  (values: Values): string | undefined => {
    const all = layersIn(values).map((layer) => of(layer) ?? initial)
    if (all.every((each) => each === initial)) return undefined
    return all.every((each) => each === all[0]) ? all[0] : all.join(', ')
  }

/** A ground without images is seen in the words, too. */
const clipsOf = (values: Values) =>
  layersIn(values).length === 0 && areInWords(values)
    ? 'text'
    : listed(({ clip }) => clip, 'border-box')(values)

function imagesOf(values: Values): string | undefined {
  const layers = layersIn(values)
  return layers.length > 0 ? layers.map(({ image }) => image).join(', ') : undefined
}

/** Whether fills are seen through the words alone. */
const areInWords = (values: Values) =>
  values.raw.fillsIn === 'words' && fillsIn(values).some((fill) => !isInBorder(fill))

function shadowsOf({ raw, write }: Values): string | undefined {
  const shadows = shownItems(raw.shadows as Items<SaidShadow> | undefined)
  const text = shadows.flatMap((shadow) => {
    if ('token' in shadow) return write.token(shadow.token, 'shadow') ?? []
    return shadowText(shadow, write.color(shadow.color) ?? 'transparent')
  })
  return text.length > 0 ? text.join(', ') : undefined
}

function filterOf({ raw, write }: Values): string | undefined {
  const cast = raw.cast as Cast | undefined
  return filtersText(raw.filters as Filters | undefined, cast, cast && write.color(cast.color))
}

/**
 * px that a border or outline of so many is drawn, everywhere: whole ones, and one at least, as browsers draw it on a screen of one
 * device pixel a px (CSS Values 4, “snap as a border width”). On a finer one it would be another, and move what is in the block.
 */
export const lineWidth = (px: number) => (px > 0 && px < 1 ? 1 : Math.floor(px))

export const BorderSchema = v.strictObject({
  width: positivePx,
  /** Left out: solid. */
  style: v.optional(v.picklist(['solid', 'dashed', 'dotted'])),
  /** Left out: that of the words. */
  color: v.optional(ColorSchema),
})
export type Border = v.InferOutput<typeof BorderSchema>

const border = (side: string) =>
  property({
    ...paint,
    changes: 'size',
    schema: v.union([BorderSchema, TokenRefSchema], 'a border, or a token reference'),
    words: `border ${side}`,
    token: 'color',
    part: 'border',
    css: { name: `border-${side}-width, border-${side}-style, border-${side}-color` },
  })

/** A line around the border that takes no room. */
const OutlineSchema = v.strictObject({ ...BorderSchema.entries, offset: px })
export type Outline = v.InferOutput<typeof OutlineSchema>

function outlineOf({ raw, write }: Values): string | undefined {
  const outline = raw.outline as Outline | undefined
  if (!outline || outline.width === 0) return undefined
  const color = (outline.color && write.color(outline.color)) ?? 'currentcolor'
  return `${pxText(lineWidth(outline.width))} ${outline.style ?? 'solid'} ${color}`
}

const corner = (name: string) =>
  property({
    ...paint,
    schema: LengthSchema,
    words: `corner ${name.replace('-', ' ')}`,
    initial: 0,
    token: 'length',
    part: 'border',
    css: { name: `border-${name}-radius` },
  })

export const LOOK = {
  background: property({
    ...paint,
    kinds: ['page'],
    perView: 'never',
    schema: ColorSchema,
    words: 'background',
    token: 'color',
    css: {
      name: 'background-color',
      of: ({ raw, write }) =>
        raw.background === undefined ? undefined : write.color(raw.background as string),
    },
  }),
  fills: property({
    ...paint,
    schema: FillsSchema,
    words: 'fills',
    items: true,
    token: 'color',
    part: 'fill',
    css: [
      { name: 'background-color', of: groundOf },
      { name: 'background-image', of: imagesOf },
      { name: 'background-position', of: listed(({ position }) => position, '0 0') },
      { name: 'background-size', of: listed(({ size }) => size, 'auto') },
      { name: 'background-repeat', of: listed(({ repeat }) => repeat, 'repeat') },
      { name: 'background-origin', of: listed(({ origin }) => origin, 'padding-box') },
      { name: 'background-clip', of: clipsOf },
      { name: 'background-blend-mode', of: listed(({ blend }) => blend, 'normal') },
    ],
  }),
  fillsIn: property({
    ...paint,
    kinds: WORDS,
    schema: v.picklist(['box', 'words']),
    words: 'where fills are seen',
    initial: 'box',
    part: 'fill',
    css: [
      { name: '-webkit-text-fill-color', of: (values) => (areInWords(values) ? 'transparent' : undefined) },
    ],
  }),
  borderTop: border('top'),
  borderRight: border('right'),
  borderBottom: border('bottom'),
  borderLeft: border('left'),
  radiusTopLeft: corner('top-left'),
  radiusTopRight: corner('top-right'),
  radiusBottomRight: corner('bottom-right'),
  radiusBottomLeft: corner('bottom-left'),
  outline: property({
    ...paint,
    schema: OutlineSchema,
    words: 'outline',
    token: 'color',
    part: 'border',
    css: [
      { name: 'outline', of: outlineOf },
      {
        name: 'outline-offset',
        of: (values) => {
          const offset = (values.raw.outline as Outline | undefined)?.offset
          return offset && outlineOf(values) ? pxText(offset) : undefined
        },
      },
    ],
  }),
  shadows: property({
    ...paint,
    schema: ShadowsSchema,
    words: 'shadows',
    items: true,
    token: 'color',
    part: 'effects',
    css: { name: 'box-shadow', of: shadowsOf },
  }),
  opacity: property({
    ...any,
    schema: v.pipe(finite, v.minValue(0), v.maxValue(1)),
    words: 'opacity',
    initial: 1,
    part: 'effects',
    css: { name: 'opacity', of: unless('opacity', 1, num) },
  }),
  filters: property({
    ...any,
    schema: FiltersSchema,
    words: 'filters',
    part: 'effects',
    css: { name: 'filter' },
  }),
  cast: property({
    ...any,
    schema: CastSchema,
    words: 'shadow of what is drawn',
    token: 'color',
    part: 'effects',
    css: { name: 'filter', of: filterOf },
  }),
  /** Of what lies behind the block, px. */
  backdropBlur: property({
    ...paint,
    schema: v.pipe(finite, v.minValue(0), v.maxValue(200)),
    words: 'blur behind',
    initial: 0,
    part: 'effects',
    css: {
      name: 'backdrop-filter',
      of: unless('backdropBlur', 0, (blur: number) => `blur(${pxText(blur)})`),
    },
  }),
  cut: property({
    ...paint,
    schema: CutSchema,
    words: 'cut',
    part: 'effects',
    css: [
      { name: 'mask-image', of: ({ raw }) => (raw.cut ? maskText(raw.cut as Cut) : undefined) },
      { name: 'mask-size', of: ({ raw }) => (raw.cut ? '100% 100%' : undefined) },
    ],
  }),
  blend: property({
    ...any,
    schema: v.picklist(BLENDS),
    words: 'blending',
    initial: 'normal',
    part: 'effects',
    css: { name: 'mix-blend-mode', of: unless('blend', 'normal') },
  }),
  /** Also what makes a block's least size its content or not: CSS Sizing, `min-width: auto`. */
  clip: property({
    ...paint,
    changes: 'size',
    schema: v.boolean(),
    words: 'clipping',
    initial: false,
    css: {
      name: 'overflow',
      of: ({ resolved }) =>
        resolved.clip || mostLines(resolved as Limited) !== undefined ? 'hidden' : undefined,
    },
  }),
  /** Degrees clockwise about the centre: drawn turned, laid out as if it were not. */
  rotate: property({
    ...any,
    schema: v.pipe(finite, v.minValue(-360), v.maxValue(360)),
    words: 'turn',
    initial: 0,
    part: 'effects',
    css: { name: 'rotate', of: unless('rotate', 0, (angle: number) => `${num(angle)}deg`) },
  }),
}
