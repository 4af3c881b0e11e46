import { describe, expect, test } from 'vitest'
import type { Props } from '../properties/table'
import type { Edit } from './edit'
import { isIdle, stepValues } from './step-words'

const change = (props: object, before: object) => ({
  edit: { op: 'set', node: 'a', props } as Edit,
  inverse: { op: 'set', node: 'a', props: before } as Edit,
})

describe('what a step did', () => {
  test('one value into another', () => {
    expect(stepValues([change({ fontSize: 44 }, { fontSize: 38 })])).toBe('38 → 44')
  })
  test('what had no value is said with its name, and what was put back', () => {
    expect(stepValues([change({ fontSize: 44 } satisfies Props, { fontSize: null })])).toBe('font size 44')
    expect(stepValues([change({ fontSize: null }, { fontSize: 38 })])).toBe('38 → none')
  })
  test('a gesture by its beginning and its end', () => {
    const gesture = [change({ rowGap: 10 }, { rowGap: 8 }), change({ rowGap: 24 }, { rowGap: 10 })]
    expect(stepValues(gesture)).toBe('8 px → 24 px')
    expect(isIdle(gesture)).toBe(false)
  })
  test('one that ended where it began did nothing', () => {
    const gesture = [
      change({ width: { kind: 'exact', px: 10 } }, { width: { kind: 'snug' } }),
      change({ width: { kind: 'snug' } }, { width: { kind: 'exact', px: 10 } }),
    ]
    expect(isIdle(gesture)).toBe(true)
    expect(stepValues(gesture)).toBeUndefined()
  })
  test('other things have no values', () => {
    const remove = { edit: { op: 'remove', node: 'a' } as Edit, inverse: undefined }
    expect(stepValues([remove])).toBeUndefined()
    expect(isIdle([remove])).toBe(false)
  })
})
