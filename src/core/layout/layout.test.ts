/** Layout against worked cases, each named for the CSS rule it exercises; the browser is asked in the conformance run. */

import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyEdit } from '../edits/apply'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { PageLayout } from './page'

let count = 0
const node = (
  props: Props,
  children: NodeTree[] = [],
  kind: NodeTree['kind'] = 'box',
  id = `n${count++}`,
): NodeTree => ({ id, kind, name: id, order: `a${String(count++).padStart(5, '0')}`, props, children })
const exact = (width: number, height: number): Props => ({
  width: { kind: 'exact', px: width },
  height: { kind: 'exact', px: height },
})
const leaf = (width: number, height: number, more: Props = {}, id?: string) =>
  node({ ...exact(width, height), ...more }, [], 'box', id)

function lay(section: Props, children: NodeTree[], width = 1440) {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 'section',
      kind: 'section',
      name: 'Section',
      order: 'a0',
      props: { fullBleed: true, ...section },
      children,
    },
  ]
  const doc = Document.fromFile(file)
  const layout = new PageLayout(
    doc,
    'home',
    doc.viewAt(width).id,
    width,
    new ParagraphCache(new FontLibrary()),
  )
  const rect = (id: string) => layout.rect(id)!
  return { doc, layout, rect }
}

describe('lengths are whole layout units, 1/64 px, shared out as Chromium does', () => {
  const units = (layout: PageLayout, ids: string[]) => ids.map((id) => layout.rect(id)!.width * 64)
  const IDS = ['a', 'b', 'c', 'd', 'e', 'f', 'g']

  test('weights: from the last to the first, each its part of what is left, to the nearest', () => {
    const shared = (width: number, weights: number[]) => {
      const row = node(
        { flow: 'row', ...exact(width / 64, 10) },
        weights.map((weight, i) => node({ width: { kind: 'stretch', weight } }, [], 'box', IDS[i])),
      )
      return units(lay({ flow: 'row' }, [row]).layout, IDS.slice(0, weights.length))
    }
    expect(shared(6400, [1, 1, 1])).toEqual([2133, 2134, 2133])
    expect(shared(12800, [1, 1, 1])).toEqual([4266, 4267, 4267])
    expect(shared(6400, [1, 1, 1, 1, 1, 1, 1])).toEqual([914, 915, 914, 915, 914, 914, 914])
    expect(shared(6483, [1, 2.5, 1])).toEqual([1441, 3601, 1441])
    expect(shared(6405, [3, 2, 1])).toEqual([3202, 2135, 1068])
    expect(shared(6404, [1, 2, 3, 1])).toEqual([915, 1829, 2745, 915])
  })

  test('columns: cut, what is left of one goes to the next', () => {
    const tracks = (count: number, width: number, gap: number) => {
      const lattice = node(
        { flow: 'lattice', columns: count, columnGap: gap, ...exact(width, 10) },
        Array.from({ length: count }, (_, i) =>
          node({ width: { kind: 'columns', span: 1 } }, [], 'box', `t${i}`),
        ),
      )
      const { layout } = lay({ flow: 'row' }, [lattice])
      return units(
        layout,
        Array.from({ length: count }, (_, i) => `t${i}`),
      )
    }
    expect(tracks(7, 100, 0)).toEqual([914, 914, 914, 915, 914, 914, 914])
    const twelve = [4730, 4731, 4731, 4731, 4731, 4731, 4730, 4731, 4731, 4731, 4731, 4731]
    expect(tracks(12, 1000.3, 10.3)).toEqual(twelve)
  })

  test('lengths, shares and ratios: cut', () => {
    const { layout } = lay({ flow: 'column' }, [
      node({ flow: 'column', ...exact(1000.3, 200) }, [
        node({ width: { kind: 'percent', percent: 33.3 } }, [], 'box', 'a'),
        node({ width: { kind: 'percent', percent: 12.345 } }, [], 'box', 'b'),
        leaf(33.33, 10, {}, 'c'),
        node({ width: { kind: 'snug' }, height: { kind: 'exact', px: 33.3 }, ratio: 1.5 }, [], 'box', 'd'),
      ]),
    ])
    expect(units(layout, ['a', 'b', 'c', 'd'])).toEqual([21318, 7903, 2133, 3196])
  })
})

describe('rows and columns', () => {
  test('stretch shares what is left by weight (flex-grow)', () => {
    const { rect } = lay({ flow: 'row', rowGap: 20 }, [
      leaf(200, 10),
      node({ width: { kind: 'stretch', weight: 1 } }, [], 'box', 'one'),
      node({ width: { kind: 'stretch', weight: 3 } }, [], 'box', 'three'),
    ])
    expect(rect('one').width).toBe(300)
    expect(rect('three')).toMatchObject({ x: 540, width: 900 })
  })
  test('a maximum frees room for the others (the freeze loop)', () => {
    const grow: Props = { width: { kind: 'stretch', weight: 1 } }
    const { rect } = lay({ flow: 'row' }, [
      node({ ...grow, maxWidth: 100 }, [], 'box', 'capped'),
      node(grow, [], 'box', 'free'),
    ])
    expect(rect('capped').width).toBe(100)
    expect(rect('free').width).toBe(1340)
  })
  test('stretch is never narrower than its content (automatic minimum size)', () => {
    const { rect } = lay({ flow: 'row' }, [
      node({ width: { kind: 'stretch', weight: 1 }, flow: 'row' }, [leaf(1000, 10)], 'box', 'wide'),
      node({ width: { kind: 'stretch', weight: 1 } }, [], 'box', 'rest'),
    ])
    expect(rect('wide').width).toBe(1000)
    expect(rect('rest').width).toBe(440)
  })
  test('wrap starts a new line when the next does not fit', () => {
    const { rect, layout } = lay({ flow: 'row', wrap: true, rowGap: 10, columnGap: 20 }, [
      leaf(700, 40),
      leaf(700, 30, {}, 'fits'),
      leaf(100, 50, {}, 'next'),
    ])
    expect(rect('fits')).toMatchObject({ x: 720, y: 0 })
    expect(rect('next')).toMatchObject({ x: 0, y: 50 })
    expect(layout.height).toBe(100)
  })
  test('packed apart, around, at the end', () => {
    const spread = (justify: Props['justify']) =>
      lay({ flow: 'row', justify }, [leaf(100, 10), leaf(100, 10, {}, 'last')]).rect('last').x
    expect(spread('space-between')).toBe(1340)
    expect(spread('end')).toBe(1340)
    expect(spread('center')).toBe(720)
    expect(spread('space-evenly')).toBe(926.65625)
  })
  test('lined up in the middle; stretched across', () => {
    const { rect } = lay({ flow: 'row', align: 'center', height: { kind: 'exact', px: 200 } }, [
      leaf(100, 50, {}, 'mid'),
      node({ width: { kind: 'exact', px: 10 }, height: { kind: 'stretch', weight: 1 } }, [], 'box', 'tall'),
    ])
    expect(rect('mid').y).toBe(75)
    expect(rect('tall')).toMatchObject({ y: 0, height: 200 })
  })
  test('percent of a definite parent, and of none', () => {
    const { rect } = lay({ flow: 'column', height: { kind: 'exact', px: 400 } }, [
      node(
        { width: { kind: 'percent', percent: 50 }, height: { kind: 'percent', percent: 25 } },
        [],
        'box',
        'quarter',
      ),
    ])
    expect(rect('quarter')).toMatchObject({ width: 720, height: 100 })
    expect(
      lay({ flow: 'column' }, [
        node({ height: { kind: 'percent', percent: 25 } }, [leaf(5, 30)], 'box', 'auto'),
      ]).rect('auto').height,
    ).toBe(30)
  })
  test('a section pushes what is below it', () => {
    const file = starterProject('Test', 'home')
    file.pages[0]!.sections = [120, 300].map((px, i) => ({
      id: `s${i}`,
      kind: 'section',
      name: 'S',
      order: `a${i}`,
      props: { height: { kind: 'exact', px } },
    }))
    const doc = Document.fromFile(file)
    const layout = new PageLayout(doc, 'home', 'desktop', 1440, new ParagraphCache(new FontLibrary()))
    expect(layout.rect('s1')!.y).toBe(120)
    applyEdit(doc, { op: 'set', node: 's0', props: { height: { kind: 'svh', percent: 50 } } })
    layout.update()
    expect(layout.rect('s1')!.y).toBe(450)
    expect(layout.height).toBe(750)
  })
})

describe('lattices', () => {
  const columns = (span: number, from?: number): Props => ({
    width: { kind: 'columns', span, ...(from ? { from } : {}) },
    height: { kind: 'exact', px: 40 },
  })
  test('spans stand on the view’s columns', () => {
    const { rect } = lay({ flow: 'lattice', fullBleed: false }, [node(columns(5, 2), [], 'box', 'five')])
    expect(rect('five')).toMatchObject({ x: 108 + 104, width: 5 * 80 + 4 * 24 })
  })
  test('what has no start goes to the next free place, sparse and dense', () => {
    const items = () => [
      node(columns(8)),
      node(columns(6), [], 'box', 'second'),
      node(columns(4), [], 'box', 'third'),
    ]
    const sparse = lay({ flow: 'lattice', fullBleed: false }, items())
    expect(sparse.rect('second')).toMatchObject({ x: 108, y: 40 })
    expect(sparse.rect('third')).toMatchObject({ y: 40 })
    const dense = lay({ flow: 'lattice', dense: true, fullBleed: false }, items())
    expect(dense.rect('third')).toMatchObject({ x: 108 + 8 * 104, y: 0 })
  })
  test('a lattice in a lattice keeps the outer columns (subgrid)', () => {
    const { rect } = lay({ flow: 'lattice', fullBleed: false }, [
      node({ flow: 'lattice', width: { kind: 'columns', from: 4, span: 6 } }, [
        node(columns(2, 3), [], 'box', 'inner'),
      ]),
    ])
    expect(rect('inner')).toMatchObject({ x: 108 + 5 * 104, width: 184 })
  })
})

describe('cases that random documents found', () => {
  const percent = (of: number): Props => ({
    width: { kind: 'exact', px: 10 },
    height: { kind: 'percent', percent: of },
  })
  test('in a column of definite height every item’s height is definite (Flexbox §9.8)', () => {
    const { rect } = lay({ flow: 'column', height: { kind: 'exact', px: 300 } }, [
      node({ flow: 'row', align: 'start' }, [leaf(10, 40), node(percent(25), [], 'box', 'quarter')]),
    ])
    expect(rect('quarter').height).toBe(10)
  })
  test('a stretched item of an indefinite column is definite inside (its flex basis is)', () => {
    const { rect } = lay({ flow: 'column' }, [
      node({ flow: 'row', height: { kind: 'stretch', weight: 1 } }, [
        leaf(10, 80),
        node(percent(50), [], 'box', 'half'),
      ]),
    ])
    expect(rect('half').height).toBe(40)
  })
  test('a snug item of an indefinite column is not', () => {
    const { rect } = lay({ flow: 'column' }, [
      node({ flow: 'row' }, [leaf(10, 80), node(percent(50), [leaf(5, 6)], 'box', 'auto')]),
    ])
    expect(rect('auto').height).toBe(6)
  })
  test('a baseline above its box adds to nothing (Flexbox §8.3)', () => {
    const { layout } = lay({ flow: 'row', align: 'baseline' }, [
      node({ ...exact(50, 20), flow: 'column', justify: 'end' }, [leaf(10, 100), leaf(10, 30)]),
    ])
    expect(layout.height).toBe(20)
  })
  test('a clipped box’s baseline is held to its edges (Align §9.1)', () => {
    const { rect } = lay({ flow: 'row', align: 'baseline' }, [
      node({ ...exact(50, 20), clip: true, flow: 'column' }, [leaf(10, 100)]),
      leaf(10, 30, {}, 'beside'),
    ])
    expect(rect('beside').y).toBe(0)
  })
  test('space around what overflows starts at the start (Align §5.3)', () => {
    const { rect } = lay({ flow: 'row', justify: 'space-around' }, [
      leaf(1000, 10, {}, 'first'),
      leaf(1000, 10),
    ])
    expect(rect('first').x).toBe(0)
  })
  test('a row asks of an item with a minimum only that (Grid §11.5)', () => {
    const { rect } = lay({ flow: 'lattice', height: { kind: 'exact', px: 60 }, rowGap: 0 }, [
      node({ width: { kind: 'columns', span: 12 }, height: { kind: 'stretch', weight: 1 }, minHeight: 20 }, [
        leaf(10, 200),
      ]),
      node({ width: { kind: 'columns', span: 12 }, height: { kind: 'exact', px: 30 } }, [], 'box', 'second'),
    ])
    expect(rect('second').y).toBe(30)
  })
  test('a subgrid’s padding comes off its outer tracks only (Grid §9)', () => {
    const { rect } = lay({ flow: 'lattice', fullBleed: false }, [
      node(
        { flow: 'lattice', width: { kind: 'columns', from: 1, span: 6 }, paddingLeft: 30, paddingRight: 30 },
        [
          node(
            { width: { kind: 'columns', span: 1, from: 1 }, height: { kind: 'exact', px: 5 } },
            [],
            'box',
            'first',
          ),
          node(
            { width: { kind: 'columns', span: 1, from: 2 }, height: { kind: 'exact', px: 5 } },
            [],
            'box',
            'second',
          ),
        ],
      ),
    ])
    expect(rect('first')).toMatchObject({ x: 138, width: 50 })
    expect(rect('second')).toMatchObject({ x: 212, width: 80 })
  })
})

describe('lifted blocks', () => {
  const inBox = (props: Props) =>
    lay({ flow: 'free', height: { kind: 'exact', px: 400 } }, [node(props, [], 'box', 'it')]).rect('it')
  test('pinned to edges, in px and percent', () => {
    expect(inBox({ ...exact(100, 50), pinRight: { px: 20 }, pinBottom: { percent: 10 } })).toEqual({
      x: 1320,
      y: 310,
      width: 100,
      height: 50,
    })
  })
  test('both edges stretch it', () => {
    expect(
      inBox({
        width: { kind: 'stretch', weight: 1 },
        height: { kind: 'exact', px: 10 },
        pinLeft: { px: 40 },
        pinRight: { px: 60 },
      }),
    ).toMatchObject({ x: 40, width: 1340 })
  })
  test('a centre pin keeps its offset from the middle', () => {
    expect(inBox({ ...exact(100, 50), pinCenterX: 30, pinCenterY: -20 })).toMatchObject({ x: 700, y: 155 })
  })
})
