/** A font of many characters, as East Asian ones are: one that has some thousand glyphs, told to draw others with them. */
import * as hb from 'harfbuzzjs'

/** Kana, their points and brackets, and some two thousand ideographs. */
const DRAWN: [number, number][] = [
  [0x3001, 0x3002],
  [0x300c, 0x300d],
  [0x3041, 0x3096],
  [0x30a1, 0x30fc],
  [0x4e00, 0x55ff],
]
/** Glyphs before these are those of ASCII. */
const FIRST_GLYPH = 200

/** A character table of format 12 (OpenType 1.9, cmap): each group is characters in a row that glyphs in a row draw. */
function characterTable(groups: readonly (readonly [from: number, to: number, glyph: number])[]): Uint8Array {
  const view = new DataView(new ArrayBuffer(28 + groups.length * 12))
  view.setUint16(2, 1)
  view.setUint16(4, 3)
  view.setUint16(6, 10)
  view.setUint32(8, 12)
  view.setUint16(12, 12)
  view.setUint32(16, view.byteLength - 12)
  view.setUint32(24, groups.length)
  for (const [i, group] of groups.entries())
    for (const [k, value] of group.entries()) view.setUint32(28 + i * 12 + k * 4, value)
  return new Uint8Array(view.buffer)
}

/** @param openType an uncompressed font with a few thousand glyphs @returns one that draws ASCII and East Asian characters */
export function eastAsianFont(openType: Uint8Array): Uint8Array {
  const font = new hb.Font(new hb.Face(new hb.Blob(openType.slice())))
  const source = new DataView(openType.buffer, openType.byteOffset, openType.byteLength)
  const tables = Array.from({ length: source.getUint16(4) }, (_, i) => 12 + i * 16)
  const tag = (at: number) => String.fromCharCode(...openType.subarray(at, at + 4))
  const maxp = tables.find((at) => tag(at) === 'maxp')!
  const glyphs = source.getUint16(source.getUint32(maxp + 8) + 4)
  const groups: [number, number, number][] = []
  for (let code = 0x20; code < 0x7f; code++) groups.push([code, code, font.nominalGlyph(code)!])
  let glyph = FIRST_GLYPH
  for (const [from, to] of DRAWN)
    for (let code = from; code <= to; code++) {
      groups.push([code, code, glyph])
      glyph = glyph + 1 < glyphs ? glyph + 1 : FIRST_GLYPH
    }
  const table = characterTable(groups)
  // It takes the old one's place in the directory, and lies at the end.
  const end = Math.ceil(openType.length / 4) * 4
  const made = new Uint8Array(end + Math.ceil(table.length / 4) * 4)
  made.set(openType)
  made.set(table, end)
  const view = new DataView(made.buffer)
  const cmap = tables.find((at) => tag(at) === 'cmap')!
  view.setUint32(cmap + 8, end)
  view.setUint32(cmap + 12, table.length)
  return made
}
