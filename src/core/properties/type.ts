/** How words are set. */
import * as v from 'valibot'
import { AxesSchema, axesText } from './axes'
import { featuresText, num, numericText, px as pxText } from './css-text'
import { property, unless, WORDS } from './property'
import { ColorSchema, finite, type LineHeight, LineHeightSchema, px, TokenRefSchema } from './values'

/** Family used when a text names none. */
export const DEFAULT_FAMILY = 'Hanken Grotesk'

const type = { perView: 'style', changes: 'size', kinds: WORDS, part: 'type' } as const

/** Whether a type style is called a heading's: `{type.heading}`, `{type.title}`, `{type.display-small}`. */
export const isHeadingStyle = (style: string | undefined) =>
  style !== undefined && /head|title|display/i.test(style)

export function lineHeightText(height: LineHeight): string {
  if (height === 'normal') return height
  return 'px' in height ? pxText(height.px) : num(height.ratio)
}

/** As CSS has it: `left` is where lines begin. */
export const alignmentText = (align: 'left' | 'center' | 'right' | 'justify') =>
  align === 'left' ? 'start' : align === 'right' ? 'end' : align

export const TYPE = {
  /** A type style, which everything below is taken from as long as it is not set. */
  type: property({ ...type, schema: TokenRefSchema, words: 'type style', token: 'typography' }),
  fontFamily: property({
    ...type,
    schema: v.pipe(v.string(), v.maxLength(100)),
    words: 'font',
    initial: DEFAULT_FAMILY,
    css: {
      name: 'font-family',
      style: 'family',
      of: ({ resolved, write }) => write.family(resolved.fontFamily as string),
    },
  }),
  fontSize: property({
    ...type,
    schema: v.union([v.pipe(finite, v.minValue(1), v.maxValue(2000)), TokenRefSchema]),
    words: 'font size',
    initial: 16,
    token: 'length',
    css: {
      name: 'font-size',
      style: 'size',
      of: ({ raw, resolved, write }) =>
        write.length((raw.fontSize ?? resolved.fontSize) as number | string) ??
        pxText(resolved.fontSize as number),
    },
  }),
  fontWeight: property({
    ...type,
    schema: v.pipe(finite, v.minValue(1), v.maxValue(1000)),
    words: 'font weight',
    initial: 400,
    css: { name: 'font-weight', style: 'weight', of: ({ resolved }) => num(resolved.fontWeight as number) },
  }),
  italic: property({
    ...type,
    schema: v.boolean(),
    words: 'italic',
    initial: false,
    css: { name: 'font-style', of: ({ resolved }) => (resolved.italic ? 'italic' : undefined) },
  }),
  lineHeight: property({
    ...type,
    schema: LineHeightSchema,
    words: 'line height',
    initial: { ratio: 1.5 },
    css: {
      name: 'line-height',
      style: 'line',
      of: ({ resolved }) => lineHeightText(resolved.lineHeight as LineHeight),
    },
  }),
  letterSpacing: property({
    ...type,
    schema: px,
    words: 'letter spacing',
    initial: 0,
    css: { name: 'letter-spacing', style: 'spacing', of: unless('letterSpacing', 0, pxText) },
  }),
  wordSpacing: property({
    ...type,
    schema: px,
    words: 'word spacing',
    initial: 0,
    css: { name: 'word-spacing', of: unless('wordSpacing', 0, pxText) },
  }),
  /** `left`: where lines begin, `right`: where they end, in words that run leftward, too. */
  textAlign: property({
    ...type,
    schema: v.picklist(['left', 'center', 'right', 'justify']),
    words: 'text alignment',
    initial: 'left',
    initialOf: { button: 'center' },
    css: { name: 'text-align', of: unless('textAlign', 'left', alignmentText) },
  }),
  textCase: property({
    ...type,
    schema: v.picklist(['none', 'uppercase', 'lowercase', 'capitalize']),
    words: 'case',
    initial: 'none',
    css: { name: 'text-transform', of: unless('textCase', 'none') },
  }),
  textDecoration: property({
    ...type,
    changes: 'paint',
    schema: v.picklist(['none', 'underline', 'line-through']),
    words: 'decoration',
    initial: 'none',
    css: { name: 'text-decoration', of: unless('textDecoration', 'none') },
  }),
  /** Figures of one width, or with heights of small letters, where the font has them. */
  figures: property({
    ...type,
    schema: v.picklist(['normal', 'tabular', 'oldstyle', 'tabular-oldstyle']),
    words: 'figures',
    initial: 'normal',
    css: {
      name: 'font-variant-numeric',
      of: ({ resolved }) => numericText(resolved.figures as string),
    },
  }),
  /** OpenType features that are switched on, by tag, where the font has them: `smcp ss01`. */
  features: property({
    ...type,
    schema: v.pipe(
      v.string(),
      v.regex(/^(normal|[A-Za-z0-9]{4}( [A-Za-z0-9]{4}){0,15})$/, 'tags of features such as smcp ss01'),
    ),
    words: 'letter forms',
    initial: 'normal',
    css: { name: 'font-feature-settings', of: ({ resolved }) => featuresText(resolved.features as string) },
  }),
  /** Where other axes than the weight stand in a font that varies, by tag: `wdth 75, SOFT 40` (OpenType 1.9, fvar). */
  axes: property({
    ...type,
    schema: AxesSchema,
    words: 'axes',
    initial: 'normal',
    css: { name: 'font-variation-settings', of: ({ resolved }) => axesText(resolved.axes as string) },
  }),
  /** `balance`: lines about as long as one another; `pretty`: no short word alone on the last; `nowrap`: one line. */
  textWrap: property({
    ...type,
    schema: v.picklist(['wrap', 'balance', 'pretty', 'nowrap']),
    words: 'wrapping of words',
    initial: 'wrap',
    css: { name: 'text-wrap', of: unless('textWrap', 'wrap') },
  }),
  /** Lines at most: what does not fit on them is cut off, with an ellipsis (CSS Overflow 4 §5). */
  maxLines: property({
    ...type,
    kinds: ['text'],
    schema: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100)),
    words: 'most lines',
    css: { name: '-webkit-line-clamp' },
  }),
  /** Between paragraphs, a share of the text's size (em). */
  paragraphGap: property({
    ...type,
    kinds: ['text'],
    schema: v.pipe(finite, v.minValue(0), v.maxValue(20)),
    words: 'gap between paragraphs',
    initial: 0.75,
  }),
  /** Where a word longer than its line may break. */
  overflowWrap: property({
    ...type,
    part: undefined,
    schema: v.picklist(['normal', 'anywhere']),
    words: 'long words',
    initial: 'normal',
    css: { name: 'overflow-wrap', of: unless('overflowWrap', 'normal') },
  }),
  color: property({
    ...type,
    changes: 'paint',
    schema: ColorSchema,
    words: 'ink',
    token: 'color',
    css: {
      name: 'color',
      of: ({ raw, write }) => (raw.color === undefined ? undefined : write.color(raw.color as string)),
    },
  }),
}
