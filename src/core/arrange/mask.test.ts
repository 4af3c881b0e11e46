import { beforeAll, describe, expect, test } from 'vitest'
import type { NodeTree } from '../document/schema'
import { oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import { openType } from '../samples/fonts'
import { said } from '../words/words'
import { maskEdits, unmaskEdits } from './mask'
import { outlinesOn } from './outline'
import { at, fonts, lay, makeId, set } from './test-page'

beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const shape = (id: string, x: number, props: Props = {}): NodeTree => ({
  ...at(id, x, 50, 100, 100),
  kind: 'shape',
  props: {
    ...at(id, x, 50, 100, 100).props,
    lifted: true,
    form: { form: 'ellipse' },
    paint: '#112233',
    ...props,
  },
})
const picture = (id: string, x: number): NodeTree => {
  const tree = at(id, x, 20, 300, 200)
  return { ...tree, kind: 'picture', props: { ...tree.props, lifted: true } }
}
const masked = (page: ReturnType<typeof lay>, ids: string[]) => {
  const made = maskEdits(page.doc, page.layout, ids, set, makeId)
  if (typeof made === 'string') throw new Error(made)
  page.run(made.edits)
  return made.made
}

describe('a mask', () => {
  test('nothing moves: what was over the shape lies in a box cut to it, in its place', () => {
    const page = lay({ flow: 'free' }, [shape('m', 100), picture('p', 40), at('q', 120, 60)])
    const before = ['p', 'q'].map((id) => page.layout.rect(id))
    const box = masked(page, ['p', 'm', 'q'])
    expect(['p', 'q'].map((id) => page.layout.rect(id))).toEqual(before)
    expect(page.layout.rect(box)).toMatchObject({ x: 100, y: 50, width: 100, height: 100 })
    expect(page.doc.nodes.has('m')).toBe(false)
    expect(page.doc.node(box).children).toEqual(['p', 'q'])
    expect(page.doc.node(box).props).toMatchObject({ flow: 'free', cut: { form: 'path' } })
    expect(page.doc.node(box).props).not.toHaveProperty('paint')
  })
  test('one block alone is cut itself, whichever lies on top; turned, as it is seen; and let out again', () => {
    const page = lay({ flow: 'column' }, [
      { ...picture('p', 40), props: { ...picture('p', 40).props, lifted: false, rotate: 90 } },
      shape('w', 60),
    ])
    const before = page.layout.rect('p')!
    expect(masked(page, ['w', 'p'])).toBe('p')
    expect(page.layout.rect('p')).toEqual(before)
    const points = outlinesOn(page.layout, 'p')!.flatMap(({ anchors }) => anchors.map(({ at }) => at))
    // The circle from 60, 50 turned back by 90° about the picture's middle.
    const [cx, cy] = [before.x + before.width / 2, before.y + before.height / 2]
    const middle = [cx + (100 - cy), cy - (110 - cx)]
    const mean = [0, 1].map((axis) => points.reduce((sum, at) => sum + at[axis]!, 0) / points.length)
    expect(Math.hypot(mean[0]! - middle[0]!, mean[1]! - middle[1]!)).toBeLessThan(0.1)
    const out = unmaskEdits(page.doc, page.layout, page.doc.node('p'), {}, set, makeId)
    if (typeof out === 'string') throw new Error(out)
    page.run(out.edits)
    expect(page.layout.rect(out.made[0]!)!.x).toBeCloseTo(60, 1)
    expect(page.layout.rect(out.made[0]!)!.y).toBeCloseTo(50, 1)
    expect(page.doc.node('p').props.cut).toBeUndefined()
  })
  test('in a flow the box stands where the mask did; turned, it is cut as it was seen', () => {
    const page = lay({ flow: 'column' }, [
      shape('m', 0, { lifted: false, rotate: 45, form: { form: 'polygon', sides: 4 } }),
      at('n', 0, 0, 50, 50),
      picture('p', 300),
      picture('q', 500),
    ])
    const [seen, picturesPlace] = [page.layout.seen('m')!, page.layout.rect('p')]
    const box = masked(page, ['m', 'p', 'q'])
    expect(page.doc.node('s').children).toEqual([box, 'n'])
    // A square on its tip, turned: upright.
    expect(page.layout.rect(box)!.width).toBeCloseTo(100 / Math.SQRT2, 0)
    expect(seen.width).toBeCloseTo(141.42, 1)
    expect(page.layout.rect('p')!.width).toBe(picturesPlace!.width)
  })
  test('a text masks by its letters', () => {
    const words: NodeTree = {
      id: 't',
      kind: 'text',
      name: 'Big',
      order: 'a0',
      props: { words: said('OAK'), fontSize: 120, lifted: true, pinLeft: { px: 50 }, pinTop: { px: 40 } },
    }
    const page = lay({ flow: 'free' }, [words, picture('p', 40), picture('q', 200)])
    const { x, width } = page.layout.rect('t')!
    const box = masked(page, ['t', 'p', 'q'])
    const rect = page.layout.rect(box)!
    expect(rect.x).toBeGreaterThan(x)
    expect(rect.x + rect.width).toBeLessThan(x + width + 2)
    expect(
      (page.doc.node(box).props.cut as { data: string }).data.match(/M/g)!.length,
    ).toBeGreaterThanOrEqual(5)
  })
  test('a group masks by all that is drawn in it, as one', () => {
    const group = {
      ...at('g', 100, 50, 200, 100),
      props: { ...at('g', 100, 50, 200, 100).props, lifted: true, flow: 'free' },
      children: [
        { ...shape('a', 0), props: { ...shape('a', 0).props, pinTop: { px: 0 } } },
        { ...shape('b', 80), props: { ...shape('b', 80).props, pinTop: { px: 0 } } },
      ],
    } as NodeTree
    const page = lay({ flow: 'free' }, [group, picture('p', 40)])
    const before = page.layout.rect('p')
    expect(masked(page, ['g', 'p'])).toBe('p')
    expect(page.layout.rect('p')).toEqual(before)
    expect(['g', 'a', 'b'].filter((id) => page.doc.nodes.has(id))).toEqual([])
    const { data } = page.doc.node('p').props.cut as { data: string }
    // Circles that overlap: one outline.
    expect(data.match(/M/g)).toHaveLength(1)
    const points = outlinesOn(page.layout, 'p')!.flatMap(({ anchors }) => anchors.map((each) => each.at[0]))
    expect([Math.min(...points), Math.max(...points)].map(Math.round)).toEqual([100, 280])
  })
  test('a group with a fill of its own masks nothing: the fill would be lost', () => {
    const group = {
      ...at('g', 100, 50, 200, 100),
      props: { ...at('g', 100, 50, 200, 100).props, fills: oneFill('#112233') },
      children: [shape('a', 0)],
    } as NodeTree
    const page = lay({ flow: 'free' }, [group, at('q', 120, 60)])
    expect(maskEdits(page.doc, page.layout, ['g', 'q'], set, makeId)).toMatch(/group of such/)
  })
  test('let out again, all is where it was', () => {
    const page = lay({ flow: 'free' }, [shape('m', 100), picture('p', 40), picture('q', 60)])
    const before = page.layout.rect('p')
    const box = masked(page, ['m', 'p', 'q'])
    const out = unmaskEdits(page.doc, page.layout, page.doc.node(box), { paint: '#445566' }, set, makeId)
    if (typeof out === 'string') throw new Error(out)
    page.run(out.edits)
    expect(page.layout.rect('p')).toEqual(before)
    expect(page.layout.rect(out.made[0]!)).toMatchObject({ x: 100, y: 50, width: 100, height: 100 })
    expect(page.doc.node('s').children).toEqual([out.made[0], 'p', 'q'])
  })
  test('what cannot be says why', () => {
    const page = lay({ flow: 'free' }, [
      shape('m', 100),
      picture('p', 40),
      shape('l', 0, { form: { form: 'line', slope: 'level' } }),
      shape('x', 700),
    ])
    const refused = (ids: string[]) => maskEdits(page.doc, page.layout, ids, set, makeId)
    expect(refused(['m'])).toMatch(/what masks, and what/)
    expect(refused(['p', 'l'])).toMatch(/no inside/)
    expect(refused(['p', 'm', 'x', 'l'])).toMatch(/no inside|not turned/)
    expect(refused(['m', 'z'])).toMatch(/sections cannot be masked/)
    expect(unmaskEdits(page.doc, page.layout, page.doc.node('p'), {}, set, makeId)).toMatch(/what is cut/)
  })
})
