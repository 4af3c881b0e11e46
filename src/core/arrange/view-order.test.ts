import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { applyAll } from '../edits/apply'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'
import { insertEdits, insertionAt, stepOn } from './insertion'
import { slideOnColumns } from './spans'
import { box, exactly, lay, paragraphs, set } from './test-page'
import { placesAlong, seenElsewhere, shownChildren, viewOrderEdits } from './view-order'

const IDS = ['a', 'b', 'c', 'd', 'e', 'f']
const column = () =>
  lay(
    { flow: 'column' },
    IDS.map((id) => box(id, exactly(100, 50))),
  )
const columns = (span: number, from?: number) => ({
  width: { kind: 'columns' as const, span, ...(from ? { from } : {}) },
})

describe('order on one view', () => {
  test('any order is shown there, nothing moves in the document or on wider views, and can be put back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.shuffledSubarray(IDS, { minLength: 6 }), { minLength: 1, maxLength: 5 }),
        (orders) => {
          const { doc } = column()
          for (const wanted of orders) {
            applyAll(doc, viewOrderEdits(doc, wanted, 'mobile'))
            expect(shownChildren(doc, 's', 'mobile')).toEqual(wanted)
          }
          expect(doc.node('s').children).toEqual(IDS)
          expect(shownChildren(doc, 's', 'desktop')).toEqual(IDS)
          applyAll(doc, viewOrderEdits(doc, IDS, 'mobile'))
          expect(IDS.filter((id) => Object.keys(doc.node(id).overrides.mobile ?? {}).length > 0)).toEqual([])
        },
      ),
    )
  })

  test('one that goes to the front is all that is set', () => {
    const { doc } = column()
    const edits = viewOrderEdits(doc, ['d', 'a', 'b', 'c', 'e', 'f'], 'mobile')
    expect(edits).toEqual([{ op: 'set', node: 'd', view: 'mobile', props: { order: -1 } }])
  })

  test('a step, and what is said of it', () => {
    const { doc, layout } = column()
    const narrow = new PageLayout(doc, layout.page, 'mobile', 390, paragraphs)
    applyAll(doc, stepOn(narrow, doc, 'c', -1, set, 'mobile'))
    expect(shownChildren(doc, 's', 'mobile')).toEqual(['a', 'c', 'b', 'd', 'e', 'f'])
    expect(seenElsewhere(doc, 'c', 'mobile')).toEqual({ seen: 2, read: 3 })
    expect(seenElsewhere(doc, 'c', 'desktop')).toBeUndefined()
    narrow.update()
    expect(narrow.rect('c')!.y).toBeLessThan(narrow.rect('b')!.y)
    expect(stepOn(narrow, doc, 'a', -1, set, 'mobile')).toEqual([])
  })

  test('is handed off as `order`, in that view’s rules alone', () => {
    const { doc } = column()
    applyAll(doc, viewOrderEdits(doc, ['d', 'a', 'b', 'c', 'e', 'f'], 'mobile'))
    const css = [...buildSite(doc, new Map()).text].find(([path]) => path.endsWith('.css'))![1]
    expect(css.match(/order: -1/g)).toHaveLength(1)
    expect(css.indexOf('order: -1')).toBeGreaterThan(css.lastIndexOf('@media'))
  })

  test('by dragging: before what it is dropped at, as the view shows it', () => {
    const { doc, layout } = column()
    const narrow = new PageLayout(doc, layout.page, 'mobile', 390, paragraphs)
    applyAll(doc, viewOrderEdits(doc, ['f', 'a', 'b', 'c', 'd', 'e'], 'mobile'))
    narrow.update()
    const target = narrow.rect('a')!
    const insertion = insertionAt(doc, narrow, ['e'], target.x + 5, target.y + 5, 's')!
    applyAll(doc, insertEdits(narrow, doc, ['e'], insertion, set, 'mobile'))
    expect(shownChildren(doc, 's', 'mobile')).toEqual(['f', 'e', 'a', 'b', 'c', 'd'])
    expect(doc.node('s').children).toEqual(IDS)
  })
})

describe('order in a lattice with places', () => {
  const halves = () =>
    lay({ flow: 'lattice' }, [
      box('a', { ...columns(6, 1), height: { kind: 'exact', px: 40 } }),
      box('b', { ...columns(6, 7), height: { kind: 'exact', px: 40 } }),
    ])
  test('equal blocks take over each other’s', () => {
    const { doc, layout, run, rect } = halves()
    run(stepOn(layout, doc, 'b', -1, set))
    expect(doc.node('b').props.width).toEqual({ kind: 'columns', span: 6, from: 1 })
    expect(doc.node('a').props.width).toEqual({ kind: 'columns', span: 6, from: 7 })
    expect(rect('a').y).toBe(rect('b').y)
    expect(rect('b').x).toBeLessThan(rect('a').x)
  })
  test('others go by their order: no empty cell, no row more', () => {
    const { doc, layout, run, rect } = lay({ flow: 'lattice' }, [
      box('a', { ...columns(4, 1), height: { kind: 'exact', px: 40 } }),
      box('b', { ...columns(8, 5), height: { kind: 'exact', px: 40 } }),
    ])
    run(stepOn(layout, doc, 'b', -1, set))
    expect(rect('b').x).toBe(0)
    expect(rect('a').y).toBe(rect('b').y)
  })
  test('nothing is placed that did not move', () => {
    const { layout } = halves()
    expect(placesAlong(layout.boxes.get('s')!, ['a', 'b'], set)).toEqual([])
  })
  test('a block does not slide over what shares its row', () => {
    const { layout } = halves()
    expect(slideOnColumns(layout, 'a', 300)).toBeUndefined()
  })
})
