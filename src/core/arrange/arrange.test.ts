import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyAll } from '../edits/apply'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { copyBlocks, readBlocks } from './clipboard'
import { duplicateEdits, mayHold } from './order'
import { stepEdits } from './test-page'
import { unwrapEdits, wrapEdits } from './wrap'

const text = (id: string, order: string, props: NodeTree['props'] = {}): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order,
  props: { words: said(id), ...props },
})

function sample() {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'S',
      order: 'a0',
      props: { flow: 'lattice' },
      children: [
        {
          ...text('a', 'a0', { width: { kind: 'columns', span: 6, from: 1 } }),
          overrides: { mobile: { width: { kind: 'columns', span: 4 } } },
        },
        text('b', 'a1'),
        text('c', 'a2'),
      ],
    },
    { id: 'other', kind: 'section', name: 'Other', order: 'a1', props: {} },
  ]
  return Document.fromFile(file)
}
let count = 0
const makeId = () => `made${count++}`
const children = (doc: Document, id: string) => doc.node(id).children

const paragraphs = new ParagraphCache(new FontLibrary())
const SEEN = { page: 'home', paragraphs }

describe('wrapping', () => {
  test('blocks go into a new box in the first one’s place, and undo brings them back', () => {
    const doc = sample()
    const before = structuredClone(doc.toFile())
    const made = wrapEdits(doc, SEEN, ['c', 'b'], 'row', makeId)
    if (typeof made === 'string') throw new Error(made)
    const inverses = applyAll(doc, made.edits)
    expect(children(doc, 's')).toEqual(['a', made.box])
    expect(children(doc, made.box)).toEqual(['b', 'c'])
    applyAll(doc, inverses)
    expect(doc.toFile()).toEqual(before)
  })
  test('a block on columns hands them to its box, on every view', () => {
    const doc = sample()
    const made = wrapEdits(doc, SEEN, ['a'], 'column', makeId)
    if (typeof made === 'string') throw new Error(made)
    applyAll(doc, made.edits)
    expect(doc.node(made.box)).toMatchObject({
      props: { width: { kind: 'columns', span: 6, from: 1 } },
      overrides: { mobile: { width: { span: 4 } } },
    })
    expect(doc.node('a')).toMatchObject({ props: { width: { kind: 'stretch' } }, overrides: {} })
  })
  test('wrap, then unwrap, and the order is as before', () => {
    const doc = sample()
    const made = wrapEdits(doc, SEEN, ['a', 'b'], 'column', makeId)
    if (typeof made === 'string') throw new Error(made)
    applyAll(doc, made.edits)
    const back = unwrapEdits(doc, made.box)
    if (typeof back === 'string') throw new Error(back)
    applyAll(doc, back.edits)
    expect(children(doc, 's')).toEqual(['a', 'b', 'c'])
    expect(doc.nodes.has(made.box)).toBe(false)
  })
  test('what cannot be wrapped is said', () => {
    const doc = sample()
    expect(wrapEdits(doc, SEEN, ['s'], 'row', makeId)).toContain('sections')
    expect(wrapEdits(doc, SEEN, [], 'row', makeId)).toContain('select')
    expect(unwrapEdits(doc, 'a')).toContain('select a box')
  })
})

describe('order', () => {
  test('one step, and none past the ends', () => {
    const doc = sample()
    applyAll(doc, stepEdits(doc, 'a', 1))
    expect(children(doc, 's')).toEqual(['b', 'a', 'c'])
    expect(stepEdits(doc, 'b', -1)).toEqual([])
  })
  test('a copy stands right behind, with ids of its own', () => {
    const doc = sample()
    const made = duplicateEdits(doc, 's', makeId)!
    applyAll(doc, made.edits)
    expect(children(doc, 'home')).toEqual(['s', made.copy, 'other'])
    expect(children(doc, made.copy).length).toBe(3)
  })
  test('who may hold whom', () => {
    const doc = sample()
    expect(mayHold(doc, 'home', 's')).toBe(true)
    expect(mayHold(doc, 's', 'a')).toBe(true)
    expect(mayHold(doc, 'a', 'b')).toBe(false)
    expect(mayHold(doc, 's', 'other')).toBe(false)
  })
})

describe('the clipboard', () => {
  test('blocks come back with other ids and the same content', () => {
    const doc = sample()
    const read = readBlocks(copyBlocks(doc, ['s', 'a']), makeId)!
    expect(read.trees.length).toBe(1)
    expect(read.trees[0]!.children!.map((tree) => tree.props)).toEqual(
      doc.tree('s').children!.map((tree) => tree.props),
    )
    expect(doc.nodes.has(read.trees[0]!.id)).toBe(false)
  })
  test('anything else is not blocks', () => {
    expect(readBlocks('a sentence', makeId)).toBeUndefined()
    expect(readBlocks('{"format":"just-lattice-blocks","trees":[{', makeId)).toBeUndefined()
    expect(
      readBlocks(`{"format":"just-lattice-blocks","x":"${'x'.repeat(5_000_001)}"}`, makeId),
    ).toBeUndefined()
  })
})
