import { describe, expect, test } from 'vitest'
import type { NodeTree } from '../document/schema'
import { combined } from '../forms/combine'
import { pathIn, pathOfForm } from '../forms/form'
import { boundsOf, type Path, pointsAlong } from '../forms/path'
import type { PageLayout } from '../layout/page'
import { allBorders, allCorners, oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import { combineEdits } from './combine'
import { at, lay, makeId, set } from './test-page'

/** Area inside a path of which holes run the other way, or are subtracted by even and odd. */
function areaOf(path: Path): number {
  const areas = path.map((chain) => {
    const points = [...pointsAlong([chain])]
    return Math.abs(
      points.reduce((sum, [x, y], i) => {
        const [nextX, nextY] = points[(i + 1) % points.length]!
        return sum + (x * nextY - nextX * y) / 2
      }, 0),
    )
  })
  const [most, ...rest] = areas.sort((a, b) => b - a)
  return most! + rest.reduce((sum, area) => sum + area, 0)
}

const square = (x: number) => pathIn({ form: 'polygon', sides: 4 }, x, 0, 100, 100)
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

function together(layout: PageLayout, ids: string[], how: Parameters<typeof combined>[1]) {
  const sum = combineEdits(layout, ids, how, set, makeId)
  if (typeof sum === 'string') throw new Error(sum)
  return sum
}

describe('shapes together', () => {
  test('united, subtracted, overlapping and not: areas add up', () => {
    const [a, b] = [square(0), square(60)]
    const area = (how: Parameters<typeof combined>[1]) => areaOf(combined([a, b], how))
    const [one, both] = [areaOf(a), area('intersect')]
    expect(both).toBeGreaterThan(0)
    expect(area('unite')).toBeCloseTo(2 * one - both, 0)
    expect(area('subtract')).toBeCloseTo(one - both, 0)
    expect(area('exclude')).toBeCloseTo(2 * one - 2 * both, 0)
  })
  test('curves stay curves', () => {
    const sum = combined(
      [pathOfForm({ form: 'ellipse' }), pathIn({ form: 'ellipse' }, 50, 0, 100, 100)],
      'unite',
    )
    expect(sum.flatMap(({ steps }) => steps).every((step) => step.by)).toBe(true)
    expect(boundsOf(sum).right).toBeCloseTo(150, 3)
  })
  test('the lowest becomes what they come to, where they were; the others go', () => {
    const { doc, layout, run } = lay({ flow: 'free' }, [
      shape('a', 100),
      shape('b', 160),
      shape('c', 130, { rotate: 30 }),
    ])
    run(together(layout, ['a', 'b', 'c'], 'unite').edits)
    expect(doc.nodes.has('b')).toBe(false)
    expect(doc.nodes.has('c')).toBe(false)
    layout.update()
    const { x, y, width, height } = layout.rect('a')!
    expect([x, y, width, height].map(Math.round)).toEqual([100, 50, 160, 100])
    expect(doc.node('a').props.paint).toBe('#112233')
  })
  test('what cannot be put together says why', () => {
    const { layout } = lay({ flow: 'free' }, [
      shape('a', 100),
      shape('b', 400),
      shape('l', 0, { form: { form: 'line', slope: 'level' } }),
      { ...at('box', 0, 0), children: [at('inner', 0, 0)] },
    ])
    expect(combineEdits(layout, ['a', 'box'], 'unite', set, makeId)).toMatch(/two or more shapes/)
    expect(combineEdits(layout, ['a', 'l'], 'unite', set, makeId)).toMatch(/no inside/)
    expect(combineEdits(layout, ['a', 'b'], 'intersect', set, makeId)).toMatch(/nothing would be left/)
  })
  test('a box is a shape like any other: cut out of, cut out, with its corners, colour and border', () => {
    const { doc, layout, run } = lay({ flow: 'free' }, [
      {
        ...at('box', 100, 50, 200, 100),
        props: {
          ...at('box', 100, 50, 200, 100).props,
          fills: oneFill('{color.ink}'),
          ...allCorners(20),
          ...allBorders(2, '#112233'),
        },
        overrides: {
          mobile: { hidden: true, fills: { fill: { order: 'a0', kind: 'color', color: '#445566' } } },
        },
      },
      shape('hole', 150),
    ])
    const { edits, made } = together(layout, ['box', 'hole'], 'subtract')
    run(edits)
    expect([...doc.nodes.keys()]).not.toContain('box')
    const node = doc.node(made)
    expect(node).toMatchObject({ kind: 'shape', name: 'box', props: { paint: '{color.ink}' } })
    expect(node.overrides.mobile).toEqual({ hidden: true, paint: '#445566' })
    expect(node.props.stroke).toEqual({ width: 2, color: '#112233' })
    layout.update()
    // With half its line outside it is as large as the box was with its border.
    expect(layout.rect(made)).toMatchObject({ x: 101, y: 51, width: 198, height: 98 })
    const { form } = node.props
    const path = pathOfForm(form as never)
    // Without four corners and a circle of 50.
    const expected = 198 * 98 - (4 - Math.PI) * 19 * 19 - Math.PI * 50 * 50
    expect((areaOf(path) / 10_000) * 198 * 98).toBeCloseTo(expected, -2)
  })
  test('a box in pictures alone says what it needs', () => {
    const { layout } = lay({ flow: 'free' }, [
      {
        ...at('box', 0, 0, 80, 80),
        props: {
          ...at('box', 0, 0, 80, 80).props,
          fills: { a: { order: 'a0', kind: 'noise', amount: 20, grain: 1 } },
        },
      },
      shape('ring', 20),
    ])
    expect(combineEdits(layout, ['box', 'ring'], 'unite', set, makeId)).toMatch(/give it a colour/)
  })
})
