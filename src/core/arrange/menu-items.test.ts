import { describe, expect, test } from 'vitest'
import { applyAll } from '../edits/apply'
import { plainText, said } from '../words/words'
import { menuEdits, menuLine } from './menu-items'
import { box, lay, makeId, set } from './test-page'

const link = (id: string, words: string) => ({
  ...box(id, { words: said(words), link: '#', fontSize: 14 }),
  kind: 'text' as const,
})
const wordsOf = (doc: ReturnType<typeof lay>['doc']) =>
  doc.node('m').children.map((id) => plainText(doc.node(id).props.words))

describe('a menu as a line', () => {
  test('typed into an empty row, links are made; one that is called as a page leads there', () => {
    const { doc } = lay({ flow: 'column' }, [box('m', { flow: 'row' })])
    expect(menuLine(doc, doc.node('m'), 'desktop')).toBe('')
    applyAll(doc, menuEdits(doc, doc.node('m'), ' Home, , Catalogue,Workshops ', 'desktop', set, makeId))
    expect(wordsOf(doc)).toEqual(['Home', 'Catalogue', 'Workshops'])
    const [home, catalogue] = doc.node('m').children.map((id) => doc.node(id).props.link)
    expect(home).toBe(`page:${doc.pagesInOrder()[0]!.id}`)
    expect(catalogue).toBe('#')
    expect(menuLine(doc, doc.node('m'), 'desktop')).toBe('Home, Catalogue, Workshops')
  })
  test('items keep what they are and change their words; more look like the last; less go', () => {
    const { doc } = lay({ flow: 'column' }, [box('m', { flow: 'row' }, [link('a', 'One'), link('b', 'Two')])])
    applyAll(doc, menuEdits(doc, doc.node('m'), 'One, Second, Third', 'desktop', set, makeId))
    expect(wordsOf(doc)).toEqual(['One', 'Second', 'Third'])
    expect(doc.node('m').children.slice(0, 2)).toEqual(['a', 'b'])
    expect(doc.node(doc.node('m').children[2]!).props.fontSize).toBe(14)
    applyAll(doc, menuEdits(doc, doc.node('m'), 'One', 'desktop', set, makeId))
    expect(wordsOf(doc)).toEqual(['One'])
    expect(menuEdits(doc, doc.node('m'), 'One', 'desktop', set, makeId)).toEqual([])
  })
  test('on one view alone words change there, and a new item has none of another’s', () => {
    const { doc } = lay({ flow: 'column' }, [box('m', { flow: 'row' }, [link('a', 'One')])])
    const here = (node: { id: string }, props: object) => ({
      op: 'set' as const,
      node: node.id,
      view: 'mobile',
      props,
    })
    applyAll(doc, menuEdits(doc, doc.node('m'), 'Short', 'mobile', here, makeId))
    expect(menuLine(doc, doc.node('m'), 'desktop')).toBe('One')
    expect(menuLine(doc, doc.node('m'), 'mobile')).toBe('Short')
    applyAll(doc, menuEdits(doc, doc.node('m'), 'One, Two', 'desktop', set, makeId))
    expect(menuLine(doc, doc.node('m'), 'mobile')).toBe('Short, Two')
  })
  test('what holds anything else is no menu', () => {
    const { doc } = lay({ flow: 'column' }, [box('m', { flow: 'row' }, [link('a', 'One'), box('x', {})])])
    expect(menuLine(doc, doc.node('m'), 'desktop')).toBeUndefined()
    expect(menuLine(doc, doc.node('s'), 'desktop')).toBeUndefined()
  })
})
