/** What the shelf offers. Each item is written for a lattice of 12 and fits itself to every view of the project. */
import { allBorders, allCorners, oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import type { Builder, Draft, ShelfItem } from './build'
import { SHAPES } from './shapes'

const PAD: Props = { paddingTop: 96, paddingBottom: 96 }
const PAD_NARROW: Props = { paddingTop: 56, paddingBottom: 56 }
const STRETCH = { kind: 'stretch', weight: 1 } as const
const SNUG = { kind: 'snug' } as const

const link = (b: Builder, label: string) =>
  b.text('Link', label, { tag: 'a', link: '#', type: '{type.label}' })

export function header(b: Builder, name: string, links: string[], action: string): Draft {
  const side = (title: string, justify: Props['justify'], child: Draft) =>
    b.row(title, { width: STRETCH, justify }, [child])
  const nav = b.row(
    'Menu',
    { tag: 'nav', width: SNUG, rowGap: 32 },
    links.map((each) => link(b, each)),
    { hidden: true },
  )
  return b.section(
    'Header',
    {
      tag: 'header',
      flow: 'row',
      align: 'center',
      rowGap: 24,
      paddingTop: 24,
      paddingBottom: 24,
      fills: oneFill('{color.paper}'),
    },
    [
      side('Name', 'start', b.text('Site name', name, { type: '{type.title}', tag: 'a', link: '/' })),
      nav,
      side('Actions', 'end', b.quiet('Action', action, { paddingTop: 10, paddingBottom: 10 })),
    ],
    { paddingTop: 16, paddingBottom: 16 },
  )
}

export type HeroWords = { eyebrow: string; heading: string; text: string; action: string; second?: string }

export function heroWords(b: Builder, words: HeroWords): Draft {
  const actions = [b.button('Call to action', words.action)]
  if (words.second) actions.push(b.quiet('Second action', words.second))
  return b.column('Hero words', { rowGap: 24 }, [
    b.text('Eyebrow', words.eyebrow, {
      type: '{type.eyebrow}',
      textCase: 'uppercase',
      color: '{color.gold}',
    }),
    b.text('Heading', words.heading, { type: '{type.display}', tag: 'h1' }, { type: '{type.display-small}' }),
    b.text('Paragraph', words.text, { maxWidth: 520 }),
    b.row('Actions', { rowGap: 16, wrap: true, width: SNUG }, actions),
  ])
}

const SAMPLE: HeroWords = {
  eyebrow: 'A short line before',
  heading: 'Say the one thing that matters.',
  text: 'One or two sentences that say what this is, for whom, and why it is worth the next minute.',
  action: 'Begin here',
  second: 'How it works',
}

export function hero(b: Builder, words: HeroWords, asset: string | undefined, flip = false): Draft {
  const column = b.on(heroWords(b, words), flip ? 7 : 1, flip ? 6 : 6)
  const image = b.on(b.picture('Picture', { asset, ratio: asset ? undefined : 1.25 }), flip ? 1 : 7, 6)
  return b.section(
    'Hero',
    {
      flow: 'lattice',
      align: 'center',
      rowGap: 32,
      paddingTop: 64,
      paddingBottom: 64,
      fills: oneFill('{color.paper}'),
    },
    flip ? [image, column] : [column, image],
    { paddingTop: 32, paddingBottom: 40 },
  )
}

export type CardWords = { title: string; text: string; action: string; asset?: string }

export function card(b: Builder, words: CardWords): Draft {
  return b.column('Card', { tag: 'article', rowGap: 12, height: STRETCH }, [
    b.picture('Card picture', { asset: words.asset, ratio: 4 / 3, ...allCorners(4) }),
    b.text('Card title', words.title, { type: '{type.title}', tag: 'h3' }),
    b.text('Card text', words.text, { type: '{type.small}', color: '{color.soft}', width: STRETCH }),
    b.text('Card link', words.action, {
      type: '{type.label}',
      tag: 'a',
      link: '#',
      textDecoration: 'underline',
    }),
  ])
}

export function cards(b: Builder, heading: string, list: CardWords[]): Draft {
  const items = list.map((words) => b.flowing(card(b, words), 12 / list.length))
  const title = b.on(
    b.text(
      'Section heading',
      heading,
      { type: '{type.heading}', tag: 'h2' },
      { type: '{type.heading-small}' },
    ),
    1,
    12,
  )
  return b.section(
    'Content',
    { flow: 'lattice', rowGap: 32, fills: oneFill('{color.wash}'), ...PAD },
    [title, ...items],
    PAD_NARROW,
  )
}

export function quote(b: Builder, text: string, who: string): Draft {
  return b.section(
    'Quote',
    { flow: 'column', align: 'center', rowGap: 16, fills: oneFill('{color.paper}'), ...PAD },
    [
      b.text(
        'Quotation',
        text,
        { type: '{type.quote}', textAlign: 'center', tag: 'blockquote', maxWidth: 820 },
        { type: '{type.title}' },
      ),
      b.text('Source', who, { type: '{type.small}', color: '{color.soft}', tag: 'cite' }),
    ],
    PAD_NARROW,
  )
}

const onNight: Props = { color: '{color.paper}' }

export function footer(
  b: Builder,
  name: string,
  groups: { title: string; links: string[] }[],
  small: string,
): Draft {
  const about = b.on(
    b.column('About', { rowGap: 12 }, [
      b.text('Site name', name, { type: '{type.title}', ...onNight }),
      b.text('Small print', small, { type: '{type.small}', ...onNight, maxWidth: 300 }),
    ]),
    1,
    6,
  )
  const lists = groups.map((group) =>
    b.flowing(
      b.column('Link list', { rowGap: 8 }, [
        b.text('List title', group.title, { type: '{type.label}', ...onNight, tag: 'h2' }),
        ...group.links.map((label) =>
          b.text('Footer link', label, { type: '{type.small}', ...onNight, tag: 'a', link: '#' }),
        ),
      ]),
      6 / groups.length,
      true,
    ),
  )
  return b.section(
    'Footer',
    {
      tag: 'footer',
      flow: 'lattice',
      rowGap: 32,
      fills: oneFill('{color.night}'),
      paddingTop: 64,
      paddingBottom: 64,
    },
    [about, ...lists],
    { paddingTop: 40, paddingBottom: 40 },
  )
}

const CARD: CardWords = {
  title: 'A short title',
  text: 'Two lines that say what the reader gets when they follow this.',
  action: 'Read on',
}
const paragraph = (b: Builder) =>
  b.text(
    'Paragraph',
    'A paragraph of ordinary length, so that the line breaks and the rhythm can be judged before the real words come.',
    { maxWidth: 640 },
  )

const section = (
  category: string,
  id: string,
  name: string,
  words: string,
  build: ShelfItem['build'],
): ShelfItem => ({ id, shelf: 'sections', category, name, words, build })
const block = (
  category: string,
  id: string,
  name: string,
  words: string,
  build: ShelfItem['build'],
): ShelfItem => ({ id, shelf: 'blocks', category, name, words, build })

export const SHELF: ShelfItem[] = [
  section('Headers', 'header', 'Name, links, action', 'menu navigation top bar', (b) =>
    header(b, 'Site name', ['First', 'Second', 'Third'], 'Sign in'),
  ),
  section('Headers', 'header-slim', 'Name and links', 'menu navigation slim', (b) =>
    b.section(
      'Header',
      {
        tag: 'header',
        flow: 'row',
        align: 'center',
        justify: 'space-between',
        rowGap: 24,
        paddingTop: 20,
        paddingBottom: 20,
        fills: oneFill('{color.paper}'),
      },
      [
        b.text('Site name', 'Site name', { type: '{type.title}', tag: 'a', link: '/' }),
        b.row(
          'Menu',
          { tag: 'nav', width: SNUG, rowGap: 24 },
          ['First', 'Second'].map((each) => link(b, each)),
        ),
      ],
    ),
  ),
  section('Heroes', 'hero', 'Words left, picture right', 'opening call to action', (b) =>
    hero(b, SAMPLE, undefined),
  ),
  section('Heroes', 'hero-flip', 'Picture left, words right', 'opening mirrored', (b) =>
    hero(b, SAMPLE, undefined, true),
  ),
  section('Heroes', 'hero-centre', 'Centred, on colour', 'opening middle banner', (b) =>
    b.section(
      'Hero',
      {
        flow: 'column',
        align: 'center',
        justify: 'center',
        rowGap: 24,
        height: { kind: 'svh', percent: 70 },
        fills: oneFill('{color.night}'),
        minHeight: 420,
      },
      [
        b.text(
          'Heading',
          SAMPLE.heading,
          { type: '{type.display}', tag: 'h1', textAlign: 'center', ...onNight, maxWidth: 860 },
          { type: '{type.display-small}' },
        ),
        b.text('Paragraph', SAMPLE.text, { textAlign: 'center', ...onNight, maxWidth: 560 }),
        b.button('Call to action', SAMPLE.action, { fills: oneFill('{color.paper}'), color: '{color.ink}' }),
      ],
    ),
  ),
  section('Content', 'cards', 'Three cards', 'features grid content section', (b) =>
    cards(b, 'A heading for three things', [CARD, CARD, CARD]),
  ),
  section('Content', 'cards-four', 'Four cards', 'features grid content section', (b) =>
    cards(b, 'A heading for four things', [CARD, CARD, CARD, CARD]),
  ),
  section('Content', 'article', 'Article with aside', 'text reading sidebar', (b) =>
    b.section(
      'Article',
      { flow: 'lattice', rowGap: 32, fills: oneFill('{color.paper}'), ...PAD },
      [
        b.on(
          b.column('Story', { rowGap: 24, tag: 'article' }, [
            b.text(
              'Section heading',
              'A heading for the story',
              { type: '{type.heading}', tag: 'h2' },
              { type: '{type.heading-small}' },
            ),
            paragraph(b),
            paragraph(b),
          ]),
          1,
          7,
        ),
        b.on(
          b.column(
            'Aside',
            {
              rowGap: 12,
              tag: 'aside',
              fills: oneFill('{color.wash}'),
              paddingTop: 24,
              paddingRight: 24,
              paddingBottom: 24,
              paddingLeft: 24,
              ...allCorners(4),
            },
            [
              b.text('Aside title', 'Beside it', { type: '{type.title}', tag: 'h3' }),
              b.text('Aside text', 'A note, a date, a place.', { type: '{type.small}', width: STRETCH }),
            ],
          ),
          9,
          4,
        ),
      ],
      PAD_NARROW,
    ),
  ),
  section('Content', 'picture-words', 'Picture and words', 'feature image text content section', (b) =>
    b.section(
      'Content',
      { flow: 'lattice', align: 'center', rowGap: 32, fills: oneFill('{color.paper}'), ...PAD },
      [
        b.on(b.picture('Picture', { ratio: 1.25 }), 1, 5),
        b.on(
          b.column('Words', { rowGap: 16 }, [
            b.text(
              'Section heading',
              'A heading beside a picture',
              { type: '{type.heading}', tag: 'h2' },
              { type: '{type.heading-small}' },
            ),
            paragraph(b),
          ]),
          7,
          5,
        ),
      ],
      PAD_NARROW,
    ),
  ),
  section('Voices', 'quote', 'Quote', 'testimonial voice', (b) =>
    quote(b, '“A sentence somebody said that is worth repeating.”', 'Who said it, and where'),
  ),
  section('Footers', 'footer', 'Name and link lists', 'footer columns', (b) =>
    footer(
      b,
      'Site name',
      [
        { title: 'Visit', links: ['Hours', 'Address'] },
        { title: 'More', links: ['About', 'Contact'] },
      ],
      'One line of small print.',
    ),
  ),
  section('Footers', 'footer-slim', 'One line', 'footer slim', (b) =>
    b.section(
      'Footer',
      {
        tag: 'footer',
        flow: 'row',
        align: 'center',
        justify: 'space-between',
        wrap: true,
        rowGap: 16,
        fills: oneFill('{color.night}'),
        paddingTop: 32,
        paddingBottom: 32,
      },
      [
        b.text('Site name', 'Site name', { type: '{type.title}', ...onNight }),
        b.text('Small print', 'Terms · Contact', { type: '{type.small}', ...onNight }),
      ],
    ),
  ),
  block('Words', 'heading', 'Heading', 'title h2', (b) =>
    b.text('Heading', 'A heading', { type: '{type.heading}' }),
  ),
  block('Words', 'paragraph', 'Paragraph', 'text body', paragraph),
  block('Words', 'label', 'Small text', 'caption label', (b) =>
    b.text('Small text', 'A few small words', { type: '{type.small}', color: '{color.soft}' }),
  ),
  block('Actions', 'button', 'Button', 'call to action', (b) => b.button('Button', 'Do this')),
  block('Actions', 'button-quiet', 'Quiet button', 'secondary outline', (b) =>
    b.quiet('Quiet button', 'Or this'),
  ),
  block('Actions', 'link', 'Link', 'anchor', (b) => link(b, 'A link')),
  block('Pictures', 'picture', 'Picture', 'image photo', (b) => b.picture('Picture', { ratio: 1.5 })),
  ...SHAPES,
  // What does not fit beside each other on a phone stands under each other there.
  block('Boxes', 'row', 'Row', 'flow horizontal', (b) =>
    b.row('Row', { rowGap: 16, minHeight: 64, wrap: true }, []),
  ),
  block('Boxes', 'column', 'Column', 'flow stack vertical', (b) =>
    b.column('Column', { rowGap: 16, minHeight: 64 }, []),
  ),
  block('Boxes', 'lattice', 'Lattice', 'grid columns', (b) =>
    b.make('box', 'Lattice', { flow: 'lattice', rowGap: 24, minHeight: 64 }),
  ),
  block('Boxes', 'card', 'Card', 'picture title text link', (b) => card(b, CARD)),
  block('Boxes', 'field', 'Form field', 'input form label', (b) =>
    b.column('Field', { rowGap: 6, maxWidth: 360 }, [
      b.text('Field label', 'Label', { type: '{type.label}', tag: 'label' }),
      b.make(
        'box',
        'Field box',
        {
          height: { kind: 'exact', px: 44 },
          flow: 'row',
          align: 'center',
          paddingLeft: 12,
          paddingRight: 12,
          ...allBorders(1, '{color.soft}'),
          ...allCorners(4),
        },
        {},
        [b.text('Field hint', 'Type here', { type: '{type.small}', color: '{color.soft}', tag: 'span' })],
      ),
    ]),
  ),
]
