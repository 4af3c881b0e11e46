import { beforeAll, expect, test } from 'vitest'
import { Document } from '../../document/document'
import { PageLayout } from '../../layout/page'
import { openType } from '../../samples/fonts'
import { starterProject } from '../../shelf/starter'
import { FontLibrary } from '../../text/fonts'
import { ParagraphCache } from '../../text/paragraph-cache'
import { said } from '../../words/words'
import { pageSvg } from './page'

const fonts = new FontLibrary()
beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

/** @returns the page's SVG with a text that is decorated all over, one word of it in another colour */
function svgWith(textDecoration: 'underline' | 'line-through') {
  const file = starterProject('Test', 'home')
  const words = said([{ text: 'ooo ' }, { text: 'ooo', color: '#00aa00' }, { text: ' ooo' }])
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Section',
      order: 'a0',
      props: {},
      children: [
        {
          id: 't',
          kind: 'text',
          name: 'Text',
          order: 'a0',
          props: { words, textDecoration, color: '#aa0000', fontFamily: 'Hanken Grotesk', fontSize: 60 },
        },
      ],
    },
  ]
  const doc = Document.fromFile(file)
  return pageSvg(
    doc,
    new PageLayout(doc, 'home', doc.views[0]!.id, 1440, new ParagraphCache(fonts)),
    new Map(),
  )
}

test('a line through words lies over them, a line under words below them, whatever their colours', () => {
  for (const [decoration, isOver] of [
    ['line-through', true],
    ['underline', false],
  ] as const) {
    const svg = svgWith(decoration)
    const word = svg.indexOf('fill="#00aa00"')
    const bars = [...svg.matchAll(/<rect [^>]*fill="#aa0000"\/>/g)].map(({ index }) => index)
    expect(word).toBeGreaterThan(0)
    expect(bars.length).toBeGreaterThanOrEqual(3)
    // The first piece's bar is drawn before the second's word in any case; the second's own is what is asked about.
    const before = bars.filter((index) => index < word).length
    expect(isOver ? before === 1 : before > 1, decoration).toBe(true)
  }
})
