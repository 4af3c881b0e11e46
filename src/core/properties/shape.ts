/** A drawn shape: its form, what it is painted with, the line along it. CSS says these on its element, and what is drawn inherits them. */
import * as v from 'valibot'
import { FormSchema } from '../forms/form'
import { px } from './css-text'
import { property, type Values } from './property'
import { ColorSchema, positivePx } from './values'

const shape = { perView: 'style', changes: 'paint', kinds: ['shape'] } as const

const StrokeSchema = v.strictObject({
  width: positivePx,
  color: ColorSchema,
  cap: v.optional(v.picklist(['butt', 'round', 'square'])),
  join: v.optional(v.picklist(['miter', 'round', 'bevel'])),
  /** Lengths of dashes and gaps, px. */
  dash: v.optional(v.pipe(v.array(positivePx), v.minLength(1), v.maxLength(8))),
})
export type Stroke = v.InferOutput<typeof StrokeSchema>

const strokeOf = ({ raw }: Values) => {
  const stroke = raw.stroke as Stroke | undefined
  return stroke && stroke.width > 0 ? stroke : undefined
}
const ofStroke = (name: string, write: (stroke: Stroke, values: Values) => string | undefined) => ({
  name,
  of: (values: Values) => {
    const stroke = strokeOf(values)
    return stroke && write(stroke, values)
  },
})

export const SHAPE = {
  form: property({
    ...shape,
    perView: 'never',
    schema: FormSchema,
    words: 'form',
    initial: { form: 'ellipse' },
  }),
  paint: property({
    ...shape,
    schema: ColorSchema,
    words: 'paint',
    token: 'color',
    part: 'fill',
    css: {
      name: 'fill',
      of: ({ raw, write }) =>
        raw.paint === undefined ? 'none' : (write.color(raw.paint as string) ?? 'none'),
    },
  }),
  stroke: property({
    ...shape,
    schema: StrokeSchema,
    words: 'line along it',
    token: 'color',
    part: 'border',
    css: [
      ofStroke('stroke', ({ color }, { write }) => write.color(color)),
      ofStroke('stroke-width', ({ width }) => px(width)),
      ofStroke('stroke-linecap', ({ cap = 'butt' }) => (cap === 'butt' ? undefined : cap)),
      ofStroke('stroke-linejoin', ({ join = 'miter' }) => (join === 'miter' ? undefined : join)),
      ofStroke('stroke-dasharray', ({ dash }) => dash?.map(px).join(' ')),
    ],
  }),
}
