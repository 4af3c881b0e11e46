/** What a text says, as it lies in a file: the content of a ProseMirror document. */
import * as v from 'valibot'
import { PathDataSchema } from '../forms/form'
import { ColorSchema, finite, LinkSchema, MAX_TEXT } from '../properties/values'

/** In the order in which they lie on words: the first is outermost. */
export const MARKS = [
  'link',
  'weight',
  'italic',
  'size',
  'color',
  'case',
  'script',
  'underline',
  'strike',
  'code',
] as const
export type MarkName = (typeof MARKS)[number]

export const SCRIPTS = ['sup', 'sub'] as const
export const CASES = ['none', 'uppercase', 'lowercase', 'capitalize'] as const
/** Deepest list in a list. */
export const MOST_DEEP = 6
/** Most stretches of one paragraph. */
const MOST_PIECES = 5000
/** Most characters of what draws an icon. */
const MOST_ICON = 20_000
/** What stands for an icon among characters (Unicode, object replacement character). */
export const OBJECT = '\ufffc'

const mark = <K extends MarkName>(type: K) => v.strictObject({ type: v.literal(type) })
const valued = <K extends MarkName, S extends v.GenericSchema>(type: K, value: S) =>
  v.strictObject({ type: v.literal(type), attrs: v.strictObject({ value }) })

export const MarkSchema = v.variant('type', [
  valued('link', LinkSchema),
  valued('weight', v.pipe(finite, v.minValue(1), v.maxValue(1000))),
  /** `false`: upright in a text that is slanted. */
  valued('italic', v.boolean()),
  /** A share of the text's own size (em), so that it follows from view to view. */
  valued('size', v.pipe(finite, v.minValue(0.1), v.maxValue(10))),
  valued('color', ColorSchema),
  valued('case', v.picklist(CASES)),
  /** Set higher, or lower, and smaller. */
  valued('script', v.picklist(SCRIPTS)),
  mark('underline'),
  mark('strike'),
  mark('code'),
])
const marks = v.optional(
  v.pipe(
    v.array(MarkSchema),
    v.minLength(1, 'marks, or nothing at all'),
    v.check(inOrder, `each mark once, in this order: ${MARKS.join(', ')}`),
  ),
)
const TextSchema = v.strictObject({
  type: v.literal('text'),
  marks,
  text: v.pipe(
    v.string(),
    v.minLength(1, 'words, or nothing at all'),
    v.maxLength(MAX_TEXT, 'a text of at most 1,000,000 characters'),
    v.check((text) => !/[\r\n]/.test(text), 'words without line feeds: a new line is a break'),
  ),
})
const BreakSchema = v.strictObject({ type: v.literal('break') })
/** A drawing that stands among the words, as large as they are, in their ink. `line`: how wide it is drawn by, percent of its side. */
export const IconSchema = v.strictObject({
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(80)),
  data: v.pipe(PathDataSchema, v.maxLength(MOST_ICON, 'a drawing of at most 20,000 characters')),
  line: v.pipe(finite, v.minValue(0.1), v.maxValue(50)),
})
const InlineIconSchema = v.strictObject({ type: v.literal('icon'), attrs: IconSchema, marks })
const InlineSchema = v.variant('type', [TextSchema, BreakSchema, InlineIconSchema])
const ParagraphSchema = v.strictObject({
  type: v.literal('paragraph'),
  content: v.optional(
    v.pipe(
      v.array(InlineSchema),
      v.minLength(1, 'words, or nothing at all'),
      v.maxLength(MOST_PIECES),
      v.check(areJoined, 'words with the same marks as one text, not as two side by side'),
    ),
  ),
})

export type Mark = v.InferOutput<typeof MarkSchema>
export type Icon = v.InferOutput<typeof IconSchema>
export type Inline = v.InferOutput<typeof InlineSchema>
export type ParagraphWords = v.InferOutput<typeof ParagraphSchema>
export type List = { type: 'bullets' | 'numbers'; content: Item[] }
/** A paragraph, and lists under it. */
export type Item = { type: 'item'; content: [ParagraphWords, ...List[]] }
export type Block = ParagraphWords | List
export type Words = readonly Block[]

const ListSchema: v.GenericSchema<List> = v.strictObject({
  type: v.picklist(['bullets', 'numbers']),
  content: v.pipe(
    v.array(
      v.strictObject({
        type: v.literal('item'),
        content: v.pipe(
          v.tupleWithRest(
            [ParagraphSchema],
            v.lazy(() => ListSchema),
          ),
          v.maxLength(100),
        ),
      }),
    ),
    v.minLength(1),
    v.maxLength(MOST_PIECES),
  ),
}) as never

export const WordsSchema = v.pipe(
  v.array(v.union([ParagraphSchema, ListSchema], 'a paragraph, or a list of items')),
  v.minLength(1, 'at least one paragraph'),
  v.maxLength(MOST_PIECES),
  v.check((words) => depthOf(words as Words) <= MOST_DEEP, `lists at most ${MOST_DEEP} deep`),
) as unknown as v.GenericSchema<Words>

function inOrder(marks: Mark[]): boolean {
  return marks.every(({ type }, i) => i === 0 || MARKS.indexOf(type) > MARKS.indexOf(marks[i - 1]!.type))
}

function areJoined(content: Inline[]): boolean {
  return content.every((each, i) => {
    const last = content[i - 1]
    return each.type !== 'text' || last?.type !== 'text' || !sameMarks(each.marks, last.marks)
  })
}

const depthOf = (blocks: Words): number =>
  Math.max(
    0,
    ...blocks.map((block) =>
      block.type === 'paragraph'
        ? 0
        : 1 + Math.max(0, ...block.content.map(({ content }) => depthOf(content.slice(1)))),
    ),
  )

/** A stretch of words in one look, and how they may be said in code; line feeds are breaks. With an icon its text is `OBJECT`. */
export type Span = { text: string; icon?: Icon } & Look
/** What marks say. */
export type Look = {
  link?: string
  weight?: number
  italic?: boolean
  /** A share of the text's own size. */
  size?: number
  color?: string
  case?: (typeof CASES)[number]
  script?: (typeof SCRIPTS)[number]
  underline?: boolean
  strike?: boolean
  code?: boolean
}

export function marksOf(look: Look): Mark[] {
  return MARKS.flatMap((type): Mark[] => {
    const value = look[type]
    if (value === undefined || (value === false && type !== 'italic')) return []
    return [
      type === 'underline' || type === 'strike' || type === 'code'
        ? { type }
        : ({ type, attrs: { value } } as Mark),
    ]
  })
}

export function lookOf(marks: readonly Mark[] = []): Look {
  return Object.fromEntries(marks.map((each) => [each.type, 'attrs' in each ? each.attrs.value : true]))
}

function sameMarks(a: readonly Mark[] = [], b: readonly Mark[] = []): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}

/** One paragraph. */
export function paragraph(spans: readonly Span[]): ParagraphWords {
  const content: Inline[] = []
  for (const { text, icon, ...look } of spans) {
    const marks = marksOf(look)
    if (icon) {
      content.push({ type: 'icon', attrs: icon, ...(marks.length > 0 ? { marks } : {}) })
      continue
    }
    for (const part of text.split(/(\r\n?|\n)/)) {
      const last = content.at(-1)
      if (part === '') continue
      if (/[\r\n]/.test(part)) content.push({ type: 'break' })
      else if (last?.type === 'text' && sameMarks(last.marks, marks)) last.text += part
      else content.push({ type: 'text', ...(marks.length > 0 ? { marks } : {}), text: part })
    }
  }
  return content.length > 0 ? { type: 'paragraph', content } : { type: 'paragraph' }
}

/** Words in one paragraph. */
export const said = (words: string | readonly Span[]): Words => [
  paragraph(typeof words === 'string' ? [{ text: words }] : words),
]

export function list(type: List['type'], items: readonly (string | Item)[]): List {
  const content = items.map(
    (item): Item =>
      typeof item === 'string' ? { type: 'item', content: [paragraph([{ text: item }])] } : item,
  )
  return { type, content }
}

/** Every paragraph, in order. */
export function* paragraphsIn(blocks: Words): Generator<ParagraphWords> {
  for (const block of blocks)
    if (block.type === 'paragraph') yield block
    else for (const { content } of block.content) yield* paragraphsIn(content)
}

const inlineText = (inline: Inline) =>
  inline.type === 'text' ? inline.text : inline.type === 'break' ? '\n' : ''

/** The characters alone: a line feed a break and between paragraphs; of icons nothing. */
export function plainText(words: Words | undefined): string {
  if (!words) return ''
  return [...paragraphsIn(words)].map(({ content = [] }) => content.map(inlineText).join('')).join('\n')
}

/** Everything that is said of a look anywhere in the words; of an icon's with no text. */
export function* looksIn(words: Words | undefined): Generator<{ text: string; look: Look; icon?: Icon }> {
  for (const { content = [] } of paragraphsIn(words ?? []))
    for (const inline of content)
      if (inline.type === 'text') yield { text: inline.text, look: lookOf(inline.marks) }
      else if (inline.type === 'icon') yield { text: '', look: lookOf(inline.marks), icon: inline.attrs }
}

export const hasIcons = (words: Words | undefined) => [...looksIn(words)].some(({ icon }) => icon)

/** The words with every mark through `change`; the very same when none becomes another. Undefined: without it. */
export function withMarks(words: Words, change: (mark: Mark) => Mark | undefined): Words {
  const inline = (each: Inline): Inline => {
    if (each.type === 'break' || !each.marks) return each
    const marks = each.marks.flatMap((mark) => change(mark) ?? [])
    if (marks.length === each.marks.length && marks.every((mark, i) => mark === each.marks![i])) return each
    const { marks: _, ...plain } = each
    if (marks.length === 0) return plain
    return each.type === 'text' ? { type: 'text', marks, text: each.text } : { ...plain, marks }
  }
  return withParagraphs(words, (block) => {
    const content = block.content?.map(inline)
    return content?.some((each, i) => each !== block.content![i]) ? { ...block, content } : block
  })
}

/** Words with other paragraphs, in lists, too; the same where none is another. */
export function withParagraphs(blocks: Words, change: (paragraph: ParagraphWords) => ParagraphWords): Words {
  const next = blocks.map((block): Block => {
    if (block.type === 'paragraph') return change(block)
    const content = block.content.map((item): Item => {
      const inner = withParagraphs(item.content, change)
      return inner === item.content ? item : { ...item, content: inner as unknown as Item['content'] }
    })
    return content.some((item, i) => item !== block.content[i]) ? { ...block, content } : block
  })
  return next.some((block, i) => block !== blocks[i]) ? next : blocks
}
