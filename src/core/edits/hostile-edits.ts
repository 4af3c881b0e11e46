/** Edits that mean harm, for the tests of whoever takes edits from outside. */

import fc from 'fast-check'
import { said } from '../words/words'

/** Objects in objects, `depth` of them. */
export function nested(depth: number): unknown {
  let value: unknown = 1
  for (let i = 0; i < depth; i++) value = { a: value }
  return value
}

const BAD = [
  '__proto__',
  'constructor',
  'toString',
  'prototype',
  '',
  '..',
  '/',
  '//evil',
  '\u0000',
  '*/',
  '</style>',
  '😀',
  'a'.repeat(70_000),
]
const name = fc.oneof(
  { weight: 2, arbitrary: fc.constantFrom(...BAD) },
  {
    weight: 7,
    arbitrary: fc.constantFrom(
      'a',
      'b',
      'home',
      'desktop',
      'mobile',
      'new1',
      'new2',
      'space.m',
      '__proto__.x',
      'a.constructor.b',
    ),
  },
  { weight: 1, arbitrary: fc.string({ maxLength: 12 }) },
)
const scalar = fc.oneof(
  name,
  fc.double(),
  fc.integer(),
  fc.constantFrom(
    null,
    true,
    1e308,
    -1e308,
    Number.MAX_SAFE_INTEGER,
    '{a.b}',
    '{color.ink}',
    '#ffffff',
    'javascript:alert(1)',
    'java\nscript:alert(1)',
    '{"x":1}',
  ),
)
const deep = fc.integer({ min: 1, max: 900 }).map(nested)
const value: fc.Arbitrary<unknown> = fc.oneof(
  { weight: 6, arbitrary: scalar },
  { weight: 1, arbitrary: deep },
  { weight: 2, arbitrary: fc.array(scalar, { maxLength: 4 }) },
  { weight: 2, arbitrary: fc.dictionary(name, scalar, { maxKeys: 4, noNullPrototype: true }) },
)
const PROPS = [
  'rowGap',
  'fills',
  'link',
  'words',
  'width',
  'overrides',
  'order',
  'asset',
  'type',
  'fontFamily',
  'borderTop',
  'shadows',
  'tag',
  'lattice',
  'hidden',
]
/** As JSON would give it: an own key, whatever its name. */
const record = (keys: fc.Arbitrary<string>) =>
  fc.array(fc.tuple(keys, value), { maxLength: 4 }).map((entries) => {
    const out: Record<string, unknown> = {}
    for (const [key, each] of entries)
      Object.defineProperty(out, key, { value: each, enumerable: true, configurable: true, writable: true })
    return out
  })
/** What could be meant well, so that the rest of an edit gets its chance. */
const fine = fc.constantFrom<Record<string, unknown>>(
  { rowGap: 8, hidden: true },
  { folded: true, pinTop: { px: -9 }, link: '#home' },
  { link: '#', fontFamily: '"</style>' },
  { words: said('<script>') },
  { name: '*/', path: '/fine' },
)
const props = fc.oneof(record(fc.oneof(fc.constantFrom(...PROPS), name)), fine)
const tree = fc.oneof(
  value,
  fc.record({
    id: name,
    kind: fc.oneof(fc.constantFrom('section', 'box', 'text', 'page'), name),
    name: scalar,
    order: fc.oneof(fc.constantFrom('a0', 'a00', 'zz', ''), name),
    props,
    overrides: record(name),
    children: fc.oneof(fc.constant([]), value),
  }),
)
const OPS = [
  'set',
  'meta',
  'insert',
  'remove',
  'move',
  'page',
  'page-meta',
  'aid',
  'views',
  'token',
  'asset',
  'font',
  'look',
  'theme',
  'project',
]

/** An edit with any fields of any edit, of any types. */
export const hostileEdit: fc.Arbitrary<unknown> = fc.oneof(
  { weight: 1, arbitrary: value },
  {
    weight: 12,
    arbitrary: fc
      .record({
        op: fc.oneof({ weight: 9, arbitrary: fc.constantFrom(...OPS) }, { weight: 1, arbitrary: name }),
        node: name,
        parent: name,
        id: name,
        name: scalar,
        view: name,
        page: fc.oneof(name, tree),
        props,
        tree,
        order: fc.oneof(fc.constantFrom('a0', 'a1'), name),
        set: props,
        change: record(fc.oneof(fc.constantFrom('desktop', 'mobile', 'watch'), name)),
        token: fc.oneof(value, fc.record({ $type: scalar, $value: value })),
        asset: value,
        font: value,
        look: fc.oneof(value, fc.record({ id: name, name: scalar, props })),
        theme: value,
        aid: value,
        locked: scalar,
      })
      .chain((all) => {
        const keys = FIELDS.get(all.op)
        // Mostly just the fields that the edit has: what has others is refused for these alone.
        if (!keys) return fc.constant<unknown>(all)
        return fc.subarray(keys, { minLength: keys.length - 1 }).map((own) => {
          const out: Record<string, unknown> = { op: all.op }
          for (const key of own) if (key in all) out[key] = all[key as keyof typeof all]
          return out
        })
      }),
  },
)
const FIELDS = new Map(
  Object.entries({
    set: ['node', 'view', 'props'],
    meta: ['node', 'name', 'locked'],
    insert: ['parent', 'tree'],
    remove: ['node'],
    move: ['node', 'parent', 'order'],
    page: ['id', 'page'],
    'page-meta': ['id', 'set'],
    aid: ['page', 'id', 'aid'],
    views: ['change'],
    token: ['name', 'token'],
    asset: ['id', 'asset'],
    font: ['id', 'font'],
    look: ['id', 'look'],
    theme: ['id', 'theme'],
    project: ['name'],
  }),
)
