/** Icons among words: drawn once however often they stand on a page, and a row of them read as one picture. */
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { starterProject } from '../shelf/starter'
import { type Icon, OBJECT, said, type Words } from '../words/words'
import { buildSite } from './site'

const STAR: Icon = { name: 'star', data: 'M50 10 90 90 10 90z', line: 8 }
const THIN: Icon = { ...STAR, line: 4 }
const LEAF: Icon = { name: 'leaf', data: 'M0 0 100 100', line: 8 }

const icons = (...all: Icon[]): Words => said(all.map((icon) => ({ text: OBJECT, icon })))

function htmlOf(texts: readonly (Partial<NodeTree> & { words: Words })[]): string {
  const file = starterProject('Site', 'home')
  const kids = texts.map(
    ({ words, ...rest }, i): NodeTree => ({
      id: `t${i}`,
      kind: 'text',
      name: `Text ${i}`,
      order: `a${i}`,
      ...rest,
      props: { words, ...rest.props },
    }),
  )
  file.pages[0]!.sections = [
    { id: 's', kind: 'section', name: 'Opening', order: 'a0', props: {}, children: kids },
  ]
  return buildSite(Document.fromFile(file), new Map()).text.get('index.html')!
}
const times = (html: string, what: string) => html.split(what).length - 1

test('what stands more than once is drawn once, and shown from there', () => {
  const html = htmlOf([{ words: icons(STAR, STAR) }, { words: icons(STAR) }, { words: icons(LEAF) }])
  expect(times(html, STAR.data)).toBe(1)
  expect(html).toContain('<symbol id="is-icon-star" viewBox="0 0 100 100">')
  expect(times(html, '<use href="#is-icon-star"/>')).toBe(3)
  expect(html).toMatch(/<svg class="is-icon"[^>]*><path d="M0 0 100 100"/)
  expect(htmlOf([{ words: icons(LEAF) }])).not.toContain('symbol')
})

test('other lines are another drawing; words of another view count as well', () => {
  const html = htmlOf([
    { words: icons(STAR, STAR, THIN) },
    { words: icons(LEAF), overrides: { mobile: { words: icons(THIN) } } },
  ])
  expect(times(html, '<symbol id="is-icon-star"')).toBe(1)
  expect(times(html, '<symbol id="is-icon-star-2"')).toBe(1)
  expect(times(html, '<use href="#is-icon-star-2"/>')).toBe(2)
})

test('a row of icons without words is read as one picture', () => {
  const stars = icons(STAR, STAR, STAR, STAR, LEAF)
  const html = htmlOf([{ words: stars }])
  expect(html).toContain('<span role="img" aria-label="4 × star, Leaf">')
  expect(times(html, 'role="img"')).toBe(1)
  const beside = said([{ text: 'Well kept ' }, { text: OBJECT, icon: STAR }, { text: OBJECT, icon: STAR }])
  expect(htmlOf([{ words: beside }])).not.toContain('role="img"')
  expect(htmlOf([{ words: icons(STAR) }])).toContain('role="img" aria-label="Star"')
})

test('a part that is called as a drawing has another id', () => {
  const html = htmlOf([
    { words: icons(STAR, STAR) },
    { kind: 'box', name: 'Is icon star', words: [], props: { words: undefined } },
    { words: said([{ text: 'To the stars', link: '#t1' }]) },
  ])
  expect(times(html, 'id="is-icon-star"')).toBe(1)
  expect(html).toContain('href="#box-is-icon-star"')
})
