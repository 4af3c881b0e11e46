/** Kinds of blocks: what each may hold, and what it is handed off as. What properties each has: `table.ts`. */
export const KINDS = ['page', 'section', 'box', 'text', 'button', 'picture', 'shape', 'slot'] as const
export type Kind = (typeof KINDS)[number]

/** What lies in each kind. Sections lie on pages, everything else in sections and boxes; a template has a slot among its sections. */
const HOLDS: Readonly<Record<Kind, readonly Kind[]>> = {
  page: ['section', 'slot'],
  section: ['box', 'text', 'button', 'picture', 'shape'],
  box: ['box', 'text', 'button', 'picture', 'shape'],
  text: [],
  button: [],
  picture: [],
  shape: [],
  slot: [],
}

export const mayHoldKind = (parent: Kind, kind: Kind): boolean => HOLDS[parent].includes(kind)
export const holdsBlocks = (kind: Kind) => HOLDS[kind].length > 0
export const isText = (kind: Kind) => kind === 'text' || kind === 'button'

/** Elements that a section or box may be handed off as. */
export const BOX_TAGS = [
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
  'a',
] as const
export const HEADINGS = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'] as const
const WORD_TAGS = ['p', ...HEADINGS, 'span', 'label', 'small', 'figcaption', 'cite'] as const
/** Those that a text may be. */
export const TEXT_TAGS = [...WORD_TAGS, 'div', 'li', 'blockquote', 'a'] as const

/** Elements that a block may say it is; what its kind cannot be it is not handed off as. */
export const TAGS = [...BOX_TAGS, ...WORD_TAGS, 'button'] as const
