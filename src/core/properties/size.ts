/** How large a block is, and where a lifted one lies. */
import * as v from 'valibot'
import { ALL, INNER, property } from './property'
import { finite, LengthSchema, PinSchema, place, px, SectionLatticeSchema, SizeSchema } from './values'

const style = { perView: 'style', changes: 'size' } as const
const length = { schema: LengthSchema, token: 'length', ...style } as const
const SNUG = { kind: 'snug' } as const
const FILLS = { kind: 'stretch', weight: 1 } as const
const pin = (side: string) =>
  property({ ...style, schema: PinSchema, words: `pin ${side}`, kinds: INNER, css: { name: side } })
const centre = (axis: 'across' | 'down') =>
  property({
    ...style,
    schema: px,
    words: `offset from the middle, ${axis}`,
    kinds: INNER,
    css: { name: axis === 'across' ? 'left, right' : 'top, bottom' },
  })

export const SIZE = {
  width: property({
    ...style,
    schema: SizeSchema,
    words: 'width',
    kinds: INNER,
    initial: SNUG,
    initialOf: { box: FILLS, picture: FILLS, shape: { kind: 'exact', px: 160 } },
    token: 'length',
    css: { name: 'width' },
  }),
  height: property({
    ...style,
    schema: SizeSchema,
    words: 'height',
    kinds: [...ALL, 'slot'],
    initial: SNUG,
    // Seen on its template alone.
    initialOf: { slot: { kind: 'exact', px: 240 } },
    token: 'length',
    css: { name: 'height' },
  }),
  minWidth: property({ ...length, words: 'least width', kinds: INNER, css: { name: 'min-width' } }),
  maxWidth: property({ ...length, words: 'largest width', kinds: INNER, css: { name: 'max-width' } }),
  minHeight: property({ ...length, words: 'least height', kinds: ALL, css: { name: 'min-height' } }),
  maxHeight: property({ ...length, words: 'largest height', kinds: ALL, css: { name: 'max-height' } }),
  /** Width divided by height. */
  ratio: property({
    ...style,
    schema: v.pipe(finite, v.minValue(0.001), v.maxValue(1000)),
    words: 'shape',
    kinds: INNER,
    css: { name: 'aspect-ratio' },
  }),
  fullBleed: property({
    ...style,
    schema: v.boolean(),
    words: 'full width',
    kinds: ['section'],
    css: { name: 'padding' },
  }),
  /** A section's own lattice, instead of the view's; what it does not say is the view's. */
  lattice: property({
    ...style,
    schema: v.union([v.literal('view'), SectionLatticeSchema]),
    words: 'lattice',
    kinds: ['section'],
    css: { name: '--columns, --gutter, --column, --edge-start, --edge-end' },
  }),
  lifted: property({
    ...style,
    schema: v.boolean(),
    words: 'lifted',
    kinds: INNER,
    initial: false,
    css: { name: 'position' },
  }),
  pinLeft: pin('left'),
  pinRight: pin('right'),
  pinTop: pin('top'),
  pinBottom: pin('bottom'),
  pinCenterX: centre('across'),
  pinCenterY: centre('down'),
  z: property({
    ...style,
    changes: 'paint',
    schema: place,
    words: 'place in front',
    kinds: INNER,
    initial: 0,
    css: { name: 'z-index' },
  }),
}
