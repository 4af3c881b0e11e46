import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { orderAt, stepEdits } from '../arrange/order'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { Builder, plant } from '../shelf/build'
import { SHELF } from '../shelf/items'
import { starterProject, viewFor } from '../shelf/starter'
import { applyAll, applyEdit, readEdit } from './apply'
import { type Edit, EditError } from './edit'
import { mergeInto } from './merge'

function sample(): Document {
  const file = starterProject('Test', 'home')
  let count = 0
  const builder = new Builder(file.views)
  file.pages[0].sections = SHELF.filter((item) => item.shelf === 'sections')
    .slice(0, 4)
    .map((item, i) => plant(item.build(builder), () => `n${count++}`, `a${i}`))
  return Document.fromFile(file)
}

/** An edit chosen by numbers, so that it always fits the document as it is then. */
function someEdit(doc: Document, [kind, a, b, c]: number[]): Edit | undefined {
  const nodes = [...doc.nodes.values()].filter((node) => node.kind !== 'page')
  if (nodes.length === 0) return undefined
  const node = nodes[a % nodes.length]
  const boxes = nodes.filter((each) => each.kind === 'box' || each.kind === 'section')
  const host = boxes[b % Math.max(1, boxes.length)]
  switch (kind % 9) {
    case 0:
      return { op: 'set', node: node.id, props: { rowGap: b % 50, fill: b % 2 ? '#aabbcc' : null } }
    case 1:
      return { op: 'set', node: node.id, view: 'mobile', props: { hidden: b % 2 === 0, paddingTop: c % 40 } }
    case 2:
      return { op: 'remove', node: node.id }
    case 3:
      return (
        host && {
          op: 'move',
          node: node.id,
          parent: host.id,
          order: orderAt(doc, host.id, c % (host.children.length + 1), node.id),
        }
      )
    case 4:
      return (
        host && {
          op: 'insert',
          parent: host.id,
          tree: {
            id: `new${a}-${b}-${c}`,
            kind: 'text',
            name: 'New',
            order: orderAt(doc, host.id, c % 3),
            props: { spans: [{ text: 'New' }] },
          } satisfies NodeTree,
        }
      )
    case 5:
      return {
        op: 'token',
        name: `space.t${b % 3}`,
        token: c % 4 === 0 ? null : { $value: { value: c % 90, unit: 'px' } },
      }
    case 7:
      return {
        op: 'aid',
        page: [...doc.pages.keys()][0],
        id: `aid${b % 4}`,
        aid:
          c % 3 === 0
            ? null
            : { kind: 'guide', id: `aid${b % 4}`, view: 'mobile', axis: c % 2 ? 'x' : 'y', at: c },
      }
    case 6:
      return { op: 'meta', node: node.id, name: `Name ${b}`, locked: c % 2 === 0 }
    default:
      return stepEdits(doc, node.id, b % 2 ? 1 : -1)[0]
  }
}

const numbers = fc.array(fc.tuple(fc.nat(), fc.nat(999), fc.nat(999), fc.nat(999)), { maxLength: 25 })

describe('edits', () => {
  test('apply then invert gives the same document', () => {
    fc.assert(
      fc.property(numbers, (choices) => {
        const doc = sample()
        const before = structuredClone(doc.toFile())
        const inverses: Edit[] = []
        for (const choice of choices) {
          const edit = someEdit(doc, choice)
          if (!edit) continue
          try {
            inverses.unshift(applyEdit(doc, edit))
          } catch (error) {
            // Refused: nothing may have changed, which the comparison at the end would show.
            if (!(error instanceof EditError)) throw error
          }
        }
        for (const inverse of inverses) applyEdit(doc, inverse)
        expect(doc.toFile()).toEqual(before)
      }),
      { numRuns: 150 },
    )
  })

  test('what was merged does what the single edits did', () => {
    fc.assert(
      fc.property(numbers, (choices) => {
        const one = sample()
        const applied: Edit[] = []
        for (const choice of choices) {
          const edit = someEdit(one, choice)
          if (!edit) continue
          try {
            applyEdit(one, edit)
            applied.push(edit)
          } catch (error) {
            if (!(error instanceof EditError)) throw error
          }
        }
        const other = sample()
        applyAll(other, mergeInto([], applied))
        expect(other.toFile()).toEqual(one.toFile())
      }),
      { numRuns: 150 },
    )
  })

  test('all or none', () => {
    const doc = sample()
    const before = doc.toFile()
    expect(() =>
      applyAll(doc, [
        { op: 'set', node: 'n0', props: { rowGap: 99 } },
        { op: 'remove', node: 'nowhere' },
      ]),
    ).toThrow('there is no block nowhere')
    expect(doc.toFile()).toEqual(before)
  })

  test.each([
    [{ op: 'set', node: 'n0', props: { rowGap: -1 } }, /rowGap/],
    [{ op: 'set', node: 'n0', view: 'watch', props: {} }, /no view watch/],
    [{ op: 'move', node: 'n0', parent: 'n1', order: 'a5' }, /cannot be moved into itself/],
    [
      { op: 'insert', parent: 'n0', tree: { id: 'n1', kind: 'box', name: '', order: 'a0', props: {} } },
      /already taken/,
    ],
    [{ op: 'token', name: 'a.b', token: { $type: 'dimension', $value: '{a.b}' } }, /refers to itself/],
    [{ op: 'views', views: [] }, /at least one view/],
    [{ op: 'page-meta', id: 'home', set: { path: 'Home' } }, /path/],
    [{ op: 'explode' }, /op/],
    [null, /./],
  ])('%j is refused with a reason', (value, reason) => {
    expect(() => applyEdit(sample(), readEdit(value))).toThrow(reason)
  })

  test('a view that something is still said for is not removed', () => {
    const doc = sample()
    expect(() => applyEdit(doc, { op: 'views', views: [doc.views[0]] })).toThrow(/Mobile.*values of its own/)
    const tablet = viewFor('tablet', 'Tablet', 834, doc.views[0])
    const inverse = applyEdit(doc, { op: 'views', views: [doc.views[0], tablet, doc.views[1]] })
    expect(doc.views.map((view) => view.id)).toEqual(['desktop', 'tablet', 'mobile'])
    applyEdit(doc, inverse)
    expect(doc.views.map((view) => view.id)).toEqual(['desktop', 'mobile'])
  })
})
