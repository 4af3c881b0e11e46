import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { orderAt } from '../arrange/order'
import { stepEdits } from '../arrange/test-page'
import { Document } from '../document/document'
import type { NodeTree, View } from '../document/schema'
import { Builder, plant } from '../shelf/build'
import { SHELF } from '../shelf/items'
import { starterProject, viewFor } from '../shelf/starter'
import { said } from '../words/words'
import { applyAll, applyEdit, readEdit } from './apply'
import { type Edit, EditError } from './edit'
import { touchesInside } from './inside'
import { type Change, mergeInto } from './merge'
import { moduleFor } from './registry'
import { viewEdits } from './views'

function sample(): Document {
  const file = starterProject('Test', 'home')
  let count = 0
  const builder = new Builder(file.views)
  file.pages[0]!.sections = SHELF.filter((item) => item.shelf === 'sections')
    .slice(0, 4)
    .map((item, i) => plant(item.build(builder), () => `n${count++}`, `a${i}`))
  return Document.fromFile(file)
}

const omitId = ({ id: _, ...values }: View) => values

/** Of three fills one set, one taken away or left, or all gone. */
const someFills = (b: number) =>
  b % 7 === 0
    ? null
    : {
        [`f${b % 3}`]: { order: `a${b % 4}`, kind: 'color', color: b % 2 ? '#aabbcc' : '#112233' },
        ...(b % 5 < 2 ? { [`f${(b + 1) % 3}`]: null } : {}),
      }

/** An edit chosen by numbers, so that it always fits the document as it is then. */
function someEdit(doc: Document, [kind, a, b, c]: number[]): Edit | undefined {
  const nodes = [...doc.nodes.values()].filter((node) => node.kind !== 'page')
  if (nodes.length === 0) return undefined
  const node = nodes[a! % nodes.length]!
  const boxes = nodes.filter((each) => each.kind === 'box' || each.kind === 'section')
  const host = boxes[b! % Math.max(1, boxes.length)]
  switch (kind! % 13) {
    case 0:
      if (c! % 4 === 0) {
        const background = c! % 8 === 0 ? null : b! % 2 ? '#aabbcc' : '#112233'
        return { op: 'set', node: doc.pageOf(node.id), props: { background } }
      }
      return { op: 'set', node: node.id, props: { paddingTop: b! % 50, fills: someFills(b!) } }
    case 1:
      return {
        op: 'set',
        node: node.id,
        view: 'mobile',
        props: { hidden: b! % 2 === 0, paddingTop: c! % 40 },
      }
    case 2:
      return { op: 'remove', node: node.id }
    case 3:
      return (
        host && {
          op: 'move',
          node: node.id,
          parent: host.id,
          order: orderAt(doc, host.id, c! % (host.children.length + 1), node.id),
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
            order: orderAt(doc, host.id, c! % 3),
            props: { words: said('New') },
          } satisfies NodeTree,
        }
      )
    case 5:
      return {
        op: 'token',
        name: `space.t${b! % 3}`,
        token: c! % 4 === 0 ? null : { $value: { value: c! % 90, unit: 'px' } },
      }
    case 12:
      return {
        op: 'theme',
        id: `t${b! % 3}`,
        theme: c! % 3 === 0 ? null : { name: `Theme ${c}`, ...(c! % 2 ? { scheme: 'dark' } : {}) },
      }
    case 7:
      return {
        op: 'aid',
        page: [...doc.pages.keys()][0]!,
        id: `aid${b! % 4}`,
        aid:
          c! % 3 === 0
            ? null
            : { kind: 'guide', id: `aid${b! % 4}`, view: 'mobile', axis: c! % 2 ? 'x' : 'y', at: c! },
      }
    case 6:
      return { op: 'meta', node: node.id, name: `Name ${b}`, locked: c! % 2 === 0 }
    case 8:
      return {
        op: 'views',
        change:
          c! % 3 === 0
            ? { [`v${b! % 2}`]: null }
            : c! % 3 === 1
              ? { mobile: { fold: 600 + b!, name: `Phone ${b}` }, desktop: { fold: 900 + c! } }
              : { [`v${b! % 2}`]: omitId(viewFor('x', 'Tablet', 700 + (b! % 2), doc.views[0])) },
      }
    case 9: {
      const page = doc.pages.get(`p${b! % 3}`)
      if (page && c! % 2) return { op: 'page', id: page.id, page: null }
      if (page)
        return { op: 'page-meta', id: page.id, set: { path: `/p${c}`, order: `a${b! % 9}`, name: `P${b}` } }
      const section = { id: `s${b}-${c}`, kind: 'section', name: 'S', order: 'a00', props: {} } as const
      const made = {
        id: `p${b! % 3}`,
        name: 'Page',
        path: `/p${b}`,
        order: 'a1',
        views: [],
        sections: [section],
      }
      return { op: 'page', id: made.id, page: made }
    }
    case 10:
      return {
        op: 'asset',
        id: `picture${b! % 2}`,
        asset:
          c! % 3
            ? {
                id: `picture${b! % 2}`,
                name: `P${c}`,
                type: 'image/png',
                width: 4,
                height: 3,
                size: 9,
                hash: `${c! % 10}`.repeat(64),
              }
            : null,
      }
    default:
      return stepEdits(doc, node.id, b! % 2 ? 1 : -1)[0]
  }
}

const numbers = fc.array(fc.tuple(fc.nat(), fc.nat(999), fc.nat(999), fc.nat(999)), { maxLength: 25 })

/** Applies edits one by one, merges them on the way, and applies what came of it to another document, and back. */
function merging(edits: readonly Edit[]): { forth: Document; back: Document; changes: Change[] } {
  const doc = sample()
  const changes: Change[] = []
  edits.forEach((edit, i) => {
    mergeInto(changes, [{ id: String(i), edit, inverse: applyEdit(doc, edit) }])
  })
  const forth = sample()
  applyAll(
    forth,
    changes.map((change) => change.edit),
  )
  applyAll(doc, changes.map((change) => change.inverse!).reverse())
  return { forth, back: doc, changes }
}

/** Those of the chosen edits that can be applied, one after the other. */
function fitting(choices: number[][]): { edits: Edit[]; doc: Document } {
  const doc = sample()
  const edits: Edit[] = []
  for (const choice of choices) {
    const edit = someEdit(doc, choice)
    if (!edit) continue
    try {
      applyEdit(doc, edit)
      edits.push(edit)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
    }
  }
  return { edits, doc }
}

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
      { numRuns: 200 },
    )
  })

  test('what was merged does what the single edits did, and takes back what they did', () => {
    fc.assert(
      fc.property(numbers, (choices) => {
        const { edits, doc } = fitting(choices)
        const { forth, back } = merging(edits)
        expect(forth.toFile()).toEqual(doc.toFile())
        expect(back.toFile()).toEqual(sample().toFile())
      }),
      { numRuns: 200 },
    )
  })

  test('every edit that was made is read from outside as it is', () => {
    fc.assert(
      fc.property(numbers, (choices) => {
        for (const edit of fitting(choices).edits)
          expect(readEdit(JSON.parse(JSON.stringify(edit)))).toEqual(JSON.parse(JSON.stringify(edit)))
      }),
      { numRuns: 60 },
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

  test('whatever is thrown half-way, the document is as it was', () => {
    const doc = sample()
    const before = JSON.stringify(doc.toFile())
    const trap = {
      op: 'set',
      node: 'n0',
      get props(): never {
        throw new RangeError('not an edit at all')
      },
    } as unknown as Edit
    expect(() => applyAll(doc, [{ op: 'remove', node: 'n1' }, trap])).toThrow(RangeError)
    expect(JSON.stringify(doc.toFile())).toBe(before)
    applyEdit(doc, { op: 'remove', node: 'n1' })
  })

  test.each([
    [{ op: 'set', node: 'n0', props: { rowGap: -1 } }, /rowGap/],
    [{ op: 'set', node: 'n0', view: 'watch', props: {} }, /no view watch/],
    [{ op: 'move', node: 'n0', parent: 'n1', order: 'a5' }, /cannot be moved into itself/],
    [{ op: 'move', node: 'n1', parent: 'n0', order: 'a00' }, /order key/],
    [
      { op: 'insert', parent: 'n0', tree: { id: 'n1', kind: 'box', name: '', order: 'a0', props: {} } },
      /already taken/,
    ],
    [{ op: 'token', name: 'a.b', token: { $type: 'dimension', $value: '{a.b}' } }, /refers to itself/],
    [{ op: 'token', name: 'space', token: { $type: 'number', $value: 1 } }, /is a group/],
    [{ op: 'token', name: 'a', token: { b: { $value: 1 } } }, /\$value/],
    [{ op: 'token', name: 'nothing.here', token: null }, /no token/],
    [{ op: 'views', change: { desktop: null, mobile: null } }, /values of its own/],
    [{ op: 'views', change: { watch: null } }, /no view watch/],
    [{ op: 'views', change: { watch: { width: 200 } } }, /views\.watch/],
    [{ op: 'views', change: { mobile: { width: 1440 } } }, /widest first/],
    [{ op: 'page-meta', id: 'home', set: { path: 'Home' } }, /path/],
    [{ op: 'page-meta', id: 'home', set: { path: '//evil' } }, /path/],
    [{ op: 'page-meta', id: 'home', set: { order: '' } }, /order/],
    [{ op: 'set', node: 'n0', props: { link: 'javascript:alert(1)' } }, /javascript/],
    [{ op: 'set', node: 'n0', props: { link: ' java\nscript:alert(1)' } }, /control characters/],
    [{ op: 'explode' }, /op/],
    [{ op: 'constructor' }, /op/],
    [null, /./],
  ])('%j is refused with a reason', (value, reason) => {
    const doc = sample()
    const before = JSON.stringify(doc.toFile())
    expect(() => applyEdit(doc, readEdit(value))).toThrow(reason)
    expect(JSON.stringify(doc.toFile())).toBe(before)
  })

  test('the undo of a page that another changed a block on leaves the page', () => {
    const doc = Document.fromFile(starterProject('Test', 'home'))
    const made = { id: 'p1', name: 'Page', path: '/p1', order: 'a1', views: [], sections: [] }
    const inverse = applyEdit(doc, { op: 'page', id: 'p1', page: made })
    const theirs = (page: string): Edit => ({ op: 'change', page, node: 'n', props: { hidden: true } })
    expect(moduleFor(inverse).takes!(inverse)).toBe('p1')
    expect(touchesInside(theirs('home'), 'p1', doc)).toBe(false)
    expect(touchesInside(theirs('p1'), 'p1', doc)).toBe(true)
  })
  test('a view that something is still said for is not removed', () => {
    const doc = sample()
    expect(() => applyEdit(doc, { op: 'views', change: { mobile: null } })).toThrow(
      /Mobile.*values of its own/,
    )
    const tablet = viewFor('tablet', 'Tablet', 834, doc.views[0])
    const inverse = applyEdit(doc, { op: 'views', change: { tablet: omitId(tablet) } })
    expect(doc.views.map((view) => view.id)).toEqual(['desktop', 'tablet', 'mobile'])
    expect(inverse).toEqual({ op: 'views', change: { tablet: null } })
    applyEdit(doc, inverse)
    expect(doc.views.map((view) => view.id)).toEqual(['desktop', 'mobile'])
  })

  test('what holds for the whole site is set, put back, and said', () => {
    const doc = sample()
    const edit: Edit = { op: 'project', about: { families: 2, lang: 'cy' } }
    const inverse = applyEdit(doc, edit)
    expect(doc.about).toEqual({ families: 2, lang: 'cy' })
    expect(moduleFor(edit).words(edit, doc)).toBe(
      'The project’s most families on a page 2; The project’s language cy',
    )
    applyEdit(doc, inverse)
    expect(doc.about).toEqual({})
  })

  test('what makes one list of views of another says only what differs', () => {
    const [desktop, mobile] = sample().views
    expect(viewEdits([desktop!, mobile!], [desktop!, { ...mobile!, fold: 700, safe: 320 }])).toEqual([
      { op: 'views', change: { mobile: { fold: 700, safe: 320 } } },
    ])
    expect(viewEdits([{ ...desktop!, safe: 900 }], [desktop!])).toEqual([
      { op: 'views', change: { desktop: { safe: null } } },
    ])
    expect(viewEdits([desktop!, mobile!], [desktop!, mobile!])).toEqual([])
  })
})

describe('merging', () => {
  const home = (doc: Document) => doc.pagesInOrder()[0]!.id

  test('a block moved in front of another and then that one moved: in the order in which they were', () => {
    const doc = sample()
    const [first, second] = doc.node(home(doc)).children
    const [before] = stepEdits(doc, second!, -1)
    applyEdit(doc, before!)
    const [after] = stepEdits(doc, first!, -1)
    const { forth, changes } = merging([before!, after!, ...stepEdits(doc, second!, 1)])
    expect(changes.length).toBe(3)
    expect(forth.node(home(doc)).children.slice(0, 2)).toContain(second)
  })

  test('two pages swap their paths through a third', () => {
    const page = (id: string, path: string): Edit => ({
      op: 'page',
      id,
      page: { id, name: id, path, order: 'a5', views: [], sections: [] },
    })
    const path = (id: string, to: string): Edit => ({ op: 'page-meta', id, set: { path: to } })
    const { forth } = merging([
      page('one', '/one'),
      page('two', '/two'),
      path('one', '/free'),
      path('two', '/one'),
      path('one', '/two'),
    ])
    expect([forth.pages.get('one')?.path, forth.pages.get('two')?.path]).toEqual(['/two', '/one'])
  })

  test('a token, another that refers to it, and the first again', () => {
    const token = (name: string, value: unknown): Edit => ({
      op: 'token',
      name,
      token: { $type: 'dimension', $value: value },
    })
    const px = (value: number) => ({ value, unit: 'px' })
    const { forth } = merging([
      token('gap.a', px(4)),
      token('gap.b', '{gap.a}'),
      token('gap.a', px(8)),
      token('gap.c', '{gap.b}'),
      token('gap.b', px(2)),
    ])
    expect(forth.tokenTable.lookup('{gap.c}')).toEqual({ type: 'dimension', value: 2 })
  })

  test('values of many blocks in one gesture: one change a block, whatever else the gesture sets', () => {
    const edits = Array.from({ length: 30 }, (_, i): Edit[] => [
      { op: 'set', node: 'n0', props: { paddingTop: i } },
      { op: 'set', node: 'n1', view: 'mobile', props: { paddingTop: i } },
      { op: 'meta', node: 'n0', name: `Name ${i}` },
    ]).flat()
    expect(merging(edits).changes.length).toBe(3)
  })
})
