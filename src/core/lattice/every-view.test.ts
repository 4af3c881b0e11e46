import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { askEveryView, PRESETS, presetViews, readEach } from './every-view'
import { misfits, newMisfits } from './fit'
import { usedLattice } from './used'

const paragraphs = new ParagraphCache(new FontLibrary())

describe('one lattice asked of every view', () => {
  test('reads one number a view, or one for all, and says what is wrong', () => {
    expect(readEach('12 / 8 / 4', 3, 1, 48)).toEqual([12, 8, 4])
    expect(readEach('16', 3, 0, 400)).toEqual([16, 16, 16])
    expect(readEach('12 / 8', 3, 1, 48)).toMatch(/or 3 with strokes/)
    expect(readEach('12 / x / 4', 3, 1, 48)).toMatch(/“x”/)
    expect(readEach('12 / 0 / 4', 3, 1, 48)).toMatch(/between 1 and 48/)
  })
  test('columns and gutters add up to each container', () => {
    const { views } = starterProject('Test', 'home')
    for (const { view, lattice, columnWidth } of askEveryView(views, [10, 4], [30, 12])) {
      const { container } = usedLattice(lattice, view.width)
      expect(lattice.columns * columnWidth + (lattice.columns - 1) * lattice.gutter).toBeCloseTo(container, 6)
    }
  })
  test.each(PRESETS.map((preset) => [preset.id, preset] as const))(
    'preset %s leaves room for its columns',
    (_, preset) => {
      const { views } = starterProject('Test', 'home')
      for (const view of presetViews(views, preset))
        expect(usedLattice(view.lattice, view.width).columnWidth).toBeGreaterThan(20)
    },
  )
})

test('what no longer fits is told, and nothing is changed', () => {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Section',
      order: 'a0',
      props: { flow: 'lattice' },
      children: [
        {
          id: 'a',
          kind: 'box',
          name: 'Aside',
          order: 'a0',
          props: { width: { kind: 'columns', span: 3, from: 10 } },
        },
        {
          id: 'b',
          kind: 'box',
          name: 'Words',
          order: 'a1',
          props: { width: { kind: 'columns', span: 6, from: 1 } },
        },
      ],
    },
  ]
  const before = structuredClone(file)
  const desktop = file.views[0]!
  expect(misfits(Document.fromFile(structuredClone(file)), desktop.id, paragraphs)).toEqual([])
  const found = newMisfits(
    file,
    file.views.map((view) =>
      view === desktop ? { ...view, lattice: { ...view.lattice, columns: 8 } } : view,
    ),
    paragraphs,
  )
  expect(found.map((each) => [each.name, each.reason])).toEqual([['Aside', 'stands on column 12 of 8']])
  expect(file).toEqual(before)
})
