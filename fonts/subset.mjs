// Cuts the fallback for signs and symbols into files of one kind of character each, so that a page with an arrow fetches arrows.
// Of DejaVu Sans (Bitstream Vera's licence): what is changed goes by another name.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import * as hb from 'harfbuzzjs'
import subset from 'subset-font'
import decompress from 'woff2-encoder/decompress'

export const SYMBOLS = {
  family: 'Lattice Symbols',
  slug: 'lattice-symbols',
  parts: {
    signs: 'U+02B0-02FF,U+2000-206F,U+2070-209F,U+20A0-20CF,U+2100-218F,U+2E00-2E2F,U+FFFD',
    arrows: 'U+2190-21FF,U+27F0-27FF,U+2900-297F,U+2B00-2B5A',
    maths: 'U+2200-22FF,U+27C0-27EF,U+2980-2AFF',
    shapes: 'U+2300-23FF,U+2460-24FF,U+2500-25FF',
    dingbats: 'U+2600-27BF',
  },
}

if (process.argv[1] === new URL(import.meta.url).pathname) {
  const source = new URL(
    '../node_modules/@fontsource/dejavu-sans/files/dejavu-sans-latin-400-normal.woff2',
    import.meta.url,
  )
  const bytes = await decompress(readFileSync(source))
  const font = new hb.Font(new hb.Face(new hb.Blob(bytes.slice().buffer)))
  const folder = new URL('shipped/', import.meta.url)
  mkdirSync(folder, { recursive: true })
  for (const [name, ranges] of Object.entries(SYMBOLS.parts)) {
    let text = ''
    for (const range of ranges.split(',')) {
      const [from, to] = range.replace('U+', '').split('-')
      for (let code = Number.parseInt(from, 16); code <= Number.parseInt(to ?? from, 16); code++)
        if (font.nominalGlyph(code) !== undefined) text += String.fromCodePoint(code)
    }
    const cut = await subset(Buffer.from(bytes), text, { targetFormat: 'woff2' })
    writeFileSync(new URL(`${SYMBOLS.slug}-${name}-wght-normal.woff2`, folder), cut)
    console.log(`${name}: ${[...text].length} characters, ${cut.length} bytes`)
  }
}
