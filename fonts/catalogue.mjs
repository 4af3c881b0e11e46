// Writes src/core/text/catalogue.ts from the installed font packages: families, their files, the Unicode ranges these claim and
// the characters that they really have.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import * as hb from 'harfbuzzjs'
import decompress from 'woff2-encoder/decompress'
import { SYMBOLS } from './subset.mjs'

/** Claimed characters that the file has no glyph for, as hexadecimal intervals. */
async function holes(url, ranges) {
  const bytes = await decompress(readFileSync(url))
  const font = new hb.Font(new hb.Face(new hb.Blob(bytes.buffer)))
  const found = []
  for (const range of ranges.split(',')) {
    const [from, to] = range.replace('U+', '').split('-')
    const last = Number.parseInt(to ?? from, 16)
    for (let code = Number.parseInt(from, 16); code <= last; code++) {
      if (font.nominalGlyph(code) !== undefined) continue
      const open = found.at(-1)
      if (open && open[1] === code - 1) open[1] = code
      else found.push([code, code])
    }
  }
  return found.map(([from, to]) => `${from.toString(16)}${to > from ? `-${to.toString(16)}` : ''}`).join(',')
}

const packages = [
  ['hanken-grotesk', 'sans'],
  ['work-sans', 'sans'],
  ['figtree', 'sans'],
  ['outfit', 'sans'],
  ['manrope', 'sans'],
  ['dm-sans', 'sans'],
  ['plus-jakarta-sans', 'sans'],
  ['instrument-sans', 'sans'],
  ['archivo', 'sans'],
  ['inter-tight', 'sans'],
  ['urbanist', 'sans'],
  ['space-grotesk', 'sans'],
  ['fraunces', 'serif'],
  ['literata', 'serif'],
  ['newsreader', 'serif'],
  ['source-serif-4', 'serif'],
  ['lora', 'serif'],
  ['playfair-display', 'serif'],
  ['crimson-pro', 'serif'],
  ['petrona', 'serif'],
  ['bodoni-moda', 'serif'],
  ['bitter', 'slab'],
  ['roboto-slab', 'slab'],
  ['rokkitt', 'slab'],
  ['bricolage-grotesque', 'display'],
  ['syne', 'display'],
  ['unbounded', 'display'],
  ['big-shoulders-display', 'display'],
  ['anybody', 'display'],
  ['gabarito', 'display'],
  ['oswald', 'display'],
  ['jetbrains-mono', 'mono'],
  ['fira-code', 'mono'],
  ['red-hat-mono', 'mono'],
  ['caveat', 'hand'],
  ['dancing-script', 'hand'],
]
// The order in which a character is looked for: the last declared @font-face wins in CSS, so they are
// declared the other way round.
const order = ['latin', 'latin-ext', 'vietnamese', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext']
const families = []
for (const [slug, category] of packages) {
  const root = new URL(`../node_modules/@fontsource-variable/${slug}/`, import.meta.url)
  const meta = JSON.parse(readFileSync(new URL('metadata.json', root), 'utf8'))
  const unicode = JSON.parse(readFileSync(new URL('unicode.json', root), 'utf8'))
  // Files that vary in width, too, where a family has them.
  const kind = existsSync(new URL(`files/${slug}-latin-wdth-normal.woff2`, root)) ? 'wdth' : 'wght'
  const italic = existsSync(new URL(`files/${slug}-latin-${kind}-italic.woff2`, root))
  const subsets = []
  for (const name of order) {
    const file = (style) => new URL(`files/${slug}-${name}-${kind}-${style}.woff2`, root)
    if (!existsSync(file('normal'))) continue
    const ranges = unicode[name]
    subsets.push({
      name,
      ranges,
      uprightHoles: await holes(file('normal'), ranges),
      italicHoles: italic ? await holes(file('italic'), ranges) : '',
    })
  }
  const { min, max } = meta.variable.wght
  const weights = [Number(min), Number(max)]
  families.push({
    family: meta.family,
    slug,
    category,
    ...(kind === 'wght' ? {} : { kind }),
    weights,
    italic,
    subsets,
  })
}
// What stands in for characters that no family above has: signs and symbols (cut by subset.mjs), then emoji in one colour.
const shipped = []
for (const [name, ranges] of Object.entries(SYMBOLS.parts)) {
  const file = new URL(`shipped/${SYMBOLS.slug}-${name}-wght-normal.woff2`, import.meta.url)
  shipped.push({ name, ranges, uprightHoles: await holes(file, ranges), italicHoles: '' })
}
// One weight, declared for all: no browser makes it bold by itself.
families.push({
  family: SYMBOLS.family,
  slug: SYMBOLS.slug,
  category: 'symbols',
  weights: [1, 1000],
  italic: false,
  shipped: true,
  subsets: shipped,
})
const emoji = new URL('../node_modules/@fontsource-variable/noto-emoji/', import.meta.url)
const unicode = JSON.parse(readFileSync(new URL('unicode.json', emoji), 'utf8'))
const parts = []
for (const [key, ranges] of Object.entries(unicode)) {
  const name = key.replace(/[[\]]/g, '')
  const file = new URL(`files/noto-emoji-${name}-wght-normal.woff2`, emoji)
  parts.push({ name, ranges, uprightHoles: await holes(file, ranges), italicHoles: '' })
}
families.push({
  family: 'Noto Emoji',
  slug: 'noto-emoji',
  category: 'symbols',
  weights: [300, 700],
  italic: false,
  subsets: parts,
})
// Scripts that no family above has, each from a package of its own, under one name.
const scripts = []
for (const [slug, name] of [
  ['noto-sans-hebrew', 'hebrew'],
  ['noto-sans-arabic', 'arabic'],
]) {
  const root = new URL(`../node_modules/@fontsource-variable/${slug}/`, import.meta.url)
  const ranges = JSON.parse(readFileSync(new URL('unicode.json', root), 'utf8'))[name]
  const file = new URL(`files/${slug}-${name}-wght-normal.woff2`, root)
  scripts.push({ name, slug, ranges, uprightHoles: await holes(file, ranges), italicHoles: '' })
}
families.push({
  family: 'Lattice Scripts',
  slug: 'lattice-scripts',
  category: 'symbols',
  weights: [100, 900],
  italic: false,
  subsets: scripts,
})
// East Asian families are cut into a hundred files each: a table of its own, read when such characters are met.
const east = []
for (const slug of ['noto-sans-jp', 'noto-sans-sc', 'noto-sans-kr']) {
  const root = new URL(`../node_modules/@fontsource-variable/${slug}/`, import.meta.url)
  const unicode = JSON.parse(readFileSync(new URL('unicode.json', root), 'utf8'))
  for (const [key, ranges] of Object.entries(unicode)) {
    if (!/^\[\d+\]$/.test(key)) continue
    const name = key.slice(1, -1)
    const file = new URL(`files/${slug}-${name}-wght-normal.woff2`, root)
    east.push({ slug, name, ranges, holes: await holes(file, ranges) })
  }
}
writeFileSync(
  new URL('../src/core/text/catalogue-east.ts', import.meta.url),
  `/** Files of East Asian characters: written by fonts/catalogue.mjs, not by hand. */\nexport const EAST_ASIAN = ${JSON.stringify(east, null, 1)}\n`,
)
const text = `/** The installed font families: written by fonts/catalogue.mjs, not by hand. */\nexport const CATALOGUE = ${JSON.stringify(families, null, 2)}\n`
writeFileSync(new URL('../src/core/text/catalogue.ts', import.meta.url), text)
