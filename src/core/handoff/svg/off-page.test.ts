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

const shadow = (inset = false) => ({
  a: {
    order: 'a0',
    x: 0.5,
    y: 2,
    blur: 8,
    spread: 0,
    color: '#112233',
    ...(inset ? { inset: true as const } : {}),
  },
})

test('what is masked or filtered below the crop, or beside the page, is left out: a picture can be made', () => {
  const off = { lifted: true, pinLeft: { px: 3000 }, pinTop: { px: 10 }, ...exactly(50, 50) }
  const { doc, layout } = lay({ flow: 'column' }, [
    box('a', { ...off, filters: { blur: 4 } }),
    box('b', { ...off, cut: { form: 'fade', angle: 0, from: 0, to: 100 } }),
    box('c', { ...off, cut: { form: 'ellipse' } }),
    box('d', exactly(10, 300)),
    words('e'),
    box('g', { ...exactly(40, 40), shadows: shadow() }),
    box('h', { ...exactly(40, 40), shadows: shadow(true) }),
    box('f', { ...exactly(40, 40), cut: { form: 'fade', angle: 0, from: 0, to: 100 } }),
  ])
  const svg = pageSvg(doc, layout, new Map(), 200)
  expect(svg).not.toContain('<mask')
  expect(svg).not.toContain('<filter')
  expect(new Resvg(svg).render().height).toBe(200)
  expect(pageSvg(doc, layout, new Map())).toContain('<mask')
})

test('a layer of which nothing is on the canvas is empty; one that reaches onto it has a foothold there', () => {
  const ink = '#445566'
  const layered = { opacity: 0.5, outline: { width: 2, offset: 4, color: ink }, ...exactly(60, 300) }
  const { doc, layout } = lay({ flow: 'column' }, [
    box('a', {
      ...exactly(60, 150),
      lifted: true,
      pinLeft: { px: -30 },
      pinTop: { px: 10 },
      rotate: 45,
      opacity: 0.5,
    }),
    box('b', { ...exactly(10, 190) }),
    box('c', layered),
    {
      ...words('d'),
      props: { ...words('d').props, fills: {}, color: ink, opacity: 0.5, textDecoration: 'underline' },
    },
    box('e', { ...layered, rotate: 90 }),
  ])
  const drawn = (crop: number) => pageSvg(doc, layout, new Map(), crop)
  const footholds = (svg: string) => svg.split('fill-opacity="0"/>').length - 1
  // What reaches onto it by some px has a pixel there; below that there is nothing.
  expect(drawn(180)).not.toContain(ink)
  expect(footholds(drawn(180))).toBe(3)
  expect(drawn(195)).toContain(ink)
  expect(drawn(5000)).toContain(ink)
  for (const crop of [100, 180, 195, 500]) expect(new Resvg(drawn(crop)).render().height).toBe(crop)
})
