import { beforeAll, describe, expect, test } from 'vitest'
import type { NodeTree } from '../document/schema'
import { boundsOf } from '../forms/path'
import type { Props } from '../properties/table'
import { openType } from '../samples/fonts'
import { said } from '../words/words'
import { fonts, lay, makeId } from './test-page'
import { lettersOf, outlineEdits } from './text-outline'

beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const text = (says: string, props: Props = {}): NodeTree => ({
  id: 't',
  kind: 'text',
  name: 'Mark',
  order: 'a0',
  props: { words: said(says), fontSize: 80, color: '#224433', ...props },
})

describe('a text turned into outlines', () => {
  test('lies where it lay, is as large, in its colour, and says its words', () => {
    const { doc, layout, run } = lay({ flow: 'column' }, [
      text('Hollow Oak'),
      { ...text('below'), id: 'b', order: 'a1' },
    ])
    const [before, below] = [layout.rect('t')!, layout.rect('b')!]
    const made = outlineEdits(doc, layout, doc.node('t'), 'Mark', makeId)
    if (typeof made === 'string') throw new Error(made)
    run(made.edits)
    const after = layout.rect(made.made)!
    for (const side of ['x', 'y', 'width', 'height'] as const)
      expect(after[side]).toBeCloseTo(before[side], 1)
    expect(layout.rect('b')!.y).toBeCloseTo(below.y, 1)
    expect(doc.node('s').children).toEqual([made.made, 'b'])
    expect(doc.node(made.made)).toMatchObject({
      kind: 'shape',
      name: 'Mark',
      props: { paint: '#224433', alt: 'Hollow Oak' },
    })
  })
  test('letters stand on their baseline, and holes are holes', () => {
    const { layout } = lay({ flow: 'column' }, [text('oH')])
    const letters = lettersOf(layout.boxes.get('t')!)
    // A ring and one stroke made of its stems without overlaps.
    expect(letters).toHaveLength(3)
    const [ring, hole, stems] = [...letters].sort((a, b) => boundsOf([a]).left - boundsOf([b]).left)
    const [outer, inner, h] = [ring, hole, stems].map((chain) => boundsOf([chain!]))
    expect(inner!.left).toBeGreaterThan(outer!.left)
    expect(inner!.right).toBeLessThan(outer!.right)
    // Round letters reach a little below the line that straight ones stand on.
    expect(outer!.bottom).toBeGreaterThan(h!.bottom)
    expect(outer!.bottom - h!.bottom).toBeLessThan(2)
  })
  test('in a view with smaller type it is as much smaller', () => {
    const { doc, layout, run } = lay({ flow: 'column' }, [
      { ...text('Oak'), overrides: { mobile: { fontSize: 40, opacity: 0.5 } } },
    ])
    const { width } = layout.rect('t')!
    const made = outlineEdits(doc, layout, doc.node('t'), 'Mark', makeId)
    if (typeof made === 'string') throw new Error(made)
    run(made.edits)
    const there = doc.node(made.made).overrides.mobile
    expect((there!.width as { px: number }).px).toBeCloseTo(width / 2, 0)
    expect(there!.opacity).toBe(0.5)
  })
  test('what has no letters, and what has too many, says so', () => {
    const refused = (says: string) => {
      const { doc, layout } = lay({ flow: 'column' }, [text(says)])
      return outlineEdits(doc, layout, doc.node('t'), 'Mark', makeId)
    }
    expect(refused(' ')).toMatch(/no letters/)
    expect(refused('seeds to sow '.repeat(400))).toMatch(/too many letters/)
  })
})
