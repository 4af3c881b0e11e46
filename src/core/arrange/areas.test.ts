import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Area, areaEdits, drawnArea, drawnAreaEdits, readAreas } from './areas'
import { coverOf } from './spans'
import { at, box, lay, makeId } from './test-page'

const areas = (text: string, columns = 12) => {
  const read = readAreas(text, columns)
  if (!Array.isArray(read)) throw new Error(`${read.part}: ${read.reason}`)
  return read
}
const reason = (text: string, columns = 12) => (readAreas(text, columns) as { reason: string }).reason

describe('areas in words', () => {
  test('names, counts, columns left free, the rest', () => {
    expect(areas('aside 4, article 7, leave one')).toEqual([
      { name: 'Aside', from: 1, span: 4 },
      { name: 'Article', from: 5, span: 7 },
    ])
    expect(areas('leave 2, main story eight; notes rest')).toEqual([
      { name: 'Main story', from: 3, span: 8 },
      { name: 'Notes', from: 11, span: 2 },
    ])
  })
  test('too many, none, nonsense: what and by how much', () => {
    expect(reason('aside 4, article 9')).toBe('needs columns 5 to 13, but there are 12: 1 too many')
    expect(reason('aside 12, article rest')).toBe('no columns are left for it')
    expect(reason('aside')).toMatch(/a name and a number/)
    expect(reason('aside 2.5')).toMatch(/a name and a number/)
    expect(reason(' , ')).toMatch(/write the areas first/)
    expect(reason('aside 0')).toBe('at least 1 column')
  })
  test('never overlap, never leave the lattice', () => {
    const part = fc.tuple(fc.constantFrom('aside', 'leave', 'news'), fc.integer({ min: 1, max: 5 }))
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 1, max: 16 }),
        (parts, columns) => {
          const read = readAreas(parts.map(([name, count]) => `${name} ${count}`).join(', '), columns)
          if (!Array.isArray(read)) return
          let last = 0
          for (const { from, span } of read) {
            expect(from).toBeGreaterThan(last)
            last = from + span - 1
          }
          expect(last).toBeLessThanOrEqual(columns)
        },
      ),
    )
  })
})

describe('typed areas on the page', () => {
  const typed: Area[] = [
    { name: 'Aside', from: 1, span: 4 },
    { name: 'Article', from: 6, span: 7 },
  ]
  test('stand on just these columns, in one row, in a lattice section', () => {
    const { doc, layout, run, rect } = lay(
      { flow: 'lattice', fullBleed: false, height: { kind: 'snug' } },
      [],
    )
    const { edits, made } = areaEdits(doc, layout, typed, 300, 's', makeId)
    run(edits)
    expect(made.map((id) => coverOf(layout, id))).toEqual([
      { from: 1, to: 4, exact: true },
      { from: 6, to: 12, exact: true },
    ])
    expect(rect(made[0]!).y).toBe(rect(made[1]!).y)
    expect(rect(made[0]!).height).toBe(300)
    expect(doc.node(made[0]!).props.fills).not.toEqual(doc.node(made[1]!).props.fills)
  })
  test('elsewhere get a section of their own behind it', () => {
    const { doc, layout, run } = lay({ flow: 'free' }, [])
    const { edits, made } = areaEdits(doc, layout, typed, 300, 's', makeId)
    run(edits)
    expect(doc.node(layout.page).children.indexOf(doc.node(made[0]!).parent!)).toBe(1)
    expect(coverOf(layout, made[1]!)).toEqual({ from: 6, to: 12, exact: true })
  })
})

describe('drawn areas', () => {
  const { layout } = lay({}, [])
  test('cover whole columns whichever way they are drawn, never a gutter', () => {
    const x = fc.integer({ min: 0, max: 1440 })
    const y = fc.integer({ min: 0, max: 900 })
    fc.assert(
      fc.property(x, y, x, y, (x0, y0, x1, y1) => {
        const one = drawnArea(layout.used, 8, { x: x0, y: y0 }, { x: x1, y: y1 })
        expect(one).toEqual(drawnArea(layout.used, 8, { x: x1, y: y1 }, { x: x0, y: y0 }))
        expect(one.rect.width).toBe((one.to - one.from + 1) * 104 - 24)
        expect((one.rect.x - 108) % 104).toBe(0)
        expect(one.rect.height).toBeGreaterThanOrEqual(8)
        expect(one.rect.y % 8).toBe(0)
      }),
    )
  })
  test('in a lattice they go in reading order, in a free section just where they were drawn', () => {
    const inLattice = lay({ flow: 'lattice', fullBleed: false, height: { kind: 'snug' } }, [
      box('b', { width: { kind: 'columns', span: 6, from: 7 }, height: { kind: 'exact', px: 200 } }),
    ])
    const first = drawnAreaEdits(
      inLattice.doc,
      inLattice.layout,
      drawnArea(inLattice.layout.used, 8, { x: 120, y: 0 }, { x: 500, y: 160 }),
      makeId,
    )
    inLattice.run(first.edits)
    expect(inLattice.doc.node('s').children).toEqual([first.made, 'b'])
    expect(inLattice.rect(first.made).y).toBe(inLattice.rect('b').y)

    const free = lay({ flow: 'free' }, [at('a', 10, 10)])
    const area = drawnArea(free.layout.used, 8, { x: 330, y: 100 }, { x: 600, y: 200 })
    const drawn = drawnAreaEdits(free.doc, free.layout, area, makeId)
    free.run(drawn.edits)
    expect(free.rect(drawn.made)).toEqual(area.rect)
  })
  test('below the last section they bring one', () => {
    const { doc, layout, run, rect } = lay({}, [])
    const area = drawnArea(layout.used, 8, { x: 330, y: 700 }, { x: 600, y: 800 })
    const { edits, made } = drawnAreaEdits(doc, layout, area, makeId)
    run(edits)
    expect(doc.node(layout.page).children).toHaveLength(3)
    expect(rect(made)).toEqual(area.rect)
  })
})
