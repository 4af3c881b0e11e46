/** Random documents that reach every feature of the layout, as fast-check arbitraries. */

import fc from 'fast-check'
import { nameOf } from '../blobs/blobs'
import type { Asset, NodeTree, ProjectFile, View } from '../document/schema'
import { FORMAT, VERSION } from '../document/schema'
import type { Form } from '../forms/form'
import { allBorders } from '../properties/items'
import { TAGS } from '../properties/kinds'
import type { Props } from '../properties/table'
import type { SectionLattice, Size } from '../properties/values'
import { said } from '../words/words'
import type { Feature } from './features'
import { standIn } from './stand-in'
import { type, uncutWhereJoined, words } from './texts'
import { randomTokens, withTokens } from './tokens'

const length = (max: number) =>
  fc.oneof(
    fc.integer({ min: 0, max }),
    fc.integer({ min: 0, max: max * 4 }).map((n) => n / 4),
  )
const optional = <T>(value: fc.Arbitrary<T>, weight = 1, skip = 3) =>
  fc.oneof({ weight: skip, arbitrary: fc.constant(undefined) }, { weight, arbitrary: value })

function size(axis: 'width' | 'height', features: ReadonlySet<Feature>): fc.Arbitrary<Size> {
  const kinds: fc.Arbitrary<Size>[] = [
    length(axis === 'width' ? 500 : 300).map((px) => ({ kind: 'exact', px })),
    fc.constant<Size>({ kind: 'snug' }),
    fc.constantFrom(1, 1, 2, 0.5).map((weight) => ({ kind: 'stretch', weight })),
  ]
  if (axis === 'width' || features.has('percent')) {
    kinds.push(fc.constantFrom(25, 33.33, 50, 80, 100).map((percent) => ({ kind: 'percent', percent })))
  }
  if (axis === 'width') {
    const columns: fc.Arbitrary<Size> = fc
      .record({ span: fc.integer({ min: 1, max: 12 }), from: optional(fc.integer({ min: 1, max: 12 })) })
      .map(({ span, from }) =>
        from === undefined ? { kind: 'columns', span } : { kind: 'columns', span, from },
      )
    kinds.push(columns)
    if (features.has('lattice')) kinds.push(columns, columns, columns)
  }
  return fc.oneof(...kinds)
}

const clean = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, each]) => each !== undefined)) as T

const padding = fc.oneof(
  { weight: 3, arbitrary: fc.constant({}) },
  {
    weight: 1,
    arbitrary: length(40).map((p) => ({ paddingTop: p, paddingRight: p, paddingBottom: p, paddingLeft: p })),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      paddingTop: length(60),
      paddingRight: length(30),
      paddingBottom: length(60),
      paddingLeft: length(30),
    }),
  },
)
const border: fc.Arbitrary<Props> = fc.oneof(
  { weight: 5, arbitrary: fc.constant({}) },
  {
    weight: 1,
    arbitrary: fc.constantFrom(1, 2, 3, 4, 5, 6, 0.5, 1.5, 2.25).map((width) => allBorders(width)),
  },
)
const limits = fc
  .record({
    minWidth: optional(length(200), 1, 9),
    maxWidth: optional(length(500), 1, 9),
    minHeight: optional(length(200), 1, 9),
    maxHeight: optional(length(300), 1, 12),
  })
  .map(clean)

const pin = fc.oneof(
  fc.integer({ min: -40, max: 120 }).map((px) => ({ px })),
  fc.constantFrom(0, 10, 25, 50).map((percent) => ({ percent })),
)

const lifted: fc.Arbitrary<Props> = fc
  .record({
    pinLeft: optional(pin, 2, 1),
    pinRight: optional(pin),
    pinTop: optional(pin, 2, 1),
    pinBottom: optional(pin),
    pinCenterX: optional(fc.integer({ min: -60, max: 60 })),
    pinCenterY: optional(fc.integer({ min: -60, max: 60 })),
    z: optional(fc.integer({ min: -2, max: 5 })),
  })
  .map((pins) => clean({ lifted: true, ...pins }))

const spread = fc.constantFrom(
  'start',
  'center',
  'end',
  'space-between',
  'space-around',
  'space-evenly',
) as fc.Arbitrary<Props['justify']>
const align = (features: ReadonlySet<Feature>) =>
  fc.constantFrom(
    'start',
    'center',
    'end',
    ...(features.has('baseline') ? ['baseline'] : []),
  ) as fc.Arbitrary<Props['align']>

function flow(features: ReadonlySet<Feature>): fc.Arbitrary<Props> {
  const kinds: NonNullable<Props['flow']>[] = ['row', 'column', 'column', 'row']
  if (features.has('lattice')) kinds.push('lattice', 'lattice')
  if (features.has('lifted')) kinds.push('free')
  return fc
    .record({
      flow: fc.constantFrom(...kinds),
      wrap: features.has('wrap') ? optional(fc.constant(true), 1, 2) : fc.constant(undefined),
      rowGap: optional(length(40), 2, 1),
      columnGap: optional(length(40)),
      justify: optional(spread),
      align: optional(align(features), 1, 1),
      alignContent: optional(fc.oneof(spread, fc.constant('stretch' as const))),
      columns: optional(fc.integer({ min: 1, max: 12 }), 1, 3),
      dense: optional(fc.constant(true), 1, 6),
    })
    .map(clean)
}

type Draft = { kind: NodeTree['kind']; props: Props; override: Props | undefined; children: Draft[] }

function override(features: ReadonlySet<Feature>, kind: Draft['kind']): fc.Arbitrary<Props | undefined> {
  if (!features.has('override')) return fc.constant(undefined)
  const parts: fc.Arbitrary<Props>[] = [
    fc.constant({ hidden: true }),
    fc.integer({ min: -3, max: 3 }).map((order) => ({ order })),
    size('width', features).map((width) => ({ width })),
    size('height', features).map((height) => ({ height })),
    length(30).map((paddingTop) => ({ paddingTop })),
  ]
  if (kind === 'box' && features.has('panels'))
    parts.push(lifted.map(({ lifted: _, ...pins }) => ({ ...pins, folded: true })))
  if (kind === 'box' || kind === 'section')
    parts.push(
      flow(features),
      length(30).map((rowGap) => ({ rowGap })),
    )
  if (kind === 'text')
    parts.push(
      fc.constantFrom(14, 18, 32).map((fontSize) => ({ fontSize })),
      fc.constantFrom('Short.', 'Other words, on this view alone').map((text) => ({ words: said(text) })),
    )
  if (kind === 'section')
    return optional(
      fc.oneof(
        flow(features),
        fc.constant({ hidden: true }),
        fc.integer({ min: -3, max: 3 }).map((order) => ({ order })),
      ),
      1,
      5,
    )
  return optional(fc.oneof(...parts), 1, 5)
}

function block(
  features: ReadonlySet<Feature>,
  depth: number,
  pictures: readonly string[],
): fc.Arbitrary<Draft> {
  const common = (inner: fc.Arbitrary<Props>, kind: Draft['kind'], children: fc.Arbitrary<Draft[]>) =>
    fc
      .tuple(
        inner,
        padding,
        border,
        limits,
        fc.record({ width: size('width', features), height: size('height', features) }),
        features.has('lifted') ? optional(lifted, 1, 7) : fc.constant(undefined),
        fc
          .record({
            alignSelf: optional(align(features), 1, 6),
            tag:
              features.has('elements') && kind !== 'picture'
                ? optional(fc.constantFrom(...TAGS), 1, 3)
                : fc.constant(undefined),
            clip: optional(fc.constant(true), 1, 8),
            spaceBefore: optional(length(48), 1, 8),
            ratio:
              features.has('ratio') && (kind === 'box' || kind === 'shape')
                ? optional(fc.constantFrom(1, 1.5, 0.75, 3), 1, 8)
                : fc.constant(undefined),
          })
          .map(clean),
        override(features, kind),
        children,
      )
      .map(
        ([own, pads, borders, bounds, sizes, pins, self, changed, kids]): Draft => ({
          kind,
          props: { ...own, ...pads, ...borders, ...bounds, ...sizes, ...self, ...pins },
          override: changed,
          children: kids,
        }),
      )
  const none = fc.constant<Draft[]>([])
  const box = common(
    flow(features),
    'box',
    depth > 0 ? fc.array(block(features, depth - 1, pictures), { maxLength: 5 }) : none,
  )
  const options: { weight: number; arbitrary: fc.Arbitrary<Draft> }[] = [{ weight: 3, arbitrary: box }]
  if (features.has('text')) {
    const text = fc
      .tuple(type(features), words(features))
      .map(([style, own]) => ({ ...uncutWhereJoined(style, own), words: own }))
    options.push(
      { weight: 3, arbitrary: common(text, 'text', none) },
      { weight: 1, arbitrary: common(text, 'button', none) },
    )
  }
  if (features.has('picture')) {
    const picture = fc
      .record({
        asset: optional(fc.constantFrom(...pictures), 3, 1),
        ratio: optional(fc.constantFrom(1, 1.5, 0.75), 1, 3),
      })
      .map(clean)
    options.push({ weight: 1, arbitrary: common(picture, 'picture', none) })
  }
  if (features.has('shapes')) {
    const form = fc.constantFrom<Form>(
      { form: 'ellipse' },
      { form: 'star', points: 5, depth: 40 },
      { form: 'line', slope: 'level' },
    )
    options.push({ weight: 1, arbitrary: common(fc.record({ form }), 'shape', none) })
  }
  return fc.oneof(...options)
}

/** One section in four stands on a lattice of its own; narrower views mostly go back to the view's. */
type OwnLattice = { lattice?: SectionLattice; narrow?: Props['lattice'] }
const ownLattice: fc.Arbitrary<OwnLattice> = fc.oneof(
  { weight: 3, arbitrary: fc.constant({}) },
  {
    weight: 1,
    arbitrary: fc.record({
      lattice: fc.record({
        columns: fc.constantFrom(3, 5, 10),
        gutter: fc.constantFrom(0, 12, 32),
        container: fc.constantFrom(960, 1320, null),
        margin: fc.constantFrom(0, 16, 48),
      }),
      narrow: fc.constantFrom('view' as const, undefined),
    }),
  },
)

function section(features: ReadonlySet<Feature>, pictures: readonly string[]): fc.Arbitrary<Draft> {
  const height: fc.Arbitrary<Size> = fc.oneof(
    { weight: 4, arbitrary: fc.constant<Size>({ kind: 'snug' }) },
    { weight: 1, arbitrary: length(700).map((px): Size => ({ kind: 'exact', px })) },
    {
      weight: 2,
      arbitrary: fc.record(
        {
          kind: fc.constant('svh' as const),
          percent: fc.constantFrom(50, 100),
          less: fc.constantFrom(64, 96.5),
          grows: fc.constant(true as const),
        },
        { requiredKeys: ['kind', 'percent'] },
      ),
    },
  )
  return fc
    .tuple(
      flow(features),
      fc.record({ paddingTop: length(60), paddingBottom: length(60) }),
      height,
      fc.boolean(),
      border,
      override(features, 'section'),
      fc.array(block(features, 3, pictures), { minLength: 1, maxLength: 5 }),
      features.has('lattice') ? ownLattice : fc.constant<OwnLattice>({}),
    )
    .map(([own, pads, tall, fullBleed, borders, changed, children, { lattice, narrow }]) => ({
      kind: 'section',
      props: {
        ...{ ...own, ...pads, height: tall, ...borders },
        ...(fullBleed ? { fullBleed } : {}),
        ...(lattice ? { lattice } : {}),
      },
      override: narrow ? { ...changed, lattice: narrow } : changed,
      children,
    }))
}

const viewSet: fc.Arbitrary<View[]> = fc
  .record({
    columns: fc.constantFrom(12, 8, 6),
    gutter: fc.constantFrom(0, 16, 20, 24),
    container: fc.constantFrom(1224, 1000, null),
    margin: fc.constantFrom(0, 24, 64),
    halfGutters: fc.boolean(),
    place: fc.constantFrom('center' as const, 'left' as const),
    small: fc.constantFrom(4, 2),
  })
  .map(({ small, ...lattice }) => [
    {
      id: 'wide',
      name: 'Desktop',
      width: 1440,
      breakpoint: null,
      fold: 900,
      lattice: { ...lattice, baseline: 8 },
    },
    {
      id: 'middle',
      name: 'Tablet',
      width: 834,
      breakpoint: 1000,
      fold: 1112,
      lattice: {
        columns: 8,
        gutter: 20,
        container: null,
        margin: 32,
        halfGutters: false,
        place: 'center',
        baseline: 8,
      },
    },
    {
      id: 'narrow',
      name: 'Mobile',
      width: 390,
      breakpoint: 600,
      fold: 844,
      lattice: {
        columns: small,
        gutter: 16,
        container: null,
        margin: 20,
        halfGutters: false,
        place: 'center',
        baseline: 8,
      },
    },
  ])

const FIELD = { id: 'asset-a', name: 'Field', type: 'image/svg+xml' as const, width: 320, height: 240 }
const ASSET: Asset = { ...FIELD, ...nameOf(standIn(FIELD)) }

/** Whole projects with one page that use only the given features. @param photographs shown beside a drawing */
export function documents(
  features: ReadonlySet<Feature>,
  photographs: readonly Asset[] = [],
): fc.Arbitrary<ProjectFile> {
  const assets = [ASSET, ...photographs]
  const pictures = assets.map(({ id }) => id)
  return fc
    .tuple(viewSet, fc.array(section(features, pictures), { minLength: 1, maxLength: 3 }))
    .chain(([views, drafts]) =>
      fc.tuple(
        fc.constant(views),
        fc.constant(drafts),
        features.has('tokens')
          ? fc.option(randomTokens(views.map(({ id }) => id)), { freq: 1, nil: undefined })
          : fc.constant(undefined),
      ),
    )
    .map(([views, drafts, tokens]) => {
      let count = 0
      const finish = (draft: Draft, i: number): NodeTree => {
        const id = `n${count++}`
        const tree: NodeTree = {
          id,
          kind: draft.kind,
          name: `${draft.kind} ${id}`,
          order: `a${String.fromCharCode(65 + i)}`,
          props: draft.props,
        }
        if (draft.override) tree.overrides = { [count % 2 ? 'narrow' : 'middle']: draft.override }
        if (draft.children.length > 0) tree.children = draft.children.map(finish)
        return tokens ? withTokens(tree, count) : tree
      }
      return {
        format: FORMAT,
        version: VERSION,
        name: 'Random',
        ...(features.has('languages') && drafts.length === 2 ? { about: { lang: 'tr' } } : {}),
        tokens: tokens ?? {},
        views,
        assets,
        pages: [
          { id: 'page', name: 'Page', path: '/', order: 'a0', views: [], sections: drafts.map(finish) },
        ],
      }
    })
}
