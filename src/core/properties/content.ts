/** What a block says, shows and leads to, and the element that it is. */
import * as v from 'valibot'
import { WordsSchema } from '../words/words'
import { percent } from './css-text'
import { TAGS } from './kinds'
import { property, WORDS } from './property'
import { IdSchema, LangSchema, LinkSchema, share } from './values'

const picture = { perView: 'style', changes: 'paint', kinds: ['picture'] } as const
const once = { perView: 'never', changes: 'paint' } as const

export const CONTENT = {
  /** ProseMirror's JSON: the content of a document. */
  words: property({
    perView: 'content',
    changes: 'size',
    schema: WordsSchema,
    words: 'words',
    kinds: WORDS,
  }),
  tag: property({
    ...once,
    // A heading holds lines, a text paragraphs.
    changes: 'size',
    schema: v.picklist(TAGS),
    words: 'element',
    kinds: ['section', 'box', 'text', 'button', 'picture'],
    initialOf: { section: 'section', box: 'div', text: 'p', button: 'a', picture: 'figure' },
  }),
  /** Of its words; left out: the page's. Letters may have forms, and capitals, of a language (CSS Text 3 §2.1). */
  lang: property({ ...once, changes: 'size', schema: LangSchema, words: 'language', kinds: WORDS }),
  /** Which way its words run; left out: that of the first letter. */
  direction: property({
    ...once,
    changes: 'size',
    schema: v.picklist(['ltr', 'rtl']),
    words: 'direction',
    kinds: WORDS,
  }),
  /** Whether words are parted by the rules of their language, or only where a soft hyphen is typed. */
  hyphens: property({
    ...once,
    changes: 'size',
    schema: v.picklist(['manual', 'auto']),
    words: 'hyphens',
    initial: 'manual',
    kinds: WORDS,
  }),
  link: property({ ...once, schema: LinkSchema, words: 'link', kinds: ['box', 'text', 'button'] }),
  asset: property({
    ...picture,
    perView: 'content',
    changes: 'size',
    schema: IdSchema,
    words: 'picture',
  }),
  alt: property({
    ...once,
    schema: v.pipe(v.string(), v.maxLength(2000)),
    words: 'said as',
    kinds: ['picture', 'shape'],
  }),
  fit: property({
    ...picture,
    schema: v.picklist(['cover', 'contain', 'fill']),
    words: 'fit',
    initial: 'cover',
    css: { name: 'object-fit', of: ({ resolved }) => resolved.fit as string },
  }),
  focusX: property({
    ...picture,
    schema: share,
    words: 'focus across',
    initial: 50,
    css: {
      name: 'object-position',
      of: ({ resolved: { focusX, focusY } }) =>
        focusX === 50 && focusY === 50
          ? undefined
          : `${percent(focusX as number)} ${percent(focusY as number)}`,
    },
  }),
  focusY: property({ ...picture, schema: share, words: 'focus down', initial: 50 }),
}
