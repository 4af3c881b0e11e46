import { describe, expect, test } from 'vitest'
import { said } from '../words/words'
import { oneFill } from './items'
import type { PropKey } from './table'
import { allSaid, saidWords } from './value-words'

describe('values in words', () => {
  test.each<[PropKey, unknown, string]>([
    ['fontSize', 38, 'font size 38'],
    ['fontSize', '{size.display}', 'font size display'],
    ['width', { kind: 'columns', span: 4, from: 2 }, 'width columns 2–5'],
    ['width', { kind: 'columns', span: 1 }, 'width 1 column'],
    ['height', { kind: 'exact', px: 240 }, 'height 240 px'],
    ['height', { kind: 'svh', percent: 60 }, 'height 60 % of the first screen'],
    ['hidden', true, 'hidden'],
    ['hidden', false, 'shown'],
    ['rowGap', 24, 'row gap 24 px'],
    ['order', -1, 'order -1'],
    ['opacity', 0.5, 'opacity 50 %'],
    ['lineHeight', { ratio: 1.5 }, 'line height 1.5'],
    ['pinLeft', { percent: 50 }, 'pin left 50 %'],
    ['borderTop', { width: 2 }, 'border top 2 px'],
    ['fills', oneFill('{color.wash}'), 'fills wash'],
    ['words', said('Ready to sow'), 'words “Ready to sow”'],
    ['flow', 'column', 'flow column'],
    ['lattice', { columns: 6, gutter: 8, container: null, margin: 0 }, 'lattice 6 columns'],
    ['fontSize', null, 'font size put back'],
  ])('%s %o', (key, value, words) => expect(saidWords(key, value)).toBe(words))

  test('several, as one statement', () => {
    expect(allSaid({ hidden: false, fontSize: 20 })).toBe('shown, font size 20')
  })
})
