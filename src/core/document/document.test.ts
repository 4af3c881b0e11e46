/** The store of nodes: what is found in it, what changed since, what a removal leaves. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { byOrder } from '../properties/order-keys'
import { starterProject } from '../shelf/starter'
import { Document } from './document'
import { Draft } from './draft'
import type { NodeTree } from './schema'

const tree = (id: string, children: NodeTree[] = [], order = id): NodeTree => ({
  id,
  kind: 'box',
  name: id,
  order,
  props: {},
  children,
})

function made(): Document {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    { ...tree('hero', [tree('words', [tree('title'), tree('lead')]), tree('picture')]), kind: 'section' },
    { ...tree('footer'), kind: 'section' },
  ]
  return Document.fromFile(file)
}

/** One next version that becomes the document. */
function change(doc: Document, write: (draft: Draft) => void) {
  const draft = new Draft(doc)
  write(draft)
  doc.accept(draft)
}

describe('finding', () => {
  test('walks parents first, siblings in their order', () => {
    expect([...made().walk('hero')].map((node) => node.id)).toEqual([
      'hero',
      'picture',
      'words',
      'lead',
      'title',
    ])
  })
  test('ancestors up to the page, and what lies inside of what', () => {
    const doc = made()
    expect(doc.ancestors('lead').map((node) => node.id)).toEqual(['words', 'hero', 'home'])
    expect(doc.pageOf('lead')).toBe('home')
    expect(doc.isInside('lead', 'hero')).toBe(true)
    expect(doc.isInside('hero', 'hero')).toBe(true)
    expect(doc.isInside('hero', 'lead')).toBe(false)
  })
  test('what is not there is said by its id', () => {
    expect(() => made().node('nowhere')).toThrow('there is no block nowhere')
    expect(() => made().view('watch')).toThrow('there is no view watch')
    expect(() => made().pageFile('nowhere')).toThrow('there is no page nowhere')
  })
})

describe('a next version', () => {
  test('changes nothing until it is the document, whatever is done to it', () => {
    const doc = made()
    const before = JSON.stringify(doc.toFile())
    const { tick } = doc
    const draft = new Draft(doc)
    draft.removeTree('words')
    draft.insertTree(tree('new', [tree('inner')]), 'hero')
    draft.moveTree('picture', 'new', 'a5')
    draft.name = 'Another'
    expect(JSON.stringify(doc.toFile())).toBe(before)
    expect(doc.tick).toBe(tick)
    const next = JSON.stringify(draft.toFile())
    doc.accept(draft)
    expect(JSON.stringify(doc.toFile())).toBe(next)
    expect(doc.node('new').children).toEqual(['inner', 'picture'])
  })
  test('is not taken when the document has moved on, or by another document', () => {
    const doc = made()
    const late = new Draft(doc)
    late.removeTree('hero')
    change(doc, (draft) => draft.removeTree('footer'))
    expect(() => doc.accept(late)).toThrow('moved on')
    expect(() => made().accept(new Draft(doc))).toThrow('another document')
    expect(doc.node('home').children).toEqual(['hero'])
  })
  test('reads like a document, in full and in parts', () => {
    const doc = made()
    const draft = new Draft(doc)
    draft.removeTree('title')
    draft.insertTree(tree('new'), 'words')
    const ids = ['footer', 'hero', 'home', 'lead', 'new', 'picture', 'words']
    expect([...draft.nodes.keys()].sort()).toEqual(ids)
    expect(draft.nodes.size).toBe(ids.length)
    let seen = 0
    draft.nodes.forEach(() => {
      seen++
    })
    expect([seen, [...draft.nodes].length, [...draft.nodes.values()].length]).toEqual([7, 7, 7])
    expect([draft.nodes.has('title'), doc.nodes.has('title')]).toEqual([false, true])
  })
})

describe('changes', () => {
  test('what was touched since a point, and nothing before it', () => {
    const doc = made()
    const { tick } = doc
    expect(doc.touchedSince(tick)?.size).toBe(0)
    change(doc, (draft) => {
      draft.replace({ ...draft.node('lead'), name: 'Lead' })
      draft.insertTree(tree('new'), 'words')
    })
    expect([...doc.touchedSince(tick)!].sort()).toEqual(['lead', 'new', 'words'])
    expect(doc.touchedSince(doc.tick)?.size).toBe(0)
  })

  test('too long ago to say: everything has to be looked at', () => {
    const doc = made()
    const { tick } = doc
    for (let i = 0; i < 30_000; i++) change(doc, (draft) => draft.replace(draft.node('lead')))
    expect(doc.touchedSince(tick)).toBeUndefined()
    expect(doc.touchedSince(doc.tick)?.size).toBe(0)
  })

  test('a removed tree is gone with all that was in it; its slots are given again', () => {
    const doc = made()
    const slots = ['words', 'title', 'lead'].map((id) => doc.node(id).slot)
    change(doc, (draft) => draft.removeTree('words'))
    expect(['words', 'title', 'lead'].some((id) => doc.nodes.has(id))).toBe(false)
    expect(doc.node('hero').children).toEqual(['picture'])
    change(doc, (draft) => draft.insertTree(tree('x', [tree('y'), tree('z')]), 'hero'))
    expect(['x', 'y', 'z'].map((id) => doc.node(id).slot).sort()).toEqual(slots.sort())
  })

  test('a removed page takes its sections along', () => {
    const doc = made()
    change(doc, (draft) => draft.removePage('home'))
    expect(doc.nodes.size).toBe(0)
    expect(doc.pages.size).toBe(0)
  })
})

test('siblings stand in the order of code units, then of ids, on every machine', () => {
  const key = fc.record({ order: fc.constantFrom('a', 'a0', 'aZ', 'aa', 'B', 'z'), id: fc.uuid() })
  fc.assert(
    fc.property(fc.array(key, { maxLength: 12 }), (list) => {
      const sorted = [...list].sort(byOrder)
      const again = [...list].reverse().sort(byOrder)
      expect(again).toEqual(sorted)
      for (let i = 1; i < sorted.length; i++)
        expect(byOrder(sorted[i - 1]!, sorted[i]!)).toBeLessThanOrEqual(0)
    }),
  )
  expect(
    [
      { order: 'a', id: '1' },
      { order: 'B', id: '2' },
    ].sort(byOrder)[0]!.order,
  ).toBe('B')
})

test('slots stay few and different, whatever is put in and taken out', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(99), { maxLength: 60 }), (steps) => {
      const doc = made()
      let next = 0
      let most = doc.nodes.size
      for (const step of steps) {
        const blocks = [...doc.nodes.values()].filter((node) => node.kind !== 'page')
        change(doc, (draft) => {
          if (step % 3 === 0 && blocks.length > 0) draft.removeTree(blocks[step % blocks.length]!.id)
          else {
            const host = blocks.length > 0 ? blocks[step % blocks.length]!.id : 'home'
            draft.insertTree({ ...tree(`i${next++}`), kind: host === 'home' ? 'section' : 'box' }, host)
          }
        })
        most = Math.max(most, doc.nodes.size)
      }
      const slots = [...doc.nodes.values()].map((node) => node.slot)
      expect(new Set(slots).size).toBe(slots.length)
      expect(Math.max(...slots)).toBeLessThan(most)
    }),
  )
})
