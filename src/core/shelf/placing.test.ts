import { describe, expect, test } from 'vitest'
import { box, lay } from '../arrange/test-page'
import type { Props } from '../properties/table'
import type { Draft } from './build'
import { firstSize } from './first-size'
import { inkedFor } from './ink-beside'
import { foundOnShelf } from './search'

const draft = (kind: Draft['kind'], props: Props = {}, children: Draft[] = []): Draft => ({
  kind,
  name: kind,
  props,
  overrides: {},
  children,
})
const columns = (span: number): Props => ({ width: { kind: 'columns', span } })

describe('found on the shelf', () => {
  test.each([
    ['link', 'link'],
    ['row', 'row'],
    ['button', 'button'],
    ['picture', 'picture'],
    ['lattice', 'lattice'],
    ['column', 'column'],
    ['heading', 'heading'],
  ])('%s: the block of that name first', (typed, id) => expect(foundOnShelf(typed)[0]!.id).toBe(id))
  test('by other words, too, behind those that are called so', () => {
    const found = foundOnShelf('link').map(({ id }) => id)
    expect(found.length).toBeGreaterThan(2)
    expect(found[0]).toBe('link')
  })
  test('nothing for what nothing is called', () => expect(foundOnShelf('zeppelin')).toEqual([]))
})

describe('the first size', () => {
  const lattice = (props: Props[] = []) =>
    lay(
      { flow: 'lattice' },
      props.map((each, i) => box(`k${i}`, each)),
    ).layout.boxes.get('s')!
  test.each([
    ['a heading', draft('text', { type: '{type.heading}' }), 12],
    ['a paragraph', draft('text', { type: '{type.body}' }), 7],
    ['a link', draft('text', { link: '#' }), 2],
    ['a picture', draft('picture'), 4],
    ['a box', draft('box'), 6],
    ['a card', draft('box', {}, [draft('text')]), 4],
  ] as const)('%s in an empty lattice', (_, each, span) => {
    expect(firstSize(each, lattice(), 12)).toEqual(columns(span))
  })
  test('what is left of the row, where that is a third to two thirds', () => {
    expect(firstSize(draft('picture'), lattice([columns(6)]), 12)).toEqual(columns(6))
    expect(firstSize(draft('box'), lattice([columns(4)]), 12)).toEqual(columns(8))
    expect(firstSize(draft('picture'), lattice([columns(11)]), 12)).toEqual(columns(4))
    expect(firstSize(draft('picture'), lattice([columns(6), columns(6)]), 12)).toEqual(columns(4))
  })
  test('what says its width keeps it; in a column most take what they have', () => {
    const { layout } = lay({ flow: 'column' }, [])
    expect(firstSize(draft('picture', columns(3)), lattice(), 12)).toEqual({})
    expect(firstSize(draft('text'), layout.boxes.get('s'), 12)).toEqual({})
    expect(firstSize(draft('picture'), layout.boxes.get('s'), 12)).toEqual({
      width: { kind: 'columns', span: 6 },
    })
  })
})

describe('a line placed among words', () => {
  const words = (id: string, color?: string) => ({
    ...box(id, color ? { color } : {}),
    kind: 'text' as const,
  })
  const line = draft('shape', { stroke: { width: 2, color: '{color.ink}' } })
  const colorAt = (blocks: Parameters<typeof lay>[1], parent: string, index: number, placed = line) => {
    const { doc } = lay({ flow: 'column' }, blocks)
    return inkedFor(doc, placed, parent, index).props.stroke?.color
  }
  const blocks = () => [words('a', '#111111'), { ...box('b', {}), children: [] }, words('c', '#222222')]
  test('has the colour of those before it, or else behind it', () => {
    expect(colorAt(blocks(), 's', 2)).toBe('#111111')
    expect(colorAt(blocks(), 's', 3)).toBe('#222222')
    expect(colorAt(blocks(), 's', 0)).toBe('#111111')
  })
  test('words are light where those beside them are, and keep their own ink beside any that are dark', () => {
    const plain = draft('text', { color: '{color.ink}' })
    const beside = (color: string) => {
      const { doc } = lay({ flow: 'column' }, [words('a', color)])
      return inkedFor(doc, plain, 's', 1).props.color
    }
    expect(beside('#fff8ee')).toBe('#fff8ee')
    expect(beside('{color.paper}')).toBe('{color.paper}')
    for (const dark of ['#8a5a00', '{color.pine}', '{color.ink}']) expect(beside(dark)).toBe('{color.ink}')
  })
  test('in a box without words, of those around the box', () =>
    expect(colorAt(blocks(), 'b', 0)).toBe('#111111'))
  test('stays plain where no words have a colour, and what is coloured or painted stays so', () => {
    expect(colorAt([words('a')], 's', 1)).toBe('{color.ink}')
    const red = draft('shape', { stroke: { width: 2, color: '#ff0000' } })
    expect(colorAt(blocks(), 's', 1, red)).toBe('#ff0000')
    const painted = draft('shape', { paint: '#ffffff', stroke: { width: 2, color: '{color.ink}' } })
    expect(colorAt(blocks(), 's', 1, painted)).toBe('{color.ink}')
  })
})
