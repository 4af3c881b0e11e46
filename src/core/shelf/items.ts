/** What the shelf offers. Each item is written for a lattice of 12 and fits itself to every view of the project. */
import { allBorders, allCorners, oneFill } from '../properties/items'
import type { Builder, ShelfItem } from './build'
import {
  type CardWords,
  card,
  cards,
  footer,
  header,
  hero,
  link,
  onNight,
  PAD,
  PAD_NARROW,
  quote,
  SAMPLE,
  STRETCH,
  slimHeader,
} from './sections'
import { SHAPES } from './shapes'

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
    slimHeader(b, 'Site name', ['First', 'Second']),
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
        height: { kind: 'svh', percent: 70, grows: true },
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
