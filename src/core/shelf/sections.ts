/** The sections that most pages are made of: for a lattice of 12, from the words that stand in them. */
import { allCorners, oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import type { Builder, Draft } from './build'

export const PAD: Props = { paddingTop: 96, paddingBottom: 96 }
export const PAD_NARROW: Props = { paddingTop: 56, paddingBottom: 56 }
export const STRETCH = { kind: 'stretch', weight: 1 } as const
export const SNUG = { kind: 'snug' } as const

export const link = (b: Builder, label: string) =>
  b.text('Link', label, { tag: 'a', link: '#', type: '{type.label}' })

/** px high on the phone: what is behind its menu's button opens below that. */
const PHONE_HEADER = 72
const ON_PHONE: Props = {
  height: { kind: 'exact', px: PHONE_HEADER },
  paddingTop: 0,
  paddingBottom: 0,
  rowGap: 8,
}

/** A band at the top, as high on the phone as the menu's panel begins below. */
const bar = (b: Builder, props: Props, children: Draft[]) =>
  b.section(
    'Header',
    { tag: 'header', flow: 'row', align: 'center', rowGap: 24, fills: oneFill('{color.paper}'), ...props },
    children,
    ON_PHONE,
  )

const menu = (b: Builder, links: string[], rowGap: number) =>
  b.menu(
    'Menu',
    { rowGap },
    links.map((each) => link(b, each)),
    oneFill('{color.paper}'),
    PHONE_HEADER,
  )

const siteName = (b: Builder, name: string) =>
  b.text('Site name', name, { type: '{type.title}', tag: 'a', link: '/' })

export function header(b: Builder, name: string, links: string[], action: string): Draft {
  const side = (title: string, justify: Props['justify'], child: Draft, narrow: Props = {}) =>
    b.row(title, { width: STRETCH, justify }, [child], narrow)
  const [nav, button] = menu(b, links, 32)
  const acts = b.quiet('Action', action, { paddingTop: 10, paddingBottom: 10 })
  return bar(b, { paddingTop: 24, paddingBottom: 24 }, [
    side('Name', 'start', siteName(b, name)),
    nav,
    side('Actions', 'end', acts, { width: SNUG }),
    button,
  ])
}

export const slimHeader = (b: Builder, name: string, links: string[]): Draft =>
  bar(b, { justify: 'space-between', paddingTop: 20, paddingBottom: 20 }, [
    siteName(b, name),
    ...menu(b, links, 24),
  ])

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

export const SAMPLE: HeroWords = {
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

export const onNight: Props = { color: '{color.paper}' }

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
