import { describe, expect, test } from 'vitest'
import { openProject } from '../document/open'
import { projectJson } from '../document/save'
import { applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { moduleFor } from '../edits/registry'
import { oneFill } from '../properties/items'
import { removeTokenEdits, renameTokenEdits } from '../tokens/instead'
import { changedBy, keptLook, lookFor, lookOf } from './look'
import { box, exactly, lay } from './test-page'

const ALL = new Set(['fill', 'border', 'type', 'spacing', 'effects'] as const)
const source = box('a', {
  ...exactly(100, 50),
  fills: oneFill('{color.pine}'),
  radiusTopLeft: 12,
  opacity: 0.5,
})
const page = () => lay({ flow: 'column' }, [source, box('b', exactly(80, 40))])
const kept = (name = 'Card') => keptLook('look', name, lookOf(source.props))

describe('a kept look', () => {
  test('is what the block sets of its look, and nothing of its place', () => {
    expect(kept()).toEqual({
      id: 'look',
      name: 'Card',
      props: { fills: oneFill('{color.pine}'), radiusTopLeft: 12, opacity: 0.5 },
    })
  })
  test('is kept, another, kept no longer; each undone', () => {
    const { doc, run } = page()
    const edit: Edit = { op: 'look', id: 'look', look: kept() }
    const inverse = applyAll(doc, [edit])
    expect(doc.looks).toEqual([kept()])
    expect(moduleFor(edit).words(edit, doc)).toBe('Keep the look “Card”')
    applyAll(doc, inverse)
    expect(doc.looks).toEqual([])
    run([edit, { op: 'look', id: 'look', look: kept('Other') }])
    expect(doc.looks.map(({ name }) => name)).toEqual(['Other'])
    expect(() => run([{ op: 'look', id: 'else', look: kept() }])).toThrow(/another id/)
  })
  test('is in the file; one with what is no look is refused', () => {
    const { doc, run } = page()
    run([{ op: 'look', id: 'look', look: kept() }])
    const file = JSON.parse(projectJson(doc)) as { looks: { props: object }[] }
    const open = () => openProject(new TextEncoder().encode(JSON.stringify(file))).document
    expect(open().looks).toEqual([kept()])
    file.looks[0]!.props = { width: { kind: 'snug' } }
    expect(open).toThrow(/looks\[0\]/)
  })
  test('says what it would change, and nothing once it is put on', () => {
    const { doc, run } = page()
    const look = lookOf(kept().props)
    const props = lookFor(look, doc.node('b'), ALL)
    expect(changedBy(props, doc.node('b').props)).toEqual(['fills', 'radiusTopLeft', 'opacity'])
    run([{ op: 'set', node: 'b', props }])
    expect(changedBy(lookFor(look, doc.node('b'), ALL), doc.node('b').props)).toEqual([])
    // What it does not set is put back.
    run([{ op: 'set', node: 'b', props: { rotate: 8 } }])
    expect(changedBy(lookFor(look, doc.node('b'), ALL), doc.node('b').props)).toEqual(['rotate'])
  })
  test('follows a token’s name, and keeps what one that is taken away was', () => {
    const { doc, run } = page()
    run([{ op: 'look', id: 'look', look: kept() }])
    run(renameTokenEdits(doc, 'color.pine', 'color.moss'))
    expect(doc.looks[0]!.props.fills).toEqual(oneFill('{color.moss}'))
    const { value } = doc.tokenTable.lookup('color.moss') as { value: string }
    run(removeTokenEdits(doc, 'color.moss'))
    expect(doc.looks[0]!.props.fills).toEqual(oneFill(value))
  })
})
