/** The demo's further pages: workshops, borrowing, and what the catalogue has beside its cards. */
import { allCorners, oneFill } from '../src/core/properties/items'
import type { Props } from '../src/core/properties/table'
import type { Builder, Draft } from '../src/core/shelf/build'
import { list } from '../src/core/words/words'

const STRETCH = { kind: 'stretch', weight: 1 } as const
const SNUG = { kind: 'snug' } as const
const PAD: Props = { paddingTop: 96, paddingBottom: 96 }
const PAD_NARROW: Props = { paddingTop: 56, paddingBottom: 56 }
const onNight: Props = { color: '{color.paper}' }

const heading = (b: Builder, words: string, props: Props = {}) =>
  b.text(
    'Section heading',
    words,
    { type: '{type.heading}', tag: 'h2', ...props },
    { type: '{type.heading-small}' },
  )

/** A dark beginning: a heading as wide as the page, a picture under it that reaches both edges of the container. */
export function workshopsHero(b: Builder): Draft {
  const eyebrow = b.on(
    b.text('Eyebrow', 'Workshops, March to October', {
      type: '{type.eyebrow}',
      textCase: 'uppercase',
      color: '#e2b04a',
    }),
    1,
    12,
  )
  const title = b.on(
    b.text(
      'Heading',
      'Learn it with your hands in the soil.',
      { type: '{type.display}', tag: 'h1', fontSize: 88, lineHeight: { ratio: 1.02 }, ...onNight },
      { fontSize: 46 },
    ),
    1,
    9,
  )
  const lead = b.on(
    b.text(
      'Paragraph',
      'Two hours on a Saturday, eight people, one bench. Tools and seed are there; bring boots.',
      {
        ...onNight,
        alignSelf: 'end',
      },
    ),
    10,
    3,
  )
  const picture = b.on(
    b.picture('Picture', { asset: 'pic-rows', ratio: 2.55, ...allCorners(4) }, { ratio: 1.3 }),
    1,
    12,
  )
  return b.section(
    'Hero',
    { flow: 'lattice', rowGap: 24, fills: oneFill('{color.night}'), paddingTop: 88, paddingBottom: 96 },
    [eyebrow, title, lead, picture],
    { paddingTop: 48, paddingBottom: 48 },
  )
}

type Workshop = { day: string; title: string; text: string; place: string }

const WORKSHOPS: readonly Workshop[] = [
  {
    day: '14 March',
    title: 'Sowing under glass',
    text: 'Peppers and aubergines, from tray to first leaf.',
    place: 'The old glasshouse',
  },
  {
    day: '11 April',
    title: 'Beans along a string',
    text: 'Frames that last three summers, out of what the hedge\u00a0gives.',
    place: 'Plot 14',
  },
  {
    day: '20 June',
    title: 'Keeping seed true',
    text: 'Which plants cross, how far apart they stand, what a bag over a flower\u00a0does.',
    place: 'Reading room',
  },
  {
    day: '19 Sept',
    title: 'Threshing and cleaning',
    text: 'Bring what you grew; it goes home in packets, and a tenth stays with us.',
    place: 'The old glasshouse',
  },
]

/** One workshop a row, on columns, with a thin rule between. */
export function season(b: Builder): Draft {
  const rule = { width: 1, color: '{color.rule}' }
  const row = ({ day, title, text, place }: Workshop) =>
    b.on(
      b.make(
        'box',
        'Workshop',
        { flow: 'lattice', rowGap: 12, align: 'center', paddingTop: 24, paddingBottom: 24, borderTop: rule },
        {},
        [
          b.on(b.text('Day', day, { type: '{type.title}', color: '{color.gold}' }), 1, 2),
          b.on(
            b.column('What', { rowGap: 4 }, [
              b.text('Title', title, { type: '{type.title}', tag: 'h3' }),
              b.text('Text', text, { type: '{type.small}', color: '{color.soft}', maxWidth: 460 }),
            ]),
            3,
            5,
          ),
          b.on(b.text('Place', place, { type: '{type.small}', color: '{color.soft}' }), 8, 2),
          b.on(b.quiet('Reserve', 'Keep a place', { alignSelf: 'center' }), 10, 3),
        ],
      ),
      1,
      12,
    )
  return b.section(
    'This season',
    { flow: 'lattice', rowGap: 0, fills: oneFill('{color.paper}'), ...PAD },
    [b.on(heading(b, 'This season', { paddingBottom: 24 }), 1, 12), ...WORKSHOPS.map(row)],
    PAD_NARROW,
  )
}

/** A picture at the left, what to bring at the right. */
export function bring(b: Builder): Draft {
  const picture = b.on(b.picture('Picture', { asset: 'pic-pots', ratio: 1.1, ...allCorners(4) }), 1, 5)
  const things = b.make('text', 'List', {
    color: '{color.ink}',
    type: '{type.body}',
    paragraphGap: 0.4,
    words: [
      list('bullets', [
        'Boots that may get wet',
        'A jar or a tin for each kind that you take\u00a0home',
        'A label with the year and the place',
        'Seed of your own, if there is some left',
      ]),
    ],
  })
  const words = b.on(
    b.column('Words', { rowGap: 20, alignSelf: 'center' }, [
      heading(b, 'What to bring'),
      things,
      b.text('Note', 'Children are welcome from six on, with somebody who knows them.', {
        type: '{type.small}',
        color: '{color.soft}',
      }),
    ]),
    7,
    5,
  )
  return b.section(
    'What to bring',
    { flow: 'lattice', rowGap: 32, fills: oneFill('{color.wash}'), ...PAD },
    [picture, words],
    PAD_NARROW,
  )
}

const STEPS = [
  [
    '1',
    'Choose four packets',
    'Any four, as often as there is seed. The catalogue says what is there today.',
  ],
  [
    '2',
    'Sow, and write it down',
    'The day, the place, what came up. The card in the packet asks for nothing else.',
  ],
  ['3', 'Bring a tenth back', 'In autumn, dry and clean. In a bad year bring the story\u00a0instead.'],
] as const

/** How it goes, in three steps with large figures. */
export function steps(b: Builder): Draft {
  const step = ([number, title, text]: (typeof STEPS)[number]) =>
    b.flowing(
      b.column('Step', { rowGap: 8, borderTop: { width: 2, color: '{color.gold}' }, paddingTop: 20 }, [
        b.text(
          'Number',
          number,
          { type: '{type.display}', color: '{color.gold}' },
          { type: '{type.display-small}' },
        ),
        b.text('Title', title, { type: '{type.title}', tag: 'h2' }),
        b.text('Text', text, { color: '{color.soft}' }),
      ]),
      4,
    )
  const title = b.on(
    b.text(
      'Heading',
      'Seed goes out in spring and comes home in autumn.',
      { type: '{type.display}', tag: 'h1', maxWidth: 900 },
      { type: '{type.display-small}' },
    ),
    1,
    10,
  )
  return b.section(
    'How lending works',
    { flow: 'lattice', rowGap: 56, fills: oneFill('{color.paper}'), paddingTop: 88, paddingBottom: 96 },
    [title, ...STEPS.map(step)],
    { rowGap: 32, paddingTop: 40, paddingBottom: 48 },
  )
}

const field = (b: Builder, label: string, hint: string) =>
  b.column('Field', { rowGap: 6, width: STRETCH }, [
    b.text('Field label', label, { type: '{type.label}', tag: 'label' }),
    b.make(
      'box',
      'Field box',
      {
        height: { kind: 'exact', px: 48 },
        flow: 'row',
        align: 'center',
        paddingLeft: 14,
        paddingRight: 14,
        fills: oneFill('#ffffff'),
        borderTop: { width: 1, color: '{color.soft}' },
        borderRight: { width: 1, color: '{color.soft}' },
        borderBottom: { width: 1, color: '{color.soft}' },
        borderLeft: { width: 1, color: '{color.soft}' },
        ...allCorners(4),
      },
      {},
      [b.text('Field hint', hint, { type: '{type.small}', color: '{color.soft}', tag: 'span' })],
    ),
  ])

/** A card to join with, over two colours that meet behind it. */
export function join(b: Builder): Draft {
  const words = b.on(
    b.column('Words', { rowGap: 20, alignSelf: 'center' }, [
      b.text(
        'Section heading',
        'A card, and the shelf is yours.',
        { type: '{type.heading}', tag: 'h2', ...onNight },
        { type: '{type.heading-small}' },
      ),
      b.text('Paragraph', 'It costs nothing, and it ends when you want it to.', {
        ...onNight,
        maxWidth: 380,
      }),
    ]),
    1,
    5,
  )
  const form = b.on(
    b.column(
      'Form',
      {
        rowGap: 20,
        paddingTop: 32,
        paddingRight: 32,
        paddingBottom: 32,
        paddingLeft: 32,
        fills: oneFill('{color.paper}'),
        shadows: { deep: { order: 'a0', token: '{shadow.raised}' } },
        ...allCorners(8),
      },
      [
        field(b, 'Your name', 'As it should stand on the card'),
        field(b, 'Where a letter finds you', 'Street and number'),
        field(b, 'Your plot, if you have one', 'A balcony counts'),
        b.button('Call to action', 'Ask for a card', {
          alignSelf: 'start',
          link: 'mailto:desk@hollow-oak.test',
        }),
      ],
      { paddingTop: 20, paddingRight: 20, paddingBottom: 20, paddingLeft: 20 },
    ),
    7,
    6,
  )
  const fills: Props['fills'] = {
    dusk: {
      order: 'a0',
      kind: 'gradient',
      angle: 120,
      stops: '{gradient.dusk}',
    },
  }
  return b.section('A card', { flow: 'lattice', rowGap: 32, fills, ...PAD }, [words, form], PAD_NARROW)
}

const ANSWERS = [
  ['What if nothing comes up?', 'Then it was the weather or the seed. Take another packet.'],
  ['May I keep some for myself?', 'Of course. A tenth of what you harvest is all that we ask for.'],
  ['How long does seed keep?', 'Beans five years, onions hardly one. Each packet says until when.'],
  ['Do you send packets?', 'No. Come on a Saturday; somebody will tell you how it grew.'],
] as const

export function answers(b: Builder): Draft {
  const answer = ([question, text]: (typeof ANSWERS)[number]) =>
    b.flowing(
      b.column('Answer', { rowGap: 8 }, [
        b.text('Question', question, { type: '{type.title}', tag: 'h3' }),
        b.text('Text', text, { color: '{color.soft}', maxWidth: 480 }),
      ]),
      6,
    )
  return b.section(
    'Questions',
    { flow: 'lattice', rowGap: 40, fills: oneFill('{color.wash}'), ...PAD },
    [b.on(heading(b, 'What people ask'), 1, 12), ...ANSWERS.map(answer)],
    PAD_NARROW,
  )
}

/** One line over the whole width, to end a page with. */
export function ask(b: Builder): Draft {
  const words = b.text('Section heading', 'Not sure what grows where you are? Come and ask.', {
    type: '{type.heading-small}',
    tag: 'h2',
    ...onNight,
    width: STRETCH,
    maxWidth: 720,
  })
  const action = b.button('Call to action', 'When we are open', {
    link: '/borrow',
    fills: oneFill('{color.paper}'),
    color: '{color.pine}',
    width: SNUG,
  })
  return b.section(
    'Ask',
    {
      flow: 'row',
      align: 'center',
      justify: 'space-between',
      wrap: true,
      rowGap: 24,
      fills: oneFill('{color.pine}'),
      paddingTop: 56,
      paddingBottom: 56,
    },
    [words, action],
    { flow: 'column', align: 'start' },
  )
}
