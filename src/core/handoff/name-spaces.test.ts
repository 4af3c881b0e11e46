/** What a block is called never restyles what is made by rule, and the other way round. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { starterProject } from '../shelf/starter'
import { OBJECT, said, type Words } from '../words/words'
import { buildSite } from './site'

const ICON = { name: 'leaf', data: 'M0 0L100 100', line: 8 }
/** Words with everything that has a class of its own. */
const words: Words = [
  {
    type: 'paragraph',
    content: said([
      { text: 'a', weight: 450 },
      { text: 'b', size: 0.5 },
      { text: 'c', color: '#a8481f' },
      { text: 'd', case: 'uppercase' },
      { text: 'e', link: 'https://seeds.test/' },
      { text: OBJECT, icon: ICON },
    ])[0]!.content as never,
  },
  ...(['bullets', 'numbers'] as const).map((type) => ({
    type,
    content: [{ type: 'item' as const, content: [said('one')[0]! as never] }],
  })),
] as Words

/** @param names of sections, each with a text in it that is called the same */
function htmlOf(names: readonly string[]): string {
  const file = starterProject('Site', 'home')
  file.tokens = {
    type: {
      link: {
        $type: 'typography',
        $value: {
          fontFamily: 'Work Sans',
          fontSize: { value: 20, unit: 'px' },
          fontWeight: 400,
          lineHeight: 1.5,
          letterSpacing: { value: 0, unit: 'px' },
        },
      },
    },
  }
  file.pages[0]!.sections = names.map(
    (name, i): NodeTree => ({
      id: `s${i}`,
      kind: 'section',
      name,
      order: `a${String(i).padStart(3, '0')}`,
      props: { paddingTop: i },
      overrides: { mobile: { order: -i } },
      children: [{ id: `t${i}`, kind: 'text', name, order: 'a0', props: { words, fontSize: 10 + i } }],
    }),
  )
  return buildSite(Document.fromFile(file), new Map(), { mark: true }).text.get('index.html')!
}

/** Classes of blocks, and of what is made by rule. */
function classesIn(html: string) {
  const [blocks, made] = [new Set<string>(), new Set<string>()]
  for (const [, classes, rest] of html.matchAll(/ class="([^"]*)"([^>]*)>/g))
    for (const name of classes!.split(' ')) (rest!.includes('data-node') ? blocks : made).add(name)
  return { blocks, made }
}

const { made } = classesIn(htmlOf(['Opening', 'Ending']))

test('words, lists, icons and ordered pages have classes', () => {
  expect([...made].some((name) => name.includes('450'))).toBe(true)
  expect(made.size).toBeGreaterThan(8)
})

test('a block that is called as one of them has another', () => {
  const shared = (names: readonly string[]) => {
    const { blocks } = classesIn(htmlOf(names))
    return [...blocks].filter((name) => made.has(name))
  }
  for (const name of made)
    expect(shared([name, name.replace(/^is-/, ''), name.replaceAll('-', ' ')])).toEqual([])
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...made, 'Numbers', 'Weight 450', 'Size 50', 'Is link', 'is'), {
        maxLength: 5,
      }),
      (names) => {
        expect(shared(names)).toEqual([])
      },
    ),
    { numRuns: 40 },
  )
})
