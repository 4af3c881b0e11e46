/** Writes demo/undertow.lattice: a second project of another temper, dark and loud. Run with `npm run demo:build`. */

import { writeFileSync } from 'node:fs'
import { generateNKeysBetween } from 'fractional-indexing'
import { nameOf } from '../src/core/blobs/blobs'
import { checkProject } from '../src/core/document/check'
import { Document } from '../src/core/document/document'
import { projectArchive } from '../src/core/document/save'
import { type Asset, FORMAT, type ProjectFile, VERSION } from '../src/core/document/schema'
import { withFluid, withValueAt } from '../src/core/document/token-variants'
import { colorValue, dimensionValue, type Typography, typographyValue } from '../src/core/document/tokens'
import { placeholder } from '../src/core/placeholders/subjects'
import { allBorders, allCorners, type Fill, type Items, oneFill } from '../src/core/properties/items'
import type { Props } from '../src/core/properties/table'
import { Builder, plant } from '../src/core/shelf/build'
import { starterViews, typeStyle } from '../src/core/shelf/starter'
import { stopsAsToken } from '../src/core/tokens/look-text'
import { COALS, NIGHT, type Photograph } from './photographs'

const views = starterViews()
const b = new Builder(views)
let count = 0
const makeId = () => `tow-${String(++count).padStart(3, '0')}`

const blobs = new Map<string, Uint8Array>()
const drawn = (id: string, name: string, svg: string, width: number, height: number): Asset => {
  const bytes = new TextEncoder().encode(svg)
  const named = nameOf(bytes)
  blobs.set(named.hash, bytes)
  return { id, name, type: 'image/svg+xml', width, height, ...named }
}
const photographed = async (id: string, taken: Promise<Photograph>): Promise<Asset> => {
  const { bytes, ...picture } = await taken
  const named = nameOf(bytes)
  blobs.set(named.hash, bytes)
  return { id, ...picture, ...named }
}
const assets = [
  await photographed('pier', NIGHT(1200, 1000)),
  await photographed('coals', COALS(1440, 720)),
  drawn('plate', 'A plate of it', placeholder('food', 1, 900, 900), 900, 900),
  drawn('cloth', 'Cloth, close', placeholder('close-ups', 3, 900, 900), 900, 900),
  drawn('bench', 'A workbench', placeholder('tools', 2, 900, 900), 900, 900),
]

const DISPLAY = 'Unbounded'
const TEXT = 'Archivo'
/** A style that is another on the phone, and goes evenly between. */
const onPhone = (wide: Typography, narrow: Partial<Typography>) =>
  withFluid(
    withValueAt(
      { $value: typographyValue(wide) },
      { view: 'mobile' },
      typographyValue({ ...wide, ...narrow }),
    ),
    true,
  )
/** A colour by night, and by day. */
const both = (night: string, day: string) =>
  withValueAt({ $value: colorValue(night) }, { theme: 'day' }, colorValue(day))

const tokens = {
  color: {
    $type: 'color',
    ground: both('#120d1d', '#f6f1ff'),
    deep: both('#1c1430', '#e7defa'),
    ink: both('#f7f0e6', '#1a1028'),
    soft: both('#b7a9cc', '#5b4d73'),
    ember: both('#ff6b3d', '#b8350a'),
    violet: both('#8a5bff', '#8a3fd0'),
    acid: both('#d9ff4f', '#5b27d6'),
  },
  space: {
    $type: 'dimension',
    s: { $value: dimensionValue(16) },
    m: { $value: dimensionValue(32) },
    l: { $value: dimensionValue(72) },
  },
  gradient: {
    $type: 'gradient',
    afterglow: {
      $value: stopsAsToken([
        { color: '{color.acid}', at: 0 },
        { color: '{color.ember}', at: 55 },
        { color: '{color.violet}', at: 100 },
      ]),
    },
  },
  type: {
    $type: 'typography',
    giant: onPhone(typeStyle(DISPLAY, 164, 900, 1, -4), { fontSize: 38, letterSpacing: -1 }),
    heading: onPhone(typeStyle(DISPLAY, 48, 700, 1.125, -1), { fontSize: 30, letterSpacing: -0.5 }),
    title: { $value: typographyValue(typeStyle(DISPLAY, 18, 600, 1.5)) },
    lead: onPhone(typeStyle(TEXT, 22, 400, 1.5), { fontSize: 18 }),
    body: { $value: typographyValue(typeStyle(TEXT, 16, 400, 1.5)) },
    label: { $value: typographyValue(typeStyle(TEXT, 14, 600, 1.5, 0.5)) },
  },
}

const list = (...fills: Omit<Fill, 'order'>[]): Items<Fill> => {
  const keys = generateNKeysBetween(null, null, fills.length)
  return Object.fromEntries(fills.map((fill, i) => [`fill${i}`, { ...fill, order: keys[i] } as Fill]))
}
const noise: Omit<Fill, 'order'> = { kind: 'noise', amount: 16, grain: 1, blend: 'overlay' } as Omit<
  Fill,
  'order'
>
const glow = (x: number, y: number, color: string): Omit<Fill, 'order'> =>
  ({
    kind: 'gradient',
    shape: 'radial',
    angle: 0,
    x,
    y,
    stops: [
      { color, at: 0 },
      { color: `${color.slice(0, 7)}00`, at: 62 },
    ],
  }) as Omit<Fill, 'order'>
const ground: Omit<Fill, 'order'> = { kind: 'color', color: '{color.ground}' } as Omit<Fill, 'order'>

const words = (name: string, text: string, props: Props = {}, narrow: Props = {}) =>
  b.text(name, text, { type: '{type.body}', color: '{color.ink}', ...props }, narrow)
const action = (label: string, props: Props = {}, narrow: Props = {}) =>
  b.button(
    'Button',
    label,
    {
      link: label === 'Book a stall' ? 'mailto:stalls@undertow.test' : '#Nights',
      fills: oneFill('{color.acid}'),
      color: '{color.ground}',
      type: '{type.label}',
      ...allCorners(999),
      paddingLeft: 28,
      paddingRight: 28,
      ...props,
    },
    narrow,
  )

/** Where the menu leads: parts of the page, by their names. */
const PARTS: Record<string, string> = { Stalls: '#Stalls', Nights: '#Nights', 'The way here': '#Late' }

const head = b.section(
  'Header',
  {
    tag: 'header',
    flow: 'row',
    align: 'center',
    justify: 'space-between',
    rowGap: 24,
    paddingTop: 24,
    paddingBottom: 24,
    fills: oneFill('{color.ground}'),
  },
  [
    b.row('Sign', { width: { kind: 'snug' }, rowGap: 10 }, [
      b.make('shape', 'Ring', {
        form: { form: 'arc', from: 0, sweep: 360, hole: 62 },
        paint: '{color.ember}',
        width: { kind: 'exact', px: 26 },
        height: { kind: 'exact', px: 26 },
      }),
      b.make('shape', 'Wave', {
        form: { form: 'wave', crests: 2, depth: 40 },
        paint: '{color.acid}',
        width: { kind: 'exact', px: 26 },
        height: { kind: 'exact', px: 16 },
        rotate: 180,
      }),
      words('Name', 'Undertow', { type: '{type.title}', tag: 'span' }),
    ]),
    ...b.menu(
      'Menu',
      { rowGap: 32 },
      ['Stalls', 'Nights', 'The way here'].map((label) =>
        words('Link', label, { type: '{type.label}', tag: 'a', link: PARTS[label] }),
      ),
      oneFill('{color.ground}'),
      72,
    ),
    // On the phone the hero says it.
    action(
      'Book a stall',
      { fills: undefined, color: '{color.ink}', ...allBorders(1, '{color.ink}') },
      { hidden: true },
    ),
  ],
  { height: { kind: 'exact', px: 72 }, paddingTop: 0, paddingBottom: 0 },
)

const hero = b.section(
  'Hero',
  {
    flow: 'column',
    align: 'center',
    rowGap: 32,
    clip: true,
    fills: list(noise, glow(18, 20, '#8a5bffcc'), glow(86, 84, '#ff6b3dbb'), ground),
    paddingTop: 64,
    paddingBottom: 88,
  },
  [
    b.column(
      'Stage',
      { align: 'center', minHeight: 548 },
      [
        words('Heading', 'Undertow', {
          type: '{type.giant}',
          tag: 'h1',
          textCase: 'uppercase',
          textAlign: 'center',
          textWrap: 'nowrap',
          fillsIn: 'words',
          fills: list({
            kind: 'gradient',
            angle: 100,
            stops: '{gradient.afterglow}',
          } as unknown as Omit<Fill, 'order'>),
        }),
        b.picture(
          'Cut-out',
          {
            asset: 'pier',
            alt: 'Lights along a pier at night, and what the wet stone makes of them',
            width: { kind: 'percent', percent: 42 },
            ratio: 1.25,
            lifted: true,
            pinCenterX: 0,
            pinTop: { px: 118 },
            z: 1,
            cut: { form: 'blob', seed: 12, points: 8, swing: 26 },
          },
          { width: { kind: 'percent', percent: 84 }, maxWidth: 300, pinTop: { px: 30 } },
        ),
      ],
      { minHeight: 290 },
    ),
    words(
      'Lead',
      'A night market on the old pier: forty stalls, one kitchen, no closing time that anybody keeps.',
      { type: '{type.lead}', textAlign: 'center', maxWidth: 620, textWrap: 'balance' },
    ),
    b.row('Actions', { width: { kind: 'snug' }, rowGap: 16, wrap: true, justify: 'center' }, [
      action('See the nights'),
      action('Book a stall', { fills: undefined, color: '{color.ink}', ...allBorders(1, '{color.soft}') }),
    ]),
  ],
  { paddingTop: 72, paddingBottom: 72 },
)

const STALLS = [
  ['plate', 'Ember and salt', 'What the boats bring, over coals, until it is gone.', { form: 'arch' }],
  [
    'cloth',
    'Loose threads',
    'Cloth by weight, dyed on the beach below.',
    { form: 'polygon', sides: 6, round: 20 },
  ],
  [
    'bench',
    'Mended tonight',
    'Bring it broken. Take it home before two.',
    { form: 'blob', seed: 4, points: 7, swing: 24 },
  ],
] as const

const stalls = b.section(
  'Stalls',
  {
    flow: 'lattice',
    rowGap: 48,
    paddingTop: 96,
    paddingBottom: 96,
    fills: list(
      { kind: 'pattern', shape: 'lines', color: '#8a5bff1f', size: 18, weight: 1, angle: 45 } as Omit<
        Fill,
        'order'
      >,
      { kind: 'color', color: '{color.deep}' } as Omit<Fill, 'order'>,
    ),
  },
  [
    b.on(
      words('Section heading', 'Forty stalls. Three to begin with.', {
        type: '{type.heading}',
        tag: 'h2',
        textWrap: 'balance',
      }),
      1,
      9,
    ),
    ...STALLS.map(([asset, title, text, cut], i) =>
      b.on(
        b.column('Stall', { rowGap: 14 }, [
          b.picture('Picture', { asset, alt: title, ratio: 1, cut: cut as Props['cut'] }),
          words('Title', title, {
            type: '{type.title}',
            tag: 'h3',
            color: ['{color.ember}', '{color.acid}', '{color.ink}'][i],
          }),
          words('Text', text, { color: '{color.soft}' }),
        ]),
        1 + i * 4,
        4,
      ),
    ),
  ],
  { paddingTop: 64, paddingBottom: 64 },
)

const NIGHTS = [
  ['06', 'June', 'Low water', 'Stalls from six, kitchen from eight'],
  ['13', 'June', 'Brass on the boards', 'Eleven players, no stage'],
  ['20', 'June', 'The long one', 'Until the sun is back'],
] as const

const nights = b.section(
  'Nights',
  { flow: 'lattice', rowGap: 0, paddingTop: 96, paddingBottom: 96, fills: oneFill('{color.ground}') },
  [
    b.on(words('Section heading', 'Nights', { type: '{type.heading}', tag: 'h2', paddingBottom: 24 }), 1, 12),
    ...NIGHTS.map(([day, month, title, text]) =>
      b.on(
        b.make(
          'box',
          'Night',
          {
            flow: 'lattice',
            rowGap: 8,
            align: 'center',
            paddingTop: 20,
            paddingBottom: 20,
            borderTop: { width: 1, color: '{color.violet}', style: 'dashed' },
          },
          {},
          [
            b.on(
              words('Day', day, {
                type: '{type.heading}',
                tag: 'p',
                figures: 'tabular',
                color: '{color.ember}',
              }),
              1,
              2,
            ),
            b.on(
              words('Month', month, { type: '{type.label}', textCase: 'uppercase', color: '{color.soft}' }),
              3,
              2,
            ),
            b.on(words('Title', title, { type: '{type.title}', tag: 'h3' }), 5, 4),
            b.on(words('Text', text, { color: '{color.soft}' }), 9, 4),
          ],
        ),
        1,
        12,
      ),
    ),
  ],
  { paddingTop: 64, paddingBottom: 64 },
)

const late = b.section(
  'Late',
  {
    flow: 'column',
    justify: 'end',
    rowGap: 16,
    height: { kind: 'exact', px: 560 },
    paddingBottom: 56,
    fills: list(
      {
        kind: 'gradient',
        angle: 180,
        stops: [
          { color: '#120d1d00', at: 30 },
          { color: '#120d1de6', at: 82 },
        ],
      } as Omit<Fill, 'order'>,
      { kind: 'picture', asset: 'coals', fit: 'cover', y: 50 } as Omit<Fill, 'order'>,
      { kind: 'color', color: '#120d1d' } as Omit<Fill, 'order'>,
    ),
  },
  [
    words('Quote', '“Sold out by ten. Stayed until four.”', {
      type: '{type.heading}',
      tag: 'blockquote',
      color: '#f7f0e6',
      maxWidth: 760,
      textWrap: 'balance',
    }),
    words('Who', 'Stall 17, last June', { type: '{type.label}', color: '#f7f0e6' }),
  ],
  { height: { kind: 'exact', px: 420 }, paddingBottom: 32 },
)

const foot = b.section(
  'Footer',
  {
    tag: 'footer',
    flow: 'row',
    justify: 'space-between',
    align: 'center',
    wrap: true,
    rowGap: 24,
    paddingTop: 40,
    paddingBottom: 40,
    fills: oneFill('{color.deep}'),
  },
  [
    words('Where', 'The old pier, every Saturday in June', { type: '{type.label}' }),
    words('Small', 'Bring coins. Bring a coat.', { color: '{color.soft}' }),
  ],
)

const sections = [head, hero, stalls, nights, late, foot]
const keys = generateNKeysBetween(null, null, sections.length)
const project: ProjectFile = {
  format: FORMAT,
  version: VERSION,
  name: 'Undertow Night Market',
  about: { lang: 'en' },
  tokens,
  themes: [
    { id: 'night', name: 'Night', scheme: 'dark' },
    { id: 'day', name: 'Day', scheme: 'light' },
  ],
  views,
  assets,
  pages: [
    {
      id: 'page-undertow',
      name: 'Home',
      path: '/',
      description: 'A night market on the old pier: forty stalls, one kitchen.',
      order: 'a0',
      views: [],
      props: { background: '{color.ground}' },
      sections: sections.map((section, i) => plant(section, makeId, keys[i]!)),
    },
  ],
}

const checked = Document.fromFile(checkProject(JSON.parse(JSON.stringify(project))))
writeFileSync(new URL('undertow.lattice', import.meta.url), projectArchive(checked, blobs))
console.log(`demo/undertow.lattice: 1 page, ${count} blocks, ${assets.length} pictures`)
