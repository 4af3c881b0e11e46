/** What there is to say about one property. The table of them is the only place that knows: everything else asks it. */
import type * as v from 'valibot'
import type { Kind } from './kinds'

/** Parts of a look that are copied from block to block. */
export const LOOK_PARTS = ['fill', 'border', 'type', 'spacing', 'effects'] as const
export type LookPart = (typeof LOOK_PARTS)[number]

/** Token types of the W3C Design Tokens format that a value may refer to. A number stands for as many px. */
export type TokenUse = 'length' | 'color' | 'typography'

/** Writes values as CSS; a reference as its token's custom property. Undefined: there is nothing usable to write. */
export type Written = {
  color(value: string): string | undefined
  length(value: number | string): string | undefined
  /** A shadow's or a gradient's token, or a part of a border's. */
  token(reference: string, type: 'shadow' | 'gradient' | 'border', part?: string): string | undefined
  /** A picture of the project as an address. */
  picture(id: string): string | undefined
  /** A font stack. */
  family(name: string): string
}

/** A block's values in one view, for who writes CSS. */
export type Values = {
  /** As the document has them: undefined where nothing sets one, tokens by reference. */
  readonly raw: Readonly<Record<string, unknown>>
  /** Defaults and tokens followed. */
  readonly resolved: Readonly<Record<string, unknown>>
  readonly write: Written
}

export type Property<S extends v.GenericSchema = v.GenericSchema> = {
  schema: S
  /** Its name in words. */
  words: string
  kinds: readonly Kind[]
  /** What it is when nothing sets it; left out: nothing. */
  initial?: v.InferOutput<S>
  /** Where a kind begins with something else. */
  initialOf?: Partial<Record<Kind, v.InferOutput<S>>>
  /**
   * Whether a view may set it for itself and those narrower. `content`: it may, and is handed off as an element, or a source of a
   * picture, for each; `never`: HTML has one only.
   */
  perView: 'style' | 'content' | 'never'
  /** `size`: boxes may have to be laid out again; `paint`: only what is drawn changes. */
  changes: 'size' | 'paint'
  token?: TokenUse
  part?: LookPart
  /** Its value is items by id: set, taken away and cascaded one by one (`items.ts`). */
  items?: true
  css?: CssRule | readonly CssRule[]
}

/** The CSS property that says it. What has no `of` is said with others: by `declarations.ts`, or with what is around the block. */
export type CssRule = {
  name: string
  /** The value; undefined: as CSS has it by itself. */
  of?: (values: Values) => string | undefined
  /** Part of a type style's token, when that is where it comes from. */
  style?: 'family' | 'size' | 'weight' | 'line' | 'spacing'
}

/** Keeps the schema's type. */
export const property = <S extends v.GenericSchema>(declared: Property<S>): Property<S> => declared

/** The text of a value, unless it is what CSS has by itself. */
export const unless =
  <T>(key: string, initial: T, text: (value: T) => string = String) =>
  ({ resolved }: Values) => {
    const value = resolved[key] as T
    return value === initial || value === undefined ? undefined : text(value)
  }

export const ALL: readonly Kind[] = ['section', 'box', 'text', 'button', 'picture', 'shape']
/** All that are drawn as a box. */
export const BOXED: readonly Kind[] = ['section', 'box', 'text', 'button', 'picture']
/** All that lie in sections and boxes. */
export const INNER: readonly Kind[] = ['box', 'text', 'button', 'picture', 'shape']
export const HOLDERS: readonly Kind[] = ['section', 'box']
export const WORDS: readonly Kind[] = ['text', 'button']
