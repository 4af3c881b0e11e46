/** Filters and what a block is cut to. */
import * as v from 'valibot'
import { dataOfForm, FormSchema } from '../forms/form'
import { num, percent, px } from './css-text'
import { svgAddress } from './fill-layers'
import { ColorSchema, finite, px as length, positivePx, share } from './values'

const share5 = v.optional(v.pipe(finite, v.minValue(0), v.maxValue(500)))
const part = v.optional(share)

/** Percent but for `blur` (px) and `hue` (degrees); what is left out is as it is. In this order (Filter Effects 1 §5). */
export const FiltersSchema = v.strictObject({
  brightness: share5,
  contrast: share5,
  saturation: share5,
  gray: part,
  sepia: part,
  invert: part,
  hue: v.optional(v.pipe(finite, v.minValue(-360), v.maxValue(360))),
  blur: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(500))),
})
export type Filters = v.InferOutput<typeof FiltersSchema>

const FUNCTIONS: { [K in keyof Filters]-?: [name: string, none: number, write: (value: number) => string] } =
  {
    brightness: ['brightness', 100, percent],
    contrast: ['contrast', 100, percent],
    saturation: ['saturate', 100, percent],
    gray: ['grayscale', 0, percent],
    sepia: ['sepia', 0, percent],
    invert: ['invert', 0, percent],
    hue: ['hue-rotate', 0, (value) => `${num(value)}deg`],
    blur: ['blur', 0, px],
  }
export const FILTERS = Object.keys(FUNCTIONS) as (keyof Filters)[]
/** What a filter is when it does nothing. */
export const noFilter = (key: keyof Filters) => FUNCTIONS[key][1]

/** Those that do something, in their order. */
export const filtersIn = (filters: Filters | undefined): [key: keyof Filters, value: number][] =>
  FILTERS.flatMap((key): [keyof Filters, number][] => {
    const value = filters?.[key]
    return value === undefined || value === noFilter(key) ? [] : [[key, value]]
  })

function filterText(filters: Filters | undefined): string | undefined {
  const parts = filtersIn(filters).map(([key, value]) => `${FUNCTIONS[key][0]}(${FUNCTIONS[key][2](value)})`)
  return parts.length > 0 ? parts.join(' ') : undefined
}

/** A shadow of what is drawn, not of the box: of letters, of a shape, of what is see-through (Filter Effects 1 §5, `drop-shadow`). Lengths px. */
export const CastSchema = v.strictObject({ x: length, y: length, blur: positivePx, color: ColorSchema })
export type Cast = v.InferOutput<typeof CastSchema>

/** The value of `filter`: what is done to it, then the shadow that all of it casts. @param color as CSS */
export function filtersText(filters: Filters | undefined, cast: Cast | undefined, color: string | undefined) {
  const shadow =
    cast && color !== undefined && `drop-shadow(${[cast.x, cast.y, cast.blur].map(px).join(' ')} ${color})`
  return [filterText(filters), shadow].filter(Boolean).join(' ') || undefined
}

/** Seen wholly up to one share of the way across, and not at all from another on; degrees clockwise from upwards. */
const FadeSchema = v.strictObject({ form: v.literal('fade'), angle: finite, from: share, to: share })
export const CutSchema = v.variant('form', [...FormSchema.options, FadeSchema])
export type Cut = v.InferOutput<typeof CutSchema>

/** A form as a mask's picture: all of it is seen through. */
export const maskPicture = (cut: Exclude<Cut, { form: 'fade' }>) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" preserveAspectRatio="none"><path fill-rule="evenodd" d="${dataOfForm(cut)}"/></svg>`

export const maskText = (cut: Cut): string =>
  cut.form === 'fade'
    ? `linear-gradient(${num(cut.angle)}deg, #000000 ${percent(cut.from)}, transparent ${percent(cut.to)})`
    : svgAddress(maskPicture(cut))
