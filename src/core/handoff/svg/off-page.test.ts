import { Resvg } from '@resvg/resvg-js'
import { expect, test } from 'vitest'
import { box, exactly, lay } from '../../arrange/test-page'
import type { NodeTree } from '../../document/schema'
import { said } from '../../words/words'
import { pageSvg } from './page'

const words = (id: string): NodeTree => ({
  ...box(id, {
    words: said('Off'),
    fillsIn: 'words',
    fills: { a: { order: 'a0', kind: 'color', color: '#112233' } },
  }),
  kind: 'text',
})

test('what is masked or filtered below the crop, or beside the page, is left out: a picture can be made', () => {
  const off = { lifted: true, pinLeft: { px: 3000 }, pinTop: { px: 10 }, ...exactly(50, 50) }
  const { doc, layout } = lay({ flow: 'column' }, [
    box('a', { ...off, filters: { blur: 4 } }),
    box('b', { ...off, cut: { form: 'fade', angle: 0, from: 0, to: 100 } }),
    box('c', { ...off, cut: { form: 'ellipse' } }),
    box('d', exactly(10, 300)),
    words('e'),
    box('f', { ...exactly(40, 40), cut: { form: 'fade', angle: 0, from: 0, to: 100 } }),
  ])
  const svg = pageSvg(doc, layout, new Map(), 200)
  expect(svg).not.toContain('<mask')
  expect(new Resvg(svg).render().height).toBe(200)
  expect(pageSvg(doc, layout, new Map())).toContain('<mask')
})
