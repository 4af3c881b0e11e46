/** Boxes are found by ids though they lie at slots, which are given again. */
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyEdit } from '../edits/apply'
import { Instances } from '../expand/instances'
import { starterProject } from '../shelf/starter'
import { LayoutBox } from './box'
import { BoxTable } from './box-table'

const tree = (id: string): NodeTree => ({ id, kind: 'box', name: id, order: id, props: {} })

function made(count: number) {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    { ...tree('section'), kind: 'section', children: Array.from({ length: count }, (_, i) => tree(`b${i}`)) },
  ]
  const doc = Document.fromFile(file)
  return { doc, table: new BoxTable(new Instances(doc, 'home')) }
}

test('every node has a slot of its own, kept when it is replaced', () => {
  const { doc } = made(50)
  const slots = [...doc.nodes.values()].map((node) => node.slot)
  expect(new Set(slots).size).toBe(slots.length)
  const { slot } = doc.node('b7')
  applyEdit(doc, { op: 'meta', node: 'b7', name: 'Another' })
  expect(doc.node('b7').slot).toBe(slot)
})

test('finds what was put, over many leaves, and nothing for ids without a box', () => {
  const { doc, table } = made(3000)
  const boxes = [...doc.nodes.values()].map((node) => new LayoutBox(node))
  for (const box of boxes) table.put(box)
  for (const box of boxes) expect(table.get(box.id)).toBe(box)
  expect(table.get('unknown')).toBeUndefined()
  table.drop(boxes[1500]!)
  expect(table.get(boxes[1500]!.id)).toBeUndefined()
  expect(table.get(boxes[1501]!.id)).toBe(boxes[1501])
})

test('a slot given again does not show the box that lay there before', () => {
  const { doc, table } = made(3)
  const old = new LayoutBox(doc.node('b1'))
  table.put(old)
  applyEdit(doc, { op: 'remove', node: 'b1' })
  applyEdit(doc, { op: 'insert', parent: 'section', tree: tree('new') })
  expect(doc.node('new').slot).toBe(old.node.slot)
  expect(table.get('new')).toBeUndefined()
  expect(table.get('b1')).toBeUndefined()
  const box = new LayoutBox(doc.node('new'))
  table.put(box)
  // Dropped late, as when its parent is looked at after its place was taken.
  table.drop(old)
  expect(table.get('new')).toBe(box)
})
