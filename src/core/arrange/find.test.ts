import { describe, expect, test } from 'vitest'
import { oneFill } from '../properties/items'
import { said } from '../words/words'
import { blocksAlike, findBlocks } from './find'
import { box, exactly, lay } from './test-page'

const text = (id: string, words: string, fontSize = 16) => ({
  ...box(id, { fontSize, words: said([{ text: words.slice(0, 3), weight: 700 }, { text: words.slice(3) }]) }),
  kind: 'text' as const,
})
const page = () =>
  lay({ flow: 'column' }, [
    text('heading', 'Borrow a Packet', 30),
    text('one', 'of peas'),
    text('two', 'of beans'),
    box('pea-box', { ...exactly(10, 10), fills: oneFill('#aabbcc') }),
    box('other', { ...exactly(90, 10), fills: oneFill('#ddeeff') }),
  ])

describe('finding', () => {
  test('by name and by words across spans, in any case', () => {
    const { doc } = page()
    const ids = (words: string) => findBlocks(doc, words).map((found) => found.node.id)
    expect(ids('PEA')).toEqual(['one', 'pea-box'])
    expect(ids('row a pack')).toEqual(['heading'])
    expect(ids('  ')).toEqual([])
    expect(ids('zzz')).toEqual([])
  })
  test('blocks alike are of one kind and one look, the asked one last', () => {
    const { doc, layout } = page()
    expect(blocksAlike(doc, layout.page, 'desktop', 'one')).toEqual(['two', 'one'])
    expect(blocksAlike(doc, layout.page, 'desktop', 'heading')).toEqual(['heading'])
  })
})
