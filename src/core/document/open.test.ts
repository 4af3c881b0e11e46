import { describe, expect, test } from 'vitest'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { Document } from './document'
import { FormatError, openProject } from './open'
import type { NodeTree, ProjectFile } from './schema'

const box = (id: string, children: NodeTree[] = []): NodeTree => ({
  id,
  kind: 'box',
  name: 'Box',
  order: 'a0',
  props: {},
  children,
})

function project(change: (file: ProjectFile) => void = () => undefined): ProjectFile {
  const file = structuredClone(starterProject('Test', 'home'))
  file.pages[0]!.sections = [
    { id: 's1', kind: 'section', name: 'Section', order: 'a0', props: {}, children: [box('b1')] },
  ]
  change(file)
  return file
}

const refusal = (text: string) => {
  try {
    openProject(text)
  } catch (error) {
    if (error instanceof FormatError) return error.message
    throw error
  }
  throw new Error('it was opened')
}
const changed = (change: (file: ProjectFile) => void) => refusal(JSON.stringify(project(change)))

describe('opening a file', () => {
  test('gives back exactly what was saved', () => {
    const file = project()
    const once = openProject(JSON.stringify(file)).document.toFile()
    expect(openProject(JSON.stringify(once)).document.toFile()).toEqual(once)
    expect(Document.fromFile(once).toFile()).toEqual(once)
  })

  test('cut short', () => {
    expect(refusal(JSON.stringify(project()).slice(0, 900))).toMatch(/cut short.*900/)
  })
  test('not JSON', () => {
    expect(refusal('{"format": just-lattice}')).toMatch(/not JSON: (“j” was not expected|line 1)/)
    expect(refusal('<html>')).toMatch(/not JSON/)
    expect(refusal('[]')).toMatch(/expected a project object/)
  })
  test('of a newer version', () => {
    expect(
      changed((file) => {
        ;(file as { version: number }).version = 9
      }),
    ).toMatch(/^version: .*version 9.*newer/)
  })
  test('an unknown kind', () => {
    expect(
      changed((file) => {
        ;(file.pages[0]!.sections[0] as { kind: string }).kind = 'blob'
      }),
    ).toMatch(/^pages\[0\]\.sections\[0\]\.kind: expected .*found "blob"/)
  })
  test('a kind in the wrong place', () => {
    expect(
      changed((file) => {
        file.pages[0]!.sections[0]!.children = [{ ...box('x'), kind: 'section' }]
      }),
    ).toBe('pages[0].sections[0].children[0].kind: a section cannot hold a section')
  })
  test('a duplicate id, with both places', () => {
    expect(
      changed((file) => {
        file.pages[0]!.sections[0]!.children = [box('b1'), box('b1')]
      }),
    ).toBe(
      'pages[0].sections[0].children[1].id: the id "b1" stands twice, first at pages[0].sections[0].children[0]',
    )
  })
  test('a cycle of tokens', () => {
    expect(
      changed((file) => {
        file.tokens = { a: { $type: 'dimension', x: { $value: '{a.y}' }, y: { $value: '{a.x}' } } }
      }),
    ).toMatch(/^tokens\.a\.x: refers to itself/)
  })
  test('a missing asset', () => {
    expect(
      changed((file) => {
        file.pages[0]!.sections[0]!.children = [{ ...box('p'), kind: 'picture', props: { asset: 'gone' } }]
      }),
    ).toBe('pages[0].sections[0].children[0].props.asset: there is no asset "gone" in this file')
  })
  test('a 50 MB string', () => {
    const message = changed((file) => {
      file.pages[0]!.sections[0]!.children = [
        { ...box('t'), kind: 'text', props: { words: said('x'.repeat(50_000_000)) } },
      ]
    })
    expect(message).toMatch(/words\[0\]\.content\[0\]\.text: expected .*1,000,000/)
    expect(message.length).toBeLessThan(300)
  })
  test('200 levels of nesting', () => {
    let deep = box('d200')
    for (let i = 199; i > 0; i--) deep = box(`d${i}`, [deep])
    expect(
      changed((file) => {
        file.pages[0]!.sections[0]!.children = [deep]
      }),
    ).toMatch(/nest deeper than 64 levels/)
  })
  test('a property that does not exist, a value that cannot be', () => {
    expect(
      changed((file) => {
        ;(file.pages[0]!.sections[0]!.props as Record<string, unknown>).colour = 'red'
      }),
    ).toMatch(/props\.colour: "colour" is not a property/)
    expect(
      changed((file) => {
        file.pages[0]!.sections[0]!.props.rowGap = -4
      }),
    ).toMatch(/pages\[0\]\.sections\[0\]\.props\.rowGap: /)
    expect(
      changed((file) => {
        file.pages[0]!.sections[0]!.overrides = { nowhere: {} }
      }),
    ).toMatch(/overrides\.nowhere: there is no view/)
  })
  test('views out of order', () => {
    expect(
      changed((file) => {
        file.views.reverse()
      }),
    ).toMatch(/^views\[0\]\.breakpoint/)
    expect(
      changed((file) => {
        file.views[1]!.lattice.columns = 0
      }),
    ).toMatch(/^views\[1\]\.lattice\.columns: expected at least 1 column, found 0/)
  })
})
