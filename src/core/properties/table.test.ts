/** The table of properties. */

import { describe, expect, test } from 'vitest'
import { oneFill } from './items'
import {
  defaultsOf,
  differInPaintOnly,
  differing,
  hasProperty,
  KEYS,
  keysOf,
  ofKind,
  PROPERTIES,
} from './table'

describe('the table', () => {
  test('no two properties have the same name in words', () => {
    const words = KEYS.map((key) => PROPERTIES[key].words)
    expect(new Set(words).size).toBe(words.length)
  })
  test('what a kind begins with is valid, and its own', () => {
    for (const key of KEYS) {
      for (const kind of Object.keys(PROPERTIES[key].initialOf ?? {}))
        expect([key, hasProperty(kind as 'box', key)]).toEqual([key, true])
    }
    expect(defaultsOf('button').paddingLeft).toBe(20)
    expect(defaultsOf('text').paddingLeft).toBe(0)
  })
  test('a kind keeps its own properties, a view what may differ', () => {
    const props = { fontSize: 20, rowGap: 8, tag: 'p' } as const
    expect(ofKind('text', props)).toEqual({ fontSize: 20, tag: 'p' })
    expect(ofKind('box', props)).toEqual({ rowGap: 8, tag: 'p' })
    expect(differing(props)).toEqual({ fontSize: 20, rowGap: 8 })
    const own = { fontSize: 20 }
    expect(ofKind('text', own)).toBe(own)
    expect(differing(own)).toBe(own)
  })
  test('what changes only what is drawn', () => {
    expect(
      differInPaintOnly({ fills: oneFill('#ffffff'), fontSize: 16 }, { color: '#000000', fontSize: 16 }),
    ).toBe(true)
    expect(differInPaintOnly({ fontSize: 16 }, { fontSize: 18 })).toBe(false)
    expect(differInPaintOnly({}, { borderTop: { width: 1 } })).toBe(false)
    expect(differInPaintOnly({ hidden: true }, {})).toBe(false)
  })
  test('a look is copied whole: every property of a part belongs to some kind', () => {
    expect(keysOf('type')).toContain('letterSpacing')
    expect(keysOf('spacing')).toEqual(expect.arrayContaining(['paddingTop', 'rowGap', 'columnGap']))
  })
})
