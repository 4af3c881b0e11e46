/** Superscript and subscript: smaller, higher or lower, on lines that stay as they are. */
import { beforeAll, expect, test } from 'vitest'
import { fonts, lay } from '../arrange/test-page'
import { lettersOf } from '../arrange/text-outline'
import { boundsOf } from '../forms/path'
import { buildSite } from '../handoff/site'
import { openType } from '../samples/fonts'
import { type Span, said } from '../words/words'

beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const laid = (spans: Span[]) =>
  lay({ flow: 'column' }, [
    {
      id: 't',
      kind: 'text',
      name: 'Text',
      order: 'a0',
      props: { words: said(spans), fontSize: 40, lineHeight: { ratio: 1.2 } },
    },
  ])
const SQUARE: Span[] = [{ text: '12 m' }, { text: '2', script: 'sup' }]

test('they are smaller, and no line is higher for them', () => {
  const [plain, raised] = [[{ text: '12 m2' }], SQUARE].map((spans) => laid(spans).layout.rect('t')!)
  expect(raised!.width).toBeLessThan(plain!.width)
  expect(raised!.height).toBe(48)
  expect(laid(SQUARE).layout.placed('t')[0]!.paragraph.uniform).toBe(true)
})

test('a superscript stands above the baseline, a subscript hangs below', () => {
  const bottom = (script: 'sup' | 'sub' | undefined) => {
    const letters = lettersOf(laid([{ text: 'H' }, { text: 'H', script }]).layout.boxes.get('t')!)
    return letters.map((chain) => boundsOf([chain]).bottom).sort((a, b) => a - b)
  }
  const [first, second] = bottom('sup')
  expect(second! - first!).toBeCloseTo(14, 0)
  const [third, fourth] = bottom('sub')
  expect(fourth! - third!).toBeCloseTo(7, 0)
  expect(new Set(bottom(undefined)).size).toBe(1)
})

test('handed off as what HTML has for them, inside of what is around', () => {
  const { doc } = laid([
    { text: 'H', weight: 700 },
    { text: '2', weight: 700, script: 'sub', underline: true },
  ])
  const { text } = buildSite(doc, new Map())
  expect(text.get('index.html')).toContain('<strong>H<sub><u>2</u></sub></strong>')
  expect(text.get('styles.css')).toMatch(
    /sub \{\s+font-size: 0.7em;\s+line-height: 0;\s+vertical-align: -0.25em;/,
  )
  expect(text.get('styles.css')).not.toContain('sup {')
})
