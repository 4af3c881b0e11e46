/** What is handed off is valid, and accessible as far as a program can tell: html-validate, its strictest presets. */
import { readFile } from 'node:fs/promises'
import { HtmlValidate } from 'html-validate'
import { expect, test } from 'vitest'
import { Document } from '../core/document/document'
import { openProject } from '../core/document/open'
import { buildSite } from '../core/handoff/site'
import { iconInWords } from '../core/icons/icon'
import { standIns } from '../core/samples/stand-in'
import { list, OBJECT, paragraph, type Span } from '../core/words/words'
import { box, node, project, text } from './conformance/pieces'
import { shelfProject } from './conformance/shelf-project'
import { STRICT } from './html-rules'
import { designedPage } from './parity/pages'
import { DEMO_FILE } from './serve'

const html = new HtmlValidate(STRICT)

async function problems(doc: Document): Promise<string[]> {
  const found: string[] = []
  for (const [path, source] of buildSite(doc, standIns(doc)).text) {
    if (!path.endsWith('.html')) continue
    const { results } = await html.validateString(source, path)
    for (const { ruleId, message, line } of results.flatMap(({ messages }) => messages))
      found.push(`${path}:${line} ${ruleId}: ${message} — ${source.split('\n')[line - 1]!.trim()}`)
  }
  return found
}

const demo = async () => openProject(await readFile(DEMO_FILE)).document

test('the demo', async () => expect(await problems(await demo())).toEqual([]))
test('the shelf', async () => expect(await problems(Document.fromFile(shelfProject()))).toEqual([]))
test('100 pages as designers make them', async () => {
  const { assets } = (await demo()).toFile()
  for (let seed = 1; seed <= 100; seed++)
    expect(await problems(Document.fromFile(designedPage(seed, assets))), `page ${seed}`).toEqual([])
})

test('icons and higher words wherever words may be', async () => {
  const arrow = iconInWords('arrow-right', [['path', { d: 'M5 12h14' }]])
  const icon = (look: Partial<Span> = {}): Span => ({ text: OBJECT, icon: arrow, ...look })
  const words = (...spans: Span[]) => ({ words: [paragraph(spans)] })
  const file = project(
    text('One heading', { tag: 'h1' }),
    node('button', words(icon())),
    node('button', words({ text: 'Go on ' }, icon())),
    node('text', { tag: 'a', link: '/', ...words(icon({ size: 2 })) }),
    node('text', {
      tag: 'h2',
      ...words({ text: '12 m' }, { text: '2', script: 'sup', weight: 700 }, icon()),
    }),
    node('text', words({ text: 'See ' }, icon({ link: '/', color: '#112233' }), { text: ' here' })),
    box({ tag: 'nav' }, node('text', { tag: 'a', link: '/', ...words(icon(), { text: ' Home' }) })),
    node('text', {
      words: [
        {
          type: 'bullets',
          content: [{ type: 'item', content: [paragraph([icon({ script: 'sub' }), { text: ' seed' }])] }],
        },
      ],
    }),
  )
  expect(await problems(Document.fromFile(file))).toEqual([])
})

test('what a parser would take apart is handed off otherwise', async () => {
  const file = project(
    text('One heading', { tag: 'h1' }),
    box(
      { tag: 'a', link: '/' },
      text('in a link', { tag: 'a', link: '/' }),
      box({ tag: 'a', link: '/' }, text([{ text: 'a ' }, { text: 'link', link: '/' }])),
      node('button', { words: [paragraph([{ text: 'Press' }])] }),
    ),
    box({ tag: 'p' }, text('in a paragraph'), box({ tag: 'h2' }, text('Second', { tag: 'h2' }))),
    box({ tag: 'main' }, box({ tag: 'header' }, box({ tag: 'footer' }, text('ends')))),
    box({ tag: 'ul' }, text('an item'), box({ tag: 'li' }, text('another'))),
    box({ tag: 'ul' }, text('a link is none', { tag: 'a', link: '/' })),
    text('no figure', { tag: 'figcaption' }),
    text('no list', { tag: 'li' }),
    node('button', { words: [paragraph([{ text: 'to ', link: '/' }]), list('bullets', ['a list'])] }),
    node('text', { tag: 'h2', words: [paragraph([{ text: 'Two' }]), list('numbers', ['lines', ''])] }),
    node('text', { words: [paragraph([{ text: 'Two' }]), paragraph([]), list('numbers', ['items'])] }),
    box({ tag: 'nav' }, text('One', { tag: 'a', link: '/' })),
    box({ tag: 'nav' }, text('Two', { tag: 'a', link: '/' })),
  )
  file.pages[0]!.name = 'Case'
  expect(await problems(Document.fromFile(file))).toEqual([])
})
