/** A page with every paint there is, each on a block of its own: what random pages may leave out is held to the same bars. */
import type { Asset, NodeTree, ProjectFile } from '../../core/document/schema'
import type { Form } from '../../core/forms/form'
import type { Cut, Filters } from '../../core/properties/effects'
import { allBorders, allCorners, BLENDS, type Items, type SaidFill } from '../../core/properties/items'
import type { Props } from '../../core/properties/table'
import { starterProject } from '../../core/shelf/starter'
import { said } from '../../core/words/words'
import { countAnew, keys, node } from './paint-node'
import { paintedWords } from './paint-words'

type Bare = SaidFill extends infer F ? (F extends SaidFill ? Omit<F, 'order'> : never) : never

const over = (...fills: Bare[]): Items<SaidFill> =>
  Object.fromEntries(fills.map((fill, i) => [`f${i}`, { ...fill, order: keys[i] } as SaidFill]))
const ground: Bare = { kind: 'color', color: '#f3e6cf' }
const shade: Bare = {
  kind: 'gradient',
  angle: 60,
  stops: [
    { color: '#1d5c45', at: 10 },
    { color: '#d9812b', at: 90 },
  ],
}
const size: Props = { width: { kind: 'exact', px: 180 }, height: { kind: 'exact', px: 120 } }

function filled(asset: string): Props[] {
  const lists: Bare[][] = [
    [{ kind: 'picture', asset, fit: 'cover' }],
    [{ kind: 'picture', asset, fit: 'cover', x: 10, y: 90 }],
    [{ kind: 'picture', asset, fit: 'contain' }, ground],
    [{ kind: 'picture', asset, fit: 'tile', size: 48 }],
    [{ kind: 'pattern', shape: 'dots', color: '#1d5c45', size: 16, weight: 6 }, ground],
    [{ kind: 'pattern', shape: 'lines', color: '#1d5c45aa', size: 14, weight: 4, angle: 90 }, ground],
    [{ kind: 'pattern', shape: 'lines', color: '#a8481f', size: 12, weight: 3, angle: 45 }],
    [{ kind: 'pattern', shape: 'grid', color: '#1c2b2466', size: 20, weight: 1 }, ground],
    [{ kind: 'pattern', shape: 'checks', color: '#1c2b24', size: 15, weight: 1 }, ground],
    [{ kind: 'pattern', shape: 'waves', color: '#a8481f', size: 18, weight: 4 }, ground],
    [{ kind: 'pattern', shape: 'waves', color: '#1d5c4588', size: 9, weight: 1 }],
    [{ kind: 'noise', amount: 40, grain: 1 }, ground],
    [{ kind: 'noise', amount: 20, grain: 3, blend: 'multiply' }, shade],
  ]
  return lists.map((fills) => ({ fills: over(...fills) }))
}

const mixed = (asset: string): Props[] =>
  BLENDS.slice(1).map((blend) => ({
    fills: over({ ...shade, blend }, { kind: 'picture', asset, fit: 'cover' }),
  }))

const FILTERS: Filters[] = [
  { brightness: 140 },
  { contrast: 60 },
  { contrast: 170 },
  { saturation: 20 },
  { saturation: 220 },
  { gray: 100 },
  { sepia: 80 },
  { invert: 90 },
  { hue: 120 },
  { blur: 4 },
  { brightness: 90, gray: 40, hue: -30, blur: 1 },
]

const CUTS: Cut[] = [
  { form: 'ellipse' },
  { form: 'polygon', sides: 6 },
  { form: 'star', points: 7, depth: 40, round: 40 },
  { form: 'arch' },
  { form: 'wave', crests: 3, depth: 24 },
  { form: 'blob', seed: 5, points: 6, swing: 40 },
  { form: 'arc', from: -120, sweep: 240, hole: 40 },
  { form: 'fade', angle: 180, from: 30, to: 90 },
  { form: 'fade', angle: 60, from: 0, to: 100 },
]

const FORMS: Form[] = [
  { form: 'ellipse' },
  { form: 'polygon', sides: 3, round: 30 },
  { form: 'star', points: 5, depth: 50 },
  { form: 'arc', from: 20, sweep: 300, hole: 70 },
  { form: 'line', slope: 'rising' },
  { form: 'line', slope: 'level' },
  { form: 'line', slope: 'falling', start: 'dot', end: 'head' },
  { form: 'line', slope: 'upright', start: 'arrow', end: 'arrow' },
  { form: 'path', data: 'M0 50C20 0 40 0 50 50C60 100 80 100 100 50' },
  { form: 'path', data: 'M0 90C10 10 70 -10 100 40', start: 'dot', end: 'arrow' },
  { form: 'path', data: 'M5 10L60 10L60 70M70 90C90 90 95 60 95 20', end: 'head' },
]

/** Shadows of what is drawn: of a shape, of letters, of a box with something in it, with filters. */
const casting = (): NodeTree[] => [
  node('shape', {
    ...size,
    form: { form: 'star', points: 5, depth: 50 },
    paint: '#d9812b',
    cast: { x: 6, y: 10, blur: 6, color: '#1c2b2480' },
  }),
  node('shape', {
    ...size,
    form: { form: 'ellipse' },
    stroke: { width: 6, color: '#1d5c45' },
    cast: { x: 0, y: 4, blur: 0, color: '#a8481f' },
  }),
  node('text', {
    words: said('Sow thick'),
    fontFamily: 'Fraunces',
    fontSize: 44,
    color: '#ffffff',
    cast: { x: 0, y: 2, blur: 3, color: '#1c2b24cc' },
  }),
  node(
    'box',
    {
      ...size,
      fills: over(ground),
      radiusTopLeft: 40,
      filters: { gray: 60 },
      cast: { x: -8, y: 8, blur: 12, color: '#1d5c4599' },
    },
    [node('text', { words: said('and what is in it'), fontSize: 20 })],
  ),
]

const shapes = (): NodeTree[] =>
  FORMS.flatMap((form, i) => [
    ...(form.form === 'line' ? [] : [node('shape', { ...size, form, paint: '#d9812b' })]),
    node('shape', {
      ...size,
      form,
      stroke: {
        width: 1 + i,
        color: '#1d5c45',
        cap: (['butt', 'round', 'square'] as const)[i % 3],
        join: (['miter', 'round', 'bevel'] as const)[i % 3],
        ...(i % 2 ? { dash: [12, 8] } : {}),
      },
    }),
  ])

const INNER = { order: 'a0', inset: true, x: 0, y: 0, blur: 16, spread: 0, color: '#1c2b2499' } as const
/** Falling behind a block, into it, both; round, with a border, in a block that is smaller than they spread. */
const shaded = (): NodeTree[] => {
  const all: Props[] = [
    { shadows: { a: INNER } },
    { shadows: { a: { ...INNER, x: 8, y: -10, blur: 6 } }, ...allCorners(30) },
    { shadows: { a: { ...INNER, spread: 12, blur: 0 } }, ...allCorners(20) },
    { shadows: { a: { ...INNER, spread: -6, y: 14, blur: 24 } }, ...allBorders(5, '#1d5c4580') },
    {
      shadows: { a: { ...INNER, blur: 2, y: 3 }, b: { ...INNER, order: 'a1', inset: false, y: 8 } },
      radiusTopLeft: 60,
    },
    { shadows: { a: { ...INNER, spread: 80 } } },
  ]
  return all.map((props) => node('box', { ...size, fills: over(ground), ...props }))
}

const hex = (digits: string) => ({
  $type: 'color',
  $value: {
    colorSpace: 'srgb',
    components: [0, 2, 4].map((at) => Number.parseInt(digits.slice(at, at + 2), 16) / 255),
  },
})
const px = (value: number) => ({ value, unit: 'px' })
/** Tokens that stand for whole parts of a look, their colours another's. */
const LOOKS = {
  shade: { deep: hex('1d5c45') },
  shadow: {
    $type: 'shadow',
    card: {
      $value: [
        { color: '{shade.deep}', offsetX: px(0), offsetY: px(2), blur: px(4), spread: px(0) },
        { color: '{shade.deep}', offsetX: px(0), offsetY: px(10), blur: px(24), spread: px(-4) },
      ],
    },
    well: {
      $value: {
        color: '{shade.deep}',
        offsetX: px(0),
        offsetY: px(6),
        blur: px(18),
        spread: px(0),
        inset: true,
      },
    },
  },
  gradient: {
    $type: 'gradient',
    dusk: {
      $value: [
        { color: '{shade.deep}', position: 0.1 },
        { color: hex('d9812b').$value, position: 1 },
      ],
    },
  },
  border: { $type: 'border', hair: { $value: { color: '{shade.deep}', width: px(3), style: 'dashed' } } },
}
const byToken = (): NodeTree[] => {
  const sides = {
    borderTop: '{border.hair}',
    borderBottom: '{border.hair}',
    borderLeft: { width: 6, color: '#d9812b' },
  }
  const all: Props[] = [
    { fills: over(ground), shadows: { a: { order: 'a0', token: '{shadow.card}' } } },
    {
      fills: over(ground),
      shadows: { a: { order: 'a0', token: '{shadow.well}' }, b: { ...INNER, order: 'a1', inset: false } },
    },
    { fills: over({ kind: 'gradient', angle: 120, stops: '{gradient.dusk}' }), ...sides },
    {
      fills: over({ kind: 'gradient', shape: 'conic', angle: 30, stops: '{gradient.dusk}' }),
      ...allCorners(30),
    },
  ]
  return all.map((props) => node('box', { ...size, ...props }))
}

const words = (fill: Bare[], more: Props = {}): NodeTree =>
  node('text', {
    words: said('Sow thick'),
    fontFamily: 'Fraunces',
    fontSize: 44,
    fontWeight: 700,
    lineHeight: { ratio: 1.1 },
    fillsIn: 'words',
    fills: over(...fill),
    ...more,
  })

const RAINBOW: Bare = {
  kind: 'gradient',
  angle: 60,
  stops: [
    { color: '#a8481f', at: 0 },
    { color: '#d9812b', at: 40 },
    { color: '#1d5c4580', at: 100 },
  ],
}
/** What is seen in the border alone: round, dashed, over a ground, over pictures, uneven. */
const bordered = (asset: string): Props[] => {
  const corners = { radiusTopLeft: 24, radiusTopRight: 24, radiusBottomRight: 8, radiusBottomLeft: 0 }
  const inBorder = (fill: Bare) => ({ ...fill, in: 'border' }) as Bare
  return [
    { ...allBorders(6, '#1c2b24'), ...corners, fills: over(inBorder(RAINBOW)) },
    { ...allBorders(8, '#1c2b24', 'dashed'), fills: over(inBorder(RAINBOW)) },
    { ...allBorders(10, '#1c2b24'), ...corners, fills: over(inBorder(RAINBOW), ground) },
    {
      ...allBorders(6, '#1c2b24'),
      fills: over(inBorder(RAINBOW), { kind: 'picture', asset, fit: 'cover' }, ground),
    },
    {
      borderTop: { width: 12 },
      borderLeft: { width: 3 },
      ...corners,
      fills: over(inBorder({ ...RAINBOW, shape: 'radial' } as Bare)),
    },
  ]
}

/** @param assets pictures that it may show */
export function paintsPage(assets: readonly Asset[]): ProjectFile {
  countAnew()
  // A drawing: what a photograph loses when it is made smaller is held on the other pages; a strong filter would show nothing else here.
  const { id } = assets.find(({ type }) => type === 'image/svg+xml')!
  const boxes = [...filled(id), ...mixed(id), ...bordered(id)].map((props) =>
    node('box', { ...size, ...props }),
  )
  const framed = filled(id)
    .slice(0, 9)
    .map((props) =>
      node('box', { ...size, ...props, borderTop: { width: 6, color: '#1d5c4580' }, radiusTopLeft: 24 }),
    )
  const pictures = [
    ...FILTERS.map((filters) => ({ filters })),
    ...CUTS.map((cut) => ({ cut })),
    { cut: { form: 'ellipse' } as Cut, filters: { gray: 60, blur: 2 }, rotate: 8, opacity: 0.8 },
  ].map((props) => node('picture', { ...size, asset: id, alt: '', fit: 'cover', ...props }))
  const groups = CUTS.slice(0, 3).map((cut) =>
    node('box', { ...size, fills: over(shade), cut, paddingTop: 20, paddingLeft: 20 }, [
      node('text', { words: said('What is in it is cut with it'), color: '#ffffff', fontSize: 20 }),
    ]),
  )
  const texts = [
    words([shade]),
    words([{ kind: 'picture', asset: id, fit: 'cover' }]),
    words([{ kind: 'pattern', shape: 'lines', color: '#a8481f', size: 8, weight: 4, angle: 45 }, ground], {
      textDecoration: 'underline',
    }),
  ]
  const file = starterProject('Paints', 'home')
  file.assets = [...assets]
  file.tokens = { ...file.tokens, ...LOOKS }
  const all = [
    ...boxes,
    ...framed,
    ...shaded(),
    ...byToken(),
    ...casting(),
    ...pictures,
    ...groups,
    ...shapes(),
    ...texts,
    ...paintedWords(),
  ]
  const row: Props = { flow: 'row', wrap: true, rowGap: 20, columnGap: 20, paddingTop: 40, paddingBottom: 40 }
  const section = { ...node('section', row, all), order: 'a0' }
  file.pages[0]!.sections = [section]
  return file
}

/** Sections that blend with the page's background, and what lets it through. */
export function backgroundPage(): ProjectFile {
  countAnew()
  const file = starterProject('Background', 'home')
  const looks: Props[] = [
    { blend: 'multiply', fills: over({ kind: 'color', color: '#8fb8a4' }) },
    { blend: 'difference', fills: over(shade) },
    { fills: over({ kind: 'color', color: '#1d5c4560' }) },
    {},
  ]
  file.pages[0]!.sections = looks.map((look, i) => ({
    ...node('section', { paddingTop: 40, paddingBottom: 40, ...look }, [
      node('text', { words: said('On the page’s background'), fontSize: 20 }),
    ]),
    order: `a${i}`,
  }))
  file.pages[0]!.props = { background: '#f6e3c5d0' }
  return file
}
