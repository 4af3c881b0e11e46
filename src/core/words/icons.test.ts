/** Icons among words: in the words, on their lines, in the page that is handed off and in the picture of it. */
import * as v from 'valibot'
import { beforeAll, describe, expect, test } from 'vitest'
import { fonts, lay, makeId } from '../arrange/test-page'
import { outlineEdits } from '../arrange/text-outline'
import type { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { buildSite } from '../handoff/site'
import { pageSvg } from '../handoff/svg/page'
import { iconInWords } from '../icons/icon'
import type { Props } from '../properties/table'
import { openType } from '../samples/fonts'
import { fromDoc, toDoc } from './model'
import { retyped } from './retype'
import { OBJECT, plainText, type Span, said, type Words, WordsSchema } from './words'

beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const ARROW = iconInWords('arrow-right', [['path', { d: 'M5 12h14' }]])
const icon = (look: Partial<Span> = {}): Span => ({ text: OBJECT, icon: ARROW, ...look })
const MORE = [{ text: 'Read more ' }, icon()]

const problem = (attrs: object) => {
  const words = [{ type: 'paragraph', content: [{ type: 'icon', attrs: { ...ARROW, ...attrs } }] }]
  const result = v.safeParse(WordsSchema, words)
  return result.success ? undefined : result.issues[0].message
}
const text = (spans: Span[], props: Props = {}): NodeTree => ({
  id: 't',
  kind: 'text',
  name: 'Text',
  order: 'a0',
  props: { words: said(spans), fontSize: 40, lineHeight: { ratio: 1.5 }, color: '#224433', ...props },
})
const laid = (spans: Span[], props?: Props) => lay({ flow: 'column' }, [text(spans, props)])
const html = (doc: Document) => buildSite(doc, new Map()).text.get('index.html')!
const svgOf = (markup: string) => markup.match(/<svg class="is-icon"[^>]*>/g)

describe('an icon in the words', () => {
  test('is as it was in the document of the library, and no character', () => {
    const words = said([{ text: 'Read ' }, icon({ size: 1.5, color: '{color.ink}' }), { text: ' on' }])
    toDoc(words).check()
    expect(fromDoc(toDoc(words))).toEqual(words)
    expect(v.is(WordsSchema, words)).toBe(true)
    expect(plainText(words)).toBe('Read  on')
  })
  test('that is none is refused', () => {
    expect(problem({})).toBeUndefined()
    expect(problem({ data: 'M0 0 url(x)' })).toContain('a path of absolute')
    expect(problem({ data: `M0 0${'L1 1'.repeat(6000)}` })).toContain('20,000')
    expect(problem({ line: 0 })).toBeDefined()
    expect(problem({ href: 'x' })).toBeDefined()
  })
  test('stays where words around it are typed anew', () => {
    const words = said([{ text: 'Read ' }, icon(), { text: ' more' }])
    const icons = (each: Words) => JSON.stringify(each).split('"icon"').length - 1
    for (const typed of ['Sow  more', 'Read  on', 'Read and  more', 'x Read  more']) {
      const next = retyped(words, typed)
      expect(plainText(next)).toBe(typed)
      expect(icons(next)).toBe(1)
    }
    expect(icons(retyped(words, ''))).toBe(0)
  })
})

describe('an icon on its line', () => {
  test('is as wide as the type is high, in its own size where it has one', () => {
    const width = (spans: Span[]) => laid(spans).layout.boxes.get('t')!.typeset!.maxContent
    const words = width([{ text: 'Read more ' }, { text: 'x' }]) - width([{ text: 'x' }])
    expect(width(MORE) - words).toBeCloseTo(40, 0)
    expect(width([{ text: 'Read more ' }, icon({ size: 1.5 })]) - words).toBeCloseTo(60, 0)
  })
  test('a line may end before and behind it, whatever stands there', () => {
    for (const sign of [',', '\u00a0', '”', '(']) {
      const { layout } = laid([icon(), { text: sign }, icon()], { width: { kind: 'exact', px: 41 } })
      expect(layout.placed('t')[0]!.lines).toHaveLength(3)
    }
  })
  test('the narrowest that a text may be holds it to what glues, quotes or opens before it', () => {
    const least = (sign: string) =>
      laid([{ text: `mm${sign}` }, icon()]).layout.boxes.get('t')!.typeset!.minContent
    for (const sign of ['\u00a0', '“', '(']) expect(least(sign) - least('x'), sign).toBeGreaterThan(25)
    expect(least(',')).toBeLessThan(least('x') + 5)
  })
  test('makes a line higher that is lower than it', () => {
    const height = (px: number) => laid(MORE, { lineHeight: { px } }).layout.rect('t')!.height
    expect(height(60)).toBe(60)
    expect(height(20)).toBeGreaterThan(25)
  })
})

describe('an icon handed off', () => {
  test('is drawn in the ink of its words; beside them nothing is said of it', () => {
    const page = html(laid([{ text: 'Read more ' }, icon({ color: '#aa0000' })]).doc)
    expect(page).toContain('Read more <span class="is-ink-aa0000"><svg class="is-icon"')
    expect(svgOf(page)![0]).toContain('aria-hidden="true"')
    expect(page).toContain(`<path d="${ARROW.data}" stroke-width="8.33"/>`)
  })
  test('alone in a text, or in a link, it is called by its name', () => {
    expect(svgOf(html(laid([icon()]).doc))![0]).toContain('role="img" aria-label="Arrow right"')
    const linked = svgOf(html(laid([{ text: 'Go on ' }, icon({ link: '/more' }), icon()]).doc))!
    expect(linked[0]).toContain('aria-label="Arrow right"')
    expect(linked[1]).toContain('aria-hidden')
  })
  test('in a picture of the page it lies where it lies on the line', () => {
    const { doc, layout } = laid(MORE)
    const svg = pageSvg(doc, layout, new Map())
    const found = svg.match(/<g transform="translate\(([\d.]+) [\d.]+\) scale\(0\.4\)"[^>]*stroke="#224433"/)
    const { x } = layout.rect('t')!
    const { paragraph } = layout.placed('t')[0]!
    expect(Number(found![1])).toBeCloseTo(x + paragraph.advances[10]!, 1)
    expect(svg).toContain('aria-label="Read more"')
  })
  test('a fill that is seen in the words is not seen in it: it stays in their ink, there as in the browser', () => {
    const fills = { a: { order: 'a0', kind: 'color' as const, color: '#aa0000' } }
    const { doc, layout } = laid(MORE, { fills, fillsIn: 'words' })
    const svg = pageSvg(doc, layout, new Map())
    const [, masked] = /<mask[^>]*>(.*?)<\/mask>/.exec(svg)!
    expect(masked).toContain('<use')
    expect(masked).not.toContain(ARROW.data)
    expect(svg).toMatch(new RegExp(`stroke="#224433"[^>]*><path d="${ARROW.data}"`))
    expect(svg).toContain('aria-label="Read more"')
    expect(html(doc)).toContain('Read more <svg')
  })
  test('what stands for one where there is none stands for nothing', () => {
    const { doc, layout } = laid([{ text: `a${OBJECT}b` }])
    expect(layout.placed('t')[0]!.paragraph.text).toBe('ab')
    expect(html(doc)).toContain('>ab<')
  })
  test('no outline is made of it', () => {
    const { doc, layout } = laid(MORE)
    expect(outlineEdits(doc, layout, doc.node('t'), 'Text', makeId)).toContain('an icon')
  })
})
