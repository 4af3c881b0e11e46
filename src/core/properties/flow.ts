/** How a box arranges what is in it, and a block's part in that. */
import * as v from 'valibot'
import { ALL, BOXED, HOLDERS, INNER, property } from './property'
import { columnCount, LengthSchema, place } from './values'

const Spread = v.picklist(['start', 'center', 'end', 'space-between', 'space-around', 'space-evenly'])
const Alignment = v.picklist(['start', 'center', 'end', 'baseline'])

const style = { perView: 'style', changes: 'size' } as const
const length = { schema: LengthSchema, token: 'length', ...style } as const
const padding = (side: string) =>
  property({
    ...length,
    words: `padding ${side}`,
    kinds: BOXED,
    initial: 0,
    initialOf: { button: side === 'top' || side === 'bottom' ? 12 : 20 },
    part: 'spacing',
    css: { name: `padding-${side}` },
  })

export const FLOW = {
  flow: property({
    ...style,
    schema: v.picklist(['row', 'column', 'lattice', 'free']),
    words: 'flow',
    kinds: HOLDERS,
    initial: 'column',
    css: { name: 'display' },
  }),
  wrap: property({
    ...style,
    schema: v.boolean(),
    words: 'wrapping',
    kinds: HOLDERS,
    initial: false,
    css: { name: 'flex-wrap' },
  }),
  dense: property({
    ...style,
    schema: v.boolean(),
    words: 'filling gaps',
    kinds: HOLDERS,
    initial: false,
    css: { name: 'grid-auto-flow' },
  }),
  rowGap: property({
    ...length,
    words: 'row gap',
    kinds: HOLDERS,
    initial: 0,
    part: 'spacing',
    css: { name: 'row-gap' },
  }),
  /** Without a value: the gutter in a lattice, the row gap elsewhere. */
  columnGap: property({
    ...length,
    words: 'column gap',
    kinds: HOLDERS,
    part: 'spacing',
    css: { name: 'column-gap' },
  }),
  columns: property({
    ...style,
    schema: columnCount,
    words: 'columns',
    kinds: HOLDERS,
    css: { name: 'grid-template-columns' },
  }),
  justify: property({
    ...style,
    schema: Spread,
    words: 'spread along',
    kinds: HOLDERS,
    initial: 'start',
    css: { name: 'justify-content' },
  }),
  align: property({
    ...style,
    schema: Alignment,
    words: 'alignment across',
    kinds: HOLDERS,
    initial: 'start',
    css: { name: 'align-items' },
  }),
  alignContent: property({
    ...style,
    schema: v.union([Spread, v.literal('stretch')]),
    words: 'spread of lines',
    kinds: HOLDERS,
    initial: 'stretch',
    css: { name: 'align-content' },
  }),
  alignSelf: property({
    ...style,
    schema: Alignment,
    words: 'own alignment',
    kinds: INNER,
    css: { name: 'align-self' },
  }),
  paddingTop: padding('top'),
  paddingRight: padding('right'),
  paddingBottom: padding('bottom'),
  paddingLeft: padding('left'),
  /** In a row or column, px more than the gap before the block. */
  spaceBefore: property({
    ...length,
    words: 'space before',
    kinds: INNER,
    initial: 0,
    css: { name: 'margin-left, margin-top' },
  }),
  order: property({
    ...style,
    schema: place,
    words: 'order',
    kinds: ALL,
    initial: 0,
    css: { name: 'order' },
  }),
  hidden: property({
    ...style,
    schema: v.boolean(),
    words: 'hidden',
    kinds: ALL,
    initial: false,
    css: { name: 'display' },
  }),
  /** Closed until a button that leads to it is pressed; open, it lies over the window, pinned to that. */
  folded: property({
    ...style,
    schema: v.boolean(),
    words: 'behind a button',
    kinds: ['box'],
    initial: false,
    css: { name: 'display' },
  }),
}
