import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { balanced, pretty } from './balance'

/** Words of given widths, with spaces of 1. @param hyphens the words that are parts of one with the next, in a font of 1 px */
function opportunitiesOf(widths: readonly number[], hyphens: readonly number[] = []) {
  const ends: number[] = []
  widths.forEach((width, i) => {
    ends.push((ends[i - 1] ?? -1) + 1 + width)
  })
  const startOf = (from: number) => (from < 0 ? 0 : ends[from]! + 1)
  return {
    isBeginning: true,
    isJustified: false,
    count: widths.length,
    width: (from: number, to: number) => ends[to]! - startOf(from),
    size: 1,
    isHyphened: (at: number) => hyphens.includes(at),
  }
}
const broken = (widths: readonly number[], room: number, hyphens: readonly number[] = [], most = 30) =>
  balanced(opportunitiesOf(widths, hyphens), room, most)

describe('balanced lines', () => {
  test('are about as long as one another', () => {
    expect(broken([5, 5, 5, 5], 18)).toEqual([1, 3])
  })
  test('a word seldom stands alone at the end', () => {
    expect(broken([6, 2, 4, 6], 13)?.at(-2)).toBe(1)
  })
  test('the last word is kept from a line of its own but not at any price', () => {
    expect(broken([50, 20, 20, 80], 120)?.at(-2)).toBe(1)
    expect(broken([500, 200, 200, 800], 1200)?.at(-2)).toBe(2)
  })
  test('a part of the last word alone is as bad, so it is seldom parted for that', () => {
    // The last word in two parts, which a hyphen parts: whole it is alone once, in parts twice.
    expect(broken([60, 60, 40, 50], 100, [2])).toEqual([0, 1, 3])
  })
  test('a hyphen ends a line where nothing else fits as well', () => {
    expect(broken([5, 5, 5, 5, 5], 18, [1])).not.toContain(1)
    expect(broken([9, 9, 9, 9], 12, [0])).toEqual([0, 1, 2, 3])
  })
  test('less is held against a hyphen where lines are justified', () => {
    const words = opportunitiesOf([20, 20, 5, 5, 10], [1])
    expect(balanced(words, 30, 3)).toEqual([0, 2, 4])
    expect(balanced({ ...words, isJustified: true }, 30, 3)).toEqual([0, 1, 4])
  })
  test('of the ways into no more lines than there are the best is taken', () => {
    // Whole words in four lines beat parted ones in three, which is all there is room for.
    expect(broken([60, 60, 40, 50], 100, [2])).toHaveLength(3)
    expect(broken([60, 30, 30, 60, 30], 95, [1, 3], 3)).toHaveLength(3)
    expect(broken([60, 30, 30, 60, 30], 95, [1, 3], 2)).toBeUndefined()
  })
  test('three words make as narrow a text as can be', () => {
    expect(broken([4, 4, 7], 14)).toEqual([1, 2])
    expect(broken([7, 4, 4], 14)).toEqual([0, 2])
    expect(broken([7, 7, 7], 12)).toBeUndefined()
  })
  test('of ways as good as one another the one that begins with the shorter line is taken, and goes on with the longer ones', () => {
    const letters = (count: number, isBeginning = true) => ({
      isBeginning,
      isJustified: false,
      count,
      width: (from: number, to: number) => to - from,
      size: 1,
      isHyphened: () => false,
    })
    expect(balanced(letters(21), 12, 2)).toEqual([9, 20])
    expect(balanced(letters(28), 12, 3)).toEqual([8, 18, 27])
    expect(balanced(letters(59), 12, 5)).toEqual([10, 22, 34, 46, 58])
    expect(balanced(letters(28, false), 12, 3)).toEqual([9, 18, 27])
  })
  test('a word that sticks out is a line; behind it none is better than another, and each word begins as late as it can', () => {
    expect(broken([20, 3, 3, 3], 12)).toEqual([0, 3])
    expect(broken([20, 2, 6, 4, 3, 2, 4], 12)).toEqual([0, 1, 3, 6])
  })
  test('every line fits, and every word is on one', () => {
    const widths = fc.array(fc.integer({ min: 1, max: 10 }), { minLength: 4, maxLength: 30 })
    fc.assert(
      fc.property(widths, fc.integer({ min: 10, max: 60 }), (words, room) => {
        const taken = broken(words, room)!
        expect(taken.at(-1)).toBe(words.length - 1)
        let start = 0
        for (const end of taken) {
          const own = words.slice(start, end + 1)
          expect(own.reduce((sum, width) => sum + width, own.length - 1)).toBeLessThanOrEqual(room)
          start = end + 1
        }
      }),
    )
  })
})

describe('a pretty end', () => {
  const ended = (widths: readonly number[], room: number, lines: number, hyphens: readonly number[] = []) =>
    pretty(opportunitiesOf(widths, hyphens), room, lines)

  test('a word goes down to the last, whose own length does not count', () => {
    expect(ended([40, 40, 40, 20, 10], 130, 2)).toEqual([2, 4])
    expect(broken([30, 10, 10, 20, 10], 62)).toEqual([1, 4])
    expect(ended([30, 10, 10, 20, 10], 62, 2)).toEqual([2, 4])
  })
  test('but not where that leaves too much of the line before', () => {
    expect(ended([100, 100, 100, 600, 50], 940, 2)).toEqual([3, 4])
  })
  test('a hyphen in front of the last line is held against it five times', () => {
    const words = [60, 20, 20, 30, 30]
    expect(ended(words, 110, 2, [1])).not.toContain(1)
  })
  test('it never takes more lines', () => {
    expect(ended([60, 50, 50, 60], 115, 2)).toEqual([1, 3])
    expect(ended([60, 50, 50, 60], 115, 1)).toBeUndefined()
  })
})
