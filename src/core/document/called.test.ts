import { describe, expect, test } from 'vitest'
import { said } from '../words/words'
import { called } from './called'
import type { Node } from './document'

const node = (name: string, kind: string, props: object = {}, children: string[] = []) =>
  ({ id: name, name, kind, props, children, overrides: {} }) as unknown as Node

describe('what a block is called', () => {
  const heading = node('Heading', 'text', {
    type: '{type.heading}',
    words: said('Ready to sow this week, and the next'),
  })
  const nodes = new Map([['Heading', heading]])
  const lookup = {
    find: (id: string) => nodes.get(id),
    asset: (id: string) => (id === 'p' ? { name: 'leaves.svg' } : undefined),
  }
  const name = (each: Node) => called(each, lookup)

  test('by what it says or shows, until it is renamed', () => {
    expect(name(node('Link', 'text', { words: said('Catalogue') }))).toBe('Link Catalogue')
    expect(name(node('Picture', 'picture', { asset: 'p' }))).toBe('Picture leaves')
    expect(name(node('Main menu', 'text', { words: said('Catalogue') }))).toBe('Main menu')
  })
  test('words from right to left stand apart', () => {
    expect(name(node('Heading', 'text', { words: said('זרעים (12)') }))).toBe(
      'Heading \u2068זרעים (12)\u2069',
    )
  })
  test('long words are cut between words', () => {
    expect(name(heading)).toBe('Heading Ready to sow this …')
  })
  test('a section and a card by the first heading in it; a row by nothing', () => {
    expect(name(node('Section', 'section', {}, ['Heading']))).toBe('Section Ready to sow this …')
    expect(name(node('Card', 'box', {}, ['Heading']))).toBe('Card Ready to sow this …')
    expect(name(node('Row', 'box', {}, ['Heading']))).toBe('Row')
    expect(name(node('Section', 'section'))).toBe('Section')
  })
})
