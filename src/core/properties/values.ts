/** What values of properties look like in a file. Lengths are CSS px unless a field says otherwise. */
import * as v from 'valibot'
import { isInherited } from './inherited'
import { linkProblem } from './links'

/** Longest single text, in UTF-16 code units. */
export const MAX_TEXT = 1_000_000
/** Largest length a document may hold, in px. */
export const MAX_LENGTH = 100_000

export const finite = v.pipe(v.number(), v.finite('a finite number'))
export const px = v.pipe(finite, v.minValue(-MAX_LENGTH), v.maxValue(MAX_LENGTH))
export const positivePx = v.pipe(finite, v.minValue(0), v.maxValue(MAX_LENGTH))
export const columnCount = v.pipe(finite, v.integer(), v.minValue(1, 'at least 1 column'), v.maxValue(48))
export const share = v.pipe(finite, v.minValue(0), v.maxValue(100))
export const place = v.pipe(finite, v.integer(), v.minValue(-9999), v.maxValue(9999))

export const IdSchema = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id of 1 to 64 letters, digits, - or _'),
  v.check((id) => !isInherited(id), 'an id that is not a name of every object, such as “constructor”'),
)
/** A language tag (BCP 47), such as en or pt-BR. */
export const LangSchema = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8}){0,4}$/, 'a language such as en or pt-BR'),
)
/** Where a link leads: see `links.ts`. */
export const LinkSchema = v.pipe(
  v.string(),
  v.maxLength(2000),
  v.check(
    (link) => linkProblem(link) === undefined,
    (issue) => linkProblem(String(issue.input)) ?? 'a link',
  ),
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
export const ColorSchema = v.union(
  [HexSchema, TokenRefSchema],
  'a colour such as #1d5c45, or a token reference',
)
export const LengthSchema = v.union(
  [positivePx, TokenRefSchema],
  'a length in px of at least 0, or a token reference',
)

export const SizeSchema = v.variant('kind', [
  v.strictObject({ kind: v.literal('exact'), px: LengthSchema }),
  v.strictObject({ kind: v.literal('snug') }),
  v.strictObject({ kind: v.literal('stretch'), weight: v.pipe(finite, v.minValue(0.01), v.maxValue(1000)) }),
  v.strictObject({ kind: v.literal('percent'), percent: v.pipe(finite, v.minValue(0), v.maxValue(1000)) }),
  v.strictObject({
    kind: v.literal('columns'),
    span: v.pipe(finite, v.integer(), v.minValue(1), v.maxValue(48)),
    /** First column, counted from 1; left out: placed automatically. */
    from: v.optional(v.pipe(finite, v.integer(), v.minValue(1), v.maxValue(48))),
  }),
  v.strictObject({
    kind: v.literal('svh'),
    percent: v.pipe(finite, v.minValue(0), v.maxValue(1000)),
    /** px that are taken off, such as those of a header above it. */
    less: v.optional(positivePx),
    /** Of a section: at least as high, and higher where its content is. */
    grows: v.optional(v.literal(true)),
  }),
])

/** Where a lifted block's edge stays: px or a share of the parent's padding box. */
export const PinSchema = v.union([
  v.strictObject({ px }),
  v.strictObject({ percent: v.pipe(finite, v.minValue(-1000), v.maxValue(1000)) }),
])

/** A share of the font size, a length, or `normal`: from the font's own metrics. */
export const LineHeightSchema = v.union([
  v.literal('normal'),
  v.strictObject({ ratio: v.pipe(finite, v.minValue(0), v.maxValue(20)) }),
  v.strictObject({ px: positivePx }),
])

/** A section's own lattice. Lengths px; container null: fluid. */
export const SectionLatticeSchema = v.strictObject({
  columns: columnCount,
  gutter: positivePx,
  container: v.nullable(v.pipe(finite, v.minValue(1), v.maxValue(MAX_LENGTH))),
  margin: positivePx,
})

export type Size = v.InferOutput<typeof SizeSchema>
/** A share of the first screen. */
export type ScreenHeight = Extract<Size, { kind: 'svh' }>
export type Pin = v.InferOutput<typeof PinSchema>
export type LineHeight = v.InferOutput<typeof LineHeightSchema>
export type SectionLattice = v.InferOutput<typeof SectionLatticeSchema>
