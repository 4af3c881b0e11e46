/** What is set of a text: its paragraphs, one under the other, as stretches in one look each. */
import { HEADINGS, type Kind } from '../properties/kinds'
import {
  type Item,
  type List,
  lookOf,
  OBJECT,
  type ParagraphWords,
  paragraphsIn,
  type Span,
  type Words,
} from './words'

export type Part = {
  spans: readonly Span[]
  /** How many lists it is in. */
  depth: number
  /** What stands before an item's first paragraph. */
  marker?: string
  /** Whether the paragraphs' gap stands before it. */
  apart: boolean
}

/** Elements that hold nothing but phrases (HTML): a text that is one has lines, no lists. */
const PHRASES: ReadonlySet<string> = new Set([...HEADINGS, 'span', 'a', 'label', 'small', 'cite'])

/** Whether a text may have lists, and paragraphs apart. */
export const holdsParagraphs = (kind: Kind, tag: string | undefined): boolean =>
  kind === 'text' && !PHRASES.has(tag ?? 'p')

/** Whether links in a text may be links of their own: not where the whole text is one, nor on a button. */
export const holdsLinks = (kind: Kind, tag: string | undefined): boolean => kind === 'text' && tag !== 'a'

/** What stands before items of lists; CSS `list-style-type` says the same. */
export const BULLET = '•  '
export const numberOf = (index: number) => `${index + 1}. `

function spansOf({ content = [] }: ParagraphWords): Span[] {
  return content.map((inline) => {
    if (inline.type === 'break') return { text: '\n' }
    const look = lookOf(inline.marks)
    return inline.type === 'text'
      ? { text: inline.text, ...look }
      : { text: OBJECT, icon: inline.attrs, ...look }
  })
}

function* itemParts({ content: [first, ...lists] }: Item, marker: string, depth: number): Generator<Part> {
  yield { spans: spansOf(first), depth, marker, apart: false }
  for (const each of lists) yield* listParts(each, depth)
}

function* listParts({ type, content }: List, depth: number): Generator<Part> {
  for (const [i, item] of content.entries())
    yield* itemParts(item, type === 'bullets' ? BULLET : numberOf(i), depth + 1)
}

const known = new WeakMap<Words, readonly Part[]>()

/** @param flowing whether it holds paragraphs; else all are lines of one */
export function partsOf(words: Words, flowing: boolean): readonly Part[] {
  if (!flowing) {
    const spans = [...paragraphsIn(words)].flatMap((each, i) => [
      ...(i === 0 ? [] : [{ text: '\n' }]),
      ...spansOf(each),
    ])
    return [{ spans, depth: 0, apart: false }]
  }
  let parts = known.get(words)
  if (!parts) {
    parts = [...blockParts(words)]
    known.set(words, parts)
  }
  return parts
}

function* blockParts(words: Words): Generator<Part> {
  for (const [i, block] of words.entries()) {
    const own =
      block.type === 'paragraph'
        ? [{ spans: spansOf(block), depth: 0, apart: false }]
        : [...listParts(block, 0)]
    own[0]!.apart = i > 0
    yield* own
  }
}

/** Whether the words are one paragraph: they stand in the text's own element. */
export const isOneParagraph = (words: Words) =>
  words.length === 0 || (words.length === 1 && words[0]!.type === 'paragraph')

export type Limited = { maxLines?: number; words?: Words; tag?: string }

/** How many lines a text may have: browsers cut off those of one paragraph only (`-webkit-line-clamp`). Undefined: as many as it takes. */
export const mostLines = ({ maxLines, words, tag }: Limited): number | undefined =>
  maxLines !== undefined && (!words || !holdsParagraphs('text', tag) || isOneParagraph(words))
    ? maxLines
    : undefined
