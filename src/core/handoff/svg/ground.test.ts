import { Resvg } from '@resvg/resvg-js'
import { beforeAll, expect, test } from 'vitest'
import { box, exactly, lay } from '../../arrange/test-page'
import type { NodeTree } from '../../document/schema'
import { PageLayout } from '../../layout/page'
import { wordAreas } from '../../paint/lines'
import { oneFill } from '../../properties/items'
import type { Props } from '../../properties/table'
import { openType } from '../../samples/fonts'
import { FontLibrary } from '../../text/fonts'
import { ParagraphCache } from '../../text/paragraph-cache'
import { said } from '../../words/words'
import { groundSvg } from './page'

const fonts = new FontLibrary()
beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

const words = (id: string, props: Props): NodeTree => ({
  ...box(id, {
    words: said('HHHHHHHH'),
    fontFamily: 'Hanken Grotesk',
    fontSize: 40,
    color: '#000000',
    ...props,
  }),
  kind: 'text',
})
const pinned = (left: number, top: number): Props => ({
  lifted: true,
  pinLeft: { px: left },
  pinTop: { px: top },
})

/** The colours that there are, each with its count of pixels. */
function colorsOf(svg: string): Map<string, number> {
  const { pixels } = new Resvg(svg).render()
  const found = new Map<string, number>()
  for (let i = 0; i < pixels.length; i += 4) {
    const hex = `#${[...pixels.subarray(i, i + 3)].map((part) => part.toString(16).padStart(2, '0')).join('')}`
    found.set(hex, (found.get(hex) ?? 0) + 1)
  }
  return found
}

const groundOf = (blocks: NodeTree[], id: string) => {
  const { doc } = lay({ flow: 'column', fills: oneFill('#ff0000') }, blocks)
  const page = doc.pagesInOrder()[0]!.id
  const layout = new PageLayout(doc, page, 'desktop', 1440, new ParagraphCache(fonts))
  const box = layout.boxes.get(id)!
  const { x, y } = layout.rect(id)!
  const line = wordAreas(box)[0]!
  return colorsOf(groundSvg(doc, layout, new Map(), box, { ...line, x: x + line.x, y: y + line.y }))
}

test('what lies behind words is drawn, without them and without what lies over them', () => {
  const over = box('c', { ...pinned(0, 0), ...exactly(400, 100), fills: oneFill('#0000ff') })
  expect([...groundOf([words('b', {}), over], 'b').keys()]).toEqual(['#ff0000'])
  expect([...groundOf([words('b', { fills: oneFill('#00ff00') }), over], 'b').keys()]).toEqual(['#00ff00'])
})

test('a block lifted under them counts, and other words do', () => {
  const under = box('a', { ...pinned(0, 0), ...exactly(400, 100), fills: oneFill('#0000ff') })
  expect([...groundOf([under, words('b', pinned(0, 0))], 'b').keys()]).toEqual(['#0000ff'])
  const mixed = groundOf([words('a', pinned(0, 0)), words('b', pinned(0, 0))], 'b')
  expect(mixed.has('#000000')).toBe(true)
})

test('fills that are seen in words alone are no ground of theirs', () => {
  const filled = words('b', { fillsIn: 'words', fills: oneFill('#00ff00') })
  expect([...groundOf([filled], 'b').keys()]).toEqual(['#ff0000'])
})
