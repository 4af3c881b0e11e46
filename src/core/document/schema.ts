/**
 * The open document format, version 3: what a project file may hold.
 * CSS-shaped: a property means what the CSS property of that name means.
 * Lengths are CSS px unless a field says otherwise.
 */
import * as v from 'valibot'
import { HASH, MOST_BLOB } from '../blobs/blobs'
import { PICTURE_TYPES } from '../blobs/picture-type'
import { KINDS, type Kind } from '../properties/kinds'
import { MAX_ORDER_KEY } from '../properties/order-keys'
import { ChangeSchema, LookSchema, PagePropsSchema, type Props, PropsSchema } from '../properties/table'
import { columnCount, finite, IdSchema, LangSchema, MAX_LENGTH, positivePx, px } from '../properties/values'

export const FORMAT = 'just-lattice'
export const VERSION = 3
/** Deepest nesting of blocks that a file may hold. */
export const MAX_DEPTH = 64
/** Most views of a project. */
export const MAX_VIEWS = 8
const shortText = v.pipe(v.string(), v.maxLength(400))

/** The name of bytes that lie outside the document: see `core/blobs`. */
export const HashSchema = v.pipe(v.string(), v.regex(HASH, 'a SHA-256 in 64 small hexadecimal digits'))
/** A page's place on the site: small letters, one slash between folders, none at the end. */
export const PathSchema = v.pipe(
  v.string(),
  v.maxLength(400),
  v.regex(/^\/(?:[a-z0-9_-]+(?:\/[a-z0-9_-]+)*)?$/, 'a path such as /catalogue, in small letters'),
)
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
  columns: columnCount,
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

const side = v.pipe(finite, v.minValue(1), v.maxValue(40_000))
/** What a picture was cut out of, so that it can be cut otherwise as long as that is there: see `core/pictures/crop.ts`. Lengths px of that picture. */
const CutSchema = v.strictObject({
  asset: IdSchema,
  turn: v.pipe(finite, v.minValue(-360), v.maxValue(360)),
  mirrored: v.optional(v.literal(true)),
  x: v.pipe(finite, v.minValue(-40_000), v.maxValue(40_000)),
  y: v.pipe(finite, v.minValue(-40_000), v.maxValue(40_000)),
  width: side,
  height: side,
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
  /** Left out: it is a picture by itself. */
  from: v.optional(CutSchema),
})

/** How a font file is kept and handed off. */
export const FONT_TYPE = 'font/woff2'
/** Largest font file, bytes. */
export const MOST_FONT = 10_000_000
/** Most families of a project's own, and most files of one. */
export const MAX_FAMILIES = 50
export const MAX_FONT_FILES = 1200

const weight = v.pipe(finite, v.minValue(1), v.maxValue(1000))

/** One file of a family: a style, at one weight or a range of them. */
export const FontFileSchema = v.strictObject({
  /** Left out: upright. */
  italic: v.optional(v.literal(true)),
  /** The least and the most; of a file that does not vary both are the same. */
  weights: v.pipe(
    v.tuple([weight, weight]),
    v.check(([least, most]) => least <= most, 'the least weight, then the most'),
  ),
  /** The characters that it draws, as CSS says them (`unicode-range`): `U+20-7E,U+A9`. */
  ranges: v.pipe(
    v.string(),
    v.maxLength(200_000),
    v.regex(
      /^U\+[0-9A-F]{1,6}(-[0-9A-F]{1,6})?(,U\+[0-9A-F]{1,6}(-[0-9A-F]{1,6})?)*$/,
      'ranges such as U+20-7E,U+A9',
    ),
  ),
  /** Bytes of the WOFF2 file, which lies outside the document. */
  size: v.pipe(finite, v.integer(), v.minValue(1), v.maxValue(MOST_FONT)),
  /** SHA-256 of the file. */
  hash: HashSchema,
})

/** A family of the project's own. Texts and type styles name it by its id. */
export const OwnFamilySchema = v.strictObject({
  id: IdSchema,
  /** As it is called in CSS; no shipped family's name. */
  family: v.pipe(v.string(), v.regex(/^[^\p{C}"\\]{1,100}$/u, 'a name of 1 to 100 characters')),
  /** Says what stands in for it. */
  category: v.picklist(['sans', 'serif', 'mono', 'hand']),
  files: v.pipe(v.array(FontFileSchema), v.minLength(1, 'at least one file'), v.maxLength(MAX_FONT_FILES)),
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

/** What is said of a whole project where no page says otherwise. */
export const AboutSchema = v.strictObject({
  lang: v.optional(LangSchema),
  /** The picture that browsers show beside its name. */
  icon: v.optional(IdSchema),
  /** The families that a page may be set in before more are marked; left out: three. */
  families: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(50))),
})

/** A colour world of the whole site: tokens say their colours in it, as of its id. The first is the one that `$value`s are of. */
export const ThemeSchema = v.strictObject({
  id: IdSchema,
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(100)),
  /** Chosen by itself for visitors who prefer it, and what the browser draws its own parts in; left out: neither. */
  scheme: v.optional(v.picklist(['light', 'dark'])),
})
/** Most themes of a project. */
export const MAX_THEMES = 8

/** A look that is kept to be put on blocks: what it does not say is put back there. */
export const KeptLookSchema = v.strictObject({
  id: IdSchema,
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  props: LookSchema,
})
/** Most kept looks of a project. */
export const MAX_LOOKS = 200

export const PageOwnSchema = v.strictObject({
  id: IdSchema,
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  path: PathSchema,
  /** What search engines and previews say of it. */
  description: v.optional(v.pipe(v.string(), v.maxLength(1000))),
  /** Of its words; left out: the project's. */
  lang: v.optional(LangSchema),
  /** The picture that previews show of it. */
  preview: v.optional(IdSchema),
  /** As a block's. */
  order: v.pipe(v.string(), v.maxLength(MAX_ORDER_KEY)),
  /** The views this page is drawn at; empty: all. */
  views: v.array(IdSchema),
  /** A frame for other pages: its sections are theirs too, around a slot for their own. It is not handed off by itself. */
  isTemplate: v.optional(v.literal(true)),
  /** The template that the page stands on. */
  template: v.optional(IdSchema),
  /** What the page shows otherwise of its template, by block. */
  changes: v.optional(
    v.record(
      IdSchema,
      v.strictObject({ props: ChangeSchema, overrides: v.optional(v.record(IdSchema, ChangeSchema)) }),
    ),
  ),
  /** What it says of itself; what it does not say its template does. */
  props: v.optional(PagePropsSchema),
  /** By id. */
  aids: v.optional(v.pipe(v.array(AidSchema), v.maxLength(MAX_AIDS))),
  sections: v.optional(v.array(v.unknown())),
})

export const ProjectSchema = v.strictObject({
  format: v.literal(FORMAT),
  version: v.literal(VERSION),
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  about: v.optional(AboutSchema),
  tokens: v.record(v.string(), v.unknown()),
  /** Left out: one world of colours, without a name. */
  themes: v.optional(v.pipe(v.array(ThemeSchema), v.maxLength(MAX_THEMES))),
  views: v.pipe(v.array(ViewSchema), v.minLength(1, 'at least one view'), v.maxLength(MAX_VIEWS)),
  assets: v.array(AssetSchema),
  /** Families of its own beside the shipped ones. */
  fonts: v.optional(v.pipe(v.array(OwnFamilySchema), v.maxLength(MAX_FAMILIES))),
  /** By id. */
  looks: v.optional(v.pipe(v.array(KeptLookSchema), v.maxLength(MAX_LOOKS))),
  pages: v.array(PageOwnSchema),
})

export type View = v.InferOutput<typeof ViewSchema>
export type ViewLattice = v.InferOutput<typeof ViewLatticeSchema>
export type About = v.InferOutput<typeof AboutSchema>
export type Theme = v.InferOutput<typeof ThemeSchema>
export type Asset = v.InferOutput<typeof AssetSchema>
export type OwnFamily = v.InferOutput<typeof OwnFamilySchema>
export type OwnFontFile = OwnFamily['files'][number]
export type KeptLook = v.InferOutput<typeof KeptLookSchema>
export type Aid = v.InferOutput<typeof AidSchema>
/** What a page shows otherwise of one block of its template. */
export type Change = NonNullable<v.InferOutput<typeof PageOwnSchema>['changes']>[string]
export type Guide = Extract<Aid, { kind: 'guide' }>
export type Tracing = Extract<Aid, { kind: 'tracing' }>

/** A page as the file holds it. */
export type PageFile = Omit<v.InferOutput<typeof PageOwnSchema>, 'sections'> & { sections: NodeTree[] }
/** A whole project as the file holds it. */
export type ProjectFile = Omit<v.InferOutput<typeof ProjectSchema>, 'pages'> & { pages: PageFile[] }
