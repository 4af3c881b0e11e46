import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { Instances } from '../expand/instances'
import { type Carried, carriedWidth, carryRow } from './carried'
import { Carrying } from './carrying'

const cell = (span: number, column: number, more: Partial<Carried> = {}): Carried => ({
  span,
  from: 0,
  row: 0,
  column,
  least: 1,
  square: false,
  ...more,
})
const spansOf = (row: Carried[], before: number, now: number) =>
  carryRow(row, before, now).map(({ from, span }) => (from === 0 ? span : [from, from + span - 1]))

describe('a row carried to a phone', () => {
  test.each([
    ['halves', [cell(6, 0), cell(6, 6)], [4, 4]],
    ['a block in columns 7–12', [cell(6, 6, { from: 7 })], [4]],
    ['quarters', [cell(3, 0), cell(3, 3), cell(3, 6), cell(3, 9)], [4, 4, 4, 4]],
    ['less than a quarter', [cell(2, 0), cell(2, 2)], [2, 2]],
    ['small squares', [cell(4, 0, { square: true }), cell(4, 4, { square: true })], [2, 2]],
    ['large squares', [cell(6, 0, { square: true })], [4]],
  ])('%s', (_, row, spans) => expect(spansOf(row, 12, 4)).toEqual(spans))
})

describe('a row carried to a tablet', () => {
  test.each([
    ['thirds stay equal and fill their row', [cell(4, 0), cell(4, 4), cell(4, 8)], [4, 4, 4]],
    ['the last of them too, alone in its row', [cell(4, 0)], [4]],
    ['quarters', [cell(3, 0), cell(3, 3), cell(3, 6), cell(3, 9)], [2, 2, 2, 2]],
    ['quarters that could not be read', [cell(3, 0, { least: 3 }), cell(3, 3)], [4, 4]],
    ['a sidebar keeps its edge', [cell(4, 0), cell(8, 4)], [3, 5]],
    ['five beside seven', [cell(5, 0), cell(7, 5)], [3, 5]],
    ['a label is widened from what is beside it', [cell(1, 0, { least: 2 }), cell(11, 1)], [2, 6]],
    ['what has no room takes rows', [cell(1, 0, { least: 5 }), cell(11, 1, { least: 5 })], [8, 8]],
    ['a measure in the middle', [cell(8, 2, { from: 3 })], [[2, 7]]],
    ['halves with a place', [cell(6, 0, { from: 1 }), cell(6, 6, { from: 7 })], [[1, 4], [5, 8]]], // biome-ignore format: one line a case
  ])('%s', (_, row, spans) => expect(spansOf(row, 12, 8)).toEqual(spans))
})

describe('any row', () => {
  const rows = fc
    .record({
      before: fc.integer({ min: 1, max: 24 }),
      now: fc.integer({ min: 1, max: 24 }),
      parts: fc.array(fc.record({ gap: fc.nat(3), span: fc.integer({ min: 1, max: 12 }), square: fc.boolean(), least: fc.integer({ min: 1, max: 4 }), fixed: fc.boolean() }), { minLength: 1, maxLength: 8 }), // biome-ignore format: one record
    })
    .map(({ before, now, parts }) => {
      const row: Carried[] = []
      let column = 0
      for (const { gap, span, square, least, fixed } of parts) {
        const at = column + (fixed ? gap : 0)
        if (at + span > before) continue
        row.push({ span, from: fixed ? at + 1 : 0, row: 0, column: at, square, least: Math.min(least, now) })
        column = at + span
      }
      return { before, now, row }
    })
    .filter(({ row, before, now }) => row.length > 0 && before !== now)

  test('stays in the sheet; what shared a row and had a place does not lie on another', () => {
    fc.assert(
      fc.property(rows, ({ row, before, now }) => {
        const placed = carryRow(row, before, now)
        let end = 0
        for (const { from, span } of placed) {
          expect(span).toBeGreaterThanOrEqual(1)
          expect(Math.max(1, from) + span - 1).toBeLessThanOrEqual(now)
          if (from === 0) continue
          expect(from).toBeGreaterThan(end)
          end = from + span - 1
        }
      }),
    )
  })

  test('is never narrower than what can be read', () => {
    fc.assert(
      fc.property(rows, ({ row, before, now }) => {
        fc.pre(now < before && now >= 5)
        for (const [i, { span }] of carryRow(row, before, now).entries())
          expect(span).toBeGreaterThanOrEqual(row[i]!.least)
      }),
    )
  })

  test('of equal blocks is of equal blocks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 24 }),
        (span, count, now) => {
          const before = span * count
          fc.pre(before !== now)
          const placed = carryRow(
            Array.from({ length: count }, (_, i) => cell(span, i * span)),
            before,
            now,
          )
          expect(new Set(placed.map((each) => each.span)).size).toBe(1)
        },
      ),
    )
  })
})

test('by itself a block has its share, or all of few columns', () => {
  expect(carriedWidth(6, 12, 4)).toBe(4)
  expect(carriedWidth(2, 12, 4)).toBe(1)
  expect(carriedWidth(6, 12, 8)).toBe(4)
})

describe('on a page', () => {
  const lattice = {
    gutter: 16,
    container: null,
    margin: 20,
    place: 'center' as const,
    halfGutters: false,
    baseline: 8,
  }
  const columns = (span: number, from?: number) => ({
    width: { kind: 'columns' as const, span, ...(from ? { from } : {}) },
  })
  const block = (id: string, props: object, more: object = {}) =>
    ({ id, kind: 'box', name: id, order: id, props, ...more }) as NodeTree
  const project = (children: NodeTree[]) =>
    Document.fromFile({
      format: 'just-lattice',
      version: 3,
      name: 'Carried',
      tokens: {},
      assets: [],
      views: [
        {
          id: 'wide',
          name: 'Desktop',
          width: 1440,
          breakpoint: null,
          fold: 900,
          lattice: { ...lattice, columns: 12 },
        },
        {
          id: 'middle',
          name: 'Tablet',
          width: 834,
          breakpoint: 1023,
          fold: 1112,
          lattice: { ...lattice, columns: 8 },
        },
        {
          id: 'narrow',
          name: 'Mobile',
          width: 390,
          breakpoint: 599,
          fold: 844,
          lattice: { ...lattice, columns: 4 },
        },
      ],
      pages: [{ id: 'page', name: 'Home', path: '/', order: 'a0', views: [], guides: [], notes: [], sections: [block('s', { flow: 'lattice' }, { kind: 'section', children })] }], // biome-ignore format: one page
    } as unknown as ProjectFile)
  const widthOf = (doc: Document, id: string, view: string) => {
    const instances = new Instances(doc, 'page')
    return new Carrying(doc, instances).widthOf(instances.node(id), view)
  }

  test('a block is carried from the view that says its columns, not step by step', () => {
    const doc = project([block('a', columns(2)), block('b', columns(2))])
    expect(widthOf(doc, 'a', 'wide')).toBeUndefined()
    expect(widthOf(doc, 'a', 'middle')).toEqual({ kind: 'columns', span: 2 })
    expect(widthOf(doc, 'a', 'narrow')).toEqual({ kind: 'columns', span: 2 })
  })

  test('with columns of its own it is not', () => {
    const doc = project([block('a', columns(6, 7), { overrides: { middle: columns(2) } })])
    expect(widthOf(doc, 'a', 'middle')).toBeUndefined()
    expect(widthOf(doc, 'a', 'narrow')).toEqual({ kind: 'columns', span: 4 })
  })

  test('a nested lattice is carried by its own columns', () => {
    const inner = [block('x', columns(3)), block('y', columns(3))]
    const doc = project([block('a', { flow: 'lattice', ...columns(6) }, { children: inner })])
    // Six columns became four of eight, two thirds of them.
    expect(widthOf(doc, 'x', 'middle')).toEqual({ kind: 'columns', span: 4 })
    expect(widthOf(doc, 'x', 'narrow')).toEqual({ kind: 'columns', span: 4 })
  })

  test('in a column it is as wide as its parent', () => {
    const doc = project([
      block('a', { flow: 'column', ...columns(6) }, { children: [block('x', columns(5))] }),
    ])
    expect(widthOf(doc, 'x', 'narrow')).toEqual({ kind: 'percent', percent: 100 })
    expect(widthOf(doc, 'x', 'middle')).toEqual({ kind: 'columns', span: 3 })
  })
})
