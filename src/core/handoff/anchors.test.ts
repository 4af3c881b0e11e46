import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { buildSite } from './site'

let count = 0
const node = (kind: NodeTree['kind'], name: string, props: Props, children: NodeTree[] = []): NodeTree => {
  const id = `n${count++}`
  return { id, kind, name, order: `a${String(count).padStart(4, '0')}`, props, children }
}
const link = (to: string) => node('text', 'Link', { tag: 'a', link: to, words: said('Go') })

/** @returns the site's pages by file, of Home with these blocks and of About with a section called Our team. */
function siteOf(home: NodeTree[], about: { lang?: string; id?: string } = {}) {
  const file = starterProject('Site', 'home')
  file.pages[0]!.sections = home
  const team = node('section', 'Our team', {}, [
    node('text', 'Words', { tag: 'h2', words: said('Who lends here?') }),
    link('#our-team'),
  ])
  if (about.id) team.id = about.id
  file.pages.push({ id: 'about', name: 'About', path: '/about', order: 'a5', views: [], sections: [team] })
  if (about.lang) file.about = { lang: about.lang }
  return buildSite(Document.fromFile(file), new Map()).text
}
const hrefs = (html: string) =>
  [...html.matchAll(/<a [^>]*>/g)].map(([tag]) => /href="([^"]*)"/.exec(tag)?.[1])
const ids = (html: string) => [...html.matchAll(/<(\w+) id="([^"]*)"/g)].map(([, tag, id]) => `${tag} ${id}`)

test('what a link leads to has an id, once, and nothing else has', () => {
  const home = node('section', 'Numbers', {}, [
    link('#numbers'),
    link('#Numbers'),
    link('page:about#our-team'),
    link('/about#Who%20lends%20here%3F'),
    link('/about#nowhere'),
  ])
  const files = siteOf([home, node('section', 'Numbers', {})])
  expect(hrefs(files.get('index.html')!)).toEqual([
    '#numbers',
    '#numbers',
    'about/index.html#our-team',
    'about/index.html#who-lends-here',
    'about/index.html',
  ])
  expect(ids(files.get('index.html')!)).toEqual(['header numbers'])
  expect(ids(files.get('about/index.html')!)).toEqual(['section our-team', 'h2 who-lends-here'])
  expect(hrefs(files.get('about/index.html')!)).toEqual(['#our-team'])
})

test('two of one name that are led to by their ids have two', () => {
  const twins = [node('section', 'Part', {}), node('section', 'Part', {})]
  const files = siteOf([
    node(
      'section',
      'Top',
      {},
      twins.map(({ id }) => link(`#${id}`)),
    ),
    ...twins,
  ])
  expect(hrefs(files.get('index.html')!)).toEqual(['#part', '#part-2'])
  expect(ids(files.get('index.html')!)).toEqual(['section part', 'section part-2'])
})

test('what leads nowhere is a button, or a link without an address', () => {
  const button = node('button', 'Hero button', { link: '#', words: said('Reserve') })
  const home = node('section', 'Top', {}, [button, link('#'), link('#gone'), link('page:gone'), link('#top')])
  const html = siteOf([home]).get('index.html')!
  expect(html).toMatch(/<button class="hero-button" type="button">Reserve<\/button>/)
  expect(hrefs(html)).toEqual([undefined, undefined, undefined, '#top'])
  expect(html).not.toContain('href="#"')
})

test('a label without a field is words', () => {
  const html = siteOf([
    node('section', 'Top', {}, [node('text', 'L', { tag: 'label', words: said('Name') })]),
  ])
  expect(html.get('index.html')).not.toContain('<label')
})

test('which way words run is said where their language could say otherwise', () => {
  const texts = [
    node('text', 'A', { lang: 'he', words: said('שלום') }),
    node('text', 'B', { lang: 'ar', words: said('2026') }),
    node('text', 'C', { lang: 'de', words: said('Saat') }),
  ]
  const html = siteOf([node('section', 'Top', {}, texts)], { lang: 'ar' }).get('index.html')!
  expect(html).toContain('<html lang="ar" dir="ltr">')
  expect([...html.matchAll(/ lang="(\w+)" dir="(\w+)"/g)].map(([, lang, dir]) => `${lang} ${dir}`)).toEqual([
    'ar ltr',
    'he rtl',
    'ar ltr',
  ])
  expect(html).toContain('lang="de">')
})
