/** The families that ship: which file draws a character, and what their metrics make of a line. */
import { beforeAll, describe, expect, test } from 'vitest'
import type { Resolved } from '../properties/table'
import { openType } from '../samples/fonts'
import { said } from '../words/words'
import {
  declaredOrder,
  FAMILIES,
  familyChain,
  fileFor,
  fileForAll,
  fileHaving,
  filesNeeded,
  fontFile,
} from './families'
import { FontLibrary } from './fonts'
import { extentOf, unite, usedLineHeight } from './line-box'
import { characterName, missingCharacters } from './missing'
import { sequencesIn } from './sequences'

const code = (char: string) => char.codePointAt(0)!

describe('families', () => {
  test('every kind of letter has at least one', () => {
    expect(new Set(FAMILIES.map((family) => family.category))).toEqual(
      new Set(['sans', 'serif', 'slab', 'display', 'mono', 'hand']),
    )
    expect(FAMILIES.length).toBeGreaterThanOrEqual(12)
  })

  test.each([
    ['Latin', 'aé'],
    ['Vietnamese', 'ệ'],
    ['Greek', 'φ'],
    ['Cyrillic', 'ж'],
  ])('%s is drawn in every family, by its own file or by one that stands in', (_, letters) => {
    for (const { family } of FAMILIES)
      for (const letter of letters)
        expect([
          family,
          letter,
          fileFor({ family, italic: false, weight: 400 }, code(letter)) !== undefined,
        ]).toEqual([family, letter, true])
  })

  test('what stands in comes after the family itself, and an unknown family is the default', () => {
    expect(familyChain('Caveat')[0]!.family).toBe('Caveat')
    expect(familyChain('Nowhere Sans').length).toBeGreaterThan(0)
    const standsIn = fileFor({ family: 'Caveat', italic: false, weight: 400 }, code('φ'))!
    expect(standsIn.family).not.toBe('Caveat')
    expect(fileFor({ family: 'Caveat', italic: false, weight: 400 }, code('a'))!.family).toBe('Caveat')
    expect(fileFor({ family: 'Caveat', italic: false, weight: 400 }, code('→'))!.family).toBe(
      'Lattice Symbols',
    )
    expect(fileFor({ family: 'Caveat', italic: false, weight: 400 }, code('🌻'))!.family).toBe('Noto Emoji')
    expect(fileFor({ family: 'Caveat', italic: false, weight: 400 }, code('漢'))).toBeUndefined()
  })

  test('a letter with a mark is drawn by the first file that has both, or has it as one', () => {
    const wanted = { family: 'Literata', italic: false, weight: 400 }
    expect(fileFor(wanted, code('ē'))).toBe(fileFor(wanted, code('e')))
    expect(fileHaving(wanted, code('ē'))).toBe(fileFor(wanted, code('ę')))
    expect(fileFor(wanted, code('ę'))).not.toBe(fileFor(wanted, code('e')))
    // Of two marks, one after the other; the Kelvin sign is a K.
    expect(fileFor(wanted, code('ǖ'))).toBe(fileFor(wanted, code('e')))
    expect(fileFor(wanted, code('\u212a'))).toBe(fileFor(wanted, code('K')))
    const needed = new Set<string>()
    filesNeeded(wanted, 'ē', needed)
    expect(needed.size).toBe(2)
  })
  test('a text asks for the files of its letters only, and always for its family', () => {
    const needed = (text: string) => {
      const into = new Set<string>()
      filesNeeded({ family: 'Hanken Grotesk', italic: false, weight: 400 }, text, into)
      return [...into].map((id) => fontFile(id)!)
    }
    expect(needed('').length).toBe(1)
    expect(needed('peas').length).toBe(1)
    expect(needed('peas\nбобы').length).toBe(2)
    expect(needed('peas').every((file) => file.family === 'Hanken Grotesk')).toBe(true)
  })

  test('declared so that of two files that claim a character the one that is asked first wins', () => {
    const files = declaredOrder(FAMILIES.flatMap((family) => [...family.upright, ...family.slanted]))
    for (let i = 1; i < files.length; i++)
      if (files[i]!.slug === files[i - 1]!.slug && files[i]!.italic === files[i - 1]!.italic)
        expect(files[i]!.rank).toBeLessThan(files[i - 1]!.rank)
  })
})

describe('a library', () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  const fonts = new FontLibrary()
  beforeAll(async () => fonts.add(id, await openType(id)))

  test('tells when a file has come, once', async () => {
    const { version } = fonts
    fonts.add(id, await openType(id))
    expect(fonts.version).toBe(version)
    expect(() => fonts.add('no-such-font', new Uint8Array())).toThrow('there is no font file no-such-font')
  })

  test('one face a weight, held to what the file can do', () => {
    const file = fontFile(id)!
    expect(fonts.face(file, { weight: 400 })).toBe(fonts.face(file, { weight: 400 }))
    expect(fonts.face(file, { weight: 400 })).not.toBe(fonts.face(file, { weight: 700 }))
    expect(fonts.face(file, { weight: 5000 })).toBe(fonts.face(file, { weight: file.weights[1] }))
    expect(
      fonts.face(fontFile('literata-latin-wght-normal') ?? FAMILIES[1]!.upright[0]!, { weight: 400 }),
    ).toBeUndefined()
  })

  test('keeps the last faces of a file alone: while an axis is pulled each value makes one', () => {
    const file = fontFile(id)!
    const at = (weight: number) => fonts.face(file, { weight })
    const first = at(300)
    expect(at(300)).toBe(first)
    for (let weight = 301; weight <= 400; weight++) at(weight)
    const last = at(400)
    expect(at(400)).toBe(last)
    expect(at(300)).not.toBe(first)
    expect(at(300)!.metrics(20)).toEqual(first!.metrics(20))
  })

  test('metrics are whole px, and a descent that rounding cut short is made up for', () => {
    const face = fonts.face(fontFile(id)!, { weight: 400 })!
    for (let size = 8; size < 120; size += 0.5) {
      const { ascent, descent, lineGap } = face.metrics(size)
      expect([ascent, descent, lineGap].every(Number.isInteger)).toBe(true)
      expect(ascent + descent).toBeGreaterThan(0.9 * size)
    }
  })

  test('a line is as high as its line-height says, half of the leading above, cut to a px', () => {
    const face = fonts.face(fontFile(id)!, { weight: 400 })
    const { ascent, descent } = face!.metrics(16)
    const extent = extentOf(face, 16, { px: 31 })
    expect(extent.ascent + extent.descent).toBe(31)
    expect(extent.ascent).toBe(ascent + Math.floor((31 - ascent - descent) / 2))
    expect(extentOf(face, 16, { ratio: 1.5 }).ascent + extentOf(face, 16, { ratio: 1.5 }).descent).toBe(24)
    expect(usedLineHeight({ ratio: 1.5 }, 16)).toBe(24)
    expect(usedLineHeight({ px: 20 }, 16)).toBe(20)
    expect(usedLineHeight('normal', 16)).toBeUndefined()
    // A ratio is of the size in layout units, cut to one: 1.37 × 15.3 px is 20.961, or 1341 of 64ths.
    const cut = extentOf(face, 15.3, { ratio: 1.37 })
    expect((cut.ascent + cut.descent) * 64).toBe(1341)
  })

  test('on one baseline the larger of each side counts', () => {
    expect(unite({ ascent: 10, descent: 8 }, { ascent: 14, descent: 2 })).toEqual({ ascent: 14, descent: 8 })
  })
})

test('characters that no font has, each once; what is drawn as one is looked for as one', () => {
  const style = (text: string) => ({ fontFamily: 'Caveat', italic: false, words: said(text) }) as Resolved
  expect(missingCharacters(style('a → 漢字 ✓ 漢\u00ad'))).toEqual(['漢', '字'])
  expect(characterName('漢')).toBe('漢 (U+6F22)')
  const sequences = sequencesIn('a 👩‍🌾 b 🇬🇧 1️⃣ é')
  expect(sequences.map(({ start, end }) => 'a 👩‍🌾 b 🇬🇧 1️⃣ é'.slice(start, end))).toEqual(['👩‍🌾', '🇬🇧', '1️⃣'])
  for (const { codes } of sequences)
    expect(fileForAll({ family: 'Caveat', italic: false, weight: 400 }, codes)!.family).toBe('Noto Emoji')
})
