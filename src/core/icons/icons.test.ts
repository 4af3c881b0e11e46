import drawings from 'lucide-static/icon-nodes.json'
import meanings from 'lucide-static/tags.json'
import * as v from 'valibot'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { FORMAT, VERSION } from '../document/schema'
import { applyAll } from '../edits/apply'
import { pathOfForm } from '../forms/form'
import { boundsOf } from '../forms/path'
import { PropsSchema } from '../properties/table'
import { Builder, plant } from '../shelf/build'
import { foundIcons, iconSet } from './find'
import { type Drawing, iconForm, iconProps } from './icon'
import { iconWords } from './icon-words'
import { iconInButton } from './in-button'

const icons = iconSet(drawings, meanings)

describe('every icon of the set', () => {
  test('is a form that a project may hold, within its field', () => {
    for (const { name, drawing } of icons) {
      const props = iconProps(drawing, { size: 24, line: 2 })
      expect(v.is(PropsSchema, props), name).toBe(true)
      const { left, top, right, bottom } = boundsOf(pathOfForm(props.form!))
      expect(Math.min(left, top), name).toBeGreaterThanOrEqual(-1)
      expect(Math.max(right, bottom), name).toBeLessThanOrEqual(101)
    }
  })
})

describe('basic shapes stand for paths (SVG 2 §10)', () => {
  const bounds = (drawing: Drawing) => boundsOf(pathOfForm(iconForm(drawing)))
  const share = (px: number) => (px / 24) * 100

  test('a circle', () => {
    const { left, right, top, bottom } = bounds([['circle', { cx: '12', cy: '12', r: '6' }]])
    for (const [is, px] of [
      [left, 6],
      [right, 18],
      [top, 6],
      [bottom, 18],
    ])
      expect(is).toBeCloseTo(share(px!), 1)
  })
  test('a rectangle with round corners touches its sides and not its corners', () => {
    const drawing: Drawing = [['rect', { x: '2', y: '4', width: '20', height: '16', rx: '2' }]]
    const { left, bottom } = bounds(drawing)
    expect(left).toBeCloseTo(share(2), 2)
    expect(bottom).toBeCloseTo(share(20), 2)
    const form = iconForm(drawing)
    expect(form.form === 'path' && form.data).toMatch(/^M16.667 16.667/)
  })
  test('one ry stands for both, and none is larger than half a side', () => {
    const one = iconForm([['rect', { x: '2', y: '4', width: '20', height: '16', ry: '2' }]])
    expect(one).toEqual(iconForm([['rect', { x: '2', y: '4', width: '20', height: '16', rx: '2', ry: '2' }]]))
    const { right } = bounds([['rect', { x: '2', y: '2', width: '10', height: '20', rx: '40' }]])
    expect(right).toBeCloseTo(share(12), 2)
  })
  test('several parts are one path, each with its own beginning', () => {
    const form = iconForm([
      ['line', { x1: '0', y1: '0', x2: '24', y2: '24' }],
      ['polygon', { points: '0 0 24 0 24 24' }],
    ])
    expect(form).toEqual({ form: 'path', data: 'M0 0L100 100M0 0L100 0 100 100Z' })
  })
  test('what is no shape is refused', () => expect(() => iconForm([['text', {}]])).toThrow('<text>'))
})

describe('finding', () => {
  test('what is called so comes first', () => {
    expect(foundIcons(icons, 'search')[0]!.name).toBe('search')
    expect(foundIcons(icons, 'Arrow up')[0]!.name).toBe('arrow-up')
  })
  test('by what it means', () =>
    expect(foundIcons(icons, 'magnifier').map(({ name }) => name)).toContain('search'))
  test('of those that answer alike the plainest comes first', () =>
    expect(
      foundIcons(icons, 'arrow')
        .slice(0, 4)
        .every(({ name }) => name.split('-').length === 2),
    ).toBe(true))
  test('where nothing is typed, the common ones come first, each of which there is', () => {
    const [first] = foundIcons(icons, '')
    expect(first!.name).toBe('search')
    const last = foundIcons(icons, '').findIndex(({ name }) => name === 'a-arrow-down')
    expect(foundIcons(icons, '')[last - 1]!.name).toBe('sprout')
  })
  test('all where nothing is typed, none for what none is called', () => {
    expect(foundIcons(icons, ' ')).toHaveLength(icons.length)
    expect(foundIcons(icons, 'zeppelin quartz')).toEqual([])
  })
})

describe('in a button', () => {
  let count = 0
  const views = [
    {
      id: 'wide',
      name: 'Desktop',
      width: 1440,
      lattice: { columns: 12, gutter: 24, margin: 24, container: 1200 },
    },
    {
      id: 'slim',
      name: 'Mobile',
      width: 390,
      breakpoint: 600,
      lattice: { columns: 4, gutter: 16, margin: 16 },
    },
  ]
  const b = new Builder(views as never)
  const button = b.button(
    'Call to action',
    'Borrow',
    { link: '/borrow', paddingLeft: 32 },
    { color: '#112233', paddingLeft: 12 },
  )
  const doc = Document.fromFile({
    format: FORMAT,
    version: VERSION,
    name: 'Test',
    tokens: {},
    views: views as never,
    assets: [],
    pages: [
      {
        id: 'p',
        name: 'Page',
        path: '/',
        order: 'a0',
        views: [],
        sections: [plant(b.section('S', {}, [button]), () => `n${count++}`, 'a0')],
      },
    ],
  })
  const node = [...doc.nodes.values()].find(({ kind }) => kind === 'button')!
  const arrow = icons.find(({ name }) => name === 'arrow-right')!
  let ids = 0
  const { edits, row } = iconInButton(
    node,
    'arrow-right',
    arrow.drawing,
    { fontSize: 16, height: 19.4 },
    () => `i${ids++}`,
  )
  applyAll(doc, edits)

  test('stands in its place, looks and leads as it did', () => {
    const box = doc.node(row)
    expect(doc.node(box.parent!).children).toEqual([row])
    expect(box).toMatchObject({
      kind: 'box',
      name: 'Call to action',
      props: {
        link: '/borrow',
        tag: 'a',
        paddingLeft: 32,
        paddingRight: 20,
        paddingTop: 12,
        fills: node.props.fills,
      },
      overrides: { slim: { paddingLeft: 12 } },
    })
  })
  test('the icon is as its words are, in every view', () => {
    const [icon, words] = doc.node(row).children.map((id) => doc.node(id))
    expect(icon!.name).toBe(iconWords('arrow-right'))
    expect(icon!.props.stroke?.color).toBe(node.props.color)
    expect(icon!.overrides.slim?.stroke?.color).toBe('#112233')
    expect(icon!.props.width).toEqual({ kind: 'exact', px: 19 })
    expect(words!.props).toMatchObject({
      words: node.props.words,
      type: node.props.type,
      color: node.props.color,
    })
    expect(words!.overrides.slim).toEqual({ color: '#112233' })
  })
})
