/** A large font from outside, parted: its parts draw what the whole does. */
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import * as hb from 'harfbuzzjs'
import { beforeAll, expect, test } from 'vitest'
import decompress from 'woff2-encoder/decompress'
import { eastAsianFont } from '../core/samples/large-font'
import { FontCutter, type Subsetter } from '../core/text/font-cutter'
import { canBeCut, readFont } from '../core/text/font-file'
import { type ReadFont, readFontFile } from './read-font'

const require = createRequire(import.meta.url)
const cutter = () => readFile(require.resolve('harfbuzzjs/dist/harfbuzz-subset.wasm'))
const dejavu = () =>
  readFile(require.resolve('@fontsource/dejavu-sans/files/dejavu-sans-latin-400-normal.woff2'))

let large: Uint8Array
let read: ReadFont
const said: [number, number][] = []
beforeAll(async () => {
  large = eastAsianFont(await decompress(await dejavu()))
  read = await readFontFile(large, cutter, (made, of) => said.push([made, of]))
}, 120_000)

const fontOf = (bytes: Uint8Array) => new hb.Font(new hb.Face(new hb.Blob(bytes.slice())))

test('a large font is parted, and says how far it is', () => {
  expect(read.parts.length).toBeGreaterThan(10)
  expect(said).toEqual(read.parts.map((_, i) => [i, read.parts.length]))
  const sizes = read.parts.map(({ woff2 }) => woff2.byteLength)
  expect(Math.max(...sizes)).toBeLessThan(read.whole.woff2.byteLength / 4)
})

test('a part draws its characters as the whole does, as wide and on lines as high, and no others', async () => {
  const whole = fontOf(large)
  const { parts } = read
  for (const { ranges, woff2 } of [parts[0]!, parts.at(-1)!, parts[parts.length >> 1]!]) {
    const bytes = await decompress(new Uint8Array(woff2))
    const part = fontOf(bytes)
    expect(part.hExtents()).toEqual(whole.hExtents())
    const own = new Set(readFont(bytes).ranges.split(','))
    for (const range of ranges.split(',').filter((each) => own.has(each))) {
      const code = Number.parseInt(range.slice(2), 16)
      const [glyph, of] = [part.nominalGlyph(code)!, whole.nominalGlyph(code)!]
      expect(part.glyphHAdvance(glyph)).toBe(whole.glyphHAdvance(of))
      expect(part.glyphToPath(glyph)).toBe(whole.glyphToPath(of))
    }
  }
})

test('one that is not large, and one that would lose something by it, are left whole', async () => {
  const small = await readFontFile(await dejavu(), cutter)
  expect(small.parts).toEqual([])
  expect(small.whole.ranges).toBe(small.facts.ranges)
  const drawn = large.slice()
  for (let at = 12; at < 400; at += 16)
    if (String.fromCharCode(...drawn.subarray(at, at + 4)) === 'prep')
      drawn.set(
        [...'morx'].map((letter) => letter.charCodeAt(0)),
        at,
      )
  expect(canBeCut(large)).toBe(true)
  expect(canBeCut(drawn)).toBe(false)
})

test('what is damaged is refused in words', async () => {
  const { instance } = await WebAssembly.instantiate(await cutter())
  const font = new FontCutter(instance.exports as unknown as Subsetter, new Uint8Array(100))
  expect(() => font.cut([0x20])).toThrow('the font is damaged: it cannot be parted')
})
