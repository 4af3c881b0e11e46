// Writes src/core/text/catalogue.ts from the installed font packages: families, their files and Unicode ranges.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'

const packages = [
  ['hanken-grotesk', 'sans'],
  ['work-sans', 'sans'],
  ['figtree', 'sans'],
  ['outfit', 'sans'],
  ['fraunces', 'serif'],
  ['literata', 'serif'],
  ['newsreader', 'serif'],
  ['source-serif-4', 'serif'],
  ['bitter', 'slab'],
  ['bricolage-grotesque', 'display'],
  ['jetbrains-mono', 'mono'],
  ['caveat', 'hand'],
]
// The order in which a character is looked for: the last declared @font-face wins in CSS, and Latin is declared last.
const order = ['latin', 'latin-ext', 'vietnamese', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext']
const families = packages.map(([slug, category]) => {
  const root = new URL(`../node_modules/@fontsource-variable/${slug}/`, import.meta.url)
  const meta = JSON.parse(readFileSync(new URL('metadata.json', root), 'utf8'))
  const unicode = JSON.parse(readFileSync(new URL('unicode.json', root), 'utf8'))
  const subsets = order
    .filter((subset) => existsSync(new URL(`files/${slug}-${subset}-wght-normal.woff2`, root)))
    .map((subset) => ({ name: subset, ranges: unicode[subset] }))
  const italic = existsSync(new URL(`files/${slug}-latin-wght-italic.woff2`, root))
  const { min, max } = meta.variable.wght
  return { family: meta.family, slug, category, weights: [Number(min), Number(max)], italic, subsets }
})
const text = `/** The installed font families: written by fonts/catalogue.mjs, not by hand. */\nexport const CATALOGUE = ${JSON.stringify(families, null, 2)}\n`
writeFileSync(new URL('../src/core/text/catalogue.ts', import.meta.url), text)
