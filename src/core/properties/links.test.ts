/** Where links may lead, and pages that links name. */

import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { NodeTree } from '../document/schema'
import { treeWithLinks } from '../document/tree-links'
import { said } from '../words/words'
import { linkFrom, linkProblem, linkShown, linkToPage } from './links'

const pages = new Map(
  [
    { id: 'home', path: '/' },
    { id: 'p1', path: '/catalogue' },
  ].map((page) => [page.id, { ...page, name: page.id, order: 'a0', views: [] }]),
)

test.each([
  'https://seeds.test/a?b=c#d',
  'HTTP://SEEDS.TEST',
  'mailto:desk@seeds.test?subject=A word',
  'tel:+123',
  '#',
  '#top',
  '/catalogue',
  'catalogue/oak.html',
  '../up',
  '?page=2',
  'page:p1',
  'page:p1#beds',
  '',
])('%j may be a link', (link) => {
  expect(linkProblem(link)).toBeUndefined()
})

test.each([
  'javascript:alert(1)',
  'JaVaScRiPt:alert(1)',
  ' javascript:alert(1)',
  'java\nscript:alert(1)',
  'java\tscript:alert(1)',
  '\u0001javascript:alert(1)',
  'data:text/html,x',
  'vbscript:x',
  'file:///etc/hosts',
  'blob:x',
  'ftp://seeds.test',
  'page:../x',
  '//seeds.test',
  '\\\\seeds.test',
  '/\\seeds.test',
  'https://seeds.test\u2028',
])('%j may not', (link) => {
  expect(linkProblem(link)).toBeTruthy()
})

test('whatever is let through, a browser reads no other scheme in it than those', () => {
  const part = fc.constantFrom(
    'javascript',
    'java',
    'script',
    ':',
    '//',
    '\n',
    '\t',
    ' ',
    '/',
    '\\',
    '#',
    'http',
    'https',
    'page',
    'a',
    'data',
  )
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(part, { maxLength: 7 }).map((parts) => parts.join('')),
      ),
      (link) => {
        if (linkProblem(link) !== undefined || link.startsWith('page:')) return
        const base = 'https://own.test/folder/'
        if (!URL.canParse(link, base)) return
        const url = new URL(link, base)
        expect(['https:', 'http:', 'mailto:', 'tel:']).toContain(url.protocol)
        if (!/^https?:/i.test(link) && /^https?:$/.test(url.protocol)) expect(url.host).toBe('own.test')
      },
    ),
    { numRuns: 2000 },
  )
})

test('a path that is a page’s is that page; it is shown by its path, wherever that is now', () => {
  expect(linkFrom(pages.values(), '/catalogue')).toBe('page:p1')
  expect(linkFrom(pages.values(), '/catalogue#beds')).toBe('page:p1#beds')
  expect(linkFrom(pages.values(), '/')).toBe('page:home')
  for (const other of ['/nowhere', 'catalogue', '#', 'https://seeds.test/catalogue'])
    expect(linkFrom(pages.values(), other)).toBe(other)
  expect(linkShown(pages, linkToPage('p1', '#beds'))).toBe('/catalogue#beds')
  expect(linkShown(pages, 'page:gone')).toBe('')
  expect(linkShown(pages, '#top')).toBe('#top')
})

test('every link of a tree, in overrides and in texts too', () => {
  const node: NodeTree = {
    id: 'a',
    kind: 'box',
    name: 'A',
    order: 'a0',
    props: { link: '/' },
    overrides: { mobile: { link: '/catalogue' } },
    children: [
      {
        id: 't',
        kind: 'text',
        name: 'T',
        order: 'a0',
        props: { words: said([{ text: 'x', link: '/' }, { text: 'y' }]) },
      },
    ],
  }
  const changed = treeWithLinks(node, (link) => linkFrom(pages.values(), link))
  expect(JSON.stringify(changed).match(/page:\w+/g)).toEqual(['page:home', 'page:p1', 'page:home'])
  expect(node.props.link).toBe('/')
})
