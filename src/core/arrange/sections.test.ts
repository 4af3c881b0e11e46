import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyAll } from '../edits/apply'
import { PageLayout } from '../layout/page'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { addSectionEdits, joinSectionEdits, splitSectionEdits } from './sections'

let count = 0
const makeId = () => `made${count++}`
const box = (id: string): NodeTree => ({
  id,
  kind: 'box',
  name: id,
  order: `a${id}`,
  props: { height: { kind: 'exact', px: 50 } },
})

function sample() {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Plan',
      order: 'a0',
      props: { flow: 'column', height: { kind: 'exact', px: 300 } },
      children: [box('a'), box('b'), box('c')],
    },
    { id: 'z', kind: 'section', name: 'Last', order: 'a1', props: {}, children: [box('y')] },
  ]
  const doc = Document.fromFile(file)
  const page = file.pages[0]!.id
  return {
    doc,
    page,
    layout: new PageLayout(doc, page, 'desktop', 1440, new ParagraphCache(new FontLibrary())),
  }
}

test('split behind a block: the rest is a section of the same make, heights add up, and joining undoes it', () => {
  const { doc, page, layout } = sample()
  const made = splitSectionEdits(doc, layout, 'a', makeId)
  if (typeof made === 'string') throw new Error(made)
  applyAll(doc, made.edits)
  expect(doc.node(page).children).toEqual(['s', made.section, 'z'])
  expect(doc.node(made.section).children).toEqual(['b', 'c'])
  expect(doc.node('s').props.height).toEqual({ kind: 'exact', px: 50 })
  expect(doc.node(made.section).props.height).toEqual({ kind: 'exact', px: 250 })
  const joined = joinSectionEdits(doc, 's')
  if (typeof joined === 'string') throw new Error(joined)
  applyAll(doc, joined)
  expect(doc.node('s').children).toEqual(['a', 'b', 'c'])
  expect(doc.node('s').props.height).toEqual({ kind: 'exact', px: 300 })
  expect(doc.node(page).children).toEqual(['s', 'z'])
})

test('added behind the one selected, or at the end', () => {
  const { doc, page } = sample()
  const between = addSectionEdits(doc, page, 'b', makeId)
  applyAll(doc, between.edits)
  const last = addSectionEdits(doc, page, undefined, makeId)
  applyAll(doc, last.edits)
  expect(doc.node(page).children).toEqual(['s', between.section, 'z', last.section])
  // As high as what comes into it.
  expect(doc.node(last.section).props.height).toBeUndefined()
})

test('where nothing is selected, above the footer and a cushion', () => {
  const { doc, page } = sample()
  applyAll(doc, [
    { op: 'meta', node: 'z', name: 'Footer' },
    ...addSectionEdits(doc, page, 'z', () => 'cushion').edits,
    { op: 'meta', node: 'cushion', name: 'Cushion' },
  ])
  const { section, edits } = addSectionEdits(doc, page, undefined, makeId)
  applyAll(doc, edits)
  expect(doc.node(page).children).toEqual(['s', section, 'z', 'cushion'])
})

test('says why not', () => {
  const { doc, layout } = sample()
  expect(splitSectionEdits(doc, layout, 'c', makeId)).toMatch(/nothing is behind/)
  expect(splitSectionEdits(doc, layout, 's', makeId)).toMatch(/last block that stays/)
  expect(joinSectionEdits(doc, 'y')).toMatch(/no section below/)
})
