import { beforeAll, describe, expect, test } from 'vitest'
import { fonts, lay, paragraphs } from '../arrange/test-page'
import type { NodeTree } from '../document/schema'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { openType } from '../samples/fonts'
import { said } from '../words/words'
import { pageMarksIn } from './page-marks'

beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const text = (id: string, says: string, props: Props = {}): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order: `a${id}`,
  props: { words: said(says), fontSize: 20, ...props },
})
/** On Desktop and on Mobile. */
function marksOf(texts: NodeTree[], families?: number) {
  const { doc, layout } = lay({ flow: 'column' }, texts)
  const mobile = new PageLayout(doc, 'home', 'mobile', 390, paragraphs)
  const widest = { layout, name: 'Desktop' }
  const all = (sheet: PageLayout) => [...pageMarksIn(sheet, widest, doc.pages, families)].flat()
  return { desktop: all(layout), mobile: all(mobile), layout }
}

describe('type looked over', () => {
  test('a word alone is marked where it stands', () => {
    const says = 'Take home heirloom seed for the gardener'
    for (let px = 200; px < 420; px += 4) {
      const { desktop, layout } = marksOf([text('t', says, { width: { kind: 'exact', px } })])
      for (const { kind, words, rect } of desktop) {
        expect(kind).toBe('lone')
        expect(words).toBe('“gardener” alone on the last line')
        const all = layout.rect('t')!
        expect(rect.y + rect.height).toBeCloseTo(all.y + all.height, 0)
        expect(rect.width).toBeLessThan(px)
      }
      if (desktop.length > 0) return
    }
    throw new Error('no width leaves it alone')
  })
  test('a heading that takes more lines on the phone is marked there; a paragraph is not', () => {
    const long = 'Seeds for every bed and every season'
    const { desktop, mobile } = marksOf([
      text('h', long, { tag: 'h2', fontSize: 48 }),
      text('p', `${long}. `.repeat(4), { fontSize: 20 }),
    ])
    expect(desktop.filter(({ kind }) => kind === 'lines')).toEqual([])
    const found = mobile.filter(({ kind }) => kind === 'lines')
    expect(found.map(({ id }) => id)).toEqual(['h'])
    expect(found[0]!.words).toMatch(/^\d lines, one line on Desktop$/)
  })
  test('families beyond the first few, those that least is set in', () => {
    const { desktop } = marksOf(
      [
        text('a', 'One'),
        text('b', 'Two'),
        text('c', 'Three', { fontFamily: 'Fraunces' }),
        text('d', 'Four', { fontFamily: 'Inter Tight' }),
      ],
      2,
    )
    expect(desktop).toMatchObject([{ id: 'd', kind: 'family', words: 'Inter Tight: one of 3 families' }])
  })
})

describe('words on what is behind them', () => {
  const kinds = (marks: { kind: string; id: string; words: string }[], kind: string) =>
    marks.filter((each) => each.kind === kind).map(({ id, words }) => [id, words])
  test('that do not read are marked, with what would be enough', () => {
    const { desktop } = marksOf([
      text('pale', 'Seeds', { color: '#bbbbbb' }),
      text('large', 'Seeds', { color: '#8a8a8a', fontSize: 30 }),
      text('dark', 'Seeds', { color: '#26332c' }),
    ])
    expect(kinds(desktop, 'contrast')).toEqual([['pale', '1.9 : 1 on what is behind it, 4.5 : 1 is needed']])
  })
  test('what leads nowhere, or to a page that is gone', () => {
    const button = (id: string, link?: string): NodeTree => ({ ...text(id, 'Go', { link }), kind: 'button' })
    const { desktop } = marksOf([
      button('bare'),
      button('hash', '#'),
      button('there', 'page:home'),
      button('gone', 'page:nowhere'),
      text('words', 'Seeds', { link: 'https://seeds.test/' }),
      text('plain', 'Seeds'),
    ])
    expect(kinds(desktop, 'link')).toEqual([
      ['bare', 'leads nowhere yet'],
      ['gone', 'leads to a page that is gone'],
      ['hash', 'leads nowhere yet'],
    ])
  })
})
