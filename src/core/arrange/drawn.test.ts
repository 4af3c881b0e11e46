/** What is drawn on a card belongs to the card, and lies where it was drawn. */
import { describe, expect, test } from 'vitest'
import { oneFill } from '../properties/items'
import { drawnShape } from './drawn'
import { at, box, exactly, lay, makeId } from './test-page'

const CARD = { ...at('card', 200, 100, 300, 200).props, fills: oneFill('#f4f2ec') }
const page = (card = CARD) =>
  lay({ flow: 'free' }, [
    box('card', card, [box('words', exactly(120, 40))]),
    box('plain', at('plain', 600, 100, 300, 200).props, []),
  ])

function draw(
  { doc, layout, run, rect }: ReturnType<typeof page>,
  from: [number, number],
  to: [number, number],
) {
  const [a, b] = [from, to].map(([x, y]) => ({ x, y })) as [
    { x: number; y: number },
    { x: number; y: number },
  ]
  const shape = {
    what: { form: 'ellipse' } as const,
    name: 'Ellipse',
    from: a,
    to: b,
    isEven: false,
    look: {},
  }
  const drawn = drawnShape(doc, layout, shape, makeId)
  if (typeof drawn === 'string') throw new Error(drawn)
  run(drawn.edits)
  return { parent: doc.node(drawn.made).parent, rect: rect(drawn.made) }
}

describe('a shape', () => {
  test('on a card is the card\u2019s, over its words, too, and inside its border', () => {
    const shown = page({ ...CARD, borderLeft: { width: 4, color: '#000000' } })
    expect(draw(shown, [220, 110], [260, 150])).toEqual({
      parent: 'card',
      rect: { x: 220, y: 110, width: 40, height: 40 },
    })
  })
  test('that sticks out of it, or lies on a box that shows nothing, is the section\u2019s', () => {
    expect(draw(page(), [180, 110], [260, 150])).toMatchObject({ parent: 's', rect: { x: 180, y: 110 } })
    expect(draw(page(), [620, 120], [660, 160])).toMatchObject({ parent: 's', rect: { x: 620, y: 120 } })
  })
  test('on a locked or a turned card is the section\u2019s', () => {
    const locked = page()
    locked.run([{ op: 'meta', node: 'card', locked: true }])
    expect(draw(locked, [220, 200], [260, 240]).parent).toBe('s')
    expect(draw(page({ ...CARD, rotate: 10 }), [300, 180], [340, 220]).parent).toBe('s')
  })
})
