/** What everyone who draws a layout agrees on. */
import { describe, expect, test } from 'vitest'
import { at, box, exactly, lay } from '../arrange/test-page'
import type { NodeTree, Props } from '../document/schema'
import type { Line } from '../text/paragraph'
import { lineLeft, paintOrder, shownText, turnBack } from './drawing'

const order = (children: NodeTree[], props: Props = { flow: 'row' }) => {
  const { layout } = lay(props, children)
  return paintOrder(layout.boxes.get('s')!).map((each) => each.id)
}
const lifted = (id: string, more: Props = {}) => {
  const block = at(id, 10, 10)
  return { ...block, props: { ...block.props, lifted: true, ...more } }
}

describe('painting', () => {
  test('blocks in their flow first, then the lifted ones as they stand', () => {
    expect(order([lifted('b'), box('a', exactly(10, 10)), lifted('c'), box('d', exactly(10, 10))])).toEqual([
      'a',
      'd',
      'b',
      'c',
    ])
  })
  test('z counts among siblings, below and above all', () => {
    expect(
      order([lifted('b', { z: 2 }), lifted('c', { z: -1 }), lifted('d'), box('e', exactly(10, 10))]),
    ).toEqual(['c', 'e', 'd', 'b'])
  })
  test('what is see-through, blended or turned is painted with the lifted ones, in the document’s order', () => {
    expect(
      order([
        lifted('a'),
        box('b', { ...exactly(10, 10), opacity: 0.5 }),
        box('c', exactly(10, 10)),
        box('d', { ...exactly(10, 10), rotate: 10 }),
      ]),
    ).toEqual(['c', 'a', 'b', 'd'])
  })
  test('an order of its own counts there too', () => {
    expect(
      order([
        box('a', { ...exactly(10, 10), opacity: 0.5, order: 1 }),
        box('b', { ...exactly(10, 10), opacity: 0.5 }),
      ]),
    ).toEqual(['b', 'a'])
  })
})

describe('lines', () => {
  const line = { start: 0, end: 12, width: 60, top: 0, height: 20, baseline: 15 } satisfies Line
  test('begin where their alignment puts them', () => {
    expect([
      lineLeft(line, 100, 'left'),
      lineLeft(line, 100, 'center'),
      lineLeft(line, 100, 'right'),
    ]).toEqual([0, 20, 40])
  })
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
