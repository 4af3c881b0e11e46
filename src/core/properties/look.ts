/** How a block looks: what is drawn of its box. */
import * as v from 'valibot'
import { num, percent, px as pxText } from './css-text'
import { type Fill, FillsSchema, type Items, type Shadow, ShadowsSchema, shownItems } from './items'
import { ALL, property, unless, type Values } from './property'
import { ColorSchema, finite, LengthSchema, positivePx, px } from './values'

const paint = { perView: 'style', changes: 'paint', kinds: ALL } as const

/** A colour as an image, for what lies over another fill. */
const plain = (color: string) => `linear-gradient(${color}, ${color})`

function imageOf(fill: Fill, { write }: Values): string {
  if (fill.kind === 'color') return plain(write.color(fill.color) ?? 'transparent')
  const stops = fill.stops.map(({ color, at }) => `${write.color(color) ?? 'transparent'} ${percent(at)}`)
  const at = `at ${percent(fill.x ?? 50)} ${percent(fill.y ?? 50)}`
  if (fill.shape === 'radial') return `radial-gradient(${at}, ${stops.join(', ')})`
  if (fill.shape === 'conic') return `conic-gradient(from ${num(fill.angle)}deg ${at}, ${stops.join(', ')})`
  return `linear-gradient(${num(fill.angle)}deg, ${stops.join(', ')})`
}

const fillsIn = ({ raw }: Values) => shownItems(raw.fills as Items<Fill> | undefined)

/** The lowest fill, where it is a colour: CSS has one, below all images (CSS Backgrounds 3 §2.2). */
function groundOf(values: Values): string | undefined {
  const last = fillsIn(values).at(-1)
  return last?.kind === 'color' ? values.write.color(last.color) : undefined
}

function imagesOf(values: Values): string | undefined {
  const fills = fillsIn(values)
  const images = fills.at(-1)?.kind === 'color' ? fills.slice(0, -1) : fills
  return images.length > 0 ? images.map((fill) => imageOf(fill, values)).join(', ') : undefined
}

function shadowsOf({ raw, write }: Values): string | undefined {
  const shadows = shownItems(raw.shadows as Items<Shadow> | undefined)
  const text = shadows.map(
    ({ x, y, blur, spread, color }) =>
      `${[x, y, blur, spread].map(pxText).join(' ')} ${write.color(color) ?? 'transparent'}`,
  )
  return text.length > 0 ? text.join(', ') : undefined
}

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
    schema: BorderSchema,
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
  return `${pxText(outline.width)} ${outline.style ?? 'solid'} ${color}`
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
    ...paint,
    schema: v.pipe(finite, v.minValue(0), v.maxValue(1)),
    words: 'opacity',
    initial: 1,
    part: 'effects',
    css: { name: 'opacity', of: unless('opacity', 1, num) },
  }),
  blend: property({
    ...paint,
    schema: v.picklist(['normal', 'multiply', 'screen', 'overlay', 'darken', 'lighten']),
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
    css: { name: 'overflow', of: ({ resolved }) => (resolved.clip ? 'hidden' : undefined) },
  }),
  /** Degrees clockwise about the centre: drawn turned, laid out as if it were not. */
  rotate: property({
    ...paint,
    schema: v.pipe(finite, v.minValue(-360), v.maxValue(360)),
    words: 'turn',
    initial: 0,
    part: 'effects',
    css: { name: 'rotate', of: unless('rotate', 0, (angle: number) => `${num(angle)}deg`) },
  }),
}
