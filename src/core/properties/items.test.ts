/** Lists of a look: items set one by one, per view, by several people, and as they were written before. */
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { resolve } from '../document/resolve'
import { applyEdit } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { set } from '../edits/set'
import { replay } from '../edits/stored'
import { buildSite } from '../handoff/site'
import { starterProject } from '../shelf/starter'
import { changesOfBefore, looksOfBefore } from './earlier'
import { allBorders, allCorners, type Fill, itemsOf, oneFill } from './items'
import type { Props } from './table'

function withBox(props: Props, overrides: Record<string, Props> = {}) {
  const file = starterProject('Site', 'home')
  const box = { id: 'b', kind: 'box', name: 'Card', order: 'a0', props, overrides } as const
  file.pages[0]!.sections = [
    { id: 's', kind: 'section', name: 'Band', order: 'a0', props: {}, children: [box] },
  ]
  return Document.fromFile(file)
}
const color = (order: string, value: string): Fill => ({ order, kind: 'color', color: value })
const paint = (items: Record<string, unknown>, view?: string): Edit => ({
  op: 'set',
  node: 'b',
  props: { fills: items },
  ...(view ? { view } : {}),
})
const fills = (doc: Document, view = 'desktop') =>
  itemsOf(resolve(doc, doc.node('b'), view).fills).map(([id, fill]) => [id, 'color' in fill && fill.color])
const css = (doc: Document) => buildSite(doc, new Map()).text.get('styles.css')!

describe('items', () => {
  test('are set and taken away one by one, and put back exactly', () => {
    const doc = withBox({ fills: { a: color('a1', '#111111') } })
    const inverse = applyEdit(doc, paint({ b: color('a0', '#222222') }))
    expect(fills(doc)).toEqual([
      ['b', '#222222'],
      ['a', '#111111'],
    ])
    const away = applyEdit(doc, paint({ a: null }))
    expect(fills(doc)).toEqual([['b', '#222222']])
    applyEdit(doc, away)
    applyEdit(doc, inverse)
    expect(doc.node('b').props).toEqual({ fills: { a: color('a1', '#111111') } })
    applyEdit(doc, paint({ a: null }))
    expect(doc.node('b').props).toEqual({})
  })
  test('a view has its own value of one, and takes the others from wider views', () => {
    const doc = withBox({ fills: { a: color('a0', '#111111'), b: color('a1', '#222222') } })
    applyEdit(doc, paint({ a: { ...color('a0', '#333333'), hidden: true } }, 'mobile'))
    applyEdit(doc, paint({ b: color('a1', '#444444') }))
    expect(fills(doc)).toEqual([
      ['a', '#111111'],
      ['b', '#444444'],
    ])
    expect(fills(doc, 'mobile')).toEqual([
      ['a', '#333333'],
      ['b', '#444444'],
    ])
    // Not drawn is not written.
    expect(css(doc).split('@media')[1]).toMatch(/background-image: none/)
  })
  test('two people, one item each: both stay; an undo spares what another did', () => {
    const doc = withBox({ fills: { a: color('a0', '#111111') } })
    const mine = applyEdit(doc, paint({ a: color('a0', '#aaaaaa'), c: color('a2', '#cccccc') }))
    const theirs = paint({ a: color('a0', '#bbbbbb') })
    applyEdit(doc, theirs)
    const left = set.spare!(mine as never, theirs)!
    expect(left.props).toEqual({ fills: { c: null } })
    applyEdit(doc, left)
    expect(fills(doc)).toEqual([['a', '#bbbbbb']])
  })
  test('too many, or none that are, are refused', () => {
    const doc = withBox({})
    const many = Object.fromEntries(Array.from({ length: 17 }, (_, i) => [`f${i}`, color('a0', '#111111')]))
    expect(() => applyEdit(doc, paint(many))).toThrow(/at most 16/)
    expect(() => applyEdit(doc, paint({ a: { order: 'a0', kind: 'color', color: 'red' } }))).toThrow(/colour/)
    expect(doc.node('b').props).toEqual({})
  })
})

describe('CSS', () => {
  test('the lowest colour is the ground, what lies over it images, first on top', () => {
    const gradient = {
      order: 'a0',
      kind: 'gradient' as const,
      angle: 90,
      stops: [
        { color: '#000000', at: 0 },
        { color: '{color.pine}', at: 100 },
      ],
    }
    const doc = withBox({
      fills: { g: gradient, w: color('a1', '#ffffff80'), ground: color('a2', '{color.wash}') },
    })
    expect(css(doc)).toContain('background-color: var(--color-wash);')
    expect(css(doc)).toContain(
      'background-image: linear-gradient(90deg, #000000 0%, var(--color-pine) 100%), linear-gradient(#ffffff80, #ffffff80);',
    )
  })
  test('borders by side, corners by corner, in the shortest words', () => {
    const same = withBox({ ...allBorders(1, '{color.ink}'), ...allCorners(4) })
    expect(css(same)).toMatch(
      /border-width: 1px;\n {2}border-color: var\(--color-ink\);\n {2}border-radius: 4px;/,
    )
    const apart = withBox({
      borderTop: { width: 2, style: 'dashed' },
      borderLeft: { width: 1, color: '#aa0000' },
      radiusTopLeft: 8,
    })
    expect(css(apart)).toContain('border-width: 2px 0 0 1px;')
    expect(css(apart)).toContain('border-style: dashed dashed dashed solid;')
    expect(css(apart)).toContain('border-color: currentcolor currentcolor currentcolor #aa0000;')
    expect(css(apart)).toContain('border-radius: 8px 0 0;')
  })
})

test('an outline, away from the border, takes no room; without a width there is none', () => {
  const doc = withBox({ outline: { width: 2, style: 'dashed', color: '{color.pine}', offset: 4 } })
  expect(css(doc)).toContain('outline: 2px dashed var(--color-pine);\n  outline-offset: 4px;')
  expect(css(withBox({ outline: { width: 0, offset: 4 } }))).not.toContain('outline')
})

describe('looks of before', () => {
  const old = { fill: '#111111', borderTop: 2, borderColor: '#222222', radius: 6 } as unknown as Props
  const now = {
    fills: { fill: color('a1', '#111111') },
    borderTop: { width: 2, color: '#222222' },
    ...allCorners(6),
  }
  test('become today’s, in every view; what is of today is left as it is', () => {
    const views = [{ id: 'desktop' }, { id: 'tablet' }, { id: 'mobile' }]
    const overrides = { tablet: { borderColor: '#333333' }, mobile: { borderTop: 4, fill: '#444444' } }
    expect(looksOfBefore({ props: old, overrides: overrides as never }, views)).toEqual({
      props: now,
      overrides: {
        tablet: { borderTop: { width: 2, color: '#333333' } },
        mobile: { borderTop: { width: 4, color: '#333333' }, fills: { fill: color('a1', '#444444') } },
      },
    })
    const block = { props: { ...allBorders(1), fills: oneFill('#111111'), paddingTop: 4 } }
    expect(looksOfBefore(block, views)).toBe(block)
  })
  test('edits of before too, over what there is by now', () => {
    const change = changesOfBefore({ borderColor: '#333333', radius: null, fill: null }, now)
    expect(change).toEqual({
      fills: { fill: null },
      borderTop: { width: 2, color: '#333333' },
      radiusTopLeft: null,
      radiusTopRight: null,
      radiusBottomRight: null,
      radiusBottomLeft: null,
    })
    const doc = withBox({})
    replay(doc, [
      { op: 'set', node: 'b', props: { borderColor: '#555555' } },
      {
        op: 'set',
        node: 'b',
        props: { borderTop: 3, shadow: { x: 0, y: 1, blur: 2, spread: 0, color: '#000000' } },
      },
    ])
    expect(doc.node('b').props).toMatchObject({
      borderTop: { width: 3, color: '#555555' },
      shadows: { shadow: { order: 'a0', y: 1 } },
    })
  })
})
