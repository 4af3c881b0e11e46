/**
 * The open document format, version 2: what a project file may hold.
 * CSS-shaped: a property means what the CSS property of that name means.
 * Lengths are CSS px unless a field says otherwise.
 */
import * as v from 'valibot'
import { HASH, MOST_BLOB } from '../blobs/blobs'
import { PICTURE_TYPES } from '../blobs/picture-type'
import { linkProblem } from './links'
import { isOrderKey, MAX_ORDER_KEY } from './order-keys'
import { isInherited } from './plain'

export const FORMAT = 'just-lattice'
export const VERSION = 2
/** Deepest nesting of blocks that a file may hold. */
export const MAX_DEPTH = 64
/** Longest single text, in UTF-16 code units. */
export const MAX_TEXT = 1_000_000
/** Most views of a project. */
export const MAX_VIEWS = 8
/** Largest length a document may hold, in px. */
export const MAX_LENGTH = 100_000

const finite = v.pipe(v.number(), v.finite('a finite number'))
const px = v.pipe(finite, v.minValue(-MAX_LENGTH), v.maxValue(MAX_LENGTH))
const positivePx = v.pipe(finite, v.minValue(0), v.maxValue(MAX_LENGTH))
const shortText = v.pipe(v.string(), v.maxLength(400))

export const IdSchema = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id of 1 to 64 letters, digits, - or _'),
  v.check((id) => !isInherited(id), 'an id that is not a name of every object, such as “constructor”'),
)
/** The name of bytes that lie outside the document: see `core/blobs`. */
export const HashSchema = v.pipe(v.string(), v.regex(HASH, 'a SHA-256 in 64 small hexadecimal digits'))
/** Where a link leads: see `links.ts`. */
export const LinkSchema = v.pipe(
  v.string(),
  v.maxLength(2000),
  v.check(
    (link) => linkProblem(link) === undefined,
    (issue) => linkProblem(String(issue.input)) ?? 'a link',
  ),
)
/** A fractional key: see `order-keys.ts`. */
export const OrderSchema = v.pipe(
  v.string(),
  v.maxLength(MAX_ORDER_KEY),
  v.check(isOrderKey, 'an order key, such as a0'),
)
/** A page's place on the site: small letters, one slash between folders, none at the end. */
export const PathSchema = v.pipe(
  v.string(),
  v.maxLength(400),
  v.regex(/^\/(?:[a-z0-9_-]+(?:\/[a-z0-9_-]+)*)?$/, 'a path such as /catalogue, in small letters'),
)
/** A reference to a token in the form of the W3C Design Tokens format: `{group.name}`. */
export const TokenRefSchema = v.pipe(
  v.string(),
  v.regex(/^\{[^{}]{1,200}\}$/, 'a token reference such as {space.m}'),
)
const HexSchema = v.pipe(
  v.string(),
  v.regex(/^#[0-9a-fA-F]{6}([0-9a-fA-F]{2})?$/, 'a colour such as #1d5c45'),
)
const ColorSchema = v.union([HexSchema, TokenRefSchema], 'a colour such as #1d5c45, or a token reference')
const PositiveSchema = v.union(
  [positivePx, TokenRefSchema],
  'a length in px of at least 0, or a token reference',
)

export const SizeSchema = v.variant('kind', [
  v.strictObject({ kind: v.literal('exact'), px: PositiveSchema }),
  v.strictObject({ kind: v.literal('snug') }),
  v.strictObject({ kind: v.literal('stretch'), weight: v.pipe(finite, v.minValue(0.01), v.maxValue(1000)) }),
  v.strictObject({ kind: v.literal('percent'), percent: v.pipe(finite, v.minValue(0), v.maxValue(1000)) }),
  v.strictObject({
    kind: v.literal('columns'),
    span: v.pipe(finite, v.integer(), v.minValue(1), v.maxValue(48)),
    /** First column, counted from 1; left out: placed automatically. */
    from: v.optional(v.pipe(finite, v.integer(), v.minValue(1), v.maxValue(48))),
  }),
  v.strictObject({ kind: v.literal('svh'), percent: v.pipe(finite, v.minValue(0), v.maxValue(1000)) }),
])

/** Where a lifted block's edge stays: px or a share of the parent's padding box. */
const PinSchema = v.union([
  v.strictObject({ px }),
  v.strictObject({ percent: v.pipe(finite, v.minValue(-1000), v.maxValue(1000)) }),
])

export const GradientSchema = v.strictObject({
  angle: finite,
  stops: v.pipe(
    v.array(v.strictObject({ color: ColorSchema, at: v.pipe(finite, v.minValue(0), v.maxValue(100)) })),
    v.minLength(2),
    v.maxLength(16),
  ),
})

export const ShadowSchema = v.strictObject({ x: px, y: px, blur: positivePx, spread: px, color: ColorSchema })

/** A share of the font size, a length, or `normal`: from the font's own metrics. */
export const LineHeightSchema = v.union([
  v.literal('normal'),
  v.strictObject({ ratio: v.pipe(finite, v.minValue(0), v.maxValue(20)) }),
  v.strictObject({ px: positivePx }),
])

export const SpanSchema = v.strictObject({
  text: v.pipe(v.string(), v.maxLength(MAX_TEXT, 'a text of at most 1,000,000 characters')),
  weight: v.optional(v.pipe(finite, v.minValue(1), v.maxValue(1000))),
  italic: v.optional(v.boolean()),
  /** A share of the text's own size (em), so that it follows from view to view. */
  size: v.optional(v.pipe(finite, v.minValue(0.1), v.maxValue(10))),
  color: v.optional(ColorSchema),
  link: v.optional(LinkSchema),
})

const GapJustify = v.picklist(['start', 'center', 'end', 'space-between', 'space-around', 'space-evenly'])

/** Lengths px; container null: fluid. */
const SectionLatticeSchema = v.strictObject({
  columns: v.pipe(finite, v.integer(), v.minValue(1, 'at least 1 column'), v.maxValue(48)),
  gutter: positivePx,
  container: v.nullable(v.pipe(finite, v.minValue(1), v.maxValue(MAX_LENGTH))),
  margin: positivePx,
})

/** Elements that a block may be handed off as. */
export const TAGS = [
  'header',
  'section',
  'footer',
  'main',
  'nav',
  'aside',
  'article',
  'div',
  'ul',
  'li',
  'figure',
  'blockquote',
  'p',
  'h1',
  'h2',
  'h3',
  'h4',
  'span',
  'a',
  'button',
  'label',
  'small',
  'figcaption',
  'cite',
] as const

/** Every property a node or a per-view override may set. All optional; `kinds.ts` has the defaults. */
export const PropsSchema = v.strictObject({
  // flow
  flow: v.optional(v.picklist(['row', 'column', 'lattice', 'free'])),
  wrap: v.optional(v.boolean()),
  dense: v.optional(v.boolean()),
  rowGap: v.optional(PositiveSchema),
  columnGap: v.optional(PositiveSchema),
  columns: v.optional(v.pipe(finite, v.integer(), v.minValue(1), v.maxValue(48))),
  justify: v.optional(GapJustify),
  align: v.optional(v.picklist(['start', 'center', 'end', 'baseline'])),
  alignContent: v.optional(v.union([GapJustify, v.literal('stretch')])),
  alignSelf: v.optional(v.picklist(['start', 'center', 'end', 'baseline'])),
  paddingTop: v.optional(PositiveSchema),
  paddingRight: v.optional(PositiveSchema),
  paddingBottom: v.optional(PositiveSchema),
  paddingLeft: v.optional(PositiveSchema),
  /** In a row or column, px more than the gap before the block: `margin-inline-start` or `margin-block-start`. */
  spaceBefore: v.optional(PositiveSchema),
  order: v.optional(v.pipe(finite, v.integer(), v.minValue(-9999), v.maxValue(9999))),
  hidden: v.optional(v.boolean()),
  // size
  width: v.optional(SizeSchema),
  height: v.optional(SizeSchema),
  minWidth: v.optional(PositiveSchema),
  maxWidth: v.optional(PositiveSchema),
  minHeight: v.optional(PositiveSchema),
  maxHeight: v.optional(PositiveSchema),
  /** Width divided by height. */
  ratio: v.optional(v.pipe(finite, v.minValue(0.001), v.maxValue(1000))),
  fullBleed: v.optional(v.boolean()),
  /** A section's own lattice, instead of the view's; what it does not say is the view's. */
  lattice: v.optional(v.union([v.literal('view'), SectionLatticeSchema])),
  // lifted
  lifted: v.optional(v.boolean()),
  pinLeft: v.optional(PinSchema),
  pinRight: v.optional(PinSchema),
  pinTop: v.optional(PinSchema),
  pinBottom: v.optional(PinSchema),
  /** Offset in px from the parent's centre. */
  pinCenterX: v.optional(px),
  pinCenterY: v.optional(px),
  z: v.optional(v.pipe(finite, v.integer(), v.minValue(-9999), v.maxValue(9999))),
  // look
  fill: v.optional(ColorSchema),
  gradient: v.optional(GradientSchema),
  borderTop: v.optional(positivePx),
  borderRight: v.optional(positivePx),
  borderBottom: v.optional(positivePx),
  borderLeft: v.optional(positivePx),
  borderColor: v.optional(ColorSchema),
  borderStyle: v.optional(v.picklist(['solid', 'dashed', 'dotted'])),
  radius: v.optional(PositiveSchema),
  shadow: v.optional(ShadowSchema),
  opacity: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(1))),
  blend: v.optional(v.picklist(['normal', 'multiply', 'screen', 'overlay', 'darken', 'lighten'])),
  clip: v.optional(v.boolean()),
  /** Degrees clockwise about the centre, as CSS `rotate`: drawn turned, laid out as if it were not. */
  rotate: v.optional(v.pipe(finite, v.minValue(-360), v.maxValue(360))),
  // type
  type: v.optional(TokenRefSchema),
  fontFamily: v.optional(v.pipe(v.string(), v.maxLength(100))),
  fontSize: v.optional(v.union([v.pipe(finite, v.minValue(1), v.maxValue(2000)), TokenRefSchema])),
  fontWeight: v.optional(v.pipe(finite, v.minValue(1), v.maxValue(1000))),
  italic: v.optional(v.boolean()),
  lineHeight: v.optional(LineHeightSchema),
  letterSpacing: v.optional(px),
  textAlign: v.optional(v.picklist(['left', 'center', 'right'])),
  textCase: v.optional(v.picklist(['none', 'uppercase', 'lowercase', 'capitalize'])),
  textDecoration: v.optional(v.picklist(['none', 'underline', 'line-through'])),
  /** Where a word longer than its line may break. */
  overflowWrap: v.optional(v.picklist(['normal', 'anywhere'])),
  color: v.optional(ColorSchema),
  spans: v.optional(v.pipe(v.array(SpanSchema), v.maxLength(5000))),
  // content
  tag: v.optional(v.picklist(TAGS)),
  link: v.optional(LinkSchema),
  asset: v.optional(IdSchema),
  alt: v.optional(v.pipe(v.string(), v.maxLength(2000))),
  fit: v.optional(v.picklist(['cover', 'contain', 'fill'])),
  focusX: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(100))),
  focusY: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(100))),
})

export const KINDS = ['page', 'section', 'box', 'text', 'button', 'picture'] as const
export const KindSchema = v.picklist(KINDS)

/** A block as the file holds it; `children` are nested. */
export type NodeTree = {
  id: string
  kind: Kind
  name: string
  /** Fractional key: siblings stand in the order of their keys' code units. */
  order: string
  locked?: boolean
  props: Props
  overrides?: Record<string, Props>
  children?: NodeTree[]
}

/** One node without its children: what `NodeTree` is checked with, level by level. */
export const NodeOwnSchema = v.strictObject({
  id: IdSchema,
  kind: KindSchema,
  name: shortText,
  /** What is no order key, as files of other programs may have it, is mended on reading. */
  order: v.pipe(v.string(), v.maxLength(MAX_ORDER_KEY)),
  locked: v.optional(v.boolean()),
  props: PropsSchema,
  overrides: v.optional(v.record(IdSchema, PropsSchema)),
  children: v.optional(v.array(v.unknown())),
})

export const ViewLatticeSchema = v.strictObject({
  columns: v.pipe(finite, v.integer(), v.minValue(1, 'at least 1 column'), v.maxValue(48)),
  gutter: positivePx,
  /** Largest container width; null: fluid, the margins are fixed and the container takes the rest. */
  container: v.nullable(v.pipe(finite, v.minValue(1), v.maxValue(MAX_LENGTH))),
  /** Fixed margin when fluid, else the least margin once the window is too narrow. */
  margin: positivePx,
  halfGutters: v.boolean(),
  place: v.picklist(['left', 'center']),
  baseline: v.pipe(finite, v.minValue(1), v.maxValue(1000)),
})

export const ViewSchema = v.strictObject({
  id: IdSchema,
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(100)),
  width: v.pipe(finite, v.minValue(200, 'a width of at least 200 px'), v.maxValue(10_000)),
  /** Largest window width at which this view still applies; null on the widest. */
  breakpoint: v.nullable(v.pipe(finite, v.minValue(100), v.maxValue(10_000))),
  /** Height of the first screen, px: where the fold is, and what `svh` is taken of. */
  fold: v.pipe(finite, v.minValue(100), v.maxValue(10_000)),
  /** The narrowest window that what matters must survive, px: shown in the middle of the sheet. */
  safe: v.optional(v.pipe(finite, v.minValue(100), v.maxValue(10_000))),
  lattice: ViewLatticeSchema,
})

export const AssetSchema = v.strictObject({
  id: IdSchema,
  name: shortText,
  type: v.picklist(PICTURE_TYPES),
  width: v.pipe(finite, v.minValue(1), v.maxValue(20_000)),
  height: v.pipe(finite, v.minValue(1), v.maxValue(20_000)),
  /** Bytes of the file, which lies outside the document. */
  size: v.pipe(finite, v.integer(), v.minValue(0), v.maxValue(MOST_BLOB)),
  /** SHA-256 of the file. */
  hash: HashSchema,
})

/** What helps to draw a page at one view and is never handed off. Lengths px on the sheet. */
export const AidSchema = v.variant('kind', [
  /** A line to line things up with: upright at a distance from the left (x), or level at one from the top (y). */
  v.strictObject({
    kind: v.literal('guide'),
    id: IdSchema,
    view: IdSchema,
    axis: v.picklist(['x', 'y']),
    at: px,
    locked: v.optional(v.boolean()),
  }),
  /** The distances between two blocks, left on the sheet. */
  v.strictObject({ kind: v.literal('gauge'), id: IdSchema, view: IdSchema, from: IdSchema, to: IdSchema }),
  /** A reference picture under the sheet; `scale` is sheet px for one of the picture's. */
  v.strictObject({
    kind: v.literal('tracing'),
    id: IdSchema,
    view: IdSchema,
    asset: IdSchema,
    x: px,
    y: px,
    scale: v.pipe(finite, v.minValue(0.001), v.maxValue(1000)),
    opacity: v.pipe(finite, v.minValue(0), v.maxValue(1)),
    hidden: v.optional(v.boolean()),
    /** Drawn over the blocks instead of under them. */
    over: v.optional(v.boolean()),
  }),
])
/** Most aids on one page. */
export const MAX_AIDS = 1000

export const PageOwnSchema = v.strictObject({
  id: IdSchema,
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  path: PathSchema,
  /** As a block's. */
  order: v.pipe(v.string(), v.maxLength(MAX_ORDER_KEY)),
  /** The views this page is drawn at; empty: all. */
  views: v.array(IdSchema),
  /** By id. */
  aids: v.optional(v.pipe(v.array(AidSchema), v.maxLength(MAX_AIDS))),
  sections: v.optional(v.array(v.unknown())),
})

export const ProjectSchema = v.strictObject({
  format: v.literal(FORMAT),
  version: v.literal(VERSION),
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  tokens: v.record(v.string(), v.unknown()),
  views: v.pipe(v.array(ViewSchema), v.minLength(1, 'at least one view'), v.maxLength(MAX_VIEWS)),
  assets: v.array(AssetSchema),
  pages: v.array(PageOwnSchema),
})

export type Kind = (typeof KINDS)[number]
export type Props = v.InferOutput<typeof PropsSchema>
export type PropKey = keyof Props
export type Size = v.InferOutput<typeof SizeSchema>
export type LineHeight = v.InferOutput<typeof LineHeightSchema>
export type Span = v.InferOutput<typeof SpanSchema>
export type View = v.InferOutput<typeof ViewSchema>
export type ViewLattice = v.InferOutput<typeof ViewLatticeSchema>
export type Asset = v.InferOutput<typeof AssetSchema>
export type Aid = v.InferOutput<typeof AidSchema>
export type Guide = Extract<Aid, { kind: 'guide' }>
export type Tracing = Extract<Aid, { kind: 'tracing' }>
export type SectionLattice = v.InferOutput<typeof SectionLatticeSchema>
export type Pin = v.InferOutput<typeof PinSchema>

/** A page as the file holds it. */
export type PageFile = Omit<v.InferOutput<typeof PageOwnSchema>, 'sections'> & { sections: NodeTree[] }
/** A whole project as the file holds it. */
export type ProjectFile = Omit<v.InferOutput<typeof ProjectSchema>, 'pages'> & { pages: PageFile[] }
