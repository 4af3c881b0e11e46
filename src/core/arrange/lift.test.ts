import { expect, test } from 'vitest'
import { applyAll } from '../edits/apply'
import { PageLayout } from '../layout/page'
import { liftEdits } from './lift'
import { box, exactly, lay, paragraphs } from './test-page'

const page = () => {
  const { doc, layout } = lay({ flow: 'lattice' }, [
    box('a', { width: { kind: 'columns', span: 6 }, height: { kind: 'exact', px: 40 } }),
    box('b', { width: { kind: 'columns', span: 6 }, height: { kind: 'exact', px: 40 } }),
    box('c', exactly(50, 20)),
  ])
  const narrow = new PageLayout(doc, layout.page, 'mobile', 390, paragraphs)
  return { doc, layout, narrow }
}

test('a lifted block stays where it is, and as wide, on every view', () => {
  const { doc, layout, narrow } = page()
  const before = [layout, narrow].map((each) => each.rect('b'))
  applyAll(doc, liftEdits(doc, [layout, narrow], 'b'))
  for (const each of [layout, narrow]) each.update()
  expect([layout, narrow].map((each) => each.rect('b'))).toEqual(before)
  expect(doc.node('b').props.lifted).toBe(true)
})

test('on one view alone the others keep it in the flow', () => {
  const { doc, layout, narrow } = page()
  const before = [layout, narrow].map((each) => each.rect('b'))
  applyAll(doc, liftEdits(doc, [layout, narrow], 'b', 'mobile'))
  for (const each of [layout, narrow]) each.update()
  expect([layout, narrow].map((each) => each.rect('b'))).toEqual(before)
  expect(doc.node('b').props.lifted).toBeUndefined()
  expect(layout.boxes.get('b')!.pins).toBeNull()
  expect(narrow.boxes.get('b')!.pins).not.toBeNull()
})

test('a view that has the same to say says nothing', () => {
  const { doc, layout } = page()
  const again = new PageLayout(doc, layout.page, 'mobile', 1440, paragraphs)
  expect(liftEdits(doc, [layout, again], 'a').length).toBeLessThanOrEqual(2)
  expect(liftEdits(doc, [layout], 'a')).toHaveLength(1)
})
