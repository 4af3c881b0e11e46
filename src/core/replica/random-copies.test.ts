/** Copies that do anything, and hear of each other in any order. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import { applyEdit } from '../edits/apply'
import { type Edit, EditError } from '../edits/edit'
import { viewFor } from '../shelf/starter'
import type { Parked } from './parked'
import { copy, file, insert, Log, next, set, sync } from './test-log'

/** An edit that fits `doc` mostly, by numbers. */
function someEdit(doc: Document, by: string, [kind, a, b]: readonly number[]): Edit {
  const blocks = [...doc.nodes.values()].filter((node) => node.kind !== 'page')
  const boxes = blocks.filter((node) => node.kind === 'box' || node.kind === 'section')
  const one = blocks[a! % Math.max(1, blocks.length)]?.id ?? 'none'
  const host = boxes[b! % Math.max(1, boxes.length)]?.id ?? 'none'
  const id = `${by}${next()}`
  const pages = [...doc.pages.keys()]
  switch (kind! % 17) {
    case 0:
    case 1:
      return set(one, { paddingTop: b }, b! % 3 === 0 ? 'mobile' : undefined)
    case 2:
      return { op: 'remove', node: one }
    case 3:
      return { op: 'move', node: one, parent: host, order: `a${b! % 6}` }
    case 4:
    case 5:
      return doc.nodes.has(host) ? insert(doc, host, id, b! % 3) : insert(doc, 'home', id, b! % 3, 'section')
    case 6: {
      const { id: _, ...values } = viewFor('v', 'Tablet', 700 + (b! % 3), doc.views[0])
      return { op: 'views', change: { [`v${a! % 2}`]: b! % 2 ? values : null, mobile: { fold: 600 + b! } } }
    }
    case 7:
      return b! % 3
        ? {
            op: 'page',
            id,
            page: { id, name: id, path: `/p${b! % 2}`, order: 'a1', views: [], sections: [] },
          }
        : { op: 'page-meta', id: [...doc.pages.keys()][a! % doc.pages.size]!, set: { path: `/p${b! % 4}` } }
    case 8:
      return {
        op: 'token',
        name: `t.n${a! % 3}`,
        token: b! % 2 ? { $type: 'number', $value: b! % 4 ? b : `{t.n${(a! + 1) % 3}}` } : null,
      }
    case 9:
      return {
        op: 'page',
        id,
        page: {
          id,
          name: id,
          path: `/t${b! % 3}`,
          order: 'a2',
          views: [],
          isTemplate: true,
          sections: [{ id: `${id}-slot`, kind: 'slot', name: 'Own', order: 'a1', props: {} }],
        },
      }
    case 10:
      return {
        op: 'page-meta',
        id: pages[a! % pages.length]!,
        set: { template: b! % 3 ? pages[b! % pages.length] : null },
      }
    case 11:
      return {
        op: 'change',
        page: pages[b! % pages.length]!,
        node: one,
        ...(b! % 4 === 0 ? { view: 'mobile' } : {}),
        props: { hidden: b! % 5 ? b! % 2 === 0 : null },
      }
    case 12:
      return set(
        one,
        {
          fills:
            b! % 6
              ? { [`f${b! % 3}`]: b! % 2 ? { order: 'a1', kind: 'color', color: '#112233' } : null }
              : null,
        },
        b! % 4 === 0 ? 'mobile' : undefined,
      )
    case 13: {
      const text = blocks.find((node) => node.kind === 'text' && node.props.words)
      const insert = { stepType: 'replace', from: 1, to: 1, slice: { content: [{ type: 'text', text: id }] } }
      return { op: 'text', node: text?.id ?? 'none', steps: [insert] }
    }
    case 14: {
      // A token in a length; one that is there when it is put on.
      const [token] = doc.tokenTable.names().filter((name) => name === `t.n${a! % 3}`)
      return set(one, { paddingTop: token === undefined ? b : `{${token}}` })
    }
    case 15: {
      const changed = pages.find((page) => Object.keys(doc.pages.get(page)!.changes ?? {}).length > 0)
      const node = changed && Object.keys(doc.pages.get(changed)!.changes!)[0]
      return changed && node
        ? { op: 'change', page: changed, node, props: { hidden: b! % 2 === 0 } }
        : { op: 'meta', node: one, name: id }
    }
    default:
      return { op: 'meta', node: one, name: id }
  }
}

test('whatever copies do, in whatever order they hear of it: all see what the server has, and nothing vanishes', () => {
  const act = fc.record({
    who: fc.nat(2),
    what: fc.constantFrom('edit', 'edit', 'edit', 'gesture', 'undo', 'redo', 'sync', 'hear'),
    numbers: fc.tuple(fc.nat(99), fc.nat(99), fc.nat(99)),
  })
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const log = new Log()
      const copies = ['x', 'y', 'z'].map((by) => copy(log, by))
      const parked: Parked[] = []
      const inserted: string[] = []
      for (const { who, what, numbers } of acts) {
        const replica = copies[who]!
        if (what === 'sync') parked.push(...sync(log, replica))
        else if (what === 'hear') parked.push(...replica.receive(log.batches))
        else if (what === 'undo') parked.push(...replica.undo().parked)
        else if (what === 'redo') parked.push(...replica.redo().parked)
        else {
          try {
            const edit = someEdit(replica.doc, 'xyz'[who]!, numbers)
            replica.commit([edit], what, what === 'gesture' ? 'g' : undefined)
            if (edit.op === 'insert') inserted.push(edit.tree.id)
          } catch (error) {
            if (!(error instanceof EditError)) throw error
          }
        }
      }
      for (const replica of [...copies, ...copies]) parked.push(...sync(log, replica))
      for (const replica of copies) {
        expect(file(replica.doc)).toBe(file(log.doc))
        expect(replica.pending).toEqual([])
      }
      // The log alone gives the same.
      const again = Document.fromFile(structuredClone(log.file))
      for (const batch of log.batches) for (const edit of batch.edits) applyEdit(again, edit)
      expect(file(again)).toBe(file(log.doc))
      // What was made is saved or set aside, one of the two.
      const found = JSON.stringify([log.batches, parked])
      for (const id of inserted) expect(found).toContain(`"${id}"`)
    }),
    { numRuns: 300 },
  )
})
