/** Edits that mean harm: refused with a reason or applied, never anything else; what all objects share stays as it is. */

import fc from 'fast-check'
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import { openProject } from '../document/open'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { applyEdit, readEdit } from './apply'
import { EditError } from './edit'
import { hostileEdit, nested } from './hostile-edits'

function sample(): Document {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 'a',
      kind: 'section',
      name: 'A',
      order: 'a0',
      props: {},
      children: [{ id: 'b', kind: 'text', name: 'B', order: 'a0', props: { words: said('Words') } }],
    },
  ]
  return Document.fromFile(file)
}

test('names that objects inherit are no ids, no tokens, no keys', () => {
  for (const name of ['__proto__', 'constructor', 'toString', 'hasOwnProperty', 'valueOf']) {
    const doc = sample()
    const before = JSON.stringify(doc.toFile())
    const view = JSON.parse(JSON.stringify({ ...doc.views[1], width: 300, breakpoint: 320, id: undefined }))
    for (const value of [
      { op: 'token', name: `${name}.x`, token: { $type: 'number', $value: 1 } },
      { op: 'token', name: `a.${name}`, token: { $type: 'number', $value: 1 } },
      { op: 'set', node: 'b', view: name, props: { hidden: true } },
      { op: 'set', node: name, props: { hidden: true } },
      JSON.parse(`{"op":"views","change":{"${name}":${JSON.stringify(view)}}}`),
      JSON.parse(`{"op":"set","node":"b","props":{"${name}":{"x":1}}}`),
      {
        op: 'insert',
        parent: 'a',
        tree: JSON.parse(
          `{"id":"n","kind":"box","name":"N","order":"a5","props":{},"overrides":{"${name}":{"hidden":true}}}`,
        ),
      },
    ]) {
      expect(() => applyEdit(doc, readEdit(value)), JSON.stringify(value)).toThrow(EditError)
      expect(JSON.stringify(doc.toFile())).toBe(before)
    }
    expect(({} as Record<string, unknown>).x).toBeUndefined()
  }
})

test('what nests 2,000 levels deep is refused where it stands', () => {
  for (const value of [
    { op: 'token', name: 'deep', token: { $type: 'number', $value: nested(2000) } },
    { op: 'token', name: 'deep', token: { $value: 1, $extensions: nested(2000) } },
    { op: 'set', node: 'b', props: { gradient: nested(2000) } },
    { op: 'insert', parent: 'a', tree: nested(200_000) },
  ])
    expect(() => readEdit(value)).toThrow(/nests deeper than 500 levels/)
  const name = Array.from({ length: 90 }, (_, i) => `g${i % 9}`)
    .join('.')
    .slice(0, 199)
  expect(() => readEdit({ op: 'token', name, token: { $type: 'number', $value: 1 } })).toThrow(/groups deep/)
})

test('aliases through thousands of tokens end with a reason', () => {
  const doc = sample()
  const set = (i: number, value: unknown) =>
    applyEdit(doc, readEdit({ op: 'token', name: `chain.t${i}`, token: { $type: 'number', $value: value } }))
  set(0, 1)
  expect(() => {
    for (let i = 1; i < 5000; i++) set(i, `{chain.t${i - 1}}`)
  }).toThrow(/refers on through more than 50 others/)
})

test('hostile names, types and depths: refused or applied, nothing in between', () => {
  const shared = Object.getOwnPropertyNames(Object.prototype).sort()
  let taken = 0
  fc.assert(
    fc.property(hostileEdit, (value) => {
      const doc = sample()
      const before = JSON.stringify(doc.toFile())
      try {
        applyEdit(doc, readEdit(value))
        taken++
        // What was taken can be written and opened again.
        expect(openProject(JSON.stringify(doc.toFile())).document.toFile()).toEqual(doc.toFile())
      } catch (error) {
        if (!(error instanceof EditError)) throw error
        expect(JSON.stringify(doc.toFile())).toBe(before)
      }
      expect(Object.getOwnPropertyNames(Object.prototype).sort()).toEqual(shared)
    }),
    { numRuns: 4000 },
  )
  expect(taken).toBeGreaterThan(40)
})
