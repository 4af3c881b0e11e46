/** The order in which blocks are drawn, and where their lines are. */

import { describe, expect, test } from 'vitest'
import { at, box, exactly, lay } from '../arrange/test-page'
import type { NodeTree } from '../document/schema'
import { turnBack } from '../layout/rect'
import type { Props } from '../properties/table'
import { type Line, shownText } from '../text/line'
import { paintedBlocks } from './layers'

const order = (children: NodeTree[], props: Props = { flow: 'row' }) => {
  const { layout } = lay(props, children)
  return paintedBlocks(layout)
    .map((each) => each.id)
    .filter((id) => id.length === 1 && id !== 's' && id !== 'z')
}
const lifted = (id: string, more: Props = {}, children: NodeTree[] = []) => {
  const block = at(id, 10, 10)
  return { ...block, props: { ...block.props, lifted: true, ...more }, children }
}
const small = exactly(10, 10)

describe('painting', () => {
  test('blocks in their flow first, then the lifted ones as they stand', () => {
    expect(order([lifted('b'), box('a', small), lifted('c'), box('d', small)])).toEqual(['a', 'd', 'b', 'c'])
  })
  test('z counts among siblings, below and above all', () => {
    expect(order([lifted('b', { z: 2 }), lifted('c', { z: -1 }), lifted('d'), box('e', small)])).toEqual([
      'c',
      'e',
      'd',
      'b',
    ])
  })
  test('what is see-through, blended or turned is painted with the lifted ones, in the document’s order', () => {
    expect(
      order([
        lifted('a'),
        box('b', { ...small, opacity: 0.5 }),
        box('c', small),
        box('d', { ...small, rotate: 10 }),
      ]),
    ).toEqual(['c', 'a', 'b', 'd'])
  })
  test('an order of its own counts there too', () => {
    expect(
      order([box('a', { ...small, opacity: 0.5, order: 1 }), box('b', { ...small, opacity: 0.5 })]),
    ).toEqual(['b', 'a'])
  })
  test('what is raised inside of a plain block is drawn after the blocks behind that one', () => {
    expect(
      order([box('a', small, [box('b', { ...small, rotate: 10 }), box('c', small)]), box('d', small)]),
    ).toEqual(['a', 'c', 'd', 'b'])
  })
  test('a block that holds lifted ones is drawn with them, and what is raised in it takes its turn', () => {
    expect(
      order([
        box('a', small, [lifted('b'), box('c', small)]),
        box('d', small),
        box('e', { ...small, opacity: 0.5 }),
      ]),
    ).toEqual(['d', 'a', 'c', 'b', 'e'])
  })
  test('in a layer of its own nothing comes out', () => {
    expect(
      order([
        box('a', { ...small, opacity: 0.5 }, [box('b', { ...small, rotate: 10 }), box('c', small)]),
        lifted('d', { z: 1 }, [lifted('e', { z: 5 }), lifted('f', { z: -1 })]),
        lifted('g', { z: 2 }),
      ]),
    ).toEqual(['a', 'c', 'b', 'd', 'f', 'e', 'g'])
  })
})

describe('lines', () => {
  const line = { start: 0, end: 12, width: 60, top: 0, height: 20, baseline: 15 } satisfies Line
  test('show a soft hyphen only at their end', () => {
    const text = 'ger\u00admi\u00adna\u00adtion'
    expect(shownText(text, { ...line, end: text.length })).toBe('germination')
    expect(shownText(text, { ...line, end: 7, hyphen: { text: '‐', width: 5, runs: [] } })).toBe('germi‐')
  })
})

test('a point in a turned block is found where it was before the turn', () => {
  const block = at('a', 100, 100, 200, 100)
  const { layout } = lay({ flow: 'free' }, [{ ...block, props: { ...block.props, rotate: 90 } }])
  const { x, y } = turnBack(layout.boxes.get('a')!, 100, 100, 200, 60)
  // The middle of what was the left edge is seen at the top.
  expect([Math.round(x), Math.round(y)]).toEqual([110, 150])
})
