import { describe, expect, test } from 'vitest'
import type { NodeTree } from '../document/schema'
import { combined } from '../forms/combine'
import { pathIn, pathOfForm } from '../forms/form'
import { boundsOf, type Path, pointsAlong } from '../forms/path'
import type { Props } from '../properties/table'
import { combineEdits } from './combine'
import { at, lay, set } from './test-page'

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
    run(combineEdits(layout, ['a', 'b', 'c'], 'unite', set) as never)
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
      at('box', 0, 0),
    ])
    expect(combineEdits(layout, ['a', 'box'], 'unite', set)).toMatch(/two or more shapes/)
    expect(combineEdits(layout, ['a', 'l'], 'unite', set)).toMatch(/no inside/)
    expect(combineEdits(layout, ['a', 'b'], 'intersect', set)).toMatch(/nothing would be left/)
  })
})
