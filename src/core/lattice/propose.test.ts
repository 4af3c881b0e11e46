import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { traceEdges } from '../arrange/trace'
import type { Pixels } from '../pictures/pixels'
import { proposeLattices } from './propose'

/** A picture of boxes on white. */
function draw(
  width: number,
  height: number,
  boxes: { x: number; y: number; width: number; height: number; grey: number }[],
): Pixels {
  const data = new Uint8ClampedArray(width * height * 4).fill(255)
  for (const box of boxes)
    for (let y = box.y; y < box.y + box.height; y++)
      for (let x = box.x; x < box.x + box.width; x++)
        data.fill(box.grey, 4 * (y * width + x), 4 * (y * width + x) + 3)
  return { width, height, data }
}

describe('edges in a picture', () => {
  test('of a box: its four sides, to the px', () => {
    const edges = traceEdges(draw(400, 300, [{ x: 40, y: 60, width: 120, height: 80, grey: 200 }]))
    expect(edges.x).toEqual([
      { at: 40, run: 80 },
      { at: 160, run: 80 },
    ])
    expect(edges.y.map((edge) => edge.at)).toEqual([60, 140])
  })
  test('what is too short or too faint is none', () => {
    const letters = Array.from({ length: 20 }, (_, i) => ({
      x: 20 + i * 9,
      y: 20,
      width: 3,
      height: 12,
      grey: 0,
    }))
    expect(traceEdges(draw(300, 100, letters)).x).toEqual([])
    expect(traceEdges(draw(300, 100, [{ x: 50, y: 10, width: 100, height: 80, grey: 250 }])).x).toEqual([])
  })
  test('an edge softened over two px is one', () => {
    const soft = draw(300, 100, [
      { x: 50, y: 10, width: 101, height: 80, grey: 180 },
      { x: 51, y: 10, width: 99, height: 80, grey: 90 },
    ])
    expect(traceEdges(soft).x).toHaveLength(2)
  })
})

describe('a lattice from edges', () => {
  test('is the one that the boxes were drawn on', () => {
    const lattice = fc.record({
      columns: fc.constantFrom(12, 8, 6),
      gutter: fc.constantFrom(16, 20, 24, 32),
      columnWidth: fc.integer({ min: 56, max: 90 }),
      spans: fc.array(fc.tuple(fc.nat(11), fc.nat(11)), { minLength: 5, maxLength: 9 }),
    })
    fc.assert(
      fc.property(lattice, ({ columns, gutter, columnWidth, spans }) => {
        const container = columns * columnWidth + (columns - 1) * gutter
        const left = 100
        const edge = (column: number) => left + column * (columnWidth + gutter)
        const edges = [left, left + container].map((at) => ({ at, run: 900 }))
        // Neighbouring boxes on the lattice show its gutter.
        for (let i = 0; i < columns - 1; i++)
          edges.push({ at: edge(i) + columnWidth, run: 200 }, { at: edge(i + 1), run: 200 })
        for (const [a, b] of spans)
          edges.push(
            { at: edge(Math.min(a, b) % columns), run: 120 },
            { at: edge(Math.max(a, b) % columns) + columnWidth, run: 120 },
          )
        const [best] = proposeLattices(edges, container + 2 * left)
        expect(best).toMatchObject({ columns, gutter, left, container, columnWidth })
        expect(best!.explained).toBe(best!.of)
      }),
    )
  })
  test('stray edges do not change it, and are told', () => {
    const edges = [
      ...[108, 500, 524, 916, 940, 1332].map((at) => ({ at, run: 400 })),
      ...[108, 708, 732, 1332].map((at) => ({ at, run: 300 })),
      { at: 611, run: 30 },
    ]
    const [best] = proposeLattices(edges, 1440)
    expect(best).toMatchObject({ gutter: 24, left: 108, container: 1224, explained: 8, of: 9 })
    // Thirds and halves: six columns or a multiple.
    expect(best!.columns % 6).toBe(0)
  })
  test('nothing from nothing', () => {
    expect(proposeLattices([], 1440)).toEqual([])
    expect(proposeLattices([{ at: 3, run: 40 }], 1440)).toEqual([])
  })
})
