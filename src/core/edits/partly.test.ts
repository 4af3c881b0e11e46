/** A document with one page, told of everything that happens to the project, stays what the project is. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { Draft } from '../document/draft'
import { bodyOf, outlineOf, partsOf } from '../document/outline'
import type { NodeTree, ProjectFile } from '../document/schema'
import { starterProject } from '../shelf/starter'
import { applyTo } from './apply'
import { type Edit, EditError } from './edit'
import { Absent, applyPartly } from './partly'

function threePages(): ProjectFile {
  const file = starterProject('Three', 'p0')
  const section = (n: number, k: number): NodeTree => ({
    id: `s${n}${k}`,
    kind: 'section',
    name: 'Section',
    order: `a${k}`,
    props: {},
    children: [{ id: `b${n}${k}`, kind: 'box', name: 'Box', order: 'a0', props: {} }],
  })
  const page = (n: number) => ({
    ...file.pages[0]!,
    id: `p${n}`,
    path: n ? `/p${n}` : '/',
    order: `a${n}`,
    sections: [0, 1, 2].map((k) => section(n, k)),
  })
  const template = {
    ...page(3),
    id: 't',
    path: '/t',
    isTemplate: true as const,
    sections: [section(3, 0), { id: 'slot', kind: 'slot' as const, name: 'Own', order: 'a1', props: {} }],
  }
  const standing = [0, 1, 2].map(page).map((own, n) => (n === 1 ? { ...own, template: 't' } : own))
  return { ...file, pages: [...standing, template] }
}

const partOf = (whole: Document, pages: readonly string[]) => {
  const { file, absent } = partsOf(
    outlineOf(whole),
    new Map(pages.map((page) => [page, bodyOf(whole, page)])),
  )
  return Document.fromParts(structuredClone(file), absent)
}

const change = fc.record({
  what: fc.constantFrom(
    'set',
    'meta',
    'insert',
    'remove',
    'move',
    'aid',
    'rename',
    'page',
    'stand',
    'change',
    'drop',
    'project',
  ),
  at: fc.nat(60),
  to: fc.nat(60),
  value: fc.nat(80),
})
type Change = typeof change extends fc.Arbitrary<infer T> ? T : never

function editOf({ what, at, to, value }: Change, doc: Document, n: number): Edit | undefined {
  const nodes = [...doc.nodes.values()]
  const blocks = nodes.filter((node) => node.kind !== 'page')
  const block = blocks[at % Math.max(1, blocks.length)]
  const pages = [...doc.pages.values()]
  const page = pages[at % Math.max(1, pages.length)]
  const host = pages[to % Math.max(1, pages.length)]!
  if (what === 'project') return { op: 'project', name: `Name ${value}` }
  if (what === 'page')
    return {
      op: 'page',
      id: `new${n}`,
      page: {
        ...outlineOf(doc).pages[0]!,
        isTemplate: undefined,
        template: undefined,
        id: `new${n}`,
        path: `/new${n}`,
        order: `b${n % 9}`,
        sections: [],
      },
    }
  if (!page) return undefined
  if (what === 'stand') return { op: 'page-meta', id: page.id, set: { template: value % 3 ? 't' : null } }
  if (what === 'rename') return { op: 'page-meta', id: page.id, set: { name: `Page ${value}` } }
  if (what === 'drop') return pages.length > 1 ? { op: 'page', id: page.id, page: null } : undefined
  if (what === 'aid')
    return {
      op: 'aid',
      page: page.id,
      id: `g${value % 4}`,
      aid: { kind: 'guide', id: `g${value % 4}`, view: doc.views[0]!.id, axis: 'x', at: value },
    }
  if (what === 'insert')
    return {
      op: 'insert',
      parent: host.id,
      tree: { id: `n${n}`, kind: 'section', name: 'New', order: `a${value % 9}`, props: {} },
    }
  if (!block) return undefined
  if (what === 'change')
    return {
      op: 'change',
      page: page.id,
      node: block.id,
      props: { hidden: value % 4 ? value % 2 === 0 : null },
    }
  if (what === 'set') return { op: 'set', node: block.id, props: { paddingTop: value } }
  if (what === 'meta') return { op: 'meta', node: block.id, name: `Block ${value}` }
  if (what === 'remove') return { op: 'remove', node: block.id }
  return {
    op: 'move',
    node: block.id,
    parent: block.kind === 'section' ? host.id : (block.parent ?? host.id),
    order: `a${value % 9}`,
  }
}

const tried = (doc: Document, how: (draft: Draft) => unknown) => {
  const draft = new Draft(doc)
  how(draft)
  doc.accept(draft)
}

describe('one page of three', () => {
  test('sees what happens on it and to the outline; a page that is fetched later is as the project has it', () => {
    let met = 0
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 40 }), fc.nat(2), (changes, here) => {
        const whole = Document.fromFile(threePages())
        // Templates are always here.
        let part = partOf(whole, [`p${here}`, 't'])
        changes.forEach((each, n) => {
          const edit = editOf(each, whole, n)
          if (!edit) return
          try {
            tried(whole, (draft) => applyTo(draft, structuredClone(edit)))
          } catch (error) {
            if (error instanceof EditError) return
            throw error
          }
          try {
            tried(part, (draft) => applyPartly(draft, structuredClone(edit)))
          } catch (error) {
            if (!(error instanceof Absent)) throw error
            // Something came from a page that is not here: the project is read again, with the same pages.
            met++
            part = partOf(
              whole,
              [...whole.pages.keys()].filter((page) => !part.absent.has(page)),
            )
          }
        })
        expect(outlineOf(part)).toEqual(outlineOf(whole))
        for (const page of part.pages.keys())
          if (!part.absent.has(page)) expect(bodyOf(part, page)).toEqual(bodyOf(whole, page))
        for (const page of part.absent) tried(part, (draft) => draft.fill(page, bodyOf(whole, page)))
        expect(part.toFile()).toEqual(whole.toFile())
      }),
      { numRuns: 400 },
    )
    // The rare case is among them, or this says nothing of it.
    expect(met).toBeGreaterThan(0)
  })

  test('a page that is not here has nothing on it, and what is about it alone changes nothing here', () => {
    const part = partOf(Document.fromFile(threePages()), ['p0'])
    expect([...part.absent]).toEqual(['p1', 'p2', 't'])
    expect(part.node('p1').children).toEqual([])
    const before = JSON.stringify(part.toFile())
    const draft = new Draft(part)
    expect(applyPartly(draft, { op: 'set', node: 'b10', props: { paddingTop: 4 } })).toBeUndefined()
    expect(
      applyPartly(draft, {
        op: 'insert',
        parent: 'p1',
        tree: { id: 'x', kind: 'section', name: 'X', order: 'a0', props: {} },
      }),
    ).toBeUndefined()
    expect(applyPartly(draft, { op: 'move', node: 's00', parent: 'p2', order: 'a9' })).toMatchObject({
      op: 'insert',
    })
    expect(() => applyPartly(draft, { op: 'move', node: 's11', parent: 'p0', order: 'a9' })).toThrow(Absent)
    expect(JSON.stringify(part.toFile())).toBe(before)
  })
})
