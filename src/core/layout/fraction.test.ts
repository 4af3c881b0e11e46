import { expect, test } from 'vitest'
import { box, exactly, lay } from '../arrange/test-page'
import type { NodeTree } from '../document/schema'
import type { Props } from '../properties/table'
import { said } from '../words/words'
import { fractionIn, fractionWords } from './fraction'

const text = (id: string, props: Props): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order: `a${id}`,
  props: { words: said('Beans'), ...props },
})

const why = (...children: NodeTree[]) => {
  const { layout } = lay({ flow: 'column', height: { kind: 'snug' } }, children)
  const found = fractionIn(layout.boxes.get('s')!)
  return found && fractionWords(found, found.node.name)
}

test('whole heights have no reason to give', () => {
  expect(why(box('a', exactly(100, 40)), text('t', { fontSize: 20, lineHeight: { px: 30 } }))).toBe(undefined)
})

test('the innermost block that brings parts of a px is named, with what it is in it', () => {
  const lines = text('t', { fontSize: 17, lineHeight: { ratio: 1.5 } })
  expect(why(box('a', { flow: 'column' }, [box('b', exactly(10, 10)), lines]))).toBe('t has lines of 25.5 px')
  expect(why(box('a', { width: { kind: 'exact', px: 101 }, ratio: 2 }))).toBe(
    'a keeps its shape and is 50.5 px high',
  )
  expect(why(box('a', exactly(100, 40.25)))).toBe('a has lengths in parts of a px: 40.25')
  expect(why(box('a', exactly(100, 60), []), box('p', { ...exactly(10, 10), paddingTop: 0 }))).toBe(undefined)
  expect(
    why(box('a', { flow: 'column', rowGap: 10.5 }, [box('b', exactly(1, 1)), box('c', exactly(1, 1))])),
  ).toBe('a has lengths in parts of a px: 12.5')
  const half = { width: { kind: 'exact', px: 9 }, height: { kind: 'percent', percent: 50 } } as const
  expect(why(box('a', { flow: 'column', ...exactly(100, 41) }, [box('b', half)]))).toBe(undefined)
})
