/** Kinds of blocks: what each may hold, and what it is handed off as. What properties each has: `table.ts`. */
export const KINDS = ['page', 'section', 'box', 'text', 'button', 'picture', 'slot'] as const
export type Kind = (typeof KINDS)[number]

/** What lies in each kind. Sections lie on pages, everything else in sections and boxes; a template has a slot among its sections. */
const HOLDS: Readonly<Record<Kind, readonly Kind[]>> = {
  page: ['section', 'slot'],
  section: ['box', 'text', 'button', 'picture'],
  box: ['box', 'text', 'button', 'picture'],
  text: [],
  button: [],
  picture: [],
  slot: [],
}

export const mayHoldKind = (parent: Kind, kind: Kind): boolean => HOLDS[parent].includes(kind)
export const holdsBlocks = (kind: Kind) => HOLDS[kind].length > 0
export const isText = (kind: Kind) => kind === 'text' || kind === 'button'

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
