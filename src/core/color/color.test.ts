import { converter, parseHex } from 'culori/fn'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { colorWords } from './called'
import { apcaOf, contrastOf, laidOver, nearestThatReads, neededFor } from './contrast'
import { FORMATS, readColor, writeColor } from './formats'
import { oklabOf } from './oklab'
import { differenceOf, stepsOf } from './steps'

const toOklab = converter('oklab')

const hex = fc.integer({ min: 0, max: 0xff_ff_ff }).map((value) => `#${value.toString(16).padStart(6, '0')}`)

describe('formats', () => {
  test.each([
    ['#1D5C45', '#1d5c45'],
    ['1d5c45', '#1d5c45'],
    ['#fff', '#ffffff'],
    ['rgb(29 92 69)', '#1d5c45'],
    ['rgb(29, 92, 69)', '#1d5c45'],
    ['hsl(0 100% 50%)', '#ff0000'],
    ['rgb(29 92 69 / 50%)', '#1d5c4580'],
    ['seagreen', '#2e8b57'],
  ])('%s is read as %s', (text, wanted) => expect(readColor(text)).toEqual({ hex: wanted, outside: false }))

  test('what sRGB cannot show is said, and the nearest taken; words that are no colour are none', () => {
    const read = readColor('oklch(0.7 0.4 150)')!
    expect(read.outside).toBe(true)
    expect(read.hex).toMatch(/^#[0-9a-f]{6}$/)
    expect(readColor('greenish')).toBe(undefined)
    expect(readColor('')).toBe(undefined)
  })

  test('written in any way and read again it is the same, as near as the digits go', () => {
    fc.assert(
      fc.property(hex, fc.constantFrom(...FORMATS), (color, format) => {
        const again = readColor(writeColor(color, format))!
        expect(differenceOf(again.hex, color)).toBeLessThan(1)
      }),
    )
  })
})

describe('contrast', () => {
  test('the ends of the scales', () => {
    expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21, 5)
    expect(contrastOf('#777777', '#ffffff')).toBeCloseTo(4.478, 2)
    // Worked values of APCA 0.1.9's own documentation.
    expect(apcaOf('#888888', '#ffffff')).toBeCloseTo(63.056, 1)
    expect(apcaOf('#ffffff', '#888888')).toBeCloseTo(-68.541, 1)
    expect(apcaOf('#000000', '#aaaaaa')).toBeCloseTo(58.146, 1)
    expect(apcaOf('#112233', '#ddeeff')).toBeCloseTo(91.668, 1)
    expect([neededFor(16, 400), neededFor(24, 400), neededFor(19, 700)]).toEqual([4.5, 3, 3])
  })

  test('what lets the ground through is taken as it is seen', () => {
    expect(laidOver('#00000080', '#ffffff')).toBe('#7f7f7f')
    expect(contrastOf('#00000000', '#ffffff')).toBeCloseTo(1, 5)
  })

  test('the nearest that reads does, keeps a colour that reads, and exists on any one ground', () => {
    fc.assert(
      fc.property(hex, hex, (ink, ground) => {
        const found = nearestThatReads(ink, [ground], 4.5)!
        expect(contrastOf(found, ground)).toBeGreaterThanOrEqual(4.5)
        if (contrastOf(ink, ground) >= 4.5) expect(found).toBe(ink)
      }),
    )
    expect(nearestThatReads('#777777', ['#000000', '#ffffff'], 7)).toBe(undefined)
  })
})

test('steps go from light to dark', () => {
  fc.assert(
    fc.property(hex, (color) => {
      const steps = stepsOf(color)
      expect(steps).toHaveLength(9)
      const onBlack = steps.map((step) => contrastOf(step, '#000000'))
      for (let i = 1; i < 9; i++) expect(onBlack[i]).toBeLessThan(onBlack[i - 1]!)
    }),
  )
  expect(differenceOf('#1d5c45', '#1d5c45')).toBe(0)
  expect(differenceOf('#1d5c45', '#1e5d46')).toBeLessThan(2)
  expect(differenceOf('#1d5c45', '#1d5c4500')).toBeGreaterThan(50)
})

test('a colour is called as people call it', () => {
  const called = (hexes: string) => hexes.split(' ').map(colorWords)
  expect(called('#ffffff #101010 #808080 #dcdcdc #333333')).toEqual([
    'white',
    'black',
    'grey',
    'pale-grey',
    'dark-grey',
  ])
  expect(called('#d62828 #f08a24 #f2c14e #2e8b57 #184f3c #1fa8a8 #2a6fdb #7b3fc4 #e667a8')).toEqual([
    'red',
    'orange',
    'yellow',
    'green',
    'dark-green',
    'teal',
    'blue',
    'purple',
    'pink',
  ])
  expect(called('#7a4a22 #dff0e2 #f4e6cc #a9a077 #8fa98f')).toEqual([
    'brown',
    'pale-green',
    'cream',
    'olive',
    'sage',
  ])
})

test('OKLab from tables is the colour library’s', () => {
  fc.assert(
    fc.property(hex, (color) => {
      const { r, g, b } = parseHex(color)!
      const [l, a, bb] = oklabOf(Math.round(r * 255), Math.round(g * 255), Math.round(b * 255), [0, 0, 0])
      const theirs = toOklab(color)!
      expect(l).toBeCloseTo(theirs.l, 5)
      expect(a).toBeCloseTo(theirs.a, 5)
      expect(bb).toBeCloseTo(theirs.b, 5)
    }),
  )
})
