import { describe, expect, test } from 'vitest'
import type { NodeTree } from '../document/schema'
import { combined } from '../forms/combine'
import { madeOf } from '../forms/form'
import { pathFrom } from '../forms/path'
import { movedBy, outlinesOf } from '../forms/points'
import type { Props } from '../properties/table'
import { combineEdits } from './combine'
import { drawnPath, drawnRect, drawnShape } from './drawn'
import { apartEdits, outlinesOn, reshaped } from './outline'
import { at, lay, makeId, set } from './test-page'

const shape = (id: string, x: number, props: Props = {}): NodeTree => ({
  ...at(id, x, 50, 100, 100),
  kind: 'shape',
  props: {
    ...at(id, x, 50, 100, 100).props,
    lifted: true,
    form: { form: 'polygon', sides: 4 },
    ...props,
  },
})
const points = (layout: Parameters<typeof outlinesOn>[0], id: string) =>
  outlinesOn(layout, id)!.flatMap(({ anchors }) => anchors.map(({ at }) => at))

describe('a shape by its points', () => {
  test('its box goes with the outline, everything not pulled stays', () => {
    const { doc, layout, run } = lay({ flow: 'free' }, [shape('a', 100)])
    const before = outlinesOn(layout, 'a')!
    const pulled = movedBy(before, [{ outline: 0, anchor: 1 }], [60, 30])
    run([set(doc.node('a'), reshaped(layout, 'a', pulled, layout.rect('a')!) as never)])
    expect(layout.rect('a')).toMatchObject({ x: 100, y: 50, width: 160, height: 100 })
    points(layout, 'a').forEach(([x, y], i) => {
      const [wantX, wantY] = pulled[0]!.anchors[i]!.at
      expect([x, y].map((each) => Math.round(each * 10))).toEqual(
        [wantX, wantY].map((each) => Math.round(each * 10)),
      )
    })
  })
  test('turned, what is seen stays where it was', () => {
    const { doc, layout, run } = lay({ flow: 'free' }, [shape('a', 300, { rotate: 40 })])
    const seen = () => {
      const { x, y, width, height } = layout.rect('a')!
      // Turned back the other way round: from upright to what is seen.
      return points(layout, 'a').map(([a, b]) => {
        const angle = (40 * Math.PI) / 180
        const [dx, dy] = [a - x - width / 2, b - y - height / 2]
        return [
          x + width / 2 + dx * Math.cos(angle) - dy * Math.sin(angle),
          y + height / 2 + dx * Math.sin(angle) + dy * Math.cos(angle),
        ]
      })
    }
    const before = seen()
    const pulled = movedBy(outlinesOn(layout, 'a')!, [{ outline: 0, anchor: 0 }], [0, -80])
    run([set(doc.node('a'), reshaped(layout, 'a', pulled, layout.rect('a')!) as never)])
    expect(layout.rect('a')!.height).toBeCloseTo(180, 1)
    seen().forEach(([x, y], i) => {
      if (i === 0) return
      expect(Math.hypot(x! - before[i]![0]!, y! - before[i]![1]!)).toBeLessThan(0.1)
    })
  })
  test('a side that its container gives stays', () => {
    const { doc, layout, run } = lay({ flow: 'column' }, [
      shape('a', 0, {
        lifted: false,
        width: { kind: 'stretch', weight: 1 },
        height: { kind: 'exact', px: 100 },
      }),
    ])
    const { width } = layout.rect('a')!
    const pulled = movedBy(outlinesOn(layout, 'a')!, [{ outline: 0, anchor: 1 }], [-40, 0])
    const props = reshaped(layout, 'a', pulled, layout.rect('a')!)
    expect(props).not.toHaveProperty('width')
    run([set(doc.node('a'), props as never)])
    expect(layout.rect('a')!.width).toBe(width)
    expect(points(layout, 'a')[1]![0]).toBeCloseTo(pulled[0]!.anchors[1]!.at[0], 1)
  })
  test('a level line has a box, and is drawn in its middle', () => {
    const { doc, layout, run } = lay({ flow: 'free' }, [])
    const drawn = drawnPath(doc, layout, outlinesOf(pathFrom('M100 80L300 80')!), {}, makeId)
    if (typeof drawn === 'string') throw new Error(drawn)
    run(drawn.edits)
    expect(layout.rect(drawn.made)).toMatchObject({ x: 100, width: 200, height: 1 })
    expect(points(layout, drawn.made).map(([, y]) => y)).toEqual([80, 80])
  })
  test('one that begins in no section of the page says so', () => {
    const { doc, layout } = lay({ flow: 'free' }, [])
    expect(drawnPath(doc, layout, outlinesOf(pathFrom('M0 900L9 900')!), {}, makeId)).toMatch(
      /place one first/,
    )
  })
})

describe('shapes put together stay shapes', () => {
  const together = (how: 'unite' | 'subtract') => {
    const page = lay({ flow: 'free' }, [shape('a', 100), shape('b', 150), shape('c', 900)])
    const sum = combineEdits(page.layout, ['a', 'b'], how, set, makeId)
    if (typeof sum === 'string') throw new Error(sum)
    page.run(sum.edits)
    return page
  }
  test('a point of one is pulled, and they are put together anew', () => {
    const { doc, layout, run } = together('subtract')
    const outlines = outlinesOn(layout, 'a')!
    expect(outlines.map(({ part }) => part)).toEqual([0, 1])
    // The one that is cut out pulled away: all of the lowest is left.
    const away = movedBy(
      outlines,
      outlines[1]!.anchors.map((_, anchor) => ({ outline: 1, anchor })),
      [400, 0],
    )
    run([set(doc.node('a'), reshaped(layout, 'a', away, layout.rect('a')!, combined) as never)])
    expect(layout.rect('a')).toMatchObject({ x: 100, y: 50, width: 100, height: 100 })
    expect(madeOf(doc.node('a').props.form)?.how).toBe('subtract')
    expect(outlinesOn(layout, 'a')![1]!.anchors[0]!.at[0]).toBeCloseTo(away[1]!.anchors[0]!.at[0], 1)
  })
  test('nothing left of them is refused', () => {
    const { layout } = together('subtract')
    const outlines = outlinesOn(layout, 'a')!
    const over = movedBy(
      outlines,
      outlines[1]!.anchors.map((_, anchor) => ({ outline: 1, anchor })),
      [-50, 0],
    )
    expect(reshaped(layout, 'a', over, layout.rect('a')!, combined)).toMatch(/nothing would be left/)
  })
  test('taken apart they are where they were, in their order', () => {
    const { doc, layout, run } = together('unite')
    const apart = apartEdits(doc, layout, doc.node('a'), set, makeId)
    if (typeof apart === 'string') throw new Error(apart)
    run(apart.edits)
    expect(apart.made[0]).toBe('a')
    expect(apart.made.map((id) => layout.rect(id))).toMatchObject([
      { x: 100, y: 50, width: 100, height: 100 },
      { x: 150, y: 50, width: 100, height: 100 },
    ])
    expect(doc.node('s').children).toEqual(['a', apart.made[1], 'c'])
    expect(apartEdits(doc, layout, doc.node('c'), set, makeId)).toMatch(/one shape/)
  })
})

describe('drawn by pulling', () => {
  const [a, b] = [
    { x: 100, y: 60 },
    { x: 220, y: 20 },
  ]
  test('from corner to corner, whichever way; even with Shift; pressed alone a square', () => {
    expect(drawnRect(a, b, 'box', false)).toEqual({ x: 100, y: 20, width: 120, height: 40 })
    expect(drawnRect(a, b, 'box', true)).toEqual({ x: 100, y: -60, width: 120, height: 120 })
    expect(drawnRect(a, a, { form: 'ellipse' }, false)).toEqual({ x: 100, y: 60, width: 160, height: 160 })
  })
  test('a line runs as it was pulled', () => {
    const slope = (to: typeof b, isEven = false) => {
      const { doc, layout, run } = lay({ flow: 'free' }, [])
      const line = { form: 'line' as const, slope: 'level' as const }
      const made = drawnShape(
        doc,
        layout,
        { what: line, name: 'Line', from: a, to, isEven, look: {} },
        makeId,
      )
      if (typeof made === 'string') throw new Error(made)
      run(made.edits)
      return [(doc.node(made.made).props.form as { slope: string }).slope, layout.rect(made.made)]
    }
    expect(slope(b)).toMatchObject(['rising', { x: 100, y: 20, width: 120, height: 40 }])
    expect(slope({ x: 220, y: 100 })).toMatchObject(['falling', { y: 60 }])
    // As high as a level one's box, and not level.
    expect(slope({ x: 220, y: 76 })).toMatchObject(['falling', { y: 60, height: 16 }])
    expect(slope({ x: 220, y: 63 })).toMatchObject(['level', { y: 52, height: 16 }])
    expect(slope({ x: 98, y: 160 })).toMatchObject(['upright', { x: 92, width: 16 }])
    expect(slope({ x: 220, y: 100 }, true)).toMatchObject(['level', { width: 120 }])
  })
  test('what lies on no section of the page says so', () => {
    const { doc, layout } = lay({ flow: 'free' }, [])
    const from = { x: 0, y: 5000 }
    expect(
      drawnShape(doc, layout, { what: 'box', name: 'Box', from, to: from, isEven: false, look: {} }, makeId),
    ).toMatch(/place one first/)
  })
})
