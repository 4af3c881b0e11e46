import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { Instances } from '../expand/instances'
import type { Kind } from '../properties/kinds'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { meaningsOf } from './meaning'
import { buildSite } from './site'

let made = 0
const block = (kind: Kind, name: string, props: Props, children: NodeTree[] = []): NodeTree => {
  made++
  return {
    id: `${name.replaceAll(' ', '')}-${made}`,
    kind,
    name,
    order: `a${String(made).padStart(4, '0')}x`,
    props,
    children,
  }
}
const words = (text: string, props: Props = {}) =>
  block('text', text.slice(0, 12), { words: said(text), ...props })
const link = (text: string) => words(text, { link: '#' })
const heading = (text: string) => words(text, { type: '{type.heading}' })
const section = (name: string, children: NodeTree[], props: Props = {}) =>
  block('section', name, props, children)
const menu = () => block('box', 'Row', { flow: 'row' }, [link('Catalogue'), link('Workshops')])

function page(...sections: NodeTree[]) {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = sections
  return Document.fromFile(file)
}
const tagsOf = (doc: Document) => {
  const instances = new Instances(doc, doc.allPages()[0]!.id)
  const meanings = meaningsOf(doc, instances)
  return (name: string) => {
    const node = [...doc.nodes.values()].find((each) => each.name === name)!
    return meanings.get(node.id)
  }
}

describe('what blocks are taken for', () => {
  test('a header made by hand: its band, its menu, and no heading in it', () => {
    const doc = page(
      section('Section', [heading('Hollow Oak'), menu()]),
      section('Section 2', [heading('Borrow seed'), words('Some words on it.')]),
      section('Section 3', [block('box', 'Links', {}, [link('Hours'), link('Terms')])]),
    )
    const tag = tagsOf(doc)
    expect(tag('Section')).toBe('header')
    expect(tag('Row')).toBe('nav')
    expect(tag('Hollow Oak')).toBeUndefined()
    expect(tag('Borrow seed')).toBe('h1')
    expect(tag('Section 3')).toBe('footer')
    const html = buildSite(doc, new Map()).text.get('index.html')!
    expect(html).toMatch(/<header[^>]*>\s*<p[^>]*>Hollow Oak<\/p>\s*<nav/)
    expect(html).toMatch(/<main>\s*<section[^>]*>\s*<h1/)
  })
  test('one title, then headings; in cards that stand side by side a step lower', () => {
    const card = (name: string) =>
      block('box', `Card ${name}`, {}, [block('picture', `Picture ${name}`, {}), heading(name)])
    const doc = page(
      section('One', [heading('Title'), card('Pea'), card('Bean')]),
      section('Two', [heading('Next')]),
    )
    const tag = tagsOf(doc)
    expect([tag('Title'), tag('Pea'), tag('Next')]).toEqual(['h1', 'h3', 'h2'])
    expect(tag('Card Pea')).toBe('article')
  })
  test('what says its element is left alone, and counts', () => {
    const doc = page(section('One', [heading('First'), words('Second', { tag: 'h1' })]), section('Two', []))
    const tag = tagsOf(doc)
    expect(tag('First')).toBe('h2')
    expect(tag('Second')).toBeUndefined()
  })
  test('large words that are long, or several paragraphs, are no heading', () => {
    const long = words('A quote that goes on. '.repeat(8), { fontSize: 40 })
    const two = block('text', 'Two', { fontSize: 40, words: [...said('One'), ...said('Two')] })
    const doc = page(section('One', [long, two]), section('Two', []))
    const tag = tagsOf(doc)
    expect(tag(long.name)).toBeUndefined()
    expect(tag('Two')).toBeUndefined()
  })
  test('a single section is none of the page’s ends', () => {
    expect(tagsOf(page(section('Section', [menu()])))('Section')).toBeUndefined()
  })
})
