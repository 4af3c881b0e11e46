import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { PageLayout } from '../layout/page'
import { allCorners, oneFill } from '../properties/items'
import { LOOK_PARTS } from '../properties/property'
import { said } from '../words/words'
import { alignEdits, distributeEdits, gapEdits, sameSizeEdits, stackEdits, swapEdits } from './align'
import { distances } from './gauge'
import { insertEdits, insertionAt } from './insertion'
import { lookFor, lookOf } from './look'
import { mirrorEdits, repeatEdits } from './repeat'
import { SNAP_KINDS, snapLines, snapRect } from './snap'
import { at, box, exactly, lay, makeId, paragraphs, set } from './test-page'

const loose = () => lay({ flow: 'free' }, [at('a', 10, 10), at('b', 200, 60, 60), at('c', 500, 200, 30, 90)])

describe('align', () => {
  test.each([
    ['left', 'x', 10],
    ['top', 'y', 10],
  ] as const)('lifted blocks to each other: %s', (edge, axis, value) => {
    const { layout, run, rect } = loose()
    run(alignEdits(layout, ['a', 'b', 'c'], edge, 'each other', set))
    for (const id of ['a', 'b', 'c']) expect(rect(id)[axis]).toBe(value)
  })
  test('to the sheet’s middle, and to the lattice', () => {
    const { layout, run, rect } = loose()
    run(alignEdits(layout, ['a'], 'centre', 'sheet', set))
    expect(rect('a').x).toBe(670)
    run(alignEdits(layout, ['a'], 'right', 'lattice', set))
    expect(rect('a').x + 100).toBe(layout.used.left + layout.used.container)
  })
  test('in a flow: across by the block, along by its box', () => {
    const { doc, layout, run } = lay({ flow: 'row' }, [box('a', exactly(10, 10)), box('b', exactly(10, 20))])
    run(alignEdits(layout, ['a', 'b'], 'bottom', 'parent', set))
    expect(doc.node('a').props.alignSelf).toBe('end')
    run(alignEdits(layout, ['a', 'b'], 'right', 'parent', set))
    expect(doc.node('s').props.justify).toBe('end')
  })
  test('sections and single blocks are refused with a reason', () => {
    const { layout } = loose()
    expect(alignEdits(layout, ['s'], 'left', 'sheet', set)).toMatch(/sections/)
    expect(alignEdits(layout, ['a'], 'left', 'each other', set)).toMatch(/two or more/)
  })
  test('equal gaps add up, first and last stay', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 5, max: 80 })), {
          minLength: 3,
          maxLength: 7,
        }),
        (list) => {
          const { layout, run, rect } = lay(
            { flow: 'free' },
            list.map(([x, width], i) => at(`k${i}`, x + i, 0, width)),
          )
          const ids = list.map((_, i) => `k${i}`)
          const sorted = [...ids].sort((p, q) => rect(p).x - rect(q).x)
          const ends = [rect(sorted[0]!).x, rect(sorted[sorted.length - 1]!).x]
          run(distributeEdits(layout, ids, 'x', 'gaps', set))
          expect([rect(sorted[0]!).x, rect(sorted[sorted.length - 1]!).x]).toEqual(ends)
          const gaps = sorted
            .slice(1)
            .map((id, i) => rect(id).x - rect(sorted[i]!).x - rect(sorted[i]!).width)
          for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0]!, 1)
        },
      ),
      { numRuns: 60 },
    )
  })
  test('one gap for all; as wide as the last; swapped; in front', () => {
    const { doc, layout, run, rect } = loose()
    run(gapEdits(layout, ['a', 'b', 'c'], 24, set))
    expect([rect('b').x, rect('c').x]).toEqual([134, 218])
    run(sameSizeEdits(layout, ['a', 'b', 'c'], 'width', set))
    expect([rect('a').width, rect('b').width]).toEqual([30, 30])
    const places = [rect('a'), rect('c')]
    run(swapEdits(doc, layout, ['a', 'c'], set))
    expect([rect('c').x, rect('c').y]).toEqual([places[0]!.x, places[0]!.y])
    expect([rect('a').x, rect('a').y]).toEqual([places[1]!.x, places[1]!.y])
    run(stackEdits(layout, 'a', 'front', set))
    expect(doc.node('a').props.z).toBe(1)
    expect(stackEdits(layout, 'a', 'front', set)).toEqual([])
    const row = lay({ flow: 'row' }, [box('a', {}), box('b', {}), box('c', {})])
    row.run(swapEdits(row.doc, row.layout, ['a', 'c'], set))
    expect(row.doc.node('s').children).toEqual(['c', 'b', 'a'])
  })
})

describe('snapping', () => {
  const all = new Set(SNAP_KINDS)
  test('a left edge lands on a column’s left edge, a right edge on a right one, never the other way', () => {
    const { layout } = lay({ flow: 'free' }, [at('a', 0, 0)])
    const lines = snapLines(layout, ['a'], new Set(['columns'] as const))
    const { left, columnWidth, gutter } = layout.used
    const second = left + columnWidth + gutter
    expect(snapRect({ x: second + 3, y: 0, width: 10, height: 10 }, lines, 5).hits[0]!.reason).toBe(
      'column 2, left edge',
    )
    const end = snapRect({ x: left + columnWidth - 53, y: 0, width: 50, height: 10 }, lines, 5)
    expect(end.rect.x + 50).toBeCloseTo(left + columnWidth)
    expect(end.hits[0]!.reason).toBe('column 1, right edge')
  })
  test('equal gaps, the page’s centre, the baseline', () => {
    const { layout } = lay({ flow: 'free' }, [at('a', 0, 0), at('b', 136, 0), at('c', 700, 300)])
    const hits = (x: number, y: number) =>
      snapRect({ x, y, width: 100, height: 40 }, snapLines(layout, ['c'], all), 4, 8).hits.map(
        (hit) => hit.reason,
      )
    expect(hits(274, 103)).toEqual(['gap 36 = 36', 'baseline step 13'])
    expect(hits(672, 300)).toContain('page centre')
  })
  test('a centre lands on a gutter’s middle', () => {
    const { layout } = lay({ flow: 'free' }, [at('a', 0, 0)])
    const { left, columnWidth, gutter } = layout.used
    const middle = left + columnWidth + gutter / 2
    const lines = snapLines(layout, ['a'], new Set(['gutters'] as const))
    const { rect, hits } = snapRect({ x: middle - 22, y: 0, width: 40, height: 10 }, lines, 4)
    expect(rect.x + 20).toBeCloseTo(middle)
    expect(hits[0]!.reason).toBe('middle of gutter 1')
  })
  test('what is out of reach stays', () => {
    const { layout } = lay({ flow: 'free' }, [at('a', 0, 0)])
    const rect = { x: 11.3, y: 211.7, width: 20, height: 20 }
    expect(snapRect(rect, snapLines(layout, ['a'], new Set(['centre'] as const)), 4)).toEqual({
      rect,
      hits: [],
    })
  })
})

describe('gauge', () => {
  test('the gap between two, and the four distances inside', () => {
    expect(distances({ x: 0, y: 0, width: 10, height: 10 }, { x: 46, y: 2, width: 10, height: 10 })).toEqual([
      { axis: 'x', from: 10, to: 46, at: 6, length: 36 },
    ])
    const inside = distances({ x: 0, y: 0, width: 100, height: 80 }, { x: 12, y: 20, width: 40, height: 30 })
    expect(inside.map((each) => each.length)).toEqual([12, 48, 20, 30])
  })
  test('the same seen from either side', () => {
    const rect = fc.record({
      x: fc.integer({ min: 0, max: 200 }),
      y: fc.integer({ min: 0, max: 200 }),
      width: fc.integer({ min: 1, max: 90 }),
      height: fc.integer({ min: 1, max: 90 }),
    })
    fc.assert(
      fc.property(rect, rect, (a, b) => {
        expect(
          distances(a, b)
            .map((each) => each.length)
            .sort(),
        ).toEqual(
          distances(b, a)
            .map((each) => each.length)
            .sort(),
        )
      }),
    )
  })
})

describe('where a dragged block would go', () => {
  test('between two in a row, into another box, among the sections', () => {
    const { doc, layout } = lay({ flow: 'row', columnGap: 10 }, [
      box('a', exactly(100, 50)),
      box('b', exactly(100, 50)),
      box('host', { ...exactly(300, 200), flow: 'column' }),
    ])
    const x = layout.rect('b')!.x
    const first = insertionAt(doc, layout, ['a'], x + 80, layout.rect('b')!.y + 10)!
    expect(first).toMatchObject({ parent: 's', index: 1, words: 'before host in Section' })
    expect(insertEdits(layout, doc, ['a'], first, set)).toHaveLength(1)
    const empty = insertionAt(doc, layout, ['a'], layout.rect('host')!.x + 150, layout.rect('host')!.y + 100)!
    expect(empty).toMatchObject({ parent: 'host', index: 0, empty: true })
    expect(insertionAt(doc, layout, ['s'], 10, 460)).toMatchObject({ index: 1, words: 'last in the page' })
  })
  test('several go together, in their order', () => {
    const { doc, layout, run } = lay(
      { flow: 'column' },
      ['a', 'b', 'c', 'd'].map((id) => box(id, exactly(100, 50))),
    )
    const end = insertionAt(doc, layout, ['a', 'c'], layout.rect('d')!.x + 4, 195)!
    expect(end).toMatchObject({ parent: 's', index: 2, words: 'last in Section' })
    run(insertEdits(layout, doc, ['a', 'c'], end, set))
    expect(doc.node('s').children).toEqual(['b', 'd', 'a', 'c'])
    expect(insertEdits(layout, doc, ['a', 'c'], end, set)).toEqual([])
  })
  test('where it already is there is nothing to do', () => {
    const { doc, layout } = lay({ flow: 'column' }, [box('a', exactly(100, 50)), box('b', exactly(100, 50))])
    const there = insertionAt(doc, layout, ['a'], layout.rect('a')!.x + 4, 5)!
    expect(insertEdits(layout, doc, ['a'], there, set)).toEqual([])
  })
})

describe('mirror and repeat', () => {
  test('a row turned round, twice, is as it was', () => {
    const { doc, layout, run, rect } = lay({ flow: 'row' }, [
      box('a', exactly(100, 50)),
      box('b', exactly(60, 50)),
      box('c', exactly(20, 50)),
    ])
    const before = ['a', 'b', 'c'].map((id) => rect(id).x)
    run(mirrorEdits(layout, doc, 's', false, set))
    expect(doc.node('s').children).toEqual(['c', 'b', 'a'])
    run(mirrorEdits(layout, doc, 's', false, set))
    expect(['a', 'b', 'c'].map((id) => rect(id).x)).toEqual(before)
  })
  test('columns of a lattice change sides', () => {
    const { doc, layout, run } = lay({ flow: 'lattice' }, [
      box('a', { width: { kind: 'columns', span: 7, from: 1 } }),
      box('b', { width: { kind: 'columns', span: 4, from: 9 } }),
    ])
    run(mirrorEdits(layout, doc, 's', false, set))
    expect(doc.node('a').props.width).toEqual({ kind: 'columns', span: 7, from: 6 })
    expect(doc.node('b').props.width).toEqual({ kind: 'columns', span: 4, from: 1 })
    // Still one row: the right one comes second.
    expect(doc.node('s').children).toEqual(['b', 'a'])
    expect(layout.rect('a')!.y).toBe(layout.rect('b')!.y)
  })
  test('blocks that a lattice places by itself change sides by their order', () => {
    const spans = (id: string, span: number) =>
      box(id, { width: { kind: 'columns', span }, ...{ height: { kind: 'exact', px: 40 } } })
    const { doc, layout, run, rect } = lay({ flow: 'lattice' }, [spans('a', 7), spans('b', 5), spans('c', 4)])
    run(mirrorEdits(layout, doc, 's', false, set))
    expect(doc.node('s').children).toEqual(['b', 'a', 'c'])
    expect(doc.node('a').props.width).toEqual({ kind: 'columns', span: 7 })
    // A row that is not full keeps its distance from the side.
    expect(doc.node('c').props.width).toEqual({ kind: 'columns', span: 4, from: 9 })
    expect(rect('a').x).toBeGreaterThan(rect('b').x)
    expect(rect('a').y).toBe(rect('b').y)
  })
  test('on one view alone nothing moves on the others', () => {
    const { doc, layout, run } = lay({ flow: 'row' }, [box('a', exactly(100, 50)), box('b', exactly(60, 50))])
    const narrow = new PageLayout(doc, layout.page, 'mobile', 390, paragraphs)
    run(
      mirrorEdits(narrow, doc, 's', true, (node, props) => ({
        op: 'set',
        node: node.id,
        view: 'mobile',
        props,
      })),
    )
    narrow.update()
    expect(doc.node('s').children).toEqual(['a', 'b'])
    expect(layout.rect('a')!.x).toBeLessThan(layout.rect('b')!.x)
    expect(narrow.rect('a')!.x).toBeGreaterThan(narrow.rect('b')!.x)
  })
  test('copies along the lattice, and with a gap', () => {
    const onLattice = lay({ flow: 'lattice' }, [box('a', { width: { kind: 'columns', span: 4, from: 1 } })])
    const steps = repeatEdits(onLattice.layout, onLattice.doc, 'a', 2, 'x', 0, makeId)
    if (typeof steps === 'string') throw new Error(steps)
    onLattice.run(steps.edits)
    expect(steps.copies.map((id) => onLattice.doc.node(id).props.width)).toEqual([
      { kind: 'columns', span: 4, from: 5 },
      { kind: 'columns', span: 4, from: 9 },
    ])
    const free = loose()
    const row = repeatEdits(free.layout, free.doc, 'a', 3, 'x', 16, makeId)
    if (typeof row === 'string') throw new Error(row)
    free.run(row.edits)
    expect(row.copies.map((id) => free.rect(id).x)).toEqual([126, 242, 358])
  })
})

describe('looks', () => {
  test('only the chosen parts go over, type only onto words, and what is not set is put back', () => {
    const { doc } = lay({ flow: 'row' }, [
      box('a', { ...exactly(10, 10), fills: oneFill('#112233'), ...allCorners(4), paddingTop: 8 }),
      { ...box('w', { words: said('w'), fontSize: 20 }), kind: 'text' },
    ])
    const look = lookOf(doc.node('a').props)
    expect(lookFor(look, doc.node('w'), new Set(['fill'] as const))).toEqual({
      fills: oneFill('#112233'),
      fillsIn: null,
    })
    expect(lookFor(look, doc.node('a'), new Set(['type'] as const))).toEqual({})
    expect(lookFor(look, doc.node('w'), new Set(LOOK_PARTS))).toMatchObject({
      ...allCorners(4),
      fontSize: null,
      paddingTop: 8,
    })
    expect(lookFor(look, doc.node('w'), new Set(LOOK_PARTS))).not.toHaveProperty('rowGap')
  })
})
