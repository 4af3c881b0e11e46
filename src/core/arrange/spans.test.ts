import { describe, expect, test } from 'vitest'
import type { Props } from '../properties/table'
import { columnWords, coverOf, slideOnColumns } from './spans'
import { box, lay, set } from './test-page'

const columns = (span: number, from?: number): Props => ({
  width: { kind: 'columns', span, ...(from ? { from } : {}) },
  height: { kind: 'exact', px: 40 },
})
/** One column and a gutter on the desktop's lattice, px. */
const STEP = 104

describe('sliding on columns', () => {
  test('a block that says its first column goes to whole ones, and stays on the lattice', () => {
    const { doc, layout, run } = lay({ flow: 'lattice', fullBleed: false }, [box('a', columns(3, 4))])
    expect(slideOnColumns(layout, 'a', 2 * STEP - 20)).toMatchObject({ from: 6, to: 8 })
    expect(slideOnColumns(layout, 'a', 5000)).toMatchObject({ from: 10, to: 12 })
    expect(slideOnColumns(layout, 'a', -5000)).toMatchObject({ from: 1, to: 3 })
    const slid = slideOnColumns(layout, 'a', STEP)!
    run([set(doc.node('a'), { width: slid.size })])
    expect(coverOf(layout, 'a')).toEqual({ from: 5, to: 7, exact: true })
    expect(columnWords(slid, layout.used)).toBe('columns 5–7 of 12')
  })
  test('one placed automatically goes to free columns behind it, where nothing else moves', () => {
    const { doc, layout, run, rect } = lay({ flow: 'lattice', fullBleed: false }, [
      box('a', columns(3)),
      box('b', columns(4)),
      box('c', columns(12)),
    ])
    const before = { a: rect('a'), c: rect('c') }
    const slid = slideOnColumns(layout, 'b', 3 * STEP)!
    expect(slid).toMatchObject({ from: 7, to: 10 })
    run([set(doc.node('b'), { width: slid.size })])
    expect(coverOf(layout, 'b')).toEqual({ from: 7, to: 10, exact: true })
    expect(rect('a')).toEqual(before.a)
    expect(rect('c')).toEqual(before.c)
  })
  test('over another block, or with one behind it, it does not slide: that is another order', () => {
    const { layout } = lay({ flow: 'lattice', fullBleed: false }, [
      box('a', columns(3)),
      box('b', columns(4)),
      box('c', columns(2)),
    ])
    expect(slideOnColumns(layout, 'c', -3 * STEP)).toBeUndefined()
    expect(slideOnColumns(layout, 'b', 1 * STEP)).toBeUndefined()
    expect(slideOnColumns(layout, 'c', 3 * STEP)).toMatchObject({ from: 11, to: 12 })
  })
  test('a block of exact width, or in a row, does not slide', () => {
    const exact = lay({ flow: 'lattice', fullBleed: false }, [
      box('a', { width: { kind: 'exact', px: 150 }, height: { kind: 'exact', px: 40 } }),
    ])
    expect(slideOnColumns(exact.layout, 'a', STEP)).toBeUndefined()
    const row = lay({ flow: 'row', fullBleed: false }, [box('a', columns(3))])
    expect(slideOnColumns(row.layout, 'a', STEP)).toBeUndefined()
  })
})
