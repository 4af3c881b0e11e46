/** docs/handoff.md: what the demo is handed off as, with a few lines of why. */
import { readFileSync } from 'node:fs'
import { openProject } from '../src/core/document/open'
import { buildSite } from '../src/core/handoff/site'

/** From the line that has `from` to the one before that with `to`. */
function cut(text: string, from: string, to: string): string {
  const lines = text.split('\n')
  const start = lines.findIndex((line) => line.includes(from))
  const end = lines.findIndex((line, i) => i > start && line.includes(to))
  return lines.slice(start, end).join('\n').trimEnd()
}

const block = (language: string, text: string) => `\`\`\`${language}\n${text}\n\`\`\`\n`

export function handoffPage(): string {
  const { document, blobs } = openProject(
    new Uint8Array(readFileSync(new URL('../demo/hollow-oak.lattice', import.meta.url))),
  )
  const { text } = buildSite(document, blobs)
  const html = text.get('index.html')!
  const css = text.get('styles.css')!
  return `# What is handed off

Made from the demo by \`npm run docs\`; a test holds it to the program.

## The head

${block('html', cut(html, '<!DOCTYPE', '<body'))}
No script, and nothing from elsewhere: the policy says so. The fonts of the first screen are fetched ahead, since their text is what is
seen first; all others when their \`unicode-range\` is needed.

## The page

${block('html', cut(html, '<body', '<section class="ready'))}
Header and footer stand outside of \`main\`. A block is the element that it says, or the nearest that HTML allows there. Pictures have their
size, so that nothing jumps; those below the first screen are lazy. Classes are the blocks' names, with what they lie in where a
name is taken: a number only when nothing tells two apart.

## Type

${block('css', cut(css, '.type-display {', '.type-body {'))}
A type style is one class, of custom properties: whoever builds on it changes the property and every heading follows.

## Layout

${block('css', cut(css, '.hero {', '.eyebrow {'))}
The lattice is CSS grid with the view's custom properties: \`--columns\`, \`--gutter\`, the container's edges. A block's place is its span.
Rules that say the same are one, with all their classes in front.

## The phone

${block('css', `${cut(css, '/* Mobile */', '  .menu').replace(/\n\s*$/, '')}\n  …\n}`)}
Each view is one media query that says what differs, and the lattice's numbers.
`
}
